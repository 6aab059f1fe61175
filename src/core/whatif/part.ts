import type { BoardPart } from '../board';

/** What a part does in a circuit, in ohm, farad, henry, volt and ampere. */
export type PartModel =
  | { readonly kind: 'resistor'; readonly ohms: number }
  /** What takes the output: shown by its current, reckoned as a resistance. */
  | { readonly kind: 'load'; readonly ohms: number }
  | {
      readonly kind: 'capacitor';
      readonly farads: number;
      readonly ohms: number;
      readonly isPolarised: boolean;
      /** Volts it begins with; where a circuit settles, only where it is looked for first. */
      readonly start?: number;
    }
  | { readonly kind: 'choke'; readonly henries: number; readonly ohms: number; readonly saturates?: number }
  | {
      readonly kind: 'transformer';
      /** Of the first winding, with all others open. */
      readonly henries: number;
      /** Of the first winding, with all others shorted. */
      readonly leakage: number;
      readonly saturates?: number;
      /** Pins from the dotted end, and turns for one turn of the first. */
      readonly windings: readonly {
        readonly pins: readonly [dot: string, end: string];
        readonly turns: number;
        readonly ohms: number;
      }[];
    }
  | {
      readonly kind: 'diode';
      readonly drop: number;
      readonly ohms: number;
      readonly zener?: number;
      /** What its junction stores, behind the resistance that damps it. */
      readonly junction?: { readonly farads: number; readonly ohms: number };
    }
  /** Four diodes; its first leg may be broken. */
  | { readonly kind: 'bridge'; readonly drop: number; readonly ohms: number; readonly leg?: 'open' | 'shorted' }
  /**
   * A switch from drain to source with the diode of its body, which a bipolar transistor has not; `damping` is in series with what its
   * channel stores.
   */
  | {
      readonly kind: 'mosfet';
      readonly ohms: number;
      readonly farads: number;
      readonly damping: number;
      readonly isBipolar?: true;
    }
  /** A switch for both halves of a wave, which its gate closes. */
  | { readonly kind: 'triac'; readonly drop: number; readonly ohms: number }
  /** What feeds it, behind the resistance and the inductance of its leads. */
  | { readonly kind: 'supply'; readonly volts: number; readonly ohms: number; readonly henries: number }
  | { readonly kind: 'mains'; readonly rms: number; readonly hertz: number; readonly ohms: number }
  /** It drives the gates; in the circuit it is nothing else. */
  | { readonly kind: 'controller' }
  /** A wire, or a fuse that carries. */
  | { readonly kind: 'link'; readonly ohms: number };

/** What a part may stand. */
export interface Limits {
  readonly volts?: number;
  /** Peak. */
  readonly amperes?: number;
  readonly mean?: number;
  /** Effective: the ripple of a capacitor, the current of a fuse. */
  readonly rms?: number;
  readonly watts?: number;
}

/** A part of a circuit that can be run. */
export interface PowerPart {
  readonly ref: string;
  /** As it is drawn: kind, role, nets of its pins. The returns of both sides are `0` and `s0`. */
  readonly drawn: Pick<BoardPart, 'kind' | 'subtype' | 'role' | 'windings' | 'dots' | 'pinNames'> & {
    readonly pins: Readonly<Record<string, string>>;
  };
  readonly model: PartModel;
  readonly limits: Limits;
}

type Nets = Readonly<Record<string, string>>;

// Builders of parts: reference, nets, what it does, what it stands.

export const resistor = (ref: string, a: string, b: string, ohms: number, watts: number): PowerPart => ({
  ref,
  drawn: { kind: 'resistor', pins: { 1: a, 2: b } },
  model: { kind: 'resistor', ohms },
  limits: { watts },
});

export const choke = (
  ref: string,
  a: string,
  b: string,
  { henries, ohms, saturates }: { readonly henries: number; readonly ohms: number; readonly saturates: number },
): PowerPart => ({
  ref,
  drawn: { kind: 'inductor', pins: { 1: a, 2: b } },
  model: { kind: 'choke', henries, ohms },
  limits: { amperes: saturates },
});

interface Can {
  readonly farads: number;
  readonly ohms: number;
  readonly volts: number;
  /** Ripple it stands, effective. */
  readonly rms: number;
  /** About what it holds when the circuit runs, so that it is found sooner. */
  readonly start?: number;
}

export const electrolytic = (
  ref: string,
  plus: string,
  minus: string,
  { farads, ohms, volts, rms, start }: Can,
): PowerPart => ({
  ref,
  drawn: { kind: 'capacitor', subtype: 'electrolytic', pins: { '+': plus, '-': minus } },
  model: { kind: 'capacitor', farads, ohms, isPolarised: true, ...(start === undefined ? {} : { start }) },
  limits: { volts, rms },
});

export const film = (ref: string, a: string, b: string, { farads, ohms, volts, rms, start }: Can): PowerPart => ({
  ref,
  drawn: { kind: 'capacitor', subtype: 'film', pins: { 1: a, 2: b } },
  model: { kind: 'capacitor', farads, ohms, isPolarised: false, ...(start === undefined ? {} : { start }) },
  limits: { volts, rms },
});

export const diode = (
  ref: string,
  anode: string,
  cathode: string,
  of: {
    readonly drop: number;
    readonly ohms: number;
    readonly volts: number;
    readonly mean: number;
    readonly subtype?: 'fast' | 'schottky' | 'rectifier';
  },
): PowerPart => ({
  ref,
  drawn: { kind: 'diode', subtype: of.subtype ?? 'fast', pins: { A: anode, K: cathode } },
  model: { kind: 'diode', drop: of.drop, ohms: of.ohms },
  limits: { volts: of.volts, mean: of.mean },
});

