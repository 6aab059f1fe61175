import type { Symptom } from '../diagnose';
import { formatQuantity, type Unit } from '../quantity';
import { DEFAULT_ACCURACY, uncertaintyOf, withinLimit, type Accuracy } from '../uncertainty';

/** What feeds the unit while a step is done. */
export type Power = 'off' | 'bench' | 'mains';

/**
 * Where hands are: at the board; at the plug and the switches ahead of the unit only; or away from all of it, reading from a
 * distance. At the board they are only while it is off and dead.
 */
export type Hands = 'board' | 'plug' | 'away';

/** How a step may fail, with what that means. */
export interface Failing {
  /** `stop` ends the power-up, `look` wants a look before going on, `note` is no fault. */
  readonly level: 'stop' | 'look' | 'note';
  /** In a few words: “over 25.2 V”, “stays bright”. */
  readonly when: string;
  readonly says: string;
  /** A reading above, or below, which it applies; without one it is seen, not read. */
  readonly over?: number;
  readonly under?: number;
  /** The complaint that it makes. */
  readonly symptom?: Symptom;
}

/** A reading that a step asks for. */
export interface Asked {
  readonly unit: Unit;
  /** What is right; open on a side without a limit. */
  readonly low?: number;
  readonly high?: number;
  /** On what the limits rest. */
  readonly from: string;
  /** Where the leads are, for a meter that must be told. */
  readonly point: string;
}

/** A step of a first power-up. */
export interface Step {
  /** Stays the same when the plan is worked out anew. */
  readonly id: string;
  /** Steps with one number belong together. */
  readonly number: number;
  readonly title: string;
  readonly how: string;
  readonly power: Power;
  readonly hands: Hands;
  /** What should be seen, or read. */
  readonly good: string;
  readonly asked?: Asked;
  /** The store of charge that is read: it counts at Make safe as well. */
  readonly store?: string;
  /** It is there to show that a store is dead, with leads in the hands: nothing is touched but by them. */
  readonly showsDead?: true;
  /** It tells something only so many seconds after another step. */
  readonly notBefore?: { readonly step: string; readonly seconds: number };
  /** The rail that is read, as Diagnose names one. */
  readonly rail?: string;
  readonly protects: string;
  readonly failings: readonly Failing[];
}

/** A step before it has its number. */
export type Draft = Omit<Step, 'number' | 'good'> & {
  /** Steps with one heading share a number. */
  readonly group: string;
  readonly good?: string;
};

/** How a reading came out. */
export interface ReadingVerdict {
  /**
   * `doubt`: its meter cannot tell on which side of a limit it is, or it is off but no danger. `again`: a store that is off is not
   * low yet; it is read until it is.
   */
  readonly verdict: 'pass' | 'doubt' | 'again' | 'stop';
  readonly failing?: Failing;
  readonly says: string;
}

const ACCURACY: Partial<Record<Unit, Accuracy>> = {
  volt: DEFAULT_ACCURACY.dcVolt,
  ohm: DEFAULT_ACCURACY.ohm,
  ampere: DEFAULT_ACCURACY.current,
  celsius: DEFAULT_ACCURACY.temperature,
};

/** What a reading says of its step. The meter's own doubt counts: a reading that may lie on either side is told so. */
export function judgeReading(
  { asked, failings, store, power }: Pick<Step, 'asked' | 'failings' | 'store' | 'power'>,
  { value, resolution }: { readonly value: number; readonly resolution: number },
): ReadingVerdict {
  if (!asked) return { verdict: 'doubt', says: 'Nothing is read here.' };
  // Leads that lie the other way round make a minus, and a rail may be one.
  const size = Math.abs(value);
  const failing = failings.find(
    ({ over, under }) => (over !== undefined && size > over) || (under !== undefined && size < under),
  );
  if (failing)
    return {
      verdict:
        failing.level === 'stop'
          ? 'stop'
          : failing.level === 'note'
            ? 'pass'
            : store !== undefined && power === 'off'
              ? 'again'
              : 'doubt',
      failing,
      says: `${failing.when}: ${failing.says}`,
    };
  const accuracy = ACCURACY[asked.unit];
  const standard =
    accuracy && Number.isFinite(size) ? uncertaintyOf({ reading: size, resolution, accuracy }).standard : 0;
  const sides = [
    ...(asked.low === undefined
      ? []
      : [withinLimit({ value: size, standard, limit: asked.low, side: 'at-least' as const }).verdict]),
    ...(asked.high === undefined
      ? []
      : [withinLimit({ value: size, standard, limit: asked.high, side: 'at-most' as const }).verdict]),
  ];
  if (sides.includes('outside'))
    return { verdict: 'doubt', says: 'It is outside what is right here, and no known fault.' };
  if (sides.includes('cannot-tell'))
    return {
      verdict: 'doubt',
      says: `The meter is no nearer than ± ${formatQuantity(2 * standard, asked.unit)}: it may lie on either side of the limit.`,
    };
  return {
    verdict: 'pass',
    says: `It is right${standard > 0 ? `, meter ± ${formatQuantity(2 * standard, asked.unit)}` : ''}.`,
  };
}

/** A range in words: “22.8 to 25.2 V”, “over 100 kΩ”. */
export function rangeWords({ unit, low, high }: Pick<Asked, 'unit' | 'low' | 'high'>): string {
  const q = (value: number) => formatQuantity(value, unit, { digits: 4 });
  if (low !== undefined && high !== undefined) return `${q(low)} to ${q(high)}`;
  if (low !== undefined) return `over ${q(low)}`;
  return high === undefined ? '' : `under ${q(high)}`;
}
