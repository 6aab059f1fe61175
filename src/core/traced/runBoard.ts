import { analyse } from '../topology';
import { answerOf, spiceOf, studyOf, type Answer, type Study } from '../whatif';
import { guessedAt, heatIn, onBoard, railFigures, refsOf, type PartFigure, type RailFigure } from './figures';
import { lineCircuitOf } from './line';
import { planOf, type BoardPlan, type NotRun } from './plan';
import { circuitOf, likeliestHeld } from './stage';
import { valuesOf, type TracedUnit, type Used, type Values } from './unit';

/** One stage as it runs. */
export interface StageRun {
  readonly topology: string;
  /** The parts that make it, and all that run in it. */
  readonly refs: readonly string[];
  readonly parts: readonly string[];
  /** Parts on rails whose volts follow from turns that nobody measured, and that nothing holds: their stress says nothing. */
  readonly guessed: readonly string[];
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

export interface BoardRun {
  readonly stages: readonly StageRun[];
  readonly notRun: readonly NotRun[];
  readonly used: readonly Used[];
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
  } = {},
): BoardRun {
  const values = valuesOf(unit);
  const plan = planOf(unit, analyse(unit.board), values);
  const notRun = [...plan.notRun];
  const stages: StageRun[] = [];
  const { only } = of;
  const wanted = plan.stages.filter(({ stage }) => only === undefined || refsOf(stage).includes(only));
  for (const entry of wanted) {
    const run = runStage(unit, plan, entry, values, of);
    if ('why' in run) notRun.push(run);
    else stages.push(run);
  }
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
    guessed: guessedAt(
      stage,
      rails.outputs.filter((_, index) => index !== main),
      recognition,
      values,
    ),
    inputVolts: volts,
    answer: onBoard(answer, built.refOf),
    held: study.operation.held,
    holding: rails.outputs[main]?.at ?? '',
    rails: railFigures(built, study, rails.outputs[main]),
    heat: heatIn(built, study),
    deck: spiceOf(study),
  };
}
