import type { Weights } from '../../../core/advice';
import type { Nameplate } from '../../../core/nameplate';
import { kindFromDescription, mayTakeApart } from '../../../core/unit';
import type { AppContext } from '../../../db/context';
import { freshCode } from '../../../db/repositories/codes';
import { donorTitle } from '../../../db/repositories/donors';
import { plateOf } from '../../../db/repositories/plate';
import type { DonorForm, PlateForm } from './schema';
import { refuse, run, type Outcome } from '../../../services/command';
import { routes } from '../../../routes';

/** Makes a donor of a unit and gives it a code for its tag. */
export function registerDonor(app: AppContext, form: DonorForm): Promise<Outcome<{ code: string }>> {
  return run(app, { scope: 'new-donor' }, async (edit) => {
    const code = await freshCode(edit.tx, app, 'donor');
    await edit.insert('donors', { code, ...columns(form), createdMs: app.now() }, edit.donorId);
    return {
      message: `${donorTitle(form)} is on the bench as ${code}.`,
      value: { code },
      goto: routes.station(code, 'intake'),
    };
  });
}

/** Changes what is written of a donor. */
export function amendDonor(app: AppContext, code: string, form: DonorForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'intake' }, async (edit, donor) => {
    const before = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
    const after = mayTakeApart({ origin: form.originKind, clearance: form.clearance });
    const isOtherText = donor.plate !== null && form.nameplate !== donor.nameplate;
    if (isOtherText && form.plateCounts === '') return refuse('plate-or-text', {}, 'plateCounts');
    await edit.update('donors', donor.id, {
      ...columns(form),
      ...(isOtherText && form.plateCounts === 'text' ? { plate: null } : {}),
    });
    if (before.may || !after.may) return 'The sheet of the donor was changed.';
    if (form.clearanceReason === '') return refuse('clearance-reason-missing', {}, 'clearanceReason');
    await edit.insert('notes', {
      donorId: donor.id,
      station: 'intake',
      text: `Cleared to be taken apart: ${form.clearanceReason}`,
      question: false,
      createdMs: app.now(),
    });
    return `Cleared to be taken apart after all: ${form.clearanceReason}.`;
  });
}

/** Keeps the plate as a person put it right; null goes back to what the text says. */
export function amendPlate(app: AppContext, code: string, form: PlateForm | null): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'intake' }, async (edit, donor) => {
    const plate = form && corrected(plateOf(donor), form);
    await edit.update('donors', donor.id, { plate });
    return plate === null ? 'The plate is as its text reads.' : 'The plate was put right by hand.';
  });
}

function corrected({ totalPower: _total, ...rest }: Nameplate, { inputs, outputs, total }: PlateForm): Nameplate {
  return { ...rest, inputs, outputs, ...(total && { totalPower: total.value }) };
}

/** Archives a donor; it can be brought back. */
export function archiveDonor(app: AppContext, code: string): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'intake' }, async (edit, donor) => {
    await edit.remove('donors', donor.id);
    return { message: `${code} was archived.`, value: undefined, goto: routes.donors() };
  });
}

/** Brings a donor back out of the archive. */
export function restoreDonor(app: AppContext, code: string): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'intake', archived: true }, async (edit, donor) => {
    await edit.update('donors', donor.id, { deletedMs: null });
    return { message: `${code} is back on the bench.`, value: undefined, goto: routes.donor(code) };
  });
}

/** Keeps how much each reason counts in the advice, for the whole shop. */
export function keepWeights(app: AppContext, weights: Weights | null): Promise<Outcome> {
  return run(app, { scope: 'settings' }, async (edit) => {
    await edit.setting('weights', weights ?? undefined);
    return weights === null ? 'The weights are as shipped.' : 'The weights are kept for every unit.';
  });
}

function columns(form: DonorForm) {
  const {
    length,
    width,
    height,
    mass,
    ambient,
    fuse,
    switch: ownSwitch,
    thyristor,
    cable,
    inlet,
    plug,
    cooling,
    mounting,
    ripple,
    kind,
    clearanceReason: _reason,
    plateCounts: _counts,
    ...texts
  } = form;
  return {
    ...texts,
    kind: kind === '' ? (kindFromDescription(form.description) ?? 'other') : kind,
    lengthM: length?.value ?? null,
    widthM: width?.value ?? null,
    heightM: height?.value ?? null,
    massKg: mass?.value ?? null,
    ambientC: ambient?.value ?? null,
    fuseA: fuse?.value ?? null,
    switchA: ownSwitch?.value ?? null,
    thyristorA: thyristor?.value ?? null,
    inlet: inlet === '' ? null : inlet,
    fittings: {
      ...(plug && { plug }),
      ...(cooling && { cooling }),
      ...(mounting && { mounting }),
      ...(ripple && { ripple: ripple.value }),
    },
    cableM2: cable === '' ? null : Number(cable) * 1e-6,
  };
}
