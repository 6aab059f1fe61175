import { readQuestion } from '../../../core/stock';
import { builds, donors } from '../../../db/schema';
import { findDonor } from '../../../db/repositories/donors';
import { aShop, DONOR_CODE } from '../../../db/testing/aShop';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { openDossier } from '../../../services/dossier';
import { replaceView } from './replace.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;

beforeEach(async () => {
  fixture = await temporaryContext();
  await aShop(fixture.app, {
    lots: [
      {
        code: 'STR-650',
        kind: 'nmos',
        package: 'TO-220',
        ratings: { vds: [650, 'datasheet'], rdsOn: [0.3, 'datasheet'], id: [15, 'datasheet'] },
      },
      {
        code: 'WEK-100',
        kind: 'nmos',
        package: 'TO-220',
        ratings: { vds: [100, 'datasheet'], rdsOn: [0.03, 'datasheet'], id: [30, 'datasheet'] },
      },
    ],
    onBoard: [
      {
        code: 'Q1',
        kind: 'nmos',
        marking: '12N60',
        ratings: { vds: [600, 'datasheet'], rdsOn: [0.6, 'datasheet'], id: [12, 'datasheet'] },
      },
      { code: 'C3', kind: 'capacitor', ratings: { capacitance: [100e-6, 'typed'], voltage: [400, 'typed'] } },
    ],
  });
  await fixture.app.db.write(async (tx) => {
    await tx.insert(donors).values({ id: 'shut', code: 'SHU-T11', description: 'adapter', createdMs: 1 });
    await tx.insert(builds).values({ id: 'b1', code: 'BLD-001', title: 'lamp', createdMs: 1 });
  });
});
afterEach(() => fixture.dispose());

async function view(ref: string) {
  const { app } = fixture;
  const donor = await findDonor(app.db.read, DONOR_CODE);
  if (!donor) throw new Error('There is no donor.');
  return replaceView(openDossier(app.db.read, donor, app.now()), ref);
}

test('the strong one may take the place, the weak one must not; an unopened unit likely holds one', async () => {
  const found = await view('q1');
  expect(found?.candidates.map(({ lot }) => lot)).toEqual(['STR-650']);
  expect(found?.refused.map(({ lot }) => lot)).toEqual(['WEK-100']);
  expect(found?.likely).toEqual([
    { code: 'SHU-T11', title: 'adapter', message: '1 of 1 opened like it held one: 0.7 likely' },
  ]);
});

test.each([
  ['Q1', 'nmos vds>=600V'],
  ['C3', 'cap c~100uF±20% v>=400V'],
])('%s may be written down as a need of a build, in words that the drawers understand', async (ref, need) => {
  const [build] = (await view(ref))?.builds ?? [];
  const address = new URL(`http://shop${build?.href ?? ''}`);
  expect([build?.title, address.pathname, address.searchParams.get('role')]).toEqual([
    'lamp',
    '/builds/BLD-001',
    `${ref} of ${DONOR_CODE}`,
  ]);
  const text = address.searchParams.get('need') ?? '';
  const [read, asked] = [readQuestion(text), readQuestion(need)];
  expect([text, read.ok, read.ok && asked.ok && read.filter.demands]).toEqual([
    text,
    true,
    asked.ok && asked.filter.demands,
  ]);
});

test('a part that is not there has no page', async () => expect(await view('Q9')).toBeUndefined());
