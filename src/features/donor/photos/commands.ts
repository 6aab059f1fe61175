import { PAIRING_PROBLEM_TEXT, pairPhotos, type Match } from '../../../core/photo';
import type { StationName } from '../../../core/station';
import type { Bench } from '../../../db/context';
import { findDonor } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { findPhoto, listPhotos, pairOf, type Photo } from '../../../db/repositories/photos';
import { photoProblemText, storePhoto } from '../../../server/photos';
import type { FormOutcome } from '../../../ui/form/outcome';
import { editDonor, refuse } from '../../../services/command/outcome';

/** Takes one file in: its pictures go into the folder, and the photo onto the donor. */
export async function receivePhoto(
  bench: Bench,
  folder: string,
  of: { code: string; station: StationName; name: string; bytes: Uint8Array } & Partial<
    Pick<Photo, 'caption' | 'side'>
  >,
): Promise<FormOutcome> {
  if (!(await findDonor(bench.db.read, of.code)))
    return { ok: false, problems: [{ message: `There is no donor ${of.code} any more.` }] };
  const received = await storePhoto(folder, of.bytes);
  if (!received.ok) return { ok: false, problems: [{ message: photoProblemText(of.name, received.problem) }] };
  const { caption = '', side = '' } = of;
  const stored = received.photo;
  return editDonor(bench, of, async (edit, donor) => {
    const present = (await listPhotos(edit.tx, donor.id)).find(({ photo }) => photo.hash === stored.hash);
    if (present) return refuse('This picture is among the photos already.');
    await edit.insert('photos', {
      donorId: donor.id,
      hash: stored.hash,
      widthPx: stored.width,
      heightPx: stored.height,
      caption,
      side,
      station: of.station,
      createdMs: bench.now(),
    });
    return 'A photo was added.';
  });
}

/** Changes what is written under a photo. */
export function amendPhoto(
  bench: Bench,
  of: { code: string; photoId: string },
  form: Pick<Photo, 'caption' | 'station' | 'side'>,
): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: form.station }, async (edit) => {
    await edit.update('photos', (await photoOf(edit, of.photoId)).id, form);
    return 'The caption was changed.';
  });
}

/** Takes a photo off the donor, with its pairing; it can be taken back. */
export function strikePhoto(bench: Bench, of: { code: string; photoId: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'intake', goto: `/donors/${of.code}/photos` }, async (edit) => {
    const photo = await photoOf(edit, of.photoId);
    const pair = await pairOf(edit.tx, photo.id);
    if (pair) await edit.remove('photoPairs', pair.id);
    await edit.remove('photos', photo.id);
    return 'A photo was struck.';
  });
}

/** Puts a numbered pin on a photo. */
export function addPin(
  bench: Bench,
  code: string,
  pin: { photoId: string; x: number; y: number; note: string },
): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'intake' }, async (edit, donor) => {
    const photo = await photoOf(edit, pin.photoId);
    const entry = (await listPhotos(edit.tx, donor.id)).find((other) => other.photo.id === photo.id);
    const number = Math.max(0, ...(entry?.pins ?? []).map((other) => other.number)) + 1;
    await edit.insert('photoPins', {
      photoId: photo.id,
      number,
      xShare: pin.x,
      yShare: pin.y,
      note: pin.note,
      createdMs: bench.now(),
    });
    return `Pin ${number}${pin.note === '' ? '' : `: ${pin.note}`}.`;
  });
}

/** Takes a pin off a photo. */
export function strikePin(bench: Bench, of: { code: string; pinId: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'intake' }, async (edit) => {
    await edit.remove('photoPins', of.pinId);
    return 'A pin was taken off.';
  });
}

/** Pairs the front and the back of a board by three spots that show on both. */
export function pairSides(
  bench: Bench,
  code: string,
  form: { frontId: string; backId: string; matches: readonly Match[] },
): Promise<FormOutcome> {
  return editDonor(bench, { code, station: 'trace' }, async (edit) => {
    const [front, back] = [await photoOf(edit, form.frontId), await photoOf(edit, form.backId)];
    if (front.id === back.id) return refuse('A photo cannot be its own other side. Choose two photos.');
    const paired = pairPhotos(
      form.matches as [Match, Match, Match],
      {
        front: { width: front.widthPx, height: front.heightPx },
        back: { width: back.widthPx, height: back.heightPx },
      },
      front.isMirrored !== back.isMirrored,
    );
    if (!paired.ok) return refuse(PAIRING_PROBLEM_TEXT[paired.problem]);
    for (const photo of [front, back]) {
      const earlier = await pairOf(edit.tx, photo.id);
      if (earlier) await edit.remove('photoPairs', earlier.id);
    }
    await edit.insert('photoPairs', {
      frontId: front.id,
      backId: back.id,
      matches: [...form.matches],
      createdMs: bench.now(),
    });
    if (front.side === '') await edit.update('photos', front.id, { side: 'front' });
    if (back.side === '') await edit.update('photos', back.id, { side: 'back' });
    return 'Front and back are paired.';
  });
}

async function photoOf(edit: Edit, id: string): Promise<Photo> {
  return (
    (await findPhoto(edit.tx, edit.donorId, id)) ?? refuse('That photo is not among those of this donor any more.')
  );
}

/** Ids of a donor's photos in the order they were added. */
export async function photoIds(bench: Bench, code: string): Promise<string[]> {
  const donor = await findDonor(bench.db.read, code);
  return donor ? (await listPhotos(bench.db.read, donor.id)).map(({ photo }) => photo.id) : [];
}
