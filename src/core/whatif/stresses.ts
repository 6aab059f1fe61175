import { sampleRun, type Measure, type Signal } from '../circuit';
import type { Unit } from '../quantity';
import { elementOf, nodeOf } from './elements';
import { measured, type Piece } from './operate';
import type { PowerPart } from './part';
import type { Gates } from './powerCircuit';

/** What a part is put under. */
export type StressKind =
  | 'breakdown'
  | 'peak'
  | 'heat'
  | 'reverse'
  | 'mean'
  | 'ripple'
  | 'voltage'
  | 'reversed'
  | 'core'
  | 'effective';

export const STRESS_WORDS: Readonly<Record<StressKind, { readonly label: string; readonly unit: Unit }>> = {
  breakdown: { label: 'drain volts', unit: 'volt' },
  peak: { label: 'peak current', unit: 'ampere' },
  heat: { label: 'heat', unit: 'watt' },
  reverse: { label: 'reverse volts', unit: 'volt' },
  mean: { label: 'mean current', unit: 'ampere' },
  ripple: { label: 'ripple current', unit: 'ampere' },
  voltage: { label: 'voltage', unit: 'volt' },
  reversed: { label: 'wrong polarity', unit: 'volt' },
  core: { label: 'core current', unit: 'ampere' },
  effective: { label: 'rms current', unit: 'ampere' },
};

export interface Stress {
  readonly ref: string;
  readonly kind: StressKind;
  readonly value: number;
  readonly limit: number;
  /** Of the limit: above 1 is over it. */
  readonly share: number;
}

/** Volts that an electrolytic capacitor stands the wrong way round; common practice, no source. */
const REVERSED_LIMIT = 1;
/** After its gate closes a switch carries what charges at that instant; a peak is looked for behind it, seconds. */
const BLANK = 150e-9;
const POINTS = 240;

interface Asked {
  readonly ref: string;
  readonly kind: StressKind;
  readonly limit: number;
  /** Signals with what is taken of each; the largest counts. */
  readonly of: readonly { readonly op: Measure['op']; readonly signal: Signal; readonly sign?: -1 }[];
}

const volts = (plus: string, minus: string): Signal => ({ kind: 'volts', plus: nodeOf(plus), minus: nodeOf(minus) });
const amperes = (ref: string, piece = ''): Signal => ({ kind: 'amperes', element: elementOf(ref, piece) });
const watts = (ref: string): Signal => ({ kind: 'watts', element: elementOf(ref) });
const largest = (signal: Signal) =>
  [
    { op: 'max', signal },
    { op: 'min', signal, sign: -1 },
  ] as const;

/** What is to be measured at a part for each of its limits. */
function askedOf({ ref, drawn: { pins }, model, limits }: PowerPart): readonly Asked[] {
  const pin = (name: string) => pins[name] ?? '0';
  const one = (kind: StressKind, limit: number | undefined, of: Asked['of']): readonly Asked[] =>
    limit === undefined ? [] : [{ ref, kind, limit, of }];
  switch (model.kind) {
    case 'mosfet':
      return [
        ...one('breakdown', limits.volts, [{ op: 'max', signal: volts(pin('D'), pin('S')) }]),
        ...one('heat', limits.watts, [{ op: 'avg', signal: watts(ref) }]),
      ];
    case 'diode':
      return model.zener === undefined
        ? [
            ...one('reverse', limits.volts, [{ op: 'max', signal: volts(pin('K'), pin('A')) }]),
            ...one('mean', limits.mean, [{ op: 'avg', signal: amperes(ref) }]),
          ]
        : one('heat', limits.watts, [
            { op: 'avg', signal: watts(ref) },
            { op: 'avg', signal: { kind: 'watts', element: elementOf(ref, '.z') } },
          ]);
    case 'bridge':
      return [
        ...one('reverse', limits.volts, [{ op: 'max', signal: volts(pin('+'), pin('-')) }]),
        ...one(
          'mean',
          limits.mean,
          [1, 2, 3, 4].map((leg) => ({ op: 'avg', signal: amperes(ref, `.${leg}`) }) as const),
        ),
      ];
    case 'capacitor': {
      const [plus, minus] = model.isPolarised ? [pin('+'), pin('-')] : [pin('1'), pin('2')];
      const across = volts(plus, minus);
      return [
        ...one('ripple', limits.rms, [{ op: 'rms', signal: amperes(ref) }]),
        ...one('voltage', limits.volts, model.isPolarised ? [{ op: 'max', signal: across }] : largest(across)),
        ...(model.isPolarised ? one('reversed', REVERSED_LIMIT, [{ op: 'min', signal: across, sign: -1 }]) : []),
      ];
    }
    case 'choke':
      return one('core', limits.amperes, largest(amperes(ref)));
    case 'transformer':
      return one('core', limits.amperes, largest({ kind: 'magnetising', element: elementOf(ref, '.1') }));
    case 'resistor':
      return one('heat', limits.watts, [{ op: 'avg', signal: watts(ref) }]);
    case 'link':
      return one('effective', limits.rms, [{ op: 'rms', signal: amperes(ref) }]);
    case 'triac':
      return [
        ...one('breakdown', limits.volts, largest(volts(pin('MT2'), pin('MT1')))),
        ...one('effective', limits.rms, [
          { op: 'rms', signal: amperes(ref, '.a') },
          { op: 'rms', signal: amperes(ref, '.b') },
        ]),
      ];
    case 'load':
    case 'supply':
    case 'mains':
    case 'controller':
      return [];
  }
}

