import type { RatingName } from './ratings';

/** The bench test that applies to a kind. */
export type TestName =
  | 'capacitor'
  | 'mosfet'
  | 'diode'
  | 'dual-diode'
  | 'bridge'
  | 'resistor'
  | 'trimmer'
  | 'transistor'
  | 'igbt'
  | 'triac'
  | 'thyristor'
  | 'optocoupler'
  | 'shunt-reference'
  | 'regulator'
  | 'chip'
  | 'fuse'
  | 'varistor'
  | 'thermistor'
  | 'choke'
  | 'common-mode-choke'
  | 'transformer'
  | 'relay'
  | 'fan'
  | 'heat-sink';

export interface PartKind {
  /** What the interface calls one. */
  readonly label: string;
  /** Words a person may type, lower case; the first is the shortest clear one. */
  readonly words: readonly string[];
  /** Letters a board's print puts before the number. */
  readonly prefixes: readonly string[];
  readonly pins: readonly string[];
  /** The ratings that matter, most telling first. */
  readonly ratings: readonly RatingName[];
  readonly test?: TestName;
}

/** Part kinds with their pins, as the board format names them. */
export const PART_KINDS = {
  resistor: {
    label: 'resistor',
    words: ['resistor', 'res'],
    prefixes: ['R'],
    pins: ['1', '2'],
    ratings: ['resistance', 'power', 'tolerance', 'tempco'],
    test: 'resistor',
  },
  potentiometer: {
    label: 'trimmer',
    words: ['trimmer', 'potentiometer', 'pot'],
    prefixes: ['RP', 'POT', 'P'],
    pins: ['1', '2', 'W'],
    ratings: ['resistance', 'power'],
    test: 'trimmer',
  },
  capacitor: {
    label: 'capacitor',
    words: ['capacitor', 'cap', 'elko'],
    prefixes: ['C', 'CX', 'CY', 'EC'],
    pins: ['1', '2'],
    ratings: [
      'capacitance',
      'voltage',
      'temperature',
      'esr',
      'tolerance',
      'leakage',
      'life',
      'ripple',
      'diameter',
      'height',
      'pitch',
    ],
    test: 'capacitor',
  },
  inductor: {
    label: 'choke',
    words: ['choke', 'inductor', 'ind'],
    prefixes: ['L', 'FB'],
    pins: ['1', '2'],
    ratings: ['inductance', 'current', 'tolerance', 'dcr', 'saturation'],
    test: 'choke',
  },
  'common-mode-choke': {
    label: 'common-mode choke',
    words: ['common-mode-choke', 'cmc'],
    prefixes: ['LF', 'L'],
    pins: ['1', '2', '3', '4'],
    ratings: ['inductance', 'current', 'dcr', 'coupling'],
    test: 'common-mode-choke',
  },
  transformer: {
    label: 'transformer',
    words: ['transformer', 'trafo'],
    prefixes: ['T', 'TR'],
    pins: [],
    ratings: ['inductance', 'voltage', 'power', 'primary', 'turnsRatio', 'coupling', 'saturation'],
    test: 'transformer',
  },
  diode: {
    label: 'diode',
    words: ['diode', 'rectifier', 'schottky', 'zener', 'tvs'],
    prefixes: ['D', 'ZD', 'LED', 'DZ'],
    pins: ['A', 'K'],
    ratings: ['vrrm', 'ifav', 'vf', 'vz', 'power', 'recovery', 'diameter'],
    test: 'diode',
  },
  'dual-diode': {
    label: 'dual rectifier',
    words: ['dual-diode', 'dual'],
    prefixes: ['D'],
    pins: ['A1', 'K', 'A2'],
    ratings: ['vrrm', 'ifav', 'vf', 'recovery'],
    test: 'dual-diode',
  },
  bridge: {
    label: 'bridge',
    words: ['bridge'],
    prefixes: ['BR', 'BD', 'DB'],
    pins: ['AC1', 'AC2', '+', '-'],
    ratings: ['vrrm', 'ifav'],
    test: 'bridge',
  },
  nmos: {
    label: 'N-FET',
    words: ['nmos', 'nfet', 'mosfet'],
    prefixes: ['Q', 'M'],
    pins: ['G', 'D', 'S'],
    ratings: ['vds', 'id', 'rdsOn', 'vgsTh', 'vf'],
    test: 'mosfet',
  },
  pmos: {
    label: 'P-FET',
    words: ['pmos', 'pfet'],
    prefixes: ['Q', 'M'],
    pins: ['G', 'D', 'S'],
    ratings: ['vds', 'id', 'rdsOn', 'vgsTh', 'vf'],
    test: 'mosfet',
  },
  igbt: {
    label: 'IGBT',
    words: ['igbt'],
    prefixes: ['Q'],
    pins: ['G', 'C', 'E'],
    ratings: ['vces', 'ic'],
    test: 'igbt',
  },
  npn: {
    label: 'NPN',
    words: ['npn'],
    prefixes: ['Q'],
    pins: ['B', 'C', 'E'],
    ratings: ['vceo', 'ic', 'gain', 'power'],
    test: 'transistor',
  },
  pnp: {
    label: 'PNP',
    words: ['pnp'],
    prefixes: ['Q'],
    pins: ['B', 'C', 'E'],
    ratings: ['vceo', 'ic', 'gain', 'power'],
    test: 'transistor',
  },
  triac: {
    label: 'triac',
    words: ['triac'],
    prefixes: ['Q', 'TR', 'TH'],
    pins: ['MT1', 'MT2', 'G'],
    ratings: ['vdrm', 'itRms'],
    test: 'triac',
  },
  scr: {
    label: 'thyristor',
    words: ['scr', 'thyristor'],
    prefixes: ['TH', 'Q'],
    pins: ['A', 'K', 'G'],
    ratings: ['vdrm', 'itRms'],
    test: 'thyristor',
  },
  optocoupler: {
    label: 'optocoupler',
    words: ['optocoupler', 'opto'],
    prefixes: ['U', 'PC', 'OC', 'OPTO', 'OK', 'IC'],
    pins: ['A', 'K', 'E', 'C'],
    ratings: ['ctr', 'voltage', 'current'],
    test: 'optocoupler',
  },
  'shunt-reference': {
    label: 'shunt reference',
    words: ['shunt-reference', 'reference'],
    prefixes: ['U', 'IC'],
    pins: ['R', 'A', 'K'],
    ratings: ['vout'],
    test: 'shunt-reference',
  },
  regulator: {
    label: 'regulator',
    words: ['regulator', 'reg'],
    prefixes: ['U', 'IC'],
    pins: ['IN', 'GND', 'OUT'],
    ratings: ['vout', 'iout'],
    test: 'regulator',
  },
  ic: {
    label: 'chip',
    words: ['ic', 'chip', 'controller'],
    prefixes: ['U', 'IC'],
    pins: [],
    ratings: [],
    test: 'chip',
  },
  fuse: {
    label: 'fuse',
    words: ['fuse'],
    prefixes: ['F', 'FU'],
    pins: ['1', '2'],
    ratings: ['current', 'voltage', 'breaking'],
    test: 'fuse',
  },
  thermistor: {
    label: 'thermistor',
    words: ['thermistor', 'ntc', 'ptc'],
    prefixes: ['NTC', 'TH', 'RT'],
    pins: ['1', '2'],
    ratings: ['r25', 'diameter', 'current'],
    test: 'thermistor',
  },
  varistor: {
    label: 'varistor',
    words: ['varistor', 'mov', 'vdr'],
    prefixes: ['VR', 'MOV', 'RV', 'VDR', 'ZNR', 'Z'],
    pins: ['1', '2'],
    ratings: ['vn', 'acVoltage', 'diameter'],
    test: 'varistor',
  },
  'spark-gap': {
    label: 'spark gap',
    words: ['spark-gap', 'sparkgap'],
    prefixes: ['SG', 'SA'],
    pins: ['1', '2'],
    ratings: ['voltage'],
  },
  diac: { label: 'diac', words: ['diac'], prefixes: ['DC'], pins: ['1', '2'], ratings: ['vz'] },
  lamp: {
    label: 'lamp',
    words: ['lamp', 'neon'],
    prefixes: ['LP', 'LA', 'NE', 'LAMP'],
    pins: ['1', '2'],
    ratings: ['voltage'],
  },
  switch: {
    label: 'switch',
    words: ['switch'],
    prefixes: ['SW', 'S'],
    pins: ['1', '2'],
    ratings: ['current', 'voltage'],
  },
  connector: {
    label: 'connector',
    words: ['connector', 'jack', 'inlet'],
    prefixes: ['J', 'CN', 'CON', 'X', 'P'],
    pins: [],
    ratings: ['current', 'voltage', 'pins', 'pitch'],
  },
  relay: {
    label: 'relay',
    words: ['relay'],
    prefixes: ['K', 'RY', 'RL'],
    pins: ['1', '2', '3', '4'],
    ratings: ['voltage', 'current'],
    test: 'relay',
  },
  fan: {
    label: 'fan',
    words: ['fan', 'blower'],
    prefixes: ['FAN'],
    pins: [],
    ratings: ['voltage', 'current', 'size', 'starts'],
    test: 'fan',
  },
  'heat-sink': {
    label: 'heat sink',
    words: ['heat-sink', 'heatsink', 'sink'],
    prefixes: ['HS'],
    pins: [],
    ratings: ['thermal'],
    test: 'heat-sink',
  },
  assembly: {
    label: 'subassembly',
    words: ['assembly', 'module', 'subassembly'],
    prefixes: ['A', 'PCB'],
    pins: [],
    ratings: ['vout', 'iout', 'power'],
  },
  wire: {
    label: 'wire',
    words: ['wire', 'cable'],
    prefixes: ['W'],
    pins: [],
    ratings: ['current', 'voltage', 'length'],
  },
} as const satisfies Readonly<Record<string, PartKind>>;

