import { practice } from '../../evidence';
import { TOLERANCE_LETTERS } from '../../quantity';

/** Mantissa letters of voltage codes. Source: EIA and JIS practice, from memory. */
const VOLTAGE_MANTISSA: Readonly<Record<string, number>> = {
  A: 1,
  B: 1.25,
  C: 1.6,
  D: 2,
  E: 2.5,
  F: 3.15,
  V: 3.5,
  G: 4,
  W: 4.5,
  H: 5,
  J: 6.3,
  K: 8,
  L: 5.5,
  P: 2.2,
  Q: 1.1,
};

/** Volts of a code of a digit (decade) and a letter (mantissa): `2E` is 250 V. */
export function voltageCode(digit: string, letter: string): number | undefined {
  const mantissa = VOLTAGE_MANTISSA[letter];
  return mantissa === undefined ? undefined : Number((mantissa * 10 ** Number(digit)).toPrecision(6));
}

/** Voltage letters of moulded chip tantalums and aluminium chip cans. */
export const CHIP_VOLTAGE: Readonly<Record<string, number>> = practice({
  G: 4,
  J: 6.3,
  A: 10,
  C: 16,
  D: 20,
  E: 25,
  V: 35,
  T: 50,
  H: 50,
});

/** Asymmetric tolerances by their wider side, beside the letters that resistors share. Source: IEC 60062, from memory. */
const ASYMMETRIC: Readonly<Record<string, number>> = { Q: 0.3, T: 0.5, S: 0.5, Z: 0.8 };
/** The same letters under 10 pF are picofarads. Source: IEC 60062, from memory. */
const TOLERANCE_PICOFARADS: Readonly<Record<string, number>> = { B: 0.1, C: 0.25, D: 0.5, F: 1, G: 2 };

/** Tolerance of a letter as a share of the value, or nothing when the letter says none at this value. */
export function toleranceOf(letter: string | undefined, capacitance: number): number | undefined {
  if (!letter) return undefined;
  if (capacitance >= 9.99e-12) return ASYMMETRIC[letter] ?? TOLERANCE_LETTERS[letter];
  const width = TOLERANCE_PICOFARADS[letter];
  return width === undefined ? undefined : (width * 1e-12) / capacitance;
}

/** Farads of a three-digit code in picofarads; a third digit of 8 or 9 divides by 100 or 10. Source: IEC 60062, from memory. */
export function picofaradCode(digits: string, zeros: string): number | undefined {
  if (digits.startsWith('0')) return undefined;
  const factor = zeros === '8' ? 0.01 : zeros === '9' ? 0.1 : 10 ** Number(zeros);
  return Number((Number(digits) * factor * 1e-12).toPrecision(6));
}

const LOW_LETTER: Readonly<Record<string, number>> = { X: -55, Y: -30, Z: 10 };
const HIGH_DIGIT: Readonly<Record<string, number>> = { 2: 45, 4: 65, 5: 85, 6: 105, 7: 125, 8: 150, 9: 200 };
const CHANGE_LETTER: Readonly<Record<string, readonly [number, number]>> = {
  A: [-1, 1],
  B: [-1.5, 1.5],
  C: [-2.2, 2.2],
  D: [-3.3, 3.3],
  E: [-4.7, 4.7],
  F: [-7.5, 7.5],
  P: [-10, 10],
  R: [-15, 15],
  S: [-22, 22],
  T: [-33, 22],
  U: [-56, 22],
  V: [-82, 22],
};

/** Limits of a ceramic of class 2 or 3: temperatures in degree Celsius, change of value in per cent. */
export interface TemperatureCharacteristic {
  readonly low: number;
  readonly high: number;
  readonly change: readonly [number, number];
}

/**
 * Reads the letters of a ceramic's temperature characteristic: `X7R` is -55 to 125 °C, within 15 %.
 * Source: EIA-198, from memory.
 */
export function temperatureCharacteristic(code: string): TemperatureCharacteristic | undefined {
  const low = LOW_LETTER[code[0] ?? ''];
  const high = HIGH_DIGIT[code[1] ?? ''];
  const change = CHANGE_LETTER[code[2] ?? ''];
  return code.length === 3 && low !== undefined && high !== undefined && change ? { low, high, change } : undefined;
}

const CLASS1_PPM: Readonly<Record<string, number>> = {
  C: 0,
  B: 0.3,
  L: 0.8,
  A: 0.9,
  M: 1,
  P: 1.5,
  R: 2.2,
  S: 3.3,
  T: 4.7,
  V: 5.6,
  U: 7.5,
};
const CLASS1_FACTOR: Readonly<Record<string, number>> = {
  0: -1,
  1: -10,
  2: -100,
  3: -1000,
  5: 1,
  6: 10,
  7: 100,
  8: 1000,
};
const CLASS1_SPREAD: Readonly<Record<string, number>> = { G: 30, H: 60, J: 120, K: 250, L: 500, M: 1000, N: 2500 };

/**
 * Temperature coefficient of a ceramic of class 1 in parts per million per kelvin: `U2J` is
 * -750 within 120; `COG` and `NP0` are spellings of `C0G`. Source: EIA-198, from memory.
 */
export function temperatureCoefficient(code: string): { readonly ppm: number; readonly spread: number } | undefined {
  const usual = /^(?:C[0O]G|NP[0O])$/.test(code) ? 'C0G' : code;
  const ppm = CLASS1_PPM[usual[0] ?? ''];
  const factor = CLASS1_FACTOR[usual[1] ?? ''];
  const spread = CLASS1_SPREAD[usual[2] ?? ''];
  if (usual.length !== 3 || ppm === undefined || factor === undefined || spread === undefined) return undefined;
  return { ppm: ppm === 0 ? 0 : Number((ppm * factor).toPrecision(6)), spread };
}
