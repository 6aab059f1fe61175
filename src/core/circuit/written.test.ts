import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { readDeck, simulate, writeDeck, type Deck, type Element, type Simulation } from '.';

const FIXTURES = join(__dirname, 'fixtures');

function deckOf(text: string): Deck {
  const read = readDeck(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.deck;
}

function run(deck: Deck): Simulation {
  const result = simulate(deck);
  if ('kind' in result) throw new Error(JSON.stringify(result));
  return result;
}

const values = (deck: Deck) => Object.values(run(deck).measures).map(({ value }) => value);

// The signals of a diode that a written deck parts into a diode and its source keep their currents.
test.each(readdirSync(FIXTURES).filter((name) => name.endsWith('.cir')))('%s, written and read again', (name) => {
  const deck = deckOf(readFileSync(join(FIXTURES, name), 'utf8'));
  const again = deckOf(writeDeck(deck));
  expect(again.elements).toHaveLength(deck.elements.length);
  const before = values(deck);
  values(again).forEach((value, index) => expect(value / before[index]!).toBeCloseTo(1, 4));
});

const MEASURES = ['max i(l1) from 0 to 5m', 'at i(l1) at 2m', 'at i(l1) at 5m'];
const rising = (card: string) =>
  ['coil', ...MEASURES.map((text) => `* measure: ${text}`), card, 'V1 a 0 2', 'L1 a 0 10m', '.tran 1u 5m uic'].join(
    '\n',
  );

// By hand: 2 V across 10 mH rise at 200 A/s; from 0.6 A on, with 1 mH, at 2000 A/s, so 0.6 + 2 ms × 2000 = 4.6 A after 5 ms.
test('a core that saturates rises on its second slope, and the slope back is the same', () => {
  const [most, at, end] = values(deckOf(rising('* saturates: L1 at 0.6 to 1m'))) as [number, number, number];
  expect(at).toBeCloseTo(0.4, 5);
  expect(end).toBeCloseTo(4.6, 2);
  expect(most).toBeCloseTo(4.6, 2);
  // A sine swings far into saturation on both sides and comes back to nothing.
  const [high, low, ends] = values(
    deckOf(
      [
        'swing',
        '* period: 20m',
        '* measure: max i(l1) from 0 to 20m',
        '* measure: min i(l1) from 0 to 20m',
        '* measure: at i(l1) at 20m',
        '* saturates: L1 at 1 to 0.05',
        'V1 a 0 PULSE(100 -100 5m 1n 1n 10m 20m)',
        'L1 a 0 0.25',
        '.tran 1u 20m uic',
      ].join('\n'),
    ),
  ) as [number, number, number];
  // 5 ms at 100 V: 1 A after 2.5 ms, then 2.5 ms × 2000 A/s on top; down and through to the other side alike.
  expect(high).toBeCloseTo(6, 2);
  expect(low).toBeCloseTo(-6, 2);
  expect(ends).toBeCloseTo(0, 2);
});

/** A buck of 12 V whose lower device is the body of a MOSFET that is never driven. */
function buck(lower: readonly Element[]): Deck {
  const line = 0;
  const gate = { kind: 'pulse', low: 0, high: 1, delay: 0, rise: 1e-9, fall: 1e-9, width: 4e-6, period: 1e-5 } as const;
  const text = (op: string) => `${op} i(${lower[0]!.name}) last 2 periods`;
  const measures = ['avg', 'min', 'rms'].map((op) => text(op));
  const head = ['m', '* period: 10u', ...measures.map((one) => `* measure: ${one}`), 'R9 z 0 1', '.tran 1u 2m uic'];
  return {
    ...deckOf(head.join('\n')),
    elements: [
      { kind: 'V', name: 'v1', a: 'in', b: '0', line, course: { kind: 'dc', value: 12 } },
      { kind: 'V', name: 'vg', a: 'g', b: '0', line, course: gate },
      { kind: 'V', name: 'vn', a: 'n', b: '0', line, course: { kind: 'dc', value: 0 } },
      {
        kind: 'S',
        name: 's1',
        a: 'in',
        b: 'x',
        line,
        plus: 'g',
        minus: '0',
        on: 0.05,
        off: 1e7,
        threshold: 0.5,
        hysteresis: 0,
      },
      ...lower,
      { kind: 'L', name: 'l1', a: 'x', b: 'out', line, henries: 33e-6, start: 0 },
      { kind: 'C', name: 'c1', a: 'out', b: '0', line, farads: 220e-6, start: 5 },
      { kind: 'R', name: 'r1', a: 'out', b: '0', line, ohms: 2 },
    ],
  };
}

test('a MOSFET that is off is its body diode, and its current counts from drain to source', () => {
  const body = { drop: 0.8, ohms: 0.03 };
  const diode: Element = { kind: 'D', name: 'd1', a: '0', b: 'x', line: 0, ...body };
  const off = { plus: 'n', minus: '0', on: 0.05, off: 1e9, threshold: 0.5 };
  const mosfet: Element = { kind: 'M', name: 'q1', a: 'x', b: '0', line: 0, ...off, body };
  const [average, , effective] = values(buck([diode])) as [number, number, number];
  const [against, least, alike] = values(buck([mosfet])) as [number, number, number];
  expect(against).toBeCloseTo(-average, 4);
  expect(alike).toBeCloseTo(effective, 4);
  expect(least).toBeLessThan(-2);
  // Written, it is a switch and a diode with a source in series, and the circuit is the same.
  const text = writeDeck(buck([mosfet])).replace(/i\(q1\)/g, 'i(dq1)');
  expect(values(deckOf(text))[0]).toBeCloseTo(average, 4);
});
