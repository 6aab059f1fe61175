import { manyDonors } from '../../db/testing/manyDonors';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { findDonor } from '../../db/repositories/donors';
import { findType } from '../../db/repositories/types';
import { undoStep, valueOf } from '../../services/command';
import { registerDonor } from '../donor/intake/commands';
import { donorForm } from '../donor/intake/schema';
import { askQuestion, closeDonor, tellNext } from '../donor/record/commands';
import { askFormAt, closingForm } from '../donor/record/schema';
import { recordLine } from '../donor/shared/recordLine';
import { benchView } from '../home/view.server';
import { glanceView } from '../home/glance.server';
import { articleView, chipLearnt, chipMet } from '../guide/article.server';
import { compareView } from './compare.server';
import { answerQuestion } from './questionCommands';
import { questionsView } from './questions.server';
import { trendsView } from './trends.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
beforeEach(async () => {
  fixture = await temporaryContext();
});
afterEach(() => fixture.dispose());

async function make(more: Record<string, string>, lines: readonly string[] = []): Promise<string> {
  const { code } = valueOf(
    await registerDonor(
      fixture.app,
      donorForm.parse({
        description: 'adapter',
        maker: 'Norrun',
        nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 16V 3.4A',
        ...more,
      }),
    ),
  );
  for (const line of lines) valueOf(await recordLine(fixture.app, { code, station: 'identify', line }));
  return code;
}

const OLD = [
  'q1 nmos 800V rds 1.9 to-220 switch',
  'd8 dual-diode vf 1.05 200V to-220 secondary',
  'u1 ic dip-8 marked UC3843B',
];
const NEW = ['q1 nmos 650V rds 0.6 to-220 switch', 'd8 schottky dual-diode 100V vf 0.45 to-220 secondary'];

test('donors are compared as an address names them; a code of none is told, and kin are offered first', async () => {
  const old = await make(
    { model: 'NR-1654', length: '132mm', width: '62mm', height: '36mm', dateCodes: '0122 label' },
    OLD,
  );
  const young = await make(
    { model: 'NR-1654B', length: '92mm', width: '46mm', height: '29mm', dateCodes: '1922 label' },
    NEW,
  );
  await make({ model: 'XX-1' });
  const view = await compareView(fixture.app, { of: `${old.toLowerCase()},${young},ZZZ-ZZZ` });
  expect(view.unknown).toEqual(['ZZZ-ZZZ']);
  expect(view.subjects.map(({ code, year }) => [code, year])).toEqual([
    [old, 2001],
    [young, 2019],
  ]);
  const rectifier = view.comparison?.roles.find(({ label }) => label === 'output rectifier');
  expect(rectifier?.says).toMatch(/^drop 1\.05 V to 0\.45 V: 2\.0 W less at 3\.4\sA$/u);
  const one = await compareView(fixture.app, { of: [old] });
  expect(one.comparison).toBeUndefined();
  expect(one.others.map(({ code, isKin }) => [code, isKin])[0]).toEqual([young, true]);
});

test('an overdue question stands first, on the bench as well; its answer is kept with the number, and taken back', async () => {
  const code = await make({ model: 'NR-1' }, [...OLD, '? u1 whose is it']);
  const asked = askFormAt(fixture.app.now() - 30 * 86400e3).parse({
    text: 'How wide is its supply?',
    ref: 'u1',
    askedOf: 'the maker',
    due: '1 week',
  });
  valueOf(await askQuestion(fixture.app, code, asked));
  const { open, overdue } = await questionsView(fixture.app);
  expect([overdue, open[0]]).toMatchObject([
    1,
    { text: 'How wide is its supply?', ref: 'U1', askedOf: 'the maker', isOverdue: true },
  ]);
  expect((await benchView(fixture.app)).issues[0]).toMatchObject({ sign: 'overdue' });
  const settled = await answerQuestion(
    fixture.app,
    { code, noteId: open[0]?.id ?? '' },
    { answer: '8 to 30 V, by its datasheet', keep: 'on' },
  );
  valueOf(settled);
  const after = await questionsView(fixture.app);
  expect([after.open.length, after.settled[0]?.answer]).toEqual([1, '8 to 30 V, by its datasheet']);
  expect((await findType(fixture.app.db.read, 'ic', 'UC3843B'))?.type.note).toBe(
    'How wide is its supply?: 8 to 30 V, by its datasheet',
  );
  expect(await chipLearnt(fixture.app.db.read, 'UC3843')).toEqual([
    { text: 'How wide is its supply?: 8 to 30 V, by its datasheet', code },
  ]);
  await undoStep(fixture.app, settled.ok ? (settled.undo ?? '') : '');
  expect((await questionsView(fixture.app)).open).toHaveLength(2);
  // What is about no part has no number to be kept with; nothing of the step is stored then.
  valueOf(await askQuestion(fixture.app, code, askFormAt(0).parse({ text: 'Who sold it?' })));
  const bare = (await questionsView(fixture.app)).open.find(({ text }) => text === 'Who sold it?');
  const refused = await answerQuestion(
    fixture.app,
    { code, noteId: bare?.id ?? '' },
    { answer: 'the school', keep: 'on' },
  );
  expect(refused.ok ? '' : refused.problems[0]?.message).toContain('no marking that is a number');
  expect((await questionsView(fixture.app)).open.map(({ id }) => id)).toContain(bare?.id);
});

test('a closed unit leaves the bench, and the month tells what it brought', async () => {
  const code = await make({ model: 'NR-2' }, OLD);
  valueOf(await tellNext(fixture.app, code, { text: 'Test C8 first.' }));
  valueOf(await closeDonor(fixture.app, code, closingForm.parse({ outcome: 'scrapped', note: '' })));
  expect((await benchView(fixture.app)).donors.total).toBe(0);
  const today = new Date(fixture.app.now());
  const month = `${today.getFullYear()}-${String(today.getMonth() + 1).padStart(2, '0')}`;
  const view = await glanceView(fixture.app, { month });
  expect(Object.fromEntries(view.brought.map(({ label, value }) => [label, value]))).toMatchObject({
    'units came': '1',
    'units scrapped': '1',
    'parts logged': '3',
  });
  const before = await glanceView(fixture.app, { month: '2001-01' });
  expect([before.claim, before.after]).toEqual(['A quiet month', '2001-02']);
});

test('the Guide names the donors in which a case, a seam or a chip was met', async () => {
  const code = await make({ model: 'NR-3' }, OLD);
  const article = await articleView(fixture.app.db.read, 'packages');
  expect(article?.met['to-220']).toEqual([code]);
  expect(await chipMet(fixture.app.db.read, 'UC3843')).toEqual([code]);
  expect(await articleView(fixture.app.db.read, 'nothing')).toBeUndefined();
});

test('trends of ten thousand donors, each with a label of its own, are those of their years', async () => {
  const { app } = fixture;
  await manyDonors(app, 10000);
  const view = await trendsView(app, '');
  expect([view.total, view.dated]).toEqual([10000, 10000]);
  const density = view.trends.find(({ id }) => id === 'density');
  expect(density?.count).toBe(10000);
  // 19 V at 2 to 5 A in 0.15 l: the middle is 66.4 W, 443 W a litre.
  for (const { median } of density?.spans ?? []) expect(Math.abs(median / 443 - 1)).toBeLessThan(0.05);
  expect((await findDonor(app.db.read, 'T00001'))?.kind).toBe('other');
});
