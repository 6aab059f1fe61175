import { cropAround, type Crop } from '../../../core/photo';
import type { Bench } from '../../../db/context';
import type { Queryable } from '../../../db/client';
import { findLot, type LotRow } from '../../../db/repositories/lotSearch';
import { sightOfPart } from '../../../db/repositories/photos';
import { photoProblemText, storePhoto } from '../../../server/photos';
import type { FormOutcome } from '../../../ui/form/outcome';
import { change } from './moves';
import { gone } from './commands';

/** Width over height of the picture on a lot's page. */
export const LOT_PICTURE_SHAPE = 4 / 3;

/** What a lot looks like: its own photo, or the part on the board it came from. */
export interface LotPicture {
  readonly url: string;
  readonly says: string;
  /** The part of the picture that shows it; all of its own photo. */
  readonly crop: Crop | null;
}

/** The picture of a lot, if anybody took one of it or of its board with its pins placed. */
export async function lotPicture(db: Queryable, { lot, donorCode, partRef }: LotRow): Promise<LotPicture | null> {
  if (lot.photoHash) return { url: `/photos/${lot.photoHash}/medium`, says: `lot ${lot.code}`, crop: null };
  if (!lot.donorId || !partRef) return null;
  const sight = await sightOfPart(db, { donorId: lot.donorId, ref: partRef });
  if (!sight) return null;
  const { photo, spots } = sight;
  return {
    url: `/photos/${photo.hash}/medium`,
    says: `${partRef} on the board of ${donorCode ?? ''}`,
    crop: cropAround(spots, { width: photo.widthPx, height: photo.heightPx }, LOT_PICTURE_SHAPE),
  };
}

/** Takes a photo of a lot in, in place of the one it had. */
export async function photographLot(
  bench: Bench,
  folder: string,
  of: { code: string; name: string; bytes: Uint8Array },
): Promise<FormOutcome> {
  const found = await findLot(bench.db.read, of.code);
  if (!found) return gone(of.code);
  const received = await storePhoto(folder, of.bytes);
  if (!received.ok) return { ok: false, problems: [{ message: photoProblemText(of.name, received.problem) }] };
  return change(bench, async (edit) => {
    await edit.update('lots', found.lot.id, { photoHash: received.photo.hash });
    return `${found.lot.code} has a photo.`;
  });
}
