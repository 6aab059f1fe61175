import { practice } from '../evidence';
import { analyse, type Analysis, type FoundStage } from '../topology';
import {
  answerOf,
  elementOf,
  measured,
  nodeOf,
  periodOf,
  spiceOf,
  studyOf,
  type Answer,
  type PowerPart,
  type Study,
} from '../whatif';
import { WAYS, type Way } from './drive';
import { LINE_STAGES, lineCircuitOf } from './line';
import { BoardRails, type OutputRail, type StageRails } from './rails';
import { circuitOf, likeliestHeld, type OutputNodes, type StageCircuit } from './stage';
import { TYPICAL } from './typical';
import { valuesOf, type TracedUnit, type Used, type Values } from './unit';

/** An answer in which parts have the references of the board: of a double diode both halves are one part. */
function onBoard(answer: Answer, refOf: ReadonlyMap<string, string>): Answer {
  const named = (ref: string) => refOf.get(ref) ?? ref;
  return {
    ...answer,
    stresses: answer.stresses.map((stress) => ({ ...stress, ref: named(stress.ref) })),
    intervals: answer.intervals.map((one) => ({ ...one, conducts: [...new Set(one.conducts.map(named))] })),
    waves: { ...answer.waves, waves: answer.waves.waves.map((wave) => ({ ...wave, label: named(wave.label) })) },
  };
}

/** What a rail carries as the stage runs. */
export interface RailFigure {
  readonly at: string;
  readonly volts: number;
  readonly ripple: number;
  readonly amperes: number;
  /** What its divider holds it at, what the plate says, in volt. */
  readonly divider?: { readonly volts: number; readonly refs: readonly string[] };
  readonly plate?: number;
  readonly isOwnSupply: boolean;
  /** What it should carry, where a linear regulator makes an output of the plate from it. */
  readonly expected?: number;
  /** What holds it: the control; its turns; or nothing, as the control has reached its end. */
  readonly isHeld: boolean;
}

/** What a part is put under, and the heat it makes. */
export interface PartFigure {
  readonly ref: string;
  readonly watts: number;
}

/** One stage as it runs. */
export interface StageRun {
  readonly topology: string;
  /** The parts that make it, and all that run in it. */
  readonly refs: readonly string[];
  readonly parts: readonly string[];
  readonly inputVolts: number;
  readonly answer: Answer;
  readonly held: Study['operation']['held'];
  /** A pin of the output that the control was taken to hold. */
  readonly holding: string;
  readonly rails: readonly RailFigure[];
  readonly heat: readonly PartFigure[];
  /** The circuit as it was run, as a deck of the SPICE subset. */
  readonly deck: string;
}

/** A stage that is not run, with the reason and what to do. */
export interface NotRun {
  readonly topology: string;
  readonly why: string;
}

export interface BoardRun {
  readonly stages: readonly StageRun[];
  readonly notRun: readonly NotRun[];
  readonly used: readonly Used[];
}

/** A plan of all that is run of a board: its stages with what feeds and loads them, from the input to the outputs. */
export interface BoardPlan {
  readonly analysis: Analysis;
  readonly stages: readonly {
    readonly stage: FoundStage;
    /** Missing where it runs at the frequency of the mains. */
    readonly way?: Way;
    readonly rails: StageRails;
    readonly volts: number;
    readonly amperes: readonly number[];
  }[];
  readonly notRun: readonly NotRun[];
}

const NO_RAIL = -1;

/** The mains that a unit is run at where nobody says: as most of the world has it, when the plate allows it. */
const USUAL_MAINS = 230;
/** A rectified and filtered mains stands this much of its peak, on the average. */
const OF_PEAK = practice(0.95);

/** Volts at the input: chosen, else in the middle of what the plate allows. */
export function inputOf({ board, inputVolts }: TracedUnit): number | undefined {
  const input = board.nameplate?.input;
  const [low, high] = [input?.vMin ?? input?.vMax, input?.vMax ?? input?.vMin];
  if (inputVolts !== undefined) return inputVolts;
  if (low === undefined || high === undefined) return undefined;
  return input?.kind === 'ac' && low <= USUAL_MAINS && high >= USUAL_MAINS ? USUAL_MAINS : (low + high) / 2;
}

