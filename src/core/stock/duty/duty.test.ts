import { readNeedTable } from '../sheet/needTable';
import type { LotFacts } from '../matchLot';
import {
  asNeedQuestion,
  combineLots,
  filterText,
  matchLot,
  questionInWords,
  questionProblemText,
  readDuty,
  readQuestion,
  type CombineLot,
} from '..';

const filterOf = (text: string) => {
  const read = readQuestion(asNeedQuestion(text));
  if (!read.ok) throw new Error(questionProblemText(read.problem));
  return read.filter;
};

test.each<[string, Record<string, number | boolean>]>([
  ['57V 2.6A 100kHz 45C', { voltage: 57, current: 2.6, frequency: 100e3, temperature: 45 }],
  ['57 V, 2.6 A rms at 100 kHz, 45 °C ambient', { voltage: 57, current: 2.6, frequency: 100e3, temperature: 45 }],
  ['48V dc and 1.2A ripple', { voltage: 48, ripple: 1.2 }],
  ['48V 900mA ripple 65k', { voltage: 48, ripple: 0.9, frequency: 65e3 }],
  ['20A peak', { pulse: 20 }],
  ['2A rms 20Apk', { current: 2, pulse: 20 }],
  ['275Vac', { acVoltage: 275 }],
  ['230 V AC', { acVoltage: 230 }],
  ['40V 3A 5V gate', { voltage: 40, current: 3, gate: 5 }],
  ['40V 3A isolated tab', { voltage: 40, current: 3, isolated: true }],
  ['0,5W 350V', { power: 0.5, voltage: 350 }],
  ['1.5MHz', { frequency: 1.5e6 }],
])('a duty of %s', (text, duty) => expect(readDuty(text)).toEqual({ duty }));

test.each([
  ['57V 3 bananas', ['3', 'bananas']],
  ['', ['']],
  ['some more', ['some', 'more']],
])('“%s” is no duty', (text, words) => expect(readDuty(text)).toEqual({ words }));

test.each([
  ['nmos for 57V 2.6A 100kHz', 'nmos duty 57V 2.6A 100kHz'],
  ['nmos under 57V 2.6A', 'nmos duty 57V 2.6A'],
  // What follows is no duty: the question stays as it is.
  ['capacitor for mains', 'capacitor for mains'],
  ['nmos for 3 lamps', 'nmos for 3 lamps'],
  ['nmos >=100V', 'nmos >=100V'],
])('a need “%s” asks “%s”', (typed, asked) => expect(asNeedQuestion(typed)).toBe(asked));

test('a duty goes through words and back, and a bad one says what is expected', () => {
  const filter = filterOf('electrolytic 1000u for 48V 1.4A ripple 50C');
  expect(questionInWords(filter)).toMatch(
    /^electrolytic, about 1000\sµF ± 20 %, under 48\sV, 1.4\sA of ripple, 50\s°C around it$/u,
  );
  expect(filterOf(filterText(filter))).toEqual(filter);
  const bad = readQuestion('nmos duty 57V twelve');
  expect(!bad.ok && questionProblemText(bad.problem)).toContain('“twelve” in a duty: volts, amperes');
});

test('needs of a pasted list carry their duty', () => {
  const { read, refused } = readNeedTable(
    [
      'switch: nmos for 57V 2.6A 100kHz',
      'output: 2 x electrolytic 470u for 48V 0.9A ripple',
      'what: nmos for 57V duty x',
    ].map((line) => [line]),
  );
  expect(read.map(({ role, filter, quantity }) => [role, filter, quantity])).toEqual([
    ['switch', 'nmos duty 57V 2.6A 100000Hz', 1],
    ['output', expect.stringContaining('duty 48V 0.9A ripple'), 2],
  ]);
  expect(refused).toHaveLength(1);
});

const rated = (ratings: Record<string, number>) =>
  Object.fromEntries(Object.entries(ratings).map(([name, value]) => [name, { value, source: 'datasheet' as const }]));
const part = (kind: string, ratings: Record<string, number>, more: Partial<LotFacts> = {}): LotFacts =>
  ({ kind, grade: 'A', ratings: rated(ratings), ...more }) as LotFacts;
const schottky = (vrrm: number, ifav = 10) =>
  part('diode', { vrrm, ifav, vf: 0.5 }, { technology: 'schottky', package: 'TO-220' });
const can = (ratings: Record<string, number>) =>
  part('capacitor', { capacitance: 1e-3, temperature: 105, ...ratings }, { subtype: 'electrolytic' });

