import type { Board, BoardPart } from '../../../core/board';
import { partRecordOf, type PartInShort } from '../../../db/testing/partRecordOf';
import type { TestContext } from '../../../services/board';
import { partTest } from './present';

const resistor = (ref: string, a: string, b: string, resistance: number): BoardPart => ({
  ref,
  kind: 'resistor',
  pins: { '1': a, '2': b },
  value: { resistance },
});
const capacitor = (ref: string, capacitance?: number): BoardPart => ({
  ref,
  kind: 'capacitor',
  pins: { '1': 'a', '2': 'b' },
  ...(capacitance === undefined ? {} : { value: { capacitance } }),
});
const on = (parts: readonly BoardPart[], complete = true): TestContext => ({
  board: { complete, parts } satisfies Board,
  meters: new Map([['bench meter', {}]]) as TestContext['meters'],
  known: new Map(),
});
const shown = (of: PartInShort, context = on([])) => {
  const view = partTest(partRecordOf(of), context);
  if (!view) throw new Error(`A ${of.kind} has no test.`);
  return view;
};
const plain = (text: string | undefined) => text?.replace(/\u00a0/g, ' ');
const allFields = (view: ReturnType<typeof shown>) => [...view.fields, ...view.further, ...view.service];

test('what cannot be tested has no sheet', () => {
  expect(partTest(partRecordOf({ kind: 'connector' }), on([]))).toBeNull();
});

describe('fields', () => {
  test('a chip of fourteen legs asks for every pin at once; one of an unknown case for eight', () => {
    expect(shown({ kind: 'ic', ref: 'U1', package: 'DIP-14' }).fields.length).toBeGreaterThanOrEqual(13);
    expect(shown({ kind: 'ic', ref: 'U1' }).fields.length).toBeLessThan(13);
  });

  test.each(['nmos', 'npn', 'capacitor', 'diode', 'optocoupler', 'transformer'] as const)(
    'the first row of a %s holds what is needed, and no field stands twice',
    (kind) => {
      const view = shown({ kind, ref: 'Q1' });
      const names = allFields(view).map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
      expect(view.fields.length).toBeGreaterThan(0);
      expect(view.precondition).not.toBe('');
    },
  );

  test('a field tells what a good one reads, from the part’s own rating', () => {
    const of = (resistance?: number) =>
      shown({ kind: 'resistor', ratings: resistance === undefined ? {} : { resistance } }).fields.find(
        ({ name }) => name === 'resistance',
      )?.should;
    // 5 % to either side, for want of a tolerance.
    expect(plain(of(4700))).toBe('4.46 kΩ to 4.93 kΩ');
    expect(of()).toBeUndefined();
  });

  test('hours of service are asked apart from readings', () => {
    const view = shown({ kind: 'capacitor', subtype: 'electrolytic', ref: 'C1' });
    const apart = view.service.map(({ name }) => name);
    expect(apart).toContain('hours');
    expect(view.fields.map(({ name }) => name)).not.toContain('hours');
  });
});

describe('what was measured', () => {
  test('values stand with their unit, over range as the meter shows it, and whether the part was on its board', () => {
    const view = shown({
      kind: 'resistor',
      ratings: { resistance: 4700 },
      readings: [
        { values: { resistance: Infinity }, inCircuit: true, meter: 'bench meter', atMs: Date.UTC(2026, 0, 5, 14, 1) },
      ],
    });
    expect(view.measured).toEqual([{ label: 'resistance', value: 'OL', evidence: 'in circuit' }]);
    expect(view.meter).toBe('bench meter');
    expect(view.meters).toEqual(['bench meter']);
    expect(view.measuredText).toMatch(/^last /);
    expect(view.measuredText).not.toContain('times');
  });

  test('a second time is counted, and a test never made says nothing', () => {
    const twice = [{ values: { resistance: 4690 } }, { values: { resistance: 4700 } }];
    expect(shown({ kind: 'resistor', readings: twice }).measuredText).toMatch(/, 2 times in all$/);
    expect(shown({ kind: 'resistor' })).toMatchObject({ measured: [], measuredText: '', meter: '', life: null });
  });
});

describe('in place', () => {
  const [a, b] = ['a', 'b'];
  test.each`
    what                                       | parts                                                                            | complete | reads               | message                                        | lift
    ${'nothing lies across, all is traced'}    | ${[resistor('R1', a, b, 1000)]}                                                  | ${true}  | ${/^1 kΩ$/}         | ${/adds nothing|nothing lies across it$/}      | ${false}
    ${'1 kΩ beside 4 kΩ: 800 Ω'}               | ${[resistor('R1', a, b, 1000), resistor('R2', a, b, 4000)]}                      | ${true}  | ${/^800 Ω$/}        | ${/reads 4 kΩ through R2: lift one leg$/}      | ${true}
    ${'a chip across it, of which none knows'} | ${[resistor('R1', a, b, 1000), { ref: 'U1', kind: 'ic', pins: { 1: a, 2: b } }]} | ${true}  | ${/^1 kΩ or less$/} | ${/^nobody knows what U1 adds: lift one leg$/} | ${true}
  `('$what', ({ parts, complete, reads, message, lift }) => {
    const [place] = shown({ kind: 'resistor', ratings: { resistance: 1000 } }, on(parts, complete)).inPlace;
    expect(plain(place?.reads)).toMatch(reads);
    expect(plain(place?.message)).toMatch(message);
    expect(place?.lift).toBe(lift);
  });

  test.each`
    what                           | parts                                                        | reads            | message
    ${'with a resistor across'}    | ${[capacitor('C1', 1e-6), resistor('R1', 'a', 'b', 1000)]}   | ${'its own'}     | ${'no other capacitor lies across it'}
    ${'beside one of known value'} | ${[capacitor('C1', 1e-6), capacitor('C2', 1e-7)]}            | ${'100 nF more'} | ${'C2 lies across it: lift one leg'}
    ${'beside two, neither known'} | ${[capacitor('C1', 1e-6), capacitor('C2'), capacitor('C3')]} | ${'more'}        | ${'C2, C3 lie across it: lift one leg'}
  `('a capacitor $what', ({ parts, reads, message }) => {
    const places = shown({ kind: 'capacitor', ref: 'C1', ratings: { capacitance: 1e-6 } }, on(parts)).inPlace;
    expect(places.map((place) => [plain(place.reads), place.message])).toContainEqual([reads, message]);
  });

  test('a pin that is not traced is named, once, and nothing is foretold of it', () => {
    const view = shown({ kind: 'nmos', ref: 'Q1' }, on([{ ref: 'Q1', kind: 'nmos', pins: {} }]));
    expect(view.inPlace).toEqual([]);
    expect(new Set(view.untraced).size).toBe(view.untraced.length);
    expect(view.untraced.length).toBeGreaterThan(0);
  });
});