/** What of a board can be run, with what each stage is fed and loaded with. */
export function planOf(unit: TracedUnit, analysis: Analysis, values: Values): BoardPlan {
  const found = analysis.recognition.stages;
  const board = new BoardRails(analysis, unit);
  const notRun: NotRun[] = [];
  const known = found.flatMap((stage): readonly { stage: FoundStage; way?: Way; rails: StageRails }[] => {
    if (LINE_STAGES.has(stage.topology)) {
      const outputs = board.behindLine(stage);
      if (outputs.length === 0) notRun.push({ topology: stage.topology, why: 'what it makes is not traced' });
      return outputs.length > 0 ? [{ stage, rails: { plus: NO_RAIL, minus: NO_RAIL, outputs } }] : [];
    }
    const way = WAYS[stage.topology];
    const rails = way && board.of(stage);
    if (!way) notRun.push({ topology: stage.topology, why: 'such a stage is not run from a traced board yet' });
    else if (!rails || rails.outputs.length === 0)
      notRun.push({ topology: stage.topology, why: 'what it is fed from, or what it makes, is not traced' });
    return way && rails && rails.outputs.length > 0 ? [{ stage, way, rails }] : [];
  });
  // What the plate promises and no stage that can be run gives is given by others, which the first rails feed.
  const given = known.flatMap(({ rails }) =>
    rails.outputs.flatMap(({ plate }) => (plate ? [plate.volts * (plate.amperes ?? 0)] : [])),
  );
  const promised = (unit.board.nameplate?.outputs ?? []).reduce((sum, { v, i }) => sum + Math.abs(v) * (i ?? 0), 0);
  const elsewhere = Math.max(0, promised - given.reduce((sum, watts) => sum + watts, 0));
  const amperesOf = new Map<FoundStage, readonly number[]>();
  // Power is reckoned from the outputs back: what feeds another stage carries its power too.
  const powerOf = (stage: FoundStage, seen: readonly FoundStage[]): number => {
    const one = known.find((entry) => entry.stage === stage);
    if (!one || seen.includes(stage)) return 0;
    const amperes = one.rails.outputs.map((output) => {
      const after = known.filter(({ stage: other, rails }) => other !== stage && output.rails.includes(rails.plus));
      const passed = after.reduce(
        (sum, { stage: other }) => sum + powerOf(other, [...seen, stage]) / TYPICAL.efficiency,
        0,
      );
      const own = output.plate
        ? output.plate.amperes
        : stage.topology === 'boost-pfc' &&
            after.every(({ rails }) =>
              rails.outputs.every(({ plate }) => !plate || plate.volts * (plate.amperes ?? 0) < elsewhere),
            )
          ? elsewhere / TYPICAL.efficiency / output.volts
          : after.length > 0
            ? 0
            : regulated(output.rails, analysis) || (output.isOwnSupply ? TYPICAL.controllerAmperes : undefined);
      const taken = own ?? (output.isOwnSupply ? TYPICAL.controllerAmperes : UNSAID);
      values.note({
        ref: output.at,
        name: 'load',
        label: 'load',
        value: taken + passed / output.volts,
        unit: 'ampere',
        ...sayLoad(output),
      });
      return taken + passed / output.volts;
    });
    amperesOf.set(stage, amperes);
    return one.rails.outputs.reduce((sum, { volts }, index) => sum + volts * (amperes[index] ?? 0), 0);
  };
  for (const { stage } of known) powerOf(stage, []);
  const input = inputOf(unit);
  const isMains = unit.board.nameplate?.input?.kind !== 'dc';
  const voltsOf = (rail: number, stage: FoundStage): number | undefined => {
    for (const other of known)
      if (other.stage !== stage)
        for (const output of other.rails.outputs) if (output.rails.includes(rail)) return output.volts;
    if (input === undefined) return undefined;
    if (!isMains || LINE_STAGES.has(stage.topology)) return input;
    const peak = input * Math.SQRT2;
    return stage.topology === 'boost-pfc' ? peak : peak * OF_PEAK;
  };
  const stages = known.flatMap(({ stage, way, rails }) => {
    const volts = voltsOf(rails.plus, stage);
    const isIdle = stage.topology === 'boost-pfc' && Math.max(...(amperesOf.get(stage) ?? [])) <= 0;
    if (isIdle) {
      notRun.push({
        topology: stage.topology,
        why: 'what it feeds cannot be run, and the plate does not say how much that takes',
      });
      return [];
    }
    if (volts === undefined) notRun.push({ topology: stage.topology, why: 'the plate does not say what feeds it' });
    return volts === undefined
      ? []
      : [{ stage, ...(way ? { way } : {}), rails, volts, amperes: amperesOf.get(stage) ?? [] }];
  });
  return { analysis, stages, notRun };
}

