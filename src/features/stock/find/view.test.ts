import { addNeed, startBuild } from '../../builds/commands';
import { valueOf } from '../../../services/command';
import { aShop, DONOR_CODE } from '../../../db/testing/aShop';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { undoEdit } from '../../../db/repositories/undo';
import { lotForm } from '../lot/schema';
import { moveToBin } from '../lot/moves';
import { addLot, takePieces } from '../lot/commands';
import { lotLabels } from '../labels/view.server';
import { lotView } from '../lot/view.server';
import { stockHead, stockRows, stockView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  await aShop(fixture.app, {
    lots: [
      {
        code: 'FET-600',
        kind: 'nmos',
        marking: '12N60',
        package: 'TO-220',
        grade: 'A',
        bin: 'C2-4',
        pieces: 3,
        ratings: { vds: [600, 'decoded', 0.85], id: [12, 'decoded', 0.85] },
      },
      {
        code: 'FET-100',
        kind: 'nmos',
        marking: '50N10',
        package: 'TO-247',
        grade: 'B',
        bin: 'C2-5',
        ratings: { vds: [100, 'datasheet'], rdsOn: [0.02, 'measured'] },
      },
      {
        code: 'CAP-470',
        kind: 'capacitor',
        grade: 'A',
        bin: 'D1',
        pieces: 5,
        ratings: { capacitance: [455e-6, 'measured'], voltage: [35, 'decoded'] },
      },
      {
        code: 'SCH-100',
        kind: 'dual-diode',
        marking: 'MBR20100CT',
        technology: 'schottky',
        package: 'TO-220',
        bin: 'D1',
        ratings: { vrrm: [100, 'decoded', 0.9] },
      },
      { code: 'EMPTY-1', kind: 'nmos', marking: '12N65', pieces: 0, ratings: { vds: [650, 'decoded'] } },
    ],
    onBoard: [{ code: 'Q7', kind: 'nmos', marking: '10N65', ratings: { vds: [650, 'decoded'] } }],
  });
});
afterEach(() => fixture.dispose());

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value).replaceAll('\u00a0', ' ')) as T;
const found = async (find: string) => (await stockView(fixture.app, find)).rows.map(({ cells }) => cells.lot?.text);

test.each`
  find                         | lots                                            | why
  ${''}                        | ${['SCH-100', 'CAP-470', 'FET-100', 'FET-600']} | ${'all with pieces left, newest first'}
  ${'nmos'}                    | ${['FET-100', 'FET-600']}                       | ${'a kind'}
  ${'nmos >=600V'}             | ${['FET-600']}                                  | ${'a rating by its unit'}
  ${'nmos vds>=600 id>12'}     | ${[]}                                           | ${'12 A is not above 12 A'}
  ${'nmos rds<30m'}            | ${['FET-100']}                                  | ${'a rating by name'}
  ${'to-220'}                  | ${['SCH-100', 'FET-600']}                       | ${'a case'}
  ${'schottky'}                | ${['SCH-100']}                                  | ${'a technology'}
  ${'12n60'}                   | ${['FET-600']}                                  | ${'a marking'}
  ${'capacitor c~470u'}        | ${['CAP-470']}                                  | ${'within 20 %'}
  ${'capacitor c=470u'}        | ${[]}                                           | ${'455 is not within 2 % of 470'}
  ${'bin:c2'}                  | ${['FET-100', 'FET-600']}                       | ${'the beginning of a bin'}
  ${'grade:A'}                 | ${['CAP-470', 'FET-600']}                       | ${'this grade or better'}
  ${'grade:B'}                 | ${['CAP-470', 'FET-100', 'FET-600']}            | ${'this grade or better'}
  ${'evidence:measured'}       | ${['CAP-470', 'FET-100']}                       | ${'something measured'}
  ${`from:${DONOR_CODE} nmos`} | ${['FET-100', 'FET-600']}                       | ${'from a donor'}
  ${'100%'}                    | ${[]}                                           | ${'a per cent sign is no wild card'}
`('“$find” finds $lots ($why)', async ({ find, lots }) => {
  expect(await found(find)).toEqual(lots);
});

test('a search that cannot be read says which word, and finds nothing', async () => {
  expect(await stockView(fixture.app, 'nmos vds>=tall')).toMatchObject({
    problem: expect.stringContaining('“vds>=tall”'),
    rows: [],
    total: 0,
  });
});

