import { sampleRun, type Signal } from '../circuit';
import { TOUCH_LIMIT_DC } from '../safety';
import { elementOf, nodeOf } from './elements';
import { measured, outputOf, periodOf, type Operation, type Setting } from './operate';

/** A stretch of a period in which the same parts conduct, seconds from its start. */
export interface Interval {
  readonly from: number;
  readonly to: number;
  /** Switches and rectifiers that conduct. */
  readonly conducts: readonly string[];
}

/** How the current of the store runs. */
export type Conduction = 'continuous' | 'boundary' | 'discontinuous';

export interface Mode {
  readonly conduction?: Conduction;
  /** Share of the period in which neither a switch nor a rectifier conducts. */
  readonly rest: number;
  /** Of a resonant circuit: its frequency over that of its resonance. */
  readonly resonance?: number;
  /** Of a store that is emptied: when it falls under what may be touched. */
  readonly harmless?: { readonly volts: number; readonly seconds: number };
  /** Volts across a switch as its gate closes, by switch: near nothing is zero-voltage switching. */
  readonly closingVolts: Readonly<Record<string, number>>;
}

/** Shorter stretches are part of a change. */
const SHORT = 0.012;
/** A rest of less is at the boundary; common practice, no source. */
const RESTS = 0.015;
/** And a smallest current of less than so much of the largest. */
const NEAR_NOTHING = 0.04;
/** The instant before a gate closes, seconds. */
const BEFORE = 1e-9;

/** Stretches of the period by what conducts, of the roles of a circuit. */
export function intervalsOf({ circuit, parts }: Setting, { network, settled, period }: Operation): readonly Interval[] {
  const { switches, rectifiers } = circuit.roles;
  const watched = [...switches, ...rectifiers].flatMap((ref) => {
    const name = elementOf(ref);
    const isOf = ({ name: own }: { readonly name: string }) => own === name || own.startsWith(`${name}.`);
    const devices = network.devices.flatMap((device, index) => (isOf(device) ? [index] : []));
    const isBridge = parts.find((part) => part.ref === ref)?.model.kind === 'bridge';
    return [{ ref, devices, isBridge }];
  });
  const raw: Interval[] = [];
  for (const { phase, from, ticks } of settled.run.stretches) {
    const conducts = watched.flatMap(({ ref, devices }) => (devices.some((index) => phase.on[index]) ? [ref] : []));
    const begin = from * settled.run.tick - settled.from;
    const end = begin + ticks * settled.run.tick;
    const last = raw.at(-1);
    if (last && last.conducts.join() === conducts.join()) raw[raw.length - 1] = { ...last, to: end };
    else raw.push({ from: Math.max(0, begin), to: end, conducts });
  }
  const long: Interval[] = [];
  for (const one of raw) {
    const last = long.at(-1);
    if (one.to - one.from < SHORT * period && last) long[long.length - 1] = { ...last, to: one.to };
    else if (last && last.conducts.join() === one.conducts.join()) long[long.length - 1] = { ...last, to: one.to };
    else long.push(last && one.from < last.to ? { ...one, from: last.to } : one);
  }
  const [first, second] = long;
  // What is short at the very start belongs to what follows.
  if (first && second && first.to - first.from < SHORT * period) long.splice(0, 2, { ...second, from: first.from });
  return long;
}

/** In which mode a circuit runs. */
export function modeOf(setting: Setting, operation: Operation, intervals: readonly Interval[]): Mode {
  const { circuit, parts, values } = setting;
  const { period, gates, network, settled } = operation;
  const rest =
    intervals.reduce((sum, { conducts, from, to }) => sum + (conducts.length === 0 ? to - from : 0), 0) / period;
  const store = parts.find(({ ref }) => ref === circuit.roles.store);
  const closingVolts: Record<string, number> = {};
  for (const ref of circuit.roles.switches) {
    const gate = gates[ref];
    const part = parts.find((one) => one.ref === ref);
    if (!gate || part?.model.kind !== 'mosfet') continue;
    const at = gate.delay > BEFORE ? settled.from + gate.delay - BEFORE : settled.to - BEFORE;
    const { D = '0', S = '0' } = part.drawn.pins;
    const signal: Signal = { kind: 'volts', plus: nodeOf(D), minus: nodeOf(S) };
    const [value = Number.NaN] = measured({ network, run: settled.run, from: at, to: at }, [{ op: 'at', signal }]);
    closingVolts[ref] = value;
  }
  const plain = { rest, closingVolts };
  if (circuit.drive.kind === 'once') {
    const samples = sampleRun(network, settled.run, {
      ...periodOf(operation),
      points: 2000,
      signals: [outputOf(circuit)],
    });
    const at = samples.signals[0]?.values.findIndex((value) => value < TOUCH_LIMIT_DC.volts) ?? -1;
    return at < 0 ? plain : { ...plain, harmless: { volts: TOUCH_LIMIT_DC.volts, seconds: samples.seconds[at] ?? 0 } };
  }
  if (circuit.drive.kind === 'frequency') {
    const resonant = 1 / (2 * Math.PI * Math.sqrt((values['inductance'] ?? 0) * (values['resonant'] ?? 0)));
    return { ...plain, resonance: 1 / period / resonant };
  }
  if (circuit.drive.kind !== 'duty' || !store) return plain;
  const signal: Signal =
    store.model.kind === 'transformer'
      ? { kind: 'magnetising', element: elementOf(store.ref, '.1') }
      : { kind: 'amperes', element: elementOf(store.ref) };
  const [high = 0, low = 0] = measured(periodOf(operation), [
    { op: 'max', signal },
    { op: 'min', signal },
  ]);
  const least = low / Math.max(high, 1e-12);
  const conduction: Conduction =
    rest > RESTS ? 'discontinuous' : Math.abs(least) < NEAR_NOTHING || rest > 0.002 ? 'boundary' : 'continuous';
  return { ...plain, conduction };
}
