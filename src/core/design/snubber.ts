import { shareUsed } from '../derating';
import { snubberHeat } from '../converter';
import { E24, nearestOf } from '../marking';
import { SWITCHED } from '../thermal';
import type { Demand } from './point';
import { clampOf, fit, stress, type Fit } from './parts';
import { RULES } from './rules';
import type { DesignLot } from './spec';

/** What takes the spike of a switch: a resistor and a capacitor, and at a flyback the diode of its clamp. */
export interface Snubber {
  readonly way: 'clamp' | 'across';
  readonly farads: number;
  readonly ohms: number;
  readonly watts: number;
  /** Volts that the capacitor stands. */
  readonly volts: number;
}

/**
 * Values to start from before the ring is seen. Across the switch: R = √(L/C) and 3.5 times the capacitance that rings, with usual strays
 * (FORMULAS.md section 6.4); at a flyback the clamp of its leakage.
 */
export function snubberOf(demand: Demand): Snubber {
  const { point, switchVolts } = demand;
  if (point.topology === 'flyback') {
    const { volts, watts, ohms, farads } = clampOf(demand, { inductance: point.inductance });
    return { way: 'clamp', volts, watts, ohms: nearestOf(ohms, E24), farads };
  }
  const { ring } = RULES;
  const rings = ring.both * SWITCHED.outputCapacitance;
  const farads = ring.factor * rings;
  return {
    way: 'across',
    farads,
    ohms: nearestOf(Math.sqrt(ring.henries / rings), E24),
    watts: snubberHeat({ farads, volts: switchVolts, frequency: point.frequency }),
    volts: switchVolts,
  };
}

/** A film or ceramic capacitor as that of the snubber: near enough in value, and it stands the volts. */
export function snubberFit(demand: Demand, lot: DesignLot): Fit | undefined {
  const { capacitance, voltage } = lot.ratings;
  const wanted = snubberOf(demand);
  const { least, most } = RULES.ring[wanted.way];
  if (capacitance === undefined || voltage === undefined) return undefined;
  if (capacitance < least * wanted.farads || capacitance > most * wanted.farads) return undefined;
  return fit(demand, {
    lot,
    count: 1,
    // What the clamp burns is counted with the leakage of its transformer.
    watts:
      wanted.way === 'clamp'
        ? 0
        : snubberHeat({ farads: capacitance, volts: demand.switchVolts, frequency: demand.point.frequency }),
    stresses: [
      stress(
        'voltage',
        wanted.volts,
        voltage,
        'volt',
        shareUsed({ kind: 'capacitor', technology: lot.technology ?? '' }),
      ),
    ],
    notes: [],
  });
}
