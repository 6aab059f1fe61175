import { boardOf } from '../../core/donor';
import type { Board } from '../../core/board';
import type { Dossier } from '../dossier';

/**
 * The board of a donor as it is known so far: its parts, what the meter said, what a person fixed and noted.
 * @param isDone every join is taken to be in: what is not joined is separate
 */
export async function tracedBoard(dossier: Dossier, isDone: boolean): Promise<Board> {
  const { donor, plate } = dossier;
  const [parts, facts, notes] = await Promise.all([dossier.parts(), dossier.boardFacts(), dossier.notes()]);
  return {
    title: donor.description,
    ...boardOf({ plate, parts, facts }),
    ...(notes.length > 0 ? { notes: notes.map(({ text }) => text) } : {}),
    ...(isDone ? { complete: true } : {}),
  };
}
