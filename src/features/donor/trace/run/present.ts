import { TOPOLOGY_WORDS } from '../../../../core/board';
import { SOURCE_MEANING } from '../../../../core/evidence';
import { formatQuantity, type Unit } from '../../../../core/quantity';
import type { Used } from '../../../../core/traced';
import type { RanBoard } from '../../../../workers/traced.worker';

export const shown = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });

export const stageWords = (topology: string) => TOPOLOGY_WORDS[topology] ?? topology;

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What came of a run, in one sentence. */
export function headline({ stages, disagreements }: RanBoard): string {
  if (stages.length === 0) return 'Cannot be run yet';
  if (disagreements.length === 0) return 'Runs, and agrees with its plate';
  return disagreements.length === 1
    ? 'Runs, but one thing does not agree'
    : `Runs, but ${disagreements.length} things do not agree`;
}

/** Typical values that a figure hangs on most, the first first, and how each is had. Common practice, no source. */
const WORTH: readonly (readonly [Used['name'], string])[] = [
  ['turnsRatio', 'volts of one winding over another, with a small signal in it'],
  ['frequency', 'at the gate on a scope, or by the timing resistor and capacitor'],
  ['inductance', 'with an LCR meter, out of circuit'],
  ['load', 'by the label of what it feeds'],
  ['shorted', 'at the primary, with its output shorted'],
];

/** What to read or measure first, as it is typical so far. What the unit's own chips take matters little. */
export function worthMeasuring(
  used: readonly Used[],
): readonly { readonly ref: string; readonly label: string; readonly how: string }[] {
  const typical = used.filter(({ source, isOwnSupply }) => source === 'typical' && !isOwnSupply);
  return WORTH.flatMap(([name, how]) =>
    typical.filter((one) => one.name === name).map(({ ref, label }) => ({ ref, label, how })),
  ).slice(0, 3);
}

/** How many of the values were measured, read and taken as typical. */
export function restsOn(used: readonly Used[]): string {
  const count = (of: (used: Used) => boolean) => used.filter(of).length;
  const measured = count(({ source }) => source === 'measured');
  const typical = count(({ source }) => source === 'typical');
  return `${measured} measured, ${used.length - measured - typical} read or typed, ${typical} typical`;
}

/** A value as it is told: a ratio of turns as the trade writes it. */
export const usedText = ({ name, value, unit }: Used): string =>
  name === 'turnsRatio' ? `${Number(value.toPrecision(3))} : 1` : shown(value, unit);

export const sourceMeaning = ({ source }: Used): string => SOURCE_MEANING[source];
