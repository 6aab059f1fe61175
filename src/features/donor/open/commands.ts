import { SEAMS } from '../../../core/opening';
import type { StationName } from '../../../core/station';
import type { AppContext } from '../../../db/context';
import { listSpells } from '../../../db/repositories/openings';
import type { OpeningStepForm } from './schema';
import { refuse, run, type Outcome } from '../../../services/command';

/** Adds a step of taking a case apart. */
export function addOpeningStep(app: AppContext, code: string, form: OpeningStepForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'open' }, async (edit, donor) => {
    await edit.insert('openingSteps', { ...columnsOf(form), donorId: donor.id, createdMs: app.now() });
    return stepWords(form);
  });
}

/** Puts a step right. */
export function correctOpeningStep(
  app: AppContext,
  of: { code: string; stepId: string },
  form: OpeningStepForm,
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'open' }, async (edit) => {
    if (!(await edit.updateOwn('openingSteps', of.stepId, columnsOf(form)))) return refuse('row-gone', {});
    return `Put right: ${stepWords(form)}`;
  });
}

const columnsOf = ({ minutes, count, ...rest }: OpeningStepForm) => ({
  ...rest,
  count: count ?? null,
  minutes: minutes ? minutes.value / 60 : null,
});

function stepWords(form: OpeningStepForm): string {
  const place = form.place === '' ? '' : `, ${form.place}`;
  const damage = form.damage === 'none' ? '' : `; damage: ${form.damage}`;
  return `${form.count ? `${form.count} ` : ''}${SEAMS[form.seam].label}${place}${form.method ? `, ${form.method}` : ''}${damage}.`;
}

/** Deletes a step; it can be undone. */
export function removeOpeningStep(app: AppContext, of: { code: string; stepId: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'open' }, async (edit) => {
    if (!(await edit.removeOwn('openingSteps', of.stepId))) return refuse('row-gone', {});
    return 'A step of the opening was deleted.';
  });
}

/** Starts the clock of a station; it runs on the server, so that a closed page does not stop it. */
export function startClock(app: AppContext, of: { code: string; station: StationName }): Promise<Outcome> {
  return run(app, { scope: 'donor', ...of }, async (edit, donor) => {
    const running = (await listSpells(edit.tx, donor.id, of.station)).find(({ endedMs }) => endedMs === null);
    if (running) return refuse('clock-running', {});
    await edit.insert('workSpells', { donorId: donor.id, station: of.station, startedMs: app.now() });
    return 'The clock runs.';
  });
}

/** Stops the clock of a station. */
export function stopClock(app: AppContext, of: { code: string; station: StationName }): Promise<Outcome> {
  return run(app, { scope: 'donor', ...of }, async (edit, donor) => {
    const running = (await listSpells(edit.tx, donor.id, of.station)).find(({ endedMs }) => endedMs === null);
    if (!running) return refuse('clock-stopped', {});
    await edit.update('workSpells', running.id, { endedMs: app.now() });
    return `The clock stopped after ${Math.max(1, Math.round((app.now() - running.startedMs) / 60000))} min.`;
  });
}

const RESULT = {
  works: 'It is together again and works',
  closed: 'It is together again',
  loose: 'It is together, with something loose or left over',
  'not-possible': 'It cannot be put together again',
} as const;

/** Notes how putting it together again went. */
export function noteReassembly(
  app: AppContext,
  code: string,
  form: { result: keyof typeof RESULT; remark: string },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'open' }, async (edit, donor) => {
    await edit.insert('reassemblies', { ...form, donorId: donor.id, createdMs: app.now() });
    return `${RESULT[form.result]}${form.remark === '' ? '' : `: ${form.remark}`}.`;
  });
}
