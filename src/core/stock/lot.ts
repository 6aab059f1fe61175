import type { Grade, Limit } from '../measure';
import type { Fittings } from '../module';
import type { KindName } from '../part';

/** Like parts of one grade from one donor in one bin, with how many there are and how many of these are reserved. */
export interface Lot {
  readonly id: string;
  readonly code: string;
  readonly kind: KindName;
  readonly subtype: string | null;
  readonly technology: string | null;
  readonly marking: string;
  readonly package: string | null;
  readonly grade: Grade | null;
  readonly gradeReason: string;
  /** What the grade keeps it from; matching honours it. */
  readonly limits: readonly Limit[];
  readonly binId: string;
  readonly donorId: string | null;
  readonly partId: string | null;
  readonly typeId: string | null;
  readonly onHand: number;
  readonly reserved: number;
  /** Hash of its own picture, kept as those of donors are. */
  readonly photoHash: string | null;
  /** Of a whole supply: its plug, cooling, mounting and class. */
  readonly fittings: Fittings;
  /** When its label was stuck on, as a person said. */
  readonly labelledMs: number | null;
  readonly createdMs: number;
  /** When it was taken back, as with the step that made it. */
  readonly deletedMs: number | null;
}

export interface Bin {
  readonly id: string;
  readonly code: string;
  /** Pieces that fit, as a person said; none when nobody did. */
  readonly capacity: number | null;
  /** When it was last counted. */
  readonly countedMs: number | null;
  readonly createdMs: number;
}

/** A question asked of stock again and again. */
export interface SavedFilter {
  readonly id: string;
  readonly name: string;
  readonly filter: string;
  readonly createdMs: number;
}

/** Why the count of a lot changed. */
export type LedgerReason =
  | 'harvested'
  | 'counted'
  | 'moved'
  | 'split'
  | 'joined'
  | 'imported'
  | 'reserved'
  | 'released'
  | 'used'
  | 'taken'
  | 'undone';
