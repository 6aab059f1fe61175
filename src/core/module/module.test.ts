import { commonFittings, fanWays, matchLoad, stacksFor, type Load, type Module } from '.';

const unit = (code: string, volts: number, current: number | undefined, more: Partial<Module> = {}): Module => ({
  code,
  title: code,
  volts,
  ...(current === undefined ? {} : { current }),
  protection: 'II',
  held: true,
  ripple: 0.05,
  pieces: 1,
  ...more,
});

test.each<[string, Module, string, string | undefined]>([
  ['12 V 5 A for 12 V 3 A', unit('A', 12, 5), 'good', undefined],
  ['12 V 3.2 A for 12 V 3 A: at its limit', unit('A', 12, 3.2), 'limits', 'current'],
  ['12 V 2 A for 12 V 3 A', unit('A', 12, 2), 'no', 'current'],
  ['12.5 V lies within a twentieth', unit('A', 12.5, 5), 'good', undefined],
  ['15 V does not', unit('A', 15, 5), 'no', 'voltage'],
  ['9 to 15 V is set to it', unit('A', 9, 5, { voltsMost: 15 }), 'limits', 'voltage'],
  ['an earthed one', unit('A', 12, 5, { protection: 'I' }), 'limits', 'isolation'],
  ['one that did not hold', unit('A', 12, 5, { held: false }), 'no', 'run'],
  ['one with too much ripple', unit('A', 12, 5, { ripple: 0.4 }), 'no', 'ripple'],
  ['one choice of a charging socket', unit('A', 12, 5, { isChoice: true }), 'limits', 'choice'],
  ['one whose current is not known', unit('A', 12, undefined), 'limits', 'current'],
  ['a plug that does not carry it', unit('A', 12, 5, { plug: 'usb-micro' }), 'limits', 'plug'],
  ['a plug that does', unit('A', 12, 5, { plug: 'barrel-2.1' }), 'good', undefined],
  ['a face without its plate', unit('A', 12, 5, { cooling: 'face' }), 'limits', 'cooling'],
  ['a face, and half of its current', unit('A', 12, 10, { cooling: 'face' }), 'good', undefined],
  ['a fan of its own', unit('A', 12, 5, { cooling: 'fan' }), 'good', undefined],
])('%s', (_, module, verdict, by) => {
  const [found] = matchLoad({ volts: 12, current: 3, isolated: true, ripple: 0.1 }, [module]);
  expect(found?.verdict).toBe(verdict);
  expect(found?.checks.filter(({ level }) => level !== 'good').map(({ name }) => name)).toEqual(
    by === undefined ? [] : [by],
  );
});

// Each asks for one thing more of a unit that has it otherwise.
test.each<[string, { [K in keyof Module]?: Module[K] | undefined }, Partial<Load>, string, RegExp]>([
  ['another plug', { plug: 'round-pins' }, { plug: 'barrel-2.5' }, 'plug', /change the plug/],
  ['a plug that nobody wrote down', {}, { plug: 'barrel-2.5' }, 'plug', /not written down/],
  ['no fan', { cooling: 'fan' }, { quiet: true }, 'cooling', /heard/],
  ['a stream of air', { cooling: 'stream' }, {}, 'cooling', /3\sA at most/],
  ['ripple that was not measured', { ripple: undefined }, { ripple: 0.1 }, 'ripple', /not measured/],
  [
    'a chassis, earthed',
    { mounting: 'stands', protection: 'I' },
    { mounting: 'chassis' },
    'mounting',
    /protective earth/,
  ],
  [
    'its chassis, earthed',
    { mounting: 'chassis', protection: 'I' },
    { mounting: 'chassis' },
    'mounting',
    /protective earth/,
  ],
  ['a chassis, doubly insulated', { mounting: 'wall' }, { mounting: 'chassis' }, 'mounting', /no screw goes through/],
  [
    'a chassis, class unknown',
    { mounting: 'chassis', protection: undefined },
    { mounting: 'chassis' },
    'mounting',
    /read its protection class/,
  ],
])('limits: %s', (_, own, asked, by, words) => {
  const [found] = matchLoad({ volts: 12, current: 3.5, ...asked }, [{ ...unit('A', 12, 5), ...own } as Module]);
  expect(found?.verdict).toBe('limits');
  const [check, ...more] = found?.checks.filter(({ level }) => level !== 'good') ?? [];
  expect([check?.name, more]).toEqual([by, []]);
  expect(check?.message).toMatch(words);
});

test('on the chassis that it is made for a face has its plate', () =>
  expect(
    matchLoad({ volts: 12, current: 4, mounting: 'chassis' }, [
      unit('A', 12, 5, { cooling: 'face', mounting: 'chassis', plug: 'terminals' }),
    ])[0]?.verdict,
  ).toBe('good'));

