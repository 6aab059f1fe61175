import { counted } from '../../../core/quantity';
import type { Donor, Part } from '../../../core/donor';
import { splitPin } from '../../../core/board';
import { describeRecord, windingPairs, type BenchRecord } from '../../../core/benchline';
import type { Evidenced } from '../../../core/evidence';
import { decodeMarking } from '../../../core/marking';
import type { KindName } from '../../../core/part';
import { senseCheck } from '../../../core/sense';
import { addBoardFact, listBoardFacts } from '../../../db/repositories/boardFacts';
import type { Edit } from '../../../db/repositories/journal';
import { findPart, isReferenceTaken, logPart } from '../../../db/repositories/parts';
import { listPhotos, listPinSpots } from '../../../db/repositories/photos';
import { recordPartRatings, type NewRating } from '../../../db/repositories/ratings';
import { findType, isNumbered } from '../../../db/repositories/types';
import { donorStress } from '../../../services/board';
import { refuse } from '../../../services/command';
import { openDossier } from '../../../services/dossier';
import { knownPart } from '../shared/knownPart';
import type { RecordHandlers } from '../shared/recordHandler';

/** Parts logged, their ratings, and parts deleted or renamed. */
export const identifyRecords: RecordHandlers<'part' | 'value' | 'delete' | 'rename'> = {
  part: { station: 'identify', write: writeParts },
  value: {
    station: 'identify',
    async write(edit, record) {
      const kept = await recordPartRatings(edit, (await knownPart(edit, record.ref)).id, record.ratings);
      const done = describeRecord(record);
      return kept.length > 0 ? `${done}; kept as history, since a stronger value stands` : done;
    },
  },
  delete: {
    station: 'identify',
    async write(edit, record) {
      await deletePart(edit, record.ref);
      return describeRecord(record);
    },
  },
  rename: {
    station: 'identify',
    async write(edit, record) {
      if (await isReferenceTaken(edit.tx, edit.donorId, record.to)) return refuse('part-exists', { ref: record.to });
      await edit.update('parts', (await knownPart(edit, record.ref)).id, { ref: record.to });
      await renameOnBoard(edit, record);
      return describeRecord(record);
    },
  },
};

/** Takes a part out of the log. What went into stock stays logged. */
export async function deletePart(edit: Edit, ref: string): Promise<Part> {
  const part = await knownPart(edit, ref);
  if (part.state === 'harvested') return refuse('part-in-stock', { ref: part.ref });
  await edit.remove('parts', part.id);
  return part;
}

/** Why a part that was just written down cannot stand where it sits, if it does not. */
export async function misfitOf(edit: Edit, donor: Donor, record: BenchRecord): Promise<string | undefined> {
  if (record.kind !== 'part' && record.kind !== 'value') return undefined;
  const found = await findPart(edit.tx, donor.id, record.ref);
  if (!found) return undefined;
  const ratings = Object.fromEntries(Object.entries(found.ratings).map(([name, { value }]) => [name, value]));
  const worst = senseCheck(
    { ...found.part, ratings },
    await donorStress(openDossier(edit.tx, donor, edit.app.now())),
  )[0];
  return worst?.severity === 'wrong' ? worst.message : undefined;
}

type PartEntry = Extract<BenchRecord, { kind: 'part' }>;

/** Logs a part, or every part of a range, as said: what another part is like first, then the words, then what its number is known for. */
async function writeParts(edit: Edit, record: PartEntry): Promise<string> {
  const model = record.like ? await findPart(edit.tx, edit.donorId, record.like) : undefined;
  let recalled = 0;
  for (const ref of [record.ref, ...(record.others ?? [])]) {
    const said = model ? { ...likeness(model.part), ...record } : record;
    const partId = await logPart(edit, { ...said, ref, kind: record.partKind });
    const copied = model ? Object.entries(model.ratings).map(asRating).filter(isCopied) : [];
    await recordPartRatings(edit, partId, [...copied, ...record.ratings]);
    const marking = said.marking;
    const known = marking ? await recallType(edit, partId, record.partKind, marking) : 0;
    recalled = Math.max(recalled, known);
  }
  for (const [a, b] of windingPairs(record)) await addBoardFact(edit, { relation: 'through', a, b });
  const done = describeRecord(record);
  return recalled > 0 ? `${done}; this number is known, ${counted(recalled, 'rating')} recalled` : done;
}

/** What a part hands on to one that is like it: not its damage, its state or its date code. */
function likeness({ subtype, package: case_, marking, block, duty }: Part) {
  return {
    ...(subtype ? { subtype } : {}),
    ...(case_ ? { package: case_ } : {}),
    ...(marking ? { marking } : {}),
    ...(block ? { block } : {}),
    ...(duty ? { duty } : {}),
  };
}

const asRating = ([name, rating]: [string, Evidenced]) => ({ name, ...rating }) as NewRating;
/** What one part measured is that part's own. */
const isCopied = ({ source }: NewRating) => source !== 'measured';

/** Gives a part what is already known of its number. Returns how many ratings that were. */
async function recallType(edit: Edit, partId: string, kind: KindName, marking: string) {
  if (!isNumbered(kind)) return 0;
  // A date code or a maker’s letters beside the number do not hide it.
  const [best] = decodeMarking(marking, { kind });
  const known =
    (await findType(edit.tx, kind, marking)) ?? (best && (await findType(edit.tx, kind, best.readAs ?? best.number)));
  if (!known) return 0;
  await edit.update('parts', partId, { typeId: known.type.id, technology: known.type.technology });
  const ratings = Object.entries(known.ratings).map(asRating);
  await recordPartRatings(edit, partId, ratings);
  return ratings.length;
}

/** What was probed, fixed and placed under a part's old name goes on under the new one. */
async function renameOnBoard(edit: Edit, { ref, to }: { ref: string; to: string }) {
  const renamed = (name: string) => {
    const [own, pin] = splitPin(name);
    return own !== ref ? name : pin === '' ? to : `${to}.${pin}`;
  };
  for (const { id, a, b } of await listBoardFacts(edit.tx, edit.donorId))
    if (renamed(a) !== a || renamed(b) !== b) await edit.update('boardFacts', id, { a: renamed(a), b: renamed(b) });
  const photos = await listPhotos(edit.tx, edit.donorId);
  const spots = await listPinSpots(
    edit.tx,
    photos.map(({ photo }) => photo.id),
  );
  for (const { id, pin } of spots) if (renamed(pin) !== pin) await edit.update('pinSpots', id, { pin: renamed(pin) });
}
