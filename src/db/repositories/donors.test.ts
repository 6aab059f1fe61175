import { donors, notes } from '../schema';
import { temporaryContext } from '../testing/temporaryContext';
import { donorTitle, listDonors } from './donors';
import { openIssues } from './notes';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

beforeEach(async () => {
  fixture = await temporaryContext();
  const { app } = fixture;
  const rows = [
    { code: 'AAA-AAA', description: 'adapter', maker: 'Velkin', model: 'VK_24', origin: 'skip behind the barn' },
    { code: 'BBB-BBB', description: 'charger', maker: 'Marlo', nameplate: 'OUTPUT 42V 2A 100%' },
    { code: 'CCC-CCC', description: 'adapter', maker: 'Tarn', deletedMs: 1 },
  ];
  await app.db.write(async (tx) => {
    for (const row of rows) await tx.insert(donors).values({ id: row.code, createdMs: app.now(), ...row });
    const note = { donorId: 'AAA-AAA', station: 'trace' as const, question: true };
    await tx.insert(notes).values([
      { id: 'n1', ...note, text: 'which chip', createdMs: 1 },
      { id: 'n2', ...note, text: 'answered', createdMs: 2, answeredMs: 3 },
      { id: 'n3', ...note, text: 'no question', question: false, createdMs: 2 },
      { id: 'n4', ...note, donorId: 'CCC-CCC', text: 'archived', createdMs: 2 },
    ]);
  });
});
afterEach(() => fixture.dispose());

test.each`
  query            | codes                     | why
  ${''}            | ${['BBB-BBB', 'AAA-AAA']} | ${'all that are not archived, newest first'}
  ${'adapter'}     | ${['AAA-AAA']}            | ${'what it is'}
  ${'velkin barn'} | ${['AAA-AAA']}            | ${'every word, anywhere'}
  ${'velkin 42V'}  | ${[]}                     | ${'not in one donor'}
  ${'42v'}         | ${['BBB-BBB']}            | ${'off the label, in any case'}
  ${'VK_24'}       | ${['AAA-AAA']}            | ${'a sign is taken as written'}
  ${'V__24'}       | ${[]}                     | ${'and is no wild card'}
  ${'%'}           | ${['BBB-BBB']}            | ${'nor is this'}
`('“$query” finds $codes ($why)', async ({ query, codes }) => {
  const { rows, total } = await listDonors(fixture.app.db.read, { query, page: 0, size: 10 });
  expect(rows.map(({ donor }) => donor.code)).toEqual(codes);
  expect(total).toBe((codes as string[]).length);
});

test('pages do not overlap', async () => {
  const page = async (number: number) =>
    (await listDonors(fixture.app.db.read, { page: number, size: 1 })).rows.map(({ donor }) => donor.code);
  expect([await page(0), await page(1), await page(2)]).toEqual([['BBB-BBB'], ['AAA-AAA'], []]);
});

test.each([
  [undefined, ['BBB-BBB', 'AAA-AAA']],
  [{ by: 'label', down: false } as const, ['AAA-AAA', 'BBB-BBB']],
  [{ by: 'unit', down: true } as const, ['AAA-AAA', 'BBB-BBB']],
  [{ by: 'unit', down: false } as const, ['BBB-BBB', 'AAA-AAA']],
])('in order by %j come %j', async (order, codes) => {
  const { rows } = await listDonors(fixture.app.db.read, { page: 0, size: 10, order });
  expect(rows.map(({ donor }) => donor.code)).toEqual(codes);
});

test('open questions are those not answered, of donors not archived', async () => {
  expect(await openIssues(fixture.app.db.read, 10, 0)).toMatchObject([{ text: 'which chip', donorCode: 'AAA-AAA' }]);
});

test('a title leaves out what is blank', () => {
  expect(donorTitle({ maker: '', model: 'VK', description: 'adapter' })).toBe('VK adapter');
});
