import 'server-only';
import { mapPoint, pairPhotos, type Affine, type Match, type Point, type Photo } from '../../../core/photo';
import { STATION_LABEL, type StationName } from '../../../core/station';
import { listPinSpots, pairOf, type PhotoWithPins } from '../../../db/repositories/photos';
import type { PhotoSize } from '../../../services/attachments';
import { dayOf } from '../../../ui/value/moments';
import type { Dossier } from '../../../services/dossier';
import type { Queryable } from '../../../db/client';
import { routes } from '../../../routes';

/** A photo in a row of small ones. */
export interface PhotoThumb {
  readonly id: string;
  readonly href: string;
  readonly small: string;
  readonly message: string;
  readonly pins: number;
}

const SIDE_WORD = { front: 'front', back: 'back', inside: 'inside of the case', label: 'label', '': '' } as const;

/** The photos of a donor, small. */
export async function photoStrip(dossier: Dossier): Promise<PhotoThumb[]> {
  return (await dossier.photos()).map((entry) => thumb(dossier.donor.code, entry));
}

function thumb(code: string, { photo, pins }: PhotoWithPins): PhotoThumb {
  return {
    id: photo.id,
    href: routes.photo(code, photo.id),
    small: pictureUrl(photo, 'small'),
    message: captionOf(photo),
    pins: pins.length,
  };
}

const pictureUrl = ({ hash }: Pick<Photo, 'hash'>, size: PhotoSize) => routes.picture(hash, size);

function captionOf({ caption, side, station }: Photo): string {
  return [caption, SIDE_WORD[side]].filter((word) => word !== '').join(', ') || STATION_LABEL[station];
}

export interface PinView extends Point {
  readonly id: string;
  readonly number: number;
  readonly note: string;
}

/** One photo in full, with its pins, its neighbours and its other side. */
export interface PhotoPageView {
  readonly id: string;
  readonly medium: string;
  readonly large: string;
  readonly width: number;
  readonly height: number;
  readonly caption: string;
  readonly message: string;
  readonly when: string;
  readonly station: StationName;
  readonly side: Photo['side'];
  readonly pins: readonly PinView[];
  readonly previous: string | null;
  readonly next: string | null;
  /** Other photos of the donor, for pairing. */
  readonly others: readonly {
    readonly id: string;
    readonly medium: string;
    readonly message: string;
    readonly side: string;
  }[];
  /** The paired other side: its picture, its pins, and three matching spots from which the map follows. */
  readonly pair: {
    readonly id: string;
    readonly medium: string;
    readonly message: string;
    readonly pins: readonly PinView[];
    readonly width: number;
    readonly height: number;
    /** Whether this photo is the front of the two. */
    readonly isFront: boolean;
    readonly matches: readonly Match[];
    /** Pins of this photo where they come to lie on the other. */
    readonly mapped: readonly PinView[];
  } | null;
}

/** The page of one photo. */
export async function photoPage(dossier: Dossier, id: string): Promise<PhotoPageView | undefined> {
  const { donor, now } = dossier;
  const all = await dossier.photos();
  const index = all.findIndex(({ photo }) => photo.id === id);
  const entry = all[index];
  if (!entry) return undefined;
  const { photo } = entry;
  const link = (other: PhotoWithPins | undefined) => (other ? routes.photo(donor.code, other.photo.id) : null);
  return {
    id: photo.id,
    medium: pictureUrl(photo, 'medium'),
    large: pictureUrl(photo, 'large'),
    width: photo.widthPx,
    height: photo.heightPx,
    caption: photo.caption,
    message: captionOf(photo),
    when: dayOf(photo.createdMs, now),
    station: photo.station,
    side: photo.side,
    pins: pinsOf(entry),
    previous: link(all[index - 1]),
    next: link(all[index + 1]),
    others: all
      .filter((other) => other.photo.id !== id)
      .map((other) => ({
        id: other.photo.id,
        medium: pictureUrl(other.photo, 'medium'),
        message: captionOf(other.photo),
        side: other.photo.side,
      })),
    pair: await pairView(dossier.db, entry, all),
  };
}

