import { mergeLimits } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import { mayTakeApart } from '../../../core/unit';
import type { Bench } from '../../../db/bench';
import { donorOverview } from '../../../db/repositories/donors';
import { stockPiece } from '../../../db/repositories/lots';
import { findPart } from '../../../db/repositories/parts';
import type { FormOutcome } from '../../../ui/form/outcome';
import { judgeRecord, ratingsForStock } from '../judgeRecord';
import { testContext } from '../testContext';
import { notDeadSays } from '../notDead';
import { editDonor, refuse } from './outcome';

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
    const found = await findPart(edit.tx, donor.id, ref);
    if (!found) return refuse(`${ref} is not logged on this donor.`, 'ref');
    if (found.part.state === 'harvested') return refuse(`${ref} was taken already.`, 'ref');
    const right = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
    if (!right.may)
      return refuse(
        `${right.why} No lot can be made of it. If that has changed, say so at Intake, with who cleared it.`,
      );
    const overview = await donorOverview(edit.tx, donor);
    const notDead = notDeadSays(overview);
    if (notDead !== null && !overview.wentOn.includes('harvest'))
      return refuse(`${notDead}. Measure first, or say that you go on.`);
    const context = await testContext(edit.tx, donor);
    const judgement = judgeRecord(found, context);
    const worst = judgement?.reasons.find(({ severity }) => severity === 'reject');
    if (judgement?.verdict === 'scrap')
      return refuse(`${ref} is scrap and does not go into stock. ${worst?.text ?? ''}`, 'ref');
    const { part } = found;
    lot = await stockPiece(edit, {
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
      bin: of.bin,
      ratings: ratingsForStock(found, context),
    });
    await edit.update('parts', part.id, { state: 'harvested' });
    const allTheSame = notDead === null ? '' : ', though not measured dead';
    return `${ref}, ${kindRule(part.kind).label}, went into bin ${of.bin} as lot ${lot}${allTheSame}.`;
  });
  return outcome.ok && lot ? { ...outcome, lot } : outcome;
}

function gradeReason(judgement: ReturnType<typeof judgeRecord>): string {
  if (!judgement) return 'Not tested yet.';
  const said = judgement.reasons.filter(({ severity }) => severity !== 'ok');
  return (said.length > 0 ? said : judgement.reasons).map(({ text }) => text).join(' ');
}
