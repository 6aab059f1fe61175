import { sampleRun, writeDeck, type NetworkProblem, type Run, type Signal } from '../circuit';
import { deathsOf, type Death } from './deaths';
import { elementOf, nodeOf } from './elements';
import { headline, isSound, reasons, skipsPulses, whatHappens } from './explain';
import type { Fault } from './faults';
import type { Interval } from './mode';
import { outputOf, periodOf } from './operate';
import type { Trace } from './powerCircuit';
import { peaksOf, STRESS_WORDS, type Stress, type StressKind } from './stresses';
import type { Unit } from '../quantity';
import { onsetOf, studySetting, type OutputFigures, type Study } from './study';

/** One signal over time, with the rating that it must stay under. */
export interface Wave {
  readonly label: string;
  readonly unit: 'V' | 'A';
  readonly values: Float64Array;
  readonly limit?: { readonly value: number; readonly ref: string };
}

export interface WaveSet {
  /** From the start of the period, or from the fault. */
  readonly seconds: Float64Array;
  readonly waves: readonly Wave[];
}

/** A circuit as it runs, in figures and words that cross a thread. */
export interface Answer {
  readonly headline: string;
  readonly reasons: readonly string[];
  /** Duty or frequency as it was found or set. */
  readonly control?: number;
  readonly period: number;
  readonly output: OutputFigures;
  readonly input: Study['input'];
  readonly stresses: readonly Stress[];
  readonly intervals: readonly Interval[];
  readonly waves: WaveSet;
  /** What stands beside a part on the drawing, by reference. */
  readonly figures: Readonly<Record<string, { readonly value: number; readonly unit: Unit }>>;
  /** Whether the figures may be built on: a state that repeats was found. */
  readonly isSettled: boolean;
  /** The search was ended before its time and may go on. */
  readonly isUnderWay: boolean;
}

/** What comes of a fault. */
export interface FaultAnswer {
  readonly kind: Fault['kind'];
  /** Missing where it could not be worked out. */
  readonly told?: {
    readonly what: string;
    readonly deaths: readonly Death[];
    /** Of a circuit that comes to rest with the fault in it. */
    readonly waves?: WaveSet;
  };
}

const POINTS = 420;
/** The figure that a part is told by, the first it has. */
const FIGURE: readonly StressKind[] = ['breakdown', 'mean', 'ripple', 'core', 'heat', 'effective'];

/** What a page shows of a study. */
export function answerOf(study: Study): Answer {
  const { operation, stresses, intervals, output, input } = study;
  const figures: Record<string, { value: number; unit: Unit }> = {};
  for (const kind of FIGURE)
    for (const one of stresses)
      if (one.kind === kind) figures[one.ref] ??= { value: one.value, unit: STRESS_WORDS[kind].unit };
  for (const { ref, model } of study.setting.parts) {
    if (model.kind === 'supply' || model.kind === 'mains') figures[ref] = { value: input.volts, unit: 'volt' };
    if (model.kind === 'load') figures[ref] = { value: output.volts, unit: 'volt' };
  }
  return {
    headline: headline(study),
    reasons: reasons(study),
    ...(operation.control === undefined ? {} : { control: operation.control }),
    period: operation.period,
    output,
    input,
    stresses,
    intervals,
    waves: wavesOf(study),
    figures,
    isSettled: isSound(operation),
    isUnderWay: operation.isCut,
  };
}

/**
 * What a fault does to a circuit that runs. @param isOver asked between periods; a fault that takes longer is not told
 */
export function faultAnswer(fault: Fault, healthy: Study, isOver: () => boolean): FaultAnswer {
  const { kind } = fault;
  const setting = fault.apply(healthy);
  const after =
    fault.course === 'settles'
      ? studySetting(setting, { nearby: healthy.operation, isOver })
      : onsetOf(setting, healthy);
  if (isProblem(after)) return { kind };
  if ('passed' in after ? !isOrderly(after.piece.run) : !isSound(after.operation) || isOver()) return { kind };
  return {
    kind,
    told: {
      what: whatHappens(fault, healthy, after),
      deaths: 'operation' in after && skipsPulses(fault, after) ? [] : deathsOf(after, healthy),
      ...('passed' in after || skipsPulses(fault, after) ? {} : { waves: wavesOf(after) }),
    },
  };
}

/** Run to its end, with every diode in its order. */
const isOrderly = ({ unsettled, cut }: Run) => unsettled === 0 && cut === undefined;

const isProblem = (one: object): one is NetworkProblem => 'kind' in one;

/** The circuit with its gates as they were found, as a deck of the SPICE subset. */
export const spiceOf = ({ operation: { deck } }: Study): string => writeDeck(deck);

function wavesOf({ setting, operation, stresses, output }: Study): WaveSet {
  const piece = periodOf(operation);
  const { circuit, parts } = setting;
  const partOf = (ref: string) => parts.find((part) => part.ref === ref);
  const signalOf = ({ of }: Trace): Signal => {
    if (of === 'ripple' || of === 'output') return outputOf(circuit);
    if ('volts' in of) {
      const pins = partOf(of.volts)?.drawn.pins ?? {};
      const [a, b] = [
        pins['D'] ?? pins['+'] ?? pins['MT2'] ?? pins['1'],
        pins['S'] ?? pins['-'] ?? pins['MT1'] ?? pins['2'],
      ];
      return { kind: 'volts', plus: nodeOf(a ?? '0'), minus: nodeOf(b ?? '0') };
    }
    return { kind: 'amperes', element: elementOf(of.amperes) };
  };
  const known = circuit.traces.filter(
    ({ of }) => typeof of === 'string' || partOf('volts' in of ? of.volts : of.amperes),
  );
  const sampled = sampleRun(piece.network, piece.run, { ...piece, points: POINTS, signals: known.map(signalOf) });
  const shown = known.flatMap(({ of }) => (typeof of === 'object' && 'amperes' in of ? [of.amperes] : []));
  const switches = [...new Set(shown)].filter((ref) => partOf(ref)?.model.kind === 'mosfet');
  const highest = peaksOf(switches, piece, operation.gates);
  const peaks = new Map(switches.map((ref, index) => [ref, highest[index] ?? Infinity]));
  return {
    seconds: sampled.seconds.map((second) => second - piece.from),
    waves: known.flatMap(({ label, unit, of }, index): readonly Wave[] => {
      const values = sampled.signals[index]?.values;
      if (!values) return [];
      const ref = typeof of === 'object' && 'amperes' in of ? of.amperes : '';
      // What charges as a gate closes is over at once, and would hide all that follows.
      const peak = peaks.get(ref) ?? Infinity;
      const shownValues = (all: Float64Array) =>
        of === 'ripple' ? all.map((value) => value - output.volts) : all.map((value) => Math.min(value, peak));
      const rating =
        typeof of === 'object' && 'volts' in of
          ? stresses.find(({ ref, kind }) => ref === of.volts && (kind === 'breakdown' || kind === 'voltage'))
          : undefined;
      return [
        {
          label,
          unit,
          values: shownValues(values),
          ...(rating ? { limit: { value: rating.limit, ref: rating.ref } } : {}),
        },
      ];
    }),
  };
}
