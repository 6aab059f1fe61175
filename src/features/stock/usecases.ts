import type { Bench } from '../../db/bench';
import { isConstraintFailure } from '../../db/repositories/journal';
import { findLot, moveLot, takeFromLot } from '../../db/repositories/lots';
import type { FormOutcome } from '../../ui/form/outcome';

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

/** Moves a lot to another bin, which is made when it is new. */
export async function moveToBin(bench: Bench, of: { code: string; bin: string }): Promise<FormOutcome> {
  const found = await findLot(bench.db.read, of.code);
  if (!found) return gone(of.code);
  await moveLot(bench, { lotId: found.lot.id, bin: of.bin });
  return { ok: true, says: `${of.code} moved from ${found.bin} to ${of.bin}.` };
}

function gone(code: string): FormOutcome {
  return { ok: false, problems: [{ message: `There is no lot ${code} any more.` }] };
}
