import type { Topology } from '../converter';
import { TOUCH_LIMIT_DC } from '../safety';
import type { Winding } from './winding';

/** What is wanted of a converter. Volts, amperes, degrees Celsius. */
export interface DesignSpec {
  readonly inputLow: number;
  readonly inputHigh: number;
  readonly output: number;
  readonly current: number;
  /** Ripple at the output, peak to peak; 1 % of the output where nothing is said. */
  readonly ripple?: number;
  readonly ambient?: number;
  /** The output must float: only a transformer does that. */
  readonly isolated?: boolean;
  /** What counts beside loss and cost: little room, or little ripple and noise. */
  readonly wish?: Wish;
}

export const WISHES = ['small', 'quiet'] as const;
export type Wish = (typeof WISHES)[number];
export const isWish = (text: string): text is Wish => (WISHES as readonly string[]).includes(text);

/** A lot as a design sees it; ratings by their names in stock, SI base units. */
export interface DesignLot {
  readonly code: string;
  readonly kind: string;
  readonly technology?: string;
  readonly package?: string;
  readonly marking?: string;
  readonly pieces: number;
  readonly ratings: Readonly<Record<string, number>>;
  /** Where it is a core that is wound for this design: its ratings are those of the winding. */
  readonly winding?: Winding;
}

/** Circuits that are designed: of one switch, not isolated. */
export const DESIGNED = [
  'buck',
  'boost',
  'inverting',
  'sepic',
  'cuk',
  'flyback',
] as const satisfies readonly Topology[];
export type Designed = (typeof DESIGNED)[number];

/** What a part of a design is there for. */
export const DESIGN_ROLES = ['choke', 'switch', 'rectifier', 'link', 'output', 'input', 'snubber'] as const;
export type DesignRole = (typeof DESIGN_ROLES)[number];

/** Circuits with two chokes and a capacitor that the power goes through. */
export const isPaired = (topology: Designed): boolean => topology === 'sepic' || topology === 'cuk';

/** The roles a circuit has. */
export const rolesOf = (topology: Designed): readonly DesignRole[] =>
  DESIGN_ROLES.filter((role) => role !== 'link' || isPaired(topology));

/** What a circuit runs without, though worse: it is never missing. */
export const isSpared = (role: DesignRole): boolean => role === 'snubber';

/** Why there is no design. */
export interface DesignProblem {
  readonly wrong: string;
}

/** What is wrong with a spec, if anything: names the value and what was expected. */
export function specProblem(spec: DesignSpec): string | undefined {
  const { inputLow, inputHigh, output, current } = spec;
  for (const [name, value] of Object.entries(spec))
    if (typeof value === 'number' && !Number.isFinite(value)) return `${name} is ${value}; a number is expected.`;
  if (inputLow <= 0) return `The lowest input is ${inputLow} V; more than 0 V is expected.`;
  if (inputHigh < inputLow) return `The highest input, ${inputHigh} V, is under the lowest, ${inputLow} V.`;
  if (output === 0) return 'The output is 0 V; another voltage is expected.';
  if (current <= 0) return `The output current is ${current} A; more than 0 A is expected.`;
  if (spec.ripple !== undefined && spec.ripple <= 0)
    return `The ripple is ${spec.ripple} V; more than 0 V is expected.`;
  const highest = Math.max(inputHigh, Math.abs(output));
  if (highest > TOUCH_LIMIT_DC.volts)
    return `${highest} V is over ${TOUCH_LIMIT_DC.volts} V, the limit of touch: what is designed here stays under it.`;
  return undefined;
}

/** Circuits that can do it: down, up, both ways, or to the other side of zero. */
export function topologiesFor({ inputLow, inputHigh, output, isolated }: DesignSpec): readonly Designed[] {
  if (isolated) return ['flyback'];
  if (output < 0) return ['inverting', 'cuk', 'flyback'];
  if (output < inputLow) return ['buck', 'flyback'];
  if (output > inputHigh) return ['boost', 'flyback'];
  return ['sepic', 'flyback'];
}
