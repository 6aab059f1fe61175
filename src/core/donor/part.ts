import type { PinFunction } from '../chips';
import type { Mounting, Wish } from '../harvest';
import type { BlockName, DutyName, FitmentName, KindName } from '../part';

/** A component on a board. */
export interface Part {
  readonly id: string;
  readonly donorId: string;
  readonly ref: string;
  readonly kind: KindName;
  readonly subtype: string | null;
  readonly package: string | null;
  readonly marking: string | null;
  readonly technology: string | null;
  /** Date code printed on the part, as read. */
  readonly dateCode: string | null;
  readonly damage: string[];
  /** Where on the board it sits, and what it is there for. */
  readonly block: BlockName | null;
  readonly duty: DutyName | null;
  readonly fitments: FitmentName[];
  /** What pins of an unknown chip seem to be, by number. */
  readonly pinHints: Record<number, PinFunction>;
  readonly typeId: string | null;
  /** What a person said of taking it. */
  readonly wish: Wish | null;
  /** How it is held on the board. */
  readonly mounting: Mounting;
  readonly state: 'on-board' | 'harvested';
  readonly createdMs: number;
}