export const mosfet = (
  ref: string,
  { gate, drain, source }: { readonly gate: string; readonly drain: string; readonly source: string },
  of: {
    readonly ohms: number;
    readonly farads: number;
    readonly damping: number;
    readonly volts: number;
    readonly amperes: number;
    readonly watts: number;
  },
): PowerPart => ({
  ref,
  drawn: { kind: 'nmos', pins: { G: gate, D: drain, S: source } },
  model: { kind: 'mosfet', ohms: of.ohms, farads: of.farads, damping: of.damping },
  limits: { volts: of.volts, amperes: of.amperes, watts: of.watts },
});

/** @param windings nets from the dotted end, turns for one of the first, ohms, and the side its pins are drawn on */
export const transformer = (
  ref: string,
  windings: readonly {
    readonly nets: readonly [dot: string, end: string];
    readonly turns: number;
    readonly ohms: number;
  }[],
  of: { readonly henries: number; readonly leakage: number; readonly saturates: number },
): PowerPart => {
  // Halves that meet in one net are one tapped winding with one pin for the tap.
  const pinOf = new Map<string, string>();
  const pin = (net: string): string => {
    const known = pinOf.get(net);
    if (known) return known;
    pinOf.set(net, String(pinOf.size + 1));
    return pin(net);
  };
  const coils = windings.map(({ nets: [dot, end], turns, ohms }) => ({
    pins: [pin(dot), pin(end)] as const,
    turns,
    ohms,
  }));
  const groups: string[][] = [];
  for (const { pins } of coils) {
    const met = groups.find((group) => pins.some((one) => group.includes(one)));
    if (!met) groups.push([...pins]);
    else {
      const [a, b] = pins;
      // The tap lies between the outer ends.
      if (met.at(-1) === a) met.push(b);
      else if (met.at(-1) === b) met.push(a);
      else met.unshift(met[0] === a ? b : a);
    }
  }
  return {
    ref,
    drawn: {
      kind: 'transformer',
      pins: Object.fromEntries([...pinOf].map(([net, name]) => [name, net])),
      windings: groups,
      dots: coils
        .filter(({ pins }, index) => index === coils.findIndex((one) => sharesGroup(groups, one.pins, pins)))
        .map(({ pins }) => pins[0]),
    },
    model: { kind: 'transformer', henries: of.henries, leakage: of.leakage, windings: coils },
    limits: { amperes: of.saturates },
  };
};

const sharesGroup = (groups: readonly (readonly string[])[], one: readonly string[], other: readonly string[]) =>
  groups.find((group) => group.includes(one[0] ?? '')) === groups.find((group) => group.includes(other[0] ?? ''));

/** @param lead of the wires to it; none where nothing else holds its volts */
export const supply = (
  ref: string,
  plus: string,
  minus: string,
  volts: number,
  lead: { readonly ohms: number; readonly henries: number } = { ohms: 0, henries: 0 },
): PowerPart => ({
  ref,
  drawn: { kind: 'connector', role: 'dc-input', pins: { '+': plus, '-': minus } },
  model: { kind: 'supply', volts, ...lead },
  limits: {},
});

export const mains = (
  ref: string,
  live: string,
  neutral: string,
  of: { readonly rms: number; readonly hertz: number; readonly ohms: number },
): PowerPart => ({
  ref,
  drawn: { kind: 'connector', role: 'mains-inlet', pins: { L: live, N: neutral } },
  model: { kind: 'mains', ...of },
  limits: {},
});

export const load = (ref: string, plus: string, minus: string, ohms: number): PowerPart => ({
  ref,
  drawn: { kind: 'connector', role: 'output', pins: { '+': plus, '-': minus } },
  model: { kind: 'load', ohms },
  limits: {},
});

export const fuse = (ref: string, a: string, b: string, rms: number): PowerPart => ({
  ref,
  drawn: { kind: 'fuse', pins: { 1: a, 2: b } },
  model: { kind: 'link', ohms: 0.02 },
  limits: { rms },
});

/** @param pins names of its pins with their nets */
export const controller = (ref: string, pins: Nets): PowerPart => ({
  ref,
  drawn: { kind: 'ic', subtype: 'controller', pins },
  model: { kind: 'controller' },
  limits: {},
});

export const bridge = (
  ref: string,
  nets: { readonly a: string; readonly b: string; readonly plus: string; readonly minus: string },
  of: { readonly drop: number; readonly ohms: number; readonly volts: number; readonly mean: number },
): PowerPart => ({
  ref,
  drawn: { kind: 'bridge', pins: { AC1: nets.a, AC2: nets.b, '+': nets.plus, '-': nets.minus } },
  model: { kind: 'bridge', drop: of.drop, ohms: of.ohms },
  limits: { volts: of.volts, mean: of.mean },
});

export const triac = (
  ref: string,
  { mt1, mt2, gate }: { readonly mt1: string; readonly mt2: string; readonly gate: string },
  of: { readonly drop: number; readonly ohms: number; readonly volts: number; readonly rms: number },
): PowerPart => ({
  ref,
  drawn: { kind: 'triac', pins: { MT1: mt1, MT2: mt2, G: gate } },
  model: { kind: 'triac', drop: of.drop, ohms: of.ohms },
  limits: { volts: of.volts, rms: of.rms },
});

export const zener = (
  ref: string,
  anode: string,
  cathode: string,
  of: { readonly volts: number; readonly ohms: number; readonly watts: number },
): PowerPart => ({
  ref,
  drawn: { kind: 'diode', subtype: 'zener', pins: { A: anode, K: cathode } },
  model: { kind: 'diode', drop: 0.8, ohms: of.ohms, zener: of.volts },
  limits: { watts: of.watts },
});
