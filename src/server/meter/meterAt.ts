import type { MeterAdapter } from './adapter';
import { openTcpMeter } from './tcpMeter';

const shared = globalThis as { zorvekMeters?: Map<string, MeterAdapter> };

/** The meter at an address; one connection serves the whole process, however many pages read. */
export function meterAt(address: string): MeterAdapter {
  shared.zorvekMeters ??= new Map();
  const present = shared.zorvekMeters.get(address);
  if (present) return present;
  const meter = openTcpMeter(address);
  shared.zorvekMeters.set(address, meter);
  return meter;
}

/** Lets go of every meter, as when its address changes. */
export function closeMeters(): void {
  for (const meter of shared.zorvekMeters?.values() ?? []) meter.close();
  shared.zorvekMeters?.clear();
}
