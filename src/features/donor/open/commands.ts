import { SEAMS } from '../../../core/opening';
import type { StationName } from '../../../core/station';
import type { Bench } from '../../../db/context';
import { listSpells } from '../../../db/repositories/openings';
import type { FormOutcome } from '../../../ui/form/outcome';
import type { OpeningStepForm } from '../schema';
import { editDonor, refuse } from '../../../services/command/outcome';

/** Adds a step of taking a case apart. */
export function addOpeningStep(bench: Bench, code: string, form: OpeningStepForm): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'open' }, async (edit, donor) => {
    const { minutes, count, ...rest } = form;
    await edit.insert('openingSteps', {
      ...rest,
      donorId: donor.id,
      count: count ?? null,
      minutes: minutes ? minutes.value / 60 : null,
      createdMs: bench.now(),
    });
    const place = form.place === '' ? '' : `, ${form.place}`;
    const damage = form.damage === 'none' ? '' : `; damage: ${form.damage}`;
    return `${count ? `${count} ` : ''}${SEAMS[form.seam].label}${place}${form.method ? `, ${form.method}` : ''}${damage}.`;
  });
}

/** Strikes a step; it can be taken back. */
export function strikeOpeningStep(bench: Bench, of: { code: string; stepId: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'open' }, async (edit) => {
    await edit.remove('openingSteps', of.stepId);
    return 'A step of the opening was struck.';
  });
}

/** Starts the clock of a station; it runs on the server, so that a closed page does not stop it. */
export function startClock(bench: Bench, of: { code: string; station: StationName }): Promise<FormOutcome> {
  return editDonor(bench, of, async (edit, donor) => {
    const running = (await listSpells(edit.tx, donor.id, of.station)).find(({ endedMs }) => endedMs === null);
    if (running) return refuse('The clock runs already.');
    await edit.insert('workSpells', { donorId: donor.id, station: of.station, startedMs: bench.now() });
    return 'The clock runs.';
  });
}

/** Stops the clock of a station. */
export function stopClock(bench: Bench, of: { code: string; station: StationName }): Promise<FormOutcome> {
  return editDonor(bench, of, async (edit, donor) => {
    const running = (await listSpells(edit.tx, donor.id, of.station)).find(({ endedMs }) => endedMs === null);
    if (!running) return refuse('The clock stands already.');
    await edit.update('workSpells', running.id, { endedMs: bench.now() });
    return `The clock stopped after ${Math.max(1, Math.round((bench.now() - running.startedMs) / 60000))} min.`;
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
  bench: Bench,
  code: string,
  form: { result: keyof typeof RESULT; remark: string },
): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'open' }, async (edit, donor) => {
    await edit.insert('reassemblies', { ...form, donorId: donor.id, createdMs: bench.now() });
    return `${RESULT[form.result]}${form.remark === '' ? '' : `: ${form.remark}`}.`;
  });
}
