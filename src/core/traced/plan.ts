import { practice } from '../evidence';
import type { Analysis, FoundStage } from '../topology';
import { WAYS, type Way } from './drive';
import { LINE_STAGES } from './line';
import { BoardRails, type OutputRail, type StageRails } from './rails';
import { TYPICAL } from './typical';
import type { TracedUnit, Used, Values } from './unit';

/** A stage that is not run, with the reason and what to do. */
export interface NotRun {
  readonly topology: string;
  readonly why: string;
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
