import type { MeterQuantity, SimulatedStore } from '../../core/meter';

/** What the leads find at a point of the simulated bench. */
export type ScenePoint =
  | { readonly kind: 'store'; readonly store: SimulatedStore }
  | { readonly kind: 'part'; readonly reads: Partial<Record<MeterQuantity, number>> };

const store = (start: number, capacitance: number, bleed: number, absorbs = 0.004): ScenePoint => ({
  kind: 'store',
  store: { start, capacitance, bleed, absorbs },
});
const part = (reads: Partial<Record<MeterQuantity, number>>): ScenePoint => ({ kind: 'part', reads });

/**
 * The units of the demo by model and reference: stores that bleed while one watches, one of them with
 * an open bleeder, and parts good, worn and bad. Invented.
 */
export const SCENE: Readonly<Record<string, ScenePoint>> = {
  'VK-2402 C3': store(318, 80e-6, 470e3),
  'VK-2402 CX1': store(0.3, 215e-9, 1e6),
  'MC-42 C1': store(318, 96e-6, Infinity),
  'P5-2 C1': store(320, 9.6e-6, 470e3),
  'P5-2 C2': store(5.1, 680e-6, 10e3),
  'TB-1990 C3': store(1.2, 118e-6, 1.5e6),
  'VK-2402 R12': part({ ohm: 4692, continuity: Infinity }),
  'VK-2402 Q1': part({ diode: 0.511, ohm: Infinity, continuity: Infinity }),
  'VK-2402 D8': part({ diode: 0.268, ohm: Infinity }),
  'VK-2402 C21': part({ farad: 455e-6 }),
  'VK-2402 C22': part({ farad: 219e-6 }),
  'TB-1990 C22': part({ farad: 601e-6 }),
  'TB-1990 Q1': part({ diode: 0.512, ohm: Infinity }),
  'TB-1990 D8': part({ diode: 0.281, ohm: Infinity }),
  'TB-1990 BR1': part({ diode: 0.521, ohm: Infinity }),
  'TB-1990 C21': part({ farad: 641e-6 }),
  'TB-1990 R12': part({ ohm: 4688 }),
  'TB-1990 CX1': part({ farad: 280e-9 }),
  'TB-1990 D3': part({ diode: 0.534, ohm: Infinity }),
  'TB-1990 D4': part({ diode: 0.538, ohm: Infinity }),
  'TB-1990 NTC1': part({ ohm: 5.2 }),
  'OS-204 Q3': part({ diode: 0.002, ohm: 0.3, continuity: 0.3 }),
  'GT-300S C23': part({ farad: 310e-6 }),
  'OC-7 C3': part({ farad: 96e-6 }),
};
