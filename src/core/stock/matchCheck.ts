import type { RatingName } from '../part';

/** What one demand of a need made of a lot. */
export interface MatchCheck {
  /** What of a duty it is about; none of a plain demand. */
  readonly name?: string;
  /** The rating it is about; none when it is about what the lot may be used for. */
  readonly rating?: RatingName;
  readonly outcome: 'fits' | 'fits-on-paper' | 'fails' | 'unknown';
  /** How many times over the demand is met: above 1 is spare. */
  readonly margin?: number;
  readonly text: string;
}
