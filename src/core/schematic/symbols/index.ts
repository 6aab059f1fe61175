import type { BoardPart } from '../../board';
import type { PartSymbol } from '../types';
import { chipSymbol, connectorSymbol, type ChipSides } from './boxes';
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
      const isEntering = context.isEntering(part);
      const isLine = Object.keys(part.pins).length < 3;
      return [connectorSymbol(part, isEntering ? 'right' : 'left', isEntering && isLine ? PITCH.line : PITCH.other)];
    }
    case 'dual-diode':
      return dualDiodeSymbols(part) ?? chip(part, context);
    default:
      return twoPinSymbols(part) ?? transistorSymbols(part) ?? chip(part, context);
  }
}

function chip(part: BoardPart, context: SymbolContext): readonly PartSymbol[] {
  const symbol = chipSymbol(context.sidesOf(part), (pin) => context.pinNameOf(part, pin));
  const middle = (symbol.body.left + symbol.body.right) / 2;
  return [symbol, turned(symbol, mirrored(middle))];
}
