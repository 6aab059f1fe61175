import type { DesignRecord } from '../design';

/** Something a person wants to make. */
export interface Build {
  readonly id: string;
  readonly code: string;
  readonly title: string;
  readonly note: string;
  /** What it was designed as, where it was. */
  readonly design: DesignRecord | null;
  readonly createdMs: number;
}

/** A line of a build that stock must fill, in the filter language. */
export interface Need {
  readonly id: string;
  readonly buildId: string;
  readonly role: string;
  readonly filter: string;
  readonly quantity: number;
  readonly createdMs: number;
}
