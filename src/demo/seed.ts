import { understand, type BenchRecord } from '../core/benchline';
import { decodeMarking } from '../core/marking';
import { benchFrom, type Bench } from '../db/bench';
import type { Database } from '../db/client';
import { buildForm, needForm } from '../features/builds/schema';
import { addNeed, moveParts, startBuild } from '../features/builds/usecases';
import { donorForm } from '../features/donor/schema';
import { takePart } from '../features/donor/usecases/harvest';
import { acceptReading } from '../features/donor/usecases/identify';
import { registerDonor } from '../features/donor/usecases/intake';
import { finishStation } from '../features/donor/usecases/notes';
import { recordLine } from '../features/donor/usecases/recordLine';
import { BUILDS } from './builds';
import { DONORS } from './donors';
import type { BuildScript, DonorScript, Step } from './script';

/** Seconds that pass between two steps at the bench. */
const STEP_SECONDS = 20;

/**
 * Plays the demo scenario through the use cases of the interface, with a clock and randomness of its
 * own: codes, days and sums come out the same each time.
 */
export async function seed(db: Database): Promise<{ donors: number; lots: number; builds: number }> {
  const clock = { now: 0 };
  let state = 20261114;
  const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
  const bench = benchFrom(db, () => clock.now, random);
  const lots = new Map<string, string>();
  for (const script of DONORS) await playDonor(bench, clock, script, lots);
  for (const script of BUILDS) await playBuild(bench, script, lots);
  return { donors: DONORS.length, lots: lots.size, builds: BUILDS.length };
}

async function playDonor(bench: Bench, clock: { now: number }, script: DonorScript, lots: Map<string, string>) {
  clock.now = Date.parse(`${script.arrived}Z`);
  const { code } = await registerDonor(bench, donorForm.parse(script.unit));
  const known = new Map<string, Extract<BenchRecord, { kind: 'part' }>>();
  for (const step of script.steps) {
    clock.now += 1000 * ('wait' in step ? step.wait : STEP_SECONDS);
    await playStep(bench, code, step, { known, lots });
  }
}

async function playStep(
  bench: Bench,
  code: string,
  step: Step,
  notes: { known: Map<string, Extract<BenchRecord, { kind: 'part' }>>; lots: Map<string, string> },
): Promise<void> {
  if ('line' in step) {
    const read = understand(step.line, { parts: [], stores: [] });
    if (read.ok && read.record.kind === 'part') notes.known.set(read.record.ref, read.record);
    done(step.line, await recordLine(bench, { code, station: step.at ?? 'intake', line: step.line }));
  } else if ('take' in step) {
    const part = notes.known.get(step.take);
    const readings = decodeMarking(part?.marking ?? '', {
      ...(part ? { kind: part.partKind } : {}),
      ...(part?.package ? { package: part.package } : {}),
    });
    const reading = readings.find(({ rule }) => step.rule === undefined || rule === step.rule);
    if (!reading) throw new Error(`The demo takes a reading of ${step.take}, but no rule reads “${part?.marking}”.`);
    done(step.take, await acceptReading(bench, { code, ref: step.take, kind: reading.kind, rule: reading.rule }));
  } else if ('harvest' in step) {
    const outcome = await takePart(bench, { code, ref: step.harvest, bin: step.bin });
    done(step.harvest, outcome);
    const marking = notes.known.get(step.harvest)?.marking ?? step.harvest;
    if (outcome.lot) notes.lots.set(marking, outcome.lot);
  } else if ('done' in step) done(step.done, await finishStation(bench, { code, station: step.done }));
}

async function playBuild(bench: Bench, { title, note, needs }: BuildScript, lots: Map<string, string>) {
  const { code } = await startBuild(bench, buildForm.parse({ title, note }));
  for (const { from, builtIn, ...need } of needs) {
    const { needId = '' } = await addNeed(bench, code, needForm.parse(need));
    const lotCode = from === undefined ? undefined : lots.get(from);
    if (!lotCode) continue;
    const portion = { lotCode, needId, quantity: 1 };
    done(need.role, await moveParts(bench, { step: 'reserve', ...portion }));
    if (builtIn) done(need.role, await moveParts(bench, { step: 'use', ...portion }));
  }
}

/** The scenario must go through: a refusal is a mistake in it. */
function done(what: string, outcome: { ok: boolean; problems?: readonly { message: string }[] }): void {
  if (!outcome.ok)
    throw new Error(`The demo cannot do “${what}”: ${outcome.problems?.map(({ message }) => message).join(' ')}`);
}
