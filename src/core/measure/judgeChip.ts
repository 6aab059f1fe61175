import { formatQuantity } from '../quantity';
import { damageCriteria, judge, type Criterion, type Judgement, type Readings } from './judgement';

/** Diode-mode readings of a chip's pins against ground, in volts by pin number; OL is Infinity. */
export type Fingerprint = Readonly<Record<string, number>>;

/** How far pins of chips of one type differ, in volts, and from where it is a fault. Common practice, no source. */
const ALIKE = { near: 0.04, far: 0.12 } as const;
const SHORT = 0.02;

export interface ChipTest {
  readonly readings: Readings;
  /** Of whole chips of the same number, read out of circuit, with where each was read. */
  readonly known: readonly { readonly from: string; readonly pins: Fingerprint }[];
  readonly damage: readonly string[];
}

/**
 * Holds the fingerprint of a chip against those of good ones: a pin that is shorted to ground where theirs is not,
 * or open where theirs is a junction, condemns it. Without a known good one it says only what is plainly broken.
 */
export function judgeChip({ readings, known, damage }: ChipTest): Judgement {
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
      grade: compared >= 4 ? 'A' : 'B',
      text: `${compared - off.length} of ${compared} pins read like ${known[0]?.from ?? 'a good one'}. A fingerprint is no test under power.`,
    });
  return judge(criteria);
}

function comparePin(pin: string, value: number, known: ChipTest['known']): readonly Criterion[] {
  const others = known.flatMap(({ pins }) => (pins[pin] === undefined ? [] : [pins[pin]]));
  if (others.length === 0) return [];
  const apart = Math.min(...others.map((other) => distance(value, other)));
  const show = (volts: number) => (volts === Infinity ? 'OL' : formatQuantity(volts, 'volt'));
  const says = `Pin ${pin} reads ${show(value)}, a good one ${show(others[0] ?? Infinity)}`;
  if (apart <= ALIKE.near) return [{ grade: 'A', text: `${says}.` }];
  const broken = value < SHORT || (value === Infinity) !== (others[0] === Infinity);
  if (broken || apart > ALIKE.far) return [{ grade: 'reject', text: `${says}.` }];
  return [{ grade: 'cannot tell', text: `${says}: measure both again, warm from the same hand.` }];
}

const distance = (a: number, b: number): number =>
  a === b ? 0 : a === Infinity || b === Infinity ? Infinity : Math.abs(a - b);