test('counts, facets that narrow further, and what still sits on a board', async () => {
  const view = plain(await stockView(fixture.app, 'nmos'));
  expect(view).toMatchObject({ total: 2, pieces: 4 });
  expect(view.facets.find(({ label }) => label === 'grade')?.choices).toEqual(
    expect.arrayContaining([{ word: 'A', n: 1, href: '/stock?find=nmos%20grade%20A' }]),
  );
  expect(view.onBoards.map(({ href, cells }) => [href, cells.from?.text, cells.volts?.text])).toEqual([
    [`/donors/${DONOR_CODE}/harvest?part=Q7`, `${DONOR_CODE} Q7`, '650 V'],
  ]);
  expect((await stockView(fixture.app, '')).onBoards).toEqual([]);
  expect(await stockHead(fixture.app)).toBe('4 lots in 3 bins');
});

test('the row shows the weakest evidence of what it shows', async () => {
  const [row] = plain(await stockView(fixture.app, 'capacitor')).rows;
  expect(row?.cells).toMatchObject({
    value: { text: '455 µF', sort: 455e-6 },
    volts: { text: '35 V' },
    evidence: { text: 'decoded' },
  });
});

describe('one lot', () => {
  test('a voltage that rests on the marking alone may be used at half', async () => {
    expect(plain(await lotView(fixture.app, 'fet-600'))?.uncertainties).toEqual([
      'Drain to source rests on the marking alone: use it up to 300 V until a datasheet is read.',
    ]);
    expect((await lotView(fixture.app, 'FET-100'))?.uncertainties).toEqual([]);
    expect((await lotView(fixture.app, 'SCH-100'))?.limits).toEqual([]);
    expect(await lotView(fixture.app, 'NO-SUCH')).toBeUndefined();
  });

  test('knows which build wants it, until the need is filled or too hard', async () => {
    const { app } = fixture;
    const { code } = valueOf(await startBuild(app, { title: 'lamp', note: '' }));
    await addNeed(app, code, { role: 'switch', filter: 'nmos vds>=60', quantity: 1 });
    await addNeed(app, code, { role: 'other', filter: 'nmos vds>=400', quantity: 1 });
    expect((await lotView(fixture.app, 'FET-600'))?.wanted.map(({ role, verdict }) => [role, verdict])).toEqual([
      ['switch', 'fits'],
      ['other', 'limit'],
    ]);
    expect((await lotView(fixture.app, 'FET-100'))?.wanted).toMatchObject([
      { role: 'switch', verdict: 'fits', margin: 100 / 60 },
    ]);
    expect((await lotView(fixture.app, 'CAP-470'))?.wanted).toEqual([]);
  });

  test('pieces taken and the lot moved: the ledger tells, and no more than there is comes out', async () => {
    await takePieces(fixture.app, { code: 'FET-600', quantity: 2, note: 'the lathe' });
    expect(await takePieces(fixture.app, { code: 'FET-600', quantity: 2, note: '' })).toMatchObject({
      problems: [{ field: 'quantity', message: expect.stringContaining('1 of 1 are free') }],
    });
    expect(await moveToBin(fixture.app, { code: 'FET-600', bin: 'Z9' })).toMatchObject({
      message: 'FET-600 moved from C2-4 to Z9.',
    });
    expect(await lotView(fixture.app, 'FET-600')).toMatchObject({
      onHand: 1,
      bin: 'Z9',
      ledger: [
        { change: '+3' },
        { change: '−2', message: 'taken out: the lathe' },
        { change: '', message: 'moved: C2-4 to Z9' },
      ],
    });
    expect(await takePieces(fixture.app, { code: 'NO-SUCH', quantity: 1, note: '' })).toMatchObject({ ok: false });
    expect(await moveToBin(fixture.app, { code: 'FET-600', bin: 'Z9' })).toMatchObject({
      problems: [{ field: 'bin' }],
    });
  });

  test('its label carries what is in the bag and where it belongs', async () => {
    const [label, second, ...more] = await lotLabels(
      fixture.app,
      ['cap-470', 'FET-600', 'NO-SUCH'],
      'http://barn.example:3000',
    );
    expect(more).toEqual([]);
    expect(second?.code).toBe('FET-600');
    for (const text of ['CAP-470', '455', 'bin D1', DONOR_CODE]) expect(label?.svg).toContain(text);
  });
});

