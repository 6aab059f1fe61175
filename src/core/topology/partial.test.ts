import { netsOf, type Board, type BoardPart } from '../board';
import { analyse, nextProbes, recognise } from '.';
import { CORPUS } from './fixtures/corpus';
import { OTHER_BOARDS } from './fixtures/otherBoards';
import { judgeBoard } from './partial/judge';
import { HAND_SIZES, LEARNT_SIZES, VOICES } from './partial/score';
import { CONTRADICTIONS, WEIGHTS } from './partial/weights';

const part = (ref: string, kind: BoardPart['kind'], pins: string, more: Partial<BoardPart> = {}): BoardPart => ({
  ref,
  kind,
  pins: Object.fromEntries(
    pins.split(' ').map((entry) => {
      const [pin = '', net] = entry.split('=');
      return [pin, net ?? null];
    }),
  ),
  ...more,
});

const INLET = part('J1', 'connector', 'L N', { role: 'mains-inlet' });
const OUTLET = part('J2', 'connector', '+ -', { role: 'output' });
const CHIP = part('U1', 'ic', '1 2 3 4 5 6=g 7 8', { subtype: 'controller' });
const BULK = part('C1', 'capacitor', '+=bulk -=gnd', { value: { capacitance: 8.2e-5, voltage: 400 } });
const primary = (ref: string): BoardPart => part(ref, 'nmos', 'G=g D=sw S=gnd', { marking: '10N65' });
const transformer = (pins: string): BoardPart =>
  part('T1', 'transformer', pins, {
    windings: [
      ['1', '2'],
      ['3', '4'],
    ],
  });
const store = (plus: string, minus: string): BoardPart =>
  part('C9', 'capacitor', `+=${plus} -=${minus}`, { value: { capacitance: 4.7e-4, voltage: 25 } });
const SCHOTTKY = part('D9', 'diode', 'A=sa K=out', { subtype: 'schottky' });
const CLAMP = [
  part('D5', 'diode', 'A=sw K=cl', { subtype: 'fast' }),
  part('R5', 'resistor', '1=cl 2=bulk', { value: { resistance: 1e5 } }),
  part('C5', 'capacitor', '1=cl 2=bulk', { subtype: 'ceramic', value: { capacitance: 2.2e-9 } }),
];
const SPARE_CHOKE = part('L9', 'inductor', '1 2');
const choke = (pins: string): BoardPart => part('L1', 'inductor', pins, { value: { inductance: 4.7e-5 } });
const FREEWHEEL = part('D8', 'diode', 'A=so K=out', { subtype: 'schottky' });
const FED = part('J1', 'connector', '+=in -=gnd', { role: 'dc-input' });

/** What of a textbook circuit is traced, what it is, and what else it must not be called with any assurance. */
const CASES: readonly (readonly [name: string, parts: readonly BoardPart[], leads: string, at: string])[] = [
  [
    'primary, clamp and secondary loop of a flyback, a choke unattached in the list',
    [
      INLET,
      OUTLET,
      CHIP,
      BULK,
      primary('Q1'),
      transformer('1=bulk 2=sw 3=sa 4=so'),
      SCHOTTKY,
      store('out', 'so'),
      ...CLAMP,
      SPARE_CHOKE,
    ],
    'flyback',
    'T1',
  ],
  [
    'a freewheel diode and a choke behind the rectifier: forward',
    [
      INLET,
      OUTLET,
      CHIP,
      BULK,
      primary('Q1'),
      transformer('1=bulk 2=sw 3=sa 4=so'),
      SCHOTTKY,
      FREEWHEEL,
      choke('1=out 2=vo'),
      store('vo', 'so'),
    ],
    'forward',
    'T1',
  ],
  [
    'switches at both ends of the primary: a pair, with a reservoir',
    [
      INLET,
      OUTLET,
      CHIP,
      BULK,
      primary('Q1'),
      part('Q2', 'nmos', 'G D=bulk S=top', { marking: '10N65' }),
      part('D1', 'diode', 'A=sw K=bulk'),
      part('D2', 'diode', 'A=gnd K=top'),
      transformer('1=top 2=sw 3=sa 4=so'),
      SCHOTTKY,
      store('out', 'so'),
    ],
    'two-switch-flyback',
    'T1',
  ],
  [
    'switch, diode and choke meet; the choke leads to the store: buck',
    [
      FED,
      OUTLET,
      CHIP,
      part('C1', 'capacitor', '+=in -=gnd', { value: { capacitance: 1e-4, voltage: 35 } }),
      part('Q1', 'pmos', 'G S=in D=sw'),
      part('D1', 'diode', 'A=gnd K=sw', { subtype: 'schottky' }),
      choke('1=sw 2=vo'),
      part('C2', 'capacitor', '+=vo -=gnd', { value: { capacitance: 4.7e-4, voltage: 16 } }),
    ],
    'buck',
    'L1',
  ],
];

