import { lotTitle } from '../../../core/stock';
import type { AppContext } from '../../../db/context';
import { donorOverview, findDonor } from '../../../db/repositories/donors';
import { findLot } from '../../../db/repositories/lotSearch';
import { ratingsOfLot } from '../../../db/repositories/lots';
import { findPart } from '../../../db/repositories/parts';
import { recordPartRatings, retirePartRatings } from '../../../db/repositories/ratings';
import { notDeadMessage, openDossier } from '../../../services/dossier';
import { refusal, refuse, run, type Outcome } from '../../../services/command';
import { judgeLotFor } from './replace.server';

/**
 * A piece of a lot takes the place of a part: it leaves stock, and the part is what was fitted from now on. What was known of
 * the old one stays: its ratings in their history, what it was in what is known of the repair, its readings in the journal.
 */
export async function fitReplacement(
  app: AppContext,
  code: string,
  of: { readonly ref: string; readonly lot: string },
): Promise<Outcome> {
  // The judgement may run the board: that is done before the one write queue is held.
  const known = await findDonor(app.db.read, code);
  const judgement =
    known && (await judgeLotFor(openDossier(app.db.read, known, app.now()), of.ref.toUpperCase(), of.lot));
  return run(
    app,
    { scope: 'donor', code, station: 'test', onConflict: refusal('stock-changed', {}) },
    async (edit, donor) => {
      const ref = of.ref.toUpperCase();
      const [old, found, overview] = await Promise.all([
        findPart(edit.tx, donor.id, ref),
        findLot(edit.tx, of.lot),
        donorOverview(edit.tx, donor),
      ]);
      if (!old) return refuse('part-not-logged', { ref });
      if (!found) return refuse('lot-gone', { code: of.lot });
      const { lot, ratings } = found;
      if (lot.onHand <= lot.reserved) return refuse('lot-none-free', { code: lot.code });
      const notDead = notDeadMessage(overview, 'harvest');
      if (notDead !== null && !overview.wentOn.includes('harvest'))
        return refuse('not-measured-dead', { message: notDead });
      if (judgement?.verdict !== 'good' && judgement?.verdict !== 'limits')
        return refuse('lot-unfit', { code: lot.code, ref, why: judgement?.why ?? 'it is no candidate' });
      const was = lotTitle({ kind: old.part.kind, marking: old.part.marking ?? '', ratings: old.ratings });
      const fitted = lotTitle({ kind: lot.kind, marking: lot.marking, ratings });
      await edit.ledger({
        lotId: lot.id,
        onHandDelta: -1,
        reservedDelta: 0,
        reason: 'used',
        note: `fitted as ${ref} of ${donor.code}`,
      });
      await retirePartRatings(edit, old.part.id);
      for (const { id } of old.measurements) await edit.remove('measurements', id);
      await edit.update('parts', old.part.id, {
        marking: lot.marking === '' ? null : lot.marking,
        package: lot.package,
        subtype: lot.subtype,
        technology: lot.technology,
        typeId: lot.typeId,
        damage: [],
        fitments: [...new Set([...old.part.fitments, 'replaced' as const])],
      });
      await recordPartRatings(edit, old.part.id, await ratingsOfLot(edit.tx, lot.id));
      await edit.insert('repairFacts', {
        donorId: donor.id,
        kind: 'fitted',
        ref,
        text: `${was}${old.part.damage.length > 0 ? ` (${old.part.damage.join(', ')})` : ''} replaced by ${fitted} of ${lot.code}`,
        createdMs: app.now(),
      });
      return `${ref} is ${fitted} of ${lot.code} now${judgement.verdict === 'limits' ? `, with limits: ${judgement.why}` : ''}`;
    },
  );
}
