import type { RefusedLine } from '../table';
import type { Source } from '../evidence';
import type { KindName, RatingName } from '../part';

/** A rating of a type as it stands in a file. SI base unit. */
export interface EntryRating {
  readonly value: number;
  readonly source: Source;
  /** Page of the datasheet. */
  readonly page?: number | undefined;
}

/** A type as it stands in a file. */
export interface TypeEntry {
  readonly kind: KindName;
  /** Upper case. */
  readonly name: string;
  readonly aliases: readonly string[];
  readonly technology: string;
  readonly package: string;
  readonly note: string;
  readonly ratings: Readonly<Partial<Record<RatingName, EntryRating>>>;
}

/** A row of a file that was read, with its line counted from 1. */
export interface ReadEntry {
  readonly line: number;
  readonly entry: TypeEntry;
}

export interface ReadFile {
  readonly read: readonly ReadEntry[];
  readonly refused: readonly RefusedLine[];
}

/** Sources a file may state: what one part measured is that part’s own, and no fact of the number. */
export const FILE_SOURCES: readonly Source[] = ['datasheet', 'decoded', 'typed', 'remembered', 'typical', 'guessed'];
export const LONGEST_NAME = 60;
