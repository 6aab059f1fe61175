/** A voltage with its reason. */
export interface Told {
  /** Volt against the return. */
  readonly volts: number;
  /** Volt that what tells it allows at most, where it says so. */
  readonly most?: number | undefined;
  readonly why: string;
}
