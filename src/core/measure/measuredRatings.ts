import type { RatingName, TestName } from '../part';
import { settledResistance } from './judgeMechanical';
import type { Readings } from './judgement';
import { testField } from './tests';

/** What a part was found to be by readings taken out of circuit, by rating; SI base units, K/W for a heat sink. */
export function measuredRatings(test: TestName, readings: Readings): { [name in RatingName]?: number | undefined } {
  const found: { [name in RatingName]?: number | undefined } = {};
  for (const [name, reading] of Object.entries(readings)) {
    const rating = testField(test, name)?.rating;
    if (rating && reading && !reading.inCircuit && Number.isFinite(reading.value)) found[rating] = reading.value;
  }
  // The leads of the tester are no part of the capacitor.
  if (found.esr !== undefined) found.esr = Math.max(0, found.esr - (readings.leads?.value ?? 0));
  if (test === 'heat-sink') found.thermal = settledResistance(readings);
  return found;
}
