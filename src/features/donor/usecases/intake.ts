import type { Bench } from '../../../db/bench';
import { freshCode } from '../../../db/repositories/codes';
import { donorTitle, findPutAway } from '../../../db/repositories/donors';
import { recordEdit } from '../../../db/repositories/journal';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { DonorForm } from '../schema';
import { editDonor } from './outcome';

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
    await edit.update('donors', donor.id, columns(form));
    return 'The sheet of the donor was changed';
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

function columns(form: DonorForm) {
  const { length, width, height, mass, ...texts } = form;
  return {
    ...texts,
    lengthM: length?.value ?? null,
    widthM: width?.value ?? null,
    heightM: height?.value ?? null,
    massKg: mass?.value ?? null,
  };
}