/** Where the load of an output comes from. */
const sayLoad = ({ plate, isOwnSupply }: OutputRail): Pick<Used, 'source' | 'why' | 'isOwnSupply'> =>
  plate?.amperes !== undefined
    ? { source: 'typed', why: 'full load by the plate' }
    : isOwnSupply
      ? { source: 'typical', why: 'what a controller takes', isOwnSupply }
      : { source: 'typical', why: 'the plate says none' };

/** What is taken where neither the plate nor the board says it, ampere. */
const UNSAID = practice(0.1);

/** What the outputs behind linear regulators take from their common input, ampere. */
function regulated(rails: readonly number[], { recognition: { model } }: Analysis): number {
  const outputs = model.board.nameplate?.outputs ?? [];
  return model.board.parts
    .filter((part) => part.kind === 'regulator' && rails.includes(model.rails.at(part, 'IN')))
    .reduce((sum, part) => {
      const marked = /7[89]\D?(\d\d)/.exec(part.marking ?? '')?.[1];
      return sum + (outputs.find(({ v }) => Math.abs(v) === Number(marked))?.i ?? UNSAID);
    }, 0);
}

/** Runs every stage of a traced board that can be run. @param of.isOver asked between periods; true ends the search */
export function runBoard(
  unit: TracedUnit,
  of: {
    /** Only the stage with this part in it is run. */
    readonly only?: string;
    /** An output that is tried first as the one that is held, by a pin of it. */
    readonly holding?: string;
    readonly isOver?: () => boolean;
    readonly onStage?: (done: number, all: number) => void;
  } = {},
): BoardRun {
  const values = valuesOf(unit);
  const plan = planOf(unit, analyse(unit.board), values);
  const notRun = [...plan.notRun];
  const stages: StageRun[] = [];
  const { only } = of;
  const wanted = plan.stages.filter(({ stage }) => only === undefined || refsOf(stage).includes(only));
  wanted.forEach((entry, index) => {
    of.onStage?.(index, wanted.length);
    const run = runStage(unit, plan, entry, values, of);
    if ('why' in run) notRun.push(run);
    else stages.push(run);
  });
  return { stages, notRun, used: values.used() };
}

/** Turns that nobody measured are put right until the output comes about so nearly, and so often at most. */
const NEAR_ENOUGH = 0.03;
const MOST_ROUNDS = 3;

/** An output that stays below so much of what it should have is not held by the control, but dead. */
const DEAD = 0.2;

/** Runs a stage with the output held that most likely is; where that one is dead, with the next. */
function runStage(
  unit: TracedUnit,
  plan: BoardPlan,
  entry: BoardPlan['stages'][number],
  values: Values,
  of: { readonly holding?: string; readonly isOver?: () => boolean },
): StageRun | NotRun {
  const { outputs } = entry.rails;
  let first: StageRun | NotRun | undefined;
  const isAsked = (index: number) => Number(outputs[index]?.at === of.holding);
  for (const main of likeliestHeld(outputs, entry.amperes).toSorted((a, b) => isAsked(b) - isAsked(a))) {
    if (first && outputs[main]?.isOwnSupply) break;
    const run = runHolding(unit, plan, entry, values, { ...of, main });
    const held = 'rails' in run ? run.rails.find(({ at }) => at === outputs[main]?.at) : undefined;
    if (!held || Math.abs(held.volts) > DEAD * (outputs[main]?.volts ?? 0)) return first && !held ? first : run;
    first ??= run;
  }
  return first ?? { topology: entry.stage.topology, why: 'no output of it is known' };
}

