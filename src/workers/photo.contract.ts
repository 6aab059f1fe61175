import type { Picture, Preparation } from '../core/photo';

/** A picture to be made ready for tracing. */
export interface PhotoQuestion {
  readonly picture: Picture;
  readonly preparation: Preparation;
}

/** A picture made ready, as pixels to be shown and as a file to be kept. */
export interface PreparedPhoto {
  readonly picture: Picture;
  readonly file: Blob;
}

/** How far it is, or what came of it. */
export type PhotoAnswer = { readonly share: number } | PreparedPhoto;
