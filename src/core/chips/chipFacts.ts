import { formatQuantity } from '../quantity';
import type { ChipFamily } from './chip';

/** A remembered fact of a family in words. */
export interface ChipFact {
  readonly label: string;
  readonly value: string;
}

/** What is remembered of a family beside its pins; what is not remembered is left out. */
export function chipFacts(family: ChipFamily): ChipFact[] {
  const {
    supply,
    range,
    dutyLimit,
    frequency,
    oscillator,
    feedback,
    reference,
    packages,
    otherCases,
    topologies,
    suffixes,
  } = family;
  const rows: [string, string | undefined][] = [
    ['starts and stops at', supply && `${volts(supply.start)} and ${volts(supply.stop)}`],
    ['runs from', range && `${volts(range.low)} to ${volts(range.high)}`],
    ['largest duty', dutyLimit === undefined ? undefined : formatQuantity(dutyLimit, 'ratio', { digits: 2 })],
    ['frequency', frequency === undefined ? undefined : formatQuantity(frequency, 'hertz', { digits: 3 })],
    ['oscillator', oscillator?.message],
    ['feedback settles at', feedback === undefined ? undefined : volts(feedback)],
    ['reference pin', reference === undefined ? undefined : volts(reference)],
    ['cases', packages.join(', ')],
    ['pins lie otherwise in', otherCases && Object.keys(otherCases).join(', ')],
    ['usually in', topologies.join(', ') || undefined],
    ['letters behind', suffixes],
  ];
  return rows.flatMap(([label, value]) => (value === undefined ? [] : [{ label, value }]));
}

const volts = (value: number) => formatQuantity(value, 'volt', { digits: 4 });

/**
 * Frequency of a family's oscillator from its timing parts, in hertz: f = factor / (R·C).
 * @returns undefined when the family has no such oscillator
 * @example oscillatorFrequency(uc3842, 10e3, 1e-9) // 172 kHz
 */
export function oscillatorFrequency(
  { oscillator }: ChipFamily,
  resistance: number,
  capacitance: number,
): number | undefined {
  if (!oscillator?.message.startsWith('f =') || resistance <= 0 || capacitance <= 0) return undefined;
  return oscillator.factor / (resistance * capacitance);
}
