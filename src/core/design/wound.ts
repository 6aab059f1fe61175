import { practice } from '../evidence';
import {
  copperResistance,
  CORES,
  CURRENT_DENSITY,
  FLUX,
  gapLength,
  peakFlux,
  skinDepth,
  strandsFor,
  windowFill,
  wireArea,
  type Core,
} from '../magnetics';
import { demandOf, type Demand } from './point';
import { RULES } from './rules';
import type { Designed, DesignLot, DesignSpec } from './spec';
import type { Coil, Winding } from './winding';

/** How a core is wound; common practice, no source. */
const WOUND = practice({
  /** A gap that a spacer holds, metres; and one beyond which its field heats the wire beside it, as a share of the core’s half height. */
  gap: { least: 0.1e-3, most: 0.1 },
  /** Bare diameters of enamelled wire that are taken off transformers, metres; and what enamel adds. */
  wires: [0.2e-3, 0.25e-3, 0.3e-3, 0.4e-3, 0.5e-3, 0.6e-3, 0.8e-3, 1e-3],
  enamel: 1.1,
  strands: 12,
  /** Of the window of its bobbin, packed square, with room for the tape between. */
  fill: 0.6,
  warm: 80,
  /** A power ferrite whose material nobody knows: W/m³ at 100 kHz and 0.2 T, rise with both. Of the order of the usual grade at 100 °C, from memory, and half as much again. */
  loss: { density: 560e3, frequency: 100e3, flux: 0.2, alpha: 1.4, beta: 2.5 },
  /** Kelvin per watt of a core and its winding in still air: 53·V^−0.54 with V in cm³. */
  heat: { factor: 53, power: -0.54 },
  hottest: 100,
});

const plain = (text: string) => text.toUpperCase().replaceAll(/[^A-Z0-9]/gu, '');

/** Names a core goes by: its own, its other one, and the part of its own before the first stroke where no other core shares it. */
const NAMES: ReadonlyMap<string, Core> = new Map(
  CORES.flatMap((core): [string, Core][] => {
    const start = core.name.split('/')[0] ?? core.name;
    const isAlone = CORES.filter(({ name }) => name.split('/')[0] === start).length === 1;
    return [core.name, core.alias ?? '', isAlone ? start : '']
      .filter((name) => /\d/u.test(name))
      .map((name): [string, Core] => [plain(name), core]);
  }),
);

/** The core that a lot is, by its package or its marking; nothing where neither names one, or its window is not known. */
export function coreOf({ kind, package: body = '', marking = '' }: DesignLot): Core | undefined {
  if (kind !== 'transformer' && kind !== 'inductor' && kind !== 'choke') return undefined;
  const core = [body, ...marking.split(/\s+/u)]
    .map((word) => NAMES.get(plain(word)))
    .find((one) => one?.window !== undefined && one.turnLength !== undefined);
  return core;
}

/** Wire for a current: of one strand where the skin lets it, else of several; the fewest strands. */
function coil(turns: number, rms: number, of: { readonly frequency: number; readonly core: Core; density: number }) {
  const skin = 2 * skinDepth(of.frequency, WOUND.warm);
  const choices = WOUND.wires
    .filter((wire) => wire <= skin || wire === WOUND.wires[0])
    .map((wire) => ({ wire, ...strandsFor({ rms, density: of.density, diameter: wire }) }))
    .filter(({ strands }) => strands <= WOUND.strands);
  // The fewest strands; of those the thinnest wire that still does.
  const [best] = choices.toSorted((a, b) => a.strands - b.strands || a.wire - b.wire);
  if (!best) return undefined;
  const { wire, strands } = best;
  const length = turns * (of.core.turnLength ?? 0);
  const ohms = copperResistance({ length, area: strands * wireArea(wire), celsius: WOUND.warm });
  return { turns, wire, strands, length, ohms, rms } satisfies Coil;
}

const fillOf = ({ turns, strands, wire }: Coil, window: number): number =>
  windowFill({ turns: turns * strands, outerDiameter: WOUND.enamel * wire, window });

