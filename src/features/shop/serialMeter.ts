import { parseLine, type MeterFailure, type MeterReading } from '../../core/meter';

/** The part of the browser's serial interface that is used here; not every browser has it. */
interface SerialPortLike {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}
interface SerialLike {
  requestPort(): Promise<SerialPortLike>;
}

/** A USB meter that streams a line for each reading. */
export interface SerialMeter {
  latest(): MeterReading | MeterFailure;
  listen(onReading: (reading: MeterReading | MeterFailure) => void): () => void;
  close(): void;
}

const serial = () => (globalThis.navigator as (Navigator & { serial?: SerialLike }) | undefined)?.serial;

/**
 * Asks the person for a port and reads lines from it until it is closed or goes away. A line that is
 * no reading is kept as such, and the next good one takes its place.
 */
export async function openSerialMeter(
  baudRate: number,
  onGone: () => void,
): Promise<SerialMeter | { readonly message: string }> {
  const ports = serial();
  if (!ports) return { message: 'This browser has no serial port. Use the address of a meter on the network.' };
  let port: SerialPortLike;
  try {
    port = await ports.requestPort();
    await port.open({ baudRate });
  } catch {
    return { message: 'No port was opened. It may be in use by another program, or none was chosen.' };
  }
  const reader = port.readable?.pipeThrough(new TextDecoderStream() as never).getReader() as
    | ReadableStreamDefaultReader<string>
    | undefined;
  const listeners = new Set<(reading: MeterReading | MeterFailure) => void>();
  let latest: MeterReading | MeterFailure = { kind: 'no-stream' };
  let closed = false;

  const pump = async () => {
    let buffer = '';
    for (;;) {
      const chunk = await reader?.read();
      if (!chunk || chunk.done) return;
      buffer += chunk.value;
      const lines = buffer.split(/\r?\n|\r/);
      buffer = lines.pop() ?? '';
      for (const line of lines.filter((text) => text.trim() !== '')) {
        latest = parseLine(line);
        for (const listener of listeners) listener(latest);
      }
    }
  };
  void pump()
    .catch(() => undefined)
    .finally(() => {
      latest = { kind: 'disconnected' };
      for (const listener of listeners) listener(latest);
      if (!closed) onGone();
    });

  return {
    latest: () => latest,
    listen: (onReading) => {
      listeners.add(onReading);
      return () => listeners.delete(onReading);
    },
    close: () => {
      closed = true;
      void reader?.cancel().then(
        () => port.close(),
        () => undefined,
      );
    },
  };
}
