import { and, eq, inArray, isNull, or } from 'drizzle-orm';
import type { Queryable } from '../client';
import { donors, photoPairs, photoPins, photos, pinSpots } from '../schema';

export type Photo = typeof photos.$inferSelect;
export type PhotoPin = typeof photoPins.$inferSelect;
export type PhotoPair = typeof photoPairs.$inferSelect;
export type PinSpot = typeof pinSpots.$inferSelect;

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

/** Whether any donor has a picture of this content, put away or not. */
export async function knowsPhotoHash(db: Queryable, hash: string): Promise<boolean> {
  const [row] = await db
    .select({ id: photos.id })
    .from(photos)
    .innerJoin(donors, eq(donors.id, photos.donorId))
    .where(eq(photos.hash, hash))
    .limit(1);
  return row !== undefined;
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
