import { practice } from '../../evidence';
/** Volts of the 1N4001 to 1N4007 list, shared by UF400n, FR10n and their kin. */
const LIST_4001 = [50, 100, 200, 400, 600, 800, 1000] as const;
/** Volts of 1N5400 to 1N5408. */
const LIST_5400 = [50, 100, 200, 300, 400, 500, 600, 800, 1000] as const;
/** Volts of HER101 to HER108. */
const LIST_HER = [50, 100, 200, 300, 400, 600, 800, 1000] as const;
/** Volts of SF11 to SF18. */
const LIST_SF = [50, 100, 150, 200, 300, 400, 500, 600] as const;

export type DiodeTechnology = 'rectifier' | 'fast' | 'schottky' | 'signal';

export interface DiodeFamily {
  /** Text before the place in the list. */
  readonly stem: string;
  readonly first: number;
  readonly volts: readonly number[];
  readonly current: number;
  readonly technology: DiodeTechnology;
}

const family = (
  stem: string,
  current: number,
  technology: DiodeTechnology,
  volts: readonly number[] = LIST_4001,
  first = 1,
): DiodeFamily => ({ stem, first, volts, current, technology });

/** Families whose last digit is a place in a list of voltages. Source: multi-source datasheets, from memory. */
export const DIODE_FAMILIES: readonly DiodeFamily[] = [
  family('1N400', 1, 'rectifier'),
  family('1N540', 3, 'rectifier', LIST_5400, 0),
  family('1N539', 1.5, 'rectifier', LIST_5400),
  family('1N581', 1, 'schottky', [20, 30, 40], 7),
  family('1N582', 3, 'schottky', [20, 30, 40], 0),
  family('1N493', 1, 'fast', LIST_4001, 3),
  family('UF400', 1, 'fast'),
  family('UF540', 3, 'fast', LIST_5400, 0),
  family('FR10', 1, 'fast'),
  family('FR15', 1.5, 'fast'),
  family('FR20', 2, 'fast'),
  family('FR30', 3, 'fast'),
  family('FR60', 6, 'fast'),
  family('PR100', 1, 'fast'),
  family('10A0', 10, 'rectifier'),
  family('10A', 10, 'rectifier'),
  family('RL10', 1, 'rectifier'),
  family('RL15', 1.5, 'rectifier'),
  family('RL20', 2, 'rectifier'),
  family('HER10', 1, 'fast', LIST_HER),
  family('HER15', 1.5, 'fast', LIST_HER),
  family('HER20', 2, 'fast', LIST_HER),
  family('HER30', 3, 'fast', LIST_HER),
  family('HER50', 5, 'fast', LIST_HER),
  family('HER60', 6, 'fast', LIST_HER),
  family('SF1', 1, 'fast', LIST_SF),
  family('SF2', 2, 'fast', LIST_SF),
  family('SF3', 3, 'fast', LIST_SF),
  family('SF5', 5, 'fast', LIST_SF),
];

/** Volts by a letter that ends a rectifier's number, as on RS1M, ES2D, GBU4J. */
export const VOLTAGE_LETTERS: Readonly<Record<string, number>> = practice({
  A: 50,
  B: 100,
  C: 150,
  D: 200,
  E: 300,
  G: 400,
  H: 500,
  J: 600,
  K: 800,
  M: 1000,
});

/** Families of a current and a voltage letter. Source: multi-source datasheets, from memory. */
export const LETTERED_FAMILIES: readonly { stem: string; technology: DiodeTechnology; current?: number }[] = [
  { stem: 'RS', technology: 'fast' },
  { stem: 'ES', technology: 'fast' },
  { stem: 'US', technology: 'fast' },
  { stem: 'MURS', technology: 'fast' },
  { stem: 'S', technology: 'rectifier' },
  { stem: 'GS', technology: 'rectifier' },
  { stem: 'RGP10', technology: 'fast', current: 1 },
  { stem: 'RGP15', technology: 'fast', current: 1.5 },
  { stem: 'RGP30', technology: 'fast', current: 3 },
  { stem: 'EGP10', technology: 'fast', current: 1 },
  { stem: 'EGP20', technology: 'fast', current: 2 },
  { stem: 'EGP30', technology: 'fast', current: 3 },
  { stem: 'P600', technology: 'rectifier', current: 6 },
];

