import { counted } from '../../../core/quantity';
import type { Donor } from '../../../core/donor';
import { mountingText } from '../../../core/harvest';
import { kindRule, type KindName } from '../../../core/part';
import type { AppContext } from '../../../db/context';
import { openRun } from '../../../db/repositories/harvest';
import type { Edit } from '../../../db/repositories/journal';
import { holdsText, stockPiece } from '../../../db/repositories/lots';
import { findPart, logPart } from '../../../db/repositories/parts';
import { harvestPlan } from './planOf';
import { judgeRecord, testContext } from '../../../services/board';
import type { AssemblyForm, HarvestStepForm, MountingForm, RunForm } from './schema';
import { mayHarvest, refuseScrap, takeInto } from './takePart';
import { refuse, run, type Outcome } from '../../../services/command';
import { openDossier } from '../../../services/dossier';
import { knownPart } from '../shared/knownPart';

/** Starts a run for the minutes at hand; the clock runs on the server. */
export function startRun(app: AppContext, code: string, form: RunForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'harvest' }, async (edit, donor) => {
    await mayHarvest(edit, donor);
    const open = await openRun(edit.tx, donor.id);
    if (open) return refuse('run-open', {});
    await edit.insert('harvestRuns', {
      donorId: donor.id,
      minutes: form.minutes,
      bin: form.bin,
      startedMs: app.now(),
    });
    return `${counted(form.minutes, 'minute')} ${form.minutes === 1 ? 'runs' : 'run'}; parts go into ${form.bin}.`;
  });
}

/** Ends the run that is under way. */
export function endRun(app: AppContext, code: string): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'harvest' }, async (edit, donor) => {
    const { run, steps } = await runOf(edit, donor);
    await edit.update('harvestRuns', run.id, { endedMs: app.now() });
    const done = steps.filter(({ outcome }) => outcome === 'done').length;
    return `The run ended after ${counted(Math.max(1, Math.round((app.now() - run.startedMs) / 60000)), 'minute')}, ${done} of its jobs done.`;
  });
}

async function runOf(edit: Edit, donor: Donor) {
  const open = await openRun(edit.tx, donor.id);
  return open ?? refuse('run-missing', {});
}

const BROKEN = 'broken';

/**
 * Writes down what came of the job in hand: its parts go into the bin, are broken, or stay for this time. The time
 * since the last step teaches how long such a job takes this person.
 */
export function stepRun(app: AppContext, code: string, form: HarvestStepForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'harvest' }, async (edit, donor) => {
    const { run, steps } = await runOf(edit, donor);
    const isDead = await mayHarvest(edit, donor);
    const now = app.now();
    const dossier = openDossier(edit.tx, donor, now);
    const { jobs } = await harvestPlan(dossier, { minutes: run.minutes });
    const job = jobs.find(({ id }) => id === form.job);
    if (!job) return refuse('job-gone', {});
    const since = steps.at(-1)?.atMs ?? run.startedMs;
    const lots: string[] = [];
    if (form.outcome === 'done') {
      const context = await testContext(dossier);
      for (const ref of job.refs) lots.push((await takeInto(edit, donor, { ref, bin: form.bin, context })).lot);
    }
    if (form.outcome === 'broke')
      for (const ref of job.refs) {
        const part = await knownPart(edit, ref);
        await edit.update('parts', part.id, { damage: [...new Set([...part.damage, BROKEN])] });
      }
    if (form.bin !== run.bin) await edit.update('harvestRuns', run.id, { bin: form.bin });
    await edit.insert('harvestSteps', {
      runId: run.id,
      jobId: job.id,
      effort: job.class,
      package: job.package,
      predictedMin: job.tableMinutes,
      takenS: Math.max(1, (now - since) / 1000),
      outcome: form.outcome,
      atMs: now,
    });
    const alive = isDead || job.refs.length === 0 ? '' : ', though not measured dead';
    return {
      done:
        job.refs.length === 0
          ? `${job.title}: done.`
          : `${job.title} went into bin ${form.bin} as ${[...new Set(lots)].join(', ')}${alive}.`,
      broke: `${job.title} broke; it stays with the scrap.`,
      skipped: `${job.title} stays for this time.`,
    }[form.outcome];
  });
}

/** Writes down how a part is held on the board, and whether the person wants it. */
export function mountPart(app: AppContext, of: { code: string; ref: string }, form: MountingForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'harvest' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    for (const ref of form.behind) {
      if (ref === part.ref) return refuse('part-behind-itself', {}, 'behind');
      await knownPart(edit, ref, 'behind');
    }
    const mounting = { ways: form.ways, behind: form.behind, ...(form.sink === '' ? {} : { sink: form.sink }) };
    await edit.update('parts', part.id, { mounting, wish: form.wish === '' ? null : form.wish });
    const now = await knownPart(edit, of.ref);
    const held = mountingText(now.mounting) || 'held by its solder alone';
    return `${now.ref} is ${held}${now.wish === null ? '' : `; ${now.wish} it`}.`;
  });
}

const PREFIX: Partial<Record<KindName, string>> = {
  assembly: 'A',
  fan: 'FAN',
  'heat-sink': 'HS',
  wire: 'W',
  connector: 'J',
};

/**
 * Takes a subassembly as one lot: an input filter board, a standby board, a fan, a heat sink, connectors or wire. The
 * parts that sit on it go with it.
 */
export function takeAssembly(app: AppContext, code: string, form: AssemblyForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'harvest' }, async (edit, donor) => {
    const isDead = await mayHarvest(edit, donor);
    const context = await testContext(openDossier(edit.tx, donor, app.now()));
    for (const ref of form.holds) {
      const part = await knownPart(edit, ref, 'holds');
      if (part.state === 'harvested') return refuse('part-already-taken', { ref }, 'holds');
      const found = await findPart(edit.tx, donor.id, part.ref);
      if (found) refuseScrap({ ref: part.ref, damage: part.damage, judgement: judgeRecord(found, context) }, 'holds');
    }
    const ref = await freeReference(edit, donor.id, PREFIX[form.kind] ?? 'A');
    const partId = await logPart(edit, { ref, kind: form.kind, marking: form.name });
    const lot = await stockPiece(
      edit,
      {
        partId,
        ref,
        kind: form.kind,
        subtype: null,
        technology: null,
        marking: form.name,
        package: null,
        typeId: null,
        grade: null,
        gradeReason: `${holdsText(form.holds)}Not tested yet.`,
        limits: [],
        bin: form.bin,
        ratings: [],
      },
      { pieces: form.pieces },
    );
    await edit.update('parts', partId, { state: 'harvested' });
    for (const held of form.holds) await edit.update('parts', (await knownPart(edit, held)).id, { state: 'harvested' });
    return `${form.name}, ${form.pieces} × ${kindRule(form.kind).label}, went into bin ${form.bin} as lot ${lot}${isDead ? '' : ', though not measured dead'}.`;
  });
}

async function freeReference(edit: Edit, donorId: string, prefix: string): Promise<string> {
  for (let number = 1; ; number += 1)
    if (!(await findPart(edit.tx, donorId, `${prefix}${number}`))) return `${prefix}${number}`;
}
