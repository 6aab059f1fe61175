import { valueOf } from '../services/command';
import { understand, type BenchRecord } from '../core/benchline';
import { decodeMarking } from '../core/marking';
import { contextFrom, type AppContext } from '../db/context';
import type { Database } from '../db/client';
import { buildForm, needForm } from '../features/builds/schema';
import { addNeed, moveParts, startBuild } from '../features/builds/commands';
import { mountingForm } from '../features/donor/harvest/schema';
import { donorForm } from '../features/donor/intake/schema';
import { openingStepForm, reassemblyForm } from '../features/donor/open/schema';
import { takePart } from '../features/donor/harvest/takePart';
import { mountPart } from '../features/donor/harvest/commands';
import { acceptDecoding } from '../features/donor/identify/commands';
import { decodingId } from '../features/donor/identify/decodings';
import { registerDonor } from '../features/donor/intake/commands';
import { answerCheck, nameComplaint, tellSeen } from '../features/donor/repair/commands';
import { finishStation } from '../features/donor/shared/commands';
import { addOpeningStep, noteReassembly, startClock, stopClock } from '../features/donor/open/commands';
import { askQuestion, closeDonor, tellNext } from '../features/donor/record/commands';
import { askFormAt } from '../features/donor/record/schema';
import { loggedParts, placePins } from '../features/donor/photos/boardPhotos';
import { addPin, pairSides, photoIds, receivePhoto } from '../features/donor/photos/commands';
import { recordLine } from '../features/donor/shared/recordLine';
import { meterForm } from '../features/shop/schema';
import { keepMeter } from '../features/shop/commands';
import { BUILDS } from './builds';
import { importLots } from '../services/exchange';
import { DONORS } from './donors';
import { DRAWERS } from './drawers';
import { REPAIRS } from './repairs';
import { drawBoard, drawLabel, HOLES } from './boards/draw';
import { HEIGHT, layOut, WIDTH, type LoggedPart } from './boards/layout';
import { tracingLines } from './boards/tracing';
import type { BuildScript, DonorScript, RepairScript, Step } from './script';
import type { BlobStore } from '../server/blobs';

/** What the tool room measures with; invented. */
const METERS = [
  { name: 'Bench meter', dcVolt: '0.05 % + 3', ohm: '0.2 % + 2', capacitance: '2 % + 5', diode: '0.5 % + 2' },
  { name: 'ESR tester', esr: '3 % + 1 + 0.02', capacitance: '3 % + 3' },
];

/** When the drawers were listed: long enough ago for some of it to have lain too long. */
const DRAWERS_FILLED = Date.UTC(2024, 1, 10, 19);

/** Seconds that pass between two steps at the bench. */
const STEP_SECONDS = 20;
/** Seconds that a net takes to probe. */
const PROBE_SECONDS = 12;

/** The scenario of the demo. */
export const WHOLE: Scenario = { donors: DONORS, builds: BUILDS, repairs: REPAIRS };

/**
 * Plays the demo scenario through the use cases of the interface, with a clock and randomness of its
 * own: codes, days and sums come out the same each time.
 */
export async function seed(
  db: Database,
  photos: BlobStore,
  { donors, builds, repairs = [] }: Scenario = WHOLE,
  draw: typeof drawBoard = drawBoard,
): Promise<{ donors: number; lots: number; builds: number }> {
  const clock = { now: 0 };
  let state = 20261114;
  const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
  const app = contextFrom(db, () => clock.now, random);
  const lots = new Map<string, string>();
  for (const meter of METERS) done(meter.name, await keepMeter(app, meterForm.parse(meter)));
  clock.now = DRAWERS_FILLED;
  done('the drawers', await importLots(app, DRAWERS));
  const codes = new Map<string, string>();
  for (const script of donors)
    codes.set(script.unit['description'] ?? '', await playDonor({ app, clock, photos, draw, lots }, script));
  for (const script of builds) await playBuild(app, script, lots);
  for (const script of repairs) await playRepair({ app, clock }, codes.get(script.unit) ?? '', script);
  return { donors: donors.length, lots: lots.size, builds: builds.length };
}

