import { formatQuantity } from '../quantity';
import { isE24 } from './preferredValues';
import type { MarkingRule, Reading } from './reading';

/** Voltage code: a digit for the decade, a letter for the mantissa. Source: EIA and JIS practice (from memory). */
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

/** Tolerance letters from 10 pF up. Source: IEC 60062 (from memory); asymmetric ones are given by their wider side. */
const TOLERANCE: Readonly<Record<string, number>> = {
  B: 0.001,
  C: 0.0025,
  D: 0.005,
  F: 0.01,
  G: 0.02,
  H: 0.03,
  J: 0.05,
  K: 0.1,
  M: 0.2,
  N: 0.3,
  Q: 0.3,
  T: 0.5,
  S: 0.5,
  Z: 0.8,
};
/** The same letters under 10 pF are picofarads. */
const TOLERANCE_PICOFARADS: Readonly<Record<string, number>> = { B: 0.1, C: 0.25, D: 0.5, F: 1, G: 2 };

const volts = (digit: string, letter: string) =>
  Number(((VOLTAGE_MANTISSA[letter] ?? NaN) * 10 ** Number(digit)).toPrecision(6));

function toleranceOf(letter: string | undefined, capacitance: number): number | undefined {
  if (!letter) return undefined;
  if (capacitance < 9.99e-12) {
    const width = TOLERANCE_PICOFARADS[letter];
    return width === undefined ? undefined : (width * 1e-12) / capacitance;
  }
  return TOLERANCE[letter];
}

function capacitor(
  capacitance: number,
  more: { tolerance?: number | undefined; voltage?: number | undefined },
  rule: string,
  confidence: number,
  why: string,
): Reading {
  return {
    kind: 'capacitor',
    confidence,
    rule,
    ratings: {
      capacitance,
      ...(more.tolerance === undefined ? {} : { tolerance: more.tolerance }),
      ...(more.voltage === undefined ? {} : { voltage: more.voltage }),
    },
    why,
  };
}

/**
 * Three digits in picofarads, with a voltage code before and a tolerance letter behind:
 * `104`, `473K`, `2A102J`, `1H105M`. A third digit of 8 or 9 divides by 100 or 10.
 */
export const capacitorThreeDigits: MarkingRule = (marking) => {
  const match = /^(?:(\d)([ABCDEFGHJKLPQVW]))?(\d{2})(\d)([BCDFGHJKMNQTSZ])?(?:(\d{2,4})V?)?$/.exec(marking);
  const [, decade, mantissa, digits, zeros, letter, plainVolts] = match ?? [];
  if (!digits || !zeros || zeros === '7' || digits.startsWith('0')) return [];
  if (plainVolts && !letter) return [];
  const factor = zeros === '8' ? 0.01 : zeros === '9' ? 0.1 : 10 ** Number(zeros);
  const capacitance = Number((Number(digits) * factor * 1e-12).toPrecision(6));
  const voltage = decade && mantissa ? volts(decade, mantissa) : plainVolts ? Number(plainVolts) : undefined;
  const tolerance = toleranceOf(letter, capacitance);
  if (letter && tolerance === undefined) return [];
  const confidence = voltage !== undefined ? 0.95 : letter ? 0.9 : 0.8;
  const said = [`${digits} and factor ${zeros} in pF: ${formatQuantity(capacitance, 'farad')}`];
  if (voltage !== undefined) said.push(formatQuantity(voltage, 'volt'));
  if (tolerance !== undefined) said.push(formatQuantity(tolerance, 'ratio', { digits: 2 }));
  return [capacitor(capacitance, { tolerance, voltage }, 'picofarad-code', confidence, said.join(', '))];
};

/** Digits that a letter code carries at most: more is another kind of number, such as 1N4007. */
const MOST_DIGITS = 3;

/**
 * A letter in place of the point: `4p7`, `2n2`, `u22`, `100n`, with tolerance and volts behind. The
 * value must stand in E24 to be believed: `4N35` is no 4.35 nF.
 */
export const capacitorLetterPoint: MarkingRule = (marking) => {
  const match = /^(\d{0,3})([PNUΜµ])(\d{0,2})F?([BCDFGHJKMNQTSZ])?(?:\s+(\d{2,4})V?|([1-9]\d{1,3})V)?$/i.exec(marking);
  const [, before = '', letter = '', after = '', toleranceLetter, spacedVolts, joinedVolts] = match ?? [];
  const digits = before.length + after.length;
  if (!match || digits === 0 || digits > MOST_DIGITS) return [];
  const factor = { P: 1e-12, N: 1e-9 }[letter.toUpperCase()] ?? 1e-6;
  const capacitance = Number((Number(`${before || '0'}.${after || '0'}`) * factor).toPrecision(6));
  if (capacitance === 0) return [];
  const plainVolts = spacedVolts ?? joinedVolts;
  return [
    capacitor(
      capacitance,
      {
        tolerance: toleranceOf(toleranceLetter?.toUpperCase(), capacitance),
        voltage: plainVolts ? Number(plainVolts) : undefined,
      },
      'letter-as-point',
      isE24(capacitance) ? 0.95 : 0.3,
      `${marking}: ${formatQuantity(capacitance, 'farad')}`,
    ),
  ];
};

/** A sleeve that says it in words: `1000uF 16V 105C`, `82µF 400V`, `0.22 MFD 275V~ X2`. */
export const capacitorSleeve: MarkingRule = (marking) => {
  const match = /(?<![A-Z\d.,])(\d+(?:[.,]\d+)?|[.,]\d+)\s*(UF|ΜF|µF|MFD|NF|PF)/i.exec(marking);
  if (!match?.[1]) return [];
  const unit = (match[2] ?? '').toUpperCase();
  const factor = unit === 'NF' ? 1e-9 : unit === 'PF' ? 1e-12 : 1e-6;
  const capacitance = Number((Number(match[1].replace(',', '.')) * factor).toPrecision(6));
  const voltage = /(\d+(?:\.\d+)?)\s*V/i.exec(marking.replace(match[0], ' '))?.[1];
  const temperature = /\b(85|105|125|130)\s*(?:°|º|DEG)?\s*C\b/i.exec(marking)?.[1];
  const safetyClass = /\b([XY][124])\b/.exec(marking.toUpperCase())?.[1];
  return [
    {
      kind: 'capacitor',
      confidence: 0.97,
      rule: 'sleeve',
      ratings: {
        capacitance,
        ...(voltage ? { voltage: Number(voltage) } : {}),
        ...(temperature ? { temperature: Number(temperature) } : {}),
      },
      ...(safetyClass ? { facts: { safetyClass } } : {}),
      why: `printed in full: ${formatQuantity(capacitance, 'farad')}${voltage ? `, ${voltage} V` : ''}${temperature ? `, ${temperature} °C` : ''}${safetyClass ? `, class ${safetyClass}` : ''}`,
    },
  ];
};

/** A bare decimal on a film capacitor is microfarads: `.47K`, `0.1`. */
export const filmDecimal: MarkingRule = (marking) => {
  const match = /^(0?\.\d+)([JKMGH])?(?:\s*(\d{2,4})V?)?$/.exec(marking);
  if (!match?.[1]) return [];
  const capacitance = Number((Number(match[1]) * 1e-6).toPrecision(6));
  return [
    capacitor(
      capacitance,
      { tolerance: match[2] && TOLERANCE[match[2]], voltage: match[3] ? Number(match[3]) : undefined } as {
        tolerance?: number;
        voltage?: number;
      },
      'film-decimal',
      0.85,
      `a bare decimal is in microfarads: ${formatQuantity(capacitance, 'farad')}`,
    ),
  ];
};