function runHolding(
  unit: TracedUnit,
  plan: BoardPlan,
  { stage, way, rails, volts, amperes }: BoardPlan['stages'][number],
  values: Values,
  {
    main,
    isOver,
    correction = 1,
    rounds = MOST_ROUNDS,
  }: { readonly main: number; readonly isOver?: () => boolean; readonly correction?: number; readonly rounds?: number },
): StageRun | NotRun {
  const { recognition } = plan.analysis;
  const task = { unit, recognition, stage, volts, amperes, values };
  const built = way
    ? circuitOf({ ...task, way, rails, main })
    : lineCircuitOf({ ...task, outputs: rails.outputs, correction });
  const { topology } = stage;
  if ('missing' in built) return { topology, why: `it is not known ${built.missing}` };
  const study = studyOf(built.circuit, {}, isOver ? { isOver } : {});
  if (!way && !('kind' in study)) {
    const came = study.output.volts / (built.outputs[0]?.output.volts ?? 1);
    const isChosen = values
      .used()
      .some(({ name, source, ref }) => name === 'turnsRatio' && source === 'typical' && refsOf(stage).includes(ref));
    const next = correction / Math.max(came, 0.3);
    if (isChosen && came > DEAD && Math.abs(came - 1) > NEAR_ENOUGH && rounds > 0)
      return runHolding(unit, plan, { stage, rails, volts, amperes }, values, {
        main,
        ...(isOver ? { isOver } : {}),
        correction: next,
        rounds: rounds - 1,
      });
  }
  if ('kind' in study)
    return {
      topology,
      why:
        study.kind === 'singular'
          ? `nothing fixes the voltage at ${study.nodes.join(', ')}`
          : 'its circuit cannot be put in equations',
    };
  const answer = answerOf(study);
  if (!answer.isSettled) return { topology, why: 'no state that repeats was found in the time given' };
  if (study.operation.held === 'least' && built.circuit.drive.kind === 'duty')
    return { topology, why: 'so little is taken from it that its control leaves pulses out' };
  return {
    topology,
    refs: refsOf(stage),
    parts: [...new Set(built.refOf.values())],
    inputVolts: volts,
    answer: onBoard(answer, built.refOf),
    held: study.operation.held,
    holding: rails.outputs[main]?.at ?? '',
    rails: railFigures(built, study, rails.outputs[main]),
    heat: heatIn(built, study),
    deck: spiceOf(study),
  };
}

const refsOf = ({ switches, rectifiers, magnetics }: FoundStage): readonly string[] =>
  [...switches, ...rectifiers, ...magnetics].map(({ ref }) => ref);

function railFigures({ outputs }: StageCircuit, study: Study, main: OutputRail | undefined): readonly RailFigure[] {
  const found = measured(
    periodOf(study.operation),
    outputs.flatMap(({ plus, minus }) => {
      const signal = { kind: 'volts', plus: nodeOf(plus), minus: nodeOf(minus) } as const;
      return [{ op: 'avg', signal } as const, { op: 'pp', signal } as const];
    }),
  );
  return outputs.map(({ output, amperes }: OutputNodes, index): RailFigure => {
    const volts = found[2 * index] ?? Number.NaN;
    return {
      at: output.at,
      volts: output.isNegative ? -volts : volts,
      ripple: found[2 * index + 1] ?? Number.NaN,
      amperes: (amperes * volts) / output.volts,
      ...(output.divided ? { divider: output.divided } : {}),

      ...(output.plate ? { plate: output.isNegative ? -output.plate.volts : output.plate.volts } : {}),
      isOwnSupply: output.isOwnSupply,
      ...(output.feedsRegulator ? { expected: output.isNegative ? -output.volts : output.volts } : {}),
      isHeld: output === main && study.operation.held === 'output',
    };
  });
}

/** Heat of each part of the board, the hottest first, watt. */
function heatIn({ circuit, refOf }: StageCircuit, study: Study): readonly PartFigure[] {
  const parts = circuit.parts({});
  const elements = parts.flatMap((part) =>
    refOf.has(part.ref) ? lossy(part).map((element) => ({ part, element })) : [],
  );
  const watts = measured(
    periodOf(study.operation),
    elements.map(({ element }) => ({ op: 'avg', signal: { kind: 'watts', element } })),
  );
  const sum = new Map<string, number>();
  elements.forEach(({ part }, index) => {
    const ref = refOf.get(part.ref) ?? part.ref;
    const own = watts[index] ?? 0;
    if (Number.isFinite(own)) sum.set(ref, (sum.get(ref) ?? 0) + own);
  });
  return [...sum].map(([ref, own]) => ({ ref, watts: own })).toSorted((a, b) => b.watts - a.watts);
}

/** The elements of a part that make heat. */
function lossy({ ref, model }: PowerPart): readonly string[] {
  switch (model.kind) {
    case 'resistor':
    case 'link':
      return [elementOf(ref)];
    case 'diode':
      return [elementOf(ref), ...(model.zener === undefined ? [] : [elementOf(ref, '.z')])];
    case 'mosfet':
      return [elementOf(ref), ...(model.farads > 0 ? [elementOf(ref, '.damping')] : [])];
    case 'capacitor':
      return model.ohms > 0 ? [elementOf(ref, '.esr')] : [];
    case 'choke':
      return model.ohms > 0 ? [elementOf(ref, '.dcr')] : [];
    case 'transformer':
      return model.windings.flatMap(({ ohms }, index) => (ohms > 0 ? [elementOf(ref, `.r${index + 1}`)] : []));
    case 'bridge':
      return [1, 2, 3, 4].map((leg) => elementOf(ref, `.${leg}`));
    default:
      return [];
  }
}
