import { practice } from '../evidence';

/** Thermal resistances of a package, kelvin per watt; common practice, no source. */
export interface CaseRule {
  readonly name: string;
  /** Junction to case, usual span. */
  readonly junction: readonly [least: number, most: number];
  /** Junction to free air. */
  readonly air: number;
}

export const CASES: readonly CaseRule[] = practice([
  { name: 'TO-92', junction: [80, 80], air: 175 },
  { name: 'TO-220', junction: [0.6, 3], air: 62 },
  { name: 'TO-220 full pack', junction: [3, 5], air: 62 },
  { name: 'TO-247', junction: [0.3, 1], air: 40 },
  { name: 'DPAK', junction: [1, 4], air: 75 },
  { name: 'D2PAK', junction: [0.6, 2], air: 50 },
  { name: 'SO-8', junction: [20, 30], air: 85 },
  { name: 'QFN 5x6', junction: [1, 3], air: 50 },
  { name: 'SOT-223', junction: [10, 15], air: 100 },
  { name: 'SOT-23', junction: [100, 100], air: 300 },
  { name: 'DO-41', junction: [25, 50], air: 75 },
  { name: 'DO-201', junction: [8, 20], air: 40 },
]);

/** What lies between a case and a heat sink, kelvin per watt of a TO-220; common practice, no source. */
export const INTERFACES: readonly { readonly name: string; readonly resistance: number }[] = practice([
  { name: 'grease', resistance: 0.5 },
  { name: 'mica and grease', resistance: 1 },
  { name: 'silicone pad', resistance: 1.4 },
  { name: 'dry', resistance: 1.3 },
]);

/** Degrees that a silicon junction may reach for good, and at all; common practice, no source. */
export const JUNCTION_GOOD = practice(110);
export const JUNCTION_MOST = practice(125);

/** How a plate gives its heat off; the classic plate formula of handbooks (from memory), within a quarter from 20 to 500 cm². */
export const FINISHES = {
  'black, upright': 0.43,
  'black, lying': 0.5,
  'bright, upright': 0.85,
  'bright, lying': 1,
} as const;
export type Finish = keyof typeof FINISHES;
/** Of aluminium, watts per kelvin and centimetre. */
const CONDUCTS = 2.1;

/** Kelvin per watt of a flat aluminium plate. @param of.area one side, m²; `of.thickness` m */
export function plateResistance(of: {
  readonly area: number;
  readonly thickness: number;
  readonly finish: Finish;
}): number {
  const factor = FINISHES[of.finish];
  return (3.3 * factor ** 0.25) / Math.sqrt(CONDUCTS * of.thickness * 1e3) + (650 * factor) / (of.area * 1e4);
}

/** The area of a plate for a resistance, one side, m²; undefined where its thickness does not let it. */
export function plateFor(of: { readonly resistance: number; readonly thickness: number; readonly finish: Finish }) {
  const factor = FINISHES[of.finish];
  const rest = of.resistance - (3.3 * factor ** 0.25) / Math.sqrt(CONDUCTS * of.thickness * 1e3);
  return rest > 0 ? (650 * factor) / rest / 1e4 : undefined;
}

/** Kelvin per watt by the volume that an extrusion takes up, K·m³/W at a speed of the air; common practice, no source. */
export const EXTRUSIONS = practice({
  'still air': [500, 800],
  'air at 1 m/s': [150, 250],
  'air at 2.5 m/s': [80, 150],
  'air at 5 m/s': [50, 80],
} as const);

/** Share of its current at 25 °C that a MOSFET carries with its case at a temperature. */
export const currentShare = (of: { readonly celsius: number; readonly most: number }): number =>
  Math.sqrt(Math.max(0, (of.most - of.celsius) / (of.most - 25)));

/** How much the on-resistance has grown at a temperature: by 0.7 % a kelvin from 500 V on, 0.45 % up to 100 V, 0.6 % between. */
export const onGrowth = (of: { readonly rating: number; readonly celsius: number }): number =>
  (1 + (of.rating >= 500 ? 0.007 : of.rating > 100 ? 0.006 : 0.0045)) ** (of.celsius - 25);

