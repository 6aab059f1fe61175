import { storeRole } from '../../../core/safety';
import type { Bench } from '../../../db/bench';
import { findStore } from '../../../db/repositories/stores';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { ReadingForm, StoreForm } from '../schema';
import { editDonor, refuse } from './outcome';
import { record } from './recordLine';

/** Adds a store of charge to a donor. */
export function addStore(bench: Bench, code: string, form: StoreForm): Promise<FormOutcome> {
  return editDonor(
    bench,
    {
      code,
      station: 'make-safe',
      taken: { field: 'name', message: `There is a store ${form.name} already. Choose another name.` },
    },
    async (edit, donor) => {
      await edit.insert('stores', {
        donorId: donor.id,
        name: form.name,
        role: form.role === '' ? storeRole({ name: form.name, ratedVoltage: form.ratedVoltage?.value }) : form.role,
        capacitanceF: form.capacitance.value,
        ratedV: form.ratedVoltage?.value ?? null,
        bleedOhm: form.bleed?.value ?? null,
        createdMs: bench.now(),
      });
      return `${form.name} is listed as a store of charge.`;
    },
  );
}

/** Adds a reading of a store. */
export function readStore(bench: Bench, code: string, form: ReadingForm): Promise<FormOutcome> {
  return record(
    bench,
    { code, station: 'make-safe' },
    {
      kind: 'reading',
      store: form.store,
      voltage: form.voltage,
      ...(form.elapsed === undefined ? {} : { elapsed: form.elapsed.value }),
    },
  );
}

/** Strikes a store that is none; it can be taken back. */
export function strikeStore(bench: Bench, of: { code: string; name: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'make-safe' }, async (edit, donor) => {
    const store = await findStore(edit.tx, donor.id, of.name);
    if (!store) return refuse(`${of.name} is not a store of this donor any more.`);
    await edit.remove('stores', store.id);
    return `${of.name} was struck from the stores.`;
  });
}
