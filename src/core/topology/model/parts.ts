import { practice } from '../../evidence';
import type { BoardPart } from '../../board';

/** Transistors by kind: the terminal that current enters, the one it leaves, and the one that commands it. */
export const TRANSISTOR_TERMINALS: Readonly<Record<string, { hi: string; lo: string; gate: string }>> = {
  nmos: { hi: 'D', lo: 'S', gate: 'G' },
  pmos: { hi: 'S', lo: 'D', gate: 'G' },
  npn: { hi: 'C', lo: 'E', gate: 'B' },
  pnp: { hi: 'E', lo: 'C', gate: 'B' },
  igbt: { hi: 'C', lo: 'E', gate: 'G' },
  scr: { hi: 'A', lo: 'K', gate: 'G' },
};

/** Chip subtypes that may hold the power switch itself. */
const CHIPS_WITH_SWITCH: ReadonlySet<string> = new Set(['switcher', 'unknown']);

export const mayHoldSwitch = ({ kind, subtype }: BoardPart): boolean =>
  kind === 'ic' && CHIPS_WITH_SWITCH.has(subtype ?? 'unknown');

/** The value at which a resistor may pass for a current shunt in a power path. */
export const SHUNT_AT_MOST = practice(1.2);
/** Emitter and source resistors of small self-oscillating stages. */
export const EMITTER_RESISTOR_AT_MOST = practice(22);
/** Thermistors above this are sensors, not inrush limiters. */
export const INRUSH_AT_MOST = practice(120);
/** Series resistors of mains rectifiers and droppers. */
export const SERIES_RESISTOR_AT_MOST = practice(220);
/** Resistors up to this may stand in a supply line; larger ones load it. */
export const SUPPLY_RESISTOR_AT_MOST = practice(22);
/** Inductors up to this, with a single pin behind them, are beads. */
export const BEAD_AT_MOST = practice(1e-6);
/** From this value a capacitor holds a voltage over a switching period. */
export const RESERVOIR_AT_LEAST = practice(90e-9);
/** Below this a capacitor across a switch shapes edges and carries no power. */
export const COUPLING_AT_LEAST = practice(1e-9);

/** Current paths of a part that merely let power through, as pairs of pins. */
export function passesOf(part: BoardPart): readonly (readonly [string, string])[] {
  const resistance = part.value?.resistance;
  switch (part.kind) {
    case 'fuse':
    case 'switch':
      return [['1', '2']];
    case 'common-mode-choke':
      return [
        ['1', '2'],
        ['3', '4'],
      ];
    case 'thermistor':
      return resistance === undefined
        ? []
        : resistance <= (part.subtype === 'ptc' ? 20 : INRUSH_AT_MOST)
          ? [['1', '2']]
          : [];
    case 'resistor':
      return (resistance ?? Infinity) <= SHUNT_AT_MOST || (part.subtype === 'fusible' && (resistance ?? 0) <= 50)
        ? [['1', '2']]
        : [];
    case 'inductor':
      return part.subtype === 'bead' ? [['1', '2']] : [];
    default:
      return [];
  }
}

/** The two pins of a two-terminal part, plus before minus and anode before cathode; as printed otherwise. */
export function twoPins({ pins }: BoardPart): readonly [string, string] | undefined {
  const names = Object.keys(pins);
  for (const [first, second] of [
    ['+', '-'],
    ['A', 'K'],
  ] as const)
    if (first in pins && second in pins) return [first, second];
  const [a, b] = names;
  return a !== undefined && b !== undefined && names.length === 2 ? [a, b] : undefined;
}

export const isPolarised = ({ kind, subtype, pins }: BoardPart): boolean =>
  kind === 'capacitor' &&
  (('+' in pins && '-' in pins) || subtype === 'electrolytic' || subtype === 'polymer' || subtype === 'tantalum');

/** Whether a capacitor holds a voltage over a switching period: a polarised one, or one of enough value. */
export const isReservoirPart = (part: BoardPart): boolean =>
  part.kind === 'capacitor' &&
  part.subtype !== 'x' &&
  part.subtype !== 'y' &&
  (isPolarised(part) || (part.value?.capacitance ?? 0) >= RESERVOIR_AT_LEAST);

/** A lamp that takes alternating current: a tube or a bulb. One with a plus is a string of diodes. */
export const isLamp = ({ kind, role, pins }: BoardPart): boolean =>
  kind === 'connector' && role === 'lamp' && !('+' in pins);

/** A connector to what the board supplies. */
export const isOutlet = (part: BoardPart): boolean =>
  part.kind === 'connector' &&
  (part.role === 'output' || part.role === 'load' || (part.role === 'lamp' && !isLamp(part)));

const EARTH_PINS: ReadonlySet<string> = new Set(['E', 'PE', 'EARTH', 'FG', 'G', 'GND']);
export const isEarthPin = (pin: string): boolean => EARTH_PINS.has(pin.toUpperCase());
