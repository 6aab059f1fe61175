import { mergeLimits } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import { mayTakeApart } from '../../../core/unit';
import type { Donor } from '../../../core/donor';
import type { AppContext } from '../../../db/context';
import { donorOverview } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { stockPiece } from '../../../db/repositories/lots';
import { findPart } from '../../../db/repositories/parts';
import { type TestContext, gradeReason, judgeRecord, ratingsForStock, testContext } from '../../../services/board';
import { notDeadMessage, openDossier } from '../../../services/dossier';
import { refuse, run, type Outcome } from '../../../services/command';

/**
 * Takes a part out of the board into a bin. Scrap does not go into stock, and unless every listed
 * store is measured dead the person must have said that they go on.
 */
export function takePart(
  app: AppContext,
  of: { code: string; ref: string; bin: string },
): Promise<Outcome<{ lot: string }>> {
  return run(app, { scope: 'donor', code: of.code, station: 'harvest' }, async (edit, donor) => {
    const ref = of.ref.toUpperCase();
    const isDead = await mayHarvest(edit, donor);
    const taken = await takeInto(edit, donor, {
      ref,
      bin: of.bin,
      context: await testContext(openDossier(edit.tx, donor, app.now())),
    });
    const { lot, label } = taken;
    const message = `${ref}, ${label}, went into bin ${of.bin} as lot ${lot}${isDead ? '' : ', though not measured dead'}.`;
    return { message, value: { lot } };
  });
}

/**
 * Refuses when hands have no business on the board: it is not cleared, or not measured dead and nobody said to go on.
 * @returns whether every listed store is measured dead
 */
export async function mayHarvest(edit: Edit, donor: Donor): Promise<boolean> {
  const right = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
  if (!right.may) return refuse('not-cleared', { why: right.why });
  const overview = await donorOverview(edit.tx, donor);
  const notDead = notDeadMessage(overview, 'harvest');
  if (notDead !== null && !overview.wentOn.includes('harvest'))
    return refuse('not-measured-dead', { message: notDead });
  return notDead === null;
}

/** Puts one part of the board into a bin, with its ratings, grade and limits. */
export async function takeInto(
  edit: Edit,
  donor: Donor,
  { ref, bin, context }: { ref: string; bin: string; context: TestContext },
): Promise<{ lot: string; label: string }> {
  const found = await findPart(edit.tx, donor.id, ref);
  if (!found) return refuse('part-not-logged', { ref }, 'ref');
  if (found.part.state === 'harvested') return refuse('part-already-taken', { ref }, 'ref');
  const judgement = judgeRecord(found, context);
  const { part } = found;
  refuseScrap({ ref, damage: part.damage, judgement }, 'ref');
  const lot = await stockPiece(edit, {
    partId: part.id,
    ref,
    kind: part.kind,
    subtype: part.subtype,
    technology: part.technology,
    marking: part.marking ?? '',
    package: part.package,
    typeId: part.typeId,
    grade: judgement?.grade ?? null,
    gradeReason: gradeReason(judgement),
    limits: mergeLimits(judgement?.limits ?? []),
    bin,
    ratings: ratingsForStock(found, context),
  });
  await edit.update('parts', part.id, { state: 'harvested' });
  return { lot, label: kindRule(part.kind).label };
}

/** Refuses a part that is condemned, under the field that names it; alone or on what it sits on, it is no stock. */
export function refuseScrap(
  { ref, damage, judgement }: { ref: string; damage: readonly string[]; judgement: ReturnType<typeof judgeRecord> },
  field: string,
): void {
  const worst = judgement?.reasons.find(({ severity }) => severity === 'reject');
  if (judgement?.verdict === 'scrap') refuse('part-scrap', { ref, why: worst?.text ?? '' }, field);
  const [word] = damage;
  if (word !== undefined) refuse('part-damaged', { ref, word }, field);
}
