import type { TextColumn } from './sheet/roles';

/** A lot as a file gives it: values from JSON, or cells of a table, which are still text. */
export interface RawLot {
  readonly texts: Partial<Record<Exclude<TextColumn, 'pieces' | 'limits'>, string>>;
  readonly pieces: number | string;
  readonly limits: readonly RawLimit[] | string;
  readonly ratings: Readonly<Record<string, RawRating | string>>;
}
export type RawLimit =
  | { readonly kind: 'not-for'; readonly use: string }
  | { readonly kind: 'derated'; readonly rating: string; readonly share: number };
export interface RawRating {
  readonly value: number;
  readonly source: string;
}
