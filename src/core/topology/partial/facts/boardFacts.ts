import type { Board } from '../../../board';
import type { Model } from '../../model';
import type { SwitchElement } from '../../model/elements';
import { primaryLikeness } from './likeness';
import { partsListOf, type PartsList } from './partsList';
import { railFactsOf, type RailFacts } from './railFacts';

/** What is known of a whole board, for the facts of its single parts. */
export interface BoardFacts {
  readonly model: Model;
  readonly board: Board;
  readonly rails: readonly RailFacts[];
  readonly isMains: boolean;
  /** Whether it is fed with direct voltage. */
  readonly isDcFed: boolean;
  /** How likely a transistor is a power switch, from 0 to 1. */
  readonly primary: (element: SwitchElement) => number;
  readonly list: PartsList;
  /** Share of pins that are joined to another. */
  readonly traced: number;
}

export function boardFactsOf(model: Model): BoardFacts {
  const { board, elements, nets } = model;
  const parts = board.parts.filter(({ fitted }) => fitted !== false);
  const hasRole = (wanted: string) => parts.some(({ role }) => role === wanted);
  const isMains = hasRole('mains-inlet') || board.nameplate?.input?.kind === 'ac';
  const isDcFed = !isMains && (hasRole('dc-input') || board.nameplate?.input?.kind === 'dc');
  const rails = railFactsOf(model, isMains);
  const primary = primaryLikeness(rails, isMains, isDcFed);
  const pins = parts.flatMap(({ ref, pins: own }) => Object.keys(own).map((pin) => `${ref}.${pin}`));
  const joined = pins.filter((pin) => (nets.pins[nets.of(pin)]?.length ?? 0) > 1);
  return {
    model,
    board,
    rails,
    isMains,
    isDcFed,
    primary,
    list: partsListOf(board, elements.switches, primary),
    traced: joined.length / Math.max(1, pins.length),
  };
}
