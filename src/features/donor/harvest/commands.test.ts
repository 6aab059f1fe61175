import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { findDonor } from '../../../db/repositories/donors';
import { pastSteps } from '../../../db/repositories/harvest';
import { findLot } from '../../../db/repositories/lotSearch';
import { findPart } from '../../../db/repositories/parts';
import { keepSetting } from '../../../db/testing/edited';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { contextFrom } from '../../../db/context';
import { blamed } from '../../../ui/form/testing/forms';
import { assemblyForm, harvestStepForm, mountingForm, runForm } from './schema';
import { donorForm } from '../intake/schema';
import { measurementForm } from '../test/schema';
import { harvestView, minutesIn } from './view.server';
import { testView } from '../test/view.server';
import { endRun, mountPart, startRun, stepRun, takeAssembly } from './commands';
import { registerDonor } from '../intake/commands';
import { measurePart } from '../test/commands';
import { recordLine } from '../shared/recordLine';
import { undoLatest } from '../../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;
let minutes = 0;
/** The bench of the fixture with a clock that is moved by hand. */
const app = () => ({ ...fixture.app, now: () => Date.UTC(2026, 10, 14, 9) + minutes * 60000 });

beforeEach(async () => {
  minutes = 0;
  fixture = await temporaryContext();
  shareContext(app());
  const form = donorForm.parse({
    description: 'adapter',
    nameplate: 'INPUT 230V~ 1A OUTPUT 24V 2.5A',
    symptomKind: 'dead',
  });
  code = valueOf(await registerDonor(app(), form)).code;
  await type(
    'store c3 82u 400V',
    'c3 0.4V',
    'q1 nmos to-220 marked 12N65',
    'q2 nmos to-220 marked 12N65',
    'c5 film 220n box',
    'r1..r4 4k7 axial',
    'j1 connector output',
  );
});
afterEach(() => fixture.dispose());

async function type(...lines: string[]) {
  for (const line of lines)
    expect(await recordLine(app(), { code, station: 'identify', line })).toMatchObject({ ok: true });
}
const dossier = (of = code) => dossierOf(app(), of);
const donor = async () => {
  const found = await findDonor(fixture.app.db.read, code);
  if (!found) throw new Error('no donor');
  return found;
};
const part = async (ref: string) => (await findPart(fixture.app.db.read, (await donor()).id, ref))?.part;
const view = async (minutes?: number) => {
  shareContext(app());
  return harvestView(await dossier(), minutes);
};
const jobs = async () => (await view()).plan.jobs.map(({ id }) => id);
const step = (job: string, outcome: string, bin = 'C2-4') =>
  stepRun(app(), code, harvestStepForm.parse({ job, outcome, bin }));
const mount = (ref: string, form: Record<string, unknown>) =>
  mountPart(app(), { code, ref }, mountingForm.parse({ ways: [], ...form }));

test('what is held on one heat sink waits for it, what a person leaves is not planned', async () => {
  await mount('Q1', { ways: ['screwed'], sink: 'hs1', behind: 'c5' });
  await mount('Q2', { ways: ['screwed'], sink: 'HS1' });
  expect(await jobs()).toEqual(['C5', 'sink:HS1', 'Q1', 'Q2']);
  await mount('Q2', { sink: 'HS1', wish: 'leave' });
  const { plan } = await view();
  expect(plan.jobs.map(({ id }) => id)).not.toContain('Q2');
  expect(plan.left.find(({ title }) => title.startsWith('Q2'))?.why).toContain('you said to leave it');
  // Forty minutes for a few parts: the rest of the time is worth more than what is left.
  expect(plan.exact).toBe('No other choice gives more for the time. What is left does not pay for its minutes.');
  expect(await mount('Q1', { behind: 'Q99' })).toMatchObject({ ok: false, problems: [{ field: 'behind' }] });
  expect(await mount('Q1', { behind: 'Q1' })).toMatchObject({ ok: false });
});