/**
 * Watts that a MOSFET causes: while it is on, while it turns on and off, by its own capacitance, by the recovery of the rectifier that it
 * turns off (at most), and by its gate, which are lost in the driver and its resistor.
 */
export function switchLosses(of: {
  readonly rms: number;
  readonly ohms: number;
  readonly growth: number;
  readonly volts: number;
  readonly current: number;
  readonly seconds: number;
  readonly frequency: number;
  readonly outputCapacitance: number;
  readonly recovery?: number;
  readonly gate?: { readonly charge: number; readonly volts: number };
}) {
  return {
    conduction: of.rms ** 2 * of.ohms * of.growth,
    switching: 0.5 * of.volts * of.current * of.seconds * of.frequency,
    charging: 0.5 * of.outputCapacitance * of.volts ** 2 * of.frequency,
    recovery: (of.recovery ?? 0) * of.volts * of.frequency,
    gate: (of.gate?.charge ?? 0) * (of.gate?.volts ?? 0) * of.frequency,
  };
}

/** What is usual of a FET in a switching supply where its sheet is not at hand; common practice, no source. */
export const SWITCHED = practice({
  /** Coulomb times ohm of a 60 V FET, and how it grows with the rating. */
  charge: { perOhm: 1e-9, at: 60, power: 1.5 },
  /** Drive of its gate: amperes, share of the charge that passes while it switches, volts. */
  drive: { amperes: 0.5, share: 0.4, volts: 10 },
  outputCapacitance: 200e-12,
});

/** Watts of a FET in a converter: in itself, and in what drives its gate; what is not known is taken as usual. */
export function fetLosses(of: {
  readonly rms: number;
  readonly peak: number;
  readonly ohms: number;
  readonly rated: number;
  readonly volts: number;
  readonly frequency: number;
  readonly charge?: number | undefined;
  readonly outputCapacitance?: number | undefined;
}): { readonly own: number; readonly gate: number } {
  const { charge, drive } = SWITCHED;
  const gate = of.charge ?? (charge.perOhm / of.ohms) * (of.rated / charge.at) ** charge.power;
  const losses = switchLosses({
    rms: of.rms,
    ohms: of.ohms,
    growth: onGrowth({ rating: of.rated, celsius: JUNCTION_GOOD }),
    volts: of.volts,
    current: of.peak,
    seconds: (2 * drive.share * gate) / drive.amperes,
    frequency: of.frequency,
    outputCapacitance: of.outputCapacitance ?? SWITCHED.outputCapacitance,
    gate: { charge: gate, volts: drive.volts },
  });
  return { own: losses.conduction + losses.switching + losses.charging, gate: losses.gate };
}

/** The least heat sink that is worth asking for, and what lies between it and the case, kelvin per watt; common practice, no source. */
export const SINK = practice({ least: 2, interface: 1.2 });

/** The rule of a case by its name; that of a TO-220 where it is not known. */
function caseRule(name: string | undefined): CaseRule | undefined {
  const wanted = (name ?? '').toUpperCase().replace(/FP|F$/u, '');
  return CASES.find((one) => wanted.startsWith(one.name.toUpperCase().split(' ')[0] ?? '-')) ?? CASES[1];
}

/**
 * How warm a junction gets by its own case, or what heat sink keeps it at 110 °C; nothing where none would do.
 * @param of.watts what it turns into heat; `of.ambient` °C of the air
 */
export function caseHeat(of: {
  readonly package: string | undefined;
  readonly watts: number;
  readonly ambient: number;
}): { readonly celsius: number; readonly sink?: number } | undefined {
  const rule = caseRule(of.package);
  if (!rule) return undefined;
  const bare = of.ambient + of.watts * rule.air;
  // Wires take no heat sink.
  if (rule.name.startsWith('DO-')) return bare <= JUNCTION_MOST ? { celsius: bare } : undefined;
  if (bare <= JUNCTION_GOOD) return { celsius: bare };
  const sink = (JUNCTION_GOOD - of.ambient) / of.watts - rule.junction[1] - SINK.interface;
  return sink < SINK.least ? undefined : { celsius: JUNCTION_GOOD, sink };
}
