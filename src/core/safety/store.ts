import type { HoldSource, StoreRole } from './mayHold';

/** Something that stores charge. */
export interface Store {
  readonly id: string;
  readonly donorId: string;
  readonly name: string;
  readonly role: StoreRole;
  /** The capacitors as typed, like `2 x 470u series`; empty for a single one. */
  readonly bank: string;
  /** Of the whole bank; 0 for a battery, and where it cannot be read. */
  readonly capacitanceF: number;
  readonly ratedV: number | null;
  /** The rating is printed in alternating volts, as on oven and filter capacitors. */
  readonly ratedAc: boolean;
  readonly holdSource: HoldSource;
  readonly holdV: number | null;
  readonly bleedOhm: number | null;
  /** The bleed tool that is across it now, in ohms. */
  readonly toolOhm: number | null;
  readonly createdMs: number;
}

/** A reading of a store. Readings of one discharge share a run; elapsed seconds count from its first. */
export interface RecordedReading {
  readonly id: string;
  readonly storeId: string;
  readonly run: number;
  readonly elapsedS: number;
  readonly voltageV: number;
  readonly resolutionV: number;
  readonly takenMs: number;
  /** The bleed tool that was across the store, in ohms. */
  readonly toolOhm: number | null;
}
