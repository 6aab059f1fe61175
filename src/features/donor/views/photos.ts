import { mapPoint, pairPhotos, type Match, type Point } from '../../../core/photo';
import { STATION_LABEL, type StationName } from '../../../core/station';
import { bench, databaseUrl } from '../../../db/bench';
import type { Donor } from '../../../db/repositories/donors';
import { knowsPhotoHash, listPhotos, pairOf, type Photo, type PhotoWithPins } from '../../../db/repositories/photos';
import { PHOTO_SIZES, photoFile, photosFolder, type PhotoSize } from '../../../server/photos';
import type { FormOutcome } from '../../../ui/form/outcome';
import { receivePhoto } from '../usecases/photos';
import { dayOf } from './words';

/** A photo in a row of small ones. */
export interface PhotoThumb {
  readonly id: string;
  readonly href: string;
  readonly small: string;
  readonly says: string;
  readonly pins: number;
}

const SIDE_WORD = { front: 'front', back: 'back', inside: 'inside of the case', label: 'label', '': '' } as const;

/** The photos of a donor, small. */
export async function photoStrip(donor: Donor): Promise<PhotoThumb[]> {
  return (await listPhotos(bench().db.read, donor.id)).map((entry) => thumb(donor.code, entry));
}

function thumb(code: string, { photo, pins }: PhotoWithPins): PhotoThumb {
  return {
    id: photo.id,
    href: `/donors/${code}/photos/${photo.id}`,
    small: pictureUrl(photo, 'small'),
    says: captionOf(photo),
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
  readonly says: string;
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
    readonly says: string;
    readonly side: string;
  }[];
  /** The paired other side: its picture, its pins, and three matching spots from which the map follows. */
  readonly pair: {
    readonly id: string;
    readonly medium: string;
    readonly says: string;
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
  const { db, now } = bench();
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
    says: captionOf(photo),
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
        says: captionOf(other.photo),
        side: other.photo.side,
      })),
    pair: await pairView(entry, all),
  };
}

async function pairView(entry: PhotoWithPins, all: readonly PhotoWithPins[]): Promise<PhotoPageView['pair']> {
  const { photo } = entry;
  const pair = await pairOf(bench().db.read, photo.id);
  const isFront = pair?.frontId === photo.id;
  const other = all.find((candidate) => candidate.photo.id === (isFront ? pair?.backId : pair?.frontId));
  if (!pair || !other) return null;
  const size = ({ widthPx, heightPx }: Photo) => ({ width: widthPx, height: heightPx });
  const [front, back] = isFront ? [photo, other.photo] : [other.photo, photo];
  const paired = pairPhotos(pair.matches as [Match, Match, Match], { front: size(front), back: size(back) });
  const there = paired.ok ? (isFront ? paired.pairing.toBack : paired.pairing.toFront) : undefined;
  return {
    id: other.photo.id,
    medium: pictureUrl(other.photo, 'medium'),
    says: captionOf(other.photo),
    pins: pinsOf(other),
    width: other.photo.widthPx,
    height: other.photo.heightPx,
    isFront,
    matches: pair.matches,
    mapped: there
      ? pinsOf(entry).map((pin) => ({ ...pin, ...mapPoint(there, pin, size(photo), size(other.photo)) }))
      : [],
  };
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
  return receivePhoto(bench(), photosFolder(databaseUrl()), of);
}

/** Where a known picture lies, or nothing when it is none of ours. */
export async function pictureFile(hash: string, size: string): Promise<string | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash) || !Object.hasOwn(PHOTO_SIZES, size)) return undefined;
  if (!(await knowsPhotoHash(bench().db.read, hash))) return undefined;
  return photoFile(photosFolder(databaseUrl()), hash, size as PhotoSize);
}
