import { counted } from '../../core/quantity';
import { readNeedTable, type NeedColumn, type ReadNeeds } from '../../core/stock';
import { noPause } from '../../core/steps';
import type { AppContext } from '../../db/context';
import { findBuild } from '../../db/repositories/builds';
import { routes } from '../../routes';
import { refusal, refuse, refused as refusedBy, run, type Outcome } from '../command';
import { ask, lotsForNeed } from '../matching';
import { needRoles, remembered, type SaidOfColumns } from './remembered';
import { headingsOf, rowsOf } from './rowsOf';

/** Lines that one list of needs may have. */
const MOST_LINES = 500;

async function readNeeds(app: AppContext, text: string, said: SaidOfColumns): Promise<ReadNeeds> {
  const rows = rowsOf(text);
  if (rows.length > MOST_LINES + 1) {
    const why = `The list has ${rows.length} lines; ${MOST_LINES} at most are taken at once.`;
    return { columns: [], read: [], refused: [{ line: 1, what: 'the list', why }] };
  }
  return readNeedTable(rows, needRoles(await remembered(app, 'needs', headingsOf(text), said)));
}

export interface NeedsPreview {
  readonly columns: readonly NeedColumn[];
  readonly needs: number;
  readonly rows: readonly { line: number; role: string; message: string; stock: string }[];
  readonly refusedCount: number;
  readonly refused: readonly { line: number; what: string; why: string }[];
}

/** What a list of needs would add to a build, each with what the drawers have for it. */
export async function previewNeeds(
  app: AppContext,
  text: string,
  pause = noPause,
  said: SaidOfColumns = {},
): Promise<NeedsPreview> {
  const { columns, read, refused } = await readNeeds(app, text, said);
  const rows: NeedsPreview['rows'][number][] = [];
  for (const [index, { line, role, filter, quantity }] of read.entries()) {
    await pause(index / read.length);
    const asked = await ask(app.db.read, filter);
    const [best] = asked.ok ? await lotsForNeed(app.db.read, asked.filter) : [];
    rows.push({
      line,
      role,
      message: `${quantity} × ${asked.ok ? asked.means : filter}`,
      stock: best ? `${best.row.lot.code} in ${best.row.bin}, ${best.free} free` : 'nothing in the drawers',
    });
  }
  return { columns, needs: read.length, rows, refusedCount: refused.length, refused };
}

/** Adds the needs of a list to a build: as one step that can be undone. */
export async function importNeeds(
  app: AppContext,
  code: string,
  text: string,
  said: SaidOfColumns = {},
): Promise<Outcome> {
  const { read, refused } = await readNeeds(app, text, said);
  if (read.length === 0) return refusedBy(refusal('list-empty', { why: refused[0]?.why }));
  return run(app, { scope: 'builds' }, async (edit) => {
    const found = (await findBuild(edit.tx, code)) ?? refuse('build-gone', { code });
    const createdMs = app.now();
    for (const { role, filter, quantity } of read)
      await edit.insert('needs', { buildId: found.build.id, role, filter, quantity, createdMs });
    const left = refused.length > 0 ? `; ${counted(refused.length, 'line was', 'lines were')} refused` : '';
    return {
      message: `${counted(read.length, 'need')} added to ${found.build.title}${left}.`,
      value: undefined,
      goto: routes.build(code),
    };
  });
}
