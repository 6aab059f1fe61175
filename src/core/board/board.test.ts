import fc from 'fast-check';
import { barrierOf, contradictions, fromSpice, netsOf, sidesOf, toSpice, type Board, type BoardPart } from '.';

const resistor = (ref: string, a: string | null, b: string | null): BoardPart => ({
  ref,
  kind: 'resistor',
  pins: { 1: a, 2: b },
});

test.each<[string, Partial<Board>, string, string, string]>([
  ['one net name', {}, 'R1.1', 'R2.1', 'joined'],
  ['two net names', {}, 'R1.1', 'R1.2', 'separate'],
  ['a pin not traced', {}, 'R1.1', 'R3.1', 'unknown'],
  ['two pins not traced', {}, 'R3.1', 'R3.2', 'unknown'],
  ['a join to a named net', { joined: [['R3.1', 'R1.1']] }, 'R3.1', 'R2.1', 'joined'],
  ['a join carries a name’s separations', { joined: [['R3.1', 'R1.1']] }, 'R3.1', 'R1.2', 'separate'],
  ['said to be separate', { separate: [['R3.1', 'R1.1']] }, 'R3.1', 'R2.1', 'separate'],
  [
    'separate holds for the whole net',
    { separate: [['R3.1', 'R3.2']], joined: [['R3.2', 'R4.1']] },
    'R3.1',
    'R4.1',
    'separate',
  ],
  [
    'a reading through a part is no join',
    { through: [{ a: 'R3.1', b: 'R4.1', ohms: 0.22 }] },
    'R3.1',
    'R4.1',
    'separate',
  ],
  ['a swept net holds no other pin', { swept: ['R3.1'] }, 'R3.1', 'R4.1', 'separate'],
])('%s', (_, evidence, a, b, expected) => {
  const board: Board = {
    parts: [resistor('R1', 'x', 'y'), resistor('R2', 'x', 'z'), resistor('R3', null, null), resistor('R4', null, null)],
    ...evidence,
  };
  const nets = netsOf(board);
  expect(nets.relation(nets.of(a), nets.of(b))).toBe(expected);
});

test('the order of joins does not matter, and joins are transitive', () => {
  const pins = ['R1.1', 'R1.2', 'R2.1', 'R2.2', 'R3.1', 'R3.2'];
  const pair = fc.tuple(fc.constantFrom(...pins), fc.constantFrom(...pins));
  fc.assert(
    fc.property(fc.array(pair, { maxLength: 8 }), (joined) => {
      const parts = ['R1', 'R2', 'R3'].map((ref) => resistor(ref, null, null));
      const [one, other] = [netsOf({ parts, joined }), netsOf({ parts, joined: joined.toReversed() })];
      for (const a of pins) for (const b of pins) expect(one.of(a) === one.of(b)).toBe(other.of(a) === other.of(b));
    }),
    { seed: 5, numRuns: 100 },
  );
});

describe('contradictions', () => {
  const parts = ['R1', 'R2', 'R3', 'R4'].map((ref) => resistor(ref, null, null));
  test('name the pair and the shortest chain of joins', () => {
    const found = contradictions({
      parts,
      joined: [
        ['R1.1', 'R2.1'],
        ['R2.1', 'R3.1'],
        ['R3.1', 'R4.1'],
        ['R1.1', 'R3.1'],
      ],
      separate: [['R1.1', 'R4.1']],
    });
    expect(found).toEqual([
      [
        { kind: 'separate', pins: ['R1.1', 'R4.1'] },
        { kind: 'joined', pins: ['R1.1', 'R3.1'] },
        { kind: 'joined', pins: ['R3.1', 'R4.1'] },
      ],
    ]);
  });
  test('are gone when any one of the set is dropped', () => {
    const joined = [
      ['R1.1', 'R2.1'],
      ['R2.1', 'R3.1'],
    ] as const;
    expect(contradictions({ parts, joined: joined.slice(1), separate: [['R1.1', 'R3.1']] })).toEqual([]);
    expect(contradictions({ parts, joined, separate: [] })).toEqual([]);
  });
});

/** A transformer with an optocoupler beside it, and whatever else is laid across the gap. */
const acrossGap = (extra: readonly BoardPart[]): Board => ({
  parts: [
    { ref: 'J1', kind: 'connector', role: 'dc-input', pins: { 1: 'in', 2: 'g1' } },
    { ref: 'J2', kind: 'connector', role: 'output', pins: { 1: 'out', 2: 'g2' } },
    {
      ref: 'T1',
      kind: 'transformer',
      pins: { 1: 'in', 2: 'sw', 3: 's', 4: 'g2' },
      windings: [
        ['1', '2'],
        ['3', '4'],
      ],
    },
    { ref: 'Q1', kind: 'nmos', pins: { G: 'g', D: 'sw', S: 'g1' } },
    { ref: 'D1', kind: 'diode', pins: { A: 's', K: 'out' } },
    { ref: 'U1', kind: 'optocoupler', pins: { A: 'out', K: 'led', C: 'fb', E: 'g1' } },
    ...extra,
  ],
});
test.each<[string, readonly BoardPart[], string, string]>([
  ['nothing else', [], 'T1 U1', ''],
  ['a Y capacitor', [{ ref: 'CY1', kind: 'capacitor', subtype: 'y', pins: { 1: 'g1', 2: 'g2' } }], 'CY1 T1 U1', ''],
  [
    'a ceramic capacitor',
    [{ ref: 'C1', kind: 'capacitor', subtype: 'ceramic', pins: { 1: 'g1', 2: 'g2' } }],
    'C1 T1 U1',
    'C1',
  ],
  ['a resistor', [resistor('R1', 'g1', 'g2')], 'R1 T1 U1', 'R1'],
  [
    'a capacitor to a floating island',
    [{ ref: 'C2', kind: 'capacitor', subtype: 'film', pins: { 1: 'g1', 2: 'float' } }],
    'T1 U1',
    '',
  ],
])('across the barrier lies %s', (_, extra, crossing, breaches) => {
  const board = acrossGap(extra);
  const barrier = barrierOf(board, netsOf(board));
  expect(barrier.isIsolated).toBe(true);
  expect(barrier.crossing.map(({ ref }) => ref).join(' ')).toBe(crossing);
  expect(barrier.breaches.map(({ ref }) => ref).join(' ')).toBe(breaches);
});

