import {
  meterFailureText,
  type MeterFailure,
  type MeterIdentity,
  type MeterQuantity,
  type MeterReading,
} from '../../core/meter';
import type { Bench } from '../../db/context';
import { readSettings, writeSettings } from '../../db/repositories/settings';
import { closeMeters, meterAt } from '../../server/meter';
import type { FormOutcome } from '../../ui/form/outcome';
import type { MeterForm, SettingsForm } from './schema';

/** Keeps what holds for the whole shop. */
export async function keepSettings(bench: Bench, form: SettingsForm): Promise<FormOutcome> {
  await writeSettings(bench, form);
  closeMeters();
  return { ok: true, says: 'The settings are kept.' };
}

/** Keeps a meter of the shop with its accuracies; one of the same name is replaced. */
export async function keepMeter(bench: Bench, meter: MeterForm): Promise<FormOutcome> {
  const { meters } = await readSettings(bench.db.read);
  await writeSettings(bench, { meters: [...meters.filter(({ name }) => name !== meter.name), meter] });
  return { ok: true, says: `${meter.name} is kept; readings taken with it are judged by its sheet.` };
}

/** Strikes a meter off the list; its readings are judged as a usual meter's from now on. */
export async function dropMeter(bench: Bench, name: string): Promise<FormOutcome> {
  const { meters } = await readSettings(bench.db.read);
  await writeSettings(bench, { meters: meters.filter((meter) => meter.name !== name) });
  return { ok: true, says: `${name} is off the list; its readings count as a usual meter’s.` };
}

/** Asks the meter who it is: the answer in words, or what is wrong. */
export async function askMeter(bench: Bench): Promise<FormOutcome> {
  const meter = await meterOf(bench);
  const answer: MeterIdentity | MeterFailure = meter ? await meter.identify() : { kind: 'not-set' };
  if ('kind' in answer) return { ok: false, problems: [{ message: meterFailureText(answer) }] };
  const { maker, model, simulated } = answer;
  return { ok: true, says: `${maker}, ${model}${simulated ? ', the stand-in that ships' : ''}.` };
}

/** The meter's name for the page, without asking it: its address, or nothing. */
export async function meterName(bench: Bench): Promise<string> {
  return (await readSettings(bench.db.read)).meterAddress;
}

/** One reading, or why there is none. */
export async function readMeter(
  bench: Bench,
  of: { wants: MeterQuantity; point: string },
): Promise<MeterReading | MeterFailure> {
  const meter = await meterOf(bench);
  return meter ? meter.read(of.wants, of.point || undefined) : { kind: 'not-set' };
}

/** How often a watching page hears from the meter. */
const WATCH_MS = 350;

/** Readings as they come, until the signal ends them. */
export async function* watchMeter(
  bench: Bench,
  of: { wants: MeterQuantity; point: string },
  signal: AbortSignal,
): AsyncGenerator<MeterReading | MeterFailure> {
  const meter = await meterOf(bench);
  if (!meter) yield { kind: 'not-set' };
  else yield* meter.stream(of.wants, { point: of.point || undefined, everyMs: WATCH_MS, signal });
}

async function meterOf(bench: Bench) {
  const { meterAddress } = await readSettings(bench.db.read);
  return meterAddress === '' ? undefined : meterAt(meterAddress);
}
