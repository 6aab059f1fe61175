/** Plain geometry of a schematic; lengths in drawing units, ten to a routing step, y downwards. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export type Side = 'left' | 'right' | 'top' | 'bottom';

export interface SymbolPin extends Point {
  readonly pin: string;
  readonly side: Side;
}

/** Something to draw, in the symbol's own coordinates: an SVG path, or a word. */
export type Shape =
  | { readonly path: string; readonly isFilled?: boolean; readonly isHeavy?: boolean }
  | { readonly text: string; readonly at: Point; readonly anchor: 'start' | 'middle' | 'end' };

export interface PartSymbol {
  readonly pins: readonly SymbolPin[];
  readonly shapes: readonly Shape[];
  /** The body without its leads. */
  readonly body: Box;
  /** Where reference and value stand: beside or over the body, or within a box that has room. */
  readonly captionAt: 'right' | 'left' | 'above' | 'inside';
}

/** A line of a caption: the reference first, what is known of the part below. */
export interface CaptionLine extends Point {
  readonly text: string;
}

export interface PlacedSymbol {
  readonly ref: string;
  readonly symbol: PartSymbol;
  /** Where the symbol's own origin lies. */
  readonly at: Point;
  /** Lines in the symbol's own coordinates. */
  readonly caption: { readonly anchor: 'start' | 'middle' | 'end'; readonly lines: readonly CaptionLine[] };
  readonly isPower: boolean;
  readonly side: string;
  /** It stands for parts that are folded into one box. */
  readonly isBlock?: true;
}

export interface Wire {
  readonly net: number;
  readonly points: readonly Point[];
  readonly isPower: boolean;
  /** A lead of which nobody knows yet where it goes. */
  readonly isOpen?: true;
}

export interface NetLabel {
  readonly net: number;
  readonly text: string;
  readonly at: Point;
  readonly side: Side;
  /** A name, the sign of a supply, of a return, or a pin that is not traced yet. */
  readonly kind: 'name' | 'supply' | 'ground' | 'isolated-ground' | 'open';
  /** Words over or under the lead are moved by so much, where there is no room else. */
  readonly nudge?: Point;
  /** Pins that hang on this and on no wire. */
  readonly pins: readonly string[];
}

export interface Schematic {
  readonly width: number;
  readonly height: number;
  readonly symbols: readonly PlacedSymbol[];
  readonly wires: readonly Wire[];
  readonly labels: readonly NetLabel[];
  /** Points where wires of one net meet. */
  readonly dots: readonly (Point & { readonly net: number })[];
  /** Where the barrier runs, as a vertical gap; missing when nothing is isolated. */
  readonly barrier?: { readonly x: number; readonly width: number };
  readonly title: string;
}

/** A line that power runs along: at which level, from where to where. */
export interface Rail {
  readonly net: number;
  readonly level: number;
  readonly from: number;
  readonly to: number;
}

/** Where parts stood, how they were drawn and in what role, so that a later drawing keeps what it can. */
export interface Places {
  readonly parts: Readonly<
    Record<string, { readonly x: number; readonly y: number; readonly look: number; readonly role: string }>
  >;
  /** Levels of lines by a pin that is on them. */
  readonly rails: readonly (Omit<Rail, 'net'> & { readonly pin: string })[];
  readonly barrier?: number;
}

/** Before anything was drawn. */
export const NO_PLACES: Places = { parts: {}, rails: [] };
