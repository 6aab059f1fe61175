/** Plain geometry of a schematic; lengths in drawing units, ten to a routing step. */
export interface Point {
  readonly x: number;
  readonly y: number;
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
  readonly width: number;
  readonly height: number;
  readonly pins: readonly SymbolPin[];
  readonly shapes: readonly Shape[];
}

export type Zone = 'input' | 'power' | 'output' | 'control' | 'feedback';

export interface PlacedSymbol {
  readonly ref: string;
  readonly symbol: PartSymbol;
  /** Upper left corner of the symbol's box. */
  readonly at: Point;
  readonly value: string;
  /** Where reference and value stand. */
  readonly caption: { readonly at: Point; readonly anchor: 'start' | 'middle' };
  readonly isPower: boolean;
  readonly side: string;
}

export interface Wire {
  readonly net: number;
  readonly points: readonly Point[];
  readonly isPower: boolean;
}

export interface NetLabel {
  readonly net: number;
  readonly text: string;
  readonly at: Point;
  readonly side: Side;
  readonly kind: 'name' | 'ground' | 'isolated-ground' | 'open';
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

/** Cell of every part by its reference, so that a later drawing keeps what it can. */
export type Places = Readonly<Record<string, { readonly column: number; readonly row: number; readonly zone: string }>>;
