import { mergeLimits } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import { mayTakeApart } from '../../../core/unit';
import type { Bench } from '../../../db/context';
import { donorOverview, type Donor } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { stockPiece } from '../../../db/repositories/lots';
import { findPart } from '../../../db/repositories/parts';
import type { FormOutcome } from '../../../ui/form/outcome';
import { judgeRecord, ratingsForStock } from '../../../services/board/judgeRecord';
import { notDeadSays } from '../../../services/dossier/notDead';
import { testContext, type TestContext } from '../../../services/board/testContext';
import { editDonor, refuse } from '../../../services/command/outcome';

/**
 * Takes a part out of the board into a bin. Scrap does not go into stock, and unless every listed
 * store is measured dead the person must have said that they go on.
 */
export async function takePart(
  bench: Bench,
  of: { code: string; ref: string; bin: string },
): Promise<FormOutcome & { lot?: string }> {
  let lot: string | undefined;
  const outcome = await editDonor(bench, { code: of.code, station: 'harvest' }, async (edit, donor) => {
    const ref = of.ref.toUpperCase();
    const isDead = await mayHarvest(edit, donor);
    const taken = await takeInto(edit, donor, { ref, bin: of.bin, context: await testContext(edit.tx, donor) });
    lot = taken.lot;
    return `${ref}, ${taken.label}, went into bin ${of.bin} as lot ${lot}${isDead ? '' : ', though not measured dead'}.`;
  });
  return outcome.ok && lot ? { ...outcome, lot } : outcome;
}

/**
 * Refuses when hands have no business on the board: it is not cleared, or not measured dead and nobody said to go on.
 * @returns whether every listed store is measured dead
 */
export async function mayHarvest(edit: Edit, donor: Donor): Promise<boolean> {
  const right = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
  if (!right.may)
    return refuse(`${right.why} No lot can be made of it. If that has changed, say so at Intake, with who cleared it.`);
  const overview = await donorOverview(edit.tx, donor);
  const notDead = notDeadSays(overview);
  if (notDead !== null && !overview.wentOn.includes('harvest'))
    return refuse(`${notDead}. Measure first, or say that you go on.`);
  return notDead === null;
}

/** Puts one part of the board into a bin, with its ratings, grade and limits. */
export async function takeInto(
  edit: Edit,
  donor: Donor,
  { ref, bin, context }: { ref: string; bin: string; context: TestContext },
): Promise<{ lot: string; label: string }> {
  const found = await findPart(edit.tx, donor.id, ref);
  if (!found) return refuse(`${ref} is not logged on this donor.`, 'ref');
  if (found.part.state === 'harvested') return refuse(`${ref} was taken already.`, 'ref');
  const judgement = judgeRecord(found, context);
  const worst = judgement?.reasons.find(({ severity }) => severity === 'reject');
  if (judgement?.verdict === 'scrap')
    return refuse(`${ref} is scrap and does not go into stock. ${worst?.text ?? ''}`, 'ref');
  const { part } = found;
  if (part.damage.includes('broken')) return refuse(`${ref} is broken and does not go into stock.`, 'ref');
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

function gradeReason(judgement: ReturnType<typeof judgeRecord>): string {
  if (!judgement) return 'Not tested yet.';
  const said = judgement.reasons.filter(({ severity }) => severity !== 'ok');
  return (said.length > 0 ? said : judgement.reasons).map(({ text }) => text).join(' ');
}
