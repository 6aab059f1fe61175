import { benchProblemText, understand, type BenchContext } from '..';

const context: BenchContext = {
  parts: [
    { ref: 'Q1', kind: 'nmos' },
    { ref: 'T1', kind: 'transformer' },
    { ref: 'D3', kind: 'diode' },
    { ref: 'C3', kind: 'capacitor' },
    { ref: 'BR1', kind: 'bridge' },
    { ref: 'D8', kind: 'dual-diode' },
  ],
  stores: ['C3'],
};

test.each([
  ['q1.d - t1.2', { kind: 'join', relation: 'joined', pins: ['Q1.D', 'T1.2'] }],
  ['Q1.d – t1.2 - d3.a', { kind: 'join', relation: 'joined', pins: ['Q1.D', 'T1.2', 'D3.A'] }],
  ['q1.s x br1.-', { kind: 'join', relation: 'separate', pins: ['Q1.S', 'BR1.-'] }],
  ['q1.s x br1.ac1', { kind: 'join', relation: 'separate', pins: ['Q1.S', 'BR1.AC1'] }],
  ['t1.1 ~ t1.2 0R8', { kind: 'join', relation: 'through', pins: ['T1.1', 'T1.2'], ohms: 0.8 }],
  ['d3.a ~ d3.k 0.52V', { kind: 'join', relation: 'through', pins: ['D3.A', 'D3.K'], drop: 0.52 }],
  ['d8.k - c3.+', { kind: 'join', relation: 'joined', pins: ['D8.K', 'C3.+'] }],
  ['q1.s x t1.1 x t1.2', { kind: 'join', relation: 'separate', pins: ['Q1.S', 'T1.1', 'T1.2'] }],
  ['q1.d only', { kind: 'sweep', pin: 'Q1.D' }],
  ['t1 as forward', { kind: 'fix', ref: 'T1', as: 'forward' }],
  ['q1 as rectifier', { kind: 'fix', ref: 'Q1', as: 'rectifier' }],
])('“%s”', (line, record) => {
  expect(understand(line, context)).toMatchObject({ ok: true, records: [record] });
});

test.each([
  ['q1.x - t1.2', 'no-pin', 'its pins are G, D, S'],
  ['q9.1 - t1.2', 'no-part', 'Q9 is not logged yet'],
  ['q1.d - q1.d', 'same-pin', 'Q1.D cannot be probed against itself'],
  ['q1.d', 'nothing-said', 'Q1.D'],
  ['q1.d -', 'nothing-said', 'Q1.D'],
  ['q1.d t1.2', 'unclear', 'Do they beep, or not?'],
  ['t1.1 ~ t1.2 soup', 'value-unreadable', '“soup”: a resistance such as 0R22'],
  ['q1 as forward', 'value-unreadable', 'switch, rectifier, nothing'],
  ['q9 as switch', 'no-part', 'Q9'],
  ['q1-t1', 'unclear', 'Which pin of Q1, which of T1?'],
])('“%s” is not understood, and says why', (line, kind, message) => {
  const understood = understand(line, context);
  expect(understood).toMatchObject({ ok: false, problem: { kind } });
  expect(understood.ok ? '' : benchProblemText(understood.problem)).toContain(message);
});

test('what was understood is said in plain words', () => {
  const message = (line: string) => {
    const understood = understand(line, context);
    return understood.ok ? understood.message.replace(/\u00a0/g, ' ') : '';
  };
  expect(message('q1.d - t1.2 - d3.a')).toBe('Q1.D joined to T1.2 joined to D3.A');
  expect(message('t1.1 ~ t1.2 0R8')).toBe('T1.1 to T1.2 reads through a part: 800 mΩ');
  expect(message('t1 as forward')).toBe('T1 is taken for the main magnetic part of a forward converter');
  expect(message('q1.d only')).toBe('nothing else is on the net of Q1.D');
});
