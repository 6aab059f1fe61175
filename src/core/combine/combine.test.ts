import { readDeck, simulate } from '../circuit';
import { balancing, combined, SHARED, type CombinePart, type Way } from '.';

const ohms = (resistance: number, power?: number, voltage?: number): CombinePart => ({
  kind: 'resistor',
  ratings: { resistance, power, voltage },
});
const can = (capacitance: number, voltage: number, more: Record<string, number> = {}): CombinePart => ({
  kind: 'capacitor',
  technology: 'electrolytic',
  ratings: { capacitance, voltage, ...more },
});
const fet = (rdsOn: number, id: number): CombinePart => ({ kind: 'nmos', ratings: { rdsOn, id } });

test.each<[string, Way, readonly CombinePart[], boolean, Record<string, number> | undefined]>([
  // Sums of handbooks, worked out by hand.
  ['470 Ω and 560 Ω in series', 'series', [ohms(470, 1), ohms(560, 1)], false, { resistance: 1030, power: 1.839 }],
  ['four of 1 W side by side bear 4 W', 'parallel', Array(4).fill(ohms(100, 1)), true, { resistance: 25, power: 4 }],
  [
    'the larger of two side by side bears less',
    'parallel',
    [ohms(100, 1), ohms(300, 1)],
    false,
    { resistance: 75, power: 1.333 },
  ],
  [
    'volts of a string split as its ohms do',
    'series',
    [ohms(100e3, 1, 200), ohms(100e3, 1, 200)],
    true,
    { voltage: 400 },
  ],
  [
    'the lower voltage of two cans counts',
    'parallel',
    [can(470e-6, 35), can(330e-6, 25)],
    false,
    { capacitance: 800e-6, voltage: 25 },
  ],
  [
    'ESR and ripple of two alike',
    'parallel',
    Array(2).fill(can(470e-6, 35, { esr: 0.08, ripple: 1 })),
    true,
    { esr: 0.04, ripple: 2 },
  ],
  // 1 A through 0.05 ∥ 0.2 = 0.04 Ω: the low one takes 0.8 of it.
  [
    'the can of low ESR sets the ripple',
    'parallel',
    [can(1e-3, 35, { esr: 0.05, ripple: 1 }), can(1e-4, 35, { esr: 0.2, ripple: 1 })],
    false,
    { ripple: 1.25 },
  ],
  [
    'two of 330 µF 250 V in series',
    'series',
    Array(2).fill(can(330e-6, 250)),
    true,
    { capacitance: 165e-6, voltage: 400 },
  ],
  ['unlike cans in series', 'series', [can(330e-6, 250), can(220e-6, 250)], false, undefined],
  ['two FETs alike', 'parallel', Array(2).fill(fet(0.38, 10)), true, { rdsOn: 0.19, id: 16 }],
  ['two FETs unlike', 'parallel', [fet(0.38, 10), fet(0.456, 10)], false, undefined],
  ['FETs in series', 'series', Array(2).fill(fet(0.38, 10)), true, undefined],
  [
    'varistors in series',
    'series',
    Array(2).fill({ kind: 'varistor', ratings: { vn: 220, vac: 140 } }),
    true,
    { vn: 440, vac: 280 },
  ],
  ['varistors side by side', 'parallel', Array(2).fill({ kind: 'varistor', ratings: { vn: 220 } }), true, undefined],
  [
    'two Schottkys',
    'parallel',
    Array(2).fill({ kind: 'diode', technology: 'schottky', ratings: { ifav: 5 } }),
    true,
    { ifav: 7 },
  ],
  [
    'two fast rectifiers',
    'parallel',
    Array(2).fill({ kind: 'diode', technology: 'fast', ratings: { ifav: 5 } }),
    true,
    undefined,
  ],
  [
    'X capacitors',
    'parallel',
    Array(2).fill({ kind: 'capacitor', technology: 'x2', ratings: { capacitance: 1e-7 } }),
    true,
    undefined,
  ],
  ['fuses', 'parallel', Array(2).fill({ kind: 'fuse', ratings: { current: 1 } }), true, undefined],
  [
    'chokes in series',
    'series',
    [
      { kind: 'inductor', ratings: { inductance: 1e-4, saturation: 3 } },
      { kind: 'inductor', ratings: { inductance: 5e-5, saturation: 2 } },
    ],
    false,
    { inductance: 1.5e-4, saturation: 2 },
  ],
])('%s', (_, way, parts, isAlike, ratings) => {
  const found = combined(way, parts, isAlike);
  if (!ratings) expect(found).toBeUndefined();
  for (const [name, value] of Object.entries(ratings ?? {})) {
    const own = found?.ratings[name] ?? NaN;
    expect([name, Math.abs(own / value - 1) < 1e-3]).toEqual([name, true]);
  }
});

test('the balance of two 330 µF 250 V at 400 V is 505 kΩ (guide for aluminium electrolytics, from memory)', () =>
  expect(balancing({ each: 250, count: 2, string: 400, farads: 330e-6 })).toBeCloseTo(505e3, -3));

function run(lines: string): Readonly<Record<string, number>> {
  const read = readDeck(`together\n${lines}\n.end\n`);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const result = simulate(read.deck);
  if ('kind' in result) throw new Error(JSON.stringify(result));
  return Object.fromEntries(Object.entries(result.measures).map(([name, { value }]) => [name, value]));
}

test('the simulator agrees: with its balance a string stays at what its cans are rated for, and far past it without', () => {
  const balance = balancing({ each: 250, count: 2, string: 400, farads: 330e-6 });
  // One leaks 198 µA more than the other, as that rule takes it.
  const across = (resistance: number) =>
    run(`
V1 b 0 DC 400
R1 b a ${resistance}
R2 a 0 ${resistance}
I1 b a DC 198u
C1 b a 33n IC=200
C2 a 0 33n IC=200
.tran 10u 400m 0 10u uic
* measure: avg v(a) from 390m to 400m`)['avg v(a) from 390m to 400m'] ?? NaN;
  expect(across(balance)).toBeCloseTo(250, 0);
  expect(across(4 * balance)).toBeGreaterThan(360);
});

test('the simulator agrees: ripple splits as the ESRs do, and a current as on-resistances', () => {
  const measures = run(`
V1 v 0 SIN(0 100 100k)
R0 v n 100
R1 n a 0.05
C1 a 0 1m
R2 n b 0.2
C2 b 0 1m
V2 p 0 1
R3 p q 1
R4 q 0 0.38
R5 q 0 0.456
.tran 50n 200u 0 50n uic
* measure: rms i(R1) from 100u to 200u
* measure: rms i(R2) from 100u to 200u
* measure: avg i(R4) from 100u to 200u
* measure: avg i(R5) from 100u to 200u`);
  const [low = 0, high = 0, one = 0, other = 0] = Object.values(measures).map(Math.abs);
  expect(low / (low + high)).toBeCloseTo(0.8, 2);
  expect(one / (one + other)).toBeCloseTo(0.545, 2);
  expect(SHARED.fets).toBeLessThan(1 / (2 * 0.545) + 0.01);
});
