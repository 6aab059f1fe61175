import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { answerBoard } from '../../../workers/answerBoard';
import { donorForm } from '../intake/schema';
import { traceView } from './view.server';
import { registerDonor } from '../intake/commands';
import { recordLine } from '../shared/recordLine';
import { recordTraced, removeFact } from './commands';
import { undoLatest } from '../../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  const form = donorForm.parse({ description: 'adapter', nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A' });
  code = valueOf(await registerDonor(fixture.app, form)).code;
  await type(
    'q1 nmos',
    't1 transformer',
    'd3 diode',
    'c3 electrolytic 82u 400V',
    'u1 ic so-8',
    'j1 mains-inlet',
    'cx1 x2 220n',
  );
});
afterEach(() => fixture.dispose());

async function type(...lines: string[]) {
  for (const line of lines) {
    const outcome = await recordLine(fixture.app, { code, station: 'trace', line });
    if (!outcome.ok) throw new Error(`${line}: ${outcome.problems.map(({ message }) => message).join(' ')}`);
  }
}
const view = async (isDone = false) => {
  return traceView(await dossierOf(fixture.app, code), isDone);
};

test('the board carries what was logged: kinds, roles, values, pins and the nameplate', async () => {
  const { board } = await view();
  const part = (ref: string) => board.parts.find((entry) => entry.ref === ref);
  expect(board.nameplate).toEqual({ input: { kind: 'ac', vMin: 100, vMax: 240 }, outputs: [{ v: 24, i: 2.5 }] });
  expect(part('C3')).toMatchObject({
    subtype: 'electrolytic',
    pins: { '+': null, '-': null },
    value: { capacitance: 82e-6, voltage: 400 },
  });
  expect(part('CX1')).toMatchObject({ subtype: 'x' });
  expect(part('J1')).toMatchObject({ role: 'mains-inlet' });
  expect(Object.keys(part('U1')?.pins ?? {})).toHaveLength(8);
});

test('joins, readings and sweeps become the evidence of the board; windings come from readings through a part', async () => {
  await type('q1.d - t1.2 - d3.a', 'q1.s x c3.-', 't1.1 ~ t1.2 1R2', 't1.3 ~ t1.4 0R4', 't1.4 ~ t1.5 0R4', 'q1.d only');
  const { board, facts } = await view();
  expect(board.joined).toEqual([
    ['Q1.D', 'T1.2'],
    ['T1.2', 'D3.A'],
  ]);
  expect(board.separate).toEqual([['Q1.S', 'C3.-']]);
  expect(board.swept).toEqual(['Q1.D']);
  expect(board.parts.find(({ ref }) => ref === 'T1')?.windings).toEqual([
    ['1', '2'],
    ['3', '4', '5'],
  ]);
  expect(facts).toHaveLength(7);
});

test('a contradiction shows the facts that cannot all hold; dropping one ends it, undo brings it back', async () => {
  await type('q1.d - t1.2', 't1.2 - d3.a', 'q1.d x d3.a');
  const [set] = (await view()).conflicts;
  expect(set?.map(({ message }) => message)).toEqual(['not joined', 'joined', 'joined']);
  await removeFact(fixture.app, { code, factId: set?.[1]?.id ?? '' });
  expect((await view()).conflicts).toEqual([]);
  await undoLatest(fixture.app, code);
  expect((await view()).conflicts).toHaveLength(1);
  await expect(removeFact(fixture.app, { code, factId: 'nothing' })).resolves.toMatchObject({ ok: false });
});

test('once the station is done, what is not joined is separate', async () => {
  await type('q1.d - t1.2');
  expect((await view()).board.complete).toBeUndefined();
  expect((await view(true)).board.complete).toBe(true);
});

