/** Voltages of the 1N4001 to 1N4007 list, shared by UF400n, FR10n and their kin. From memory; multi-source types. */
const LIST_4001 = [50, 100, 200, 400, 600, 800, 1000] as const;
/** 1N5400 to 1N5408. From memory; multi-source types. */
const LIST_5400 = [50, 100, 200, 300, 400, 500, 600, 800, 1000] as const;

/** HER101 to HER108. From memory; multi-source types. */
const LIST_HER = [50, 100, 200, 300, 400, 600, 800, 1000] as const;

export interface DiodeFamily {
  /** Matches the whole marking; the first group is the place in the list. */
  readonly pattern: RegExp;
  readonly first: number;
  readonly volts: readonly number[];
  readonly current: number;
  readonly technology: 'rectifier' | 'fast' | 'schottky';
}

/** Families whose last digit is a place in a list of voltages. Source: multi-source datasheets (from memory). */
export const DIODE_FAMILIES: readonly DiodeFamily[] = [
  { pattern: /^1N400([1-7])[A-Z]?$/, first: 1, volts: LIST_4001, current: 1, technology: 'rectifier' },
  { pattern: /^M([1-7])$/, first: 1, volts: LIST_4001, current: 1, technology: 'rectifier' },
  { pattern: /^1N540([0-8])[A-Z]?$/, first: 0, volts: LIST_5400, current: 3, technology: 'rectifier' },
  { pattern: /^UF400([1-7])$/, first: 1, volts: LIST_4001, current: 1, technology: 'fast' },
  { pattern: /^UF540([0-8])$/, first: 0, volts: LIST_5400, current: 3, technology: 'fast' },
  { pattern: /^FR10([1-7])$/, first: 1, volts: LIST_4001, current: 1, technology: 'fast' },
  { pattern: /^FR15([1-7])$/, first: 1, volts: LIST_4001, current: 1.5, technology: 'fast' },
  { pattern: /^FR20([1-7])$/, first: 1, volts: LIST_4001, current: 2, technology: 'fast' },
  { pattern: /^FR30([1-7])$/, first: 1, volts: LIST_4001, current: 3, technology: 'fast' },
  { pattern: /^1N539([1-9])$/, first: 1, volts: LIST_5400, current: 1.5, technology: 'rectifier' },
  { pattern: /^RL20([1-7])$/, first: 1, volts: LIST_4001, current: 2, technology: 'rectifier' },
  { pattern: /^HER10([1-8])$/, first: 1, volts: LIST_HER, current: 1, technology: 'fast' },
  { pattern: /^HER20([1-8])$/, first: 1, volts: LIST_HER, current: 2, technology: 'fast' },
  { pattern: /^HER30([1-8])$/, first: 1, volts: LIST_HER, current: 3, technology: 'fast' },
  { pattern: /^1N58(1[7-9])$/, first: 17, volts: [20, 30, 40], current: 1, technology: 'schottky' },
  { pattern: /^1N58(2[0-2])$/, first: 20, volts: [20, 30, 40], current: 3, technology: 'schottky' },
];

/** Single numbers that carry no data and are met everywhere. Source: multi-source datasheets (from memory), the lower current where they differ. */
export const DIODE_TYPES: readonly {
  readonly pattern: RegExp;
  readonly volts: number;
  readonly current: number;
  readonly technology: 'fast';
}[] = [{ pattern: /^(?:1N4148|1N4448|LL4148|1N914)[A-Z]{0,2}$/, volts: 100, current: 0.15, technology: 'fast' }];

/** Voltage letters of bridges. Common practice, no source. */
export const BRIDGE_LETTERS: Readonly<Record<string, number>> = {
  A: 50,
  B: 100,
  D: 200,
  G: 400,
  J: 600,
  K: 800,
  M: 1000,
};
