'use client';

import { createContext, use, type ReactNode } from 'react';

/** What an instrument showed; over range there is no value. */
export interface InstrumentReading {
  readonly value: number | null;
  /** Weight of the last digit. */
  readonly resolution: number;
  /** Printed in millivolts: a range that hides what a charged capacitor holds. */
  readonly inMillivolts?: true | undefined;
  /** When it was read, in milliseconds of this page's clock. */
  readonly at: number;
}

export type InstrumentOutcome =
  | { readonly ok: true; readonly reading: InstrumentReading }
  | { readonly ok: false; readonly message: string };

/** Something that can fill a field with what it reads. */
export interface Instrument {
  /** What it is called; empty when there is none. */
  readonly name: string;
  /** One reading of what a field wants, such as `volt`. */
  read(wants: string, point: string | undefined): Promise<InstrumentOutcome>;
  /** Readings as they come, until the returned function is called. A failure is the last thing that comes. */
  watch(wants: string, point: string | undefined, onOutcome: (outcome: InstrumentOutcome) => void): () => void;
}

const NONE: Instrument = {
  name: '',
  read: () => Promise.resolve({ ok: false, message: 'No instrument is connected.' }),
  watch: () => () => undefined,
};

const InstrumentContext = createContext<Instrument>(NONE);
const PointContext = createContext<string | undefined>(undefined);

export function InstrumentProvider({ instrument, children }: { instrument: Instrument; children: ReactNode }) {
  return <InstrumentContext value={instrument}>{children}</InstrumentContext>;
}

/** Says where the leads are for the fields inside: a stand-in needs to be told. */
export function InstrumentPoint({ at, children }: { at: string; children: ReactNode }) {
  return <PointContext value={at}>{children}</PointContext>;
}

/** The instrument, and where its leads are. */
export function useInstrument(): Instrument & { readonly point: string | undefined } {
  return { ...use(InstrumentContext), point: use(PointContext) };
}
