import 'server-only';
import { mapPoint, pairPhotos, type Affine, type Match, type Point } from '../../../core/photo';
import { STATION_LABEL, type StationName } from '../../../core/station';
import { appContext, databaseUrl } from '../../../db/context';
import type { Donor } from '../../../db/repositories/donors';
import {
  knowsPhotoHash,
  listPhotos,
  listPinSpots,
  pairOf,
  type Photo,
  type PhotoWithPins,
} from '../../../db/repositories/photos';
import { PHOTO_SIZES, photoFile, photosFolder, type PhotoSize } from '../../../server/photos';
import type { FormOutcome } from '../../../ui/form/outcome';
import { receivePrepared } from './boardPhotos';
import { receivePhoto } from './commands';
import { dayOf } from '../shared/words';

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
export async function photoStrip(donor: Donor): Promise<PhotoThumb[]> {
  return (await listPhotos(appContext().db.read, donor.id)).map((entry) => thumb(donor.code, entry));
}

function thumb(code: string, { photo, pins }: PhotoWithPins): PhotoThumb {
  return {
    id: photo.id,
    href: `/donors/${code}/photos/${photo.id}`,
    small: pictureUrl(photo, 'small'),
    message: captionOf(photo),
    pins: pins.length,
  };
}

const pictureUrl = ({ hash }: Pick<Photo, 'hash'>, size: PhotoSize) => `/photos/${hash}/${size}`;

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
export async function photoPage(donor: Donor, id: string): Promise<PhotoPageView | undefined> {
  const { db, now } = appContext();
  const all = await listPhotos(db.read, donor.id);
  const index = all.findIndex(({ photo }) => photo.id === id);
  const entry = all[index];
  if (!entry) return undefined;
  const { photo } = entry;
  const link = (other: PhotoWithPins | undefined) => (other ? `/donors/${donor.code}/photos/${other.photo.id}` : null);
  return {
    id: photo.id,
    medium: pictureUrl(photo, 'medium'),
    large: pictureUrl(photo, 'large'),
    width: photo.widthPx,
    height: photo.heightPx,
    caption: photo.caption,
    message: captionOf(photo),
    when: dayOf(photo.createdMs, now()),
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
    pair: await pairView(entry, all),
  };
}

async function pairView(entry: PhotoWithPins, all: readonly PhotoWithPins[]): Promise<PhotoPageView['pair']> {
  const paired = await pairedWith(
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
async function pairedWith(photo: Photo, all: readonly Photo[]) {
  const pair = await pairOf(appContext().db.read, photo.id);
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
export async function boardPhotos(donor: Donor): Promise<readonly BoardPhoto[]> {
  const db = appContext().db.read;
  const all = (await listPhotos(db, donor.id)).map(({ photo }) => photo).filter(({ side }) => side !== 'label');
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
    const { photo: other, toHere } = (await pairedWith(photo, all)) ?? {};
    const seen =
      other && toHere
        ? placedOn(other)
            .filter(({ pin }) => !own.some((spot) => spot.pin === pin))
            .map((spot) => ({ ...spot, ...toHere(spot) }))
            .filter(({ x, y }) => x >= 0 && x <= 1 && y >= 0 && y <= 1)
        : [];
    return {
      id: photo.id,
      href: `/donors/${donor.code}/photos/${photo.id}`,
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

/** Takes one uploaded file in and adds it to a donor's photos. */
export function receiveUpload(of: {
  code: string;
  station: StationName;
  name: string;
  bytes: Uint8Array;
}): Promise<FormOutcome> {
  return receivePhoto(appContext(), photosFolder(databaseUrl()), of);
}

/** Takes a picture in that was made ready from a photo of the donor. */
export function receivePreparedUpload(of: Parameters<typeof receivePrepared>[2]): Promise<FormOutcome> {
  return receivePrepared(appContext(), photosFolder(databaseUrl()), of);
}

/** Where a known picture lies, or nothing when it is none of ours. */
export async function pictureFile(hash: string, size: string): Promise<string | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash) || !Object.hasOwn(PHOTO_SIZES, size)) return undefined;
  if (!(await knowsPhotoHash(appContext().db.read, hash))) return undefined;
  return photoFile(photosFolder(databaseUrl()), hash, size as PhotoSize);
}
