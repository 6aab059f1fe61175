import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { damageCriteria, judge, type Criterion, type Judgement, type Readings } from './judgement';

/** Diode-mode readings of a chip's pins against ground, in volts by pin number; OL is Infinity. */
export type Fingerprint = Readonly<Record<string, number>>;

/** How far pins of chips of one type differ, in volts, and from where it is a fault. */
export const ALIKE = practice({ near: 0.04, far: 0.12 } as const);
const SHORT = 0.02;
/** Fewer pins that agree may be the ones that are alike in any chip. */
export const ENOUGH_PINS = practice(4);

/** The fingerprint of another chip of the same number. */
export interface KnownChip {
  /** Where it was read. */
  readonly from: string;
  readonly pins: Fingerprint;
  /** Whether somebody saw it work; a whole one that nobody did is only likely to be good. */
  readonly proved: boolean;
}

export interface ChipTest {
  readonly readings: Readings;
  /** Of whole chips of the same number, read out of circuit. */
  readonly known: readonly KnownChip[];
  readonly damage: readonly string[];
}

/** Those that a chip is held against: the ones that were seen to work, or in want of them the whole ones. */
export function yardsticks(known: readonly KnownChip[]): readonly KnownChip[] {
  const proved = known.filter((one) => one.proved);
  return proved.length > 0 ? proved : known;
}

/**
 * Holds the fingerprint of a chip against those of good ones: a pin that is shorted to ground where theirs is not,
 * or open where theirs is a junction, condemns it. Without a known good one it says only what is plainly broken; with
 * one that nobody saw work it is never sure.
 */
export function judgeChip({ readings: all, known: others, damage }: ChipTest): Judgement {
  const { proved, ...readings } = all;
  const known = yardsticks(others);
  const criteria: Criterion[] = [...damageCriteria(damage)];
  const pins = Object.entries(readings).flatMap(([pin, reading]) =>
    reading ? [{ pin, value: reading.value, inCircuit: reading.inCircuit === true }] : [],
  );
  if (pins.length === 0) {
    criteria.push({ grade: 'cannot tell', text: 'No pin was measured.' });
    return judge(criteria);
  }
  const lifted = pins.filter(({ inCircuit }) => !inCircuit);
  if (lifted.length < pins.length)
    criteria.push({
      grade: 'cannot tell',
      text: 'Pins read on the board read the board too: lift the chip, or compare with the same board.',
    });
  if (proved?.value === 1 && lifted.length === pins.length) {
    criteria.push({
      grade: pins.length >= ENOUGH_PINS ? 'A' : 'B',
      text: `It worked in its board; its ${pins.length} pins are what others of its number are held against.`,
    });
    return judge(criteria);
  }
  if (known.length === 0) {
    criteria.push({
      grade: 'cannot tell',
      text: `${pins.length} pins are on record; no other chip of its number was read, out of circuit and whole, to hold them against. These stand for the next one.`,
    });
    return judge(criteria);
  }
  const against = lifted.flatMap(({ pin, value }) => comparePin(pin, value, known));
  const compared = against.length;
  if (compared === 0) criteria.push({ grade: 'cannot tell', text: 'The good ones were read on other pins.' });
  const off = against.filter(({ grade }) => grade !== 'A');
  criteria.push(...off);
  if (compared > 0 && off.length < compared)
    criteria.push({
      grade: compared >= ENOUGH_PINS && known[0]?.proved ? 'A' : 'B',
      text: `${compared - off.length} of ${compared} pins read like ${known[0]?.from ?? 'a good one'}, ${
        known[0]?.proved ? 'which worked' : 'which is whole, but nobody saw it work'
      }. A fingerprint is no test under power.`,
    });
  return judge(criteria);
}

function comparePin(pin: string, value: number, known: readonly KnownChip[]): readonly Criterion[] {
  const others = known.flatMap(({ pins }) => (pins[pin] === undefined ? [] : [pins[pin]]));
  if (others.length === 0) return [];
  const apart = Math.min(...others.map((other) => distance(value, other)));
  const show = (volts: number) => (volts === Infinity ? 'OL' : formatQuantity(volts, 'volt'));
  const message = `Pin ${pin} reads ${show(value)}, a good one ${show(others[0] ?? Infinity)}`;
  if (apart <= ALIKE.near) return [{ grade: 'A', text: `${message}.` }];
  const broken = value < SHORT || (value === Infinity) !== (others[0] === Infinity);
  if (broken || apart > ALIKE.far) return [{ grade: 'reject', text: `${message}.` }];
  return [{ grade: 'cannot tell', text: `${message}: measure both again, warm from the same hand.` }];
}

const distance = (a: number, b: number): number =>
  a === b ? 0 : a === Infinity || b === Infinity ? Infinity : Math.abs(a - b);