export type KindName = keyof typeof PART_KINDS;

export const KIND_NAMES = Object.keys(PART_KINDS) as KindName[];

/** The rules of a kind, typed widely enough to be looped over. */
export function kindRule(kind: KindName): PartKind {
  return PART_KINDS[kind];
}

/** A kind's label with its article: `an N-FET`, `an NPN`, `a bridge`. */
export function withArticle(label: string): string {
  const isSpelledVowel = /^[AEFHILMNORSX](?:-|[A-Z])/.test(label);
  return `${isSpelledVowel || /^[aeio]/.test(label) ? 'an' : 'a'} ${label}`;
}

/** Whether a text names a part kind. */
export function isKindName(name: string): name is KindName {
  return Object.hasOwn(PART_KINDS, name);
}

/** The kind that a typed word means. `schottky`, `x2` and the like also tell the subtype. */
export function kindFromWord(word: string): KindName | undefined {
  const wanted = word.toLowerCase();
  return KIND_NAMES.find((kind) => kind === wanted || kindRule(kind).words.includes(wanted));
}

/** Kinds that do the work of another: either half of a dual rectifier is a diode. */
const SERVES: Partial<Record<KindName, readonly KindName[]>> = { diode: ['dual-diode'] };

/** The kinds a person may use where one is asked for, that kind first. */
export function kindsServing(kind: KindName): KindName[] {
  return [kind, ...(SERVES[kind] ?? [])];
}

/** The kind a reference suggests: `BR1` a bridge, `C5` a capacitor. Longer prefixes win. */
export function kindFromReference(reference: string): KindName | undefined {
  const letters = /^[A-Z]+/i.exec(reference)?.[0].toUpperCase();
  if (!letters) return undefined;
  return (
    KIND_NAMES.find((kind) => kindRule(kind).prefixes[0] === letters) ??
    KIND_NAMES.find((kind) => kindRule(kind).prefixes.includes(letters))
  );
}
