import { mergeLimits } from '../../../core/measure';
import { commonFittings } from '../../../core/module';
import { RATINGS } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { apartInValue } from '../../../core/stock';
import type { AppContext } from '../../../db/context';
import { freshCode } from '../../../db/repositories/codes';
import type { Edit } from '../../../db/repositories/journal';
import { findLot, findLots, type LotRow } from '../../../db/repositories/lotSearch';
import { copyRatings, ensureBin, ratingsOfLot, worsenRatings } from '../../../db/repositories/lots';
import { ON_STOCK, refuse, run, type Outcome } from '../../../services/command';

/** The lot with a code, or a refusal. */
export async function knownLot(edit: Edit, code: string): Promise<LotRow> {
  return (await findLot(edit.tx, code)) ?? refuse('lot-gone', { code });
}

/** Moves a lot to another bin, which is made when it is new. */
export function moveToBin(app: AppContext, of: { code: string; bin: string }): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    const { lot, bin } = await knownLot(edit, of.code);
    if (bin === of.bin) return refuse('lot-in-bin', of, 'bin');
    const binId = await ensureBin(edit.tx, app, of.bin);
    await edit.update('lots', lot.id, { binId });
    const note = `${bin} to ${of.bin}`;
    await edit.ledger({ lotId: lot.id, onHandDelta: 0, reservedDelta: 0, reason: 'moved', note });
    return `${of.code} moved from ${bin} to ${of.bin}.`;
  });
}

/** Splits some free pieces off into a lot of their own, in the same or another bin. */
export function splitLot(
  app: AppContext,
  of: { code: string; quantity: number; bin: string },
): Promise<Outcome<{ code: string }>> {
  return run(app, ON_STOCK, async (edit) => {
    const { lot } = await knownLot(edit, of.code);
    const { id, onHand, reserved, code: _code, deletedMs: _deleted, ...facts } = lot;
    if (of.quantity > onHand - reserved || of.quantity >= onHand)
      return refuse('too-many-split', { asked: of.quantity, onHand, reserved }, 'quantity');
    const code = await freshCode(edit.tx, app, 'lot');
    const binId = await ensureBin(edit.tx, app, of.bin);
    // It has a code of its own, so that it wants a label of its own.
    const lotId = await edit.insert('lots', { ...facts, code, binId, labelledMs: null });
    await copyRatings(edit, id, lotId);
    const entry = { reservedDelta: 0, reason: 'split' } as const;
    await edit.ledger({ ...entry, lotId: id, onHandDelta: -of.quantity, note: `into ${code}` });
    await edit.ledger({ ...entry, lotId, onHandDelta: of.quantity, note: `from ${of.code}` });
    return { message: `${of.quantity} of ${of.code} are lot ${code} in ${of.bin} now.`, value: { code } };
  });
}

/**
 * Puts another lot of like parts into this one. The worse of two ratings governs, and the limits of both hold; pieces
 * that are set aside must be given back first.
 */
export function joinLots(app: AppContext, of: { code: string; from: string }): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    const [into] = await findLots(edit.tx, [of.code]);
    const [from] = await findLots(edit.tx, [of.from]);
    if (!into) return refuse('lot-gone', { code: of.code });
    if (!from || from.lot.onHand === 0) return refuse('lot-empty', { code: of.from }, 'from');
    refuseUnlike(into, from);
    await worsenRatings(edit, into.lot.id, await ratingsOfLot(edit.tx, from.lot.id));
    const limits = mergeLimits([...into.lot.limits, ...from.lot.limits]);
    await edit.update('lots', into.lot.id, { limits, fittings: commonFittings(into.lot.fittings, from.lot.fittings) });
    const pieces = from.lot.onHand;
    const entry = { reservedDelta: 0, reason: 'joined' } as const;
    await edit.ledger({ ...entry, lotId: from.lot.id, onHandDelta: -pieces, note: `into ${of.code}` });
    await edit.ledger({ ...entry, lotId: into.lot.id, onHandDelta: pieces, note: `from ${of.from}` });
    return `${pieces} of ${of.from} went into ${of.code}, bin ${into.bin}.`;
  });
}

/** Refuses to join lots that are not alike. */
function refuseUnlike(into: LotRow, from: LotRow): void {
  const { code } = from.lot;
  if (into.lot.id === from.lot.id) refuse('lot-itself', {}, 'from');
  const unlike = (what: string, theirs: string | undefined | null, here: string | undefined | null) =>
    refuse('lots-unlike', { code, what, theirs: theirs ?? 'not known', here: here ?? 'not known' }, 'from');
  for (const field of ['kind', 'marking', 'package', 'grade'] as const)
    if (into.lot[field] !== from.lot[field]) unlike(field, from.lot[field], into.lot[field]);
  const apart = apartInValue({ kind: into.lot.kind, ratings: into.ratings }, from);
  if (apart) {
    const shown = ({ ratings }: LotRow) => ratings[apart] && formatQuantity(ratings[apart].value, RATINGS[apart].unit);
    unlike(`its ${RATINGS[apart].label}`, shown(from), shown(into));
  }
  if (from.lot.reserved > 0) refuse('lot-reserved', { code, pieces: from.lot.reserved }, 'from');
}
