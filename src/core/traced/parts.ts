import type { BoardPart } from '../board';
import type { Model } from '../topology';
import { TRANSISTOR_TERMINALS, twoPins } from '../topology';
import type { Limits, PartModel, PowerPart } from '../whatif';
import { TYPICAL } from './typical';
import type { TracedUnit, Values } from './unit';

/** Where the parts of a cut are joined, by the names of their nodes. */
export interface Nodes {
  readonly at: (part: BoardPart, pin: string) => string;
}

/** What else is known of the stage that a part stands in. */
export interface Surroundings {
  readonly unit: TracedUnit;
  readonly model: Model;
  readonly nodes: Nodes;
  readonly values: Values;
  /** Power of the stage, watt. */
  readonly watts: number;
  /** Ohms that make a usual loss at the source and at the output, which typical ones do not pass. */
  readonly lossOhms: { readonly source: number; readonly output: number };
  /** Switches that are driven, and transistors that only rectify. */
  readonly switches: ReadonlySet<BoardPart>;
  readonly rectifiers: ReadonlySet<BoardPart>;
  /** Volts that a capacitor starts from. */
  readonly startOf: (part: BoardPart) => number | undefined;
  /** Inductance of a choke of which nothing is known, henry. */
  readonly typicalHenries: (part: BoardPart) => { readonly value: number; readonly why: string };
  /** Ends of the switch inside a chip. */
  readonly chipSwitch: (part: BoardPart) => { readonly hi: string; readonly lo: string } | undefined;
}

const NONE = Infinity;

/** A part of a board as parts of a circuit that runs; a transformer is built where its drive is known. */
export function powerPartsOf(part: BoardPart, around: Surroundings): readonly PowerPart[] {
  const { nodes, values } = around;
  const at = (pin: string) => nodes.at(part, pin);
  const limit = (name: Parameters<Values['find']>[1]) => values.find(part, name) ?? NONE;
  const two = twoPins(part) ?? ['1', '2'];
  const make = (
    model: PartModel,
    pins: Readonly<Record<string, string>>,
    limits: Limits = {},
    ref = part.ref,
  ): PowerPart => ({ ref, drawn: { kind: part.kind, pins }, model, limits });
  const link = (ohms: number, pins: readonly [string, string], limits: Limits = {}, ref = part.ref) =>
    make({ kind: 'link', ohms }, { 1: at(pins[0]), 2: at(pins[1]) }, limits, ref);
  switch (part.kind) {
    case 'resistor': {
      const ohms = values.find(part, 'resistance');
      if (ohms === undefined) return [];
      const pins = { 1: at(two[0]), 2: at(two[1]) };
      if (ohms === 0) return [make({ kind: 'link', ohms: 1e-3 }, pins)];
      return [make({ kind: 'resistor', ohms }, pins, { watts: limit('power') })];
    }
    case 'capacitor': {
      const isPolarised = '+' in part.pins && '-' in part.pins;
      const farads = values.find(part, 'capacitance') ?? typicalFarads(part, around, isPolarised);
      if (farads === undefined) return [];
      const ohms = values.take(part, 'esr', () => ({
        value: isPolarised ? Math.max(TYPICAL.leastEsr, TYPICAL.esrTimesFarads / farads) : TYPICAL.leastEsr,
        why: isPolarised ? 'as a sound wet electrolytic of its size' : 'as film and ceramic capacitors have',
      }));
      const start = around.startOf(part);
      const model: PartModel = {
        kind: 'capacitor',
        farads,
        ohms,
        isPolarised,
        ...(start === undefined ? {} : { start }),
      };
      const pins = isPolarised ? { '+': at('+'), '-': at('-') } : { 1: at(two[0]), 2: at(two[1]) };
      // Capacitors for the mains are rated by its effective volts (IEC 60384-14).
      const peak = part.subtype === 'x' || part.subtype === 'y' ? Math.SQRT2 : 1;
      return [make(model, pins, { volts: peak * limit('voltage'), rms: limit('ripple') })];
    }
    case 'inductor': {
      const henries = values.take(part, 'inductance', () => around.typicalHenries(part));
      const ohms = values.take(part, 'dcr', () => ({
        value: Math.min(TYPICAL.ohms.inductor, around.lossOhms.output),
        why: 'as chokes of this kind have',
      }));
      return [
        make({ kind: 'choke', henries, ohms }, { 1: at(two[0]), 2: at(two[1]) }, { amperes: limit('saturation') }),
      ];
    }
    case 'common-mode-choke':
      return [
        link(TYPICAL.ohms['common-mode-choke'], ['1', '2'], {}, `${part.ref}_1`),
        link(TYPICAL.ohms['common-mode-choke'], ['3', '4'], {}, `${part.ref}_2`),
      ];
    case 'fuse':
      return [link(TYPICAL.ohms.fuse, [two[0], two[1]], { rms: limit('current') })];
    case 'thermistor':
      return [link(TYPICAL.ohms.thermistor, [two[0], two[1]])];
    case 'switch':
      return [link(TYPICAL.ohms.switch, [two[0], two[1]])];
    case 'diode':
      return diodes(part, [['A', 'K']], around);
    case 'dual-diode':
      return diodes(part, dualPairs(part), around);
    case 'bridge': {
      const { drop, ohms } = forward(part, around);
      return [
        make(
          { kind: 'bridge', drop, ohms },
          { AC1: at('AC1'), AC2: at('AC2'), '+': at('+'), '-': at('-') },
          { volts: limit('vrrm'), mean: limit('ifav') },
        ),
      ];
    }
    default:
      return transistor(part, around);
  }
}

