import { describeRecord } from '../../../core/benchline';
import { storeRole, type Store } from '../../../core/safety';
import type { Edit } from '../../../db/repositories/journal';
import { findPart } from '../../../db/repositories/parts';
import { addReading, findStore, listStores } from '../../../db/repositories/stores';
import { refusal, refuse } from '../../../services/command';
import type { RecordHandlers } from '../shared/recordHandler';

/** What stores charge, its timed readings, and power applied or taken away. */
export const safeRecords: RecordHandlers<'reading' | 'store' | 'power' | 'meter-check' | 'tool'> = {
  reading: {
    station: 'make-safe',
    async write(edit, record) {
      const known = await findStore(edit.tx, edit.donorId, record.store);
      const store = known ?? (await storeFromPart(edit, record.store));
      await addReading(edit, store, {
        voltage: record.voltage.value,
        resolution: record.voltage.resolution,
        elapsed: record.elapsed,
      });
      return known ? describeRecord(record) : `${record.store} is listed as a store; ${describeRecord(record)}`;
    },
  },
  store: {
    station: 'make-safe',
    onConflict: ({ name }) => refusal('store-name-taken', { name }, 'name'),
    async write(edit, record) {
      await edit.insert('stores', {
        donorId: edit.donorId,
        name: record.name,
        role: record.role ?? storeRole(record),
        bank: record.bank ?? '',
        capacitanceF: record.capacitance,
        ratedV: record.ratedVoltage ?? null,
        ratedAc: record.ratedInAc ?? false,
        bleedOhm: record.bleed ?? null,
        createdMs: edit.app.now(),
      });
      return describeRecord(record);
    },
  },
  power: {
    station: 'make-safe',
    async write(edit, record) {
      await edit.insert('powerEvents', { donorId: edit.donorId, applied: record.applied, atMs: edit.app.now() });
      const bled = record.applied ? await bledStores(edit) : [];
      return bled.length === 0
        ? describeRecord(record)
        : `${describeRecord(record)}; the bleed tool is still on ${bled.join(' and ')}: unplug it and take the tool off`;
    },
  },
  'meter-check': {
    station: 'make-safe',
    async write(edit, record) {
      await edit.insert('meterChecks', { donorId: edit.donorId, atMs: edit.app.now() });
      return describeRecord(record);
    },
  },
  tool: {
    station: 'make-safe',
    async write(edit, record) {
      const store = await findStore(edit.tx, edit.donorId, record.store);
      if (!store) return refuse('store-unknown', { name: record.store });
      await edit.update('stores', store.id, { toolOhm: record.ohms ?? null });
      return describeRecord(record);
    },
  },
};

/** Names of the stores that a bleed tool is on. */
async function bledStores(edit: Edit): Promise<string[]> {
  const stores = await listStores(edit.tx, edit.donorId);
  return stores.flatMap(({ store }) => (store.toolOhm === null ? [] : [store.name]));
}

/** A capacitor that was read is a store from then on, with what is printed on it. */
async function storeFromPart(edit: Edit, name: string): Promise<Store> {
  const found = await findPart(edit.tx, edit.donorId, name);
  if (found?.part.kind !== 'capacitor') return refuse('store-unknown', { name });
  const capacitance = found.ratings.capacitance?.value ?? 0;
  const ratedVoltage = found.ratings.voltage?.value;
  await edit.insert('stores', {
    donorId: edit.donorId,
    name,
    role: storeRole({ name, ratedVoltage }),
    bank: '',
    capacitanceF: capacitance,
    ratedV: ratedVoltage ?? null,
    bleedOhm: null,
    createdMs: edit.app.now(),
  });
  return (await findStore(edit.tx, edit.donorId, name)) ?? refuse('store-unknown', { name });
}
