import type { Board, BoardPart, Nets } from '../../board';
import { netsOf } from '../../board';
import { elementsOf, type Elements, type Winding } from './elements';
import { heldRails, type Held } from './held';
import { isReservoirPart, SERIES_RESISTOR_AT_MOST } from './parts';
import { railsOf, type Rails } from './rails';

/** A board as the recognition of topologies sees it: rails instead of nets, elements instead of parts. */
export interface Model {
  readonly board: Board;
  readonly nets: Nets;
  readonly rails: Rails;
  readonly elements: Elements;
  readonly held: Held;
}

export function modelOf(board: Board): Model {
  const nets = netsOf(board);
  const first = modelWith(board, nets, []);
  const sensing = sensingWindings(first);
  return sensing.length > 0 ? modelWith(board, nets, sensing) : first;
}

function modelWith(board: Board, nets: Nets, sensing: readonly Winding[]): Model {
  const rails = railsOf(board.parts, nets, sensing);
  const elements = elementsOf(board.parts, rails);
  return { board, nets, rails, elements, held: heldRails(board, rails, elements) };
}

/**
 * Windings of current transformers that a supply or a return passes through: one end is held, at the other there is
 * nothing but switches, and no other winding of the part charges a reservoir.
 */
function sensingWindings({ elements, held, rails }: Model): readonly Winding[] {
  const sidesOf = (part: BoardPart) => elements.windings.filter((winding) => winding.part === part);
  const behindResistor = (rail: number) =>
    rails
      .on(rail)
      .flatMap(({ part }) =>
        part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SERIES_RESISTOR_AT_MOST
          ? Object.keys(part.pins).map((pin) => rails.at(part, pin))
          : [],
      );
  const chargesReservoir = ({ rails: own }: Winding) =>
    own
      .filter((rail) => !held.isHeld(rail))
      .flatMap((rail) => [rail, ...behindResistor(rail).filter((other) => !held.isHeld(other))])
      .some((rail) =>
        elements.rectifiers.some(
          ({ from, to }) =>
            (from === rail || to === rail) &&
            rails.on(from === rail ? to : from).some(({ part }) => isReservoirPart(part) || part.kind === 'inductor'),
        ),
      );
  return elements.windings.filter((winding) => {
    if (winding.part.kind !== 'transformer' || winding.rails.length !== 2) return false;
    const [a = -1, b = -1] = winding.rails;
    const far = held.isHeld(a) ? b : held.isHeld(b) ? a : -1;
    if (far < 0 || held.isHeld(far)) return false;
    const pins = rails
      .on(far)
      .filter(({ part }) => part !== winding.part && part.kind !== 'capacitor' && part.kind !== 'resistor');
    const others = sidesOf(winding.part).filter((other) => other !== winding);
    return (
      pins.length > 0 &&
      others.length > 0 &&
      pins.every(({ part, pin }) =>
        elements.switches.some(
          (element) => element.part === part && part.kind !== 'scr' && (element.hiPin === pin || element.loPin === pin),
        ),
      ) &&
      others.every((other) => !chargesReservoir(other))
    );
  });
}