/** The same fed from the mains, with one pin moved to another net. */
const moved = (ref: string, pin: string, net: string): Board => ({
  parts: acrossGap([])
    .parts.map((part) => ({
      ...part,
      ...(part.ref === 'J1' ? { role: 'mains-inlet' } : {}),
      pins: {
        ...(part.ref === 'J1' ? { L: 'l', N: 'n' } : part.pins),
        ...(part.ref === ref ? { [pin]: net } : {}),
      },
    }))
    .concat({ ref: 'BR1', kind: 'bridge', pins: { AC1: 'l', AC2: 'n', '+': 'in', '-': 'g1' } }),
});

// Only reinforced insulation may lie between mains and touchable outputs (IEC 62368-1, from memory), whatever joins them.
test.each`
  what                                                    | ref     | pin    | net      | joined
  ${'nothing'}                                            | ${'U1'} | ${'K'} | ${'led'} | ${''}
  ${'the lamp of an optocoupler on its transistor'}       | ${'U1'} | ${'K'} | ${'fb'}  | ${'U1.K U1.C'}
  ${'the emitter of an optocoupler on its lamp'}          | ${'U1'} | ${'E'} | ${'out'} | ${'U1.A U1.E'}
  ${'the drain of the primary switch on an output'}       | ${'J2'} | ${'1'} | ${'sw'}  | ${'Q1.D J2.1'}
  ${'the live wire on an output'}                         | ${'J2'} | ${'1'} | ${'l'}   | ${'J1.L J2.1'}
  ${'one ground for both sides: built so on some boards'} | ${'J2'} | ${'2'} | ${'g1'}  | ${''}
`('joined across the barrier: $what', ({ ref, pin, net, joined }) => {
  const board = moved(ref as string, pin as string, net as string);
  const barrier = barrierOf(board, netsOf(board));
  expect(barrier.joined.map(({ pins }) => pins.join(' ')).join(', ')).toBe(joined);
});

test('sides are named, and unknown where nothing is traced', () => {
  const whole = acrossGap([]);
  const nets = netsOf(whole);
  const sides = sidesOf(whole, nets, barrierOf(whole, nets).islands);
  expect([sides.get('Q1.D'), sides.get('D1.K'), sides.get('U1.K')]).toEqual(['input', 'isolated-1', 'isolated-1']);
  const untraced: Board = {
    parts: whole.parts.map((part) => ({
      ...part,
      pins: Object.fromEntries(Object.keys(part.pins).map((pin) => [pin, null])),
    })),
  };
  const none = netsOf(untraced);
  expect(sidesOf(untraced, none, barrierOf(untraced, none).islands).get('Q1.D')).toBe('unknown');
});

describe('netlists', () => {
  const board = acrossGap([
    resistor('R1', 'in', 'g'),
    { ref: 'C1', kind: 'capacitor', pins: { '+': 'out', '-': 'g2' }, value: { capacitance: 1e-4 } },
  ]);
  const connections = ({ parts }: Board) =>
    parts.flatMap(({ ref, kind, pins }) => Object.values(pins).map((net) => `${ref} ${kind} ${net}`)).toSorted();
  test('SPICE comes back with the same parts on the same nets', () => {
    const { result, lost } = toSpice(board);
    expect(lost.join()).toContain('which pins are one winding');
    const back = fromSpice(result);
    expect('result' in back && connections(back.result)).toEqual(connections(board));
  });
  test.each([
    ['* x\nR1 a b', 'R1', 2],
    ['* x\nR1 a b 4k7x9', '4k7x9', 2],
    ['* x\nX1 a b thing', 'thing', 2],
  ])('“%s” names what is wrong', (text, said, line) => {
    const back = fromSpice(text);
    expect(back).toMatchObject({ line });
    expect('line' in back && back.expected).toContain(said);
  });
  test.each([
    ['1meg', 1e6],
    ['4.7k', 4700],
    ['10u', 1e-5],
    ['2.2nF', 2.2e-9],
    ['1e3', 1000],
  ])('a value of %s is %d', (text, value) => {
    const back = fromSpice(`* x\nR1 a b ${text}`);
    expect('result' in back && back.result.parts[0]?.value?.resistance).toBeCloseTo(value, 12);
  });
});
