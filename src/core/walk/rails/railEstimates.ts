import { practice } from '../../evidence';
import { dividedAt, tapsOf, voltagesOf } from '../../findings';
import type { BoardPart } from '../../board';
import { formatQuantity } from '../../quantity';
import { isPolarised, type Analysis, type Model } from '../../topology';
import { chipEstimates, knownChips, supplyBetween, type KnownChip } from './chipRails';
import type { RailEstimate, Told } from './estimate';

/** Capacitors on a rail are usually run at about this share of their rating. */
const USUAL_SHARE = practice(0.8);
/** What a diode takes on the way to a floating supply, in volt. */
const DIODE_DROP = practice(0.7);

/** The two rails of a store, and the capacitors between them. */
interface Stored {
  readonly a: number;
  readonly b: number;
  readonly part: BoardPart;
  /** The least rating of the capacitors, in volt. */
  readonly most: number | undefined;
}

/**
 * Rails with a store: by a divider, by nameplate and mains, by a regulator's marking or a zener across it, by the chip it
 * feeds, by the supply that charges it, else by the rating of the capacitors on it. Then the reference pins of chips and
 * the gates they drive.
 */
export function railEstimates({ recognition }: Analysis): readonly RailEstimate[] {
  const { model } = recognition;
  const chips = knownChips(model);
  const taps = tapsOf(model);
  const { known } = voltagesOf(recognition);
  const stores = storesOf(model);
  const told = new Map<Stored, Told>();
  for (const store of stores) {
    const { a, b, most } = store;
    const isBetween = (one: number, other: number) => (one === a && other === b) || (one === b && other === a);
    const divided = taps.flatMap((tap) =>
      tap.ground === a || tap.ground === b ? (dividedAt(tap.ground === a ? b : a, tap, model) ?? []) : [],
    )[0];
    const found =
      (divided && {
        volts: divided.volts,
        why: `the divider at ${divided.tap.part.ref} holds ${formatQuantity(divided.tap.held, 'volt', { digits: 3 })} at its tap`,
      }) ??
      known.find(({ high, low }) => isBetween(high, low)) ??
      regulated(store, model) ??
      fixedAt(store, chips) ??
      supplyBetween(a, b, most === undefined ? undefined : most * USUAL_SHARE, chips);
    if (found) told.set(store, found);
  }
  const voltsAt = (rail: number) => {
    const store = stores.find((one) => one.a === rail && told.has(one));
    return store && told.get(store)?.volts;
  };
  for (const store of stores) {
    const found = told.has(store) ? undefined : floating(store, model, voltsAt);
    if (found) told.set(store, found);
  }
  const estimates = stores.map((store): RailEstimate => {
    const { part, most } = store;
    const plus = '+' in part.pins ? '+' : (Object.keys(part.pins)[0] ?? '');
    const found = told.get(store) ?? byRating(store);
    const bounds = [most, found?.most].filter((bound) => bound !== undefined);
    return {
      at: `${part.ref}.${plus}`,
      volts: found?.volts,
      most: bounds.length > 0 ? Math.min(...bounds) : undefined,
      why: found?.why ?? unknown(part),
      isGuess: !told.has(store),
    };
  });
  const more = chipEstimates(chips, model, voltsAt).map(({ at, volts, most, why }): RailEstimate => ({
    at,
    volts,
    most,
    why,
    isGuess: false,
  }));
  return [...estimates, ...more].toSorted((one, other) => (other.volts ?? 0) - (one.volts ?? 0));
}

/** Every pair of rails with a polarised capacitor between, once; `a` is the side of its plus where that is marked. */
function storesOf({ elements }: Model): readonly Stored[] {
  const seen = new Set<string>();
  return elements.capacitors
    .filter(({ part, a, b }) => isPolarised(part) && a !== b)
    .flatMap(({ part, a, b }) => {
      const key = [a, b].toSorted((x, y) => x - y).join(' ');
      if (seen.has(key)) return [];
      seen.add(key);
      const ratings = elements.capacitors
        .filter((other) => [other.a, other.b].includes(a) && [other.a, other.b].includes(b))
        .flatMap((other) => other.part.value?.voltage ?? []);
      return [{ a, b, part, most: ratings.length > 0 ? Math.min(...ratings) : undefined }];
    });
}

/** By a regulator that makes it, or a zener across it. */
function regulated({ a, b }: Stored, { board, rails }: Model): Told | undefined {
  const isOn = (part: BoardPart, ...pins: readonly string[]) =>
    pins.every((pin) => rails.at(part, pin) === a || rails.at(part, pin) === b);
  const regulator = board.parts.find((part) => part.kind === 'regulator' && isOn(part, 'OUT', 'GND'));
  const marked = /7[89]\D?(\d\d)/.exec(regulator?.marking ?? '')?.[1];
  if (regulator && marked !== undefined)
    return { volts: Number(marked), why: `${regulator.ref} is marked ${regulator.marking ?? ''}` };
  const zener = board.parts.find(
    (part) => part.subtype === 'zener' && part.value?.voltage !== undefined && isOn(part, 'A', 'K'),
  );
  return zener?.value?.voltage === undefined
    ? undefined
    : { volts: zener.value.voltage, why: `${zener.ref} limits it` };
}

/** By a step-down chip of fixed voltage, whose feedback pin lies on its output: the number ends in its volts. */
function fixedAt({ a, b }: Stored, chips: readonly KnownChip[]): Told | undefined {
  for (const { part, family, pinsFor } of chips) {
    const volts = /-(\d{1,2}(?:\.\d)?)V?$/.exec(part.marking ?? '')?.[1];
    const isHere = pinsFor('feedback').some(({ rail }) => rail === a || rail === b);
    if (volts !== undefined && family.role === 'dc-dc' && isHere)
      return { volts: Number(volts), why: `${part.ref} is marked ${part.marking ?? ''}` };
  }
  return undefined;
}

/** A floating supply, such as that of a high-side gate: a diode charges it from another supply while its foot is low. */
function floating(
  { a, b }: Stored,
  { elements, held }: Model,
  voltsAt: (rail: number) => number | undefined,
): Told | undefined {
  if (held.isHeld(b)) return undefined;
  for (const { part, from, to } of elements.rectifiers) {
    const supply = to === a ? voltsAt(from) : undefined;
    if (supply !== undefined)
      return {
        volts: supply - DIODE_DROP,
        why: `${part.ref} charges it from a supply of about ${formatQuantity(supply, 'volt', { digits: 3 })}`,
      };
  }
  return undefined;
}

const byRating = ({ part, most }: Stored): Told | undefined =>
  most === undefined
    ? undefined
    : {
        volts: most * USUAL_SHARE,
        why: `${part.ref} is rated ${formatQuantity(most, 'volt')}, and is usually run at about 80 % of that`,
      };

const unknown = ({ ref }: BoardPart) => `nothing on it says; ${ref} carries no rating yet`;
