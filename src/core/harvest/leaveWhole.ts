import { counted } from '../quantity';
import { practice } from '../evidence';
/** What is known of a unit when its parts are weighed against the whole. */
export interface WholeUnit {
  readonly works: boolean;
  /** It ran under load without a finding. */
  readonly soaked: boolean;
  readonly watts: number | undefined;
  readonly outputs: number;
}

export interface WholeAdvice {
  readonly leave: boolean;
  /** Points of the working whole. */
  readonly points: number;
  readonly message: string;
}

/** Points of a working supply: a start, for every watt, for every further output, and for a soak that it passed. */
const WHOLE = practice({ base: 60, perWatt: 0.8, most: 260, output: 20, soaked: 40 } as const);

/**
 * Whether a unit is worth more as it is than in parts. Only one that works is; what its parts are worth in all the
 * minutes they take is compared with it. Nothing while nobody said that it works.
 */
export function adviseWhole(unit: WholeUnit, parts: { points: number; minutes: number }): WholeAdvice | undefined {
  if (!unit.works) return undefined;
  const points = Math.min(
    WHOLE.most,
    WHOLE.base +
      WHOLE.perWatt * (unit.watts ?? 0) +
      WHOLE.output * Math.max(0, unit.outputs - 1) +
      (unit.soaked ? WHOLE.soaked : 0),
  );
  const leave = points >= parts.points;
  const worth = `As a whole it counts ${Math.round(points)} points, its parts ${Math.round(parts.points)} for ${counted(Math.round(parts.minutes), 'minute')} of work.`;
  return {
    leave,
    points,
    message: leave
      ? `It works: leave it whole. ${worth}${unit.soaked ? '' : ' Run it under load before you trust it.'}`
      : `It works, but its parts are worth more. ${worth}`,
  };
}
