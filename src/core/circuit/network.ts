import { cholesky } from './linear';
import type { Course, Deck, Element } from './deck/deck';

/** What an off diode lets through past its knee, siemens. */
const DIODE_LEAK = 1e-8;
/** In series with a capacitor that closes a loop of capacitors and sources, ohms. */
const LOOP_OHMS = 1e-4;

/** A device with two states: a switch, or a diode. */
export interface Device {
  readonly kind: 'S' | 'D';
  readonly name: string;
  readonly a: number;
  readonly b: number;
  readonly onSiemens: number;
  readonly offSiemens: number;
  /** Drop of a diode. */
  readonly drop: number;
  /** It stands the other way round in the element it is a part of. */
  readonly isTurned?: true;
  /** Of a switch: what drives it. */
  readonly control?: Control;
}

export interface Control {
  readonly plus: number;
  readonly minus: number;
  readonly onAbove: number;
  readonly offBelow: number;
  /** The source that alone drives it, against ground, so that its instants are known beforehand. */
  readonly course?: Course;
  /** The magnetising current of a coil drives it, in volts' place: this row of amperes over the state. */
  readonly flux?: Float64Array;
}

/** A deck in numbers: what stands where in the state, and the parts that are always there. */
export interface Network {
  readonly nodes: readonly string[];
  readonly node: ReadonlyMap<string, number>;
  readonly devices: readonly Device[];
  readonly capacitors: readonly {
    readonly name: string;
    readonly a: number;
    readonly b: number;
    readonly farads: number;
    readonly ohms: number;
  }[];
  /** What a core gives way by once it is saturated stands behind its coil, under the same name. */
  readonly inductors: readonly { readonly name: string; readonly a: number; readonly b: number }[];
  readonly resistors: readonly {
    readonly name: string;
    readonly a: number;
    readonly b: number;
    readonly siemens: number;
  }[];
  readonly sources: readonly {
    readonly name: string;
    readonly kind: 'V' | 'I';
    readonly a: number;
    readonly b: number;
    readonly course: Course;
  }[];
  /** One node of each part that nothing but coils and devices joins to ground. */
  readonly loose: readonly number[];
  /** Lower factor of the inductance matrix: i = chol⁻ᵀ·w. */
  readonly inductance: Float64Array;
  /** Magnetising amperes of a coil as a row over the state. */
  readonly fluxOf: (coil: number) => Float64Array;
  /** The state at the start, in its scaled coordinates. */
  readonly start: Float64Array;
  /** Where the states of courses begin: behind capacitors and inductors comes the constant, then the courses. */
  readonly constant: number;
  readonly courseAt: readonly number[];
  readonly size: number;
}

export type NetworkProblem =
  | { readonly kind: 'couplings' }
  | { readonly kind: 'singular'; readonly nodes: readonly string[] };

/**
 * Sources that drive nothing but switches, each against ground, are taken out of the network: their crossings are known beforehand. Those
 * that a measure looks at stay.
 */
function gatesOf({ elements, measures }: Deck): ReadonlySet<string> {
  const touched = new Map<string, number>();
  const touch = (name: string) => touched.set(name, (touched.get(name) ?? 0) + 1);
  for (const { a, b } of elements) [a, b].forEach(touch);
  const seen = new Set<string>();
  for (const one of elements)
    if (one.kind === 'S' || one.kind === 'M') {
      if (one.minus !== '0') [one.plus, one.minus].forEach((node) => seen.add(node));
    }
  for (const { signal } of measures)
    if (signal.kind === 'volts') [signal.plus, signal.minus].forEach((node) => seen.add(node));
    else seen.add(signal.element);
  return new Set(
    elements.flatMap((one) =>
      one.kind === 'V' &&
      one.course.kind !== 'sine' &&
      one.b === '0' &&
      touched.get(one.a) === 1 &&
      !seen.has(one.a) &&
      !seen.has(one.name)
        ? [one.name]
        : [],
    ),
  );
}