test('supplies that are joined in one lot keep what is true of both', () =>
  expect(
    commonFittings(
      { plug: 'usb-c', cooling: 'air', ripple: 0.05, trimmedTo: 13, protection: 'II' },
      { plug: 'wires', cooling: 'air', ripple: 0.12, protection: 'II' },
    ),
  ).toEqual({ cooling: 'air', ripple: 0.12, protection: 'II' }));

test('the smallest that does it comes first', () =>
  expect(
    matchLoad({ volts: 12, current: 1 }, [unit('BIG', 12, 20), unit('FIT', 12, 2)]).map(({ module }) => module.code),
  ).toEqual(['FIT', 'BIG']));

// Worked examples by hand: 2 × 24 V + 5 % = 50.4 V; 3 × 19.5 V = 58.5, at most 61.4 V; 4 × 19 V = 76, at most 79.8 V.
test.each<[number, number, number, string, number]>([
  [2, 24, 48, 'good', 50.4],
  [3, 19.5, 58.5, 'limits', 61.4],
  [4, 19, 76, 'limits', 79.8],
  [4, 30, 120, 'no', 126],
])('%i × %f V in series', (count, volts, load, verdict, most) => {
  const stack = stacksFor({ volts: load, current: 1 }, [unit('A', volts, 3, { pieces: 4 })]).find(
    ({ way }) => way === 'series',
  );
  expect([stack?.of[0]?.count, stack?.verdict]).toEqual([count, verdict]);
  expect(stack?.voltsMost).toBeCloseTo(most, 1);
  expect(stack?.wants[0]).toMatch(/^A diode across each output/u);
});

test('a stack of three, of units that differ, is limited by the weakest; two earthed ones are refused', () => {
  const three = [unit('A', 12, 5), unit('B', 5, 2), unit('C', 19, 4)];
  const [stack] = stacksFor({ volts: 36, current: 1.9 }, three);
  expect(stack?.of.map(({ module }) => module.code)).toEqual(['A', 'B', 'C']);
  expect(stack?.checks.find(({ name }) => name === 'current of the weakest')).toMatchObject({ level: 'limits' });
  const [earthed] = stacksFor(
    { volts: 36, current: 1 },
    three.map((one) => ({ ...one, protection: 'I' as const })),
  );
  expect([earthed?.verdict, earthed?.checks.find(({ level }) => level === 'no')?.name]).toEqual(['no', 'isolation']);
});

test('a stack is held to plug, mounting and ripple like one unit; in series ripples add', () => {
  const asked = { volts: 24, current: 1, ripple: 0.08 };
  const alike = unit('A', 12, 5, { pieces: 2, plug: 'wires' });
  expect(stacksFor(asked, [alike])[0]?.verdict).toBe('no');
  expect(stacksFor({ ...asked, ripple: 0.11 }, [alike])[0]?.verdict).toBe('good');
  const [screwed] = stacksFor({ volts: 12, current: 1, mounting: 'chassis' }, [alike]);
  expect([screwed?.way, screwed?.verdict]).toEqual(['parallel', 'limits']);
  // Where one gives it alone a third is of no use.
  expect(stacksFor({ volts: 12, current: 1 }, [unit('A', 12, 5, { pieces: 4 })])).toHaveLength(1);
});

test('two outputs of one unit are not put in series', () =>
  expect(stacksFor({ volts: 17, current: 1 }, [unit('A', 12, 5), unit('A', 5, 5)])).toEqual([]));

// 12.00 V and 12.12 V at 6 A: 3 A + 0.12/(2·R) is to stay under 0.9 · 4 A: R = 0.1 Ω.
test('side by side they share by a resistor in each way, and give no more than nine tenths of their sum', () => {
  const [stack] = stacksFor({ volts: 12, current: 6 }, [unit('A', 12, 4, { pieces: 2 })]);
  expect(stack?.way).toBe('parallel');
  expect(stack?.checks[1]?.message).toMatch(/100\smΩ in each way, 900\smW in each/u);
  expect(stacksFor({ volts: 12, current: 7.5 }, [unit('A', 12, 4, { pieces: 2 })])[0]?.verdict).toBe('no');
  expect(stacksFor({ volts: 12, current: 3 }, [unit('A', 12, 4, { pieces: 2 })])[0]?.verdict).toBe('good');
});

test('a 12 V fan runs quietly at 7 V between 12 and 5 V, does not surely start at 5 V, and 19 V is too much', () => {
  const ways = fanWays({ volts: 12 }, [12, 5, 19]);
  const of = (from: RegExp) => ways.find((one) => from.test(one.from.replaceAll('\u00a0', ' ')));
  expect(of(/^between 12 V and 5 V/)).toMatchObject({ level: 'limits', volts: 7 });
  expect(of(/^5 V/)?.level).toBe('no');
  expect(of(/^19 V/)?.level).toBe('no');
  expect(ways[0]).toMatchObject({ volts: 12, level: 'good' });
});
