import { practice } from '../evidence';
import type { CauseName } from './causes';
import type { Complaint } from './complaint';
import { firstVolts, type Seen } from './readings';
import { RULE, type Weigh } from './rule';
import type { RoleName } from './words';

/** A mains selector that stands at the lower mains; a name such as 115/230 says nothing. */
const SET_LOW = /(?:stands|set|points|reads|switched|is)\s(?:to |at |on )?1(?:00|10|15|17|20|27)\b(?!\s*\/)/u;
/** One that stands at the higher mains. */
const SET_HIGH = /(?:^|stands|set|points|reads|switched|is)\s?(?:to |at |on )?2[234]0\b/;
/** Mains up to which that is right. */
const LOW_MAINS = 140;

/** Whether a unit is fed with the lower mains, by its nameplate. */
const isLowMains = ({ board }: Complaint): boolean => (board?.nameplate?.input?.vMax ?? Infinity) <= LOW_MAINS;

/** Said of the mains: that it is the lower one. */
const MAINS_LOW = /\bmains\b[^;.]{0,16}\b1(?:00|10|15|17|20|27)\b/u;

/** What a mains selector was found to stand at; whether that was told. */
function weighSelector({ ref, text = '' }: Seen, complaint: Complaint, weigh: Weigh): boolean {
  const [isLow, isHigh] = [SET_LOW.test(text.trim()), SET_HIGH.test(text.trim())];
  // Where both are told, one is how it stands and the other the mains.
  const isWrong = (isLow && isHigh) || isLow !== (isLowMains(complaint) || MAINS_LOW.test(text));
  if (isLow || isHigh) weigh('line-selector-wrong', isWrong ? RULE.setWrong : RULE.leaves, `${ref ?? ''}: ${text}`);
  return isLow || isHigh;
}

/** Volts at the reference pin of a shunt reference that has no hold of its output any more; its own are 2.5 V (TL431 datasheets). */
const REFERENCE = practice({
  high: 2.6,
  low: 2.4,
  // A reference of the low-volt kind acts at 1.24 V.
  ownLow: { from: 1.1, to: 1.35 },
  // The divider tells it that the output is too high, and nothing is done.
  told: { 'reference-dead': 6, 'optocoupler-dead': 3, 'feedback-open': 0.25 },
  // The divider tells less than is there.
  untold: { 'reference-dead': 0.3, 'optocoupler-dead': 0.3, 'feedback-open': 6 },
});

/** What the reference pin says of an output that is too high; whether it says anything. */
function weighReference({ ref, test, text, value }: Seen, weigh: Weigh): boolean {
  const volts = value ?? (text === undefined ? undefined : firstVolts(text));
  if (test !== 'voltage-dc' || volts === undefined) return false;
  const { high, low, ownLow, told, untold } = REFERENCE;
  const isOwnLow = volts > ownLow.from && volts < ownLow.to;
  const tells = volts > high ? told : volts < low && !isOwnLow ? untold : undefined;
  for (const [name, factor] of Object.entries(tells ?? {}))
    weigh(name as CauseName, factor, `${ref ?? ''}: ${text ?? `${volts} V`}`);
  return tells !== undefined;
}

/** Said of volts at a pin of a chip. */
const TOLD_WRONG = /\btoo (?:high|low)\b/iu;

/** Readings at a part that speak of other causes than of its own; whether this was one. */
export function weighElsewhere(seen: Seen, role: RoleName, complaint: Complaint, weigh: Weigh): boolean {
  if (role === 'lineSelector') return weighSelector(seen, complaint, weigh);
  if (role === 'reference') return complaint.symptom === 'rail-high' && weighReference(seen, weigh);
  // Volts that are wrong at a pin of a controller are what it is told, not what it does.
  if (role !== 'controller' || seen.test !== 'voltage-dc' || !TOLD_WRONG.test(seen.text ?? '')) return false;
  weigh('feedback-open', RULE.toldWrong, `${seen.ref ?? ''}: ${seen.text ?? ''}`);
  return true;
}
