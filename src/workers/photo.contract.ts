import type { Picture, Preparation } from '../core/photo';

/** A picture to be made ready for tracing. */
export interface PhotoQuestion {
  readonly picture: Picture;
  readonly preparation: Preparation;
}

/** How far it is, or the picture made ready. */
export type PhotoAnswer = { readonly share: number } | { readonly picture: Picture };