/** What is played. */
export interface Scenario {
  readonly donors: readonly DonorScript[];
  readonly builds: readonly BuildScript[];
  readonly repairs?: readonly RepairScript[];
}

interface Stage {
  readonly app: AppContext;
  readonly clock: { now: number };
  /** The folder of the photos. */
  readonly photos: BlobStore;
  /** How a board looks on its photos. */
  readonly draw: typeof drawBoard;
  readonly lots: Map<string, string>;
}

async function playDonor(stage: Stage, script: DonorScript): Promise<string> {
  const { app, clock } = stage;
  clock.now = Date.parse(`${script.arrived}Z`);
  const { code } = valueOf(await registerDonor(app, donorForm.parse(script.unit)));
  const known = new Map() as KnownParts;
  for (const step of script.steps) {
    clock.now += 1000 * ('wait' in step ? step.wait : STEP_SECONDS);
    await playStep(stage, code, step, known);
  }
  return code;
}

async function playRepair(
  { app, clock }: Pick<Stage, 'app' | 'clock'>,
  code: string,
  { symptom, at, seen, checks }: RepairScript,
): Promise<void> {
  clock.now = Date.parse(`${at}Z`);
  done(symptom, await nameComplaint(app, code, { symptom }));
  for (const [ref, text] of seen) done(text, await tellSeen(app, code, { ref, text }));
  for (const [ref, test, text] of checks) {
    clock.now += 1000 * STEP_SECONDS;
    done(text, await answerCheck(app, code, { ref, test, text, outcome: '' }));
  }
}

type KnownParts = Map<string, Extract<BenchRecord, { kind: 'part' }>>;

async function playStep(stage: Stage, code: string, step: Step, known: KnownParts): Promise<void> {
  const { app, clock, lots } = stage;
  if ('line' in step) {
    const read = understand(step.line, { parts: [], stores: [] });
    for (const record of read.ok ? read.records : [])
      if (record.kind === 'part' && !record.isAssumed) known.set(record.ref, record);
    done(step.line, await recordLine(app, { code, station: step.at ?? 'intake', line: step.line }));
  } else if ('take' in step) {
    const part = known.get(step.take);
    const readings = decodeMarking(part?.marking ?? '', {
      ...(part ? { kind: part.partKind } : {}),
      ...(part?.package ? { package: part.package } : {}),
    });
    const reading = readings.find(({ rule }) => step.rule === undefined || rule === step.rule);
    if (!reading) throw new Error(`The demo takes a reading of ${step.take}, but no rule reads “${part?.marking}”.`);
    done(step.take, await acceptDecoding(app, { code, ref: step.take, decoding: decodingId(reading) }));
  } else if ('harvest' in step) {
    const outcome = await takePart(app, { code, ref: step.harvest, bin: step.bin });
    done(step.harvest, outcome);
    const marking = known.get(step.harvest)?.marking ?? step.harvest;
    lots.set(marking, valueOf(outcome).lot);
  } else if ('mounted' in step) {
    const { mounted: ref, ways, sink = '', behind = '' } = step;
    done(ref, await mountPart(app, { code, ref }, mountingForm.parse({ ways, sink, behind, wish: '' })));
  } else if ('done' in step) done(step.done, await finishStation(app, { code, station: step.done }));
  else if ('clock' in step) {
    const at = { code, station: 'open' as const };
    done('clock', await startClock(app, at));
    clock.now += step.clock * 60_000;
    done('clock', await stopClock(app, at));
  } else if ('opening' in step) done('opening', await addOpeningStep(app, code, openingStepForm.parse(step.opening)));
  else if ('together' in step) done('together', await noteReassembly(app, code, reassemblyForm.parse(step.together)));
  else if ('label' in step) {
    const bytes = await drawLabel(step.label);
    const of = {
      code,
      station: 'intake' as const,
      name: 'label',
      bytes,
      caption: step.caption,
      side: 'label' as const,
    };
    done('label', await receivePhoto(app, stage.photos, of));
  } else if ('tell' in step) done(step.tell, await tellNext(app, code, { text: step.tell }));
  else if ('ask' in step) done(step.ask.text, await askQuestion(app, code, askFormAt(clock.now).parse(step.ask)));
  else if ('close' in step)
    done(step.close, await closeDonor(app, code, { outcome: step.close, note: step.note, anyway: 'on' }));
  else if ('photographed' in step) await photographBoard(stage, code, step);
  else if ('traced' in step)
    for (const line of tracingLines(step.traced, step.only)) {
      clock.now += 1000 * PROBE_SECONDS;
      done(line, await recordLine(app, { code, station: 'trace', line: line.toLowerCase() }));
    }
}

