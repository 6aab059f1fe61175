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
const AGAINST_SENSE = 0.2;
const MAY_SHARE_A_NET: ReadonlySet<BoardPart['kind']> = new Set(['ic', 'transformer', 'connector']);
/** A join that would bridge a part: a drain with its source. */
const BRIDGES_A_PART = practice(0.1);
/** Two nets that were traced to some length would mostly have been found to be one. */
const BOTH_TRACED = practice(0.5);

/** How likely a join is that no hypothesis looks at: by the sense of the parts, and by what was traced already. */
export function plausibility(a: NetPin, b: NetPin, { rails }: Model): number {
  const isAgainst = (one: NetPin, other: NetPin) =>
    (/^K\d?$/.test(one.pin) && other.pin === '-') || (/^A\d?$/.test(one.pin) && other.pin === '+');
  const isTraced = ({ part, pin }: NetPin) => rails.on(rails.at(part, pin)).length > 2;
  const on = ({ part, pin }: NetPin) => rails.on(rails.at(part, pin)).map((other) => other.part);
  const mayShare = ({ kind, role }: BoardPart) => MAY_SHARE_A_NET.has(kind) && role !== 'mains-inlet';
  const isBridging = on(a).some((part) => !mayShare(part) && on(b).includes(part));
  return (
    (isBridging ? BRIDGES_A_PART : 1) *
    (isAgainst(a, b) || isAgainst(b, a) ? AGAINST_SENSE : 1) *
    usualPlace(a, b) *
    usualPlace(b, a) *
    (isTraced(a) && isTraced(b) ? BOTH_TRACED : 1)
  );
}

/** Transformers are mostly numbered from the primary on: so much likelier is the first pin at its parts than the last. */
const NUMBERED_FROM_PRIMARY = practice(0.3);
const AT_PRIMARY = /^(nmos D|npn C|igbt C|primary store)/;
const AT_SECONDARY = /^(leg of a diode|power diode)/;

/** How usual it is that such a part stands at this pin of a transformer, by its place in the row; about 1. */
function usualPlace({ part, pin }: NetPin, other: NetPin): number {
  const pins = Object.keys(part.pins);
  if (part.kind !== 'transformer' || pins.length < 2) return 1;
  const late = pins.indexOf(pin) / (pins.length - 1) - 0.5;
  const look = pinClass(other.part, other.pin);
  return AT_PRIMARY.test(look)
    ? 1 - NUMBERED_FROM_PRIMARY * late
    : AT_SECONDARY.test(look)
      ? 1 + NUMBERED_FROM_PRIMARY * late
      : 1;
}
