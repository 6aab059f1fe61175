import { splitPin } from '../../../core/board';
import { describeRecord, type BenchRecord } from '../../../core/benchline';
import { storeRole } from '../../../core/safety';
import type { StationName } from '../../../core/station';
import type { Evidenced } from '../../../core/evidence';
import { decodeMarking } from '../../../core/marking';
import { senseCheck } from '../../../core/sense';
import { addBoardFact, fixedOn, listBoardFacts } from '../../../db/repositories/boardFacts';
import type { Donor } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { listPhotos, listPinSpots } from '../../../db/repositories/photos';
import { addNote, moveNote, openNoteOn } from '../../../db/repositories/notes';
import { addMeasurement, findPart, isReferenceTaken, logPart, type Part } from '../../../db/repositories/parts';
import { findType, isNumbered } from '../../../db/repositories/types';
import { recordPartRatings, type NewRating } from '../../../db/repositories/ratings';
import { powerHistory } from '../../../db/repositories/power';
import { addSoakRow } from '../../../db/repositories/soaks';
import { addReading, findStore } from '../../../db/repositories/stores';
import { donorStress } from '../../../services/board/donorStress';
import { refuse } from '../../../services/command/outcome';

/** The station a record belongs to; a note belongs to where it was made. */
export function stationOf(record: BenchRecord, here: StationName): StationName {
  const stations: Readonly<Record<BenchRecord['kind'], StationName>> = {
    part: 'identify',
    value: 'identify',
    measurement: 'test',
    reading: 'make-safe',
    store: 'make-safe',
    power: 'make-safe',
    soak: 'intake',
    note: here,
    claim: here,
    standing: here,
    join: 'trace',
    sweep: 'trace',
    fix: 'trace',
    strike: 'identify',
    rename: 'identify',
  };
  return stations[record.kind];
}

/** Stores one record of the bench. Returns what was done, in a sentence without its stop. */
export async function writeRecord(edit: Edit, record: BenchRecord): Promise<string> {
  const says = describeRecord(record);
  switch (record.kind) {
    case 'part':
      return writeParts(edit, record, says);
    case 'value': {
      const kept = await recordPartRatings(edit, (await knownPart(edit, record.ref)).id, record.ratings);
      return kept.length > 0 ? `${says}; kept as history, since a stronger value stands` : says;
    }
    case 'measurement':
      await addMeasurement(edit, (await knownPart(edit, record.ref)).id, record);
      return says;
    case 'reading': {
      const store = await findStore(edit.tx, edit.donorId, record.store);
      if (!store) return refuse(`${record.store} is not an energy store of this donor.`);
      await addReading(edit, store, {
        voltage: record.voltage.value,
        resolution: record.voltage.resolution,
        elapsed: record.elapsed,
      });
      return says;
    }
    case 'store':
      await edit.insert('stores', {
        donorId: edit.donorId,
        name: record.name,
        role: record.role ?? storeRole(record),
        bank: record.bank ?? '',
        capacitanceF: record.capacitance,
        ratedV: record.ratedVoltage ?? null,
        bleedOhm: record.bleed ?? null,
        createdMs: edit.bench.now(),
      });
      return says;
    case 'power':
      await edit.insert('powerEvents', { donorId: edit.donorId, applied: record.applied, atMs: edit.bench.now() });
      return says;
    case 'soak': {
      await addSoakRow(edit, {
        inputW: record.watts ?? null,
        caseC: record.celsius ?? null,
        outputV: record.volts ?? null,
        loadA: record.load ?? null,
        remark: record.remark,
        elapsed: record.elapsed,
      });
      const { appliedAt, removedAt } = await powerHistory(edit.tx, edit.donorId);
      const on = appliedAt !== undefined && (removedAt === undefined || removedAt < appliedAt);
      // A run under load is power applied, whether or not anyone said so.
      if (on) return says;
      await edit.insert('powerEvents', { donorId: edit.donorId, applied: true, atMs: edit.bench.now(), note: 'soak' });
      return `${says}; power is on, so no store counts as dead`;
    }
    case 'note':
    case 'claim':
      await addNote(edit, {
        text: record.text,
        ref: record.ref,
        question: record.kind === 'note' && record.question,
        claim: record.kind === 'claim',
        station: edit.station,
      });
      return says;
    case 'standing': {
      const note = await openNoteOn(edit.tx, edit.donorId, record.ref);
      if (!note) return refuse(`Nothing is claimed or asked about ${record.ref} that is still open.`);
      await moveNote(edit, note, record);
      return `${record.ref}: “${note.text}” is ${record.standing}${record.because ? `, ${record.because}` : ''}`;
    }
    case 'join':
      for (const [index, b] of record.pins.slice(1).entries())
        await addBoardFact(edit, {
          relation: record.relation,
          a: record.pins[index] ?? '',
          b,
          ohms: record.ohms,
          drop: record.drop,
        });
      return says;
    case 'sweep':
      await addBoardFact(edit, { relation: 'swept', a: record.pin });
      return says;
    case 'fix': {
      await knownPart(edit, record.ref);
      const earlier = await fixedOn(edit.tx, edit.donorId, record.ref);
      if (earlier) await edit.remove('boardFacts', earlier.id);
      await addBoardFact(edit, { relation: 'fixed', a: record.ref, b: record.as });
      return says;
    }
    case 'strike': {
      const part = await knownPart(edit, record.ref);
      if (part.state === 'harvested') return refuse(`${part.ref} is in stock; strike it there.`);
      await edit.remove('parts', part.id);
      return says;
    }
    case 'rename': {
      if (await isReferenceTaken(edit.tx, edit.donorId, record.to))
        return refuse(`There is a part ${record.to} already.`);
      await edit.update('parts', (await knownPart(edit, record.ref)).id, { ref: record.to });
      await renameOnBoard(edit, record);
      return says;
    }
  }
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

/** Why a part that was just written does not fit where it sits, if it does not. */
export async function doubtOf(edit: Edit, donor: Donor, record: BenchRecord): Promise<string | undefined> {
  if (record.kind !== 'part' && record.kind !== 'value') return undefined;
  const found = await findPart(edit.tx, donor.id, record.ref);
  if (!found) return undefined;
  const ratings = Object.fromEntries(Object.entries(found.ratings).map(([name, { value }]) => [name, value]));
  const worst = senseCheck({ ...found.part, ratings }, await donorStress(edit.tx, donor))[0];
  return worst?.severity === 'wrong' ? worst.says : undefined;
}

type PartEntry = Extract<BenchRecord, { kind: 'part' }>;

/** Logs a part, or every part of a range, as said: what another part is like first, then the words, then what its number is known for. */
async function writeParts(edit: Edit, record: PartEntry, says: string): Promise<string> {
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
  return recalled > 0 ? `${says}; this number is known, ${recalled} ratings recalled` : says;
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

/** A part of the donor, or a refusal. */
export async function knownPart(edit: Edit, ref: string) {
  const found = await findPart(edit.tx, edit.donorId, ref.toUpperCase());
  if (!found) return refuse(`${ref.toUpperCase()} is not logged on this donor.`);
  return found.part;
}

/** Gives a part what is already known of its number. Returns how many ratings that were. */
async function recallType(edit: Edit, partId: string, kind: Parameters<typeof isNumbered>[0], marking: string) {
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
