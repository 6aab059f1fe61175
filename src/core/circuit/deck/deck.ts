/** A source’s course in time; V and I alike, in volts or amperes, times in seconds. */
export type Course =
  | { readonly kind: 'dc'; readonly value: number }
  | {
      readonly kind: 'pulse';
      readonly low: number;
      readonly high: number;
      readonly delay: number;
      readonly rise: number;
      readonly fall: number;
      readonly width: number;
      /** Infinite when it comes once. */
      readonly period: number;
    }
  | { readonly kind: 'sine'; readonly offset: number; readonly amplitude: number; readonly frequency: number };

/** What every element has: its name and its two nodes, lower case; `0` is ground. */
interface Ends {
  readonly name: string;
  readonly a: string;
  readonly b: string;
  /** Line of the deck, counted from 1; 0 when it comes from none. */
  readonly line: number;
}

export type Element =
  | (Ends & { readonly kind: 'R'; readonly ohms: number })
  | (Ends & {
      readonly kind: 'L';
      readonly henries: number;
      readonly start: number | undefined;
      /** Of a core that saturates: from which magnetising amperes of this winding on it has how many henries. */
      readonly saturation?: { readonly amperes: number; readonly henries: number };
    })
  | (Ends & { readonly kind: 'C'; readonly farads: number; readonly start: number | undefined })
  | (Ends & { readonly kind: 'V' | 'I'; readonly course: Course })
  | (Ends & {
      readonly kind: 'S';
      readonly plus: string;
      readonly minus: string;
      readonly on: number;
      readonly off: number;
      readonly threshold: number;
      readonly hysteresis: number;
    })
  /** A diode of two straight lines: off, or a drop and a resistance. */
  | (Ends & { readonly kind: 'D'; readonly drop: number; readonly ohms: number })
  /** A MOSFET from drain to source: a switch that a gate drives, and the diode of its body beside it. */
  | (Ends & {
      readonly kind: 'M';
      readonly plus: string;
      readonly minus: string;
      readonly on: number;
      readonly off: number;
      readonly threshold: number;
      readonly body: { readonly drop: number; readonly ohms: number };
    });

/** Two inductors on one core. */
export interface Coupling {
  readonly name: string;
  readonly first: string;
  readonly second: string;
  readonly factor: number;
  readonly line: number;
}

export const MEASURE_OPS = ['avg', 'rms', 'pp', 'max', 'min', 'at'] as const;
export type MeasureOp = (typeof MEASURE_OPS)[number];

/** A node against another, the current through an element from its first node to its second, the power that goes into it, or its flux. */
export type Signal =
  | { readonly kind: 'volts'; readonly plus: string; readonly minus: string }
  | { readonly kind: 'amperes' | 'watts'; readonly element: string }
  /** The flux of a winding, as the amperes in it alone that would make it. */
  | { readonly kind: 'magnetising'; readonly element: string };

export interface Measure {
  /** As it was written; the key of its result. */
  readonly text: string;
  readonly op: MeasureOp;
  readonly signal: Signal;
  readonly window:
    | { readonly kind: 'last'; readonly periods: number }
    | { readonly kind: 'span'; readonly from: number; readonly to: number }
    | { readonly kind: 'moment'; readonly at: number };
}

export interface Deck {
  readonly title: string;
  readonly elements: readonly Element[];
  readonly couplings: readonly Coupling[];
  readonly span: number;
  /** Volts of nodes at the start. */
  readonly starts: Readonly<Record<string, number>>;
  readonly period: number | undefined;
  readonly measures: readonly Measure[];
}

/** What of a deck cannot be used. */
export interface DeckProblem {
  readonly line: number;
  readonly text: string;
  readonly expected: string;
}
