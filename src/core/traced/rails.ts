import { practice } from '../evidence';
import {
  chainsFrom,
  dividedAt,
  levelsOf,
  outputGroups,
  stackedRails,
  tapsOf,
  voltagesOf,
  type OutputGroup,
} from '../findings';
import { isPolarised, outputOf, type Analysis, type FoundStage } from '../topology';
import { railEstimates } from '../walk';
import type { TracedUnit } from './unit';

/** What a rail of an output carries, and what is taken from it. */
export interface OutputRail {
  readonly rail: number;
  readonly ground: number;
  /** Against its return, as a magnitude. */
  readonly volts: number;
  readonly isNegative: boolean;
  readonly why: string;
  /** Volts that a feedback divider holds it at, with the resistors that say so. */
  readonly divided?: { readonly volts: number; readonly refs: readonly string[] };
  /** What the plate says of it. */
  readonly plate?: { readonly volts: number; readonly amperes?: number };
  /** A pin on it that a person finds. */
  readonly at: string;
  /** Every rail of this output, behind filter chokes and disconnect switches too. */
  readonly rails: readonly number[];
  /** Feeds a chip of the unit itself. */
  readonly isOwnSupply: boolean;
  /** A linear regulator takes its input here. */
  readonly feedsRegulator: boolean;
}

/** Where a stage takes its power, and where it gives it. */
export interface StageRails {
  readonly plus: number;
  readonly minus: number;
  readonly outputs: readonly OutputRail[];
}

/** An output of the plate on the rails that give it. */
interface Named {
  readonly rails: readonly number[];
  readonly ground: number;
  /** Signed, volt. */
  readonly volts: number;
  readonly amperes?: number;
  readonly why: string;
}

/** A store between two rails: the plus of its capacitors on the first, in farad, and what the least of them stands, in volt. */
interface Store {
  readonly plus: number;
  readonly minus: number;
  readonly farads: number;
  readonly rated: number | undefined;
}

/** Capacitors that are not polarised hold an output from here on, farad. */
const HOLDS_AT_LEAST = practice(0.9e-6);
/** What is reckoned for a polarised capacitor of unknown size, to compare stores by, farad. */
const UNKNOWN_FARADS = 47e-6;
/** Capacitors are run at about this share of their rating. */
const USUAL_SHARE = practice(0.7);
/** A rail whose capacitors are rated so far from an output of the plate, as a logarithm, does not give it. */
const TOO_FAR = 1;

/** The rails of a board by what they carry, as far as the plate, dividers, markings and ratings say. */
export class BoardRails {
  private readonly levels;
  private readonly estimates;
  private readonly voltages;
  private readonly stores: readonly Store[];
  private readonly named: readonly Named[];

  constructor(
    private readonly analysis: Analysis,
    private readonly unit: TracedUnit,
  ) {
    this.levels = levelsOf(analysis.recognition);
    this.voltages = voltagesOf(analysis.recognition);
    this.estimates = railEstimates(analysis);
    this.stores = this.storesOf();
    this.named = this.namedOutputs(outputGroups(analysis.recognition));
  }

  private get model() {
    return this.analysis.recognition.model;
  }

  /** Name of a pin on a rail: of a store before any other. */
  pinOn(rail: number): string {
    const pins = this.model.rails.on(rail);
    const found =
      pins.find(({ part, pin }) => isPolarised(part) && pin === '+') ??
      pins.find(({ part }) => part.kind === 'capacitor') ??
      pins[0];
    return found ? `${found.part.ref}.${found.pin}` : '';
  }

  islandOf(rail: number): number {
    const { model, barrier } = this.analysis.recognition;
    const [pin] = model.rails.on(rail);
    return pin ? barrier.islands.of(model.nets.of(`${pin.part.ref}.${pin.pin}`)) : -1;
  }

  /** The rails a stage stands between. */
  of(stage: FoundStage): StageRails | undefined {
    const ends = this.sourceOf(stage);
    if (!ends) return undefined;
    const [plus, minus] = ends;
    return { plus, minus, outputs: this.outputsOf(stage, plus, minus) };
  }

  /** What a stage makes that takes its power from the mains itself. */
  behindLine(stage: FoundStage): readonly OutputRail[] {
    return this.outputsOf(stage, NO_RAIL, NO_RAIL);
  }

  private outputsOf(stage: FoundStage, plus: number, minus: number): readonly OutputRail[] {
    const outputs: OutputRail[] = [];
    for (const { rail, ground } of this.pairsOf(stage, plus, minus)) {
      if (outputs.some(({ rails }) => rails.includes(rail))) continue;
      const one = this.outputAt(rail, ground);
      if (one && !this.isBehindReactor(stage, one)) outputs.push(one);
    }
    return outputs;
  }