/** An electrolytic capacitor of unknown size: as one of its place. */
function typicalFarads(part: BoardPart, { values, watts }: Surroundings, isPolarised: boolean): number | undefined {
  if (!isPolarised) return undefined;
  return values.take(part, 'capacitance', () => ({
    value: Math.max(47e-6, watts * TYPICAL.bulkPerWatt),
    why: 'as stages of this power have',
  }));
}

const dualPairs = ({ pins }: BoardPart): readonly (readonly [string, string])[] =>
  'A1' in pins
    ? [
        ['A1', 'K'],
        ['A2', 'K'],
      ]
    : 'K1' in pins
      ? [
          ['A', 'K1'],
          ['A', 'K2'],
        ]
      : [
          ['A', 'M'],
          ['M', 'K'],
        ];

/** Drop and resistance of a diode: what is known, else as its kind has. */
function forward(
  part: BoardPart,
  { values, lossOhms, rectifiers }: Surroundings,
): { readonly drop: number; readonly ohms: number } {
  const kind = part.subtype === 'schottky' ? 'schottky' : part.subtype === 'fast' ? 'fast' : 'rectifier';
  const drop = values.take(part, 'vf', () => ({ value: TYPICAL.drop[kind], why: `as a ${kind} diode at its current` }));
  return {
    drop: Math.max(0.05, drop * 0.8),
    ohms: rectifiers.has(part) ? Math.min(TYPICAL.diodeOhms, lossOhms.output) : TYPICAL.diodeOhms,
  };
}

function diodes(
  part: BoardPart,
  pairs: readonly (readonly [string, string])[],
  around: Surroundings,
): readonly PowerPart[] {
  const { nodes, values } = around;
  const isZener = part.subtype === 'zener' || part.subtype === 'tvs';
  const zener = isZener ? (values.find(part, 'vz') ?? values.find(part, 'voltage')) : undefined;
  if (isZener && zener === undefined) return [];
  const { drop, ohms } = isZener ? { drop: 0.8, ohms: 1 } : forward(part, around);
  const limits: Limits = isZener
    ? { watts: values.find(part, 'power') ?? NONE }
    : {
        volts: values.find(part, 'vrrm') ?? values.find(part, 'voltage') ?? NONE,
        mean: (values.find(part, 'ifav') ?? values.find(part, 'current') ?? NONE) / pairs.length,
      };
  const ends = pairs.map((pair) => pair.map((pin) => nodes.at(part, pin)));
  const isParallel = ends.length > 1 && ends.every(([a, k]) => a === ends[0]?.[0] && k === ends[0]?.[1]);
  const own = isParallel ? ends.slice(0, 1) : ends;
  return own.flatMap(([a = '', k = ''], index): readonly PowerPart[] =>
    a === k
      ? []
      : [
          {
            ref: own.length > 1 ? `${part.ref}_${index + 1}` : part.ref,
            drawn: { kind: 'diode', pins: { A: a, K: k } },
            model: { kind: 'diode', drop, ohms, ...(zener === undefined ? { junction: TYPICAL.junction } : { zener }) },
            limits: isParallel && limits.mean !== undefined ? { ...limits, mean: limits.mean * pairs.length } : limits,
          },
        ],
  );
}

/** A transistor or a chip with its switch inside; one that only rectifies is a diode with next to no drop. */
function transistor(part: BoardPart, around: Surroundings): readonly PowerPart[] {
  const { nodes, values, switches, rectifiers } = around;
  const terminals = TRANSISTOR_TERMINALS[part.kind];
  const volts = values.find(part, 'vds') ?? values.find(part, 'vceo') ?? values.find(part, 'vces') ?? NONE;
  const amperes = values.find(part, 'id') ?? values.find(part, 'ic') ?? NONE;
  const isBipolar = part.kind === 'npn' || part.kind === 'pnp' || part.kind === 'igbt';
  const isHigh = volts === NONE ? isOnMains(around) : volts > TYPICAL.highVolts;
  const size = isHigh ? 'high' : 'low';
  const onOhms = () =>
    isBipolar
      ? TYPICAL.saturatedOhms
      : values.take(part, 'rdsOn', () => ({
          value: Math.min(TYPICAL.onOhms[size], rectifiers.has(part) ? around.lossOhms.output : around.lossOhms.source),
          why: `as switches of ${isHigh ? 'high' : 'low'} voltage have`,
        }));
  if (rectifiers.has(part) && terminals)
    return [
      {
        ref: part.ref,
        drawn: { kind: 'diode', pins: { A: nodes.at(part, terminals.lo), K: nodes.at(part, terminals.hi) } },
        model: { kind: 'diode', drop: 0.02, ohms: onOhms() },
        limits: { volts, mean: amperes },
      },
    ];
  if (!switches.has(part)) return [];
  const ends = terminals
    ? { hi: nodes.at(part, terminals.hi), lo: nodes.at(part, terminals.lo) }
    : around.chipSwitch(part);
  if (!ends || ends.hi === ends.lo) return [];
  return [
    {
      ref: part.ref,
      drawn: { kind: 'nmos', pins: { G: '', D: ends.hi, S: ends.lo } },
      model: {
        kind: 'mosfet',
        ohms: onOhms(),
        farads: TYPICAL.switchFarads[size],
        damping: TYPICAL.damping,
        ...(isBipolar && part.kind !== 'igbt' ? { isBipolar } : {}),
      },
      limits: { volts, amperes, watts: NONE },
    },
  ];
}

const isOnMains = ({ unit }: Surroundings) => unit.board.nameplate?.input?.kind !== 'dc';
