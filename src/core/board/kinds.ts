interface KindEntry {
  /** Pins in the order they are written; empty where they are the maker's own. */
  readonly pins: readonly string[];
  readonly subtypes?: readonly string[];
  readonly roles?: readonly string[];
}

const TWO = ['1', '2'];

/** Part kinds of a board file with their pins, as the format lists them. */
export const BOARD_KINDS = {
  connector: { pins: [], roles: ['mains-inlet', 'dc-input', 'output', 'load', 'lamp', 'line-selector'] },
  fuse: { pins: TWO },
  thermistor: { pins: TWO, subtypes: ['ntc', 'ptc'] },
  varistor: { pins: TWO },
  'spark-gap': { pins: TWO },
  diac: { pins: TWO },
  lamp: { pins: TWO },
  switch: { pins: TWO },
  resistor: { pins: TWO, subtypes: ['fusible'] },
  potentiometer: { pins: ['1', '2', 'W'] },
  capacitor: { pins: TWO, subtypes: ['electrolytic', 'polymer', 'tantalum', 'film', 'ceramic', 'x', 'y'] },
  inductor: { pins: TWO },
  'common-mode-choke': { pins: ['1', '2', '3', '4'] },
  diode: { pins: ['A', 'K'], subtypes: ['rectifier', 'fast', 'schottky', 'zener', 'tvs', 'led'] },
  'dual-diode': { pins: [], subtypes: ['common-cathode', 'common-anode', 'series'] },
  bridge: { pins: ['AC1', 'AC2', '+', '-'] },
  nmos: { pins: ['G', 'D', 'S'] },
  pmos: { pins: ['G', 'D', 'S'] },
  npn: { pins: ['B', 'C', 'E'] },
  pnp: { pins: ['B', 'C', 'E'] },
  igbt: { pins: ['G', 'C', 'E'] },
  triac: { pins: ['MT1', 'MT2', 'G'] },
  scr: { pins: ['A', 'K', 'G'] },
  optocoupler: { pins: ['A', 'K', 'C', 'E'] },
  'shunt-reference': { pins: ['A', 'K', 'R'] },
  regulator: { pins: ['IN', 'OUT', 'GND'] },
  ic: {
    pins: [],
    subtypes: [
      'controller',
      'gate-driver',
      'sync-rectifier',
      'switcher',
      'microcontroller',
      'opamp',
      'comparator',
      'unknown',
    ],
  },
  relay: { pins: [] },
  transformer: { pins: [] },
} as const satisfies Record<string, KindEntry>;

export type BoardKind = keyof typeof BOARD_KINDS;

/** Pins of a dual diode by its arrangement. */
export const DUAL_DIODE_PINS: Readonly<Record<string, readonly string[]>> = {
  'common-cathode': ['A1', 'A2', 'K'],
  'common-anode': ['K1', 'K2', 'A'],
  series: ['A', 'M', 'K'],
};

export const isBoardKind = (kind: string): kind is BoardKind => Object.hasOwn(BOARD_KINDS, kind);
