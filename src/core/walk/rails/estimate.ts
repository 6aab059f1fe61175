/** What a rail probably carries, and what it never exceeds, each with the reason. */
export interface RailEstimate {
  /** A pin on the rail that a person finds at once. */
  readonly at: string;
  /** Volt against its return; `undefined` when only a bound is known. */
  readonly volts: number | undefined;
  /** Volt that the parts on it stand at most. */
  readonly most: number | undefined;
  readonly why: string;
  /** It rests on the rating of a capacitor alone. */
  readonly isGuess: boolean;
}

/** A voltage, in volt against the return, with its reason. */
export interface Told {
  readonly volts: number;
  /** What the part that tells it stands itself, in volt. */
  readonly most?: number;
  readonly why: string;
}
