import { runNetwork, networkOf, type NetworkProblem } from '../circuit';
import { saturating } from './setting';
import { intervalsOf, modeOf, type Interval, type Mode } from './mode';
import {
  deckOf,
  measured,
  operate,
  outputOf,
  periodOf,
  type Nearby,
  type Operation,
  type Piece,
  type Setting,
} from './operate';
import { elementOf } from './elements';
import type { PowerCircuit, Values } from './powerCircuit';
import { stressesIn, stressesOver, type Passed, type Stress } from './stresses';

/** The output of a circuit over a period. */
export interface OutputFigures {
  /** Mean; of an output that alternates, effective. */
  readonly volts: number;
  readonly amperes: number;
  readonly ripple: number;
  readonly watts: number;
}

/** A circuit as it runs, with what every part is put under. */
export interface Study {
  readonly setting: Setting;
  readonly operation: Operation;
  readonly stresses: readonly Stress[];
  readonly intervals: readonly Interval[];
  readonly mode: Mode;
  readonly output: OutputFigures;
  /** What comes in, and what its parts keep of it as heat. */
  readonly input: { readonly volts: number; readonly amperes: number; readonly watts: number };
}

/** Works a circuit out at the values of its knobs. */
export function studyOf(
  circuit: PowerCircuit,
  values: Values,
  of: { readonly nearby?: Nearby; readonly control?: number; readonly isOver?: () => boolean } = {},
): Study | NetworkProblem {
  const setting: Setting = {
    circuit,
    values,
    parts: circuit.parts(values),
    ...(of.control === undefined ? {} : { control: of.control }),
  };
  return studySetting(setting, of);
}

/** Works a setting out; cores that are driven beyond what they stand saturate. */
export function studySetting(
  setting: Setting,
  of: { readonly nearby?: Nearby; readonly isOver?: () => boolean } = {},
): Study | NetworkProblem {
  const once = (one: Setting, nearby: Nearby | undefined): Study | NetworkProblem => {
    const operation = operate(one, { ...(nearby ? { nearby } : {}), ...(of.isOver ? { isOver: of.isOver } : {}) });
    if ('kind' in operation) return operation;
    const piece = periodOf(operation);
    const intervals = intervalsOf(one, operation);
    return {
      setting: one,
      operation,
      stresses: stressesIn(one.parts, piece, operation.gates),
      intervals,
      mode: modeOf(one, operation, intervals),
      ...powersOf(one, piece),
    };
  };
  const study = once(setting, of.nearby);
  if ('kind' in study || study.operation.isCut) return study;
  const driven = study.stresses.filter(
    ({ kind, share, ref }) => kind === 'core' && share > 1 && !isSaturating(setting, ref),
  );
  if (driven.length === 0) return study;
  let saturated = setting;
  for (const { ref, limit } of driven) saturated = saturating(saturated, ref, limit);
  const again = once(saturated, study.operation);
  return 'kind' in again ? study : again;
}

const isSaturating = ({ parts }: Setting, ref: string) =>
  parts.some(({ ref: own, model }) => own === ref && 'saturates' in model && model.saturates !== undefined);

function powersOf({ circuit, parts }: Setting, piece: Piece): Pick<Study, 'output' | 'input'> {
  const feed = parts.find(({ model }) => model.kind === 'supply' || model.kind === 'mains');
  const load = { kind: 'watts', element: elementOf(circuit.roles.load) } as const;
  const source = elementOf(feed?.ref ?? '');
  const out = outputOf(circuit);
  const isAlternating =
    circuit.traces.some(({ of }) => of === 'output') &&
    circuit.drive.kind === 'free' &&
    circuit.roles.rectifiers.length === 0;
  const [volts = 0, ripple = 0, watts = 0, given = 0, feedAmperes = 0] = measured(piece, [
    { op: isAlternating ? 'rms' : 'avg', signal: out },
    { op: 'pp', signal: out },
    { op: 'avg', signal: load },
    { op: 'avg', signal: { kind: 'watts', element: source } },
    { op: feed?.model.kind === 'mains' ? 'rms' : 'avg', signal: { kind: 'amperes', element: source } },
  ]);
  const feedVolts =
    feed?.model.kind === 'supply' ? feed.model.volts : feed?.model.kind === 'mains' ? feed.model.rms : 0;
  return {
    output: { volts, amperes: volts === 0 ? 0 : watts / volts, ripple, watts },
    input: { volts: feedVolts, amperes: Math.abs(feedAmperes), watts: -given },
  };
}

/** The first periods behind a fault, from the circuit as it ran. */
export interface Onset {
  readonly piece: Piece;
  readonly stresses: readonly Stress[];
  /** When a part first passes what it stands at once, seconds behind the fault; the soonest first. */
  readonly passed: readonly Passed[];
  readonly period: number;
}

/** Periods looked at behind a fault; of the line, which are long. */
const ONSET = { switched: 40, line: 3 } as const;

const ONSET_EVENTS = 6000;

/** Runs a circuit on from a healthy state with a fault in it. */
export function onsetOf(setting: Setting, healthy: Study): Onset | NetworkProblem {
  let armed = setting;
  // Behind a fault every core may be driven beyond what it stands.
  for (const { ref, limits } of setting.parts)
    if (limits.amperes !== undefined && !isSaturating(armed, ref)) armed = saturating(armed, ref, limits.amperes);
  const { deck, period, gates } = deckOf(armed, armed.control, healthy.operation.stored);
  const network = networkOf(deck);
  if ('kind' in network) return network;
  const span = (setting.circuit.drive.kind === 'free' ? ONSET.line : ONSET.switched) * period;
  const run = runNetwork(network, { span, period, keepFrom: 0, stops: [], mostEvents: ONSET_EVENTS });
  if ('kind' in run) return run;
  const piece = { network, run, from: 0, to: run.reached };
  return { piece, ...stressesOver(armed.parts, piece, gates, period), period };
}
