import type { BoardPart } from '../board';
import { chipByMarking, shuntReferenceVolts } from '../chips';
import type { Model } from '../topology';

/** A rail that a chip or a shunt reference keeps at a known voltage against its return. */
export interface Tap {
  readonly rail: number;
  readonly ground: number;
  /** Volt. */
  readonly held: number;
  readonly part: BoardPart;
}

/** What a divider says of the rail it hangs on. */
export interface Divided {
  /** Volt between the rail and the return of the tap. */
  readonly volts: number;
  readonly tap: Tap;
}

/** Inputs of shunt references, and feedback pins of chips whose family is remembered. */
export function tapsOf({ board, rails }: Model): readonly Tap[] {
  return board.parts.flatMap((part): readonly Tap[] => {
    if (part.kind === 'shunt-reference')
      return [
        {
          rail: rails.at(part, 'R'),
          ground: rails.at(part, 'A'),
          held: shuntReferenceVolts(part.marking),
          part,
        },
      ];
    const family = part.kind === 'ic' ? chipByMarking(part.marking) : undefined;
    if (!family?.feedback || family.feedback < 0) return [];
    const { feedback } = family;
    const railOf = (does: string) => {
      const pin = family.pins.find((one) => one.does === does && String(one.number) in part.pins);
      return pin ? rails.at(part, String(pin.number)) : -1;
    };
    const [rail, ground] = [railOf('feedback'), railOf('ground')];
    return rail < 0 || ground < 0 || rail === ground ? [] : [{ rail, ground, held: feedback, part }];
  });
}

/** The voltage of a rail by the divider at a tap; none where another rail that stands still shares in the sum. */
export function dividedAt(rail: number, tap: Tap, model: Model): Divided | undefined {
  if (rail === tap.rail || rail === tap.ground) return undefined;
  const chains = chainsFrom(tap.rail, model);
  const ohms = (far: number) => {
    const parallel = chains.filter((chain) => chain.rail === far);
    return parallel.length === 0 ? undefined : 1 / parallel.reduce((sum, chain) => sum + 1 / chain.ohms, 0);
  };
  const [top, bottom] = [ohms(rail), ohms(tap.ground)];
  const isShared = chains.some(
    (chain) => chain.rail !== rail && chain.rail !== tap.ground && model.held.isHeld(chain.rail),
  );
  if (top === undefined || bottom === undefined || isShared) return undefined;
  return { volts: tap.held * (1 + top / bottom), tap };
}

/** Resistors in series are followed so far: high rails are divided by two to four of them. */
const CHAIN_AT_MOST = 5;

/** Resistors in series, from a rail to another. */
export interface Chain {
  readonly rail: number;
  /** Ohm in all. */
  readonly ohms: number;
  readonly parts: readonly BoardPart[];
}

/** Rails that chains of resistors lead to from a rail; a chain goes on where nothing but two resistors and capacitors meet. */
export function chainsFrom(start: number, { board, rails }: Model): readonly Chain[] {
  const resistors = board.parts.flatMap((part) => {
    const ohms = part.kind === 'resistor' ? part.value?.resistance : undefined;
    const [a, b] = [rails.at(part, '1'), rails.at(part, '2')];
    return ohms === undefined || a === b ? [] : [{ part, a, b, ohms }];
  });
  const isJoint = (rail: number) => {
    const kinds = rails.on(rail).flatMap(({ part }) => (part.kind === 'capacitor' ? [] : [part.kind]));
    return kinds.length === 2 && kinds.every((kind) => kind === 'resistor');
  };
  const follow = (from: number, ohms: number, used: readonly BoardPart[]): readonly Chain[] =>
    resistors
      .filter(({ part, a, b }) => !used.includes(part) && (a === from || b === from))
      .flatMap(({ part, a, b, ohms: own }) => {
        const rail = a === from ? b : a;
        const sum = ohms + own;
        return isJoint(rail) && used.length + 1 < CHAIN_AT_MOST
          ? follow(rail, sum, [...used, part])
          : [{ rail, ohms: sum, parts: [...used, part] }];
      });
  return follow(start, 0, []);
}