test('a run: taken, broken, left; the rest is planned again for what is left of the time', async () => {
  await mount('Q1', { ways: ['screwed'], sink: 'HS1' });
  await mount('Q2', { ways: ['screwed'], sink: 'HS1' });
  expect(await startRun(app(), code, runForm.parse({ minutes: '20', bin: 'c2-4' }))).toMatchObject({ ok: true });
  expect(await startRun(app(), code, runForm.parse({ minutes: '20', bin: 'C2-4' }))).toMatchObject({ ok: false });
  minutes = 4;
  expect(await step('sink:HS1', 'done')).toMatchObject({ ok: true, message: 'Free HS1: done.' });
  minutes = 6;
  const taken = await step('Q1', 'done');
  expect(taken).toMatchObject({ ok: true, message: expect.stringContaining('went into bin C2-4 as') });
  expect(await part('Q1')).toMatchObject({ state: 'harvested' });
  expect(await step('Q1', 'done')).toMatchObject({ ok: false });
  minutes = 7;
  expect(await step('Q2', 'broke', 'C2-5')).toMatchObject({ ok: true });
  expect(await part('Q2')).toMatchObject({ state: 'on-board', damage: ['broken'] });
  expect(await step('C5', 'skipped')).toMatchObject({ ok: true });
  const { run, plan } = await view();
  expect(run).toMatchObject({ minutesLeft: 13, bin: 'C2-4', inHand: null });
  expect(run?.steps.map(({ title, outcome, took }) => `${title} ${outcome} ${took}`)).toEqual([
    'free HS1 done 4 min',
    'Q1 done 2 min',
    'Q2 broke 1 min',
    'C5 left 0 min',
  ]);
  expect(plan.jobs).toEqual([]);
  // What was done teaches the pace, what broke the risk; what was left teaches nothing. The minutes are the table's.
  expect(
    (await pastSteps(fixture.app.db.read)).map(({ outcome, seconds, tableMinutes }) => [
      outcome,
      seconds,
      tableMinutes > 0,
    ]),
  ).toEqual([
    ['broke', 60, true],
    ['done', 120, true],
    ['done', 240, true],
  ]);
  await undoLatest(app(), code);
  expect(await jobs()).toEqual(['C5']);
  expect(await endRun(app(), code)).toMatchObject({ ok: true, message: expect.stringContaining('2 of its jobs done') });
  expect(await endRun(app(), code)).toMatchObject({ ok: false });
  expect(await step('C5', 'done')).toMatchObject({ ok: false });
});

test('what stands before another keeps it from the plan when it is left, and not when it broke', async () => {
  await mount('Q1', { behind: 'C5' });
  await startRun(app(), code, runForm.parse({ minutes: '20', bin: 'C2-4' }));
  expect(await jobs()).toEqual(['Q2', 'C5', 'Q1']);
  await step('C5', 'skipped');
  expect(await jobs()).toEqual(['Q2']);
  await undoLatest(app(), code);
  await step('C5', 'broke');
  expect((await jobs()).toSorted()).toEqual(['Q1', 'Q2']);
});

test('nothing is taken from a board that is not measured dead', async () => {
  await type('power on');
  expect(await startRun(app(), code, runForm.parse({ minutes: '20', bin: 'C2-4' }))).toMatchObject({ ok: false });
});

test('a subassembly goes as one lot with the parts on it', async () => {
  const form = { name: 'input filter board', kind: 'assembly', holds: 'C5, R1', pieces: '1', bin: 'd1' };
  const outcome = await takeAssembly(app(), code, assemblyForm.parse(form));
  expect(outcome).toMatchObject({ ok: true });
  const lot = /lot ([A-Z0-9-]+)/.exec(outcome.ok ? (outcome.message ?? '') : '')?.[1] ?? '';
  expect((await findLot(fixture.app.db.read, lot))?.lot).toMatchObject({
    kind: 'assembly',
    marking: 'input filter board',
    onHand: 1,
    gradeReason: expect.stringContaining('C5, R1'),
  });
  expect(await part('C5')).toMatchObject({ state: 'harvested' });
  expect(await takeAssembly(app(), code, assemblyForm.parse(form))).toMatchObject({
    ok: false,
    problems: [{ field: 'holds' }],
  });
  await undoLatest(app(), code);
  expect(await part('C5')).toMatchObject({ state: 'on-board' });
});

test('a subassembly that holds a condemned part is refused, and the part named', async () => {
  await type('f1 fuse 2A blown');
  const form = { name: 'input filter board', kind: 'assembly', holds: 'C5 F1', pieces: '1', bin: 'C2' };
  const outcome = await takeAssembly(app(), code, assemblyForm.parse(form));
  expect(outcome).toMatchObject({
    ok: false,
    problems: [{ field: 'holds', message: expect.stringContaining('F1 is scrap') }],
  });
  expect(await part('C5')).toMatchObject({ state: 'on-board' });
});

