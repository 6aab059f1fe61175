import { datasheetOf } from './datasheetRoute.server';
import { decodeMarking } from '../../core/marking';
import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { undoEdit } from '../../db/repositories/undo';
import { findType, listTypeNames } from '../../db/repositories/types';
import { blamed, formOf } from '../../ui/form/testing/forms';
import {
  addAliasAction,
  addTypeAction,
  amendTypeAction,
  removeTypeAction,
  mergeTypeAction,
  rateTypeAction,
  splitTypeAction,
  unrateTypeAction,
} from './actions';
import { readTypesFile } from '../../services/exchange/readTypesFile';
import { exportTypes, importTypes, previewTypes } from '../../services/exchange';
import { planTypes } from '../../services/exchange/importTypes';
import { folderStore } from '../../server/blobs';
import { attachDatasheet } from './commands';
import { typeRows, typesView, typeView } from './view.server';
import type { FormOutcome } from '../../ui/form/outcome';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
});
afterEach(() => fixture.dispose());

/** Writes a type down and returns its id. */
async function aType(name: string, ratings: Record<string, string> = {}, kind = 'nmos'): Promise<string> {
  const outcome = await addTypeAction(formOf({ kind, name, technology: '', package: '', note: '' }));
  const id = /types\/(.+)$/.exec((outcome.ok && outcome.goto) || '')?.[1] ?? '';
  for (const [rating, value] of Object.entries(ratings))
    await rateTypeAction(id, formOf({ rating, value, source: 'datasheet', page: '2' }));
  return id;
}

const message = (outcome: FormOutcome) =>
  (outcome.ok ? (outcome.message ?? '') : outcome.problems.map(({ message }) => message).join(' ')).replace(
    /\u00a0/g,
    ' ',
  );
const undo = async (outcome: FormOutcome) => undoEdit(fixture.app, (outcome.ok && outcome.undo) || '');
const known = (name: string) => findType(fixture.app.db.read, 'nmos', name);

describe('one type', () => {
  test('is written down once, upper case, and put right', async () => {
    const id = await aType('irf840');
    expect(blamed(await addTypeAction(formOf({ kind: 'nmos', name: 'IRF840' })))).toEqual(['name']);
    expect(blamed(await addTypeAction(formOf({ kind: 'gadget', name: 'X' })))).toEqual(['kind']);
    expect(blamed(await addTypeAction(formOf({ kind: 'nmos', name: ' ' })))).toEqual(['name']);
    const other = await aType('X9');
    expect(blamed(await amendTypeAction(other, formOf({ kind: 'nmos', name: 'irf840' })))).toEqual(['name']);
    expect(
      message(await amendTypeAction(id, formOf({ kind: 'nmos', name: 'irf841', note: 'second source' }))),
    ).toContain('IRF841');
    expect(await typeView(fixture.app, id)).toMatchObject({ name: 'IRF841', note: 'second source' });
    expect(await typeView(fixture.app, 'nowhere')).toBeUndefined();
  });

  test.each`
    form                                                                | blames        | why
    ${{ rating: 'vds', value: 'high', source: 'datasheet' }}            | ${['value']}  | ${'no voltage'}
    ${{ rating: 'vrrm', value: '600V', source: 'datasheet' }}           | ${['rating']} | ${'a diode’s rating'}
    ${{ rating: 'vds', value: '600V', source: 'measured' }}             | ${['source']} | ${'a measurement'}
    ${{ rating: 'vds', value: '600V', source: 'datasheet', page: 'x' }} | ${['page']}   | ${'no page'}
  `('a rating is held against its kind: $why', async ({ form, blames }) => {
    const id = await aType('IRF840');
    expect(blamed(await rateTypeAction(id, formOf(form)))).toEqual(blames);
  });

  test('a weaker source does not replace a stronger one; what is replaced or deleted stays as history', async () => {
    const id = await aType('IRF840', { vds: '500V' });
    expect(message(await rateTypeAction(id, formOf({ rating: 'vds', value: '550V', source: 'guessed' })))).toContain(
      'weaker',
    );
    await rateTypeAction(id, formOf({ rating: 'vds', value: '525V', source: 'datasheet', page: '4' }));
    expect(await typeView(fixture.app, id)).toMatchObject({
      ratings: [{ value: '525\u00a0V', page: 4, pageHref: null }],
      history: [{ value: '500\u00a0V', source: 'datasheet' }],
    });
    const removed = await unrateTypeAction(id, 'vds');
    expect((await typeView(fixture.app, id))?.ratings).toEqual([]);
    await undo(removed);
    expect((await typeView(fixture.app, id))?.ratings).toMatchObject([{ value: '525\u00a0V' }]);
  });
});

