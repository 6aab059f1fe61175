import {
  measureAll,
  networkOf,
  runNetwork,
  settlePeriod,
  storedIn,
  type Deck,
  type Measure,
  type Network,
  type NetworkProblem,
  type Run,
  type Settled,
  type Signal,
  type Stored,
} from '../circuit';
import { elementOf, elementsOf, nodeOf } from './elements';
import type { PowerPart } from './part';
import type { Drive, Gates, PowerCircuit, Values } from './powerCircuit';

/** A circuit as it runs: its control as it was found, and one period of it. */
export interface Operation {
  readonly deck: Deck;
  readonly network: Network;
  readonly settled: Settled;
  readonly period: number;
  /** Duty or frequency; missing where nothing is turned. */
  readonly control?: number;
  /** What keeps the control from going further. */
  readonly held: 'output' | 'limit' | 'most' | 'least' | 'free' | 'nothing';
  readonly gates: Gates;
  /** Stores at the start of the period, to begin the next search from. */
  readonly stored: Stored;
  /** Periods that were simulated for all of it. */
  readonly periods: number;
  /** The search was ended before its time: a further one goes on from here. */
  readonly isCut: boolean;
}

/** What is run: the parts of a circuit with the values of its knobs, and how its switches are driven. */
export interface Setting {
  readonly circuit: PowerCircuit;
  readonly values: Values;
  readonly parts: readonly PowerPart[];
  /** A control that is set instead of found. */
  readonly control?: number;
  /** Gates as they are turned into by a fault. */
  readonly gates?: (gates: Gates, period: number) => Gates;
  /** The control does not see the output: only the current limit holds it. */
  readonly isBlind?: boolean;
}

/** Where a search may begin: the stores and the control of a state nearby. */
export type Nearby = Pick<Operation, 'stored' | 'control' | 'settled'>;

/** Milliseconds that a search may take while a knob moves, for twenty answers a second with all that is drawn of them. */
export const LIVE_BUDGET = 28;

/** Measures for a page need not be nearer than what is printed: a share of the range of each signal. */
const CLOSENESS = 5e-4;
/** The output is held when it is within so much of what is asked. */
const HELD = 1e-3;
const MOST_TRIES = 18;
/** Bounds that are so near, as a share, are one. */
const CLOSED = 1e-4;
/** Periods for one try; a circuit that needs more is shown as it is by then. */
const MOST_PERIODS = 400;
/** A state that comes back so near, as a share of its size, repeats. */
const REPEATS = 1e-6;
/** Changes of devices in one period; what has more is shown as far as it came. */
const MOST_EVENTS = 3000;
/** Periods run before the first search of a circuit that has not run yet. */
const WARM_UP = 3;
/** Before a gate opens by so much its current is taken for the peak, seconds: what charges at its closing is over. */
const BEFORE_OPENING = 3e-9;

/** The output as a signal. */
export const outputOf = ({ output: [plus, minus] }: PowerCircuit): Signal => ({
  kind: 'volts',
  plus: nodeOf(plus),
  minus: nodeOf(minus),
});

/** A stretch of a run that is looked at. */
export interface Piece {
  readonly network: Network;
  readonly run: Run;
  readonly from: number;
  readonly to: number;
}

/** The one period of a settled circuit. */
export const periodOf = ({ network, settled }: Pick<Operation, 'network' | 'settled'>): Piece => ({
  network,
  run: settled.run,
  from: settled.from,
  to: settled.to,
});

/** Signals over a stretch of a run; not a number where the circuit has no such signal. */
export function measured(
  { network, run, from, to }: Piece,
  of: readonly { readonly op: Measure['op']; readonly signal: Signal }[],
): readonly number[] {
  const measures = of.map(({ op, signal }): Measure => ({ text: '', op, signal, window: { kind: 'span', from, to } }));
  const found = measureAll(network, run, measures, { span: to, period: to - from }, CLOSENESS);
  return found.map((one) => ('unknown' in one ? Number.NaN : one.value));
}

/** Volts that the output is held at. */
export const targetOf = ({ holds }: PowerCircuit, values: Values): number | undefined => values['output'] ?? holds;

