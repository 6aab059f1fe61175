import { practice } from '../evidence';
import type { KindName } from '../part';

/** What one middling piece of a kind costs new, in euros, where a hobbyist buys single ones; fuses are bought new anyway. */
const NEW_PRICE: Readonly<Record<KindName, number>> = practice({
  resistor: 0.05,
  potentiometer: 0.6,
  capacitor: 0.5,
  inductor: 2,
  'common-mode-choke': 2.5,
  transformer: 6,
  diode: 0.2,
  'dual-diode': 1.2,
  bridge: 1,
  nmos: 1.8,
  pmos: 1.8,
  igbt: 3,
  npn: 0.5,
  pnp: 0.5,
  triac: 1,
  scr: 1,
  optocoupler: 0.4,
  'shunt-reference': 0.3,
  regulator: 0.7,
  ic: 1.5,
  fuse: 0,
  thermistor: 0.8,
  varistor: 0.3,
  connector: 1.5,
  relay: 2.5,
  fan: 6,
  'heat-sink': 3,
  assembly: 8,
  'spark-gap': 0.5,
  diac: 0.3,
  lamp: 0.5,
  switch: 1.5,
  wire: 0.8,
});

/** What pieces that were used would have cost new, in whole euros, by kind; metres of wire count as pieces. */
export function savedBy(used: readonly { readonly kind: KindName; readonly pieces: number }[]): number {
  return Math.round(used.reduce((sum, { kind, pieces }) => sum + NEW_PRICE[kind] * pieces, 0));
}
