import { sql } from 'drizzle-orm';
import { readQuestion } from '../../../core/stock';
import { pageOfLots, searchLots } from '../../../db/repositories/lotSearch';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { importLots, previewLots } from '../../../services/exchange';
import { stockRows, stockView } from '../find/view.server';

/** Twenty pages of a thousand; how long five times as many take is for the benchmark. */
const ROWS = 20_000;
const LONG_MS = 300_000;
/** Every five thousandth row has no kind that is known, the one behind it no bin. */
const isBad = (row: number) => row % 5000 === 4000 || row % 5000 === 4001;

const list = (): string =>
  [
    'kind,marking,pieces,bin,vds',
    ...Array.from({ length: ROWS }, (_, row) => {
      const kind = row % 5000 === 4000 ? 'gadget' : 'nmos';
      const bin = row % 5000 === 4001 ? 'the red box (which?)' : `B${row % 40}`;
      return `${kind},T${row % 500},${1 + (row % 9)},${bin},${100 + (row % 700)}V`;
    }),
  ].join('\n');

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
beforeAll(async () => shareContext((fixture = await temporaryContext()).app));
afterAll(() => fixture.dispose());

const held = async () =>
  fixture.app.db.read.get<{ lots: number; pieces: number; ledger: number; bins: number }>(sql`
    select (select count(*) from lots) lots, (select coalesce(sum(on_hand), 0) from lots) pieces,
      (select count(*) from stock_ledger) ledger, (select count(*) from bins) bins`);

test(
  `of ${ROWS} rows the right ones come in and the bad ones are named; stopped halfway, none does`,
  async () => {
    const text = list();
    const bad = Array.from({ length: ROWS }, (_, row) => row).filter(isBad);
    const good = Array.from({ length: ROWS }, (_, row) => row).filter((row) => !isBad(row));
    const preview = await previewLots(fixture.app, text);
    expect(preview).toMatchObject({ lots: good.length, bins: 40, refusedCount: bad.length });
    expect(preview.refused.map(({ line }) => line)).toEqual(bad.map((row) => row + 2));

    const shares: number[] = [];
    const stopping = importLots(fixture.app, text, (share) => {
      shares.push(share);
      return share > 0.4 ? Promise.reject(new Error('stopped')) : Promise.resolve();
    });
    await expect(stopping).rejects.toThrow('stopped');
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(await held()).toEqual({ lots: 0, pieces: 0, ledger: 0, bins: 0 });

    expect(await importLots(fixture.app, text)).toMatchObject({
      ok: true,
      message: `${good.length} lots came in from a list; ${bad.length} rows were refused.`,
    });
    expect(await held()).toEqual({
      lots: good.length,
      pieces: good.reduce((sum, row) => sum + 1 + (row % 9), 0),
      ledger: good.length,
      bins: 40,
    });
  },
  LONG_MS,
);

const volts = (row: number) => 100 + (row % 700);

test.each`
  find                        | meets
  ${''}                       | ${() => true}
  ${'nmos >=600V'}            | ${(row: number) => volts(row) >= 600}
  ${'nmos vds>=300 vds<=310'} | ${(row: number) => volts(row) >= 300 && volts(row) <= 310}
  ${'nmos vds>=300 vds<=600'} | ${(row: number) => volts(row) >= 300 && volts(row) <= 600}
  ${'nmos t499'}              | ${(row: number) => row % 500 === 499}
  ${'>=790V nmos bin:b12'}    | ${(row: number) => volts(row) >= 790 && row % 40 === 12}
  ${'resistor'}               | ${() => false}
`('of all of them “$find” finds, counts and pages what the rows say', async ({ find, meets }) => {
  const parsed = readQuestion(find);
  if (!parsed.ok) throw new Error(find);
  const { read } = fixture.app.db;
  const right = Array.from({ length: ROWS }, (_, row) => row).filter((row) => !isBad(row) && meets(row));
  const found = await searchLots(read, parsed.filter, { size: 50 });
  expect(found).toMatchObject({
    total: right.length,
    pieces: right.reduce((sum, row) => sum + 1 + (row % 9), 0),
    facets: { kinds: right.length ? [{ value: 'nmos', n: right.length }] : [] },
  });
  const fullest = Math.max(
    0,
    ...Array.from({ length: 40 }, (_, bin) => right.filter((row) => row % 40 === bin).length),
  );
  if (found.facets.bins[0]) expect(found.facets.bins[0].n).toBe(fullest);
  const last = Math.max(0, Math.ceil(right.length / 50) - 1);
  const rows = await pageOfLots(read, parsed.filter, { page: last, size: 50 });
  expect(rows.map(({ lot }) => lot.marking)).toEqual(
    right
      .slice(0, right.length - last * 50)
      .reverse()
      .map((row) => `T${row % 500}`),
  );
});

test.each`
  order         | find             | key
  ${'pieces'}   | ${''}            | ${(row: number) => 1 + (row % 9)}
  ${'-pieces'}  | ${'nmos >=600V'} | ${(row: number) => 1 + (row % 9)}
  ${'volts'}    | ${'nmos'}        | ${volts}
  ${'-volts'}   | ${'nmos t499'}   | ${volts}
  ${'-marking'} | ${'nmos'}        | ${(row: number) => `T${row % 500}`}
  ${'bin'}      | ${'nmos >=600V'} | ${(row: number) => `B${row % 40}`}
  ${'nonsense'} | ${'nmos'}        | ${(row: number) => -row}
`('“$find” by $order: the first page and a far one come as the rows say', async ({ order, find, key }) => {
  const keyOf = key as (row: number) => number | string;
  const sign = (order as string).startsWith('-') ? -1 : 1;
  const meets = (row: number) =>
    (!find.includes('600') || volts(row) >= 600) && (!find.includes('t499') || row % 500 === 499);
  const right = Array.from({ length: ROWS }, (_, row) => row)
    .filter((row) => !isBad(row) && meets(row))
    .sort((a, b) => sign * (keyOf(a) < keyOf(b) ? -1 : keyOf(a) > keyOf(b) ? 1 : 0) || b - a);
  for (const page of [0, Math.floor(right.length / 50 / 2)]) {
    const rows = await stockRows(fixture.app, find, page, order);
    expect(rows.map(({ cells }) => `${cells.marking?.text} ${cells.bin?.text} ${cells.pieces?.text}`)).toEqual(
      right.slice(page * 50, page * 50 + 50).map((row) => `T${row % 500} B${row % 40} ${1 + (row % 9)}`),
    );
  }
});

test('a long answer says what it can be put in order by; a rating only while the kind is known', async () => {
  expect(await stockView(fixture.app, 'nmos >=600V', '-volts')).toMatchObject({
    order: { by: 'volts', down: true },
    orders: ['marking', 'kind', 'value', 'volts', 'amperes', 'package', 'grade', 'pieces', 'bin'],
  });
  const all = await stockView(fixture.app, '', 'soup');
  expect(all).toMatchObject({ order: null });
  expect(all.orders).not.toContain('volts');
});
