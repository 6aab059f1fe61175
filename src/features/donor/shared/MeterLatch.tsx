'use client';

import type { MeterProbe, ProbeMode } from './useMeterProbe';

const MODES: readonly (readonly [ProbeMode | undefined, string])[] = [
  [undefined, 'beeps by hand'],
  ['continuity', 'meter: continuity'],
  ['diode', 'meter: diode mode'],
];

/** Whether a touched pin counts as a beep, or the meter is read. */
export function MeterLatch({ probe }: { probe: MeterProbe }) {
  if (!probe.isThere) return null;
  return (
    <select
      aria-label="What touching a second pin means"
      className="ml-auto rounded-[3px] border border-rule-2 bg-lift px-2 py-0.5 text-[12.5px]"
      value={probe.latched ?? ''}
      onChange={(event) => probe.latch(MODES.find(([mode]) => (mode ?? '') === event.target.value)?.[0])}
    >
      {MODES.map(([mode, message]) => (
        <option key={message} value={mode ?? ''}>
          {message}
        </option>
      ))}
    </select>
  );
}
