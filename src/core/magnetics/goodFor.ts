import { practice } from '../evidence';
import type { Core } from './cores';
import { FLUX, gapLength } from './flux';
import { CURRENT_DENSITY, wireArea } from './wire';

/** What is known of a transformer, SI units; anything may be missing. */
export interface TransformerFacts {
  readonly core?: Core | undefined;
  /** Primary inductance with the others open. */
  readonly inductance?: number | undefined;
  /** Volts on a winding of one turn for one volt on the primary. */
  readonly perTurn?: number | undefined;
  /** Where 70 % of the inductance is left. */
  readonly saturation?: number | undefined;
  /** Bare diameter of the primary's wire. */
  readonly wire?: number | undefined;
  /** Leakage as a share of the open inductance. */
  readonly leakageShare?: number | undefined;
}

/** Turns of the primary, and by which way they were found. */
export interface TurnsEstimate {
  readonly turns: number;
  readonly by: 'one turn' | 'saturation' | 'ungapped core';
}

/**
 * Turns by a winding of one turn (N = 1/v); else by where the core saturates, N = L·I/(B·A), which holds with a gap and
 * without; else by the core's factor, which holds only without a gap.
 */
export function estimateTurns({ core, inductance, perTurn, saturation }: TransformerFacts): TurnsEstimate | undefined {
  if (perTurn !== undefined && perTurn > 0) return { turns: 1 / perTurn, by: 'one turn' };
  if (core && inductance && saturation)
    return { turns: (inductance * saturation) / (FLUX.saturation * core.area), by: 'saturation' };
  if (core && inductance) return { turns: Math.sqrt(inductance / core.inductanceFactor), by: 'ungapped core' };
  return undefined;
}

export interface GapFinding {
  readonly gapped: boolean | undefined;
  /** Metres, both legs together; when turns and core are known. */
  readonly gap?: number;
  /** Inductance factor as measured over the ungapped one of the table. */
  readonly share?: number;
}

/** Below this share of the table's inductance factor there is a gap; ± 25 % is the table's own uncertainty. */
const GAPPED_BELOW = 0.6;
/** Leakage share of transformers by kind. */
const LEAKAGE = practice({ resonant: 0.15 } as const);

/** Whether the core is gapped, from the inductance factor that its turns give; the core's own factor cannot tell. */
export function findGap(facts: TransformerFacts): GapFinding {
  const { core, inductance } = facts;
  const estimate = estimateTurns(facts);
  if (!core || !inductance || !estimate || estimate.by === 'ungapped core') return { gapped: undefined };
  const { turns } = estimate;
  const share = inductance / turns ** 2 / core.inductanceFactor;
  const gapped = share < GAPPED_BELOW;
  const gap = gapLength({ turns, area: core.area, inductance, path: core.path });
  return { gapped, share, ...(gapped && gap > 0 ? { gap } : {}) };
}

export interface GoodFor {
  readonly topology: 'flyback' | 'forward' | 'half-bridge' | 'resonant';
  /** Hertz that the figures hold at. */
  readonly frequency: number;
  /** Watts through it. */
  readonly power: number;
  /** Largest volts on the primary at that frequency; of a flyback the least input that reaches the power. */
  readonly volts: number;
  /** Peak flux density in tesla that the figures stand for. */
  readonly flux: number;
  /** Peak current of a flyback, rms of the others, amperes. */
  readonly current: number;
  /** What bounds the power. */
  readonly bound: 'flux' | 'copper' | 'saturation';
}

const FREQUENCY = 65e3;
const DUTY = 0.45;

/**
 * What a transformer is good for as it is. A gapped one stores: as a flyback in discontinuous mode P = L·Î²·f/2 with
 * Î = B·N·A/L, held under nine tenths of its saturation and under what its copper carries (Î·√(D/3) ≤ J·A). One
 * without a gap passes on: V = ΔB·N·A·f/D as a forward converter, V = 4·f·N·B·A as a half-bridge, power by the
 * copper. Unknown ferrite: 0.20 T, 0.15 T both ways. Handbook formulas.
 */
export function goodFor(facts: TransformerFacts): readonly GoodFor[] {
  const { core, inductance, saturation, wire, leakageShare } = facts;
  const estimate = estimateTurns(facts);
  if (!core || !inductance || !estimate) return [];
  const { turns } = estimate;
  const { gapped } = findGap(facts);
  const copper = wire === undefined ? Infinity : CURRENT_DENSITY.transformer * wireArea(wire);
  const f = FREQUENCY;
  if (leakageShare !== undefined && leakageShare >= LEAKAGE.resonant) {
    const volts = 4 * f * turns * FLUX.bridge * core.area;
    return [
      {
        topology: 'resonant',
        frequency: f,
        power: volts * finite(copper),
        volts,
        flux: FLUX.bridge,
        current: finite(copper),
        bound: 'copper',
      },
    ];
  }
  if (gapped) {
    const bounds = [
      { bound: 'flux' as const, current: (FLUX.unknownFerrite * turns * core.area) / inductance },
      { bound: 'saturation' as const, current: 0.9 * (saturation ?? Infinity) },
      { bound: 'copper' as const, current: copper / Math.sqrt(DUTY / 3) },
    ];
    const least = bounds.reduce((a, b) => (b.current < a.current ? b : a));
    return [
      {
        topology: 'flyback',
        frequency: f,
        power: (inductance * least.current ** 2 * f) / 2,
        volts: (inductance * least.current * f) / DUTY,
        flux: (inductance * least.current) / (turns * core.area),
        current: least.current,
        bound: least.bound,
      },
    ];
  }
  if (gapped === undefined) return [];
  const forwardVolts = (FLUX.unknownFerrite * turns * core.area * f) / DUTY;
  const bridgeVolts = 4 * f * turns * FLUX.bridge * core.area;
  const rms = finite(copper);
  return [
    {
      topology: 'forward',
      frequency: f,
      power: forwardVolts * rms * Math.sqrt(DUTY),
      volts: forwardVolts,
      flux: FLUX.unknownFerrite,
      current: rms,
      bound: 'copper',
    },
    {
      topology: 'half-bridge',
      frequency: f,
      power: bridgeVolts * rms,
      volts: bridgeVolts,
      flux: FLUX.bridge,
      current: rms,
      bound: 'copper',
    },
  ];
}

/** Without the wire no power can be said: zero stands for “not known”. */
const finite = (amperes: number): number => (Number.isFinite(amperes) ? amperes : 0);