/** What every part of a circuit is put under in a stretch of its run, the tightest first. */
export function stressesIn(parts: readonly PowerPart[], piece: Piece, gates: Gates): readonly Stress[] {
  const asked = parts.flatMap(askedOf);
  const values = measured(
    piece,
    asked.flatMap(({ of }) => of),
  );
  return ranked([...joined(asked, values), ...peaks(parts, piece, gates)]);
}

/** Values of what was asked, brought together part by part. */
function joined(asked: readonly Asked[], values: readonly number[]): readonly Stress[] {
  let at = 0;
  return asked.map(({ ref, kind, limit, of }): Stress => {
    const taken = of.map(({ sign = 1 }, index) => sign * (values[at + index] ?? Number.NaN));
    at += of.length;
    return stress(ref, kind, Math.max(0, together(kind, taken)), limit);
  });
}

/** Both halves of what a triac carries add as squares, what a Zener diode makes of heat adds; else the largest counts. */
function together(kind: StressKind, values: readonly number[]): number {
  if (kind === 'effective') return Math.hypot(...values);
  if (kind === 'heat') return values.reduce((sum, value) => sum + value, 0);
  return Math.max(...values);
}

function peaks(parts: readonly PowerPart[], piece: Piece, gates: Gates): readonly Stress[] {
  const switches = parts.flatMap(({ ref, model, limits }) =>
    model.kind === 'mosfet' && limits.amperes !== undefined ? [{ ref, limit: limits.amperes }] : [],
  );
  const highest = peaksOf(
    switches.map(({ ref }) => ref),
    piece,
    gates,
  );
  return switches.map(({ ref, limit }, index) => stress(ref, 'peak', highest[index] ?? Number.NaN, limit));
}

/** Volts the wrong way round that say nothing yet. */
const UPRIGHT = 0.2;

const ranked = (found: readonly Stress[]): readonly Stress[] =>
  found
    .filter(({ value, kind }) => Number.isFinite(value) && (kind !== 'reversed' || value > UPRIGHT))
    .toSorted((a, b) => b.share - a.share);

const stress = (ref: string, kind: StressKind, value: number, limit: number): Stress => ({
  ref,
  kind,
  value,
  limit,
  share: value / limit,
});

/** The largest current of each switch, but for what charges as its gate closes. */
export function peaksOf(refs: readonly string[], piece: Piece, gates: Gates): readonly number[] {
  const { seconds, signals } = sampleRun(piece.network, piece.run, {
    ...piece,
    points: POINTS,
    signals: refs.map((ref) => amperes(ref)),
  });
  return refs.map((ref, index) => {
    const isBlank = blankOf(gates[ref], piece);
    const { values } = signals[index] ?? {};
    return values?.reduce((most, value, at) => (isBlank(seconds[at] ?? 0) ? most : Math.max(most, value)), 0) ?? 0;
  });
}

/** Whether a gate has only just closed at a moment. */
function blankOf(gate: Gates[string] | undefined, { from, to }: Piece): (seconds: number) => boolean {
  if (!gate) return () => false;
  const { delay, width, every = to - from } = gate;
  return (seconds) => {
    const since = (seconds - from - delay) % every;
    return since > -1e-9 && since < Math.min(BLANK, 0.3 * width);
  };
}