export interface DiodeType {
  readonly names: readonly string[];
  readonly kind?: 'diode' | 'dual-diode';
  readonly vrrm?: number;
  readonly ifav?: number;
  readonly vz?: number;
  readonly technology: DiodeTechnology | 'diac' | 'zener';
  /** How often it is met against its neighbours, 0 to 1. */
  readonly common?: number;
}

const signal = (names: string[], ifav: number, vrrm: number, technology: DiodeTechnology = 'signal'): DiodeType => ({
  names,
  ifav,
  vrrm,
  technology,
});

/** Single numbers that carry no data. Source: multi-source datasheets, from memory, the lower current where they differ. */
export const DIODE_TYPES: readonly DiodeType[] = [
  { ...signal(['1N4148', '1N4448', 'LL4148', '1N914', '1N4148W', '4148'], 0.15, 100), common: 1 },
  signal(['BAV20'], 0.2, 150),
  signal(['BAV21'], 0.2, 200),
  signal(['BAS16'], 0.2, 75),
  signal(['BAS21'], 0.2, 200),
  signal(['B5817W', 'SD101'], 1, 20, 'schottky'),
  signal(['B5818W'], 1, 30, 'schottky'),
  signal(['B5819W'], 1, 40, 'schottky'),
  signal(['BAT48'], 0.35, 40, 'schottky'),
  signal(['BAT86'], 0.2, 50, 'schottky'),
  signal(['BAS40', 'RB751'], 0.12, 40, 'schottky'),
  signal(['BAS70'], 0.07, 70, 'schottky'),
  signal(['1SS133', '1SS176', '1SS270'], 0.13, 80),
  signal(['1SS355'], 0.1, 80),
  signal(['1SS244', '1SS83'], 0.2, 220),
  signal(['BAV19'], 0.2, 100),
  signal(['BAW62', 'BAS32', 'BAX16'], 0.1, 75),
  { ...signal(['BAS40-04', 'BAS40-05', 'BAS40-06'], 0.12, 40, 'schottky'), kind: 'dual-diode' },
  { ...signal(['BAS70-04', 'BAS70-05', 'BAS70-06'], 0.07, 70, 'schottky'), kind: 'dual-diode' },
  { ...signal(['BAV99', 'BAV70', 'BAW56'], 0.2, 70), kind: 'dual-diode' },
  { ...signal(['BAT54C', 'BAT54S', 'BAT54A'], 0.2, 30, 'schottky'), kind: 'dual-diode' },
  signal(['BAT54', 'BAT85'], 0.2, 30, 'schottky'),
  signal(['BAT41'], 0.1, 100, 'schottky'),
  signal(['BAT42', 'BAT43'], 0.2, 30, 'schottky'),
  signal(['BAT46'], 0.15, 100, 'schottky'),
  signal(['1N60', '1N60P'], 0.03, 40),
  signal(['1N34', '1N34A'], 0.05, 60),
  signal(['BY126', 'BY133'], 1, 650, 'rectifier'),
  signal(['BY127'], 1, 1250, 'rectifier'),
  signal(['BY228'], 3, 1500, 'rectifier'),
  signal(['BY251'], 3, 200, 'rectifier'),
  signal(['BY252'], 3, 400, 'rectifier'),
  signal(['BY253'], 3, 600, 'rectifier'),
  signal(['BY254'], 3, 800, 'rectifier'),
  signal(['BY396'], 3, 100, 'fast'),
  signal(['BY397'], 3, 200, 'fast'),
  signal(['BY398'], 3, 400, 'fast'),
  signal(['BA157'], 1, 400, 'fast'),
  signal(['BA158'], 1, 600, 'fast'),
  signal(['BA159'], 1, 1000, 'fast'),
  signal(['BYV26A'], 1, 200, 'fast'),
  signal(['BYV26B'], 1, 400, 'fast'),
  signal(['BYV26C'], 1, 600, 'fast'),
  signal(['BYV26D'], 1, 800, 'fast'),
  signal(['BYV26E'], 1, 1000, 'fast'),
  signal(['BYV95C'], 1.5, 600, 'fast'),
  signal(['BYV96D'], 1.5, 800, 'fast'),
  signal(['BYV96E'], 1.5, 1000, 'fast'),
  signal(['BYW96E'], 3, 1000, 'fast'),
  signal(['BY399'], 3, 800, 'fast'),
  signal(['BYT52M'], 1, 1000, 'fast'),
  signal(['6A05'], 6, 50, 'rectifier'),
  signal(['6A1'], 6, 100, 'rectifier'),
  signal(['6A2'], 6, 200, 'rectifier'),
  signal(['6A4'], 6, 400, 'rectifier'),
  signal(['6A6'], 6, 600, 'rectifier'),
  signal(['6A8'], 6, 800, 'rectifier'),
  signal(['6A10'], 6, 1000, 'rectifier'),
  signal(['10A10'], 10, 1000, 'rectifier'),
  { names: ['BYV42-200', 'BYV42E-200'], kind: 'dual-diode', ifav: 30, vrrm: 200, technology: 'fast' },
  { names: ['BYV34-500', 'BYV34-400'], kind: 'dual-diode', ifav: 20, vrrm: 400, technology: 'fast' },
  { names: ['BYT30P-1000'], ifav: 30, vrrm: 1000, technology: 'fast' },
  { names: ['BY329-1200'], ifav: 8, vrrm: 1200, technology: 'fast' },
  { names: ['DB3', 'DB-3'], vz: 32, technology: 'diac' },
  { names: ['DB4'], vz: 40, technology: 'diac' },
  { names: ['BYQ28E-200'], kind: 'dual-diode', ifav: 10, vrrm: 200, technology: 'fast' },
  { names: ['BYV32-200', 'BYV32E-200'], kind: 'dual-diode', ifav: 20, vrrm: 200, technology: 'fast' },
  { names: ['BYW29-200', 'BYW29E-200'], ifav: 8, vrrm: 200, technology: 'fast' },
  { names: ['BYV29-500'], ifav: 9, vrrm: 500, technology: 'fast' },
  { names: ['BY229-600'], ifav: 8, vrrm: 600, technology: 'fast' },
];

