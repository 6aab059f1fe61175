import type { Board, BoardPart } from '../board';
import type { Source } from '../evidence';
import { RATINGS, type RatingName } from '../part';
import type { Unit } from '../quantity';

/** What a person knows of a part beyond its place: its ratings, and what only a meter tells of a transformer. */
export type ValueName = RatingName | 'shorted';

/** A value with where it comes from. */
export interface KnownValue {
  readonly value: number;
  readonly source: Source;
}

export type KnownValues = Readonly<Partial<Record<ValueName, KnownValue>>>;

/** A unit as it was traced, measured and read. */
export interface TracedUnit {
  readonly board: Board;
  /** By reference. */
  readonly known: Readonly<Record<string, KnownValues>>;
  /** Ohms between two pins of one winding, such as `T1.1 T1.2`, the lesser name first. */
  readonly windingOhms?: Readonly<Record<string, number>>;
  /** Volts at its input; in the middle of what its plate allows where it is not said. */
  readonly inputVolts?: number;
  /** Volts that a meter read at its outputs under load, with where that stands. */
  readonly readings?: readonly { readonly volts: number; readonly amperes?: number; readonly said: string }[];
}

/** A value that a run rests on. */
export interface Used {
  readonly ref: string;
  readonly name: ValueName | 'drop' | 'frequency' | 'limit' | 'load' | 'input' | 'control';
  readonly label: string;
  readonly value: number;
  readonly unit: Unit;
  readonly source: Source;
  /** On what it rests where it was not read or measured. */
  readonly why?: string;
  /** What a rail feeds that only the unit's own chips take from. */
  readonly isOwnSupply?: boolean;
}

/** Hands out the values of parts, and keeps what was handed out. */
export interface Values {
  /** What is known of a part; else what is typical, which is then noted as that. */
  readonly take: (part: BoardPart, name: ValueName, typical: () => Typical) => number;
  /** What is known of a part, or nothing. */
  readonly find: (part: BoardPart, name: ValueName) => number | undefined;
  readonly note: (used: Used) => void;
  readonly used: () => readonly Used[];
}

export interface Typical {
  readonly value: number;
  readonly why: string;
}

const LABELS: Readonly<Record<'shorted', { readonly label: string; readonly unit: Unit }>> = {
  shorted: { label: 'leakage', unit: 'henry' },
};

const ruleOf = (name: ValueName) => (name === 'shorted' ? LABELS[name] : RATINGS[name]);

/** Values in the order: what was measured, what was read, what is typical. */
export function valuesOf({ known }: TracedUnit): Values {
  const used = new Map<string, Used>();
  const note = (one: Used) => void used.set(`${one.ref} ${one.name}`, one);
  const noted = ({ ref }: BoardPart, name: ValueName, { value, source }: KnownValue, why?: string) => {
    const { label, unit } = ruleOf(name);
    note({ ref, name, label, value, unit, source, ...(why === undefined ? {} : { why }) });
    return value;
  };
  const found = ({ ref, value }: BoardPart, name: ValueName): KnownValue | undefined => {
    const own = known[ref]?.[name];
    if (own && Number.isFinite(own.value)) return own;
    const onBoard = value && name in value ? value[name as keyof typeof value] : undefined;
    return onBoard === undefined ? undefined : { value: onBoard, source: 'typed' };
  };
  return {
    find: (part, name) => {
      const one = found(part, name);
      return one && noted(part, name, one);
    },
    take: (part, name, typical) => {
      const one = found(part, name);
      if (one) return noted(part, name, one);
      const { value, why } = typical();
      return noted(part, name, { value, source: 'typical' }, why);
    },
    note,
    used: () => [...used.values()],
  };
}
