import type { Unit } from '../quantity';
import type { Gate } from './elements';
import type { PowerPart } from './part';

/** A value that can be turned. */
export interface Knob {
  readonly id: string;
  readonly label: string;
  readonly unit: Unit;
  readonly from: number;
  readonly to: number;
  readonly usual: number;
  /** Steps are equal ratios. */
  readonly isLog?: true;
  /** The part it is a value of, for a line like `c21 280u`. */
  readonly ref?: string;
}

/** Values of knobs by their id, SI. */
export type Values = Readonly<Record<string, number>>;

/** How the gates are driven. `control` is the duty, the frequency or the angle. */
export type Drive =
  /** The output is held by what is turned, within bounds, and a peak of the switch’s current ends each pulse. */
  | {
      readonly kind: 'duty';
      readonly least: number;
      readonly most: number;
      readonly guess: (values: Values) => number;
      readonly period: (values: Values) => number;
      readonly gates: (at: { readonly period: number; readonly control: number; readonly dead: number }) => Gates;
      /** The switch whose current is limited, and to how many amperes. */
      readonly limit: { readonly ref: string; readonly amperes: number };
    }
  | {
      readonly kind: 'frequency';
      readonly least: number;
      readonly most: number;
      readonly guess: (values: Values) => number;
      readonly gates: (at: { readonly period: number; readonly dead: number }) => Gates;
      readonly limit: { readonly ref: string; readonly amperes: number };
    }
  /** Nothing is held. */
  | {
      readonly kind: 'free';
      readonly period: (values: Values) => number;
      readonly gates?: (values: Values) => Gates;
    }
  /** It runs once, from its start. */
  | { readonly kind: 'once'; readonly span: (values: Values) => number };

export type Gates = Readonly<Record<string, Gate>>;

/** A signal that is drawn over time. */
export interface Trace {
  readonly label: string;
  readonly unit: 'V' | 'A';
  /** Volts across a part’s power pins or its current; `ripple` is the output about its mean, `output` the output itself. */
  readonly of: { readonly volts: string } | { readonly amperes: string } | 'ripple' | 'output';
}

/** A circuit of the trade that can be run. */
export interface PowerCircuit {
  readonly id: string;
  readonly name: string;
  readonly message: string;
  /** Volts that the control holds the output at, where no knob says it. */
  readonly holds?: number;
  readonly knobs: readonly Knob[];
  readonly parts: (values: Values) => readonly PowerPart[];
  readonly drive: Drive;
  /** Nets of the output. */
  readonly output: readonly [plus: string, minus: string];
  /** Parts by what they do. */
  readonly roles: {
    readonly switches: readonly string[];
    readonly rectifiers: readonly string[];
    /** The choke or transformer whose current tells the mode of conduction. */
    readonly store?: string;
    readonly outputCapacitors: readonly string[];
    readonly load: string;
    /** Opens the clamp when it is gone. */
    readonly clamp?: string;
    /** A capacitor that the power goes through. */
    readonly series?: string;
  };
  readonly traces: readonly Trace[];
}
