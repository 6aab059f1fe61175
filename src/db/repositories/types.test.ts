import { edited } from '../testing/edited';
import { temporaryContext } from '../testing/temporaryContext';
import type { Edit } from './journal';
import { undoEdit } from './undo';
import { logPart } from './parts';
import {
  allTypes,
  carriersOf,
  findType,
  listTypeNames,
  listTypes,
  recordTypeRatings,
  rememberType,
  removeTypeRating,
  typeHistory,
  usesOfType,
} from './types';
import { donors } from '../schema';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
beforeEach(async () => {
  fixture = await temporaryContext();
});
afterEach(() => fixture.dispose());

/** Runs work in one edit of the whole shop, and returns how to take it back. */
const step = (work: (edit: Edit) => Promise<unknown>) =>
  edited(fixture.app, undefined, async (edit) => {
    await work(edit);
    return 'a step';
  });
const read = () => fixture.app.db.read;

test('a number is remembered with the stronger of what is learnt, and its weaker past stays', async () => {
  let id = '';
  await step(async (edit) => {
    id = await rememberType(edit, {
      kind: 'nmos',
      name: '12N65',
      package: 'TO-220',
      ratings: [
        { name: 'vds', value: 650, source: 'decoded' },
        { name: 'id', value: 11.6, source: 'measured' },
      ],
    });
  });
  await step((edit) => recordTypeRatings(edit, id, [{ name: 'vds', value: 700, source: 'datasheet', page: 2 }]));
  await step((edit) => recordTypeRatings(edit, id, [{ name: 'vds', value: 600, source: 'guessed' }]));
  const known = await findType(read(), 'nmos', '12N65');
  // What one part measured is no fact of the number.
  expect(known?.ratings).toEqual({ vds: expect.objectContaining({ value: 700, source: 'datasheet', page: 2 }) });
  expect((await typeHistory(read(), id)).map(({ value, superseded }) => [value, superseded])).toEqual([
    [700, false],
    [650, true],
  ]);
  expect(await findType(read(), 'pmos', '12N65')).toBeUndefined();
  await step(async (edit) => expect(await removeTypeRating(edit, id, 'vds')).toBe(true));
  await step(async (edit) => expect(await removeTypeRating(edit, id, 'vds')).toBe(false));
});

test('remembering the same again changes nothing, and fills in a technology that was missing', async () => {
  const remember = (technology?: string) =>
    step((edit) =>
      rememberType(edit, {
        kind: 'diode',
        name: 'SS34',
        technology,
        ratings: [{ name: 'vrrm', value: 40, source: 'decoded' }],
      }),
    );
  await remember();
  await remember();
  await remember('schottky');
  const [only, ...others] = await allTypes(read());
  expect(others).toEqual([]);
  expect(only?.type.technology).toBe('schottky');
  expect(await typeHistory(read(), only?.type.id ?? '')).toHaveLength(1);
});

test('a step of the whole shop is taken back; a type that a part rests on stays', async () => {
  const donorId = fixture.app.newKey();
  await fixture.app.db.write((tx) =>
    tx.insert(donors).values({ id: donorId, code: 'K7F-2QM', description: 'brick', createdMs: 1 }),
  );
  let id = '';
  const made = await step(async (edit) => {
    id = await rememberType(edit, { kind: 'nmos', name: '12N65', ratings: [] });
  });
  const logged = await edited(fixture.app, { donorId, station: 'identify' }, async (edit) => {
    const partId = await logPart(edit, {
      ref: 'Q1',
      kind: 'nmos',
      marking: '12N65',
      block: 'switch',
      fitments: ['reworked'],
    });
    await edit.update('parts', partId, { typeId: id });
    return 'logged';
  });
  expect((await carriersOf(read(), id)).parts).toHaveLength(1);
  expect((await usesOfType(read(), id, 5)).onDonors).toMatchObject([{ code: 'K7F-2QM', ref: 'Q1' }]);
  expect(await undoEdit(fixture.app, made.journalId)).toMatchObject({ kind: 'changed-since' });
  await undoEdit(fixture.app, logged.journalId);
  expect(await undoEdit(fixture.app, made.journalId)).toMatchObject({ kind: 'undone' });
  expect(await allTypes(read())).toEqual([]);
});

test('20,000 types: names come sorted as the bench line wants them, pages hold what they should', async () => {
  const rows = Array.from({ length: 20_000 }, (_, index) => ({
    id: fixture.app.newKey(),
    kind: 'ic' as const,
    name: `T${String(index).padStart(5, '0')}`,
    createdMs: 1,
  }));
  const made = await step((edit) => edit.insertMany('types', rows));
  const names = await listTypeNames(read());
  expect(names).toHaveLength(20_000);
  expect([names[0], names.at(-1)]).toEqual(['T00000', 'T19999']);
  const page = await listTypes(read(), { query: 't199', page: 1, size: 60 });
  expect(page.total).toBe(100);
  expect(page.rows.map(({ type }) => type.name)).toEqual(Array.from({ length: 40 }, (_, index) => `T199${60 + index}`));
  expect((await allTypes(read())).length).toBe(20_000);
  await undoEdit(fixture.app, made.journalId);
  expect(await listTypeNames(read())).toEqual([]);
}, 60_000);
