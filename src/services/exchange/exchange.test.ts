import { makeCode } from '../../core/ident';
import { findBuild } from '../../db/repositories/builds';
import { builds } from '../../db/schema';
import { aShop } from '../../db/testing/aShop';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { undoStep, valueOf } from '../command';
import {
  exportLots,
  exportTypes,
  importLots,
  importNeeds,
  importTypes,
  previewLots,
  previewNeeds,
  previewTypes,
} from '.';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let [own, other]: Fixture[] = [];
beforeEach(async () => {
  [own, other] = await Promise.all([temporaryContext(), temporaryContext()]);
});
afterEach(() => {
  own?.dispose();
  other?.dispose();
});
const shops = () => {
  if (!own || !other) throw new Error('There are no two shops.');
  return [own.app, other.app] as const;
};

const BIG = makeCode('lot', [0.1, 0.2, 0.3, 0.4, 0.5]);
const LOTS = [
  {
    code: BIG,
    kind: 'nmos',
    marking: '12N65',
    bin: 'C1',
    pieces: 3,
    grade: 'A',
    ratings: { vds: [650, 'datasheet'], id: [12, 'decoded'] },
  },
  {
    code: makeCode('lot', [0.4, 0.5, 0.6, 0.7, 0.8]),
    kind: 'capacitor',
    marking: '',
    bin: 'A2',
    pieces: 7,
    ratings: { capacitance: [470e-6, 'measured'], voltage: [25, 'decoded'] },
  },
  {
    code: makeCode('lot', [0.7, 0.5, 0.3, 0.7, 0.8]),
    kind: 'ic',
    marking: '=CMD("x"),A',
    package: 'DIP-8',
    bin: 'A2',
    pieces: 1,
  },
] as const;

test.each(['csv', 'json'] as const)('lots go from one shop to another as %s and come out alike', async (as) => {
  const [mine, theirs] = shops();
  await aShop(mine, { lots: LOTS });
  const file = (await exportLots(mine.db.read, '', as)) ?? '';
  const preview = await previewLots(theirs, file);
  expect(preview).toMatchObject({ lots: 3, pieces: 11, bins: 2, refusedCount: 0 });
  const brought = await importLots(theirs, file);
  expect(brought.ok).toBe(true);
  expect(await exportLots(theirs.db.read, '', as)).toBe(file);
  expect(await exportLots(theirs.db.read, 'nmos', 'json')).toContain(BIG);
});

