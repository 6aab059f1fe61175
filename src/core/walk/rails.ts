import { chipByMarking, shuntReferenceVolts, type PinFunction } from '../chips';
import { practice } from '../evidence';
import { voltagesOf } from '../findings';
import { formatQuantity } from '../quantity';
import { isPolarised, type Analysis } from '../topology';

/** What a rail probably carries, and what it never exceeds, each with the reason. */
export interface RailEstimate {
  /** A pin on the rail that a person finds at once. */
  readonly at: string;
  /** Volt against its return; `undefined` when only a bound is known. */
  readonly volts: number | undefined;
  /** Volt that the parts on it stand at most. */
  readonly most: number | undefined;
  readonly why: string;
  /** It rests on the rating of a capacitor alone. */
  readonly isGuess: boolean;
}

/** Capacitors on a rail are usually run at about this share of their rating. */
const USUAL_SHARE = practice(0.8);
/** Controllers of isolated converters are mostly fed near this, where their own limits allow it, in volt. */
const USUAL_SUPPLY = practice(14);

/**
 * Rails with a store: by nameplate and mains where those tell, by the divider at a shunt reference, by a regulator's
 * marking or a zener across it, else by the rating of the capacitors on it.
 */
export function railEstimates({ recognition }: Analysis): readonly RailEstimate[] {
  const { model } = recognition;
  const { board, rails, elements, held } = model;
  const voltages = voltagesOf(recognition);
  const seen = new Set<string>();
  const estimates: RailEstimate[] = [];
  for (const { part, a, b } of elements.capacitors.filter(({ part: capacitor }) => isPolarised(capacitor))) {
    const key = [a, b].toSorted((x, y) => x - y).join(' ');
    if (seen.has(key) || a === b) continue;
    seen.add(key);
    const between = elements.capacitors.filter(
      (other) => [other.a, other.b].includes(a) && [other.a, other.b].includes(b),
    );
    const ratings = between.flatMap(({ part: capacitor }) => capacitor.value?.voltage ?? []);
    const most = ratings.length > 0 ? Math.min(...ratings) : undefined;
    const known = voltages.known.find(({ high, low }) => (high === a && low === b) || (high === b && low === a));
    const divided = dividerAt(a, b) ?? dividerAt(b, a);
    const zener = board.parts.find(
      (entry) =>
        entry.subtype === 'zener' &&
        entry.value?.voltage !== undefined &&
        [rails.at(entry, 'A'), rails.at(entry, 'K')].every((rail) => rail === a || rail === b),
    );
    const regulator = board.parts.find(
      (entry) =>
        entry.kind === 'regulator' &&
        [a, b].includes(rails.at(entry, 'OUT')) &&
        [a, b].includes(rails.at(entry, 'GND')),
    );
    const fed = supplyBetween(a, b, most);
    const marked = /7[89]\D?(\d\d)/.exec(regulator?.marking ?? '')?.[1];
    const isTold = divided ?? known ?? marked ?? zener ?? fed;
    const [volts, why] = divided
      ? [
          divided.volts,
          `the divider at ${divided.ref} holds ${formatQuantity(divided.held, 'volt', { digits: 3 })} at its tap`,
        ]
      : known
        ? [known.volts, known.why]
        : marked
          ? [Number(marked), `${regulator?.ref ?? ''} is marked ${regulator?.marking ?? ''}`]
          : zener
            ? [zener.value?.voltage, `${zener.ref} limits it`]
            : fed
              ? [fed.volts, fed.why]
              : most
                ? [
                    most * USUAL_SHARE,
                    `${part.ref} is rated ${formatQuantity(most, 'volt')}, and is usually run at about 80 % of that`,
                  ]
                : [undefined, `nothing on it says; ${part.ref} carries no rating yet`];
    const plus = '+' in part.pins ? '+' : (Object.keys(part.pins)[0] ?? '');
    estimates.push({ at: `${part.ref}.${plus}`, volts, most, why, isGuess: isTold === undefined });
  }
  return estimates.toSorted((one, other) => (other.volts ?? 0) - (one.volts ?? 0));

  /** What the controller that is fed from a rail lets it be: its own range bounds it, never the rating of the can alone. */
  function supplyBetween(
    a: number,
    b: number,
    most: number | undefined,
  ): { readonly volts: number; readonly why: string } | undefined {
    for (const chip of board.parts.filter(({ kind }) => kind === 'ic')) {
      const family = chipByMarking(chip.marking);
      const on = (wanted: PinFunction) =>
        Object.keys(chip.pins).some((pin) => {
          const does = family?.pins.find(({ number }) => String(number) === pin)?.does;
          return does === wanted && [a, b].includes(rails.at(chip, pin));
        });
      if (!family || !on('supply') || !on('ground')) continue;
      const low = family.supply?.stop ?? family.range?.low;
      const high = family.supply?.most ?? family.range?.high;
      if (low === undefined || high === undefined) continue;
      const limit = Math.min(high, most === undefined ? high : most * USUAL_SHARE);
      return {
        volts: Math.min(Math.max(USUAL_SUPPLY, low * 1.1), limit),
        why: `it feeds ${chip.ref}, a ${family.id}, which runs between ${formatQuantity(low, 'volt')} and ${formatQuantity(high, 'volt')}`,
      };
    }
    return undefined;
  }

  function dividerAt(
    rail: number,
    ground: number,
  ): { readonly volts: number; readonly held: number; readonly ref: string } | undefined {
    for (const reference of board.parts.filter(({ kind }) => kind === 'shunt-reference')) {
      const tapVolts = shuntReferenceVolts(reference.marking);
      const tap = rails.at(reference, 'R');
      if (rails.at(reference, 'A') !== ground) continue;
      const resistors = board.parts.filter(({ kind, value }) => kind === 'resistor' && value?.resistance !== undefined);
      const between = (one: number, other: number) =>
        resistors.filter(
          (part) =>
            [rails.at(part, '1'), rails.at(part, '2')].includes(one) &&
            [rails.at(part, '1'), rails.at(part, '2')].includes(other),
        );
      const parallel = (list: typeof resistors) =>
        1 / list.reduce((sum, part) => sum + 1 / (part.value?.resistance ?? Infinity), 0);
      const [top, bottom] = [between(tap, rail), between(tap, ground)];
      // A second rail that feeds the tap shares in the sum; the divider then tells no single voltage.
      const isShared = resistors.some((part) => {
        const ends = [rails.at(part, '1'), rails.at(part, '2')];
        const far = ends.find((end) => end !== tap);
        return ends.includes(tap) && far !== rail && far !== ground && far !== undefined && held.isHeld(far);
      });
      if (!isShared && top.length > 0 && bottom.length > 0)
        return { volts: tapVolts * (1 + parallel(top) / parallel(bottom)), held: tapVolts, ref: reference.ref };
    }
    return undefined;
  }
}
