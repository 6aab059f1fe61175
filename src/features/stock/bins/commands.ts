import { counted } from '../../../core/quantity';
import type { AppContext } from '../../../db/context';
import { findBin, lotsInBin } from '../../../db/repositories/bins';
import type { Edit } from '../../../db/repositories/journal';
import { findLots } from '../../../db/repositories/lotSearch';
import { answerTo, isStockMoved } from '../../../db/repositories/meeting';
import type { Lot } from '../../../core/stock';
import { ON_STOCK, refuse, run, type Outcome } from '../../../services/command';

async function knownBin(edit: Edit, bin: string) {
  return (await findBin(edit.tx, bin)) ?? refuse('bin-unknown', { bin });
}

/**
 * Counts a bin: each lot gets a line in the ledger, with the difference where there is one. Fewer than are set aside
 * cannot be booked; those must be given back first.
 */
export function countBin(
  app: AppContext,
  of: { bin: string; counts: Readonly<Record<string, number>> },
): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    const bin = await knownBin(edit, of.bin);
    const codes = (await lotsInBin(edit.tx, bin.id)).filter((code) => of.counts[code] !== undefined);
    if (codes.length === 0) return refuse('nothing-counted', {});
    let off = 0;
    for (const { lot } of await findLots(edit.tx, codes)) {
      const { code, reserved } = lot;
      const counted = of.counts[code] ?? lot.onHand;
      if (counted < reserved) return refuse('count-below-reserved', { code, counted, reserved }, `counts.${code}`);
      if (!(await mayCount(edit, lot, counted))) continue;
      const onHandDelta = counted - lot.onHand;
      if (onHandDelta !== 0) off += 1;
      await edit.ledger({
        lotId: lot.id,
        onHandDelta,
        reservedDelta: 0,
        reason: 'counted',
        note: `stocktake of ${of.bin}`,
      });
    }
    await edit.update('bins', bin.id, { countedMs: app.now() });
    return `${codes.length} ${codes.length === 1 ? 'lot' : 'lots'} counted in ${of.bin}, ${off === 0 ? 'all as booked' : `${off} put right`}.`;
  });
}

/** Pieces that came or went while a person counted: the count may be of before or of after, so it is asked. */
async function mayCount(edit: Edit, { id, code, onHand }: Lot, counted: number): Promise<boolean> {
  const { form } = edit.app;
  if (!form || counted === onHand || !(await isStockMoved(edit.tx, form, id))) return true;
  const met = { key: `count.${code}`, table: 'count', field: code, theirs: onHand, mine: counted } as const;
  const answer = answerTo(form, met);
  if (answer === undefined) edit.ask(met);
  return answer === 'mine';
}

/** Says how many pieces fit into a bin; nothing when nobody knows. */
export function sizeBin(app: AppContext, of: { bin: string; capacity: number | undefined }): Promise<Outcome> {
  return run(app, ON_STOCK, async (edit) => {
    const bin = await knownBin(edit, of.bin);
    await edit.update('bins', bin.id, { capacity: of.capacity ?? null });
    const { capacity } = await knownBin(edit, of.bin);
    return capacity === null
      ? `${of.bin} has no limit.`
      : `${counted(capacity, 'piece fits', 'pieces fit')} into ${of.bin}.`;
  });
}