test('no cell of a spreadsheet begins a formula', async () => {
  const [mine] = shops();
  await aShop(mine, { lots: LOTS });
  const cells = ((await exportLots(mine.db.read, '', 'csv')) ?? '').split(/[\r\n,]/);
  expect(cells.filter((cell) => /^"?[=+@]/.test(cell))).toEqual([]);
});

test('a filter that cannot be read gives no file', async () => {
  const [mine] = shops();
  expect(await exportLots(mine.db.read, 'vds>=', 'csv')).toBeUndefined();
});

test('a code that was given already is refused by name, and the rest comes in; undone, all of it is gone', async () => {
  const [mine, theirs] = shops();
  await aShop(mine, { lots: LOTS });
  await aShop(theirs, { lots: LOTS.slice(0, 1) });
  const file = (await exportLots(mine.db.read, '', 'csv')) ?? '';
  const preview = await previewLots(theirs, file);
  expect(preview).toMatchObject({ lots: 2, refusedCount: 1 });
  expect(preview.refused[0]).toMatchObject({ what: BIG, why: expect.stringMatching(/never given twice/) });
  const brought = await importLots(theirs, file);
  expect(brought).toMatchObject({ ok: true, message: expect.stringMatching(/2 lots came in.*1 row was refused/) });
  await undoStep(theirs, brought.ok ? (brought.undo ?? '') : '');
  expect(await exportLots(theirs.db.read, '', 'csv')).not.toContain('A2');
});

test.each([
  ['', /empty/],
  ['kind,marking\nnmos,12N65', /which column is the bin/],
  ['kind,marking,pieces,bin\nwok,12N65,1,A1', /wok/],
])('a list of lots with nothing to take, %j, is refused with the reason', async (text, why) => {
  const [, theirs] = shops();
  const outcome = await importLots(theirs, text);
  expect(outcome.ok).toBe(false);
  expect(JSON.stringify(outcome)).toMatch(why);
});

const TYPES = JSON.stringify({
  format: 'zorvek.types/1',
  types: [
    {
      kind: 'nmos',
      name: '12N65',
      aliases: ['12N65F'],
      package: 'TO-220FP',
      ratings: { vds: { value: 650, page: 2 } },
    },
    { kind: 'diode', name: 'FR107', technology: 'fast', ratings: { vrrm: { value: 1000, source: 'typical' } } },
  ],
});

test.each(['csv', 'json'] as const)('types go from one shop to another as %s and come out alike', async (format) => {
  const [mine, theirs] = shops();
  valueOf(await importTypes(mine, TYPES));
  const file = await exportTypes(mine.db.read, format);
  expect((await previewTypes(theirs, file)).refused).toEqual([]);
  valueOf(await importTypes(theirs, file));
  expect(await exportTypes(theirs.db.read, format)).toBe(file);
  // What is there already changes nothing a second time.
  expect((await importTypes(theirs, file)).ok).toBe(false);
});

test.each`
  text                                                                 | what          | why
  ${''}                                                                | ${'the file'} | ${/empty/}
  ${'{"format":"zorvek.types/1","types":['}                            | ${'the file'} | ${/no JSON/}
  ${'{"format":"other/1","types":[]}'}                                 | ${'the file'} | ${/zorvek\.types\/1/}
  ${'{"format":"zorvek.types/1","types":[{"kind":"nmos"}]}'}           | ${/nmos/}     | ${/name/}
  ${'{"format":"zorvek.types/1","types":[{"kind":"wok","name":"A"}]}'} | ${/wok/}      | ${/wok/}
`('a file of types such as $text is refused with what was expected', async ({ text, what, why }) => {
  const [mine] = shops();
  const { refused } = await previewTypes(mine, text);
  expect(refused[0]?.what).toMatch(what);
  expect(refused[0]?.why).toMatch(why);
});

test('what was said of the columns of a list is known of the next one with the same headings, lots, types and needs apart', async () => {
  const [app] = shops();
  const list = 'Zeug;Wohin;Anzahl\nElko 1000u 25V;Kiste 7;12';
  expect((await previewLots(app, list)).lots).toBe(0);
  const said = { roles: ['values', 'bin', 'pieces'], bin: '' };
  expect((await previewLots(app, list, undefined, said)).lots).toBe(1);
  expect(await previewLots(app, list.replace('12', '7'))).toMatchObject({ lots: 1, pieces: 7 });
  expect((await previewLots(app, list.replace('Zeug', 'Ding'))).lots).toBe(0);
  expect((await previewNeeds(app, list)).columns.find(({ heading }) => heading === 'Wohin')?.role).not.toBe('bin');
  const types = 'Zeug;Was;XQ\n12N65;nmos;650';
  expect((await previewTypes(app, types, undefined, { roles: ['marking', 'kind', 'vds'] })).added).toBe(1);
  expect((await previewTypes(app, types)).columns.map(({ role }) => role)).toEqual(['marking', 'kind', 'vds']);
});

test('a list of needs is shown with what the drawers have, and comes into a build in one step', async () => {
  const [app] = shops();
  await aShop(app, { lots: LOTS });
  const code = makeCode('build', [0.1, 0.2, 0.3, 0.4, 0.5]);
  await app.db.write((tx) => tx.insert(builds).values({ id: 'b1', code, title: 'Pump supply', createdMs: 1 }));
  const list = 'switch: 2 x nmos 600V 10A\noutput: cap 470u 16V\nnonsense';
  const preview = await previewNeeds(app, list);
  expect(preview).toMatchObject({ needs: 2, refusedCount: 1 });
  expect(preview.rows.map(({ stock }) => stock)).toEqual([
    `${BIG} in C1, 3 free`,
    expect.stringMatching(/ in A2, 7 free/),
  ]);
  const brought = await importNeeds(app, code, list);
  expect(brought).toMatchObject({ ok: true, message: '2 needs added to Pump supply; 1 line was refused.' });
  const needs = async () => (await findBuild(app.db.read, code))?.needs.map(({ need }) => need.role);
  expect(await needs()).toEqual(['switch', 'output']);
  expect(await undoStep(app, (brought.ok && brought.undo) || '')).toMatchObject({ ok: true });
  expect(await needs()).toEqual([]);
  expect(await importNeeds(app, code, 'nonsense')).toMatchObject({ ok: false, problems: [{ code: 'list-empty' }] });
});
