import type { AppContext } from '../../../db/context';
import type { SoakForm } from './schema';
import { refuse, run, type Outcome } from '../../../services/command';
import { record } from '../shared/writeRecord';

/** Adds a row of a run under load. */
export function addSoak(app: AppContext, code: string, form: SoakForm): Promise<Outcome> {
  return record(app, { code, station: 'intake' }, [
    {
      kind: 'soak',
      remark: form.remark,
      ...(form.watts ? { watts: form.watts.value } : {}),
      ...(form.celsius ? { celsius: form.celsius.value } : {}),
      ...(form.volts ? { volts: form.volts.value } : {}),
      ...(form.load ? { load: form.load.value } : {}),
      ...(form.elapsed ? { elapsed: form.elapsed.value } : {}),
    },
  ]);
}

/** Puts a row of a run right; its time stays when none is given. */
export function correctSoak(app: AppContext, of: { code: string; rowId: string }, form: SoakForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'intake' }, async (edit) => {
    const isThere = await edit.updateOwn('soakRows', of.rowId, {
      inputW: form.watts?.value ?? null,
      caseC: form.celsius?.value ?? null,
      outputV: form.volts?.value ?? null,
      loadA: form.load?.value ?? null,
      remark: form.remark,
      ...(form.elapsed ? { elapsedS: form.elapsed.value } : {}),
    });
    return isThere ? 'A row of the run was put right.' : refuse('row-gone', {});
  });
}

/** Deletes a row of a run; it can be undone. */
export function removeSoak(app: AppContext, of: { code: string; rowId: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'intake' }, async (edit) => {
    if (!(await edit.removeOwn('soakRows', of.rowId))) return refuse('row-gone', {});
    return 'A row of the run was deleted.';
  });
}
