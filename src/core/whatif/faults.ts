import type { PowerPart } from './part';
import type { Setting } from './operate';
import { replace, saturating } from './setting';
import type { Gates, PowerCircuit } from './powerCircuit';
import type { Study } from './study';

/** How a circuit with a fault is looked at: where it comes to rest, or what happens in the first periods behind it. */
export type FaultCourse = 'settles' | 'breaks in';

export type FaultKind =
  | 'closed'
  | 'never'
  | 'load away'
  | 'load shorted'
  | 'rectifier reversed'
  | 'rectifier shorted'
  | 'rectifier open'
  | 'saturates'
  | 'dry'
  | 'clamp open'
  | 'feedback open'
  | 'half off'
  | 'overlap'
  | 'series shorted'
  | 'bleed open';

export interface Fault {
  readonly kind: FaultKind;
  readonly title: string;
  /** The part or parts that it sits in. */
  readonly refs: readonly string[];
  readonly course: FaultCourse;
  /** The setting with the fault in it, from the circuit as it runs. */
  readonly apply: (healthy: Study) => Setting;
}

/** A short in a part, ohms. */
const SHORT = 0.01;
/** What is left of a load when it goes away: the divider that senses the output. Share of it; common practice, no source. */
const LEFT = 0.002;
/** An electrolytic capacitor that has dried out; common practice, no source. */
export const DRY = { farads: 0.3, ohms: 6 } as const;
/** A core that saturates does so at this share of what it carries. */
export const TOO_SMALL = 0.6;
/** Both switches of a pair are closed for so long where the dead time is missing, seconds. */
export const OVERLAP = 60e-9;

const loadOf = (setting: Setting, ohms: (now: number) => number): Setting =>
  replace(setting, [setting.circuit.roles.load], (part) =>
    part.model.kind === 'load' ? { ...part, model: { kind: 'load', ohms: ohms(part.model.ohms) } } : part,
  );

const shorted = (part: PowerPart): PowerPart => {
  const [a = '0', b = '0'] = Object.values(part.drawn.pins);
  return { ...part, drawn: { ...part.drawn, pins: { 1: a, 2: b } }, model: { kind: 'link', ohms: SHORT }, limits: {} };
};

const withGates = (setting: Setting, gates: (gates: Gates, period: number) => Gates): Setting => ({
  ...setting,
  gates,
});

