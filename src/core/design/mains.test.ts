import { readDeck, simulate } from '../circuit';
import { learnMains, type MainsDesign } from './mains';

const learnt = (low: number, high: number, output: number, current: number): MainsDesign => {
  const found = learnMains({ low, high, output, current });
  if ('wrong' in found) throw new Error(found.wrong);
  return found;
};
const of = (design: MainsDesign, stage: string, name: string): number =>
  design.stages.find(({ id }) => id === stage)?.figures.find((one) => one.name === name)?.value ?? Number.NaN;

test.each`
  low   | high   | output | current | wrong
  ${90} | ${80}  | ${12}  | ${1}    | ${/under the lowest/}
  ${48} | ${120} | ${12}  | ${1}    | ${/85 to 277 V are expected/}
  ${90} | ${264} | ${90}  | ${1}    | ${/60 V or less/}
  ${90} | ${264} | ${-12} | ${1}    | ${/output is -12/}
  ${90} | ${264} | ${48}  | ${40}   | ${/1920 W/}
`('$low to $high V, $output V at $current A: $wrong', ({ low, high, output, current, wrong }) => {
  const found = learnMains({ low, high, output, current } as never);
  expect('wrong' in found ? found.wrong : '').toMatch(wrong as RegExp);
});

test.each`
  low    | high   | output | current | stages
  ${90}  | ${264} | ${12}  | ${2}    | ${'entry bulk flyback'}
  ${207} | ${253} | ${5}   | ${1}    | ${'entry bulk flyback'}
  ${90}  | ${264} | ${19}  | ${6}    | ${'entry pfc bulk flyback'}
  ${207} | ${253} | ${24}  | ${15}   | ${'entry pfc bulk llc'}
`('$output V at $current A from $low V: $stages', ({ low, high, output, current, stages }) => {
  const design = learnt(low as number, high as number, output as number, current as number);
  expect(design.stages.map(({ id }) => id).join(' ')).toBe(stages);
});

test('a flyback stores in each period what the output takes, and its bulk falls as far as the simulator says', () => {
  const design = learnt(90, 264, 12, 2);
  const peak = of(design, 'flyback', 'peak of the switch');
  // ½·L·I²·f is the power in; 24 W at 87 %.
  expect(0.5 * of(design, 'flyback', 'primary') * peak ** 2 * 65e3).toBeCloseTo(24 / 0.87, 1);
  const farads = of(design, 'bulk', 'capacitance');
  const valley = of(design, 'bulk', 'falls to, at full load');
  // The same bulk behind a bridge, with a resistor that takes about as much.
  const read = readDeck(
    [
      '* bulk',
      '* period: 20m',
      '* measure: min v(p) last 1 periods',
      'V1 a b SIN(0 127.28 50)',
      'D1 a p DM',
      'D2 b p DM',
      'D3 0 a DM',
      'D4 0 b DM',
      `C1 p 0 ${farads} IC=120`,
      `R1 p 0 ${105 ** 2 / (24 / 0.87)}`,
      '.model DM D(Ron=0.1 Vfwd=0.8)',
      '.tran 20u 200m uic',
      '.end',
    ].join('\n'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read));
  const ran = simulate(read.deck);
  const low = 'measures' in ran ? Object.values(ran.measures)[0]?.value : undefined;
  expect(Math.abs((low ?? 0) / valley - 1)).toBeLessThan(0.1);
});

test('a resonant tank resonates where it is meant to, and its power stage stands its bus', () => {
  const design = learnt(207, 253, 24, 15);
  const [series, farads] = [of(design, 'llc', 'resonant inductance'), of(design, 'llc', 'resonant capacitor')];
  expect(1 / (2 * Math.PI * Math.sqrt(series * farads))).toBeCloseTo(100e3, 0);
  expect(of(design, 'llc', 'switches stand')).toBeGreaterThan(429);
  expect(of(design, 'bulk', 'holds')).toBeGreaterThan(20);
});

test('the barrier is never under what is common practice at 230 V', () => {
  const rows = Object.fromEntries(learnt(207, 253, 12, 2).barrier.map(({ name, value }) => [name, value]));
  expect(rows['creepage, reinforced']).toMatch(/^6\.4\smm/u);
  expect(rows['clearance, reinforced']).toMatch(/^4\smm/u);
});

// Seminar paper SLUP263 (an LLC of 300 W, 390 V to 12 V at 25 A), from memory: a ratio of 16.25, 0.482 of the current in the output cans.
test('SLUP263: an LLC is as the paper works it out', () => {
  const design = learnt(90, 264, 12, 25);
  const near = (name: string, wanted: number) =>
    expect(Math.abs(of(design, 'llc', name) / wanted - 1)).toBeLessThan(0.05);
  near('primary turns for one', 16.25);
  near('output cans, ripple', 12.05);
});