/** The deck of a setting at one control. */
export function deckOf(
  setting: Setting,
  control: number | undefined,
  stored: Stored,
): { readonly deck: Deck; readonly period: number; readonly gates: Gates } {
  const { circuit, values, parts } = setting;
  const { period, gates: driven } = gatesAt(circuit.drive, values, control);
  const gates = setting.gates ? setting.gates(driven, period) : driven;
  const { elements, couplings } = elementsOf(parts, gates, period);
  const deck = {
    title: `${circuit.name}, zorvek`,
    elements: elements.map((one) => {
      const start = stored.get(one.name);
      return (one.kind === 'L' || one.kind === 'C') && start !== undefined ? { ...one, start } : one;
    }),
    couplings,
    span: 100 * period,
    starts: {},
    period,
    measures: [],
  };
  return { deck, period, gates };
}

function gatesAt(drive: Drive, values: Values, control = 0): { readonly period: number; readonly gates: Gates } {
  const dead = values['dead'] ?? 0;
  switch (drive.kind) {
    case 'duty': {
      const period = drive.period(values);
      return { period, gates: drive.gates({ period, control, dead }) };
    }
    case 'frequency':
      return { period: 1 / control, gates: drive.gates({ period: 1 / control, dead }) };
    case 'free':
      return { period: drive.period(values), gates: drive.gates?.(values) ?? {} };
    case 'once':
      return { period: drive.span(values), gates: {} };
  }
}

/**
 * The state a circuit settles in, with its control turned until the output is held or something else stops it: a secant between bounds
 * on how far the output and the current limit still leave room, each try beginning where the last one came to rest.
 * @param of.isOver asked between periods; true ends the search with what was reached
 */
export function operate(
  setting: Setting,
  { nearby, isOver = () => false }: { readonly nearby?: Nearby; readonly isOver?: () => boolean } = {},
): Operation | NetworkProblem {
  const { circuit, values } = setting;
  const { drive } = circuit;
  let stored: Stored = (drive.kind === 'once' ? undefined : nearby?.stored) ?? startOf(setting);
  let on = nearby?.settled.way === 'not settled' ? undefined : nearby?.settled.run.on;
  let periods = 0;
  let known: Run['phases'] | undefined = nearby?.settled.run.phases;
  const settle = (control: number | undefined): Tried | NetworkProblem => {
    const { deck, period, gates } = deckOf(setting, control, stored);
    const network = networkOf(deck);
    if ('kind' in network) return network;
    const settled =
      drive.kind === 'once'
        ? onceThrough(network, period)
        : settlePeriod(network, {
            period,
            warmUp: WARM_UP,
            ...(on ? { on } : {}),
            mostPeriods: MOST_PERIODS,
            mostEvents: MOST_EVENTS,
            within: REPEATS,
            ...(known ? { known } : {}),
            isOver,
          });
    if ('kind' in settled) return settled;
    on = settled.way === 'not settled' ? undefined : settled.run.on;
    periods += settled.periods;
    known = settled.run.phases;
    const begun = settled.run.stretches[0];
    stored = storedIn(network, begun ? begun.z : settled.run.end);
    const done = { deck, network, settled, period, gates, stored, periods };
    return {
      ...done,
      ...(control === undefined ? {} : { control }),
      room: roomLeft(setting, done),
      isCut: settled.way === 'not settled' && isOver(),
    };
  };
  if (drive.kind !== 'duty' && drive.kind !== 'frequency') {
    const only = settle(undefined);
    return 'kind' in only ? only : { ...only, held: 'free' };
  }
  // The power rises with a duty and falls with a frequency: it is searched where more is more.
  const isDuty = drive.kind === 'duty';
  const at = (turn: number) => (isDuty ? turn : 1 / turn);
  const [lowest, highest] = isDuty ? [drive.least, drive.most] : [1 / drive.most, 1 / drive.least];
  const within = (turn: number) => Math.min(highest, Math.max(lowest, turn));
  if (setting.control !== undefined) {
    const set = settle(setting.control);
    return 'kind' in set ? set : { ...set, held: 'free' };
  }
  const first = nearby?.control ?? drive.guess(values);
  let turn = within(isDuty ? first : 1 / first);
  let low: Turned | undefined;
  let high: Turned | undefined;
  let before: Turned | undefined;
  let best: Tried | undefined;
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const one = settle(at(turn));
    if ('kind' in one) return one;
    const { share } = one.room;
    if (!best || Math.abs(share) < Math.abs(best.room.share)) best = one;
    if (Math.abs(share) < HELD) return { ...one, held: one.room.by };
    if (share > 0 && turn >= highest) return { ...one, held: 'most' };
    if (share < 0 && turn <= lowest) return { ...one, held: 'least' };
    if (isOver()) return { ...one, held: one.room.by, isCut: true };
    const here = { turn, room: share, one };
    if (share > 0) low = here;
    else high = here;
    if (low && high && high.turn - low.turn < CLOSED * high.turn) break;
    const slope = before && before.turn !== turn ? (here.room - before.room) / (here.turn - before.turn) : undefined;
    let next =
      slope !== undefined && slope < 0 ? turn - share / slope : turn * (1 + Math.max(-0.5, Math.min(0.5, 0.7 * share)));
    const [least, most] = [low?.turn ?? lowest, high?.turn ?? highest];
    // A secant that leaves the bracket, or creeps along it, is replaced by its middle.
    if (!(next > least && next < most))
      next = low && high ? (least + most) / 2 : share > 0 ? Math.min(most, turn * 2) : Math.max(least, turn / 2);
    if (low && high && tries > 6 && tries % 2 === 0) next = (least + most) / 2;
    before = here;
    turn = within(next);
  }
  // Where the limit comes in with a jump it stays below it; an output that jumps across what is asked is not held at all.
  if (low && high?.one.room.by === 'limit' && low.turn > (1 - 100 * CLOSED) * high.turn)
    return { ...low.one, held: 'limit' };
  return best ? { ...best, held: 'nothing' } : { kind: 'singular', nodes: [] };
}

