import { folderStore } from '../server/blobs';
import { openDossier } from '../services/dossier';
import { join } from 'node:path';
import sharp from 'sharp';
import { FAULT_RULES, findingsOf } from '../core/findings';
import { analyse } from '../core/topology';
import { donors, lots, journal } from '../db/schema';
import { donorOverview, listDonors } from '../db/repositories/donors';
import { shareContext } from '../db/testing/sharedContext';
import { temporaryContext } from '../db/testing/temporaryContext';
import { traceView } from '../features/donor/trace/view.server';
import { DONORS } from './donors';
import { seed, WHOLE } from './seed';
import type { Layout } from './boards/layout';

const patch = (red: number, blue: number) =>
  sharp({ create: { width: 16, height: 12, channels: 3, background: { r: red, g: 120, b: blue } } })
    .png()
    .toBuffer();
/** The boards are drawn in full where the stories through the browser seed the demo; here a patch of colour stands for each. */
const drawPatch = async ({ pads }: Layout) => ({
  front: await patch(pads.length % 256, 0),
  back: await patch(pads.length % 256, 200),
});

async function seeded(scenario = WHOLE) {
  const fixture = await temporaryContext();
  await seed(fixture.app.db, folderStore(join(fixture.folder, 'photos')), scenario, drawPatch);
  return fixture;
}

/** A machine that does other things beside takes minutes. */
const SEEDING_PATIENCE = 300_000;

let whole: ReturnType<typeof seeded>;
beforeAll(() => {
  whole = seeded();
});
afterAll(async () => (await whole).dispose());

/** Enough donors to see that one seeding is like another; each takes seconds. */
const AGAIN = DONORS.slice(0, 3);

test(
  'the scenario goes through and comes out the same each time',
  async () => {
    const [first, second] = [await whole, await seeded({ donors: AGAIN, builds: [] })];
    const everything = async ({ app: { db } }: typeof first) => ({
      donors: await db.read.select().from(donors),
      lots: await db.read.select().from(lots),
      journal: await db.read.select({ message: journal.message, atMs: journal.atMs }).from(journal),
    });
    const [one, again] = [await everything(first), await everything(second)];
    expect(one.donors).toHaveLength(DONORS.length);
    expect(again.donors).toEqual(one.donors.slice(0, AGAIN.length));
    expect(again.journal.length).toBeGreaterThan(AGAIN.length);
    expect(again.journal).toEqual(one.journal.slice(0, again.journal.length));
    expect(again.lots.map(({ code }) => code)).toEqual(one.lots.slice(0, again.lots.length).map(({ code }) => code));
    second.dispose();
  },
  SEEDING_PATIENCE,
);

test(
  'its units stand at different stations, two of them with a store that is not measured dead',
  async () => {
    const { app } = await whole;
    const { rows } = await listDonors(app.db.read, { page: 0, size: 20 });
    const overviews = await Promise.all(rows.map(({ donor }) => donorOverview(app.db.read, donor)));
    expect(overviews.filter(({ liveStores }) => liveStores.length > 0)).toHaveLength(2);
    expect(overviews.filter(({ facts }) => facts.parts.harvested > 0).length).toBeGreaterThanOrEqual(3);
    expect(overviews.filter(({ facts }) => facts.ratedPower === undefined)).toHaveLength(0);
    const ledger = await app.db.client.execute(
      'select l.id from lots l join stock_ledger s on s.lot_id = l.id group by l.id having sum(s.on_hand_delta) <> l.on_hand or sum(s.reserved_delta) <> l.reserved',
    );
    expect(ledger.rows).toHaveLength(0);
  },
  SEEDING_PATIENCE,
);

// What each board was written to be; invented, like everything in the scenario.
test.each([
  ['TB-1990', ['flyback'], []],
  ['GT-300S', ['half-bridge'], []],
  ['OC-7', ['buck'], ['missing-fuse', 'no-discharge-path']],
  ['PL-3', ['capacitive-dropper'], ['no-discharge-path']],
  ['BS-12', ['flyback'], ['no-discharge-path', 'reversed-polarity']],
])(
  '%s is read as %s with %s to find',
  async (model, topologies, faults) => {
    const { app } = await whole;
    shareContext(app);
    const { rows } = await listDonors(app.db.read, { page: 0, size: 20 });
    const donor = rows.map((row) => row.donor).find((entry) => entry.model === model);
    if (!donor) throw new Error(`${model} is missing`);
    const { board, photos, conflicts } = await traceView(openDossier(app.db.read, donor, 0), true);
    const { stages, recognition } = analyse(board);
    expect(stages.map(({ topology }) => topology)).toEqual(topologies);
    const found = findingsOf(recognition).filter(({ rule }) => FAULT_RULES.has(rule));
    expect([...new Set(found.map(({ rule }) => rule))].toSorted()).toEqual(faults);
    expect(conflicts).toEqual([]);
    const pins = board.parts.flatMap(({ ref, pins: own }) => Object.keys(own).map((pin) => `${ref}.${pin}`));
    expect(photos.map(({ spots }) => spots.map(({ pin }) => pin).toSorted())).toEqual([
      pins.toSorted(),
      pins.toSorted(),
    ]);
  },
  SEEDING_PATIENCE,
);
