import { pairPhotos, type Match, type Photo } from '../../../core/photo';
import type { StationName } from '../../../core/station';
import type { AppContext } from '../../../db/context';
import { findDonor } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { findPhoto, listPhotos, pairOf } from '../../../db/repositories/photos';
import type { BlobStore } from '../../../server/blobs';
import { storePhoto } from '../../../services/attachments';
import { refusal, refuse, refused, run, type Outcome } from '../../../services/command';
import { routes } from '../../../routes';

/** Takes one file in: its pictures go into the folder, and the photo onto the donor. */
export async function receivePhoto(
  app: AppContext,
  store: BlobStore,
  of: { code: string; station: StationName; name: string; bytes: Uint8Array } & Partial<
    Pick<Photo, 'caption' | 'side'>
  >,
): Promise<Outcome> {
  if (!(await findDonor(app.db.read, of.code))) return refused(refusal('donor-gone', { code: of.code }));
  const received = await storePhoto(store, of.bytes);
  if (!received.ok) return refused(refusal('photo-unusable', { name: of.name, problem: received.problem }));
  const { caption = '', side = '' } = of;
  const stored = received.photo;
  return run(app, { scope: 'donor', code: of.code, station: of.station }, async (edit, donor) => {
    const present = (await listPhotos(edit.tx, donor.id)).find(({ photo }) => photo.hash === stored.hash);
    if (present) return refuse('photo-known', {});
    await edit.insert('photos', {
      donorId: donor.id,
      hash: stored.hash,
      widthPx: stored.width,
      heightPx: stored.height,
      caption,
      side,
      station: of.station,
      createdMs: app.now(),
    });
    return 'A photo was added.';
  });
}

/** Changes what is written under a photo. */
export function amendPhoto(
  app: AppContext,
  of: { code: string; photoId: string },
  form: Pick<Photo, 'caption' | 'station' | 'side'>,
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: form.station }, async (edit) => {
    await edit.update('photos', (await photoOf(edit, of.photoId)).id, form);
    return 'The caption was changed.';
  });
}

/** Deletes a photo of the donor, with its pairing; it can be undone. */
export function removePhoto(app: AppContext, of: { code: string; photoId: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'intake' }, async (edit) => {
    const photo = await photoOf(edit, of.photoId);
    const pair = await pairOf(edit.tx, photo.id);
    if (pair) await edit.remove('photoPairs', pair.id);
    await edit.remove('photos', photo.id);
    return { message: 'A photo was deleted.', value: undefined, goto: routes.photos(of.code) };
  });
}

/** Puts a numbered pin on a photo. */
export function addPin(
  app: AppContext,
  code: string,
  pin: { photoId: string; x: number; y: number; note: string },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'intake' }, async (edit, donor) => {
    const photo = await photoOf(edit, pin.photoId);
    const entry = (await listPhotos(edit.tx, donor.id)).find((other) => other.photo.id === photo.id);
    const number = Math.max(0, ...(entry?.pins ?? []).map((other) => other.number)) + 1;
    await edit.insert('photoPins', {
      photoId: photo.id,
      number,
      xShare: pin.x,
      yShare: pin.y,
      note: pin.note,
      createdMs: app.now(),
    });
    return `Pin ${number}${pin.note === '' ? '' : `: ${pin.note}`}.`;
  });
}

/** Deletes a pin of a photo. */
export function removePin(app: AppContext, of: { code: string; pinId: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'intake' }, async (edit, donor) => {
    const photos = await listPhotos(edit.tx, donor.id);
    if (!photos.some(({ pins }) => pins.some(({ id }) => id === of.pinId))) return refuse('row-gone', {});
    await edit.remove('photoPins', of.pinId);
    return 'A pin was deleted.';
  });
}

/** Pairs the front and the back of a board by three spots that show on both. */
export function pairSides(
  app: AppContext,
  code: string,
  form: { frontId: string; backId: string; matches: readonly Match[] },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'trace' }, async (edit) => {
    const [front, back] = [await photoOf(edit, form.frontId), await photoOf(edit, form.backId)];
    if (front.id === back.id) return refuse('photo-own-side', {});
    const paired = pairPhotos(
      form.matches as [Match, Match, Match],
      {
        front: { width: front.widthPx, height: front.heightPx },
        back: { width: back.widthPx, height: back.heightPx },
      },
      front.isMirrored !== back.isMirrored,
    );
    if (!paired.ok) return refuse('pairing-impossible', { problem: paired.problem });
    for (const photo of [front, back]) {
      const earlier = await pairOf(edit.tx, photo.id);
      if (earlier) await edit.remove('photoPairs', earlier.id);
    }
    await edit.insert('photoPairs', {
      frontId: front.id,
      backId: back.id,
      matches: [...form.matches],
      createdMs: app.now(),
    });
    if (front.side === '') await edit.update('photos', front.id, { side: 'front' });
    if (back.side === '') await edit.update('photos', back.id, { side: 'back' });
    return 'Front and back are paired.';
  });
}

async function photoOf(edit: Edit, id: string): Promise<Photo> {
  return (await findPhoto(edit.tx, edit.donorId, id)) ?? refuse('photo-gone', {});
}

/** Ids of a donor's photos in the order they were added. */
export async function photoIds(app: AppContext, code: string): Promise<string[]> {
  const donor = await findDonor(app.db.read, code);
  return donor ? (await listPhotos(app.db.read, donor.id)).map(({ photo }) => photo.id) : [];
}
