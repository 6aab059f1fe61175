import type { MeterFailure, MeterIdentity, MeterQuantity, MeterReading } from '../../core/meter';

/** A bench meter, whatever the cable. Failures are values: a meter that goes away is no bug. */
export interface MeterAdapter {
  identify(): Promise<MeterIdentity | MeterFailure>;
  /**
   * One reading.
   * @param point where the leads are, for a stand-in that must be told; a real meter does not care
   */
  read(quantity: MeterQuantity, point?: string): Promise<MeterReading | MeterFailure>;
  /** Readings one after another until the signal ends them; a failure is the last thing that comes. */
  stream(
    quantity: MeterQuantity,
    of: { point?: string | undefined; everyMs: number; signal: AbortSignal },
  ): AsyncGenerator<MeterReading | MeterFailure>;
  close(): void;
}
