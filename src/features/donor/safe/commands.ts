import { storeRole, storesFromParts } from '../../../core/safety';
import type { AppContext } from '../../../db/context';
import { findPart } from '../../../db/repositories/parts';
import { findStore } from '../../../db/repositories/stores';
import type { LatchedReading, ReadingForm, StoreForm, ToolNote } from './schema';
import { toPartFacts } from '../../../services/dossier';
import { refusal, refuse, run, type Outcome } from '../../../services/command';
import { record } from '../shared/writeRecord';

/** Adds a store of charge to a donor. */
export function addStore(app: AppContext, code: string, form: StoreForm): Promise<Outcome> {
  return run(
    app,
    {
      scope: 'donor',
      code,
      station: 'make-safe',
      onConflict: refusal('store-name-taken', { name: form.name }, 'name'),
    },
    async (edit, donor) => {
      await edit.insert('stores', { ...columnsOf(form), donorId: donor.id, createdMs: app.now() });
      return `${form.name} is listed as a store of charge.`;
    },
  );
}

/** Puts a store right; its readings stay with it. */
export function correctStore(app: AppContext, of: { code: string; name: string }, form: StoreForm): Promise<Outcome> {
  return run(
    app,
    {
      scope: 'donor',
      code: of.code,
      station: 'make-safe',
      onConflict: refusal('store-name-taken', { name: form.name }, 'name'),
    },
    async (edit, donor) => {
      const store = await findStore(edit.tx, donor.id, of.name);
      if (!store) return refuse('store-gone', { name: of.name });
      await edit.update('stores', store.id, columnsOf(form));
      return `${of.name} was put right.`;
    },
  );
}

function columnsOf(form: StoreForm) {
  const rated = form.ratedVoltage?.value ?? form.capacitance.ratedVoltage;
  return {
    name: form.name,
    role: form.role === '' ? storeRole({ name: form.name, ratedVoltage: rated }) : form.role,
    bank: form.capacitance.text,
    capacitanceF: form.capacitance.capacitance,
    ratedV: rated ?? null,
    ratedAc: form.ratedVoltage?.isAc ?? false,
    bleedOhm: form.bleed?.value ?? null,
    holdSource: form.holdSource === '' ? ('auto' as const) : form.holdSource,
    holdV: form.holdVoltage?.value ?? null,
  };
}

/** Adds a reading of a store; one without a time of its own was taken at `elapsed` seconds, if the stopwatch ran. */
export function readStore(
  app: AppContext,
  code: string,
  form: ReadingForm,
  elapsed: number | undefined = undefined,
): Promise<Outcome> {
  const seconds = form.elapsed?.value ?? elapsed;
  return record(app, { code, station: 'make-safe' }, [
    {
      kind: 'reading',
      store: form.store,
      voltage: form.voltage,
      ...(seconds === undefined ? {} : { elapsed: seconds }),
    },
  ]);
}

/** Adds a reading that was latched from the meter. */
export function latchReading(app: AppContext, code: string, { elapsed, ...latched }: LatchedReading): Promise<Outcome> {
  return record(app, { code, station: 'make-safe' }, [
    { kind: 'reading', ...latched, ...(elapsed === undefined ? {} : { elapsed }) },
  ]);
}

/** Deletes a store that is none; it can be undone. */
export function removeStore(app: AppContext, of: { code: string; name: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'make-safe' }, async (edit, donor) => {
    const store = await findStore(edit.tx, donor.id, of.name);
    if (!store) return refuse('store-gone', { name: of.name });
    await edit.remove('stores', store.id);
    return `${of.name} was deleted from the stores.`;
  });
}

/** Lists a capacitor of the parts log as a store. */
export function listPartAsStore(app: AppContext, of: { code: string; ref: string }): Promise<Outcome> {
  return run(
    app,
    { scope: 'donor', code: of.code, station: 'make-safe', onConflict: refusal('store-listed', { ref: of.ref }) },
    async (edit, donor) => {
      const found = await findPart(edit.tx, donor.id, of.ref);
      if (!found) return refuse('part-not-logged', { ref: of.ref });
      const offer = storesFromParts([toPartFacts(found)], [])[0];
      if (!offer) return refuse('store-too-small', { ref: of.ref });
      await edit.insert('stores', {
        donorId: donor.id,
        name: offer.ref,
        role: offer.role,
        capacitanceF: offer.capacitance,
        ratedV: offer.ratedVoltage ?? null,
        createdMs: app.now(),
      });
      return `${offer.ref} is listed as a store of charge.`;
    },
  );
}

/** Notes that the meter was checked on a known source, before and after the readings. */
export function noteMeterCheck(app: AppContext, code: string): Promise<Outcome> {
  return record(app, { code, station: 'make-safe' }, [{ kind: 'meter-check' }]);
}

/** Notes that a bleed tool is on a store, or off it when it has no ohms. */
export function noteTool(app: AppContext, code: string, { store, ohms }: ToolNote): Promise<Outcome> {
  return record(app, { code, station: 'make-safe' }, [
    { kind: 'tool', store, ...(ohms === undefined ? {} : { ohms }) },
  ]);
}
