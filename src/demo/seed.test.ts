import { join } from 'node:path';
import { donors, lots, journal } from '../db/schema';
import { donorOverview, listDonors } from '../db/repositories/donors';
import { temporaryBench } from '../db/testing/temporaryBench';
import { DONORS } from './donors';
import { seed } from './seed';

async function seeded() {
  const fixture = await temporaryBench();
  await seed(fixture.bench.db, join(fixture.folder, 'photos'));
  return fixture;
}

test('the scenario goes through and comes out the same each time', async () => {
  const [first, second] = [await seeded(), await seeded()];
  const everything = async ({ bench: { db } }: typeof first) => ({
    donors: await db.read.select().from(donors),
    lots: await db.read.select().from(lots),
    journal: await db.read.select({ says: journal.says, atMs: journal.atMs }).from(journal),
  });
  const one = await everything(first);
  expect(one.donors).toHaveLength(DONORS.length);
  expect(await everything(second)).toEqual(one);
  first.dispose();
  second.dispose();
}, 30_000);

test('its units stand at different stations, two of them with a store that is not measured dead', async () => {
  const { bench, dispose } = await seeded();
  const { rows } = await listDonors(bench.db.read, { page: 0, size: 20 });
  const overviews = await Promise.all(rows.map(({ donor }) => donorOverview(bench.db.read, donor)));
  expect(overviews.filter(({ liveStores }) => liveStores.length > 0)).toHaveLength(2);
  expect(overviews.filter(({ facts }) => facts.parts.harvested > 0).length).toBeGreaterThanOrEqual(3);
  expect(overviews.filter(({ facts }) => facts.ratedPower === undefined)).toHaveLength(0);
  const ledger = await bench.db.client.execute(
    'select l.id from lots l join stock_ledger s on s.lot_id = l.id group by l.id having sum(s.on_hand_delta) <> l.on_hand or sum(s.reserved_delta) <> l.reserved',
  );
  expect(ledger.rows).toHaveLength(0);
  dispose();
}, 30_000);
