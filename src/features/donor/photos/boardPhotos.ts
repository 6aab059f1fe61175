import { splitPin } from '../../../core/board';
import { preparationMaps, type Match, type Point, type Preparation, type Photo } from '../../../core/photo';
import type { AppContext } from '../../../db/context';
import { findDonor } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { listParts, type PartRecord } from '../../../db/repositories/parts';
import { findPhoto, listPhotos, listPinSpots, pairOf } from '../../../db/repositories/photos';
import type { BlobStore } from '../../../server/blobs';
import { storePhoto } from '../../../services/attachments';
import { refusal, refuse, refused, run, type Outcome } from '../../../services/command';
import { knownPart } from '../shared/knownPart';

/** Puts pins of parts where they are seen on a photo; a pin that was placed before moves there. */
export function placePins(
  app: AppContext,
  code: string,
  { photoId, spots }: { photoId: string; spots: readonly (Point & { readonly pin: string })[] },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'trace' }, async (edit, donor) => {
    if (!(await findPhoto(edit.tx, donor.id, photoId))) return refuse('photo-gone', {});
    const placed = new Map((await listPinSpots(edit.tx, [photoId])).map((spot) => [spot.pin, spot.id]));
    for (const ref of new Set(spots.map(({ pin }) => splitPin(pin)[0]))) await knownPart(edit, ref);
    for (const { pin, x, y } of spots) {
      const earlier = placed.get(pin);
      if (earlier) await edit.update('pinSpots', earlier, { xShare: x, yShare: y });
      else await addSpot(edit, photoId, { pin, x, y });
    }
    const [first] = spots;
    return spots.length === 1 && first ? `${first.pin} is placed.` : `${spots.length} pins are placed.`;
  });
}

/** The parts logged on a donor, with their ratings. */
export async function loggedParts(app: AppContext, code: string): Promise<readonly PartRecord[]> {
  const donor = await findDonor(app.db.read, code);
  return donor ? listParts(app.db.read, donor.id) : [];
}

/** Takes the pins of a part off a photo again. */
export function liftPins(app: AppContext, code: string, of: { photoId: string; ref: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'trace' }, async (edit, donor) => {
    if (!(await findPhoto(edit.tx, donor.id, of.photoId))) return refuse('photo-gone', {});
    const own = (await listPinSpots(edit.tx, [of.photoId])).filter(({ pin }) => splitPin(pin)[0] === of.ref);
    if (own.length === 0) return refuse('no-pins-placed', { ref: of.ref });
    for (const { id } of own) await edit.remove('pinSpots', id);
    return `The pins of ${of.ref} are taken off the photo.`;
  });
}

function addSpot(edit: Edit, photoId: string, { pin, x, y }: Point & { readonly pin: string }) {
  return edit.insert('pinSpots', { photoId, pin, xShare: x, yShare: y, createdMs: edit.app.now() });
}

/**
 * Takes in a picture that was made ready from a photo of the donor. What was placed on the photo goes over to it:
 * numbered pins, pins of parts, and its pairing with the other side.
 */
export async function receivePrepared(
  app: AppContext,
  store: BlobStore,
  of: { code: string; fromId: string; bytes: Uint8Array; how: Pick<Preparation, 'corners' | 'mirror'> },
): Promise<Outcome> {
  if (!(await findDonor(app.db.read, of.code))) return refused(refusal('donor-gone', { code: of.code }));
  const received = await storePhoto(store, of.bytes);
  if (!received.ok) return refused(refusal('photo-unusable', { name: 'The picture', problem: received.problem }));
  const { hash, width, height } = received.photo;
  return run(app, { scope: 'donor', code: of.code, station: 'trace' }, async (edit, donor) => {
    const all = await listPhotos(edit.tx, donor.id);
    const source = all.find(({ photo }) => photo.id === of.fromId);
    if (!source) return refuse('photo-source-gone', {});
    if (all.some(({ photo }) => photo.hash === hash)) return refuse('photo-known', {});
    const { photo } = source;
    const id = await edit.insert('photos', {
      donorId: donor.id,
      hash,
      widthPx: width,
      heightPx: height,
      caption: [photo.caption, 'made ready'].filter((word) => word !== '').join(', '),
      side: photo.side,
      station: 'trace',
      isMirrored: photo.isMirrored !== of.how.mirror,
      createdMs: app.now(),
    });
    const { toPrepared } = preparationMaps(of.how);
    for (const { number, note, xShare, yShare } of source.pins) {
      const { x, y } = toPrepared({ x: xShare, y: yShare });
      await edit.insert('photoPins', { photoId: id, number, note, xShare: x, yShare: y, createdMs: app.now() });
    }
    for (const { pin, xShare, yShare } of await listPinSpots(edit.tx, [photo.id]))
      await addSpot(edit, id, { pin, ...toPrepared({ x: xShare, y: yShare }) });
    const isPaired = await pairAgain(edit, photo, id, toPrepared);
    return isPaired ? 'The picture was kept, paired with the other side.' : 'The picture was kept.';
  });
}

async function pairAgain(edit: Edit, photo: Photo, id: string, toPrepared: (point: Point) => Point): Promise<boolean> {
  const pair = await pairOf(edit.tx, photo.id);
  if (!pair) return false;
  const isFront = pair.frontId === photo.id;
  const matches = pair.matches.map(({ front, back }): Match =>
    isFront ? { front: toPrepared(front), back } : { front, back: toPrepared(back) },
  );
  await edit.remove('photoPairs', pair.id);
  await edit.insert('photoPairs', {
    frontId: isFront ? id : pair.frontId,
    backId: isFront ? pair.backId : id,
    matches,
    createdMs: edit.app.now(),
  });
  return true;
}
