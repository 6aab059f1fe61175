import { folderStore } from '../../../server/blobs';
import { join } from 'node:path';
import sharp from 'sharp';
import { aShop, DONOR_CODE } from '../../../db/testing/aShop';
import { undoEdit } from '../../../db/repositories/undo';
import { findLot } from '../../../db/repositories/lotSearch';
import { knowsPhotoHash } from '../../../db/repositories/photos';
import { donors, lots, parts, photos, pinSpots } from '../../../db/schema';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { photographLot } from './lotPhoto';
import { lotView } from './view.server';

const HASH = 'ab'.repeat(32);
let fixture: Awaited<ReturnType<typeof temporaryContext>>;
beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  await aShop(fixture.app, {
    lots: [{ code: 'CDD-DDM', kind: 'nmos', marking: '12N60' }],
    onBoard: [{ code: 'Q1', kind: 'nmos' }],
  });
});
afterEach(() => fixture.dispose());

/** The lot came from Q1, whose gate and drain are seen on one photo and whose drain alone on another. */
async function seenOnBoard() {
  const { app } = fixture;
  await app.db.write(async (tx) => {
    const [donor] = await tx.select().from(donors);
    const [part] = await tx.select().from(parts);
    await tx.update(lots).set({ partId: part?.id ?? '' });
    for (const [id, pins] of [
      ['one', [['Q1.D', 0.4]]],
      [
        'two',
        [
          ['Q1.G', 0.5],
          ['Q1.D', 0.6],
          ['Q10.D', 0.05],
        ],
      ],
    ] as [string, [string, number][]][]) {
      const facts = {
        hash: id === 'two' ? HASH : 'cd'.repeat(32),
        widthPx: 1500,
        heightPx: 1000,
        station: 'trace' as const,
      };
      await tx.insert(photos).values({ id, donorId: donor?.id ?? '', ...facts, createdMs: 1 });
      for (const [pin, x] of pins)
        await tx
          .insert(pinSpots)
          .values({ id: `${id} ${pin}`, photoId: id, pin, xShare: x, yShare: 0.5, createdMs: 1 });
    }
  });
}

test('a lot is shown as its part on the board, around its pins', async () => {
  expect((await lotView(fixture.app, 'CDD-DDM'))?.picture).toBeNull();
  await seenOnBoard();
  const picture = (await lotView(fixture.app, 'CDD-DDM'))?.picture;
  expect(picture).toMatchObject({ url: `/photos/${HASH}/medium`, message: `Q1 on the board of ${DONOR_CODE}` });
  // Q10 is another part: the middle lies between the two pins of Q1.
  expect((picture?.crop?.left ?? 0) + (picture?.crop?.width ?? 0) / 2).toBeCloseTo(0.55, 6);
});

test('its own photo comes first, and can be undone', async () => {
  await seenOnBoard();
  const folder = join(fixture.folder, 'photos');
  const bytes = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#345' } })
    .jpeg()
    .toBuffer();
  const outcome = await photographLot(fixture.app, folderStore(folder), { code: 'CDD-DDM', name: 'lot.jpg', bytes });
  expect(outcome).toMatchObject({ ok: true, message: 'CDD-DDM has a photo.' });
  const hash = (await findLot(fixture.app.db.read, 'CDD-DDM'))?.lot.photoHash ?? '';
  expect(await knowsPhotoHash(fixture.app.db.read, hash)).toBe(true);
  expect(await knowsPhotoHash(fixture.app.db.read, 'ef'.repeat(32))).toBe(false);
  expect((await lotView(fixture.app, 'CDD-DDM'))?.picture).toEqual({
    url: `/photos/${hash}/medium`,
    message: 'lot CDD-DDM',
    crop: null,
  });
  await undoEdit(fixture.app, outcome.ok ? (outcome.undo ?? '') : '');
  expect((await lotView(fixture.app, 'CDD-DDM'))?.picture?.url).toContain(HASH);
});

test.each([
  ['CDD-DDM', new Uint8Array([1, 2, 3]), /is no picture/],
  ['ZZZ-ZZZ', new Uint8Array([1]), /ZZZ-ZZZ/],
])('%s with what is no photo is refused in words', async (code, bytes, message) => {
  const outcome = await photographLot(fixture.app, folderStore(fixture.folder), { code, name: 'x.txt', bytes });
  expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(message);
});