test.each(CASES)('%s', (_, parts, leads, at) => {
  const { hypotheses } = analyse({ parts });
  const of = (topology: string) =>
    hypotheses.find((claim) => claim.topology === topology && claim.magnetics.includes(at))?.probability ?? 0;
  const others = hypotheses.filter(({ topology, magnetics }) => topology !== leads && magnetics.includes(at));
  expect(of(leads)).toBeGreaterThan(0.6);
  for (const other of others) expect(other.probability).toBeLessThan(0.35);
});

const LOOSE = [INLET, OUTLET, CHIP, BULK, transformer('1 2 3 4')];
const HALVES = [...LOOSE, primary('Q1'), { ...primary('Q2'), pins: { G: null, D: null, S: null } }].map((entry) =>
  entry.ref === 'Q1' ? { ...entry, pins: { G: null, D: null, S: null } } : entry,
);
/** One of two transistors is at a winding. */
const AT_WINDING = [
  INLET,
  OUTLET,
  CHIP,
  BULK,
  transformer('1 2=sw 3 4'),
  part('Q1', 'nmos', 'G D=sw S', { marking: '10N65' }),
  part('Q2', 'nmos', 'G D S', { marking: '10N65' }),
];
const every = (ones: readonly string[], others: readonly string[]) =>
  ones.flatMap((one) => others.map((other) => [one, other] as const));
const T1 = ['T1.1', 'T1.2', 'T1.3', 'T1.4'];

/** What is answered with no, and the fact that it makes; what falls by it. */
const RULED_OUT: readonly (readonly [
  fact: string,
  parts: readonly BoardPart[],
  separate: NonNullable<Board['separate']>,
  falls: string,
  at: string,
])[] = [
  ['No switch can be at it', HALVES, every(['Q1.D', 'Q1.S', 'Q2.D', 'Q2.S'], T1), 'flyback', 'T1'],
  ['Switches ruled out at the supply', HALVES, every(['Q1.D', 'Q2.D'], ['C1.+']), 'llc-half-bridge', 'T1'],
  [
    'Two switches in a row ruled out',
    HALVES,
    [
      ['Q1.S', 'Q2.D'],
      ['Q2.S', 'Q1.D'],
    ],
    'llc-half-bridge',
    'T1',
  ],
  [
    'Second switch in a row with it ruled out',
    AT_WINDING,
    [
      ['Q2.S', 'T1.2'],
      ['Q2.D', 'T1.1'],
    ],
    'llc-half-bridge',
    'T1',
  ],
  [
    'Second switch at its other end ruled out',
    AT_WINDING,
    [
      ['Q2.S', 'T1.1'],
      ['Q2.D', 'T1.2'],
    ],
    'two-switch-flyback',
    'T1',
  ],
  [
    'Chokes ruled out behind its rectifier',
    [
      ...LOOSE.slice(0, 4),
      primary('Q1'),
      transformer('1=bulk 2=sw 3=sa 4'),
      part('D9', 'dual-diode', 'A1=sa A2 K'),
      choke('1 2'),
    ],
    every(['D9.K'], ['L1.1', 'L1.2']),
    'forward',
    'T1',
  ],
  [
    'Input return cannot be at the diode',
    [
      FED,
      OUTLET,
      CHIP,
      part('C1', 'capacitor', '+=in -=gnd', { value: { capacitance: 1e-4, voltage: 35 } }),
      part('Q1', 'pmos', 'G S=in D=sw'),
      part('D1', 'diode', 'A K=sw', { subtype: 'schottky' }),
      choke('1=sw 2'),
    ],
    [
      ['D1.A', 'C1.-'],
      ['D1.A', 'J1.-'],
    ],
    'buck',
    'L1',
  ],
];

