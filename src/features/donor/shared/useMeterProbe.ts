'use client';

import { useState } from 'react';
import { findingOfReading, type PinFinding, type PinReading } from '../../../core/board';
import { useNotice } from '../../../ui/feedback/Notices';
import { useInstrument } from '../../../ui/form/instrument';

export type ProbeMode = PinReading['quantity'];

/** The meter at the Trace station: what it is set to, and reading it between two pins. */
export interface MeterProbe {
  /** Whether a meter is there to be read. */
  readonly isThere: boolean;
  /** What touching a second pin reads; nothing while beeps are told by hand. */
  readonly latched: ProbeMode | undefined;
  readonly latch: (mode: ProbeMode | undefined) => void;
  /** Reads between two pins and records what it says. Resolves to whether a reading came. */
  readonly read: (a: string, b: string) => Promise<boolean>;
}

/** @param model tells a stand-in meter which unit its leads are on */
export function useMeterProbe(
  model: string,
  record: (a: string, b: string, finding: PinFinding) => Promise<void>,
): MeterProbe {
  const instrument = useInstrument();
  const notify = useNotice();
  const [latched, latch] = useState<ProbeMode>();
  return {
    isThere: instrument.name !== '',
    latched,
    latch,
    read: async (a, b) => {
      const quantity = latched ?? 'continuity';
      const outcome = await instrument.read(quantity, `${model} ${a} ${b}`);
      if (!outcome.ok) {
        notify({ message: outcome.message });
        return false;
      }
      await record(a, b, findingOfReading(a, b, { quantity, value: outcome.reading.value }));
      return true;
    },
  };
}
