import { describeRecord } from '../../../core/benchline';
import { storeRole } from '../../../core/safety';
import { addReading, findStore } from '../../../db/repositories/stores';
import { refusal, refuse } from '../../../services/command';
import type { RecordHandlers } from '../shared/recordHandler';

/** What stores charge, its timed readings, and power applied or taken away. */
export const safeRecords: RecordHandlers<'reading' | 'store' | 'power'> = {
  reading: {
    station: 'make-safe',
    async write(edit, record) {
      const store = await findStore(edit.tx, edit.donorId, record.store);
      if (!store) return refuse('store-unknown', { name: record.store });
      await addReading(edit, store, {
        voltage: record.voltage.value,
        resolution: record.voltage.resolution,
        elapsed: record.elapsed,
      });
      return describeRecord(record);
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
      return describeRecord(record);
    },
  },
};
