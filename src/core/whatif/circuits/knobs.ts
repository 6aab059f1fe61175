import type { Unit } from '../../quantity';
import type { Knob, Values } from '../powerCircuit';

type Span = readonly [from: number, usual: number, to: number];

const knob = (id: string, label: string, unit: Unit, [from, usual, to]: Span): Knob => ({
  id,
  label,
  unit,
  from,
  to,
  usual,
  // A span of more than ten to one is turned by ratios.
  ...(from > 0 && to / from > 10 ? { isLog: true } : {}),
});

// The knobs that every circuit has, with their usual spans.

export const input = (span: Span) => knob('input', 'input', 'volt', span);
export const output = (span: Span) => knob('output', 'output', 'volt', span);
export const current = (span: Span) => knob('load', 'load', 'ampere', span);
export const frequency = (span: Span) => knob('frequency', 'frequency', 'hertz', span);
export const inductance = (span: Span, ref: string, label = ref) => ({
  ...knob('inductance', label, 'henry', span),
  ref,
});
export const leakage = (span: Span, ref: string) => ({ ...knob('leakage', 'leakage', 'henry', span), ref });
export const capacitance = (span: Span, ref: string, label = 'output C') => ({
  ...knob('capacitance', label, 'farad', span),
  ref,
});
export const esr = (span: Span, ref: string) => ({ ...knob('esr', 'its ESR', 'ohm', span), ref });
export const dead = (span: Span) => knob('dead', 'dead time', 'second', span);
export const other = knob;

/** A value of a knob; every circuit asks for those it lists. */
export const value = (values: Values, id: string): number => values[id] ?? Number.NaN;

/** Ohms of a load that takes the current of its knob at the volts of the output; nearly none is nearly open. */
export const loadOhms = (values: Values, volts = value(values, 'output')): number =>
  volts / Math.max(value(values, 'load'), volts / 1e6);