  /** Whether a choke stands between the winding and the rectifiers of an output: it is a saturable one, and has a control of its own. */
  private isBehindReactor({ magnetics }: FoundStage, { rails }: OutputRail): boolean {
    const { elements } = this.model;
    const windings = elements.windings.filter(({ part }) => part.kind === 'transformer' && magnetics.includes(part));
    const onWinding = (rail: number) => windings.some(({ rails: own }) => own.includes(rail));
    const chokes = elements.inductive.filter(({ part }) => part.kind === 'inductor');
    const behind = (rail: number) => chokes.flatMap(({ a, b }) => (a === rail ? [b] : b === rail ? [a] : []));
    const points = rails.flatMap((rail) => [rail, ...behind(rail)]);
    return elements.rectifiers.some(
      ({ from, to, isBody }) =>
        !isBody && points.includes(to) && !onWinding(from) && behind(from).some((rail) => onWinding(rail)),
    );
  }

  /** Each rail that a stage makes with the one it is held against. */
  private pairsOf(stage: FoundStage, plus: number, minus: number): readonly { rail: number; ground: number }[] {
    const middles = new Set(stackedRails(this.analysis.recognition).map(({ middle }) => middle));
    const made = [...new Set([...stage.outputs, ...this.windingRails(stage)])].filter(
      (rail) => rail !== plus && !middles.has(rail),
    );
    const returns = new Set([minus, ...this.named.map(({ ground }) => ground)]);
    const reach = (start: number): ReadonlySet<number> => {
      const seen = new Set([start]);
      for (const rail of seen)
        for (const store of this.stores)
          for (const [near, far] of [
            [store.plus, store.minus],
            [store.minus, store.plus],
          ] as const)
            if (near === rail && (made.includes(far) || far === minus)) seen.add(far);
      return seen;
    };
    for (const rail of made) {
      const group = [...reach(rail)];
      if (group.some((one) => returns.has(one)) || group.length < 2) continue;
      returns.add(group.reduce((best, one) => (this.footing(one) > this.footing(best) ? one : best)));
    }
    return made.flatMap((rail) => {
      if (returns.has(rail)) return [];
      const named = this.named.find(({ rails }) => rails.includes(rail));
      if (named) return [{ rail, ground: named.ground }];
      const near = this.stores
        .filter((store) => store.plus === rail || store.minus === rail)
        .toSorted((a, b) => b.farads - a.farads)
        .map((store) => (store.plus === rail ? store.minus : store.plus))
        .find((far) => returns.has(far));
      return near === undefined ? [] : [{ rail, ground: near }];
    });
  }

  /** How much a rail looks like a return: stores to several others, their minus, pins in all. */
  private footing(rail: number): number {
    const pins = this.model.rails.on(rail);
    const others = new Set(
      this.stores.flatMap(({ plus, minus }) => (plus === rail ? [minus] : minus === rail ? [plus] : [])),
    );
    const minus = pins.filter(({ part, pin }) => isPolarised(part) && pin === '-').length;
    return 100 * others.size + 10 * minus + pins.length;
  }

  private sourceOf({ sources }: FoundStage): readonly [number, number] | undefined {
    const [a, b] = [...new Set(sources)];
    if (a === undefined || b === undefined) return undefined;
    const by = this.levels.compare(a, b);
    const up = by === 0 ? this.footing(b) - this.footing(a) : by;
    return up >= 0 ? [a, b] : [b, a];
  }

  /** Rails that the windings of a stage charge besides its outputs, such as the supply of its controller. */
  private windingRails({ magnetics, sources }: FoundStage): readonly number[] {
    return this.model.elements.windings
      .filter(({ part }) => part.kind === 'transformer' && magnetics.includes(part))
      .flatMap((winding) => outputOf(winding, this.model)?.rails ?? [])
      .filter((rail) => !sources.includes(rail));
  }

  private storesOf(): readonly Store[] {
    const found = new Map<string, Store>();
    for (const { part, a, b, polarised } of this.model.elements.capacitors) {
      if (part.subtype === 'x' || part.subtype === 'y' || a === b) continue;
      const farads = part.value?.capacitance ?? (polarised ? UNKNOWN_FARADS : 0);
      if (!polarised && farads < HOLDS_AT_LEAST) continue;
      const key = [a, b].toSorted((x, y) => x - y).join(' ');
      const before = found.get(key);
      const rated = polarised ? part.value?.voltage : undefined;
      found.set(key, {
        plus: before?.plus ?? a,
        minus: before?.minus ?? b,
        farads: farads + (before?.farads ?? 0),
        rated: before?.rated === undefined ? rated : Math.min(before.rated, rated ?? Infinity),
      });
    }
    return [...found.values()];
  }

