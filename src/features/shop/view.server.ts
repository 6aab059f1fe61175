import 'server-only';
import { appContext } from '../../db/context';
import { readSettings, type ShopSettings } from '../../db/repositories/settings';
import { meterFailureText, type MeterFailure, type MeterReading } from '../../core/meter';
import type { InstrumentOutcome } from '../../ui/form/instrument';
import { DEFAULT_ACCURACY, accuracyText } from '../../core/uncertainty';
import type { AccuracyName } from '../../core/measure';
import { ACCURACY_NAMES, meterQuestion } from './schema';
import { meterName, readMeter, watchMeter } from './commands';
import type { MeterQuantity } from '../../core/meter';

export interface MetersView {
  readonly quantities: readonly { readonly name: string; readonly label: string; readonly usual: string }[];
  readonly meters: readonly { readonly name: string; readonly message: string }[];
}

const QUANTITY_LABEL: Readonly<Record<AccuracyName, string>> = {
  dcVolt: 'volts DC',
  ohm: 'ohms',
  capacitance: 'capacitance',
  current: 'amperes DC',
  diode: 'diode mode',
  esr: 'ESR',
  inductance: 'inductance',
  temperature: 'temperature',
  insulation: 'insulation at 500 V',
};

/** The settings as they stand. */
export function settingsView(): Promise<ShopSettings> {
  return readSettings(appContext().db.read);
}

/** The shop's meters with their accuracies as a person types them, and what stands in for a blank. */
export async function metersView(): Promise<MetersView> {
  const { meters } = await settingsView();
  return {
    quantities: ACCURACY_NAMES.map((name) => ({
      name,
      label: QUANTITY_LABEL[name],
      usual: accuracyText(DEFAULT_ACCURACY[name]),
    })),
    meters: meters.map(({ name, accuracies }) => ({
      name,
      message: ACCURACY_NAMES.flatMap((quantity) => {
        const accuracy = accuracies[quantity];
        return accuracy ? [`${QUANTITY_LABEL[quantity]} ${accuracyText(accuracy)}`] : [];
      }).join(', '),
    })),
  };
}

/** What the meter is called on a page; empty for none. */
export function meterLabel(): Promise<string> {
  return meterName(appContext());
}

/** The question in an address, or nothing when it is none. */
export function questionIn(search: URLSearchParams): { wants: MeterQuantity; point: string } | undefined {
  const parsed = meterQuestion.safeParse(Object.fromEntries(search));
  return parsed.success ? { wants: parsed.data.wants as MeterQuantity, point: parsed.data.point } : undefined;
}

/** One reading for a page. */
export async function readingFor(question: { wants: MeterQuantity; point: string }): Promise<InstrumentOutcome> {
  return toOutcome(await readMeter(appContext(), question));
}

/** Readings for a page as server-sent events; the last one is the failure that ended them. */
export function readingEvents(
  question: { wants: MeterQuantity; point: string },
  signal: AbortSignal,
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    async start(controller) {
      try {
        for await (const reading of watchMeter(appContext(), question, signal))
          controller.enqueue(encoder.encode(`data: ${JSON.stringify(toOutcome(reading))}\n\n`));
      } finally {
        if (!signal.aborted) controller.close();
      }
    },
  });
}

/** The moment is the server's: on its way to the page a reading may be held up. */
function toOutcome(reading: MeterReading | MeterFailure): InstrumentOutcome {
  if ('kind' in reading) return { ok: false, message: meterFailureText(reading) };
  return { ok: true, reading: { value: reading.value, resolution: reading.resolution, at: appContext().now() } };
}
