import type { Core } from '../magnetics';
import type { Steps } from '../steps';
import { fitAs } from './fitAs';
import { bankFit, linkFit, rectifierFit, switchFit, type Fit } from './parts';
import { demandOf, type Demand } from './point';
import { RULES } from './rules';
import { snubberFit } from './snubber';
import {
  isPaired,
  isSpared,
  rolesOf,
  specProblem,
  topologiesFor,
  type Designed,
  type DesignLot,
  type DesignProblem,
  type DesignRole,
  type DesignSpec,
} from './spec';
import { coreOf, inductanceFor, woundLot } from './wound';

/** A converter out of what there is. */
export interface Design {
  readonly topology: Designed;
  readonly frequency: number;
  readonly inductance: number;
  readonly turns?: number;
  /** The lots by role; a role without one must be bought. */
  readonly parts: Readonly<Partial<Record<DesignRole, Fit>>>;
  readonly missing: readonly DesignRole[];
  readonly demand: Demand;
  readonly watts: number;
  readonly efficiency: number;
  readonly cost: number;
}

export interface DesignResult {
  readonly designs: readonly Design[];
  /** Combinations of lots and frequencies that were weighed. */
  readonly searched: number;
}

/** Lots by the role they may take. */
export interface Drawers {
  readonly chokes: readonly DesignLot[];
  /** Transformers with a primary and a ratio that are known. */
  readonly transformers: readonly DesignLot[];
  readonly switches: readonly DesignLot[];
  readonly rectifiers: readonly DesignLot[];
  readonly cans: readonly DesignLot[];
  /** Cores that may be wound, by the name that their package or marking gives. */
  readonly cores: readonly { readonly lot: DesignLot; readonly core: Core }[];
  /** Film and ceramic capacitors, for the power to go through. */
  readonly links: readonly DesignLot[];
}

/** Sorts lots by what they may be; those with no piece are left out. */
export function drawersOf(lots: readonly DesignLot[]): Drawers {
  const there = lots.filter(({ pieces }) => pieces > 0);
  const of = (...kinds: string[]) => there.filter(({ kind }) => kinds.includes(kind));
  return {
    chokes: of('inductor', 'choke').filter(({ ratings }) => (ratings['inductance'] ?? 0) > 0),
    transformers: of('transformer').filter(
      ({ ratings }) => (ratings['inductance'] ?? 0) > 0 && (ratings['turnsRatio'] ?? 0) > 0,
    ),
    cores: there.flatMap((lot) => {
      const core = coreOf(lot);
      return core ? [{ lot, core }] : [];
    }),
    switches: of('nmos'),
    rectifiers: of('diode', 'dual-diode'),
    cans: of('capacitor').filter(({ technology = '' }) => /electrolytic|polymer/iu.test(technology)),
    links: of('capacitor').filter(({ technology = '' }) => /film|ceramic/iu.test(technology)),
  };
}

/** What a role costs that no lot fills. */
const unfilled = (role: DesignRole): number => (isSpared(role) ? RULES.costs.bare : RULES.costs.buy);

/** The first of the cheapest; nothing where it is cheaper without, as one that loses a quarter of the power is no help. */
function cheapest(role: DesignRole, fits: Iterable<Fit | undefined>): Fit | undefined {
  let best: Fit | undefined;
  for (const fit of fits) if (fit && fit.cost < (best?.cost ?? unfilled(role))) best = fit;
  return best;
}

const banks = (demand: Demand, cans: readonly DesignLot[], at: 'output' | 'input'): readonly Fit[] =>
  cans
    .flatMap((lot) => COUNTS.map((count) => bankFit(demand, lot, { at, count })))
    .filter((fit): fit is Fit => fit !== undefined)
    .toSorted((a, b) => a.cost - b.cost);
const COUNTS = Array.from({ length: RULES.beside }, (_, index) => index + 1);

/** Both banks at their cheapest; where both want one lot, it must have pieces for both. A bank that cannot be filled is bought. */
function cheapestBanks(
  outputs: readonly Fit[],
  inputs: readonly Fit[],
): { readonly output?: Fit | undefined; readonly input?: Fit | undefined } {
  const { buy } = RULES.costs;
  let best: { readonly output?: Fit | undefined; readonly input?: Fit | undefined } = {};
  let cost = 2 * buy;
  for (const output of [...outputs, undefined]) {
    if ((output?.cost ?? buy) >= cost) break;
    // The inputs are in order: the first that leaves enough is the cheapest beside this output.
    const input = inputs.find((one) => one.lot !== output?.lot || one.count + output.count <= one.lot.pieces);
    const sum = (output?.cost ?? buy) + (input?.cost ?? buy);
    if (sum < cost) {
      cost = sum;
      best = { output, input };
    }
  }
  return best;
}

/**
 * The best parts of every role for a choke at a frequency. What a part costs hangs on the choke and the frequency alone, not on its
 * fellows, but for two banks of one lot: the cheapest of each role together are the cheapest of all combinations.
 */