test.each<[string, string, LotFacts, string, string | undefined]>([
  // Derating of handbooks: a FET to 0.8, a Schottky to 0.75 of its volts (worked examples by hand).
  ['650 V FET at 545 V: 84 %', 'nmos for 545V', part('nmos', { vds: 650 }), 'limit', 'voltage'],
  ['800 V FET at 545 V: 68 %', 'nmos for 545V', part('nmos', { vds: 800 }), 'fits', undefined],
  ['60 V Schottky at 58.9 V', 'diode for 58.9V', schottky(60), 'limit', 'voltage'],
  ['80 V Schottky at 58.9 V', 'diode for 58.9V', schottky(80), 'fits', undefined],
  ['45 V Schottky at 45 V', 'diode for 45V', schottky(45), 'no', 'voltage'],
  ['600 V FET at 480 V, just', 'nmos for 480V', part('nmos', { vds: 600 }), 'fits', undefined],
  ['volts not known', 'nmos for 480V', part('nmos', { rdsOn: 0.5 }), 'unknown', 'voltage'],
  [
    'a mains rectifier at 100 kHz',
    'diode for 40V 1A 100kHz',
    part('diode', { vrrm: 1000, ifav: 3 }, { technology: 'rectifier' }),
    'no',
    'speed',
  ],
  [
    'an ultrafast one at 100 kHz',
    'diode for 40V 1A 100kHz',
    part('diode', { vrrm: 400, ifav: 3 }, { technology: 'ultrafast', package: 'TO-220' }),
    'fits',
    undefined,
  ],
  ['an IGBT at 60 kHz', 'igbt for 400V 5A 60kHz', part('igbt', { vces: 600, ic: 40 }), 'no', 'speed'],
  [
    '5 V at a usual gate',
    'nmos for 30V 1A 5V gate',
    part('nmos', { vds: 60, id: 30, rdsOn: 0.02, vgsTh: 3.5 }, { package: 'TO-220' }),
    'limit',
    'gate',
  ],
  [
    '5 V at a logic gate',
    'nmos for 30V 1A 5V gate',
    part('nmos', { vds: 60, id: 30, rdsOn: 0.02, vgsTh: 1.6 }, { package: 'TO-220' }),
    'fits',
    undefined,
  ],
  // 2 A² · 0.7 Ω · 1.007^85 = 5.07 W.
  [
    '5 W in a TO-220 wants a heat sink',
    'nmos for 400V 2A',
    part('nmos', { vds: 650, id: 12, rdsOn: 0.7 }, { package: 'TO-220' }),
    'limit',
    'heat',
  ],
  // At 100 kHz it turns 57 V and some 4 A on and off within a tenth of a microsecond: some 1.4 W more.
  [
    'what switching adds wants a heat sink',
    'nmos for 57V 2.6A 100kHz',
    part('nmos', { vds: 100, id: 40, rdsOn: 0.028 }, { package: 'TO-220' }),
    'limit',
    'heat',
  ],
  [
    'at 20 kHz it does not',
    'nmos for 57V 2.6A 20kHz',
    part('nmos', { vds: 100, id: 40, rdsOn: 0.028 }, { package: 'TO-220' }),
    'fits',
    undefined,
  ],
  [
    '15 W in a DPAK finds none',
    'nmos for 40V 15A',
    part('nmos', { vds: 100, id: 40, rdsOn: 0.2 }, { package: 'DPAK' }),
    'no',
    'heat',
  ],
  [
    'wires take no heat sink',
    'diode for 40V 4A',
    part('diode', { vrrm: 100, ifav: 8, vf: 0.6 }, { technology: 'schottky', package: 'DO-201AD' }),
    'no',
    'heat',
  ],
  ['a can at 54 V of 63 V', 'capacitor 1000u for 54V', can({ voltage: 63 }), 'fits', undefined],
  ['a can at 60 V of 63 V', 'capacitor 1000u for 60V', can({ voltage: 63 }), 'limit', 'voltage'],
  [
    'ripple above what is printed',
    'capacitor 1000u for 30V 2A ripple',
    can({ voltage: 63, ripple: 1.5 }),
    'no',
    'ripple',
  ],
  // √(0.25 W / 0.1 Ω) = 1.58 A.
  ['ripple by its ESR', 'capacitor 1000u for 30V 1.5A ripple', can({ voltage: 63, esr: 0.1 }), 'fits', undefined],
  ['ripple beyond its ESR', 'capacitor 1000u for 30V 1.7A ripple', can({ voltage: 63, esr: 0.1 }), 'limit', 'ripple'],
  [
    '85 °C class in 75 °C',
    'capacitor 1000u for 30V 75C',
    can({ voltage: 63, temperature: 85 }),
    'limit',
    'temperature',
  ],
  ['85 °C class in 90 °C', 'capacitor 1000u for 30V 90C', can({ voltage: 63, temperature: 85 }), 'no', 'temperature'],
  ['1 W of 2 W', 'resistor 100 for 1W', part('resistor', { resistance: 100, power: 2 }), 'fits', undefined],
  ['1 W of 1.5 W', 'resistor 100 for 1W', part('resistor', { resistance: 100, power: 1.5 }), 'limit', 'power'],
  // 10 V²/100 Ω = 1 W.
  ['its watts by its volts', 'resistor 100 for 10V', part('resistor', { resistance: 100, power: 0.5 }), 'no', 'power'],
  [
    'a choke past its saturation',
    'choke 100u for 3A peak',
    part('inductor', { inductance: 1e-4, saturation: 2.8 }),
    'no',
    'pulse',
  ],
  ['a live tab', 'nmos for 40V isolated', part('nmos', { vds: 100 }, { package: 'TO-220' }), 'limit', 'tab'],
  ['a tab in plastic', 'nmos for 40V isolated', part('nmos', { vds: 100 }, { package: 'TO-220FP' }), 'fits', undefined],
  [
    'a can that lay for three years',
    'capacitor 1000u for 30V',
    { ...can({ voltage: 63 }), lainYears: 3 },
    'limit',
    'age',
  ],
  [
    'a can that lay for a year',
    'capacitor 1000u for 30V',
    { ...can({ voltage: 63 }), lainYears: 1 },
    'fits',
    undefined,
  ],
  [
    'what its grade lets it be used to',
    'nmos for 400V',
    part('nmos', { vds: 600 }, { limits: [{ kind: 'derated', rating: 'vds', share: 0.6 }] }),
    'no',
    'voltage',
  ],
])('%s', (_, need, lot, verdict, by) => {
  const match = matchLot(filterOf(need), lot);
  expect(match.verdict).toBe(verdict);
  const worst = match.checks.filter(({ outcome }) => outcome !== 'fits').map(({ name }) => name);
  expect(worst).toEqual(by === undefined ? [] : expect.arrayContaining([by]));
});

