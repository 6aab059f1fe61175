import type { BoardPart } from '../../board';
import { chipByMarking, type ChipFamily, type PinFunction } from '../../chips';
import { practice } from '../../evidence';
import { formatQuantity } from '../../quantity';
import type { Model } from '../../topology';
import type { RailEstimate, Told } from './estimate';

/** Controllers of isolated converters are mostly fed near this, where their own limits allow it, in volt. */
const USUAL_SUPPLY = practice(14);

/** A chip whose family is remembered, with the rails of its pins by what they do. */
export interface KnownChip {
  readonly part: BoardPart;
  readonly family: ChipFamily;
  /** Pins of a function that are on the board, each with its rail. */
  pinsFor(does: PinFunction): readonly { readonly pin: string; readonly rail: number }[];
}

export const knownChips = ({ board, rails }: Model): readonly KnownChip[] =>
  board.parts.flatMap((part) => {
    const family = part.kind === 'ic' ? chipByMarking(part.marking) : undefined;
    if (!family) return [];
    const pinsFor = (wanted: PinFunction) =>
      family.pins.flatMap(({ number, does }) =>
        does === wanted && String(number) in part.pins
          ? [{ pin: String(number), rail: rails.at(part, String(number)) }]
          : [],
      );
    return [{ part, family, pinsFor }];
  });

const rangeOf = ({ supply, range }: ChipFamily) => {
  const [low, high] = [supply?.stop ?? range?.low, supply?.most ?? range?.high];
  return low === undefined || high === undefined ? undefined : { low, high };
};

/**
 * What the controller that is fed from between two rails lets that be: its own range bounds it, never the rating of the
 * can alone. `most` is what the parts between them stand, in volt.
 */
export function supplyBetween(
  a: number,
  b: number,
  most: number | undefined,
  chips: readonly KnownChip[],
): Told | undefined {
  for (const { part, family, pinsFor } of chips) {
    const isBetween = (does: PinFunction) => pinsFor(does).some(({ rail }) => rail === a || rail === b);
    const limits = rangeOf(family);
    if (!limits || !isBetween('supply') || !isBetween('ground')) continue;
    const { low, high } = limits;
    const limit = Math.min(high, most ?? high);
    return {
      volts: Math.min(Math.max(USUAL_SUPPLY, low * 1.1), limit),
      most: high,
      why: `it feeds ${part.ref}, a ${family.id}, which runs between ${formatQuantity(low, 'volt')} and ${formatQuantity(high, 'volt')}`,
    };
  }
  return undefined;
}

/** Reference pins of chips, and the gates that they drive from their supply. */
export function chipEstimates(
  chips: readonly KnownChip[],
  { board, rails }: Model,
  supplyOf: (rail: number) => number | undefined,
): readonly Omit<RailEstimate, 'isGuess'>[] {
  const isGate = (rail: number, gate: number) =>
    rail === gate ||
    rails
      .on(rail)
      .some(
        ({ part }) => part.kind === 'resistor' && Object.keys(part.pins).some((pin) => rails.at(part, pin) === gate),
      );
  return chips.flatMap(({ part, family, pinsFor }) => {
    const references = pinsFor('reference').flatMap(({ pin }) =>
      family.reference === undefined
        ? []
        : [
            {
              at: `${part.ref}.${pin}`,
              volts: family.reference,
              most: undefined,
              why: `the reference of a ${family.id}`,
            },
          ],
    );
    const supply = pinsFor('supply').flatMap(({ rail }) => supplyOf(rail) ?? [])[0];
    const driven = pinsFor('gate').flatMap(({ rail }) =>
      supply === undefined
        ? []
        : board.parts
            .filter(({ kind }) => kind === 'nmos' || kind === 'igbt')
            .filter((power) => isGate(rail, rails.at(power, 'G')))
            .map((power) => ({
              at: `${power.ref}.G`,
              volts: supply,
              most: GATE_AT_MOST,
              why: `${part.ref} drives it with pulses from nothing up to its own supply`,
            })),
    );
    return [...references, ...driven];
  });
}

/** Gates of common power transistors stand so much against their source, in volt. */
const GATE_AT_MOST = practice(20);
