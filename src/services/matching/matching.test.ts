import { aShop, DONOR_CODE, type LotSketch } from '../../db/testing/aShop';
import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { readQuestion, type StockFilter } from '../../core/stock';
import { addNeed, moveParts, startBuild } from '../../features/builds/commands';
import { valueOf } from '../command';
import { bestLot, lotsForNeed, needsBeyondStock, needsMetBy, openNeeds, partsOnBoards } from '.';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
const db = () => fixture.app.db.read;

const LOTS: readonly LotSketch[] = [
  { code: 'BIG-650', kind: 'nmos', marking: '12N65', ratings: { vds: [650, 'datasheet'] } },
  { code: 'FIT-150', kind: 'nmos', marking: '30N15', pieces: 2, ratings: { vds: [150, 'datasheet'] } },
  { code: 'LOW-060', kind: 'nmos', marking: '50N06', ratings: { vds: [60, 'datasheet'] } },
  { code: 'DIODE-1', kind: 'diode', marking: 'UF4007', ratings: { vrrm: [1000, 'datasheet'] } },
];

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  await aShop(fixture.app, {
    lots: LOTS,
    onBoard: [
      { code: 'Q1', kind: 'nmos', marking: '20N60', ratings: { vds: [600, 'decoded'] } },
      { code: 'D3', kind: 'diode', marking: '1N4007', ratings: { vrrm: [1000, 'decoded'] } },
    ],
  });
});
afterEach(() => fixture.dispose());

function filterOf(text: string): StockFilter {
  const parsed = readQuestion(text);
  if (!parsed.ok) throw new Error(`“${text}” is no filter.`);
  return parsed.filter;
}
async function aBuild(needs: readonly (readonly [role: string, filter: string, quantity: number])[]) {
  const { code } = valueOf(await startBuild(fixture.app, { title: 'lamp', note: '' }));
  const ids: string[] = [];
  for (const [role, filter, quantity] of needs)
    ids.push(valueOf(await addNeed(fixture.app, code, { role, filter, quantity })).needId);
  return ids;
}
const reserve = (lotCode: string, needId: string, quantity: number) =>
  moveParts(fixture.app, { step: 'reserve', lotCode, needId, quantity });

describe('lots for a need', () => {
  test('the tightest that fits comes first, and one that fails not at all', async () => {
    const lots = await lotsForNeed(db(), filterOf('nmos vds>=100'));
    expect(lots.map(({ row }) => row.lot.code)).toEqual(['FIT-150', 'BIG-650']);
  });

  test('a lot that is set aside whole is not offered; of one that is in part, what is free', async () => {
    const [need = ''] = await aBuild([['switch', 'nmos vds>=100', 3]]);
    await reserve('BIG-650', need, 1);
    await reserve('FIT-150', need, 1);
    const lots = await lotsForNeed(db(), filterOf('nmos vds>=100'));
    expect(lots.map(({ row, free }) => [row.lot.code, free])).toEqual([['FIT-150', 1]]);
  });

  test.each([
    ['nmos vds>=100', 'FIT-150'],
    ['nmos vds>=500', 'BIG-650'],
    ['nmos vds>=900', undefined],
    // Nothing of a part is asked: there is no best.
    ['nmos', undefined],
    ['bin:A1', undefined],
  ])('the best of “%s” is %s', async (text, code) => {
    const found = await lotsForNeed(db(), filterOf(text)).catch(() => []);
    const rows = found.map(({ row }) => row);
    expect((await bestLot(db(), filterOf(text), { rows, total: rows.length }))?.row.lot.code).toBe(code);
  });
});

describe('needs that are open', () => {
  test('those that lack pieces and name a kind, the newest build first, with how many they lack', async () => {
    const [need = ''] = await aBuild([
      ['switch', 'nmos vds>=100', 2],
      ['whatever', 'vds>=100', 1],
    ]);
    await aBuild([['rectifier', 'diode', 1]]);
    await reserve('FIT-150', need, 1);
    expect((await openNeeds(db())).map(({ need: { role }, pieces }) => [role, pieces])).toEqual([
      ['rectifier', 1],
      ['switch', 1],
    ]);
  });

  test('a part is held against each: what it meets, in full or with a limit', async () => {
    await aBuild([
      ['switch', 'nmos vds>=100', 1],
      ['high switch', 'nmos vds>=900', 1],
      ['rectifier', 'diode', 1],
    ]);
    const met = needsMetBy(await openNeeds(db()), {
      kind: 'nmos',
      ratings: { vds: { value: 600, source: 'datasheet' } },
    } as never);
    expect(met.map(({ open, match }) => [open.need.role, match.verdict])).toEqual([['switch', 'fits']]);
  });

  test('what lies free in the drawers is taken off; what serves other kinds is not asked for', async () => {
    await aBuild([
      ['switch', 'nmos vds>=100', 5],
      ['high switch', 'nmos vds>=900', 1],
      ['rectifier', 'diode', 4],
    ]);
    const beyond = await needsBeyondStock(db(), new Set(['nmos']));
    expect(beyond.map(({ need: { role }, pieces }) => [role, pieces])).toEqual([
      ['switch', 2],
      ['high switch', 1],
    ]);
  });
});

describe('parts that sit on boards still', () => {
  test.each([
    ['nmos', ['Q1']],
    ['nmos vds>=500', ['Q1']],
    ['nmos vds>=900', []],
    ['1n4007', ['D3']],
    // A bin, a grade or a source is a question of lots, and none at all is no question.
    ['nmos bin:A1', []],
    ['nmos grade:A', []],
    ['', []],
  ])('“%s” finds %j', async (text, refs) => {
    const found = await partsOnBoards(db(), filterOf(text), 10);
    expect(found.map(({ part, donorCode }) => [part.ref, donorCode])).toEqual(refs.map((ref) => [ref, DONOR_CODE]));
  });
});