const lot = (code: string, free: number, facts: LotFacts): CombineLot => ({ code, free, facts });

test.each<[string, string, readonly CombineLot[], string | undefined]>([
  [
    'two cans side by side',
    'electrolytic 1000u for 40V',
    [lot('C1', 2, can({ capacitance: 470e-6, voltage: 63 }))],
    'parallel 2 C1',
  ],
  [
    'one free can is no pair',
    'electrolytic 1000u for 40V',
    [lot('C1', 1, can({ capacitance: 470e-6, voltage: 63 }))],
    undefined,
  ],
  [
    'a string for the bus',
    'electrolytic 165u for 350V',
    [lot('C1', 3, can({ capacitance: 330e-6, voltage: 250 }))],
    'series 2 C1',
  ],
  [
    'no string of too few volts',
    'electrolytic 165u for 420V',
    [lot('C1', 2, can({ capacitance: 330e-6, voltage: 250 }))],
    undefined,
  ],
  [
    'resistors of two lots',
    'resistor 1k',
    [lot('R1', 1, part('resistor', { resistance: 470 })), lot('R2', 1, part('resistor', { resistance: 560 }))],
    'series 1 R1 1 R2',
  ],
  [
    'FETs for a current',
    'nmos for 30V 16A',
    [lot('Q1', 4, part('nmos', { vds: 60, id: 30, rdsOn: 0.02 }, { package: 'TO-220' }))],
    'parallel 2 Q1',
  ],
  [
    'what fits alone is not put together',
    'nmos for 30V 1A',
    [lot('Q1', 4, part('nmos', { vds: 60, id: 30, rdsOn: 0.02 }, { package: 'TO-220' }))],
    undefined,
  ],
  [
    'what its test keeps from standing in parallel',
    'nmos for 30V 16A',
    [
      lot('Q1', 4, {
        ...part('nmos', { vds: 60, id: 30, rdsOn: 0.02 }, { package: 'TO-220' }),
        limits: [{ kind: 'not-for', use: 'parallel' }],
      }),
    ],
    undefined,
  ],
  [
    'scrap is none',
    'electrolytic 1000u',
    [lot('C1', 2, { ...can({ capacitance: 470e-6, voltage: 63 }), grade: 'reject' })],
    undefined,
  ],
  [
    'X capacitors are not put together',
    'x2 capacitor 220n',
    [lot('C1', 2, part('capacitor', { capacitance: 1e-7, voltage: 275 }, { subtype: 'x2' }))],
    undefined,
  ],
])('together: %s', (_, need, lots, best) => {
  const [first] = combineLots(filterOf(need), lots);
  expect(first && `${first.way} ${first.of.map(({ code, count }) => `${count} ${code}`).join(' ')}`).toBe(best);
  if (first)
    expect([first.match.verdict, first.drawbacks.length > 0, first.sum.length > 5]).toEqual(['limit', true, true]);
});