test('everything the station shows is worked out of the board, and crosses a thread', async () => {
  await type('q1.d - t1.2', 't1.1 - c3.+', 't1.1 ~ t1.2 1R', 't1.3 ~ t1.4 0R1', 'd3.a - t1.3');
  const answer = answerBoard((await view()).board, {});
  expect(structuredClone(answer)).toEqual(answer);
  expect(answer.nets['Q1.D']).toBe(answer.nets['T1.2']);
  expect(answer.drawn.schematic.symbols).toHaveLength(7);
  expect(answer.analysis.hypotheses.length).toBeGreaterThan(0);
});

test('what a person fixes goes before the evidence, is fixed again, and is let go', async () => {
  await type('t1 as forward', 't1 as flyback', 'q1 as rectifier');
  const { board, fixed, facts } = await view();
  expect(board.fixed).toEqual([
    { ref: 'T1', as: 'flyback' },
    { ref: 'Q1', as: 'rectifier' },
  ]);
  expect(fixed.map(({ a, message }) => `${a} ${message}`)).toEqual([
    'T1 taken for the main magnetic part of a flyback converter',
    'Q1 taken for a rectifier',
  ]);
  expect(facts).toEqual([]);
  const outcome = await removeFact(fixture.app, { code, factId: fixed[0]?.id ?? '' });
  expect(outcome).toMatchObject({ ok: true, message: 'T1 is read by the evidence again.' });
  expect((await view()).board.fixed).toEqual([{ ref: 'Q1', as: 'rectifier' }]);
});

test.each<[beeps: string[], silent: string[], open: string[], message: string]>([
  [['T1.2'], ['T1.1', 'C3.+'], [], 'Q1.D beeps with T1.2; does not beep with T1.1, C3.+.'],
  [['T1.2'], [], ['D3.A'], 'Q1.D beeps with T1.2; is left open with D3.A.'],
  [[], ['T1.1'], [], 'Q1.D does not beep with T1.1.'],
])('one lead kept: %j beep, %j do not, %j are left open, in one step', async (beeps, silent, open, message) => {
  const outcome = await recordTraced(fixture.app, code, { kind: 'touched', hold: 'Q1.D', beeps, silent, open });
  expect(outcome).toMatchObject({ ok: true, message });
  const pairs = (pins: readonly string[]) => pins.map((pin) => ['Q1.D', pin]);
  const { joined, separate, unsure } = (await view()).board;
  expect({ joined, separate, unsure }).toEqual({
    joined: pairs(beeps),
    separate: pairs(silent),
    unsure: pairs(open),
  });
  await undoLatest(fixture.app, code);
  expect((await view()).facts).toEqual([]);
});

test('both ends of a winding beep through it, and are not taken for joined', async () => {
  const entry = { kind: 'touched', hold: 'Q1.D', beeps: ['T1.1', 'T1.2'], silent: [], open: [] } as const;
  const outcome = await recordTraced(fixture.app, code, { ...entry, beeps: [...entry.beeps], silent: [], open: [] });
  expect(outcome).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringContaining('beeps through') as string }],
  });
  expect((await view()).facts).toEqual([]);
});

test('pins that nobody could tell of are not asked for again until that is taken back', async () => {
  const [first] = answerBoard((await view()).board, {}).advice.probes;
  if (!first) throw new Error('nothing is asked');
  const left = await recordTraced(fixture.app, code, { kind: 'unsure', pins: [first.a, first.b] });
  expect(left).toMatchObject({ ok: true, message: expect.stringContaining('are left open') as string });
  const { board, facts } = await view();
  expect(facts[0]?.message).toBe('left open');
  const asked = answerBoard(board, {}).advice.probes.map(({ a, b }) => `${a} ${b}`);
  expect(asked.length).toBeGreaterThan(0);
  expect(asked).not.toContain(`${first.a} ${first.b}`);
  expect(asked).not.toContain(`${first.b} ${first.a}`);
  const back = await removeFact(fixture.app, { code, factId: facts[0]?.id ?? '' });
  expect(back).toMatchObject({ ok: true, message: `${first.a} and ${first.b} may be asked for again.` });
  expect((await view()).board.unsure).toEqual([]);
});
