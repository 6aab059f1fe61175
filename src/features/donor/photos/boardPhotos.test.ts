import { folderStore } from '../../../server/blobs';
import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { join } from 'node:path';
import sharp from 'sharp';
import { preparationMaps, type Corners } from '../../../core/photo';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { donorForm } from '../intake/schema';
import { boardPhotos, photoPage } from './view.server';
import { traceView } from '../trace/view.server';
import { liftPins, placePins, receivePrepared } from './boardPhotos';
import { registerDonor } from '../intake/commands';
import { addPin, pairSides, receivePhoto } from './commands';
import { recordLine } from '../shared/recordLine';
import { undoLatest } from '../../../services/command/undo';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;
let front: string;
let back: string;

const picture = (colour: string) =>
  sharp({ create: { width: 300, height: 200, channels: 3, background: colour } })
    .png()
    .toBuffer();
const dossier = (of = code) => dossierOf(fixture.app, of);
const photos = () => folderStore(join(fixture.folder, 'photos'));
const spotsOf = async (id: string) =>
  (await boardPhotos(await dossier())).find((photo) => photo.id === id)?.spots ?? [];
const CORNERS: Corners = [
  { x: 0.1, y: 0.1 },
  { x: 0.9, y: 0.2 },
  { x: 0.8, y: 0.9 },
  { x: 0.2, y: 0.8 },
];

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  ({ code } = valueOf(await registerDonor(fixture.app, donorForm.parse({ description: 'adapter' }))));
  for (const line of ['q1 nmos', 'c3 electrolytic 82u 400V', 'q1.d - c3.+', 'q1 as switch'])
    await recordLine(fixture.app, { code, station: 'trace', line });
  for (const [side, colour] of [
    ['front', '#aa8855'],
    ['back', '#335533'],
  ] as const)
    await receivePhoto(fixture.app, photos(), {
      code,
      station: 'trace',
      name: side,
      side,
      bytes: await picture(colour),
    });
  const ids = (await boardPhotos(await dossier())).map(({ id }) => id);
  [front = '', back = ''] = ids;
  const matches = [
    [0.1, 0.1],
    [0.9, 0.1],
    [0.1, 0.9],
  ].map(([x = 0, y = 0]) => ({ front: { x, y }, back: { x: 1 - x, y } }));
  await pairSides(fixture.app, code, { frontId: front, backId: back, matches });
});
afterEach(() => fixture.dispose());

test('a pin that is placed on the back shows on the front where it comes through; placing it again moves it', async () => {
  await placePins(fixture.app, code, { photoId: back, spots: [{ pin: 'Q1.D', x: 0.3, y: 0.4 }] });
  expect(await spotsOf(back)).toEqual([{ pin: 'Q1.D', x: 0.3, y: 0.4, isOwn: true }]);
  const [seen] = await spotsOf(front);
  expect(seen).toMatchObject({ pin: 'Q1.D', isOwn: false });
  expect([seen?.x, seen?.y].map((value) => Number(value?.toFixed(6)))).toEqual([0.7, 0.4]);
  await placePins(fixture.app, code, { photoId: back, spots: [{ pin: 'Q1.D', x: 0.5, y: 0.4 }] });
  expect(await spotsOf(back)).toHaveLength(1);
  await undoLatest(fixture.app, code);
  expect((await spotsOf(back))[0]?.x).toBe(0.3);
});

test('pins of parts that are not logged, or on photos that are gone, are refused; pins come off by part', async () => {
  const refused = await placePins(fixture.app, code, { photoId: back, spots: [{ pin: 'Q9.D', x: 0.3, y: 0.4 }] });
  expect(refused).toMatchObject({ ok: false, problems: [{ code: 'part-not-logged', data: { ref: 'Q9' } }] });
  const gone = await placePins(fixture.app, code, { photoId: 'none', spots: [{ pin: 'Q1.D', x: 0.3, y: 0.4 }] });
  expect(gone).toMatchObject({ ok: false, problems: [{ code: 'photo-gone' }] });
  await placePins(fixture.app, code, {
    photoId: back,
    spots: [
      { pin: 'Q1.D', x: 0.3, y: 0.4 },
      { pin: 'Q1.S', x: 0.35, y: 0.4 },
      { pin: 'C3.+', x: 0.5, y: 0.4 },
    ],
  });
  expect(await liftPins(fixture.app, code, { photoId: back, ref: 'Q1' })).toMatchObject({ ok: true });
  expect((await spotsOf(back)).map(({ pin }) => pin)).toEqual(['C3.+']);
  expect(await liftPins(fixture.app, code, { photoId: back, ref: 'Q1' })).toMatchObject({ ok: false });
});

test('a part that is renamed takes its joins, what it was fixed as, and its places along', async () => {
  await placePins(fixture.app, code, { photoId: back, spots: [{ pin: 'Q1.D', x: 0.3, y: 0.4 }] });
  await recordLine(fixture.app, { code, station: 'identify', line: 'rename q1 to q7' });
  const { board } = await traceView(await dossier(), false);
  expect(board.joined).toEqual([['Q7.D', 'C3.+']]);
  expect(board.fixed).toEqual([{ ref: 'Q7', as: 'switch' }]);
  expect((await spotsOf(back)).map(({ pin }) => pin)).toEqual(['Q7.D']);
});

test('what was placed on a photo goes over to the picture made ready from it, mirrored and squared', async () => {
  await placePins(fixture.app, code, { photoId: back, spots: [{ pin: 'Q1.D', x: 0.3, y: 0.4 }] });
  await addPin(fixture.app, code, { photoId: back, x: 0.5, y: 0.5, note: 'scorched' });
  const how = { corners: CORNERS, mirror: true };
  const kept = await receivePrepared(fixture.app, photos(), {
    code,
    fromId: back,
    bytes: await picture('#dddddd'),
    how,
  });
  expect(kept).toMatchObject({ ok: true, message: 'The picture was kept, paired with the other side.' });
  const made = (await boardPhotos(await dossier())).find(({ message }) => message.includes('made ready'));
  const { toPrepared } = preparationMaps(how);
  const expected = toPrepared({ x: 0.3, y: 0.4 });
  expect(made?.spots[0]).toMatchObject({ pin: 'Q1.D', isOwn: true });
  expect(made?.spots[0]?.x).toBeCloseTo(expected.x, 9);
  expect(made?.spots[0]?.y).toBeCloseTo(expected.y, 9);
  // A tilted picture is no affine image of its other side; near the three spots the places agree well enough.
  const [through] = await spotsOf(front);
  expect(Math.hypot((through?.x ?? 0) - 0.7, (through?.y ?? 0) - 0.4)).toBeLessThan(0.12);
  expect((await photoPage(await dossier(), made?.id ?? ''))?.pins[0]).toMatchObject({ note: 'scorched', number: 1 });
  const again = await receivePrepared(fixture.app, photos(), {
    code,
    fromId: back,
    bytes: await picture('#dddddd'),
    how,
  });
  expect(again).toMatchObject({ ok: false });
});

test.each([
  ['no picture', Buffer.from('hello'), 'back'],
  ['a photo that is gone', undefined, 'none'],
])('%s is refused', async (_what, bytes, fromId) => {
  const outcome = await receivePrepared(fixture.app, photos(), {
    code,
    fromId: fromId === 'back' ? back : fromId,
    bytes: bytes ?? (await picture('#123456')),
    how: { mirror: false },
  });
  expect(outcome).toMatchObject({ ok: false });
});
