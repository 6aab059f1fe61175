'use client';

import { NO_ANSWER } from '../../ui/command/useCommand';
import { createContext, use, useMemo, useRef, useState, type ReactNode } from 'react';
import { METER_QUANTITIES, meterFailureText, type MeterFailure, type MeterReading } from '../../core/meter';
import { InstrumentProvider, type Instrument, type InstrumentOutcome } from '../../ui/form/instrument';
import type { SerialMeter } from './serialMeter';

interface SerialState {
  readonly available: boolean;
  readonly connected: boolean;
  readonly message: string;
  connect(baud: number): Promise<void>;
  disconnect(): void;
}

const SerialContext = createContext<SerialState | undefined>(undefined);

/** The USB meter of this browser, for the page that connects one. */
export function useSerialMeter(): SerialState | undefined {
  return use(SerialContext);
}

/** Makes the bench's meter fill fields: one on the network by way of the server, or one on this browser's USB. */
export function MeterRoot({ address, children }: { address: string; children: ReactNode }) {
  const serial = useRef<SerialMeter | undefined>(undefined);
  const [message, setMessage] = useState('');
  const [connected, setConnected] = useState(false);
  // The quickest message tells best how far the server's clock is from this page's.
  const offset = useRef(Infinity);

  const instrument = useMemo<Instrument>(() => {
    if (connected)
      return {
        name: 'USB meter',
        read: (wants) => Promise.resolve(fits(serial.current?.latest() ?? { kind: 'no-stream' }, wants)),
        watch: (wants, _point, onOutcome) =>
          serial.current?.listen((reading) => onOutcome(fits(reading, wants))) ?? (() => undefined),
      };
    const query = (wants: string, point: string | undefined) =>
      new URLSearchParams({ wants, ...(point ? { point } : {}) }).toString();
    return {
      name: address,
      read: (wants, point) =>
        fetch(`/meter/read?${query(wants, point)}`).then(
          async (answer) => byThisClock((await answer.json()) as InstrumentOutcome, offset),
          () => ({ ok: false, message: NO_ANSWER }),
        ),
      watch: (wants, point, onOutcome) => {
        const source = new EventSource(`/meter/stream?${query(wants, point)}`);
        source.onmessage = (event: MessageEvent<string>) => {
          const outcome = JSON.parse(event.data) as InstrumentOutcome;
          // The server ends the stream after a failure; the browser would knock again at once.
          if (!outcome.ok) source.close();
          onOutcome(byThisClock(outcome, offset));
        };
        source.onerror = () => {
          if (source.readyState === EventSource.CLOSED) return;
          source.close();
          onOutcome({ ok: false, message: meterFailureText({ kind: 'disconnected' }) });
        };
        return () => source.close();
      },
    };
  }, [address, connected]);

  const state: SerialState = {
    available: typeof navigator !== 'undefined' && 'serial' in navigator,
    connected,
    message,
    connect: async (baud) => {
      // Loaded only by those who connect one.
      const { openSerialMeter } = await import('./serialMeter');
      const opened = await openSerialMeter(baud, () => {
        setConnected(false);
        setMessage(meterFailureText({ kind: 'disconnected' }));
      });
      if ('message' in opened) {
        setMessage(opened.message);
        return;
      }
      serial.current = opened;
      setConnected(true);
      setMessage('A USB meter is connected to this browser.');
    },
    disconnect: () => {
      serial.current?.close();
      setConnected(false);
      setMessage('');
    },
  };
  return (
    <SerialContext value={state}>
      <InstrumentProvider instrument={instrument}>{children}</InstrumentProvider>
    </SerialContext>
  );
}

/** A reading of the server with its moment by this page's clock: the least delay seen so far is taken out. */
function byThisClock(outcome: InstrumentOutcome, offset: { current: number }): InstrumentOutcome {
  if (!outcome.ok) return outcome;
  const { at } = outcome.reading;
  offset.current = Math.min(offset.current, Date.now() - at);
  return { ok: true, reading: { ...outcome.reading, at: at + offset.current } };
}

/** A streamed reading is what the dial says; it fills a field only when that is what the field wants. */
function fits(reading: MeterReading | MeterFailure, wants: string, at = Date.now()): InstrumentOutcome {
  if ('kind' in reading) return { ok: false, message: meterFailureText(reading) };
  const wanted = METER_QUANTITIES[wants as keyof typeof METER_QUANTITIES];
  const same = reading.quantity === wants || METER_QUANTITIES[reading.quantity].unit === wanted.unit;
  if (!same)
    return {
      ok: false,
      message: meterFailureText({
        kind: 'wrong-unit',
        shows: METER_QUANTITIES[reading.quantity].label,
        wanted: wanted.label,
      }),
    };
  const { value, resolution, inMillivolts } = reading;
  return { ok: true, reading: { value, resolution, inMillivolts, at } };
}
