/** One reading of a store as it bleeds: seconds since the first, volts. */
export interface TimedReading {
  readonly time: number;
  readonly voltage: number;
  /** Weight of the meter's last digit in volts. */
  readonly resolution?: number;
}
