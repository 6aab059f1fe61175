/** A unit that Zorvek reads and prints. Values are always held in the SI base unit. */
export type Unit =
  | 'ohm'
  | 'farad'
  | 'henry'
  | 'volt'
  | 'ampere'
  | 'watt'
  | 'joule'
  | 'coulomb'
  | 'second'
  | 'duration'
  | 'hour'
  | 'kelvinPerWatt'
  | 'hertz'
  | 'celsius'
  | 'metre'
  | 'kilogram'
  | 'ratio'
  | 'count';

export interface UnitRule {
  /** What is printed after the prefix. */
  readonly symbol: string;
  /** What an error message calls it. */
  readonly word: string;
  /** How people write the unit, lower case, longest first. */
  readonly spellings: readonly string[];
  /**
   * Prefix letters and their factors. Case is kept where it matters (m and M); both cases of the
   * kilo letter are accepted everywhere.
   */
  readonly prefixes: Readonly<Record<string, number>>;
  /** Prefixes used when printing, largest first. */
  readonly printed: readonly (readonly [prefix: string, factor: number])[];
  /** An example for error messages. */
  readonly example: string;
  /** Above this a value is legal but worth a second look (FORMULAS 15.1, unit slip). */
  readonly unusualAbove?: number;
  /** Negative values make sense (temperatures, negative rails). */
  readonly signed?: boolean;
}

const MICRO = { u: 1e-6, µ: 1e-6, μ: 1e-6 } as const;
const KILO = { k: 1e3, K: 1e3 } as const;

/**
 * How each unit is written.
 * Prefix letters in place of the decimal point: IEC 60062 (from memory). `L` for milliohm and
 * `R` or `E` for ohm are that standard's; the rest are SI prefixes.
 */
