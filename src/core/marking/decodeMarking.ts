import type { KindName } from '../part';
import { capacitorLetterPoint, capacitorSleeve, capacitorThreeDigits, filmDecimal } from './capacitorRules';
import { bareRectifierDigits, bridges, diodeFamilies, diodeTypes, prefixedRectifier, zeners } from './diodeRules';
import type { MarkingContext, MarkingRule, Reading } from './reading';
import { chipResistorDigits, eia96, resistorLetterPoint } from './resistorRules';
import { currentLetterVoltage, voltageResistance } from './transistorRules';

const RULES: readonly MarkingRule[] = [
  chipResistorDigits,
  resistorLetterPoint,
  eia96,
  capacitorSleeve,
  capacitorLetterPoint,
  capacitorThreeDigits,
  filmDecimal,
  currentLetterVoltage,
  voltageResistance,
  diodeFamilies,
  diodeTypes,
  prefixedRectifier,
  bareRectifierDigits,
  bridges,
  zeners,
];

/** Kinds that a person mixes up from outside, so that one does not shut the other out. */
const COUSINS: readonly (readonly KindName[])[] = [
  ['diode', 'dual-diode'],
  ['nmos', 'pmos', 'igbt'],
];

/**
 * Reads a part's marking by every rule that knows it and ranks the readings, best first. Knowing
 * the kind keeps only readings of that kind or one easily taken for it. Confidences of one call
 * add up to at most 1: readings that compete share it.
 * @returns an empty list when no rule knows the marking
 * @example decodeMarking('12N65', { kind: 'nmos' })[0].ratings // { id: 12, vds: 650 }
 */
export function decodeMarking(marking: string, context: MarkingContext = {}): Reading[] {
  const text = marking.trim().toUpperCase().replace(/\s+/g, ' ');
  const found = RULES.flatMap((rule) => rule(text, context)).filter(({ kind }) => fits(kind, context.kind));
  const best = distinct(found).sort((a, b) => b.confidence - a.confidence);
  const total = best.reduce((sum, { confidence }) => sum + confidence, 0);
  const scale = total > 1 ? 1 / total : 1;
  return best.map((reading) => ({ ...reading, confidence: Math.floor(reading.confidence * scale * 1000) / 1000 }));
}

function fits(kind: KindName, wanted: KindName | undefined): boolean {
  return (
    wanted === undefined || kind === wanted || COUSINS.some((group) => group.includes(kind) && group.includes(wanted))
  );
}

/** Of readings that say the same, the most confident is kept. */
function distinct(readings: readonly Reading[]): Reading[] {
  const byMeaning = new Map<string, Reading>();
  for (const reading of readings) {
    const meaning = JSON.stringify([reading.kind, Object.entries(reading.ratings).sort()]);
    const present = byMeaning.get(meaning);
    if (!present || present.confidence < reading.confidence) byMeaning.set(meaning, reading);
  }
  return [...byMeaning.values()];
}
