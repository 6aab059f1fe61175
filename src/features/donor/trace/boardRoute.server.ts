import 'server-only';
import { withNetNames } from '../../../core/board';
import { appContext } from '../../../db/appContext';
import { findDonor } from '../../../db/repositories/donors';
import { BOARD_TARGETS, boardAs, type BoardTarget } from '../../../formats/anyBoard';
import type { Outcome } from '../../../services/command';
import { openDossier } from '../../../services/dossier';
import { bringBoard } from './bringBoard';
import { traceView } from './view.server';

const TYPES: Readonly<Record<BoardTarget, string>> = {
  board: 'application/json',
  spice: 'text/plain; charset=utf-8',
  csv: 'text/csv; charset=utf-8',
};

/** The board of a donor as a file: with its evidence as a board file, else net by net. */
export async function boardFileOf(
  code: string,
  target: BoardTarget,
): Promise<{ readonly name: string; readonly type: string; readonly content: string } | undefined> {
  const app = appContext();
  const donor = await findDonor(app.db.read, code);
  if (!donor) return undefined;
  const { board } = await traceView(openDossier(app.db.read, donor, app.now()), false);
  const { result } = boardAs(target, target === 'board' ? board : withNetNames(board));
  return { name: `${code}.${BOARD_TARGETS[target].extension}`, type: TYPES[target], content: result };
}

/** Takes a board file in. */
export const bringBoardFile = (of: { code: string; name: string; content: string }): Promise<Outcome> =>
  bringBoard(appContext(), of);