/** Both sides of a board are photographed, paired by their holes, and every pin is placed where its joint is. */
async function photographBoard(
  { app, photos, draw }: Stage,
  code: string,
  { photographed, notes = {} }: Extract<Step, { photographed: unknown }>,
): Promise<void> {
  const layout = layOut(photographed, (await loggedParts(app, code)).map(loggedFrom));
  const pictures = await draw(layout);
  for (const side of ['front', 'back'] as const) {
    const bytes = pictures[side];
    const caption = side === 'front' ? 'the board, freed' : 'copper side';
    done(side, await receivePhoto(app, photos, { code, station: 'trace', name: side, bytes, caption, side }));
  }
  const [frontId = '', backId = ''] = (await photoIds(app, code)).slice(-2);
  const matches = HOLES.map((front) => ({ front: { ...front }, back: { x: 1 - front.x, y: front.y } }));
  done('pair', await pairSides(app, code, { frontId, backId, matches }));
  const spots = layout.pads.map(({ pin, x, y }) => ({ pin, x: 1 - x / WIDTH, y: y / HEIGHT }));
  done('pins', await placePins(app, code, { photoId: backId, spots }));
  for (const [ref, note] of Object.entries(notes)) {
    const body = layout.bodies.find(({ part }) => part.ref === ref);
    if (body) done(note, await addPin(app, code, { photoId: frontId, x: body.x / WIDTH, y: body.y / HEIGHT, note }));
  }
}

const loggedFrom = ({ part, ratings }: Awaited<ReturnType<typeof loggedParts>>[number]): LoggedPart => ({
  ref: part.ref,
  kind: part.kind,
  subtype: part.subtype ?? undefined,
  package: part.package ?? undefined,
  capacitance: ratings.capacitance?.value,
  voltage: ratings.voltage?.value,
  isEmpty: part.fitments.includes('unpopulated'),
});

async function playBuild(app: AppContext, { title, note, needs }: BuildScript, lots: Map<string, string>) {
  const { code } = valueOf(await startBuild(app, buildForm.parse({ title, note })));
  for (const { from, builtIn, ...need } of needs) {
    const { needId } = valueOf(await addNeed(app, code, needForm.parse(need)));
    const lotCode = from === undefined ? undefined : lots.get(from);
    if (!lotCode) continue;
    const portion = { lotCode, needId, quantity: 1 };
    done(need.role, await moveParts(app, { step: 'reserve', ...portion }));
    if (builtIn) done(need.role, await moveParts(app, { step: 'use', ...portion }));
  }
}

/** The scenario must go through: a refusal is a mistake in it. */
function done(what: string, outcome: { ok: boolean; problems?: readonly { message: string }[] }): void {
  if (!outcome.ok)
    throw new Error(`The demo cannot do “${what}”: ${outcome.problems?.map(({ message }) => message).join(' ')}`);
}
