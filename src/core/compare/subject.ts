import type { RoleName } from '../diagnose';

/** A part of a unit in its role, with its ratings by name, SI base units. */
export interface RolePart {
  readonly ref: string;
  readonly kind: string;
  readonly subtype: string;
  readonly package: string;
  readonly marking: string;
  readonly ratings: Readonly<Record<string, number>>;
}

/** A unit as it is compared. Volts, amperes, watts, metres, kilograms, minutes. */
export interface Subject {
  readonly code: string;
  readonly title: string;
  readonly year?: number | undefined;
  /** The strongest output of its plate, and all of them together. */
  readonly volts?: number | undefined;
  readonly amperes?: number | undefined;
  readonly watts?: number | undefined;
  readonly isFedFromMains: boolean;
  readonly size?: { readonly length: number; readonly width: number; readonly height: number } | undefined;
  readonly mass?: number | undefined;
  /** What it takes and gives in its run under load: watts in at no load, and efficiency at the heaviest. */
  readonly idle?: number | undefined;
  readonly efficiency?: number | undefined;
  /** Stages that are sure, the main one first. */
  readonly topologies: readonly string[];
  readonly isIsolated?: boolean | undefined;
  readonly roles: Readonly<Partial<Record<RoleName, readonly RolePart[]>>>;
  /** Resistors that empty what stores, by what was written of them. */
  readonly bleeders: readonly RolePart[];
  /** Parts that are logged: with few of them nothing is known to be missing. */
  readonly logged: number;
  readonly inlet: string;
  readonly marks: { readonly efficiency: string; readonly protection: string };
  readonly opening: { readonly seams: readonly string[]; readonly minutes: number };
  readonly yielded: { readonly pieces: number; readonly used: number };
}