test.each`
  form            | fields                                                              | blames
  ${runForm}      | ${{ minutes: '40', bin: 'C2' }}                                     | ${[]}
  ${runForm}      | ${{ minutes: '0', bin: 'C2' }}                                      | ${['minutes']}
  ${runForm}      | ${{ minutes: 'forty', bin: '' }}                                    | ${['minutes', 'bin']}
  ${mountingForm} | ${{ ways: ['nailed'], sink: 'HS 1', behind: 'the can' }}            | ${['ways.0', 'sink', 'behind']}
  ${assemblyForm} | ${{ name: '', kind: 'assembly', holds: '', pieces: '0', bin: '!' }} | ${['name', 'pieces', 'bin']}
`('$fields: $blames', ({ form, fields, blames }) => {
  const parsed = (form as typeof runForm).safeParse(fields);
  const problems = parsed.success
    ? []
    : parsed.error.issues.map(({ path, message }) => ({ field: path.join('.'), message }));
  expect(blamed({ ok: false, problems })).toEqual(blames);
});

test.each([
  ['25', 25],
  ['0', 40],
  ['soon', 40],
  [undefined, 40],
])('minutes “%s” of an address are %d', (text, wanted) => {
  expect(minutesIn(text)).toBe(wanted);
});

describe('the test of a part', () => {
  const tested = async (ref: string) => {
    shareContext(contextFrom(fixture.app.db, app().now, () => 0.5));
    return (await testView(await dossier(), ref)).selected;
  };
  const measure = (ref: string, fields: Record<string, string>) =>
    measurePart(app(), { code, ref }, measurementForm.parse(fields));

  test('shows what it should read, and what the board adds once it is traced', async () => {
    await type('q1.g - r1.1', 'q1.s - r1.2');
    const selected = await tested('Q1');
    expect(selected?.test?.fields.map(({ name, should }) => `${name}: ${should}`).slice(0, 3)).toEqual([
      'body: 0.4 to 0.7 V',
      'blocking: OL, over 1 MΩ',
      'gate: OL, over 10 MΩ',
    ]);
    expect(selected?.test?.inPlace.find(({ label }) => label === 'gate to source')).toMatchObject({
      lift: true,
      message: expect.stringContaining('through R1'),
    });
    expect(selected?.test?.untraced).toContain('Q1.D');
  });

  test('a meter of the shop narrows the uncertainty, an answer is chosen, a bad one is refused', async () => {
    const fine = { name: 'fine', accuracies: { ohm: { share: 0.0005, digits: 1 } } };
    await keepSetting(app(), 'meters', [fine]);
    await measure('R2', { resistance: '4925' });
    expect((await tested('R2'))?.judgement?.verdict).toBe('retest');
    await measure('R2', { resistance: '4925', meter: 'fine' });
    expect(await tested('R2')).toMatchObject({
      judgement: { verdict: 'keep' },
      test: { meter: 'fine', meters: ['fine'] },
    });
    await type('fan1 fan 12V 180mA');
    expect(await measure('FAN1', { starts: '5', current: '0.17', noise: '1' })).toMatchObject({
      ok: true,
      message: expect.stringContaining('yes'),
    });
    expect(await measure('FAN1', { noise: 'maybe' })).toMatchObject({ ok: false, problems: [{ field: 'noise' }] });
    expect(await measure('FAN1', {})).toMatchObject({ ok: false });
  });

  test('a transformer’s ohm table is kept pin by pin, a bad line is named', async () => {
    await type('t1 transformer');
    expect(await measure('T1', { ohms: '1-2 1.2\n3-4 tall' })).toMatchObject({
      ok: false,
      problems: [{ field: 'ohms', message: expect.stringContaining('Line 2') }],
    });
    await measure('T1', { ohms: '1-2 1.2\n3-4 0.1\n1-3 OL', open: '600u', shorted: '12u' });
    const selected = await tested('T1');
    expect(selected?.test?.transformer).toMatchObject({
      windings: [
        { pins: '1 – 2', guess: 'primary' },
        { pins: '3 – 4', guess: 'output' },
      ],
      facts: expect.arrayContaining([{ label: 'coupling', value: '0.990' }]),
    });
    expect(selected?.limits).toEqual(['not across the barrier']);
  });

  test('a can’s life is told from its hours', async () => {
    await type('c8 electrolytic 100u 25V 105C radial', 'c8 measures 98u esr 0.3');
    await measure('C8', { hours: '20000h', around: '50' });
    expect((await tested('C8'))?.test?.life).toMatch(/^About .* of running left/);
  });
});