/** Fewest turns that carry a peak without saturating, with a gap that can be set. */
export function turnsFor(core: Core, inductance: number, peak: number): { turns: number; gap: number } | undefined {
  let turns = Math.max(1, Math.ceil((inductance * peak) / (FLUX.flyback * core.area)));
  for (; turns < 400; turns += 1) {
    const gap = gapLength({ turns, area: core.area, inductance, path: core.path });
    if (gap > WOUND.gap.most * core.height) return undefined;
    if (gap >= WOUND.gap.least) return { turns, gap };
  }
  return undefined;
}

/**
 * A core of the drawers, wound as the choke or the transformer of a circuit at a frequency: turns by B = L·I/(N·A), gap by
 * lg = µ0·N²·A/L − le/µi (FORMULAS 5.4), wire by current density and skin depth. Nothing where its window is too small.
 */
export function woundLot(
  spec: DesignSpec,
  lot: DesignLot,
  of: { readonly topology: Designed; readonly frequency: number; readonly core: Core },
): DesignLot | undefined {
  const { topology, frequency, core } = of;
  const isTransformer = topology === 'flyback';
  // A ratio that has the switch on for half of the time at the lowest input.
  const wishedRatio = isTransformer ? spec.inputLow / (Math.abs(spec.output) + RULES.drops.rectifier) : undefined;
  const wished = inductanceFor(spec, topology, frequency, wishedRatio);
  const wishedDemand = wished && demandFor(spec, topology, frequency, wished, wishedRatio);
  const found = wished && wishedDemand && turnsFor(core, wished, wishedDemand.peak);
  if (!wished || !found) return undefined;
  const second = wishedRatio === undefined ? undefined : Math.max(1, Math.round(found.turns / wishedRatio));
  const ratio = second === undefined ? undefined : found.turns / second;
  const demand = demandFor(spec, topology, frequency, wished, ratio);
  if (!demand || !core.window) return undefined;
  const density = isTransformer ? CURRENT_DENSITY.transformer : CURRENT_DENSITY.choke;
  const primary = coil(found.turns, demand.chokeRms, { frequency, core, density });
  const secondary = second && coil(second, demand.rectifierRms, { frequency, core, density });
  if (!primary || (isTransformer && !secondary)) return undefined;
  const fill = fillOf(primary, core.window) + (secondary ? fillOf(secondary, core.window) : 0);
  const flux = peakFlux({ inductance: wished, current: demand.peak, turns: found.turns, area: core.area });
  if (fill > WOUND.fill || flux > FLUX.flyback * 1.02) return undefined;
  const winding: Winding = {
    core,
    primary,
    ...(secondary ? { secondary } : {}),
    gap: found.gap,
    flux,
    factor: wished / found.turns ** 2,
    fill,
  };
  return {
    ...lot,
    ratings: {
      inductance: wished,
      saturation: (FLUX.saturation * found.turns * core.area) / wished,
      dcr: primary.ohms,
      ...(ratio === undefined ? {} : { turnsRatio: ratio }),
    },
    winding,
  };
}

const demandFor = (spec: DesignSpec, topology: Designed, frequency: number, inductance: number, turns?: number) =>
  demandOf(spec, { topology, frequency, inductance, ...(turns === undefined ? {} : { turns }) });

/** An inductance whose current rises by a usual share. */
export function inductanceFor(
  spec: DesignSpec,
  topology: Designed,
  frequency: number,
  turns?: number,
): number | undefined {
  const trial = 100e-6;
  const demand = demandFor(spec, topology, frequency, trial, turns);
  return demand && (trial * demand.swing) / RULES.swing.usual;
}

/** Watts lost in the core of a wound part: half of the rise of its current swings it, Steinmetz; and Celsius with its copper. */
export function coreHeat(
  { point, swing, peak }: Demand,
  { core, primary }: Winding,
  copper: number,
): { readonly watts: number; readonly celsius: number } | undefined {
  const { loss, heat } = WOUND;
  const rise = (swing * peak) / (1 + swing / 2);
  const flux = peakFlux({
    inductance: point.inductance,
    current: rise / 2,
    turns: primary.turns,
    area: core.area,
  });
  const watts =
    loss.density * core.volume * (point.frequency / loss.frequency) ** loss.alpha * (flux / loss.flux) ** loss.beta;
  const celsius = point.ambient + (watts + copper) * heat.factor * (core.volume * 1e6) ** heat.power;
  return celsius > WOUND.hottest ? undefined : { watts, celsius };
}