describe('markings of a type', () => {
  test('another marking leads to it, and belongs to one type only', async () => {
    const id = await aType('IRF840', { vds: '500V' });
    await aType('X9');
    await addAliasAction(id, formOf({ name: 'f840' }));
    expect((await known('F840'))?.type.name).toBe('IRF840');
    expect(message(await addAliasAction(id, formOf({ name: 'X9' })))).toContain('belongs to X9');
    expect(message(await addAliasAction(id, formOf({ name: 'F840' })))).toContain('stands here already');
    expect(await listTypeNames(fixture.app.db.read)).toEqual(['F840', 'IRF840', 'X9']);
  });

  test('two types are merged, the stronger ratings win, and undo parts them again', async () => {
    const keep = await aType('IRF840', { vds: '500V' });
    const other = await aType('WW840', { id: '8A' });
    await addAliasAction(other, formOf({ name: 'W840' }));
    const merged = await mergeTypeAction(keep, formOf({ name: 'ww840' }));
    expect(message(merged)).toContain('WW840 is a marking of IRF840');
    expect(await typeView(fixture.app, keep)).toMatchObject({
      ratings: [{ value: '500\u00a0V' }, { value: '8\u00a0A' }],
    });
    for (const name of ['WW840', 'W840']) expect((await known(name))?.type.id).toBe(keep);
    expect(blamed(await mergeTypeAction(keep, formOf({ name: 'nothing' })))).toEqual(['name']);
    expect(message(await mergeTypeAction(keep, formOf({ name: 'IRF840' })))).toContain('itself');
    await undo(merged);
    expect((await known('WW840'))?.type.id).toBe(other);
    expect((await typeView(fixture.app, keep))?.ratings).toHaveLength(1);
  });

  test('a marking is split off with what was known', async () => {
    const id = await aType('IRF840', { vds: '500V' });
    await addAliasAction(id, formOf({ name: 'F840' }));
    const [alias] = (await typeView(fixture.app, id))?.aliases ?? [];
    expect(message(await splitTypeAction(id, alias?.id ?? ''))).toContain('type of its own');
    expect((await known('F840'))?.ratings.vds).toMatchObject({ value: 500, page: 2 });
    expect((await typeView(fixture.app, id))?.aliases).toEqual([]);
  });

  test('what nothing rests on can be deleted', async () => {
    const id = await aType('IRF840');
    expect(message(await removeTypeAction(id))).toContain('deleted');
    expect(await known('IRF840')).toBeUndefined();
    expect(message(await removeTypeAction(id))).toContain('not there any more');
  });
});

