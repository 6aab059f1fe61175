import { formatQuantity } from '../quantity';
import { expectedEsr, largestLeakage, largestLossFactor } from './expectedEsr';
import { transferRank, TRANSFER_RANKS } from './judgeOptocoupler';
import { yardsticks } from './judgeChip';
import { forwardDrop } from './judgeDiode';
import { capacitorBuild, esrSeries, type PartUnderTest } from './judgePart';
import { TESTS } from './tests';

/** What a field should read, in a few words, such as `80 to 120 µF`. */
export type Expectations = Readonly<Partial<Record<string, string>>>;

/** What a good part of this kind, marking and rating should read, field by field; only where it is known. */
export function expectationsOf(part: PartUnderTest): Expectations {
  const { ratings } = part;
  const range = (value: number | undefined, tolerance: number, unit: 'ohm' | 'henry' | 'farad' | 'volt') =>
    value === undefined
      ? undefined
      : `${formatQuantity(value * (1 - tolerance), unit)} to ${formatQuantity(value * (1 + tolerance), unit)}`;
  switch (part.test) {
    case 'capacitor':
      return capacitorExpectations(part);
    case 'resistor':
      return { resistance: range(ratings.resistance, ratings.tolerance ?? 0.05, 'ohm') };
    case 'trimmer':
      return { resistance: range(ratings.resistance, ratings.tolerance ?? 0.2, 'ohm'), smooth: 'yes' };
    case 'mosfet':
      return {
        body: '0.4 to 0.7 V',
        blocking: 'OL, over 1 MΩ',
        gate: 'OL, over 10 MΩ',
        hold: 'over 10 s',
        threshold:
          ratings.vgsTh === undefined ? '2 to 4 V, logic types 1 to 2.5' : formatQuantity(ratings.vgsTh, 'volt'),
        ...(ratings.rdsOn === undefined ? {} : { onVolts: `${formatQuantity(ratings.rdsOn, 'ohm')} at most` }),
        leakage: 'under 10 µA',
      };
    case 'diode':
    case 'dual-diode': {
      const technology = part.test === 'diode' ? (part.subtype ?? part.technology) : part.technology;
      const usual = forwardDrop(technology ?? undefined, ratings.vrrm);
      const drop = usual ? `${usual.low} to ${usual.high} V` : 'Schottky 0.15 to 0.35 V, silicon 0.45 to 0.65 V';
      return {
        forward: drop,
        ...(part.test === 'dual-diode' ? { second: usual ? 'within 10 mV of the first' : drop } : {}),
        reverse: 'OL',
        leakage: technology === 'schottky' ? 'under 500 µA' : 'under 10 µA',
        ...(part.test === 'diode' ? { zener: range(ratings.vz, ratings.tolerance ?? 0.05, 'volt') } : {}),
      };
    }
    case 'bridge':
      return Object.fromEntries([
        ...['forward', 'second', 'third', 'fourth'].map((name) => [name, '0.45 to 0.65 V']),
        ['reverse', 'OL'],
        ['across', 'OL'],
      ]);
    case 'transistor':
      return {
        be: '0.55 to 0.75 V, the higher',
        bc: '0.55 to 0.75 V',
        ce: 'OL',
        gain: '8 to 40 high-voltage, else 40 and up',
      };
    case 'igbt':
      return { blocking: 'OL', reverse: '0.35 to 0.7 V, or OL', gate: 'OL', saturation: '1.2 to 2.2 V' };
    case 'triac':
      return { blocking: 'OL', gate: '50 to 300 Ω', latch: 'yes', latchThird: 'yes' };
    case 'thyristor':
      return { blocking: 'OL', gate: 'under 0.9 V', latch: 'yes' };
    case 'optocoupler': {
      const rank = transferRank(part.marking);
      const [low, high] = TRANSFER_RANKS[rank] ?? [0.5, 6];
      return {
        led: '0.9 to 1.4 V',
        dark: 'OL',
        drive: '5 mA',
        output: `${low * 5} to ${high * 5} mA at 5 mA`,
        insulation: 'over 100 MΩ',
      };
    }
    case 'shunt-reference':
      return { reference: formatQuantity(ratings.vout ?? 2.495, 'volt', { digits: 4 }), current: 'at least 1 mA' };
    case 'regulator':
      return ratings.vout === undefined ? {} : { output: range(ratings.vout, 0.05, 'volt') };
    case 'chip':
      return chipExpectations(part);
    case 'fuse':
      return { resistance: 'under 1 Ω' };
    case 'varistor':
      return { insulation: 'over 10 MΩ', knee: range(ratings.vn, 0.1, 'volt') };
    case 'thermistor':
      return { resistance: range(ratings.r25, 0.2, 'ohm'), falls: part.subtype === 'ptc' ? 'no' : 'yes' };
    case 'choke':
      return { inductance: range(ratings.inductance, ratings.tolerance ?? 0.2, 'henry'), rings: '7 and more' };
    case 'common-mode-choke':
      return { second: 'within 5 % of the first', insulation: 'over 100 MΩ' };
    case 'transformer':
      return {
        shorted: '1 to 3 % of the open reading',
        rings: '7 and more',
        insulation: 'over 100 MΩ',
      };
    case 'relay':
      return {
        ...(ratings.voltage === undefined ? {} : { pullIn: `under ${formatQuantity(0.8 * ratings.voltage, 'volt')}` }),
        contact: 'under 0.1 Ω',
      };
    case 'fan':
      return {
        ...(ratings.voltage === undefined ? {} : { starts: `under ${formatQuantity(0.6 * ratings.voltage, 'volt')}` }),
        ...(ratings.current === undefined ? {} : { current: `about ${formatQuantity(ratings.current, 'ampere')}` }),
        noise: 'yes',
      };
    case 'heat-sink':
      return { minutes: '3 min and more' };
  }
}