/** Zener numbers in sequence: the first number of the series, its first volts, and the list. JEDEC, from memory. */
export const ZENER_SERIES: readonly { first: number; count: number; volts: readonly number[]; watts: number }[] = [
  {
    first: 4728,
    count: 37,
    volts: [
      3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1, 10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33,
      36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91, 100,
    ],
    watts: 1,
  },
  {
    first: 5221,
    count: 61,
    volts: [
      2.4, 2.5, 2.7, 2.8, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6, 6.2, 6.8, 7.5, 8.2, 8.7, 9.1, 10, 11, 12, 13, 14, 15,
      16, 17, 18, 19, 20, 22, 24, 25, 27, 28, 30, 33, 36, 39, 43, 47, 51, 56, 60, 62, 68, 75, 82, 87, 91, 100, 110, 120,
      130, 140, 150, 160, 170, 180, 190, 200,
    ],
    watts: 0.5,
  },
  {
    first: 5333,
    count: 56,
    volts: [
      3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6, 6.2, 6.8, 7.5, 8.2, 8.7, 9.1, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20,
      22, 24, 25, 27, 28, 30, 33, 36, 39, 43, 47, 51, 56, 60, 62, 68, 75, 82, 87, 91, 100, 110, 120, 130, 140, 150, 160,
      170, 180, 190, 200,
    ],
    watts: 5,
  },
  { first: 746, count: 14, volts: [3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1, 10, 12], watts: 0.4 },
  {
    first: 957,
    count: 36,
    volts: [
      6.8, 7.5, 8.2, 9.1, 10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82,
      91, 100, 110, 120, 130, 150, 160, 180, 200,
    ],
    watts: 0.4,
  },
  {
    first: 4678,
    count: 40,
    volts: [
      1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 8.7, 9.1, 10, 11, 12, 13, 14, 15,
      16, 17, 18, 19, 20, 22, 24, 25, 27, 28, 30, 33, 36, 39, 43,
    ],
    watts: 0.25,
  },
  {
    first: 5913,
    count: 44,
    volts: [
      3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1, 10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33,
      36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91, 100, 110, 120, 130, 150, 160, 180, 200,
    ],
    watts: 1.5,
  },
];
