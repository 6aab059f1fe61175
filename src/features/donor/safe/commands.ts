import { storeRole, storesFromParts } from '../../../core/safety';
import type { Bench } from '../../../db/context';
import { findPart } from '../../../db/repositories/parts';
import { findStore } from '../../../db/repositories/stores';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { ReadingForm, StoreForm } from '../schema';
import { toPartFacts } from '../../../services/dossier/partFacts';
import { editDonor, refuse } from '../../../services/command/outcome';
import { record } from '../shared/recordLine';

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
      const rated = form.ratedVoltage?.value ?? form.capacitance.ratedVoltage;
      await edit.insert('stores', {
        donorId: donor.id,
        name: form.name,
        role: form.role === '' ? storeRole({ name: form.name, ratedVoltage: rated }) : form.role,
        bank: form.capacitance.text,
        capacitanceF: form.capacitance.capacitance,
        ratedV: rated ?? null,
        bleedOhm: form.bleed?.value ?? null,
        holdSource: form.holdSource === '' ? 'auto' : form.holdSource,
        holdV: form.holdVoltage?.value ?? null,
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

/** Notes that power was put to a unit, or taken away: what was read before says nothing any more. */
export function notePower(bench: Bench, of: { code: string; applied: boolean }): Promise<FormOutcome> {
  return record(bench, { code: of.code, station: 'make-safe' }, { kind: 'power', applied: of.applied });
}

/** Lists a capacitor of the parts log as a store. */
export function listPartAsStore(bench: Bench, of: { code: string; ref: string }): Promise<FormOutcome> {
  return editDonor(
    bench,
    {
      code: of.code,
      station: 'make-safe',
      taken: { message: `${of.ref} is listed as a store already.` },
    },
    async (edit, donor) => {
      const found = await findPart(edit.tx, donor.id, of.ref);
      if (!found) return refuse(`${of.ref} is not logged on this donor.`);
      const offer = storesFromParts([toPartFacts(found)], [])[0];
      if (!offer) return refuse(`${of.ref} is no capacitor that stores a charge worth the name.`);
      await edit.insert('stores', {
        donorId: donor.id,
        name: offer.ref,
        role: offer.role,
        capacitanceF: offer.capacitance,
        ratedV: offer.ratedVoltage ?? null,
        createdMs: bench.now(),
      });
      return `${offer.ref} is listed as a store of charge.`;
    },
  );
}