async function pairView(
  db: Queryable,
  entry: PhotoWithPins,
  all: readonly PhotoWithPins[],
): Promise<PhotoPageView['pair']> {
  const paired = await pairedWith(
    db,
    entry.photo,
    all.map(({ photo }) => photo),
  );
  const other = all.find(({ photo }) => photo === paired?.photo);
  if (!paired || !other) return null;
  const { isFront, matches, toOther } = paired;
  return {
    id: other.photo.id,
    medium: pictureUrl(other.photo, 'medium'),
    message: captionOf(other.photo),
    pins: pinsOf(other),
    width: other.photo.widthPx,
    height: other.photo.heightPx,
    isFront,
    matches,
    mapped: toOther ? pinsOf(entry).map((pin) => ({ ...pin, ...toOther(pin) })) : [],
  };
}

/** The other side that a photo is paired with, and how the spots of one come to lie on the other. */
async function pairedWith(db: Queryable, photo: Photo, all: readonly Photo[]) {
  const pair = await pairOf(db, photo.id);
  const isFront = pair?.frontId === photo.id;
  const other = all.find(({ id }) => id === (isFront ? pair?.backId : pair?.frontId));
  if (!pair || !other) return undefined;
  const [front, back] = isFront ? [photo, other] : [other, photo];
  const sizes = { front: sizeOf(front), back: sizeOf(back) };
  const paired = pairPhotos(pair.matches as [Match, Match, Match], sizes, front.isMirrored !== back.isMirrored);
  const along = (map: Affine, from: Photo, to: Photo) => (point: Point) =>
    mapPoint(map, point, sizeOf(from), sizeOf(to));
  return {
    photo: other,
    isFront,
    matches: pair.matches,
    ...(paired.ok
      ? {
          toOther: along(isFront ? paired.pairing.toBack : paired.pairing.toFront, photo, other),
          toHere: along(isFront ? paired.pairing.toFront : paired.pairing.toBack, other, photo),
        }
      : {}),
  };
}

const sizeOf = ({ widthPx, heightPx }: Photo) => ({ width: widthPx, height: heightPx });

/** A pin of a part on a photo. */
export interface SpotView extends Point {
  readonly pin: string;
  /** Placed on this photo; else on the other side, and seen through the board. */
  readonly isOwn: boolean;
}

/** A photo of the board for tracing, with the pins that are placed on it or on its other side. */
export interface BoardPhoto {
  readonly id: string;
  readonly href: string;
  readonly medium: string;
  readonly large: string;
  readonly width: number;
  readonly height: number;
  readonly message: string;
  readonly side: Photo['side'];
  readonly spots: readonly SpotView[];
}

const SIDE_ORDER: readonly Photo['side'][] = ['front', 'back', 'inside', ''];

/** Photos that show a board, fronts first; of a picture and the one made ready from it both. */
export async function boardPhotos(dossier: Dossier): Promise<readonly BoardPhoto[]> {
  const { db, donor } = dossier;
  const all = (await dossier.photos()).map(({ photo }) => photo).filter(({ side }) => side !== 'label');
  const spots = await listPinSpots(
    db,
    all.map(({ id }) => id),
  );
  const placedOn = (photo: Photo) =>
    spots
      .filter(({ photoId }) => photoId === photo.id)
      .map(({ pin, xShare, yShare }) => ({ pin, x: xShare, y: yShare }));
  const shown = all.map(async (photo): Promise<BoardPhoto> => {
    const own = placedOn(photo);
    const { photo: other, toHere } = (await pairedWith(db, photo, all)) ?? {};
    const seen =
      other && toHere
        ? placedOn(other)
            .filter(({ pin }) => !own.some((spot) => spot.pin === pin))
            .map((spot) => ({ ...spot, ...toHere(spot) }))
            .filter(({ x, y }) => x >= 0 && x <= 1 && y >= 0 && y <= 1)
        : [];
    return {
      id: photo.id,
      href: routes.photo(donor.code, photo.id),
      medium: pictureUrl(photo, 'medium'),
      large: pictureUrl(photo, 'large'),
      width: photo.widthPx,
      height: photo.heightPx,
      message: captionOf(photo),
      side: photo.side,
      spots: [...own.map((spot) => ({ ...spot, isOwn: true })), ...seen.map((spot) => ({ ...spot, isOwn: false }))],
    };
  });
  const rank = ({ side }: BoardPhoto) => SIDE_ORDER.indexOf(side);
  return (await Promise.all(shown)).toSorted((a, b) => rank(a) - rank(b));
}

function pinsOf({ pins }: PhotoWithPins): PinView[] {
  return pins.map(({ id, number, xShare, yShare, note }) => ({ id, number, x: xShare, y: yShare, note }));
}