/** Puts a deck in numbers. */
export function networkOf(deck: Deck): Network | NetworkProblem {
  const gates = gatesOf(deck);
  const courseOfNode = new Map(
    deck.elements.flatMap((one) => (one.kind === 'V' && gates.has(one.name) ? [[one.a, one.course] as const] : [])),
  );
  const real = deck.elements.filter(({ name }) => !gates.has(name));
  const node = new Map<string, number>([['0', -1]]);
  const nodes: string[] = [];
  const at = (name: string): number => {
    const known = node.get(name);
    if (known !== undefined) return known;
    node.set(name, nodes.length);
    nodes.push(name);
    return nodes.length - 1;
  };
  for (const { a, b } of real) {
    at(a);
    at(b);
  }
  const { loops, short } = loopsOf(real);
  if (short) return { kind: 'singular', nodes: [...new Set([short.name, short.a, short.b])] };
  const ends = ({ name, a, b }: Element) => ({ name, a: at(a), b: at(b) });
  const capacitors = real.flatMap((one) =>
    one.kind === 'C' ? [{ ...ends(one), farads: one.farads, ohms: loops.has(one.name) ? LOOP_OHMS : 0 }] : [],
  );
  const wound = real.filter((one) => one.kind === 'L');
  const coils = [...wound, ...wound.flatMap(givingWay)];
  const inductance = inductanceOf(coils, deck);
  if (!inductance) return { kind: 'couplings' };
  const controlOf = (plus: string, minus: string, onAbove: number, offBelow: number): Control => {
    const course = minus === '0' ? courseOfNode.get(plus) : undefined;
    const nodes = course ? { plus: -1, minus: -1, course } : { plus: at(plus), minus: at(minus) };
    return { ...nodes, onAbove, offBelow };
  };
  const devices = real.flatMap((one): Device[] => {
    if (one.kind === 'D')
      return [{ kind: 'D', ...ends(one), onSiemens: 1 / one.ohms, offSiemens: DIODE_LEAK, drop: one.drop }];
    if (one.kind !== 'S' && one.kind !== 'M') return [];
    const hysteresis = one.kind === 'S' ? one.hysteresis : 0;
    const control = controlOf(one.plus, one.minus, one.threshold + hysteresis, one.threshold - hysteresis);
    const whole = ends(one);
    const gated: Device = { kind: 'S', ...whole, onSiemens: 1 / one.on, offSiemens: 1 / one.off, drop: 0, control };
    if (one.kind === 'S') return [gated];
    const { drop, ohms } = one.body;
    const turned = { name: whole.name, a: whole.b, b: whole.a, isTurned: true } as const;
    return [gated, { kind: 'D', ...turned, onSiemens: 1 / ohms, offSiemens: DIODE_LEAK, drop }];
  });
  const resistors = real.flatMap((one) => (one.kind === 'R' ? [{ ...ends(one), siemens: 1 / one.ohms }] : []));
  const sources = real.flatMap((one) =>
    one.kind === 'V' || one.kind === 'I' ? [{ ...ends(one), kind: one.kind, course: one.course }] : [],
  );
  const count = capacitors.length + coils.length;
  let next = count + 1;
  const courseAt = sources.map(({ course }) => {
    const place = next;
    if (course.kind !== 'dc') next += 2;
    return place;
  });
  const fluxOf = (coil: number) => {
    const one = coils[coil];
    const row = new Float64Array(next);
    for (let column = 0; column <= coil && one?.kind === 'L'; column += 1)
      row[capacitors.length + column] = inductance[coil * coils.length + column]! / one.henries;
    return row;
  };
  const cores = wound.flatMap((one, coil) => {
    if (!one.saturation) return [];
    const { name, amperes } = { name: one.name, ...one.saturation };
    return ([1, -1] as const).map((sign): Device => {
      const flux = fluxOf(coil).map((share) => sign * share);
      const control = { plus: -1, minus: -1, onAbove: amperes, offBelow: amperes, flux };
      return {
        kind: 'S',
        name: coreOf(name),
        a: at(coreOf(name)),
        b: at(one.b),
        onSiemens: 1 / CORE_OHMS.on,
        offSiemens: 1 / CORE_OHMS.off,
        drop: 0,
        control,
      };
    });
  });
  const network: Network = {
    nodes,
    node,
    devices: [...devices, ...cores],
    capacitors,
    inductors: coils.map(ends),
    resistors,
    sources,
    loose: looseNodes(nodes.length, [...resistors, ...capacitors, ...sources.filter(({ kind }) => kind === 'V')]),
    inductance,
    fluxOf,
    start: new Float64Array(next),
    constant: count,
    courseAt,
    size: next,
  };
  const volts = (name: string) => (name === '0' ? 0 : (deck.starts[name] ?? 0));
  const byName = new Map(real.map((one) => [one.name, one]));
  capacitors.forEach(({ name, farads }, place) => {
    const one = byName.get(name);
    if (one?.kind === 'C') network.start[place] = (one.start ?? volts(one.a) - volts(one.b)) * Math.sqrt(farads);
  });
  const currents = coils.map((one) => (one.kind === 'L' ? (one.start ?? 0) : 0));
  // w = Lᵀ·i of the lower factor.
  coils.forEach((_, row) => {
    let sum = 0;
    for (let other = row; other < coils.length; other += 1)
      sum += inductance[other * coils.length + row]! * currents[other]!;
    network.start[capacitors.length + row] = sum;
  });
  network.start[count] = 1;
  return network;
}

