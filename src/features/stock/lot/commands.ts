import type { z } from 'zod';
import { understand, type BenchProblem } from '../../../core/benchline';
import { kindRule } from '../../../core/part';
import type { AppContext } from '../../../db/context';
import { countIn } from '../../../db/repositories/lots';
import { routes } from '../../../routes';
import { refusal, refuse, refused, run, type Outcome, type Refusal } from '../../../services/command';
import { knownLot, ON_STOCK } from './moves';
import type { lotForm } from './schema';

/** A part without a board: the bench line's words describe it all the same. */
const ANY_REFERENCE = 'x1';

/** Counts a lot in that comes from no donor: what lay in a drawer before, or was bought. */
export async function addLot(app: AppContext, form: z.output<typeof lotForm>): Promise<Outcome<{ code: string }>> {
  if (form.grade === 'B' && form.limit === '') return refused(refusal('limit-missing', {}, 'limit'));
  const words = [ANY_REFERENCE, form.kind, form.package, form.values, form.marking && `marked ${form.marking}`];
  const understood = understand(words.filter((word) => word !== '').join(' '), { parts: [], stores: [] });
  if (!understood.ok) return refused(refusalOf(understood.problem));
  if (understood.record.kind !== 'part') return refused(refusal('values-unreadable', {}, 'values'));
  const { record } = understood;
  const label = record.marking ?? kindRule(record.partKind).label;
  return run(app, { scope: 'stock' }, async (edit) => {
    const code = await countIn(edit, {
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
    });
    return {
      message: `${form.pieces} of ${label} are in ${form.bin} as lot ${code}.`,
      value: { code },
      goto: routes.lot(code),
    };
  });
}

function refusalOf(problem: BenchProblem): Refusal {
  if (problem.kind === 'measure-instead') return refusal('measured-by-hand', {}, 'values');
  return refusal('line-unreadable', { problem, of: 'lot' }, 'values');
}

/** Takes pieces out of a lot for a purpose outside builds. Reserved pieces stay. */
export function takePieces(app: AppContext, of: { code: string; quantity: number; note: string }): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    const { lot } = await knownLot(edit, of.code);
    const { onHand, reserved } = lot;
    if (of.quantity > onHand - reserved)
      return refuse('too-many-taken', { asked: of.quantity, onHand, reserved }, 'quantity');
    await edit.ledger({
      lotId: lot.id,
      onHandDelta: -of.quantity,
      reservedDelta: 0,
      reason: 'taken',
      note: of.note,
    });
    return `${of.quantity} taken out of ${of.code}${of.note === '' ? '' : `: ${of.note}`}.`;
  });
}
