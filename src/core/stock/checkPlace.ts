import type { Use } from '../measure';
import { safetyClassOf, type KindName } from '../part';
import type { MatchCheck } from './matchCheck';

/** Kinds that may bridge the barrier by how they are made. */
const BUILT_FOR_BARRIER: ReadonlySet<KindName> = new Set(['transformer', 'optocoupler', 'relay']);
const CITE = 'IEC 60384-14, from memory';

/**
 * Whether a part may stand where a fault of it puts the mains on a person: across the barrier only what is made for it,
 * of capacitors Y1, or Y2 where insulation is basic; across the mains only X or Y.
 * @returns nothing where the place asks for no class
 */
export function checkPlace(
  use: Use,
  { kind, subtype }: { readonly kind: KindName; readonly subtype?: string | null },
): MatchCheck | undefined {
  const classed = kind === 'capacitor' ? safetyClassOf(subtype) : undefined;
  const printed = subtype?.toUpperCase() ?? '';
  if (use === 'barrier') {
    if (BUILT_FOR_BARRIER.has(kind)) return undefined;
    if (kind !== 'capacitor')
      return {
        outcome: 'fails',
        text: 'nothing but a Y capacitor, an optocoupler or a transformer may bridge the barrier',
      };
    if (classed?.y === undefined)
      return { outcome: 'fails', text: `no Y class is printed on it: across the barrier only Y capacitors (${CITE})` };
    if (classed.y === 4) return { outcome: 'fails', text: `${printed} is made for 150 V only (${CITE})` };
    return classed.y === 1
      ? { outcome: 'fits', text: `${printed} may bridge the barrier` }
      : {
          outcome: 'fits-on-paper',
          text: `${printed} bridges basic insulation only: across a reinforced barrier two in series, or one Y1 (${CITE})`,
        };
  }
  // A can stands behind the bridge; what its grade says of the mains stands among its limits.
  if (use !== 'mains' || kind !== 'capacitor' || ['electrolytic', 'polymer', 'tantalum'].includes(subtype ?? ''))
    return undefined;
  if (!classed)
    return { outcome: 'fails', text: `no X or Y class is printed on it: across the mains only those (${CITE})` };
  return classed.y === 4 && classed.x === undefined
    ? { outcome: 'fails', text: `${printed} is made for 150 V only (${CITE})` }
    : { outcome: 'fits', text: `${printed} may stand across the mains` };
}
