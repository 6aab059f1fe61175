import type { StationName } from '../station';
import type { Match } from './pairing';

/** What a photo shows; empty when nobody said. */
export type PhotoSide = 'front' | 'back' | 'inside' | 'label' | '';

/** A photo of a donor. The pictures lie beside the database under their content's hash. */
export interface Photo {
  readonly id: string;
  readonly donorId: string;
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly caption: string;
  readonly station: StationName;
  readonly side: PhotoSide;
  /** Left and right have changed places, as when a back is shown the way the front lies. */
  readonly isMirrored: boolean;
  readonly createdMs: number;
}

/** A numbered pin on a photo, at shares of its width and height. */
export interface PhotoPin {
  readonly id: string;
  readonly photoId: string;
  readonly number: number;
  readonly xShare: number;
  readonly yShare: number;
  readonly note: string;
  readonly createdMs: number;
}

/** Where a pin of a part, such as `Q1.D`, is seen on a photo, at shares of its width and height. */
export interface PinSpot {
  readonly id: string;
  readonly photoId: string;
  readonly pin: string;
  readonly xShare: number;
  readonly yShare: number;
  readonly createdMs: number;
}

/** Front and back of a board, paired by three spots. */
export interface PhotoPair {
  readonly id: string;
  readonly frontId: string;
  readonly backId: string;
  readonly matches: Match[];
  readonly createdMs: number;
}
