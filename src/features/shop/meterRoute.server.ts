import 'server-only';
import { meterFailureText, type MeterFailure, type MeterQuantity, type MeterReading } from '../../core/meter';
import { appContext } from '../../db/appContext';
import type { InstrumentOutcome } from '../../ui/form/instrument';
import { readMeter, watchMeter } from './commands';
import { meterQuestion } from './schema';

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
