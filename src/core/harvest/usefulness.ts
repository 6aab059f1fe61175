import { practice } from '../evidence';
import { safetyClassOf, type KindName } from '../part';

/** How much a part of a kind is worth having, whoever builds what. */
export interface Usefulness {
  readonly points: number;
  /** So many in the drawers halve the worth of one more. */
  readonly plenty: number;
  readonly why: string;
}

/** Points that a minute at the bench costs: what gives less for its time stays on the board. */
export const MINUTE_PRICE = practice(3);

/** General usefulness by kind, in points. */
export const USEFULNESS: Readonly<Record<KindName, Usefulness>> = practice({
  resistor: { points: 1, plenty: 50, why: 'resistors cost next to nothing new' },
  potentiometer: { points: 4, plenty: 10, why: 'trimmers are handy, and cheap' },
  capacitor: { points: 8, plenty: 12, why: 'a small capacitor is cheap' },
  inductor: { points: 22, plenty: 6, why: 'power chokes are dear and hard to match' },
  'common-mode-choke': { points: 20, plenty: 4, why: 'line chokes are dear and do not age' },
  transformer: { points: 24, plenty: 4, why: 'a wound transformer is hours of work' },
  diode: { points: 5, plenty: 20, why: 'diodes serve anywhere, and are cheap' },
  'dual-diode': { points: 16, plenty: 6, why: 'output rectifiers are dear' },
  bridge: { points: 12, plenty: 5, why: 'a bridge suits any mains supply' },
  nmos: { points: 22, plenty: 8, why: 'power MOSFETs are used in every build' },
  pmos: { points: 22, plenty: 5, why: 'P-channel MOSFETs are rare' },
  igbt: { points: 24, plenty: 4, why: 'IGBTs are dear' },
  npn: { points: 10, plenty: 12, why: 'drivers and linear stages take them, and they are cheap' },
  pnp: { points: 10, plenty: 12, why: 'drivers and linear stages take them, and they are cheap' },
  triac: { points: 12, plenty: 5, why: 'a triac switches mains loads' },
  scr: { points: 10, plenty: 5, why: 'thyristors are seldom needed' },
  optocoupler: { points: 10, plenty: 8, why: 'every feedback loop takes one' },
  'shunt-reference': { points: 6, plenty: 10, why: 'a reference is cheap, and always wanted' },
  regulator: { points: 8, plenty: 8, why: 'regulators are cheap' },
  ic: { points: 12, plenty: 4, why: 'a controller repairs its like' },
  fuse: { points: 0, plenty: 1, why: 'a used fuse is replaced new' },
  thermistor: { points: 6, plenty: 6, why: 'inrush limiters suit any supply' },
  varistor: { points: 2, plenty: 6, why: 'a used varistor has a past nobody knows' },
  connector: { points: 10, plenty: 8, why: 'connectors and inlets are dear for what they are' },
  relay: { points: 14, plenty: 5, why: 'relays are dear' },
  fan: { points: 22, plenty: 4, why: 'a quiet fan cools anything' },
  'heat-sink': { points: 18, plenty: 5, why: 'extruded sinks are dear' },
  assembly: { points: 40, plenty: 2, why: 'a working board saves building one' },
  'spark-gap': { points: 1, plenty: 5, why: 'a spark gap is rarely wanted' },
  diac: { points: 2, plenty: 10, why: 'a diac serves a dimmer' },
  lamp: { points: 1, plenty: 5, why: 'a neon lamp shows mains' },
  switch: { points: 3, plenty: 10, why: 'a mains switch is handy in a build' },
  wire: { points: 5, plenty: 10, why: 'good wire is dear by the metre' },
});

/** Small cases hold small parts: their share of the points. */
export const CASE_SHARE: Readonly<Record<string, number>> = practice({
  tab: 1,
  'power-chip': 1,
  bridge: 1,
  radial: 1,
  dip: 0.9,
  'dip-4': 1,
  so: 0.7,
  axial: 0.8,
  diode: 0.8,
  small: 0.4,
  chip: 0.15,
});

/** Capacitors by build: their share of the points, and why. */
const CAPACITOR_BUILDS: Readonly<Record<string, { readonly share: number; readonly why: string }>> = practice({
  film: { share: 1.3, why: 'films do not age' },
  x: { share: 1, why: 'every mains input takes one' },
  y: { share: 0.1, why: 'across the barrier a new one belongs' },
  ceramic: { share: 0.2, why: 'ceramics cost next to nothing new' },
  tantalum: { share: 0.6, why: 'tantalums fail short' },
  polymer: { share: 1.2, why: 'polymers are dear and last' },
  electrolytic: { share: 0.8, why: 'cans age, but a good one serves a repair' },
});

/** A capacitor that does not say how it is built is most likely a ceramic below this, in farads. */
const CERAMIC_BELOW = practice(10e-9);

/** The share of a capacitor's points by its build, or by its value when that is not known; why, when it is known. */
export function capacitorShare(
  subtype: string | null | undefined,
  farads: number | undefined,
): { readonly share: number; readonly why?: string } {
  const classed = safetyClassOf(subtype);
  const build = classed ? (classed.y === undefined ? 'x' : 'y') : subtype;
  if (build) return CAPACITOR_BUILDS[build] ?? { share: 1 };
  return { share: farads !== undefined && farads < CERAMIC_BELOW ? (CAPACITOR_BUILDS.ceramic?.share ?? 1) : 1 };
}

/** What a grade leaves of the points. */
export const GRADE_SHARE = practice({ A: 1, B: 0.8, C: 0.35, untested: 0.6, reject: 0 } as const);

/** What an open need adds, and what a person's wish does. */
export const WANTED = { fits: 60, limit: 35, wish: 120 } as const;