  private faradsOn(rails: readonly number[]): number {
    return this.stores.reduce(
      (sum, { plus, minus, farads }) => (rails.includes(plus) || rails.includes(minus) ? sum + farads : sum),
      0,
    );
  }

  /** Outputs of the plate on their rails: as the findings tell, and what is left on the rails whose capacitors fit best. */
  private namedOutputs(groups: readonly OutputGroup[]): readonly Named[] {
    const left = [...(this.unit.board.nameplate?.outputs ?? [])].toSorted((a, b) => (b.i ?? 0) - (a.i ?? 0));
    const named: Named[] = [];
    // Of two outputs with the same volts the larger store gives the larger current.
    for (const group of groups.toSorted((a, b) => this.faradsOn(b.rails) - this.faradsOn(a.rails))) {
      const at = left.findIndex(({ v }) => v === group.volts);
      const [output] = at < 0 ? [] : left.splice(at, 1);
      if (group.volts === undefined) continue;
      named.push({
        rails: group.rails,
        ground: group.ground,
        volts: group.volts,
        ...(output?.i === undefined ? {} : { amperes: output.i }),
        why: group.why,
      });
    }
    const made = new Set(
      this.analysis.recognition.stages.flatMap((stage) =>
        stage.topology === 'boost-pfc' ? [] : stage.outputs.filter((rail) => !stage.sources.includes(rail)),
      ),
    );
    const isTaken = (rail: number) => named.some(({ rails, ground }) => rails.includes(rail) || ground === rail);
    for (const { v, i } of left) {
      const fits = this.stores
        .flatMap((store) => {
          const [rail, ground] =
            this.footing(store.plus) > this.footing(store.minus)
              ? [store.minus, store.plus]
              : [store.plus, store.minus];
          const isNegative = rail === store.minus;
          if (!made.has(rail) || isTaken(rail) || isNegative !== v < 0) return [];
          const cost =
            store.rated === undefined ? TOO_FAR / 2 : Math.abs(Math.log((USUAL_SHARE * store.rated) / Math.abs(v)));
          return cost > TOO_FAR ? [] : [{ rail, ground, cost: cost - 0.1 * Math.log10(store.farads / 1e-3) }];
        })
        .toSorted((a, b) => a.cost - b.cost);
      const [best] = fits;
      if (best)
        named.push({
          rails: [best.rail],
          ground: best.ground,
          volts: v,
          ...(i === undefined ? {} : { amperes: i }),
          why: `the plate says ${v} V, and its capacitors fit that`,
        });
    }
    return named;
  }

  private outputAt(rail: number, ground: number): OutputRail | undefined {
    const { model } = this;
    const named = this.named.find((one) => one.rails.includes(rail));
    const rails = named?.rails ?? [rail];
    const divided = rails.flatMap((one) =>
      tapsOf(model).flatMap((tap) => {
        const found = tap.ground === ground || named ? dividedAt(one, tap, model) : undefined;
        if (!found) return [];
        const refs = chainsFrom(tap.rail, model)
          .filter((chain) => chain.rail === one || chain.rail === tap.ground)
          .flatMap(({ parts }) => parts.map(({ ref }) => ref));
        return [{ volts: found.volts, refs: [...new Set([...refs, tap.part.ref])] }];
      }),
    )[0];
    const estimate = this.estimates.find(({ at, volts }) => volts !== undefined && rails.includes(this.railOf(at)));
    const across = this.voltages.across(rail, ground);
    const told =
      (divided && { volts: divided.volts, why: 'held by its divider' }) ??
      named ??
      (across === undefined ? undefined : { volts: across, why: 'follows from what feeds it' }) ??
      (estimate?.volts === undefined ? undefined : { volts: estimate.volts, why: estimate.why });
    if (!told || Math.abs(told.volts) < LEAST_VOLTS) return undefined;
    return {
      rail,
      ground,
      volts: Math.abs(told.volts),
      isNegative: named ? named.volts < 0 : this.levels.compare(rail, ground) < 0,
      why: told.why,
      ...(divided ? { divided } : {}),
      ...(named
        ? {
            plate: { volts: Math.abs(named.volts), ...(named.amperes === undefined ? {} : { amperes: named.amperes }) },
          }
        : {}),
      at: this.pinOn(rail),
      rails,
      isOwnSupply: !named,
      feedsRegulator: rails.some((one) =>
        model.rails.on(one).some(({ part, pin }) => part.kind === 'regulator' && pin === 'IN'),
      ),
    };
  }

  private railOf(pin: string): number {
    const { nets, rails } = this.model;
    const net = nets.of(pin);
    return net < 0 ? -1 : rails.ofNet(net);
  }
}

const NO_RAIL = -1;

/** What is below is no rail, volt. */
const LEAST_VOLTS = 0.3;
