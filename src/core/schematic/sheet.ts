import type { BoardPart } from '../board';
import { captionBox, captionOf } from './caption';
import type { Circuit } from './circuit';
import { symbolsOf } from './symbols';
import type { Box, PartSymbol, Point, Side } from './types';

export const STEP = 10;

export interface Stood {
  readonly part: BoardPart;
  readonly symbol: PartSymbol;
  readonly look: number;
  readonly at: Point;
}

/** A pin where it stands on the sheet. */
export interface PinAt extends Point {
  readonly part: BoardPart;
  readonly pin: string;
  readonly side: Side;
}

export const AWAY: Readonly<Record<Side, Point>> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  top: { x: 0, y: -1 },
  bottom: { x: 0, y: 1 },
};

/** Room round a body that no other symbol takes. */
const ROOM = 10;
/** A pin keeps so much free in front of it. */
const BEFORE_PIN = 20;

/** The sheet while parts are set on it: what stands where, which cells are taken, and where the pins of a net are. */
export class Sheet {
  readonly stood = new Map<string, Stood>();
  /** How many symbols take each cell. */
  private readonly cells = new Uint8Array(COLUMNS * ROWS);
  private readonly pins = new Map<number, PinAt[]>();
  private readonly looks = new Map<string, readonly PartSymbol[]>();
  private readonly rooms = new Map<BoardPart, Map<PartSymbol, readonly Box[]>>();
  constructor(private readonly circuit: Circuit) {}

  looksOf(part: BoardPart): readonly PartSymbol[] {
    const known = this.looks.get(part.ref);
    if (known) return known;
    const looks = symbolsOf(part, this.circuit.symbols);
    this.looks.set(part.ref, looks);
    return looks;
  }

  /** Boxes that a symbol with its words takes, in its own coordinates. */
  private roomOf(part: BoardPart, symbol: PartSymbol): readonly Box[] {
    const own = this.rooms.get(part) ?? new Map<PartSymbol, readonly Box[]>();
    this.rooms.set(part, own);
    const known = own.get(symbol);
    if (known) return known;
    const { left, top, right, bottom } = symbol.body;
    const boxes: Box[] = [{ left: left - ROOM, top: top - ROOM, right: right + ROOM, bottom: bottom + ROOM }];
    for (const { x, y, side } of symbol.pins) {
      const { x: dx, y: dy } = AWAY[side];
      boxes.push({
        left: Math.min(x, x + dx * BEFORE_PIN) - 4,
        right: Math.max(x, x + dx * BEFORE_PIN) + 4,
        top: Math.min(y, y + dy * BEFORE_PIN) - 4,
        bottom: Math.max(y, y + dy * BEFORE_PIN) + 4,
      });
    }
    if (symbol.captionAt !== 'inside') boxes.push(captionBox(captionOf(part, symbol)));
    own.set(symbol, boxes);
    return boxes;
  }

  /** Whether a symbol has room there. */
  fits(part: BoardPart, symbol: PartSymbol, at: Point): boolean {
    return this.eachCell(part, symbol, at, (cell) => this.cells[cell] === 0);
  }

  private eachCell(part: BoardPart, symbol: PartSymbol, at: Point, ask: (cell: number) => boolean): boolean {
    for (const { left, top, right, bottom } of this.roomOf(part, symbol)) {
      const lastColumn = Math.floor((at.x + right) / STEP);
      const lastRow = Math.floor((at.y + bottom) / STEP);
      for (let row = Math.floor((at.y + top) / STEP); row <= lastRow; row += 1)
        for (let column = Math.floor((at.x + left) / STEP); column <= lastColumn; column += 1)
          if (!ask(cellAt(column, row))) return false;
    }
    return true;
  }

  isTaken(x: number, y: number): boolean {
    return this.cells[cellAt(Math.floor(x / STEP), Math.floor(y / STEP))] !== 0;
  }

  put(part: BoardPart, look: number, at: Point): void {
    const symbol = this.looksOf(part)[look];
    if (!symbol) throw new Error(`${part.ref} has no look ${look}`);
    this.stood.set(part.ref, { part, symbol, look, at });
    this.eachCell(part, symbol, at, (cell) => {
      this.cells[cell] = (this.cells[cell] ?? 0) + 1;
      return true;
    });
    for (const { pin, x, y, side } of symbol.pins) {
      const net = this.circuit.netOf(part.ref, pin);
      const on = this.pins.get(net) ?? [];
      on.push({ part, pin, side, x: at.x + x, y: at.y + y });
      this.pins.set(net, on);
    }
  }

  lift(ref: string): Stood | undefined {
    const stood = this.stood.get(ref);
    if (!stood) return undefined;
    this.stood.delete(ref);
    this.eachCell(stood.part, stood.symbol, stood.at, (cell) => {
      this.cells[cell] = Math.max(0, (this.cells[cell] ?? 1) - 1);
      return true;
    });
    for (const { pin } of stood.symbol.pins) {
      const net = this.circuit.netOf(ref, pin);
      this.pins.set(
        net,
        (this.pins.get(net) ?? []).filter((one) => one.part !== stood.part),
      );
    }
    return stood;
  }

  /** Pins of a net that stand. */
  standing(net: number): readonly PinAt[] {
    return this.pins.get(net) ?? [];
  }

  /** The box of all that stands, words included. */
  bounds(): Box {
    const boxes = [...this.stood.values()].flatMap(({ part, symbol, at }) =>
      this.roomOf(part, symbol).map(({ left, top, right, bottom }) => ({
        left: left + at.x,
        right: right + at.x,
        top: top + at.y,
        bottom: bottom + at.y,
      })),
    );
    return {
      left: Math.min(0, ...boxes.map(({ left }) => left)),
      top: Math.min(0, ...boxes.map(({ top }) => top)),
      right: Math.max(0, ...boxes.map(({ right }) => right)),
      bottom: Math.max(0, ...boxes.map(({ bottom }) => bottom)),
    };
  }
}

/** The sheet reaches so many cells to the right and down, and so many to the left and up. */
const COLUMNS = 1024;
const ROWS = 640;
const BEFORE = 96;
const clamp = (value: number, most: number) => Math.min(most - 1, Math.max(0, value + BEFORE));
const cellAt = (column: number, row: number) => clamp(row, ROWS) * COLUMNS + clamp(column, COLUMNS);
