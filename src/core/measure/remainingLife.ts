import { practice } from '../evidence';
/** Rated hours by temperature class where the can does not say. */
const USUAL_LIFE: readonly (readonly [celsius: number, hours: number])[] = practice([
  [85, 1000],
  [105, 2000],
  [125, 2000],
]);
/** Own heating at the rated ripple, K. Life guides of capacitor makers, from memory. */
const RATED_HEATING = 5;
/** What the hours of a can rest on. */
export const LIFE_RULE =
  'ten-degree rule with its ripple form, life guides of capacitor makers, from memory; hours of a class: common practice';
/** Longer than this no rubber seal is credited, in hours. */
const SEAL_HOURS = practice(15 * 8766);
/** What is usually not known better than this: the air at the can, the ripple, the hours, the rule itself. */
const UNCERTAINTY = { celsius: 5, rippleShare: 0.2, hoursShare: 0.3, ruleFactor: 1.5 } as const;

export interface LifeFacts {
  /** Hours and °C on the can; the usual hours of its class stand in. */
  readonly ratedHours?: number | undefined;
  readonly ratedCelsius: number;
  /** °C of the air at the can in service. */
  readonly around: number;
  /** Ripple current over the rated one. */
  readonly rippleShare: number;
  /** Hours in service so far. */
  readonly served: number;
}

export interface RemainingLife {
  /** Hours in all under these conditions, and left, with the bounds that the uncertainty allows. */
  readonly total: number;
  readonly left: number;
  readonly low: number;
  readonly high: number;
  /** Own heating by ripple, K. */
  readonly heating: number;
  /** The seal, not the electrolyte, sets the end. */
  readonly capped: boolean;
}

/** Rated hours of a class where the can does not say. */
export function usualLife(celsius: number): number {
  return USUAL_LIFE.find(([upTo]) => celsius <= upTo)?.[1] ?? 2000;
}

/**
 * Hours an electrolytic has left: L = L0·2^((T0−Ta)/10)·2^((ΔT0−ΔT)/5) with ΔT = ΔT0·(I/Ir)², less the hours served,
 * capped by its seal. Ripple form of the ten-degree rule, life guides of capacitor makers, from memory. The bounds
 * follow from ± 5 K, ± 20 % ripple, ± 30 % hours and a factor of 1.5 for the rule, as squares.
 * @example remainingLife({ ratedHours: 2000, ratedCelsius: 105, around: 65, rippleShare: 1, served: 0 }).total // 32000
 */
export function remainingLife(of: LifeFacts): RemainingLife {
  const rated = of.ratedHours ?? usualLife(of.ratedCelsius);
  const heating = RATED_HEATING * of.rippleShare ** 2;
  const uncapped = rated * 2 ** ((of.ratedCelsius - of.around) / 10) * 2 ** ((RATED_HEATING - heating) / 5);
  const total = Math.min(uncapped, SEAL_HOURS);
  const spread = Math.hypot(
    (Math.LN2 * UNCERTAINTY.celsius) / 10,
    (Math.LN2 * 2 * heating * UNCERTAINTY.rippleShare) / 5,
    Math.log(UNCERTAINTY.ruleFactor),
  );
  const bound = (sign: 1 | -1) =>
    Math.min(uncapped * Math.exp(sign * spread), SEAL_HOURS) - of.served * (1 - sign * UNCERTAINTY.hoursShare);
  return { total, left: total - of.served, low: bound(-1), high: bound(1), heating, capped: uncapped > SEAL_HOURS };
}
