import { safetyClassOf } from '../part';
import { practice } from '../evidence';
import { TOUCH_LIMIT_DC } from './limits';
import { storeRole, type StoreRole } from './mayHold';
import { storedEnergy } from './storedEnergy';

/** A part as it is logged. Farads, volts; what is not known is left out. */
export interface StorePart {
  readonly ref: string;
  readonly kind: string;
  readonly subtype: string | null;
  readonly onBoard: boolean;
  readonly capacitance?: number;
  readonly voltage?: number;
}

export interface StoreOffer {
  readonly ref: string;
  readonly role: StoreRole;
  /** 0 where it cannot be read. */
  readonly capacitance: number;
  readonly ratedVoltage?: number;
}

/** A filter capacitor above this wants a bleeder; IEC 62368-1 and 60950-1 draw their lines at 0.1 to 0.3 µF (from memory). */
const FILTER_FROM = 100e-9;
/** An output can that holds this much at its rating makes a spark worth the name. */
const OUTPUT_ENERGY = practice(0.05);

/**
 * Capacitors of the parts log that should be listed as stores: reservoirs, X capacitors, large output
 * cans, and those that may hold much while their size cannot be read. Those listed already are left out.
 */
export function storesFromParts(parts: readonly StorePart[], listed: readonly string[]): StoreOffer[] {
  return parts.flatMap((part): StoreOffer[] => {
    const { ref, capacitance, voltage } = part;
    if (part.kind !== 'capacitor' || !part.onBoard || listed.includes(ref)) return [];
    const rated = voltage === undefined ? {} : { ratedVoltage: voltage };
    if (capacitance === undefined) {
      const mayHold =
        (voltage ?? 0) >= TOUCH_LIMIT_DC.volts ||
        part.subtype === 'electrolytic' ||
        safetyClassOf(part.subtype)?.x !== undefined;
      return mayHold ? [{ ref, role: storeRole({ name: ref, ratedVoltage: voltage }), capacitance: 0, ...rated }] : [];
    }
    const guess = storeRole({ name: ref, ratedVoltage: voltage });
    if (safetyClassOf(part.subtype) || guess === 'filter')
      return capacitance >= FILTER_FROM ? [{ ref, role: 'filter', capacitance, ...rated }] : [];
    if (guess === 'bulk' && capacitance >= 1e-6) return [{ ref, role: 'bulk', capacitance, ...rated }];
    const energy = storedEnergy({ capacitance, voltage: voltage ?? 0 });
    return energy >= OUTPUT_ENERGY ? [{ ref, role: 'output', capacitance, ...rated }] : [];
  });
}
