import { practice } from '../../evidence';
import { splitPin, type Board, type BoardPart, type NetPin } from '../../board';
import type { Model } from '../model';
import { affinityOf, pinClass } from './pinClass';

/** Two pins that may be asked about. */
export interface Candidate {
  readonly a: NetPin;
  readonly b: NetPin;
  /** What the answer is worth, in bits, reach and plausibility counted in. */
  gain: number;
  /** What of that is because some form asks for the join. */
  asked: number;
  /** How likely the pins are joined. */
  share: number;
}

/** Weight of the chance that none of those who could play an open role does. */
export const NOBODY = 0.1;

/** Where a probe slips or the pins stand close. */
const REACH: Partial<Record<BoardPart['kind'], number>> = practice({
  ic: 0.8,
  optocoupler: 0.9,
  'shunt-reference': 0.85,
});

export const affinity = (a: NetPin, b: NetPin) => affinityOf(pinClass(a.part, a.pin), pinClass(b.part, b.pin));
export const reach = ({ kind }: BoardPart) => REACH[kind] ?? 1;

/** A pair of nets by their rails. */
export const keyOf = (a: NetPin, b: NetPin, { rails }: Model) =>
  [rails.at(a.part, a.pin), rails.at(b.part, b.pin)].toSorted((x, y) => x - y).join(' ');

/** The pin of a board that is called so. */
export function pinNamed(name: string, { parts }: Board): NetPin | undefined {
  const [ref, pin] = splitPin(name);
  const part = parts.find((entry) => entry.ref === ref);
  return part && pin in part.pins ? { part, pin } : undefined;
}

/** A join against the sense of both parts: a cathode on a minus, an anode on a plus. */
export const AGAINST_SENSE = practice(0.2);
const MAY_SHARE_A_NET: ReadonlySet<BoardPart['kind']> = new Set(['ic', 'transformer', 'connector']);
/** A join that would bridge a part: a drain with its source. */
const BRIDGES_A_PART = practice(0.1);
/** Two nets that were traced to some length would mostly have been found to be one. */
const BOTH_TRACED = practice(0.5);

/** Whether a join would turn one of the parts round: a cathode on a minus, an anode on a plus. */
export function isAgainstSense(a: NetPin, b: NetPin): boolean {
  const isAgainst = (one: NetPin, other: NetPin) =>
    (/^K\d?$/.test(one.pin) && other.pin === '-') || (/^A\d?$/.test(one.pin) && other.pin === '+');
  return isAgainst(a, b) || isAgainst(b, a);
}

/** How likely a join is that no hypothesis looks at: by the sense of the parts, and by what was traced already. */
export function plausibility(a: NetPin, b: NetPin, { rails }: Model): number {
  const isTraced = ({ part, pin }: NetPin) => rails.on(rails.at(part, pin)).length > 2;
  const on = ({ part, pin }: NetPin) => rails.on(rails.at(part, pin)).map((other) => other.part);
  const mayShare = ({ kind, role }: BoardPart) => MAY_SHARE_A_NET.has(kind) && role !== 'mains-inlet';
  const place = (pin: NetPin) => placeOf(pin, pinClass(pin.part, pin.pin));
  const isBridging = on(a).some((part) => !mayShare(part) && on(b).includes(part));
  return (
    (isBridging ? BRIDGES_A_PART : 1) *
    (isAgainstSense(a, b) ? AGAINST_SENSE : 1) *
    usualAt(place(a), place(b)) *
    usualAt(place(b), place(a)) *
    (isTraced(a) && isTraced(b) ? BOTH_TRACED : 1)
  );
}

/** Transformers are mostly numbered from the primary on: so much likelier is the first pin at its parts than the last. */
const NUMBERED_FROM_PRIMARY = practice(0.3);
const AT_PRIMARY = /^(nmos D|npn C|igbt C|primary store)/;
const AT_SECONDARY = /^(leg of a diode|power diode)/;

/** Where a pin of a transformer stands in its row, from −½ to ½; whether another is one of a primary, or of an output. */
export interface Place {
  readonly late: number;
  readonly isPrimary: boolean;
  readonly isSecondary: boolean;
}

/** `look` is the class of the pin. */
export function placeOf({ part, pin }: NetPin, look: string): Place {
  const pins = Object.keys(part.pins);
  const late = part.kind !== 'transformer' || pins.length < 2 ? 0 : pins.indexOf(pin) / (pins.length - 1) - 0.5;
  return { late, isPrimary: AT_PRIMARY.test(look), isSecondary: AT_SECONDARY.test(look) };
}

/** How usual it is that a pin stands at a pin of a transformer, by its place in the row; about 1. */
export const usualAt = ({ late }: Place, { isPrimary, isSecondary }: Place): number =>
  isPrimary ? 1 - NUMBERED_FROM_PRIMARY * late : isSecondary ? 1 + NUMBERED_FROM_PRIMARY * late : 1;