describe('lists of types', () => {
  const CSV =
    'kind,name,vds\nnmos,A1,600V\nnmos,A2,many\ngadget,A3,1V\nnmos,IRF840,550V; guessed\nnmos,X9,700V; datasheet';

  test('a preview writes nothing; taking it in is one step that can be undone', async () => {
    await aType('IRF840', { vds: '500V' });
    await aType('X9', { vds: '650V' });
    expect(await previewTypes(fixture.app, CSV)).toMatchObject({ added: 1, changed: 1, same: 1, refusedCount: 2 });
    expect(await known('A1')).toBeUndefined();
    const taken = await importTypes(fixture.app, CSV);
    expect(message(taken)).toBe('1 type added, 1 changed, 2 lines refused.');
    expect((await known('X9'))?.ratings.vds?.value).toBe(700);
    expect((await known('IRF840'))?.ratings.vds?.value).toBe(500);
    await undo(taken);
    expect(await known('A1')).toBeUndefined();
    expect((await known('X9'))?.ratings.vds?.value).toBe(650);
    expect(message(await importTypes(fixture.app, 'kind,name\n'))).toContain('Nothing in the file');
  });

  test('what is kept as CSV or JSON is read back the same', async () => {
    const id = await aType('IRF840', { vds: '500V', rdsOn: '0R85' });
    await addAliasAction(id, formOf({ name: 'F840' }));
    await amendTypeAction(id, formOf({ kind: 'nmos', name: 'IRF840', note: '=2+2, "old"' }));
    for (const format of ['csv', 'json'] as const) {
      const file = await exportTypes(fixture.app.db.read, format);
      if (format === 'csv') expect(file).toContain(`"'=2+2, ""old"""`);
      const plan = await planTypes(fixture.app, file);
      expect(plan).toMatchObject({ refused: [], planned: [{ action: 'same', message: [] }] });
    }
  });

  test.each`
    text                                                               | names               | why
    ${''}                                                              | ${'empty'}          | ${'nothing'}
    ${'{"format":"other"}'}                                            | ${'zorvek.types/1'} | ${'another format'}
    ${'{"format":'}                                                    | ${'no JSON'}        | ${'cut off'}
    ${'{"format":"zorvek.types/1","types":[{"kind":"nmos"}]}'}         | ${'name'}           | ${'a field is missing'}
    ${'{"format":"zorvek.types/1","types":[{"kind":"x","name":"A"}]}'} | ${'“x”'}            | ${'an unknown kind'}
    ${'a,b\n1,2'}                                                      | ${'kind'}           | ${'no heading'}
  `('is refused with a reason: $why', ({ text, names }) => {
    const { read, refused } = readTypesFile(text);
    expect(read).toEqual([]);
    expect(refused[0]?.why).toContain(names);
  });
});

test('a datasheet is kept beside the database and links its page; what is no PDF is refused', async () => {
  process.env.ZORVEK_DATASHEETS = `${fixture.folder}/datasheets`;
  const id = await aType('IRF840', { vds: '500V' });
  const attach = (name: string, text: string) =>
    attachDatasheet(fixture.app, folderStore(`${fixture.folder}/datasheets`), { id, name, bytes: Buffer.from(text) });
  expect(message(await attach('x.pdf', 'hello'))).toContain('x.pdf is no PDF');
  expect(message(await attach('x.pdf', ''))).toContain('empty');
  expect(message(await attach('irf840.pdf', '%PDF-1.4 …'))).toContain('attached to IRF840');
  expect(message(await attach('irf840.pdf', '%PDF-1.4 …'))).toContain('already');
  const view = await typeView(fixture.app, id);
  const hash = view?.datasheets[0]?.href.split('/').at(-1) ?? '';
  expect(view?.ratings[0]?.pageHref).toBe(`/datasheets/${hash}#page=2`);
  expect(await datasheetOf(hash)).toMatchObject({ name: 'irf840.pdf' });
  expect(await datasheetOf('../../etc/passwd')).toBeUndefined();
  delete process.env.ZORVEK_DATASHEETS;
});

test('the list is searched by number, alias and kind, and put in order', async () => {
  const id = await aType('IRF840', { vds: '500V' });
  await aType('1N4007', {}, 'diode');
  await addAliasAction(id, formOf({ name: 'F840' }));
  const names = async (query: string, kind = '', order = '') =>
    (await typesView(fixture.app, { query, kind, order })).rows.map(({ cells }) => cells.name?.text);
  expect(await names('')).toEqual(['1N4007', 'IRF840']);
  expect(await names('840')).toEqual(['IRF840']);
  expect(await names('F84')).toEqual(['IRF840']);
  expect(await names('', 'diode')).toEqual(['1N4007']);
  expect(await names('', '', '-kind')).toEqual(['IRF840', '1N4007']);
  expect(await names('', '', 'soup')).toEqual(['1N4007', 'IRF840']);
  expect(await typeRows(fixture.app, { query: '', kind: '', order: '' }, 1)).toEqual([]);
  expect(decodeMarking('IRF840')[0]?.number).toBe('IRF840');
});
