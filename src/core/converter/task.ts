/** Converters whose sums are worked out here; ideal and in the steady state. */
export const TOPOLOGIES = [
  'buck',
  'boost',
  'inverting',
  'sepic',
  'cuk',
  'flyback',
  'forward',
  'two-switch-forward',
  'push-pull',
  'half-bridge',
  'full-bridge',
] as const;
export type Topology = (typeof TOPOLOGIES)[number];

/** What a converter is asked for, and the parts it has. Volts, amperes, hertz, henry, farad, ohm. */
export interface Task {
  readonly topology: Topology;
  readonly input: number;
  /** Size of the output. */
  readonly output: number;
  readonly current: number;
  readonly frequency: number;
  /** The choke; of a flyback its primary. SEPIC and Ćuk take two of the same. */
  readonly inductance: number;
  /** Primary turns for one of the secondary. */
  readonly turns?: number;
  /** Drop of the rectifier and of the switch. */
  readonly rectifierDrop?: number;
  readonly switchDrop?: number;
  /** Of a flyback: what comes out of what goes in. */
  readonly efficiency?: number;
  readonly outputCapacitance?: number;
  readonly outputEsr?: number;
}

/** What its currents and voltages come to. */
export interface Conversion {
  readonly mode: 'continuous' | 'discontinuous';
  /** On-time of one switch by the frequency; and the share in which the choke runs empty, where it does. */
  readonly duty: number;
  readonly fall?: number;
  /** Of the choke, or the primary of a flyback: mean over the period (a flyback: while the switch is on), rise, peak, rms. */
  readonly mean: number;
  readonly ripple: number;
  readonly peak: number;
  readonly rms: number;
  readonly switchVolts: number;
  readonly switchPeak: number;
  readonly switchRms: number;
  readonly rectifierVolts: number;
  readonly rectifierMean: number;
  readonly rectifierRms: number;
  readonly rectifierPeak: number;
  /** Ripple currents, rms. */
  readonly inputCapacitorRms: number;
  readonly outputCapacitorRms: number;
  /** Of a SEPIC or a Ćuk: the capacitor between, and the volts across it. */
  readonly linkRms?: number;
  readonly linkVolts?: number;
  /** Ripple at the output, peak to peak: by the charge that goes in and out, and by the ESR. */
  readonly chargeRipple?: number;
  readonly esrRipple?: number;
  /** Output current above which the choke never runs empty. */
  readonly boundary: number;
  /** Zero in the right half of the plane: the loop must cross well below it, hertz. */
  readonly rightZero?: number;
}

/** Why there is no such converter. */
export interface ConversionProblem {
  readonly wrong: string;
}