test.each(RULED_OUT)('an answer of no speaks too: %s', (fact, parts, separate, falls, at) => {
  const read = (board: Board) =>
    analyse(board).hypotheses.find(({ topology, magnetics }) => topology === falls && magnetics.includes(at));
  const [before, after] = [read({ parts }), read({ parts, separate })];
  expect(after?.probability ?? 0).toBeLessThan(0.7 * (before?.probability ?? 0));
  const { model, stages } = recognise({ parts, separate });
  const sheet = judgeBoard(model, stages).slots.find(({ anchor }) => anchor.ref === at)?.sheet;
  expect(sheet?.grade(`${fact.charAt(0).toLowerCase()}${fact.slice(1)}`)).toBeGreaterThan(0.5);
});

const AT_LINE = (volts: number, series: string): readonly BoardPart[] => [
  part('J1', 'connector', 'L=l N=n', { role: 'mains-inlet' }),
  OUTLET,
  part('C1', 'capacitor', `1=${series} 2=ac`, { subtype: 'x', value: { capacitance: 6.8e-7, voltage: 310 } }),
  part('BR1', 'bridge', 'AC1=ac AC2=n +=plus -=gnd'),
  part('C2', 'capacitor', '+=plus -=gnd', { value: { capacitance: 2.2e-4, voltage: volts } }),
  part('D1', 'diode', 'A=gnd K=plus', { subtype: 'zener' }),
  part('R1', 'resistor', '1=plus 2', { value: { resistance: 1500 } }),
  SPARE_CHOKE,
];

test.each([
  ['between a line and the bridge', AT_LINE(35, 'l'), true],
  ['its other end still open', AT_LINE(35, 'free'), true],
  ['not placed, before a store that cannot stand the mains', AT_LINE(35, 'n'), true],
  ['across the lines, before a store for the rectified mains', AT_LINE(400, 'n'), false],
] as const)('a capacitor %s, a choke unattached in the list', (_, parts, drops) => {
  const { stages } = analyse({ parts });
  const sure = stages.filter(({ probability }) => probability >= 0.5).map(({ topology }) => topology);
  expect(sure).toEqual(drops ? ['capacitive-dropper'] : []);
});

test('two windings that a capacitor may still couple are no sure transformer, and the capacitor is asked about', () => {
  const parts = [
    FED,
    part('J2', 'connector', '+=out -=gnd', { role: 'output' }),
    CHIP,
    part('C1', 'capacitor', '+=in -=gnd', { value: { capacitance: 1e-4, voltage: 35 } }),
    part('Q1', 'nmos', 'G D=sw S=gnd'),
    transformer('1=in 2=sw 3=sa 4=gnd'),
    SCHOTTKY,
    store('out', 'gnd'),
    part('C2', 'capacitor', '1 2', { subtype: 'ceramic', value: { capacitance: 1e-5 } }),
  ];
  const flyback = (board: Board) =>
    analyse(board).hypotheses.find(({ topology }) => topology === 'flyback')?.probability ?? 0;
  const placed = part('C2', 'capacitor', '1=out 2=gnd', { subtype: 'ceramic', value: { capacitance: 1e-5 } });
  expect(flyback({ parts })).toBeLessThan(flyback({ parts: [...parts.slice(0, -1), placed] }));
  expect(nextProbes({ parts }, 5).probes.some(({ a, b }) => /^C2/.test(a) || /^C2/.test(b))).toBe(true);
  const atDiode: Board = { parts, joined: [['C2.1', 'T1.3']] };
  expect(flyback(atDiode)).toBeLessThan(0.7 * flyback({ parts }));
  expect(
    flyback({
      parts,
      joined: [
        ['C2.1', 'T1.2'],
        ['C2.2', 'T1.3'],
      ],
    }),
  ).toBeLessThan(0.1);
});