type Tried = Omit<Operation, 'held'> & { readonly room: Room };

interface Turned {
  readonly turn: number;
  readonly room: number;
  readonly one: Tried;
}

/** A circuit that does not repeat, from its start to its end. */
function onceThrough(network: Network, span: number): Settled | NetworkProblem {
  const run = runNetwork(network, { span, period: span, keepFrom: 0, stops: [] });
  return 'kind' in run ? run : { way: 'waited', periods: 1, off: 0, run, from: 0, to: run.reached };
}

/** How much further a control may be turned, as a share of what holds it, and what that is. */
interface Room {
  readonly share: number;
  readonly by: 'output' | 'limit';
}

function roomLeft(
  { circuit, values, isBlind }: Setting,
  done: Pick<Operation, 'network' | 'settled' | 'period' | 'gates'>,
): Room {
  const { drive } = circuit;
  if (drive.kind !== 'duty' && drive.kind !== 'frequency') return { share: 0, by: 'output' };
  const { ref, amperes: most } = drive.limit;
  const [volts = 0] = measured(periodOf(done), [{ op: 'avg', signal: outputOf(circuit) }]);
  const amperes = sensed(done, ref);
  const target = targetOf(circuit, values) ?? volts;
  const short = (target - volts) / target;
  const limit = (most - amperes) / most;
  return isBlind || limit < short ? { share: limit, by: 'limit' } : { share: short, by: 'output' };
}

/** The current that a limit looks at: of a switch as it opens, of a choke the largest of either sign. */
function sensed(done: Pick<Operation, 'network' | 'settled' | 'period' | 'gates'>, ref: string): number {
  const { network, settled, period, gates } = done;
  const signal: Signal = { kind: 'amperes', element: elementOf(ref) };
  const gate = gates[ref];
  if (!gate) {
    const [high = 0, low = 0] = measured(periodOf(done), [
      { op: 'max', signal },
      { op: 'min', signal },
    ]);
    return Math.max(high, -low);
  }
  const opens = settled.from + Math.min(period, gate.delay + gate.width) - BEFORE_OPENING;
  const measure: Measure = { text: '', op: 'at', signal, window: { kind: 'moment', at: opens } };
  const [found] = measureAll(network, settled.run, [measure], { span: settled.to, period });
  return found && 'value' in found ? found.value : 0;
}

/** Before anything ran, the output stands where it is wanted and the input is charged. */
function startOf({ circuit, values, parts }: Setting): Stored {
  const stored = new Map<string, number>();
  const target = targetOf(circuit, values);
  const feed = parts.find(({ model }) => model.kind === 'supply');
  const [feedPlus, feedMinus] = [feed?.drawn.pins['+'], feed?.drawn.pins['-']];
  for (const { ref, drawn, model } of parts) {
    if (model.kind !== 'capacitor' || model.start !== undefined) continue;
    const [plus, minus] = model.isPolarised ? [drawn.pins['+'], drawn.pins['-']] : [drawn.pins['1'], drawn.pins['2']];
    if (target !== undefined && plus === circuit.output[0] && minus === circuit.output[1])
      stored.set(elementOf(ref), target);
    else if (feed?.model.kind === 'supply' && plus === feedPlus && minus === feedMinus)
      stored.set(elementOf(ref), feed.model.volts);
  }
  return stored;
}