describe('a lot counted in by hand', () => {
  const form = {
    kind: 'nmos',
    package: 'to-220',
    values: 'vds 650V id 12A datasheet',
    marking: '12n65',
    pieces: '4',
    grade: 'A',
    limit: '',
    bin: 'e7',
  };
  const add = (more: Partial<Record<keyof typeof form, string>> = {}) =>
    addLot(fixture.app, lotForm.parse({ ...form, ...more }));

  test('is found like any other, and taken back it is gone from the drawer', async () => {
    const outcome = await add();
    expect(outcome).toMatchObject({ ok: true, message: expect.stringContaining('4 of 12N65 are in E7') });
    const code = (outcome.ok && outcome.goto?.split('/').at(-1)) || '';
    expect(await found('nmos evidence:datasheet bin:E7')).toEqual([code]);
    expect(await lotView(fixture.app, code)).toMatchObject({
      onHand: 4,
      grade: 'A',
      donor: null,
      subtitle: 'N-FET, TO-220',
      ledger: [{ message: 'counted in: by hand' }],
    });
    expect(await undoEdit(fixture.app, (outcome.ok && outcome.undo) || '')).toMatchObject({ kind: 'undone' });
    expect(await found('bin:E7')).toEqual([]);
  });

  test('a B names its limit, which a build that asks for it hears of', async () => {
    expect(await add({ grade: 'B' })).toMatchObject({ ok: false, problems: [{ field: 'limit' }] });
    const outcome = await add({ grade: 'B', limit: 'switching' });
    const code = (outcome.ok && outcome.goto?.split('/').at(-1)) || '';
    expect(await lotView(fixture.app, code)).toMatchObject({ grade: 'B', limits: ['low frequency only'] });
  });

  test.each`
    more                                             | message
    ${{ values: '650V purple' }}                     | ${'“purple” is not understood here'}
    ${{ values: 'vds high' }}                        | ${'“high”'}
    ${{ kind: 'capacitor', values: '78u measured' }} | ${'Leave “measured” out'}
  `('with $more is refused by name', async ({ more, message }) => {
    expect(await add(more)).toMatchObject({
      ok: false,
      problems: [{ field: 'values', message: expect.stringContaining(message) }],
    });
    expect(await found('bin:E7')).toEqual([]);
  });

  test.each`
    more                  | field
    ${{ kind: 'teapot' }} | ${'kind'}
    ${{ pieces: '0' }}    | ${'pieces'}
    ${{ bin: 'the red' }} | ${'bin'}
    ${{ grade: 'D' }}     | ${'grade'}
    ${{ limit: 'soup' }}  | ${'limit'}
  `('with $more its form blames $field', ({ more, field }) => {
    expect(lotForm.safeParse({ ...form, ...more }).error?.issues.map(({ path }) => path[0])).toEqual([field]);
  });
});

test('a long list comes in pages, and the tightest of all of it is advised', async () => {
  // The oldest lot is the tightest; a weaker promise of a guess comes after what a datasheet says.
  const many = Array.from({ length: 120 }, (_, index) => ({
    code: `R-${index}`,
    kind: 'nmos' as const,
    bin: 'R1',
    ratings: {
      vds: [600 + index, index < 40 ? 'guessed' : 'datasheet'] as const,
      rdsOn: [0.3 - index / 1000, 'datasheet'] as const,
    },
  }));
  fixture.dispose();
  fixture = await temporaryContext();
  shareContext(fixture.app);
  await aShop(fixture.app, { lots: many });
  const first = await stockView(fixture.app, 'nmos vds>=600');
  expect([first.rows.length, first.total, first.best?.code]).toEqual([50, 120, 'R-40']);
  // A ceiling is kept most tightly from below: 249 mΩ of 250.
  expect(await stockView(fixture.app, 'nmos rds<0.25')).toMatchObject({
    total: 69,
    best: { code: 'R-51', verdict: 'fits' },
  });
  const pages = await Promise.all([0, 1, 2, 3].map((page) => stockRows(fixture.app, 'nmos vds>=600', page)));
  expect(pages.map((rows) => rows.length)).toEqual([50, 50, 20, 0]);
  expect(pages[0]).toEqual(first.rows);
  expect(new Set(pages.flat().map(({ id }) => id)).size).toBe(120);
  expect(await stockRows(fixture.app, 'nmos vds>=tall', 0)).toEqual([]);
});

test('what may be meant is offered where it finds something; a type stands for its ratings; an unknown word may be a marking', async () => {
  const asked = async (find: string) => plain(await stockView(fixture.app, find));
  const back = await asked('400');
  expect(back.problem).toContain('which kind');
  expect(back.maybe.map(({ text }) => text)).toEqual(['nmos 400V']);
  expect(await asked('something like a 12N60')).toMatchObject({
    means: expect.stringContaining('in place of 12N60, at least 600 V') as string,
    codes: ['FET-600'],
  });
  expect(await asked('like a XQ99Z')).toMatchObject({
    problem: expect.stringContaining('XQ99Z are not known') as string,
  });
  expect((await asked('nmos gizmo')).means).toBe('N-FET, not understood: gizmo');
});
