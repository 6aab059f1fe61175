import type { z } from 'zod';
import { benchProblemText, understand, type BenchProblem } from '../../../core/benchline';
import { kindRule } from '../../../core/part';
import type { Bench } from '../../../db/context';
import { isConstraintFailure } from '../../../db/repositories/journal';
import { findLot } from '../../../db/repositories/lotSearch';
import { insertLot, takeFromLot } from '../../../db/repositories/lots';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { lotForm } from '../schema';

/** A part without a board: the bench line's words describe it all the same. */
const ANY_REFERENCE = 'x1';

/** Counts a lot in that comes from no donor: what lay in a drawer before, or was bought. */
export async function addLot(bench: Bench, form: z.output<typeof lotForm>): Promise<FormOutcome> {
  if (form.grade === 'B' && form.limit === '')
    return {
      ok: false,
      problems: [{ field: 'limit', message: 'A B is good within a limit: say what it is kept from, or grade it A.' }],
    };
  const words = [ANY_REFERENCE, form.kind, form.package, form.values, form.marking && `marked ${form.marking}`];
  const understood = understand(words.filter((word) => word !== '').join(' '), { parts: [], stores: [] });
  if (!understood.ok) return { ok: false, problems: [{ field: 'values', message: problemOf(understood.problem) }] };
  if (understood.record.kind !== 'part')
    return { ok: false, problems: [{ field: 'values', message: 'These values could not be read.' }] };
  const { record } = understood;
  const { code, lineId } = await bench.db.write((tx) =>
    insertLot(tx, bench, {
      kind: record.partKind,
      subtype: record.subtype ?? null,
      marking: record.marking ?? '',
      package: record.package ?? null,
      grade: form.grade === '' ? null : form.grade,
      gradeReason: form.grade === '' ? 'Not tested here.' : 'As the person said.',
      limits: form.limit === '' ? [] : [{ kind: 'not-for', use: form.limit }],
      bin: form.bin,
      ratings: record.ratings,
      pieces: form.pieces,
    }),
  );
  const label = record.marking ?? kindRule(record.partKind).label;
  return {
    ok: true,
    says: `${form.pieces} of ${label} are in ${form.bin} as lot ${code}.`,
    undo: lineId,
    goto: `/stock/${code}`,
  };
}

function problemOf(problem: BenchProblem): string {
  if (problem.kind === 'measure-instead')
    return 'Leave “measured” out: a lot counted in by hand carries what is printed on it or what a datasheet says.';
  return benchProblemText(problem).replaceAll(` for ${ANY_REFERENCE.toUpperCase()}`, ' here');
}

/** Takes pieces out of a lot for a purpose outside builds. Reserved pieces stay. */
export async function takePieces(
  bench: Bench,
  of: { code: string; quantity: number; note: string },
): Promise<FormOutcome> {
  const found = await findLot(bench.db.read, of.code);
  if (!found) return gone(of.code);
  try {
    const undo = await takeFromLot(bench, { lotId: found.lot.id, quantity: of.quantity, note: of.note });
    return { ok: true, says: `${of.quantity} taken out of ${of.code}.`, undo };
  } catch (error) {
    if (!isConstraintFailure(error)) throw error;
    const free = found.lot.onHand - found.lot.reserved;
    return {
      ok: false,
      problems: [
        {
          field: 'quantity',
          message: `${of.quantity} cannot be taken: ${free} of ${found.lot.onHand} are free, ${found.lot.reserved} reserved.`,
        },
      ],
    };
  }
}

/** What to say when a lot is not there any more. */
export function gone(code: string): FormOutcome {
  return { ok: false, problems: [{ message: `There is no lot ${code} any more.` }] };
}