export const UNITS: Readonly<Record<Unit, UnitRule>> = {
  ohm: {
    symbol: 'Ω',
    word: 'resistance',
    spellings: ['ohms', 'ohm', 'Ω', 'ω'],
    prefixes: { L: 1e-3, m: 1e-3, R: 1, r: 1, E: 1, ...KILO, M: 1e6, G: 1e9 },
    printed: [
      ['G', 1e9],
      ['M', 1e6],
      ['k', 1e3],
      ['', 1],
      ['m', 1e-3],
    ],
    example: '4k7, 0R22 or 1.5M',
  },
  farad: {
    symbol: 'F',
    word: 'capacitance',
    spellings: ['farad', 'f'],
    prefixes: { p: 1e-12, P: 1e-12, n: 1e-9, N: 1e-9, ...MICRO, U: 1e-6, m: 1e-3 },
    // The trade prints large electrolytics in microfarads, never in millifarads.
    printed: [
      ['µ', 1e-6],
      ['n', 1e-9],
      ['p', 1e-12],
    ],
    example: '150u, 2n2 or 100p',
    unusualAbove: 1,
  },
  henry: {
    symbol: 'H',
    word: 'inductance',
    spellings: ['henry', 'h'],
    prefixes: { p: 1e-12, n: 1e-9, ...MICRO, m: 1e-3 },
    printed: [
      ['', 1],
      ['m', 1e-3],
      ['µ', 1e-6],
      ['n', 1e-9],
    ],
    example: '47u or 2m2',
  },
  volt: {
    symbol: 'V',
    word: 'voltage',
    spellings: ['volts', 'volt', 'vdc', 'vac', 'v'],
    prefixes: { ...MICRO, m: 1e-3, ...KILO },
    printed: [
      ['k', 1e3],
      ['', 1],
      ['m', 1e-3],
      ['µ', 1e-6],
    ],
    example: '325V or 0.51',
    unusualAbove: 1000,
    signed: true,
  },
  ampere: {
    symbol: 'A',
    word: 'current',
    spellings: ['amps', 'amp', 'a'],
    prefixes: { n: 1e-9, ...MICRO, m: 1e-3, ...KILO },
    printed: [
      ['k', 1e3],
      ['', 1],
      ['m', 1e-3],
      ['µ', 1e-6],
      ['n', 1e-9],
    ],
    example: '4.74A or 250m',
    unusualAbove: 1000,
  },
  watt: {
    symbol: 'W',
    word: 'power',
    spellings: ['watts', 'watt', 'w'],
    prefixes: { ...MICRO, m: 1e-3, ...KILO },
    printed: [
      ['k', 1e3],
      ['', 1],
      ['m', 1e-3],
    ],
    example: '60W or 250m',
  },
  joule: {
    symbol: 'J',
    word: 'energy',
    spellings: ['j'],
    prefixes: { ...MICRO, m: 1e-3, ...KILO },
    printed: [
      ['k', 1e3],
      ['', 1],
      ['m', 1e-3],
      ['µ', 1e-6],
    ],
    example: '5.7J',
  },
  coulomb: {
    symbol: 'C',
    word: 'charge',
    spellings: ['coulomb', 'c'],
    prefixes: { n: 1e-9, ...MICRO, m: 1e-3 },
    printed: [
      ['', 1],
      ['m', 1e-3],
      ['µ', 1e-6],
      ['n', 1e-9],
    ],
    example: '55mC',
  },
  second: {
    symbol: 's',
    word: 'time',
    spellings: ['seconds', 'sec', 's'],
    prefixes: { n: 1e-9, ...MICRO, m: 1e-3 },
    printed: [
      ['', 1],
      ['m', 1e-3],
      ['µ', 1e-6],
      ['n', 1e-9],
    ],
    example: '15s, 2min or 1:30',
  },
  // How long work or a run takes, in seconds: a bare number may be minutes as well, so its unit must be typed.
  duration: {
    symbol: 's',
    word: 'time',
    spellings: [],
    prefixes: {},
    printed: [['', 1]],
    example: '12min, 90s or 1:30',
  },
  // Service lives are printed in hours, and told apart from the seconds of a discharge.
  hour: {
    symbol: 'h',
    word: 'number of hours',
    spellings: ['hours', 'hour', 'hrs', 'h'],
    prefixes: { ...KILO },
    printed: [['', 1]],
    example: '2000h',
    unusualAbove: 500e3,
  },
  kelvinPerWatt: {
    symbol: 'K/W',
    word: 'thermal resistance',
    spellings: ['k/w', '°c/w', 'c/w'],
    prefixes: { m: 1e-3 },
    printed: [['', 1]],
    example: '6.5K/W',
  },
  hertz: {
    symbol: 'Hz',
    word: 'frequency',
    spellings: ['hz'],
    prefixes: { ...KILO, M: 1e6, G: 1e9 },
    printed: [
      ['M', 1e6],
      ['k', 1e3],
      ['', 1],
    ],
    example: '65k or 50Hz',
  },
  celsius: {
    symbol: '°C',
    word: 'temperature',
    spellings: ['degc', '°c', 'c'],
    prefixes: {},
    printed: [['', 1]],
    example: '105C',
    signed: true,
  },
  metre: {
    symbol: 'm',
    word: 'length',
    spellings: ['metre', 'm'],
    prefixes: { ...MICRO, m: 1e-3, c: 1e-2 },
    printed: [
      ['', 1],
      ['m', 1e-3],
    ],
    example: '115mm or 11.5cm',
    unusualAbove: 2,
  },
  kilogram: {
    symbol: 'g',
    word: 'mass',
    spellings: ['grams', 'gram', 'g'],
    prefixes: { m: 1e-6, ...{ k: 1, K: 1 } },
    printed: [
      ['k', 1],
      ['', 1e-3],
    ],
    example: '320g or 1.2kg',
    unusualAbove: 50,
  },
  ratio: {
    symbol: '',
    word: 'ratio',
    spellings: ['%'],
    prefixes: {},
    printed: [['', 1]],
    example: '0.2 or 20%',
  },
  count: {
    symbol: '',
    word: 'number',
    spellings: [],
    prefixes: {},
    printed: [['', 1]],
    example: '3',
  },
};
