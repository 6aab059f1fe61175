import { isKindName } from '../part';
import { decodeMarking, type Decoding } from '.';
import { LONG_TAIL, LONG_TAIL_AFTER } from './fixtures/longTail';

interface TailCase {
  readonly marking: string;
  readonly context: Readonly<Record<string, string>>;
  readonly wants: readonly { readonly kind: string; readonly ratings: readonly (readonly [string, number])[] }[];
}

const casesOf = (table: string): TailCase[] =>
  table
    .trim()
    .split('\n')
    .map((line) => {
      const [marking = '', context = '', wants = ''] = line.split('|').map((text) => text.trim());
      return {
        marking,
        context: Object.fromEntries(context.split(' ').flatMap((word) => (word ? [word.split(':')] : []))),
        wants: wants.split(' or ').map((want) => {
          const [kind = '', ...ratings] = want.trim().split(' ');
          return {
            kind,
            ratings: ratings.map((word) => [word.split('=')[0] ?? '', Number(word.split('=')[1])] as const),
          };
        }),
      };
    });

const DIODES = ['diode', 'dual-diode'];
const fits = (read: Decoding | undefined, { wants }: TailCase) =>
  wants.some(({ kind, ratings }) =>
    read === undefined
      ? kind === 'nothing'
      : (kind === '*' || kind === read.kind || (DIODES.includes(kind) && DIODES.includes(read.kind))) &&
        ratings.every(
          ([name, value]) => Math.abs((read.ratings[name as 'vds'] ?? NaN) - value) <= 0.03 * Math.abs(value),
        ),
  );

test.each([
  ['written by another', LONG_TAIL, 300, 0.95],
  ['written after the rules', LONG_TAIL_AFTER, 180, 0.95],
])('of the long tail %s, most are read right first, and none is wrong and sure', (_, table, count, share) => {
  const cases = casesOf(table);
  expect(cases.length).toBeGreaterThanOrEqual(count);
  for (const { context } of cases) expect(context.kind === undefined || isKindName(context.kind)).toBe(true);
  const read = cases.map((one) => ({ one, top: decodeMarking(one.marking, one.context)[0] }));
  const wrong = read.filter(({ one, top }) => !fits(top, one));
  expect(wrong.filter(({ top }) => (top?.confidence ?? 0) >= 0.5).map(({ one }) => one.marking)).toEqual([]);
  expect(1 - wrong.length / cases.length).toBeGreaterThanOrEqual(share);
});

// Symptoms that an auditor found; each row is what a datasheet or the code of its series says.
test.each`
  marking              | kind           | ratings                                   | why
  ${'0,47uF 275V~ X2'} | ${'capacitor'} | ${{ capacitance: 4.7e-7, voltage: 275 }}  | ${'a decimal comma'}
  ${'2,200µF 16V'}     | ${'capacitor'} | ${{ capacitance: 2.2e-3 }}                | ${'a comma that parts thousands'}
  ${'0.0047 1600V J'}  | ${'capacitor'} | ${{ capacitance: 4.7e-9, voltage: 1600 }} | ${'four decimals'}
  ${'222M Y1 400V~'}   | ${'capacitor'} | ${{ capacitance: 2.2e-9, voltage: 400 }}  | ${'a class'}
  ${'TS15P06G'}        | ${'bridge'}    | ${{ ifav: 15 }}                           | ${'no P-channel transistor'}
  ${'HFA15PB60'}       | ${'diode'}     | ${{ ifav: 15, vrrm: 600 }}                | ${'no P-channel transistor'}
  ${'NP82N055'}        | ${'nmos'}      | ${{ id: 82, vds: 55 }}                    | ${'a zero in front is no power of ten'}
  ${'2P4M'}            | ${'scr'}       | ${{ itRms: 2, vdrm: 400 }}                | ${'no capacitor of 2.4 pF'}
  ${'S6025L'}          | ${'scr'}       | ${{ itRms: 25, vdrm: 600 }}               | ${'no Schottky'}
  ${'B340A'}           | ${'diode'}     | ${{ ifav: 3, vrrm: 40 }}                  | ${'no PNP transistor'}
  ${'KBP307'}          | ${'bridge'}    | ${{ ifav: 3, vrrm: 1000 }}                | ${'a place in a list'}
  ${'2N2907'}          | ${'pnp'}       | ${{ vceo: 40 }}                           | ${'60 V need the A'}
  ${'2N2907A'}         | ${'pnp'}       | ${{ vceo: 60 }}                           | ${'the A'}
  ${'1N5378B'}         | ${'diode'}     | ${{ vz: 100 }}                            | ${'the end of a list'}
  ${'STGP10NC60KD'}    | ${'igbt'}      | ${{ vces: 600 }}                          | ${'an IGBT however small'}
`('$marking: $kind, $ratings ($why)', ({ marking, kind, ratings }) => {
  const [first] = decodeMarking(marking as string);
  expect(first?.kind).toBe(kind);
  for (const [name, value] of Object.entries(ratings as Record<string, number>))
    expect(first?.ratings[name as 'vds']).toBeCloseTo(value, 12);
});

test('a number with a character unreadable stays undecided where several are made', () => {
  const [first] = decodeMarking('UC38?2');
  expect(first?.kind).toBe('ic');
  expect(first?.confidence).toBeLessThan(0.5);
});
