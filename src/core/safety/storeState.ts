import { DEFAULT_ACCURACY, uncertaintyOf } from '../uncertainty';
import { METER_CEILING, METER_LIMIT, REBOUND_WAIT_SECONDS, TOUCH_LIMIT_DC } from './limits';

/** A reading of a store with the moment it was taken, in milliseconds since 1970. */
export interface StoreReading {
  readonly voltage: number;
  readonly resolution: number;
  readonly takenAt: number;
  /** A bleed tool was across the store: what it reads then shows no recovery. */
  readonly toolOn?: boolean;
}

export type StoreState =
  | { readonly kind: 'never-measured' }
  /** Power came or went after the last reading, so that it says nothing any more; `on` while it still is. */
  | { readonly kind: 'powered-since'; readonly last?: StoreReading; readonly at: number; readonly on: boolean }
  | { readonly kind: 'live'; readonly last: StoreReading; readonly upper: number }
  /** Under the limit of touch with the meter's doubt, and not empty: it still kills a meter or a tip, and may rise. */
  | {
      readonly kind: 'below-touch';
      readonly last: StoreReading;
      readonly upper: number;
      /** It reads empty, but an earlier reading was above what a meter stands, and the meter was not checked since. */
      readonly isMeterDoubtful: boolean;
    }
  | {
      readonly kind: 'measured-dead';
      readonly last: StoreReading;
      readonly upper: number;
      readonly reboundChecked: boolean;
      /** The meter was checked on a known source after the last reading: leads on nothing read zero as well. */
      readonly meterChecked: boolean;
    };

/** When power was last applied to a unit and taken away again, in milliseconds since 1970. */
export interface PowerHistory {
  readonly appliedAt?: number | undefined;
  readonly removedAt?: number | undefined;
}

/** What happened to a unit beside the readings of its stores; moments in milliseconds since 1970. */
export interface UnitHistory extends PowerHistory {
  /** When the meter was last checked on a known source, before and after. */
  readonly meterCheckedAt?: number | undefined;
}

/** Whether power was put to a unit and not taken away since. */
export function isPowered({ appliedAt, removedAt }: PowerHistory): boolean {
  return appliedAt !== undefined && (removedAt === undefined || removedAt < appliedAt);
}

/**
 * Whether a person's own readings show a store empty. The last reading with its meter's doubt added must lie
 * under 1 V, where a meter may go on in any mode; under the touch limit alone it is not dead. No power may have been
 * applied since. A rebound counts as looked for when two readings at least five minutes apart both lie under 1 V, none
 * between them lies above, and no bleed tool was across the store. A reading above what meters measure leaves the meter in doubt until it was checked on a known
 * source. Predictions never enter.
 * @param readings in any order; the latest by time counts
 */
export function storeState(
  readings: readonly StoreReading[],
  { touchLimit = TOUCH_LIMIT_DC.volts, history = {} }: { touchLimit?: number; history?: UnitHistory } = {},
): StoreState {
  const inOrder = [...readings].sort((a, b) => a.takenAt - b.takenAt);
  const last = inOrder.at(-1);
  const { appliedAt, removedAt, meterCheckedAt = -Infinity } = history;
  const on = isPowered(history);
  // A reading from before the plug was pulled says nothing of what was left then, whoever put it in.
  const since = on ? appliedAt : Math.max(appliedAt ?? -Infinity, removedAt ?? -Infinity);
  const isPoweredSince = on || (last ? last.takenAt < (since ?? -Infinity) : appliedAt !== undefined);
  if (isPoweredSince) return { kind: 'powered-since', at: appliedAt ?? removedAt ?? 0, on, ...(last ? { last } : {}) };
  if (!last) return { kind: 'never-measured' };
  const upper = upperBound(last);
  if (upper >= touchLimit) return { kind: 'live', last, upper };
  if (upper > METER_LIMIT.volts) return { kind: 'below-touch', last, upper, isMeterDoubtful: false };
  const counting = inOrder.filter(({ takenAt }) => takenAt >= (appliedAt ?? -Infinity));
  const overRange = counting.findLast(({ voltage }) => Math.abs(voltage) > METER_CEILING.volts);
  if (overRange && meterCheckedAt < overRange.takenAt)
    return { kind: 'below-touch', last, upper, isMeterDoubtful: true };
  // A rise over the limit starts the wait anew.
  const lastRise = counting.findLastIndex(
    (reading) => upperBound(reading) > METER_LIMIT.volts || reading.toolOn === true,
  );
  const [first] = counting.slice(lastRise + 1);
  const reboundChecked = first !== undefined && last.takenAt - first.takenAt >= REBOUND_WAIT_SECONDS * 1000;
  return { kind: 'measured-dead', last, upper, reboundChecked, meterChecked: meterCheckedAt >= last.takenAt };
}

/** A reading with its meter uncertainty added, sign ignored, in volts. */
export function upperBound({ voltage, resolution }: Pick<StoreReading, 'voltage' | 'resolution'>): number {
  return (
    Math.abs(voltage) + uncertaintyOf({ reading: voltage, resolution, accuracy: DEFAULT_ACCURACY.dcVolt }).expanded
  );
}
