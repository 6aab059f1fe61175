import type { Photo, PhotoPin, PhotoPair, PinSpot } from '../../core/photo';
import { and, eq, inArray, isNull, or } from 'drizzle-orm';
import type { Queryable } from '../client';
import { donors, lots, photoPairs, photoPins, photos, pinSpots } from '../schema';
import { begins } from './text';

export interface PhotoWithPins {
  readonly photo: Photo;
  readonly pins: readonly PhotoPin[];
}

/** The photos of a donor in the order they were taken in, with their pins. */
export async function listPhotos(db: Queryable, donorId: string): Promise<PhotoWithPins[]> {
  const rows = await db
    .select()
    .from(photos)
    .where(and(eq(photos.donorId, donorId), isNull(photos.deletedMs)))
    .orderBy(photos.createdMs, photos.id);
  const pins = rows.length
    ? await db
        .select()
        .from(photoPins)
        .where(
          and(
            inArray(
              photoPins.photoId,
              rows.map(({ id }) => id),
            ),
            isNull(photoPins.deletedMs),
          ),
        )
        .orderBy(photoPins.number)
    : [];
  return rows.map((photo) => ({ photo, pins: pins.filter(({ photoId }) => photoId === photo.id) }));
}

/** A photo of a donor. */
export async function findPhoto(db: Queryable, donorId: string, id: string): Promise<Photo | undefined> {
  const [row] = await db
    .select()
    .from(photos)
    .where(and(eq(photos.id, id), eq(photos.donorId, donorId), isNull(photos.deletedMs)));
  return row;
}

/** The pairing that a photo takes part in. */
export async function pairOf(db: Queryable, photoId: string): Promise<PhotoPair | undefined> {
  const [row] = await db
    .select()
    .from(photoPairs)
    .where(and(or(eq(photoPairs.frontId, photoId), eq(photoPairs.backId, photoId)), isNull(photoPairs.deletedMs)));
  return row;
}

/** Whether any donor or lot has a picture of this content, deleted or not. */
export async function knowsPhotoHash(db: Queryable, hash: string): Promise<boolean> {
  const [row] = await db
    .select({ id: photos.id })
    .from(photos)
    .innerJoin(donors, eq(donors.id, photos.donorId))
    .where(eq(photos.hash, hash))
    .limit(1);
  if (row) return true;
  const [lot] = await db.select({ id: lots.id }).from(lots).where(eq(lots.photoHash, hash)).limit(1);
  return lot !== undefined;
}

/** The photo of a donor on which most pins of a part are seen, with where; none when none is. */
export async function sightOfPart(
  db: Queryable,
  of: { donorId: string; ref: string },
): Promise<{ photo: Photo; spots: readonly { x: number; y: number }[] } | undefined> {
  const rows = await db
    .select({ photo: photos, x: pinSpots.xShare, y: pinSpots.yShare })
    .from(pinSpots)
    .innerJoin(photos, eq(photos.id, pinSpots.photoId))
    .where(
      and(
        eq(photos.donorId, of.donorId),
        begins(pinSpots.pin, `${of.ref}.`),
        isNull(pinSpots.deletedMs),
        isNull(photos.deletedMs),
      ),
    );
  const sights = [...new Map(rows.map(({ photo }) => [photo.id, photo])).values()].map((photo) => ({
    photo,
    spots: rows.filter((row) => row.photo.id === photo.id).map(({ x, y }) => ({ x, y })),
  }));
  return sights.sort((one, other) => other.spots.length - one.spots.length)[0];
}

/** Where pins of parts are seen on photos. */
export async function listPinSpots(db: Queryable, photoIds: readonly string[]): Promise<PinSpot[]> {
  if (photoIds.length === 0) return [];
  return db
    .select()
    .from(pinSpots)
    .where(and(inArray(pinSpots.photoId, [...photoIds]), isNull(pinSpots.deletedMs)))
    .orderBy(pinSpots.id);
}
