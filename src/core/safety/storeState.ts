import { DEFAULT_ACCURACY, uncertaintyOf } from '../uncertainty';
import { METER_LIMIT, REBOUND_WAIT_SECONDS, TOUCH_LIMIT_DC } from './limits';

/** A reading of a store with the moment it was taken, in milliseconds since 1970. */
export interface StoreReading {
  readonly voltage: number;
  readonly resolution: number;
  readonly takenAt: number;
}

export type StoreState =
  | { readonly kind: 'never-measured' }
  | { readonly kind: 'live'; readonly last: StoreReading; readonly upper: number }
  | {
      readonly kind: 'measured-dead';
      readonly last: StoreReading;
      readonly upper: number;
      readonly reboundChecked: boolean;
    };

/**
 * Whether a person's own readings show a store under the touch limit. The last reading with its
 * meter uncertainty added must lie under 60 V; a rebound counts as looked for when two readings at
 * least a minute apart both lie under 1 V. Predictions never enter.
 * @param readings in any order; the latest by time counts
 */
export function storeState(readings: readonly StoreReading[]): StoreState {
  const inOrder = [...readings].sort((a, b) => a.takenAt - b.takenAt);
  const last = inOrder.at(-1);
  if (!last) return { kind: 'never-measured' };
  const upper = upperBound(last);
  if (upper >= TOUCH_LIMIT_DC.volts) return { kind: 'live', last, upper };
  const reboundChecked =
    upper <= METER_LIMIT.volts &&
    inOrder.some(
      (reading) =>
        upperBound(reading) <= METER_LIMIT.volts && last.takenAt - reading.takenAt >= REBOUND_WAIT_SECONDS * 1000,
    );
  return { kind: 'measured-dead', last, upper, reboundChecked };
}

/** A reading with its meter uncertainty added, sign ignored, in volts. */
export function upperBound({ voltage, resolution }: Pick<StoreReading, 'voltage' | 'resolution'>): number {
  return (
    Math.abs(voltage) + uncertaintyOf({ reading: voltage, resolution, accuracy: DEFAULT_ACCURACY.dcVolt }).expanded
  );
}