/** A limit that is passed for the first time. */
export interface Passed {
  readonly ref: string;
  readonly kind: StressKind;
  readonly seconds: number;
  readonly limit: number;
}

/** Points of a run that is looked over coarsely. */
const COARSE = 3000;
/** Stresses that destroy as soon as they are passed. */
const AT_ONCE: ReadonlySet<StressKind> = new Set(['breakdown', 'peak', 'reverse', 'core']);

/**
 * Stresses over a run that does not repeat, from samples of it; and when each that destroys at once is passed for the first time, the
 * soonest first. @param period of the gates
 */
export function stressesOver(
  parts: readonly PowerPart[],
  piece: Piece,
  gates: Gates,
  period: number,
): { readonly stresses: readonly Stress[]; readonly passed: readonly Passed[] } {
  const asked: readonly Asked[] = [
    ...parts.flatMap(askedOf),
    ...parts.flatMap(({ ref, model, limits }): readonly Asked[] =>
      model.kind === 'mosfet' && limits.amperes !== undefined
        ? [{ ref, kind: 'peak', limit: limits.amperes, of: [{ op: 'max', signal: amperes(ref) }] }]
        : [],
    ),
  ];
  const known = new Map<string, number>();
  const signals: Signal[] = [];
  const place = (signal: Signal): number => {
    const key = JSON.stringify(signal);
    const before = known.get(key);
    if (before !== undefined) return before;
    known.set(key, signals.length);
    signals.push(signal);
    return signals.length - 1;
  };
  // A power is the product of what stands across a part and what flows through it.
  const factors = asked.map(({ ref, of }) =>
    of.map(({ signal }): readonly number[] => {
      if (signal.kind !== 'watts') return [place(signal)];
      const part = parts.find((one) => one.ref === ref);
      const [a = '0', b = '0'] = part ? powerPins(part) : [];
      const isTurned = signal.element.endsWith('.z');
      return [place(isTurned ? volts(b, a) : volts(a, b)), place({ kind: 'amperes', element: signal.element })];
    }),
  );
  const sampled = sampleRun(piece.network, piece.run, { ...piece, points: COARSE, signals });
  const { seconds } = sampled;
  const passed: Passed[] = [];
  const values = asked.flatMap(({ ref, kind, limit, of }, index) =>
    of.map(({ op, sign = 1 }, which) => {
      const columns = (factors[index]?.[which] ?? []).map((column) => sampled.signals[column]?.values);
      const isBlank = kind === 'peak' ? blankOf(gates[ref], { ...piece, to: piece.from + period }) : () => false;
      let [high, low, sum, squares, time] = [-Infinity, Infinity, 0, 0, 0];
      let since = Infinity;
      for (let at = 0; at < seconds.length; at += 1) {
        const now = seconds[at] ?? 0;
        if (isBlank(now)) continue;
        const value = columns.reduce((product, column) => product * (column?.[at] ?? Number.NaN), 1);
        const span = at === 0 ? 0 : now - (seconds[at - 1] ?? now);
        high = Math.max(high, value);
        low = Math.min(low, value);
        sum += value * span;
        squares += value * value * span;
        time += span;
        if (sign * value > limit && since === Infinity) since = now - piece.from;
      }
      if (AT_ONCE.has(kind) && since < Infinity) passed.push({ ref, kind, seconds: since, limit });
      return { max: high, min: low, avg: sum / time, rms: Math.sqrt(squares / time), pp: high - low, at: Number.NaN }[
        op
      ];
    }),
  );
  const soonest = passed.toSorted((a, b) => a.seconds - b.seconds);
  return {
    stresses: ranked(joined(asked, values)),
    passed: soonest.filter(
      ({ ref, kind }, index) => index === soonest.findIndex((one) => one.ref === ref && one.kind === kind),
    ),
  };
}

/** The pins of a part that its current flows between. */
function powerPins({ drawn: { pins }, model }: PowerPart): readonly string[] {
  const names = {
    mosfet: ['D', 'S'],
    diode: ['A', 'K'],
    triac: ['MT2', 'MT1'],
    supply: ['+', '-'],
    load: ['+', '-'],
    mains: ['L', 'N'],
  } as const;
  const known = model.kind in names ? names[model.kind as keyof typeof names] : undefined;
  const polar = pins['+'] === undefined ? ['1', '2'] : ['+', '-'];
  return (known ?? polar).map((name) => pins[name] ?? '0');
}