function capacitorExpectations(part: PartUnderTest): Expectations {
  const { capacitance, voltage, tolerance = 0.2, esr } = part.ratings;
  const build = capacitorBuild(part);
  if (capacitance === undefined) return {};
  const low = build === 'x' ? 0.9 : 1 - tolerance;
  const series = esrSeries(part);
  const expected =
    esr ?? (voltage === undefined ? undefined : expectedEsr({ capacitance, voltage, ...(series ? { series } : {}) }));
  return {
    capacitance: `${formatQuantity(capacitance * low, 'farad')} to ${formatQuantity(capacitance * (1 + tolerance), 'farad')}`,
    ...(build === 'electrolytic' && expected !== undefined
      ? { esr: `under ${formatQuantity(expected, 'ohm', { digits: 2 })}` }
      : {}),
    ...(build === 'electrolytic' && voltage !== undefined
      ? {
          loss: `under ${largestLossFactor({ capacitance, voltage }).toFixed(2)} at 120 Hz`,
          leakage: `under ${formatQuantity(largestLeakage({ capacitance, voltage }), 'ampere')}`,
        }
      : {}),
    ...(build === 'electrolytic' ? {} : { insulation: 'over 100 MΩ' }),
  };
}

/** Fields that say nothing about this part: a can has no insulation test, a film capacitor no ESR to judge. */
export function idleFields(part: PartUnderTest): readonly string[] {
  if (part.test === 'capacitor')
    return capacitorBuild(part) === 'electrolytic'
      ? ['insulation']
      : ['esr', 'leads', 'loss', 'lossAt', 'leakage', 'held', 'hours', 'around', 'rippleShare'];
  if (part.test === 'diode' && part.subtype && part.subtype !== 'zener') return ['zener'];
  return [];
}

/** Above this a charge on the part can hurt, and its leakage test with it. */
const TOUCHABLE_VOLTS = 60;

/** What can hurt in the test of this part, if anything. */
export function cautionOf(part: PartUnderTest): string | undefined {
  const harmless =
    part.test === 'capacitor' &&
    (idleFields(part).includes('leakage') || (part.ratings.voltage ?? Infinity) <= TOUCHABLE_VOLTS);
  return harmless ? undefined : TESTS[part.test].caution;
}

/** What the pins of a good one read. */
function chipExpectations({ known = [] }: PartUnderTest): Expectations {
  const [good] = yardsticks(known);
  return Object.fromEntries(
    Object.entries(good?.pins ?? {}).map(([pin, volts]) => [
      pin,
      volts === Infinity ? 'OL' : formatQuantity(volts, 'volt'),
    ]),
  );
}