type Coil = Extract<Element, { kind: 'L' }>;

/** The node within a saturating coil, and the name of what closes there. */
const coreOf = (name: string) => `${name}.core`;
/** A core that is driven into saturation lets go between the two slopes: a coil beside the winding, behind a gate. */
const CORE_OHMS = { on: 1e-3, off: 1e7 } as const;

function givingWay(coil: Coil): readonly Coil[] {
  const { saturation, ...plain } = coil;
  if (!saturation) return [];
  const henries = 1 / (1 / Math.min(saturation.henries, 0.99 * coil.henries) - 1 / coil.henries);
  return [{ ...plain, b: coreOf(coil.name), henries, start: 0 }];
}

function inductanceOf(coils: readonly Element[], { couplings }: Deck): Float64Array | undefined {
  const n = coils.length;
  const full = new Float64Array(n * n);
  // The winding itself stands first under its name.
  const place = new Map(coils.map(({ name }, index) => [name, index] as const).toReversed());
  const henries = (index: number) => {
    const one = coils[index];
    return one?.kind === 'L' ? one.henries : 0;
  };
  for (let index = 0; index < n; index += 1) full[index * n + index] = henries(index);
  for (const { first, second, factor } of couplings) {
    const [one = -1, other = -1] = [place.get(first), place.get(second)];
    const mutual = factor * Math.sqrt(henries(one) * henries(other));
    full[one * n + other] = mutual;
    full[other * n + one] = mutual;
  }
  return cholesky(full, n);
}

/** One node of each set that the branches join, but for the one with ground. */
function looseNodes(count: number, branches: readonly { readonly a: number; readonly b: number }[]): readonly number[] {
  const up = Array.from({ length: count + 1 }, (_, index) => index);
  const root = (of: number): number => {
    let at = of < 0 ? count : of;
    while (up[at] !== at) at = up[at] ?? at;
    return at;
  };
  for (const { a, b } of branches) up[root(a)] = root(b);
  return up.flatMap((one, index) => (one === index && index !== root(-1) && index < count ? [index] : []));
}

/** Capacitors that close a loop of capacitors and voltage sources; and a source that closes one of sources alone. */
function loopsOf(elements: readonly Element[]): {
  readonly loops: ReadonlySet<string>;
  readonly short: Element | undefined;
} {
  const root = new Map<string, string>();
  const find = (name: string): string => {
    const up = root.get(name) ?? name;
    return up === name ? name : find(up);
  };
  const loops = new Set<string>();
  let short: Element | undefined;
  for (const kind of ['V', 'C'] as const)
    for (const one of elements) {
      if (one.kind !== kind) continue;
      const [a, b] = [find(one.a), find(one.b)];
      if (a !== b) root.set(a, b);
      else if (kind === 'V') short ??= one;
      else loops.add(one.name);
    }
  return { loops, short };
}

/** chol⁻ᵀ of a lower factor, row by row. */
export function upperInverse(chol: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n);
  for (let column = 0; column < n; column += 1) {
    // Solve Lᵀ·x = e.
    for (let row = n - 1; row >= 0; row -= 1) {
      let sum = row === column ? 1 : 0;
      for (let other = row + 1; other < n; other += 1) sum -= chol[other * n + row]! * inverse[other * n + column]!;
      inverse[row * n + column] = sum / chol[row * n + row]!;
    }
  }
  return inverse;
}
