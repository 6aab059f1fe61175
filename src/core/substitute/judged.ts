import type { Unit } from '../quantity';
import { formatQuantity } from '../quantity';

/** A part as a replacement sees it: ratings in SI base units, or words where they are none. */
export interface PartFacts {
  readonly kind: string;
  readonly marking?: string;
  readonly package?: string;
  /** Of capacitors and diodes what else is their subtype. */
  readonly technology?: string;
  readonly ratings: Readonly<Record<string, number | string | boolean>>;
  readonly grade?: string;
  /** What the stock list says of it. */
  readonly limits?: string;
}

/** Where the failed part stood, and what it is put under there: the worst steady case with its spikes. */
export interface PlaceFacts {
  readonly duty?: string;
  readonly topology?: string;
  readonly stress?: Readonly<Record<string, number>>;
  readonly mains?: number;
  readonly barrier?: boolean;
  readonly gateDrive?: { readonly voltage?: number; readonly current?: number; readonly resistance?: number };
  readonly heatsink?: string;
  readonly room?: { readonly height?: number; readonly diameter?: number };
  readonly vcc?: number;
  readonly startUp?: string;
  readonly dutyNeeded?: number;
  readonly snubber?: boolean;
  readonly load?: string;
  readonly gatePolarity?: string;
  readonly mode?: string;
  readonly bypassDiode?: boolean;
  readonly pairedWith?: string;
  readonly note?: string;
}

/** What is held together: the part that failed, its place, and what may take it. */
export interface Swap {
  readonly failed: PartFacts;
  readonly place: PlaceFacts;
  readonly candidate: PartFacts;
}

/** How one rule ends: as good, worth a word, to be used under a condition, or not at all. */
export type Level = 'ok' | 'note' | 'limits' | 'no';

export interface Finding {
  readonly name: string;
  readonly level: Level;
  /** Room to what it may be, as a share; below 0 it is beyond. */
  readonly margin?: number;
  readonly message: string;
}

/** A rule of the trade on what may take a part’s place. */
export interface Rule {
  readonly name: string;
  /** Kinds of the failed part it is about; none: all. */
  readonly kinds?: readonly string[];
  readonly because: string;
  readonly judge: (swap: Swap) => readonly Finding[];
}

/** A rating as a number; undefined where it is not given, or in words. */
export function numberOf({ ratings }: PartFacts, name: string): number | undefined {
  const value = ratings[name];
  return typeof value === 'number' && Number.isFinite(value) ? value : undefined;
}

export const wordOf = ({ ratings }: PartFacts, name: string): string | undefined => {
  const value = ratings[name];
  return typeof value === 'string' ? value.trim() : undefined;
};

export const shown = (value: number, unit: Unit): string => formatQuantity(value, unit, { digits: 3 });

/** The findings of one rule, whose name they carry. */
export const findings =
  (name: string) =>
  (level: Level, message: string, margin?: number): Finding => ({
    name,
    level,
    message,
    ...(margin === undefined ? {} : { margin }),
  });

/** What the technology of a part is called, lower case. */
export const technologyOf = ({ technology }: PartFacts): string => (technology ?? '').toLowerCase();
