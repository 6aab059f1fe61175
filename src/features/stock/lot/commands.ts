import type { z } from 'zod';
import { partFromFields } from '../../../core/benchline';
import { kindRule } from '../../../core/part';
import { counted } from '../../../core/quantity';
import type { AppContext } from '../../../db/context';
import { countIn } from '../../../db/repositories/lots';
import { routes } from '../../../routes';
import { ON_STOCK, refusal, refuse, refused, run, type Outcome, type Refusal } from '../../../services/command';
import { knownLot } from './moves';
import type { fittingsForm, lotForm } from './schema';

/** Counts a lot in that comes from no donor: what lay in a drawer before, or was bought. */
export async function addLot(app: AppContext, form: z.output<typeof lotForm>): Promise<Outcome<{ code: string }>> {
  if (form.grade === 'B' && form.limit === '') return refused(refusal('limit-missing', {}, 'limit'));
  const fields = { ...form, ref: '', count: 1, same: false, block: '', condition: '' } as const;
  const read = partFromFields(fields, { parts: [], stores: [] });
  if (!read.ok) return refused(refusalOf(read));
  const { record } = read;
  const [damaged] = record.damage;
  if (damaged !== undefined) return refused(refusal('piece-damaged', { word: damaged }, 'values'));
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

function refusalOf({ problem, field }: Extract<ReturnType<typeof partFromFields>, { ok: false }>): Refusal {
  if (problem.kind === 'measure-instead') return refusal('measured-by-hand', {}, field);
  return refusal('line-unreadable', { problem }, field);
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

/** Writes down what a whole supply is like outside its circuit. */
export function fitLot(app: AppContext, code: string, form: z.output<typeof fittingsForm>): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    const { lot } = await knownLot(edit, code);
    const { plug, cooling, mounting, protection, trimmedTo, ripple } = form;
    await edit.update('lots', lot.id, {
      fittings: {
        ...(plug && { plug }),
        ...(cooling && { cooling }),
        ...(mounting && { mounting }),
        ...(protection && { protection }),
        ...(trimmedTo && { trimmedTo: trimmedTo.value }),
        ...(ripple && { ripple: ripple.value }),
      },
    });
    return `What counts when ${code} is used whole is written down.`;
  });
}

/** Notes that the labels of lots are stuck on. */
export function stickLabels(app: AppContext, codes: readonly string[]): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    for (const code of codes) {
      const { lot } = await knownLot(edit, code);
      await edit.update('lots', lot.id, { labelledMs: app.now() });
    }
    return `${counted(codes.length, 'label')} stuck on: ${codes.join(', ')}.`;
  });
}
