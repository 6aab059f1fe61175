import type { Bench } from '../../../db/context';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { SoakForm } from '../schema';
import { editDonor } from '../../../services/command/outcome';
import { record } from '../shared/recordLine';

/** Adds a row of a run under load. */
export function addSoak(bench: Bench, code: string, form: SoakForm): Promise<FormOutcome> {
  return record(
    bench,
    { code, station: 'intake' },
    {
      kind: 'soak',
      remark: form.remark,
      ...(form.watts ? { watts: form.watts.value } : {}),
      ...(form.celsius ? { celsius: form.celsius.value } : {}),
      ...(form.volts ? { volts: form.volts.value } : {}),
      ...(form.load ? { load: form.load.value } : {}),
      ...(form.elapsed ? { elapsed: form.elapsed.value } : {}),
    },
  );
}

/** Strikes a row of a run; it can be taken back. */
export function strikeSoak(bench: Bench, of: { code: string; rowId: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'intake' }, async (edit) => {
    await edit.remove('soakRows', of.rowId);
    return 'A row of the run was struck.';
  });
}
