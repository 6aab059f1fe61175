import type { Weights } from '../../../core/advice';
import type { Nameplate } from '../../../core/nameplate';
import { kindFromDescription, mayTakeApart } from '../../../core/unit';
import type { Bench } from '../../../db/context';
import { freshCode } from '../../../db/repositories/codes';
import { donorTitle, findPutAway } from '../../../db/repositories/donors';
import { recordEdit } from '../../../db/repositories/journal';
import { resetSetting, writeSettings } from '../../../db/repositories/settings';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { DonorForm } from '../schema';
import { editDonor, refuse } from '../../../services/command/outcome';

/** Makes a donor of a unit and gives it a code for its tag. */
export async function registerDonor(bench: Bench, form: DonorForm): Promise<FormOutcome & { ok: true; code: string }> {
  return bench.db.write(async (tx) => {
    const id = bench.newKey();
    const code = await freshCode(tx, bench, 'donor');
    const { journalId, says } = await recordEdit(bench, { donorId: id, station: 'intake' }, async (edit) => {
      await edit.insert('donors', { code, ...columns(form), createdMs: bench.now() }, id);
      return `${donorTitle(form)} is on the bench as ${code}`;
    });
    return { ok: true, says: `${says}.`, undo: journalId, goto: `/donors/${code}/intake`, code };
  });
}

/** Changes what is written of a donor. */
export function amendDonor(bench: Bench, code: string, form: DonorForm): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'intake' }, async (edit, donor) => {
    const before = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
    const after = mayTakeApart({ origin: form.originKind, clearance: form.clearance });
    await edit.update('donors', donor.id, columns(form));
    if (before.may || !after.may) return 'The sheet of the donor was changed';
    if (form.clearanceReason === '')
      return refuse('It was not cleared to be taken apart. Say who cleared it, or what changed.', 'clearanceReason');
    await edit.insert('notes', {
      donorId: donor.id,
      station: 'intake',
      text: `Cleared to be taken apart: ${form.clearanceReason}`,
      question: false,
      createdMs: bench.now(),
    });
    return `Cleared to be taken apart after all: ${form.clearanceReason}`;
  });
}

/** Keeps the plate as a person put it right; null goes back to what the text says. */
export function amendPlate(bench: Bench, code: string, plate: Nameplate | null): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'intake' }, async (edit, donor) => {
    await edit.update('donors', donor.id, { plate });
    return plate === null ? 'The plate is as its text reads.' : 'The plate was put right by hand.';
  });
}

/** Puts a donor into the waste bin; it can be taken back. */
export function discardDonor(bench: Bench, code: string): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'intake', goto: '/donors' }, async (edit, donor) => {
    await edit.remove('donors', donor.id);
    return `${code} was put away`;
  });
}

/** Takes a donor out of the waste bin. */
export async function bringBackDonor(bench: Bench, code: string): Promise<FormOutcome> {
  const donor = await findPutAway(bench.db.read, code);
  if (!donor) return { ok: false, problems: [{ message: `${code} is not in the waste bin.` }] };
  const { journalId, says } = await recordEdit(bench, { donorId: donor.id, station: 'intake' }, async (edit) => {
    await edit.update('donors', donor.id, { deletedMs: null });
    return `${code} is back on the bench`;
  });
  return { ok: true, says: `${says}.`, undo: journalId, goto: `/donors/${code}` };
}

/** Keeps how much each reason counts in the advice, for the whole shop. */
export async function keepWeights(bench: Bench, weights: Weights | null): Promise<FormOutcome> {
  if (weights === null) await resetSetting(bench, 'weights');
  else await writeSettings(bench, { weights });
  return { ok: true, says: weights === null ? 'The weights are as shipped.' : 'The weights are kept for every unit.' };
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
    kind,
    clearanceReason: _reason,
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
    cableM2: cable === '' ? null : Number(cable) * 1e-6,
  };
}