/** What can be asked of a circuit. */
export function faultsOf(circuit: PowerCircuit): readonly Fault[] {
  const { switches, rectifiers, store, outputCapacitors, load, clamp, series } = circuit.roles;
  const { drive } = circuit;
  const isRegulated = drive.kind === 'duty' || drive.kind === 'frequency';
  const sample = circuit.parts(Object.fromEntries(circuit.knobs.map(({ id, usual }) => [id, usual])));
  const kindOf = (ref: string | undefined) => sample.find((part) => part.ref === ref)?.model.kind;
  const faults: Fault[] = [];
  const add = (
    kind: FaultKind,
    title: string,
    refs: readonly string[],
    apply: Fault['apply'],
    course: FaultCourse = 'settles',
  ) => faults.push({ kind, title, refs, course, apply });
  const [first, second] = switches;
  if (first) {
    const name = second ? first : 'The switch';
    add(
      'closed',
      `${name} stays closed`,
      [first],
      ({ setting, operation }) => ({
        ...withGates(setting, (gates, period) => ({ ...gates, [first]: { delay: 0, width: period } })),
        ...(operation.control === undefined ? {} : { control: operation.control }),
      }),
      'breaks in',
    );
    if (!second || drive.kind === 'free')
      add('never', `${name} never closes`, [first], ({ setting }) => ({
        ...withGates(setting, () => ({})),
        ...(drive.kind === 'duty' ? { control: drive.guess(setting.values) } : {}),
      }));
  }
  if (drive.kind !== 'once') {
    add('load away', 'The load goes away', [load], ({ setting }) => loadOf(setting, (ohms) => ohms / LEFT));
    add(
      'load shorted',
      kindOf(load) === 'load' && drive.kind === 'free' && switches.length > 0
        ? 'The load is shorted'
        : 'The output is shorted',
      [load],
      ({ setting }) => loadOf(setting, (ohms) => Math.min(SHORT, ohms / 100)),
    );
  }
  const [rectifier] = rectifiers;
  if (rectifier) {
    const isBridge = kindOf(rectifier) === 'bridge';
    const name = isBridge ? `One diode of ${rectifier}` : rectifiers.length > 1 ? rectifier : 'The rectifier';
    const leg = (setting: Setting, state: 'open' | 'shorted') =>
      replace(setting, [rectifier], (part) =>
        part.model.kind === 'bridge' ? { ...part, model: { ...part.model, leg: state } } : part,
      );
    if (!isBridge)
      add('rectifier reversed', `${name} is reversed`, [rectifier], ({ setting }) =>
        replace(setting, [rectifier], (part) => {
          const { A = '0', K = '0' } = part.drawn.pins;
          return { ...part, drawn: { ...part.drawn, pins: { A: K, K: A } } };
        }),
      );
    add('rectifier shorted', `${name} is shorted`, [rectifier], ({ setting }) =>
      isBridge ? leg(setting, 'shorted') : replace(setting, [rectifier], shorted),
    );
    add('rectifier open', `${name} opens`, [rectifier], ({ setting }) =>
      isBridge ? leg(setting, 'open') : replace(setting, [rectifier], () => undefined),
    );
  }
  if (store && isRegulated)
    add('saturates', `${store} saturates`, [store], ({ setting, stresses }) => {
      const core = stresses.find(({ ref, kind }) => ref === store && kind === 'core');
      return saturating(setting, store, TOO_SMALL * (core?.value ?? 1));
    });
  const cans = outputCapacitors.length > 1 ? 'The output capacitors dry out' : `${outputCapacitors[0] ?? ''} dries out`;
  if (outputCapacitors.length > 0 && drive.kind !== 'once')
    add(
      'dry',
      isRegulated && outputCapacitors.length === 1 ? 'The output capacitor dries out' : cans,
      outputCapacitors,
      ({ setting }) =>
        replace(setting, outputCapacitors, (part) => {
          if (part.model.kind !== 'capacitor') return part;
          const { farads, ohms } = part.model;
          // The same ripple makes more heat in it: it stands less.
          const rms = (part.limits.rms ?? Infinity) / Math.sqrt(DRY.ohms);
          return {
            ...part,
            model: { ...part.model, farads: DRY.farads * farads, ohms: DRY.ohms * ohms },
            limits: { ...part.limits, rms },
          };
        }),
    );
  if (clamp)
    add(
      'clamp open',
      kindOf(clamp) === 'diode' && isRegulated ? `The clamp opens (${clamp})` : `${clamp} opens`,
      [clamp],
      ({ setting }) => replace(setting, [clamp], () => undefined),
    );
  if (isRegulated) add('feedback open', 'The feedback breaks', [], ({ setting }) => ({ ...setting, isBlind: true }));
  if (second && drive.kind !== 'free' && !sameGates(circuit))
    add('half off', `${second} never closes`, [second], ({ setting }) =>
      withGates(setting, (gates) => Object.fromEntries(Object.entries(gates).filter(([ref]) => ref !== second))),
    );
  if (circuit.knobs.some(({ id }) => id === 'dead'))
    add(
      'overlap',
      'The dead time is missing',
      switches,
      ({ setting, operation }) => ({
        ...withGates(setting, (gates) =>
          Object.fromEntries(
            Object.entries(gates).map(([ref, gate]) => [
              ref,
              { ...gate, width: nextClosing(gates, gate.delay, operation.period) + OVERLAP },
            ]),
          ),
        ),
        ...(operation.control === undefined ? {} : { control: operation.control }),
      }),
      'breaks in',
    );
  if (series)
    add('series shorted', `${series} is shorted`, [series], ({ setting }) => replace(setting, [series], shorted));
  if (drive.kind === 'once')
    add('bleed open', `${load} opens`, [load], ({ setting }) => replace(setting, [load], () => undefined));
  return faults;
}

/** The time from the closing of one gate to that of the next other. */
function nextClosing(gates: Gates, delay: number, period: number): number {
  const later = Object.values(gates)
    .map((gate) => (gate.delay - delay + period) % period)
    .filter((time) => time > 1e-9);
  return Math.min(period / 2, ...later);
}

/** Whether all switches close together. */
function sameGates({ drive }: PowerCircuit): boolean {
  if (drive.kind !== 'duty') return false;
  const delays = Object.values(drive.gates({ period: 1, control: 0.2, dead: 0 })).map(({ delay }) => delay);
  return new Set(delays).size < 2;
}
