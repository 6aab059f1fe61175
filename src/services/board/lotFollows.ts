import type { Donor, Part } from '../../core/donor';
import { mergeLimits, type Judgement } from '../../core/measure';
import type { Lot } from '../../core/stock';
import type { Edit } from '../../db/repositories/journal';
import { lotOfPart, setLotRatings, stockPiece } from '../../db/repositories/lots';
import { findPart } from '../../db/repositories/parts';
import { openDossier } from '../dossier';
import { gradeReason, judgeRecord, ratingsForStock } from './judgeRecord';
import { testContext } from './testContext';

/**
 * What a look or a reading does to the lot of a part that lies in stock already: a piece of its own takes the new grade, limits
 * and ratings; one of several leaves the lot for one that is like it; scrap goes out of stock. Where every piece is set aside
 * the lot itself is told of it, so that nothing set aside passes for better than it is.
 * @returns what became of the lot, in words; nothing when the part is not in stock or its lot stays as it is
 */
export async function lotFollows(edit: Edit, donor: Donor, ref: string): Promise<string | undefined> {
  const found = await findPart(edit.tx, donor.id, ref);
  if (found?.part.state !== 'harvested') return undefined;
  const { part } = found;
  const context = await testContext(openDossier(edit.tx, donor, edit.app.now()));
  const judgement = judgeRecord(found, context);
  if (!judgement) return undefined;
  const held = await lotOfPart(edit.tx, donor.id, part);
  if (!held) return undefined;
  const { lot } = held;
  if (lot.onHand === 0) return `; lot ${lot.code}, in which it was laid, is empty: nothing in stock is changed`;
  const isScrap = judgement.verdict === 'scrap' || part.damage.length > 0;
  if (held.isWhole) return isScrap ? condemn(edit, lot, `It holds ${ref}, which is scrap.`) : undefined;
  const facts = factsOf(judgement);
  const ratings = ratingsForStock(found, context);
  if (lot.onHand === 1) {
    if (isScrap) return lot.reserved > 0 ? condemn(edit, lot, facts.gradeReason) : takeOut(edit, lot, ref);
    const before = lot.grade;
    await edit.update('lots', lot.id, facts);
    await setLotRatings(edit, lot.id, ratings);
    return before === facts.grade ? undefined : `; lot ${lot.code} is ${gradeWords(facts.grade)} now`;
  }
  if (isSame(lot, facts)) return undefined;
  if (lot.onHand === lot.reserved) {
    const why = isScrap ? 'was measured since and is scrap' : `is ${gradeWords(facts.grade)} since`;
    await edit.update('lots', lot.id, { grade: null, gradeReason: `One of its pieces, ${ref}, ${why}: test each.` });
    return `; every piece of lot ${lot.code} is set aside, so the whole lot counts as not tested`;
  }
  await takeOut(edit, lot, ref, isScrap ? undefined : 'split');
  if (isScrap) return `; one piece went out of lot ${lot.code} as scrap`;
  const code = await stockPiece(
    edit,
    { ...pieceOf(part), ...facts, ratings, bin: held.bin },
    { reason: 'split', note: `${ref} measured since, from ${lot.code}` },
  );
  return `; it went out of lot ${lot.code} into ${code}, ${gradeWords(facts.grade)}`;
}

function factsOf(judgement: Judgement): Pick<Lot, 'grade' | 'gradeReason' | 'limits'> {
  return {
    grade: judgement.grade ?? null,
    gradeReason: gradeReason(judgement),
    limits: mergeLimits(judgement.limits),
  };
}

const isSame = (lot: Lot, { grade, limits }: Pick<Lot, 'grade' | 'limits'>) =>
  lot.grade === grade && JSON.stringify(lot.limits) === JSON.stringify(limits);

const gradeWords = (grade: Lot['grade']) => (grade === null ? 'open, to be tested again' : `grade ${grade}`);

const pieceOf = ({ id, ref, kind, subtype, technology, marking, package: case_, typeId }: Part) => ({
  partId: id,
  ref,
  kind,
  subtype,
  technology,
  marking: marking ?? '',
  package: case_,
  typeId,
});

/** A lot that is set aside cannot leave stock; it is refused wherever it is matched. */
async function condemn(edit: Edit, lot: Lot, why: string): Promise<string> {
  await edit.update('lots', lot.id, { grade: 'reject', gradeReason: why, limits: [] });
  return `; lot ${lot.code} is scrap now${lot.reserved > 0 ? ', and is set aside for a build: give it back there' : ''}`;
}

async function takeOut(edit: Edit, lot: Lot, ref: string, reason: 'taken' | 'split' = 'taken'): Promise<string> {
  const note = reason === 'taken' ? `${ref} was measured since: scrap` : `${ref} measured since`;
  await edit.ledger({ lotId: lot.id, onHandDelta: -1, reservedDelta: 0, reason, note });
  return `; it went out of lot ${lot.code} as scrap`;
}
