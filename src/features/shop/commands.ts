import type { MeterFailure, MeterIdentity, MeterQuantity, MeterReading } from '../../core/meter';
import type { AppContext } from '../../db/context';
import { changeSettings } from '../../db/repositories/changeSettings';
import { readSettings } from '../../db/repositories/settings';
import { closeMeters, meterAt } from '../../server/meter';
import { refusal, refused, run, type Outcome } from '../../services/command';
import { accuracyText } from '../../core/uncertainty';
import { QUANTITY_LABEL, type MeterCheckForm, type MeterForm, type OwnWordForm, type SettingsForm } from './schema';

/** Keeps what holds for the whole shop. */
export async function keepSettings(app: AppContext, form: SettingsForm): Promise<Outcome> {
  const outcome = await run(app, { scope: 'settings' }, async (edit) => {
    await changeSettings(edit, form);
    return 'The settings are saved.';
  });
  closeMeters();
  return outcome;
}

/** Keeps a meter of the shop with its accuracies; one of the same name is replaced. */
export function keepMeter(app: AppContext, meter: MeterForm): Promise<Outcome> {
  return run(app, { scope: 'settings' }, async (edit) => {
    const { meters } = await readSettings(edit.tx);
    await changeSettings(edit, { meters: [...meters.filter(({ name }) => name !== meter.name), meter] });
    return `${meter.name} is kept; measurements taken with it are judged by its sheet.`;
  });
}

/** Keeps what two known parts said of a meter, beside what is known of it already. */
export function checkOwnMeter(app: AppContext, { name, quantity, accuracy }: MeterCheckForm): Promise<Outcome> {
  return run(app, { scope: 'settings' }, async (edit) => {
    const { meters } = await readSettings(edit.tx);
    const known = meters.find((meter) => meter.name === name);
    const meter = { name, accuracies: { ...known?.accuracies, [quantity]: accuracy } };
    await changeSettings(edit, { meters: [...meters.filter((other) => other.name !== name), meter] });
    return `${name} reads ${QUANTITY_LABEL[quantity]} within ${accuracyText(accuracy)}, by two known parts. Choose it at Test.`;
  });
}

/** Deletes a meter of the list; its measurements are judged as a usual meter's from now on. */
export function removeMeter(app: AppContext, name: string): Promise<Outcome> {
  return run(app, { scope: 'settings' }, async (edit) => {
    const { meters } = await readSettings(edit.tx);
    await changeSettings(edit, { meters: meters.filter((meter) => meter.name !== name) });
    return `${name} is off the list; its measurements count as a usual meter’s.`;
  });
}

/** Keeps a word that the shop has for what the bench line knows; one that was kept before is replaced. */
export function keepOwnWord(app: AppContext, own: OwnWordForm): Promise<Outcome> {
  return run(app, { scope: 'settings' }, async (edit) => {
    const { ownWords } = await readSettings(edit.tx);
    await changeSettings(edit, { ownWords: [...ownWords.filter(({ word }) => word !== own.word), own] });
    return `“${own.word}” is read as ${own.means} from now on.`;
  });
}

/** Deletes a word of the shop. */
export function removeOwnWord(app: AppContext, gone: string): Promise<Outcome> {
  return run(app, { scope: 'settings' }, async (edit) => {
    const { ownWords } = await readSettings(edit.tx);
    await changeSettings(edit, { ownWords: ownWords.filter(({ word }) => word !== gone) });
    return `“${gone}” is no word of the shop any more.`;
  });
}

/** Asks the meter who it is: the answer in words, or what is wrong. */
export async function askMeter(app: AppContext): Promise<Outcome> {
  const meter = await meterOf(app);
  const answer: MeterIdentity | MeterFailure = meter ? await meter.identify() : { kind: 'not-set' };
  if ('kind' in answer) return refused(refusal('meter-failed', { failure: answer }));
  const { maker, model, simulated } = answer;
  return { ok: true, message: `${maker}, ${model}${simulated ? ', the stand-in that ships' : ''}.`, value: undefined };
}

/** The meter's name for the page, without asking it: its address, or nothing. */
export async function meterName(app: AppContext): Promise<string> {
  return (await readSettings(app.db.read)).meterAddress;
}

/** One reading, or why there is none. */
export async function readMeter(
  app: AppContext,
  of: { wants: MeterQuantity; point: string },
): Promise<MeterReading | MeterFailure> {
  const meter = await meterOf(app);
  return meter ? meter.read(of.wants, of.point || undefined) : { kind: 'not-set' };
}

/** How often a watching page hears from the meter. */
const WATCH_MS = 350;

/** Readings as they come, until the signal ends them. */
export async function* watchMeter(
  app: AppContext,
  of: { wants: MeterQuantity; point: string },
  signal: AbortSignal,
): AsyncGenerator<MeterReading | MeterFailure> {
  const meter = await meterOf(app);
  if (!meter) yield { kind: 'not-set' };
  else yield* meter.stream(of.wants, { point: of.point || undefined, everyMs: WATCH_MS, signal });
}

async function meterOf(app: AppContext) {
  const { meterAddress } = await readSettings(app.db.read);
  return meterAddress === '' ? undefined : meterAt(meterAddress);
}