test('a reading says fact by fact why it stands where it does, the weightiest first, and what speaks against it', () => {
  const [, parts] = CASES[0] ?? ['', []];
  const { hypotheses } = analyse({ parts });
  const reasons =
    hypotheses.find(({ topology, magnetics }) => topology === 'flyback' && magnetics.includes('T1'))?.reasons ?? [];
  const sizes = reasons.map(({ weight }) => Math.abs(weight));
  expect(sizes).toEqual(sizes.toSorted((x, y) => y - x));
  expect(reasons.some(({ weight }) => weight < 0)).toBe(true);
  expect(reasons.flatMap(({ text, weight }) => (weight > 0 ? [text] : []))).toEqual(
    expect.arrayContaining(['Rectifier to store and back: D9, C9.', 'Switch to winding to store: Q1.']),
  );
});

const BARE: readonly (readonly [string, Board])[] = [
  [
    'one transformer without pins',
    { parts: [part('T1', 'transformer', '1 2')].map(({ pins: _, ...rest }) => ({ ...rest, pins: {} })) },
  ],
  ['a transformer and an inlet', { parts: [INLET, transformer('1 2 3 4')] }],
  ['a choke and an input', { parts: [FED, part('L1', 'inductor', '1 2')] }],
];

test.each(BARE)('%s: nothing is claimed surely', (_, board) => {
  for (const { probability } of analyse(board).hypotheses) expect(probability).toBeLessThan(0.8);
});

test('a transformer whose windings are not listed is a transformer', () => {
  const bare = part('T1', 'transformer', '1=bulk 2=sw');
  const [first] = analyse({ parts: [INLET, BULK, CHIP, primary('Q1'), bare] }).hypotheses;
  expect(first).toMatchObject({ magnetics: ['T1'], switches: ['Q1'] });
  expect(first?.probability).toBeGreaterThan(0.5);
});

test('what is learnt changes sizes, and no fact is turned round', () => {
  const turned = VOICES.filter((_, index) => (LEARNT_SIZES.voices[index] ?? 0) * (HAND_SIZES.voices[index] ?? 0) < 0);
  expect(turned).toEqual([]);
});

test('every fact that is raised speaks for or against something', () => {
  const raised = [...CORPUS, ...OTHER_BOARDS].flatMap(({ board }) => {
    const { model, stages } = recognise(board);
    return judgeBoard(model, stages).slots.flatMap(({ sheet }) => sheet.entries().map(([name]) => name));
  });
  const spoken = new Set([...Object.keys(WEIGHTS), ...CONTRADICTIONS.map(({ fact }) => fact)]);
  expect([...new Set(raised)].filter((name) => !spoken.has(name))).toEqual([]);
});

test('a pair that was answered is not asked for again, whatever the answer, nor what follows from it', () => {
  const [, parts] = CASES[0] ?? ['', []];
  const bare: Board = {
    parts: parts.map((entry) => ({
      ...entry,
      pins: Object.fromEntries(Object.keys(entry.pins).map((pin) => [pin, null])),
    })),
  };
  const answers = ['joined', 'separate', 'unsure'] as const;
  let board = bare;
  const asked: string[] = [];
  for (let turn = 0; turn < 15; turn += 1) {
    const [probe] = nextProbes(board, 1).probes;
    if (!probe) break;
    const nets = netsOf(board);
    expect(nets.relation(nets.of(probe.a), nets.of(probe.b))).toBe('unknown');
    asked.push([probe.a, probe.b].toSorted().join(' '));
    const list = answers[turn % 3] ?? 'unsure';
    board = { ...board, [list]: [...(board[list] ?? []), [probe.a, probe.b]] };
  }
  expect(asked.length).toBeGreaterThan(5);
  expect(new Set(asked).size).toBe(asked.length);
});

test('what a person fixes leaves no other reading of the part', () => {
  const [, parts] = CASES[0] ?? ['', []];
  const { hypotheses } = analyse({ parts, fixed: [{ ref: 'T1', as: 'forward' }] });
  expect(hypotheses.filter(({ magnetics }) => magnetics.includes('T1')).map(({ topology }) => topology)).toEqual([
    'forward',
  ]);
});