function bestWith(spec: DesignSpec, demand: Demand, choke: Fit | undefined, drawers: Drawers): Design {
  const parts: Partial<Record<DesignRole, Fit>> = {};
  const set = (role: DesignRole, found: Fit | undefined) => {
    if (found) parts[role] = found;
  };
  const setCheapest = (role: DesignRole, fits: Iterable<Fit | undefined>) => set(role, cheapest(role, fits));
  set('choke', choke);
  setCheapest(
    'switch',
    drawers.switches.map((lot) => switchFit(demand, lot)),
  );
  setCheapest(
    'rectifier',
    drawers.rectifiers.map((lot) => rectifierFit(demand, lot)),
  );
  setCheapest(
    'snubber',
    drawers.links.map((lot) => snubberFit(demand, lot)),
  );
  const both = cheapestBanks(banks(demand, drawers.cans, 'output'), banks(demand, drawers.cans, 'input'));
  if (isPaired(demand.point.topology))
    setCheapest(
      'link',
      drawers.links.flatMap((lot) => COUNTS.map((count) => linkFit(demand, lot, count))),
    );
  set('output', both.output);
  set('input', both.input);
  return designOf(spec, demand, parts);
}

/** Which side of a circuit takes its current in pulses. */
const PULSES: Readonly<Record<Designed, number>> = { buck: 1, boost: 1, inverting: 2, sepic: 1, cuk: 0, flyback: 2 };

/** What counts against a design by the wish: what takes room, or what is heard and measured as noise. */
function wishCost({ wish }: DesignSpec, { point, peak, swing }: Demand, parts: Design['parts']): number {
  const { wishes } = RULES;
  if (wish === 'small') {
    const held = 0.5 * point.inductance * peak ** 2 * (isPaired(point.topology) ? 2 : 1);
    return wishes.millijoule * 1e3 * held + wishes.can * ((parts.output?.count ?? 1) + (parts.input?.count ?? 1));
  }
  return wish === 'quiet' ? wishes.swing * swing + wishes.pulses * PULSES[point.topology] : 0;
}

/** What parts in their roles come to. */
export function designOf(spec: DesignSpec, demand: Demand, parts: Readonly<Partial<Record<DesignRole, Fit>>>): Design {
  const { topology, frequency, inductance, turns } = demand.point;
  const roles = rolesOf(topology);
  const missing = roles.filter((role) => !parts[role] && !isSpared(role));
  const watts = roles.reduce((sum, role) => sum + (parts[role]?.watts ?? 0), 0);
  const power = Math.abs(spec.output) * spec.current;
  const cost =
    roles.reduce((sum, role) => sum + (parts[role]?.cost ?? unfilled(role)), 0) + wishCost(spec, demand, parts);
  return {
    topology,
    frequency,
    inductance,
    ...(turns === undefined ? {} : { turns }),
    parts,
    missing,
    demand,
    watts,
    efficiency: power / (power + watts),
    cost,
  };
}

/** Inductance and ratio of what stores: a choke, or the primary of a transformer. */
const woundAs = (topology: Designed, { ratings }: DesignLot) => ({
  inductance: ratings['inductance'] ?? 0,
  ...(topology === 'flyback' ? { turns: ratings['turnsRatio'] ?? 1 } : {}),
});

/**
 * Designs of a spec out of lots, the best first, that differ in circuit or choke. Every fitting lot of every role is weighed at every
 * frequency; the same stock gives the same answer.
 */
export function* searchDesigns(spec: DesignSpec, lots: readonly DesignLot[]): Steps<DesignResult | DesignProblem> {
  const wrong = specProblem(spec);
  if (wrong) return { wrong };
  const topologies = topologiesFor(spec);
  const drawers = drawersOf(lots);
  const perChoke = (topology: Designed) =>
    drawers.switches.length *
    drawers.rectifiers.length *
    (RULES.beside * drawers.cans.length) ** 2 *
    (1 + drawers.links.length) *
    (isPaired(topology) ? RULES.beside * drawers.links.length : 1);
  const best = new Map<string, Design>();
  let searched = 0;
  let done = 0;
  const keep = (key: string, design: Design) => {
    const before = best.get(key);
    if (!before || design.cost < before.cost) best.set(key, design);
  };
  for (const topology of topologies)
    for (const frequency of RULES.frequencies) {
      const wound = drawers.cores.flatMap(({ lot, core }) => woundLot(spec, lot, { topology, frequency, core }) ?? []);
      for (const lot of [...(topology === 'flyback' ? drawers.transformers : drawers.chokes), ...wound]) {
        const demand = demandOf(spec, { topology, frequency, ...woundAs(topology, lot) });
        const choke = demand && fitAs('choke', demand, { lot, count: 1 });
        searched += perChoke(topology);
        if (choke)
          keep(`${topology} ${lot.code}${lot.winding ? ' wound' : ''}`, bestWith(spec, demand, choke, drawers));
      }
      // A transformer is not wished for: it is there, or it is not.
      const wished = topology === 'flyback' ? undefined : inductanceFor(spec, topology, frequency);
      const demand = wished === undefined ? undefined : demandOf(spec, { topology, frequency, inductance: wished });
      if (demand) keep(`${topology} wished`, bestWith(spec, demand, undefined, drawers));
      done += 1;
      yield done / (topologies.length * RULES.frequencies.length);
    }
  const sorted = [...best.values()].toSorted((a, b) => a.cost - b.cost);
  return { designs: sorted.slice(0, RULES.told), searched };
}
