import { inletPins, isInlet, type BoardPart } from '../../board';
import type { PartSymbol } from '../types';
import { blockSymbol, chipSymbol, connectorSymbol, type ChipSides } from './boxes';
import { bridgeSymbol, dualDiodeSymbols, optocouplerSymbols } from './others';
import { transistorSymbols } from './transistors';
import { mirrored, turned } from './turn';
import { twoPinSymbols } from './twoPins';
import { commonModeChoke, transformerSymbol, woundChoke, type DrawnWinding } from './wound';

export { LOOKS, pinPair } from './twoPins';
export type { ChipSides } from './boxes';
export type { DrawnWinding } from './wound';

/** What of its surroundings decides how a part is drawn. */
export interface SymbolContext {
  /** Whether it stands for parts that are folded into one box. */
  readonly isBlock: (part: BoardPart) => boolean;
  /** Whether a transformer works as the choke of its stage. */
  readonly isChoke: (part: BoardPart) => boolean;
  readonly windingsOf: (part: BoardPart) => readonly DrawnWinding[];
  readonly sidesOf: (part: BoardPart) => ChipSides;
  readonly pinNameOf: (part: BoardPart, pin: string) => string;
  /** Connectors at the left face right, those of outputs left. */
  readonly isEntering: (part: BoardPart) => boolean;
}

/** From pin to pin of a connector: lines of an input lie as far apart as its chokes are drawn. */
const PITCH = { line: 100, other: 30 } as const;

/** The ways to draw a part, the usual one first; the place in the list is its look. */
export function symbolsOf(part: BoardPart, context: SymbolContext): readonly PartSymbol[] {
  switch (part.kind) {
    case 'transformer':
      if (context.isChoke(part)) {
        const symbol = woundChoke(context.windingsOf(part), part.dots ?? []);
        return [symbol, turned(symbol, mirrored(40))];
      }
      return [transformerSymbol(context.windingsOf(part), part.dots ?? [])];
    case 'common-mode-choke':
      return [commonModeChoke(part)];
    case 'bridge':
      return [bridgeSymbol()];
    case 'optocoupler':
      return optocouplerSymbols();
    case 'connector': {
      const names = Object.keys(part.pins);
      if (!context.isEntering(part)) return [connectorSymbol(part, names, 'left', (index) => index * PITCH.other)];
      // The two lines first, as far apart as the chokes of a filter are drawn; earth and the like below.
      const lines = linesFirst(part);
      const levelOf = (index: number) => (index < 2 ? index * PITCH.line : PITCH.line + (index - 1) * PITCH.other);
      return [connectorSymbol(part, isInlet(part) ? lines : names, 'right', levelOf)];
    }
    case 'dual-diode':
      return dualDiodeSymbols(part) ?? chip(part, context);
    default:
      return twoPinSymbols(part) ?? transistorSymbols(part) ?? chip(part, context);
  }
}

const LINE = /^(L\d?|VIN\+?|VBUS|.*\+)$/i;
const RETURN = /^(N|GND|.*-)$/i;

/** Pins of an inlet: the line or plus, then neutral or minus, then what else there is. */
export function linesFirst(part: BoardPart): readonly string[] {
  const own = new Set(inletPins(part));
  const rank = (pin: string) => (!own.has(pin) ? 3 : LINE.test(pin) ? 0 : RETURN.test(pin) ? 1 : 2);
  return Object.keys(part.pins).toSorted((a, b) => rank(a) - rank(b));
}

function chip(part: BoardPart, context: SymbolContext): readonly PartSymbol[] {
  const symbol = context.isBlock(part)
    ? blockSymbol(context.sidesOf(part), part.ref)
    : chipSymbol(context.sidesOf(part), (pin) => context.pinNameOf(part, pin));
  const middle = (symbol.body.left + symbol.body.right) / 2;
  return [symbol, turned(symbol, mirrored(middle))];
}
