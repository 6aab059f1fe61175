import type { RatingName, TestName } from '../part';
import type { Unit } from '../quantity';

export interface TestField {
  /** Key under which the value is stored. */
  readonly name: string;
  readonly label: string;
  readonly unit: Unit;
  /** Words for the bench line. */
  readonly words: readonly string[];
  /** Whether “OL” is a legal reading. */
  readonly open: boolean;
  readonly hint?: string;
  /** What a bench meter is asked for, when it is not the unit itself; `nothing` when it cannot tell. */
  readonly meter?: 'diode' | 'nothing';
  /** The rating of the part that this reading measures. */
  readonly rating?: RatingName;
}

export interface TestRule {
  readonly label: string;
  readonly fields: readonly TestField[];
  /** What must be true before the meter touches the part. */
  readonly precondition: string;
}

/** The bench tests with what a person reads off the meter. */
export const TESTS: Readonly<Record<TestName, TestRule>> = {
  capacitor: {
    label: 'Capacitance and ESR',
    precondition: 'Out of circuit or one leg lifted, discharged under 1 V.',
    fields: [
      {
        name: 'capacitance',
        label: 'capacitance',
        unit: 'farad',
        words: ['c', 'cap', 'capacitance'],
        open: false,
        rating: 'capacitance',
      },
      {
        name: 'esr',
        label: 'ESR at 100 kHz',
        unit: 'ohm',
        words: ['esr'],
        open: false,
        rating: 'esr',
        meter: 'nothing',
      },
    ],
  },
  mosfet: {
    label: 'Diode-mode readings',
    precondition: 'Out of circuit; short gate to source first.',
    fields: [
      {
        name: 'body',
        label: 'source to drain',
        unit: 'volt',
        words: ['sd', 'body'],
        open: true,
        hint: 'diode mode, red on source',
        meter: 'diode',
        rating: 'vf',
      },
      {
        name: 'blocking',
        label: 'drain to source',
        unit: 'ohm',
        words: ['ds', 'blocking'],
        open: true,
        hint: 'gate tied to source',
      },
      { name: 'gate', label: 'gate to source', unit: 'ohm', words: ['gs', 'gate'], open: true },
    ],
  },
  diode: {
    label: 'Forward and reverse',
    precondition: 'Out of circuit or one leg lifted.',
    fields: [
      {
        name: 'forward',
        label: 'forward drop',
        unit: 'volt',
        words: ['vf', 'forward'],
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        rating: 'vf',
      },
      { name: 'reverse', label: 'the other way', unit: 'ohm', words: ['vr', 'reverse'], open: true },
    ],
  },
  resistor: {
    label: 'Resistance',
    precondition: 'One leg lifted; in circuit it can only condemn.',
    fields: [
      {
        name: 'resistance',
        label: 'resistance',
        unit: 'ohm',
        words: ['r', 'resistance'],
        open: true,
        rating: 'resistance',
      },
    ],
  },
};

/** How a person writes an open reading. */
export const OPEN_WORDS = ['ol', 'open', 'inf', '∞'] as const;
