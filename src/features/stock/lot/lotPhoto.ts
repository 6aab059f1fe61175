import { routes } from '../../../routes';
import { cropAround, type Crop } from '../../../core/photo';
import type { AppContext } from '../../../db/context';
import type { Queryable } from '../../../db/client';
import { findLot, type LotRow } from '../../../db/repositories/lotSearch';
import { sightOfPart } from '../../../db/repositories/photos';
import type { BlobStore } from '../../../server/blobs';
import { storePhoto } from '../../../services/attachments';
import { refusal, refused, run, type Outcome } from '../../../services/command';
import { knownLot } from './moves';

/** Width over height of the picture on a lot's page. */
export const LOT_PICTURE_SHAPE = 4 / 3;

/** What a lot looks like: its own photo, or the part on the board it came from. */
export interface LotPicture {
  readonly url: string;
  readonly message: string;
  /** The part of the picture that shows it; all of its own photo. */
  readonly crop: Crop | null;
}

/** The picture of a lot, if anybody took one of it or of its board with its pins placed. */
export async function lotPicture(db: Queryable, { lot, donorCode, partRef }: LotRow): Promise<LotPicture | null> {
  if (lot.photoHash) return { url: routes.picture(lot.photoHash, 'medium'), message: `lot ${lot.code}`, crop: null };
  if (!lot.donorId || !partRef) return null;
  const sight = await sightOfPart(db, { donorId: lot.donorId, ref: partRef });
  if (!sight) return null;
  const { photo, spots } = sight;
  return {
    url: routes.picture(photo.hash, 'medium'),
    message: `${partRef} on the board of ${donorCode ?? ''}`,
    crop: cropAround(spots, { width: photo.widthPx, height: photo.heightPx }, LOT_PICTURE_SHAPE),
  };
}

/** Takes a photo of a lot in, in place of the one it had. */
export async function photographLot(
  app: AppContext,
  store: BlobStore,
  of: { code: string; name: string; bytes: Uint8Array },
): Promise<Outcome> {
  if (!(await findLot(app.db.read, of.code))) return refused(refusal('lot-gone', { code: of.code }));
  const received = await storePhoto(store, of.bytes);
  if (!received.ok) return refused(refusal('photo-unusable', { name: of.name, problem: received.problem }));
  return run(app, { scope: 'stock' }, async (edit) => {
    const { lot } = await knownLot(edit, of.code);
    await edit.update('lots', lot.id, { photoHash: received.photo.hash });
    return `${lot.code} has a photo.`;
  });
}
