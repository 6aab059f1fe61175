import { describeRecord, type BenchRecord } from '../../../core/benchline';
import { storeRole } from '../../../core/safety';
import type { StationName } from '../../../core/station';
import type { Edit } from '../../../db/repositories/journal';
import { addMeasurement, findPart, findType, isNumbered, logPart } from '../../../db/repositories/parts';
import { recordPartRatings, type NewRating } from '../../../db/repositories/ratings';
import { powerHistory } from '../../../db/repositories/power';
import { addSoakRow } from '../../../db/repositories/soaks';
import { addReading, findStore } from '../../../db/repositories/stores';
import { refuse } from './outcome';

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
  };
  return stations[record.kind];
}

/** Stores one record of the bench. Returns what was done, in a sentence without its stop. */
export async function writeRecord(edit: Edit, record: BenchRecord): Promise<string> {
  const says = describeRecord(record);
  switch (record.kind) {
    case 'part': {
      const partId = await logPart(edit, { ...record, kind: record.partKind });
      await recordPartRatings(edit, partId, record.ratings);
      const recalled = record.marking ? await recallType(edit, partId, record.partKind, record.marking) : 0;
      return recalled > 0 ? `${says}; this number is known, ${recalled} ratings recalled` : says;
    }
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
      await edit.insert('notes', {
        donorId: edit.donorId,
        station: edit.station,
        text: record.text,
        question: record.question,
        createdMs: edit.bench.now(),
      });
      return says;
  }
}

/** A part of the donor, or a refusal. */
export async function knownPart(edit: Edit, ref: string) {
  const found = await findPart(edit.tx, edit.donorId, ref.toUpperCase());
  if (!found) return refuse(`${ref.toUpperCase()} is not logged on this donor.`);
  return found.part;
}

/** Gives a part what is already known of its number. Returns how many ratings that were. */
async function recallType(edit: Edit, partId: string, kind: Parameters<typeof isNumbered>[0], marking: string) {
  const type = isNumbered(kind) ? await findType(edit.tx, kind, marking) : undefined;
  if (!type) return 0;
  await edit.update('parts', partId, { typeId: type.id, technology: type.technology });
  const ratings = Object.entries(type.ratings).map(([name, rating]) => ({ name, ...rating }) as NewRating);
  await recordPartRatings(edit, partId, ratings);
  return ratings.length;
}
