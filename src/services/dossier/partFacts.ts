import type { StorePart } from '../../core/safety';
import type { PartRecord } from '../../db/repositories/parts';

/** What the safety sums need to know of a part. */
export function toPartFacts({ part, ratings }: PartRecord): StorePart {
  const { capacitance, voltage } = ratings;
  return {
    ref: part.ref,
    kind: part.kind,
    subtype: part.subtype,
    onBoard: part.state === 'on-board',
    ...(capacitance ? { capacitance: capacitance.value } : {}),
    ...(voltage ? { voltage: voltage.value } : {}),
  };
}
