import { parseNameplate } from '../../core/nameplate';
import type { Store } from '../../core/safety';
import { liveBadge, notDeadMessage } from './notDead';
import { toPartFacts } from './partFacts';
import { holdOf, linksOf, voltagesOf } from './unitFacts';

test.each`
  plate                                              | input        | highest
  ${'INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A'} | ${'ac'}      | ${19}
  ${'OUTPUT 5V 2A, -12V 0.3A'}                       | ${undefined} | ${12}
  ${'INPUT 12V DC 2A OUTPUT 5V 1A'}                  | ${'dc'}      | ${5}
  ${''}                                              | ${undefined} | ${undefined}
`('“$plate” lets expect $input in and at most $highest V out', ({ plate, input, highest }) => {
  const voltages = voltagesOf(parseNameplate(plate as string));
  expect([voltages.input, voltages.highestOutput]).toEqual([input, highest]);
});

const store = (of: Partial<Store>): Store => ({
  id: 's1',
  donorId: 'd1',
  name: 'C3',
  role: 'bulk',
  bank: '',
  capacitanceF: 82e-6,
  ratedV: 400,
  ratedAc: false,
  holdSource: 'auto',
  holdV: null,
  bleedOhm: null,
  toolOhm: null,
  createdMs: 0,
  ...of,
});

// 240 V and a tenth more, the tolerance of IEC 60038 (from memory), have a peak of 373 V; the part is rated 400 V.
test.each`
  of                                   | least  | most
  ${{}}                                | ${373} | ${400}
  ${{ holdSource: 'user', holdV: 48 }} | ${48}  | ${48}
  ${{ role: 'output', ratedV: 25 }}    | ${19}  | ${25}
`('a store of $of may hold $least to $most V', ({ of, least, most }) => {
  const { volts, why } = holdOf(
    store(of as Partial<Store>),
    voltagesOf(parseNameplate('INPUT 100-240V~ OUTPUT 19V 4A')),
  );
  expect(volts).toBeGreaterThanOrEqual(least as number);
  expect(volts).toBeLessThanOrEqual(most as number);
  expect(why).not.toBe('');
});

test.each([
  ['', 0],
  ['2 x 470u series', 2],
  ['nonsense', 0],
])('a bank written “%s” has %i links in series', (bank, links) => {
  expect(linksOf({ bank }).length).toBe(links);
});

test('a part is told to the safety sums with what is known of it, and no more', () => {
  const part = { ref: 'C3', kind: 'capacitor', subtype: 'electrolytic', state: 'harvested' };
  const rating = (value: number) => ({ value, source: 'decoded' });
  const told = (ratings: object) => toPartFacts({ part, ratings, measurements: [] } as never);
  expect(told({})).toEqual({ ref: 'C3', kind: 'capacitor', subtype: 'electrolytic', onBoard: false });
  expect(told({ capacitance: rating(82e-6), voltage: rating(400), esr: rating(1) })).toMatchObject({
    capacitance: 82e-6,
    voltage: 400,
  });
});

const live = (name: string, lastVoltage: number | null = null, poweredSince = false) => ({
  name,
  lastVoltage,
  poweredSince,
  belowTouch: null as number | null,
});
test.each`
  total | stores                                   | message
  ${0}  | ${[]}                                    | ${/^No store is listed/}
  ${2}  | ${[]}                                    | ${null}
  ${1}  | ${[live('C3')]}                          | ${/^C3 not measured dead$/}
  ${3}  | ${[live('C3'), live('C4'), live('CX1')]} | ${/^C3 and 2 more not measured dead$/}
  ${1}  | ${[live('C3', 0.3, true)]}               | ${/^C3 not measured dead since power was on$/}
`('$total stores, of which $stores.length may be live: $message', ({ total, stores, message }) => {
  const said = notDeadMessage(
    { facts: { stores: { total, dead: 0 } } as never, liveStores: stores, isPowered: false },
    'trace',
  );
  if (message === null) expect(said).toBeNull();
  else expect(said).toMatch(message as RegExp);
});

const seen = (total: number, stores: ReturnType<typeof live>[], isPowered = false) => ({
  facts: { stores: { total, dead: total - stores.length } } as never,
  liveStores: stores,
  isPowered,
});

test('under the limit of touch a store is told as what it is', () => {
  const below = { ...live('C3', 44), belowTouch: 44.1 };
  expect(notDeadMessage(seen(1, [below]), 'trace')).toBe('C3 below the touch limit, and not dead');
  expect(notDeadMessage(seen(2, [below, live('C4')]), 'trace')).toBe('C3 and 1 more not measured dead');
});

test.each`
  upper  | trace   | harvest  | why
  ${44}  | ${true} | ${true}  | ${'touchable, no more'}
  ${4.9} | ${true} | ${false} | ${'may be desoldered, kills a meter in its ohm modes'}
  ${1.2} | ${true} | ${false} | ${'the same'}
`('a store under $upper V stops the meter: $trace, the iron: $harvest ($why)', ({ upper, trace, harvest }) => {
  const below = seen(1, [{ ...live('C3', upper as number), belowTouch: upper as number }]);
  expect([notDeadMessage(below, 'trace') !== null, notDeadMessage(below, 'harvest') !== null]).toEqual([
    trace,
    harvest,
  ]);
});

test('while power is on nothing else is said, whatever was read before', () => {
  expect(notDeadMessage(seen(1, [], true), 'trace')).toBe('Power is on');
});

test('the badge shows the last reading, if there is one, and that none is listed', () => {
  expect(liveBadge(seen(1, [live('C3', 113)]))?.volts.replaceAll('\u00a0', ' ')).toBe('113 V');
  expect(liveBadge(seen(1, [live('C3')]))?.volts).toBe('');
  expect(liveBadge(seen(1, []))).toBeNull();
  expect(liveBadge(seen(0, []))?.message).toBe('No store listed: treat it as charged');
});
