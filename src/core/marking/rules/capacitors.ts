import { PRACTICE, practice } from '../../evidence';
import { formatQuantity } from '../../quantity';
import { isE24 } from '../preferredValues';
import type { Draft, MarkingRule } from '../decoding';
import { CHIP_VOLTAGE, picofaradCode, toleranceOf, voltageCode } from './capacitorCodes';
import { readPrinted } from './printedCapacitor';

const IEC_60062 = 'IEC 60062, from memory';

interface More {
  readonly tolerance?: number | undefined;
  readonly voltage?: number | undefined;
  readonly dielectric?: string;
}

function capacitor(capacitance: number, more: More, why: string, share = 1): Draft {
  const { tolerance, voltage, dielectric } = more;
  const said = [`${why}${formatQuantity(capacitance, 'farad')}`];
  if (tolerance !== undefined) said.push(`±${formatQuantity(tolerance, 'ratio', { digits: 2 })}`);
  if (voltage !== undefined) said.push(formatQuantity(voltage, 'volt'));
  return {
    kind: 'capacitor',
    ratings: {
      capacitance,
      ...(tolerance === undefined ? {} : { tolerance }),
      ...(voltage === undefined ? {} : { voltage }),
    },
    ...(dielectric ? { facts: { dielectric } } : {}),
    why: said.join(', '),
    share,
  };
}

/** How far to believe a tolerance letter: microfarads are not made to 2 %. Common practice, no source. */
function tightness(letter: string | undefined, capacitance: number): number {
  if (letter === undefined) return 0.9;
  if (/[BCDFG]/.test(letter) && capacitance >= 1e-6) return 0.1;
  return /[JKMZBCDFG]/.test(letter) ? 1 : 0.35;
}

/** Digits that a letter code carries at most: more is another kind of number, such as 1N4007. */
const MOST_DIGITS = 3;
/** Tantalums and cans in this coding start here. */
const SMALLEST_TANTALUM = practice(0.1e-6);

/** Rules for capacitors. */
export const CAPACITOR_RULES: readonly MarkingRule[] = [
  {
    name: 'picofarad-code',
    pattern: /^([1-9]\d)(\d)([BCDFGHJKMNQTSZ])?(?:(\d{2,4})V?|([1-6])KV)?$/,
    yields: 'two digits and a count of zeros in picofarads, a tolerance letter and volts',
    prior: 0.92,
    alone: 0.5,
    source: IEC_60062,
    example: '473K',
    read([, digits = '', zeros = '', letter, plain, kilovolts]) {
      const capacitance = picofaradCode(digits, zeros);
      const tolerance = capacitance === undefined ? undefined : toleranceOf(letter, capacitance);
      if (capacitance === undefined || (letter && tolerance === undefined) || (plain && !letter)) return undefined;
      const voltage = plain ? Number(plain) : kilovolts ? Number(kilovolts) * 1000 : undefined;
      const share = (isE24(capacitance) ? 1 : 0.3) * tightness(letter, capacitance) * (capacitance > 100e-6 ? 0.5 : 1);
      return capacitor(capacitance, { tolerance, voltage }, `${digits} and factor ${zeros} in pF: `, share);
    },
  },
  {
    name: 'voltage-and-picofarads',
    pattern: /^([0-3])([ABCDEFGHJKLPQVW])([1-9]\d)(\d)([BCDFGHJKMNQTSZ])?$/,
    yields: 'a voltage code before the code in picofarads',
    prior: 0.96,
    alone: 0.92,
    source: `EIA and JIS practice and ${IEC_60062}`,
    example: '2E474K',
    read([, decade = '', mantissa = '', digits = '', zeros = '', letter]) {
      const capacitance = picofaradCode(digits, zeros);
      const voltage = voltageCode(decade, mantissa);
      const tolerance = capacitance === undefined ? undefined : toleranceOf(letter, capacitance);
      if (capacitance === undefined || (letter && tolerance === undefined)) return undefined;
      const share = isE24(capacitance) ? 1 : 0.4;
      return capacitor(capacitance, { tolerance, voltage }, `${decade}${mantissa} for the volts, then pF: `, share);
    },
  },
  {
    name: 'letter-as-point',
    pattern: /^(\d{0,3})([PNUΜµ])(\d{0,2})F?(?:([BCDFGHJKMNQTSZ])(\d{2,4})?|([1-9]\d{1,3})V)?V?$/,
    yields: 'a letter in place of the point in pico-, nano- or microfarads, tolerance and volts',
    prior: 0.95,
    source: IEC_60062,
    example: '2N2',
    read([text, before = '', letter = '', after = '', toleranceLetter, tolerated, joined]) {
      const digits = before.length + after.length;
      if (digits === 0 || digits > MOST_DIGITS) return undefined;
      const factor = { P: 1e-12, N: 1e-9 }[letter] ?? 1e-6;
      const capacitance = Number((Number(`${before || '0'}.${after || '0'}`) * factor).toPrecision(6));
      const volts = tolerated ?? joined;
      if (capacitance === 0) return undefined;
      // Two digits behind N or P are volts by ten on a transistor as often as a value here.
      const drawnOut = after.length === 2 && letter !== 'U' ? 0.4 : 1;
      // A few picofarads are made to fractions of one, never to 20 %.
      const loose = capacitance < 10e-12 && /[KM]/.test(toleranceLetter ?? '') ? 0.15 : 1;
      const share = (isE24(capacitance) ? drawnOut : 0.25) * loose;
      return capacitor(
        capacitance,
        { tolerance: toleranceOf(toleranceLetter, capacitance), voltage: volts ? Number(volts) : undefined },
        `${text}: `,
        share,
      );
    },
  },
  {
    name: 'film-decimal',
    pattern: /^(0?[.,]\d{1,4}|[1-9][.,]\d)([JKMGH])?(?:[/-]?(\d{2,4})V?(?:AC|DC|~|-)?)?$/,
    yields: 'a bare decimal in microfarads, tolerance and volts',
    prior: 0.88,
    alone: 0.75,
    source: PRACTICE,
    example: '.47K',
    read([text, value = '', letter, volts]) {
      if (!/^[.,0]/.test(value) && !letter && !/[/-]/.test(text)) return undefined;
      const capacitance = Number((Number(value.replace(',', '.')) * 1e-6).toPrecision(6));
      return capacitor(
        capacitance,
        { tolerance: toleranceOf(letter, capacitance), voltage: volts ? Number(volts) : undefined },
        `${text}, a bare decimal is in microfarads: `,
        isE24(capacitance) ? 1 : 0.3,
      );
    },
  },
  {
    name: 'bare-picofarads',
    pattern: /^([1-9]\d?|[1-9]\d?\.\d)$/,
    yields: 'one or two digits alone, in picofarads',
    prior: 0.6,
    alone: 0.12,
    source: PRACTICE,
    example: '22',
    read([text, value]) {
      const capacitance = Number((Number(value) * 1e-12).toPrecision(6));
      return capacitor(capacitance, {}, `${text} in pF: `, isE24(capacitance) ? 1 : 0.4);
    },
  },
  {
    name: 'picofarads-and-volts',
    pattern: /^([1-9]\d{1,4})(?:PF?)? ?(\d{3,4}|[1-6]K)V(?:AC|DC|~)?$/,
    yields: 'whole picofarads and volts on a disc or a film; microfarads on a can',
    prior: 0.85,
    alone: 0.6,
    source: PRACTICE,
    example: '4700 250V',
    spaced: true,
    read([text, value = '', volts = ''], { package: case_ }) {
      const voltage = volts.endsWith('K') ? Number(volts.slice(0, -1)) * 1000 : Number(volts);
      const number = Number(value);
      const can = case_ === 'snap-in' || case_ === 'radial' ? 0.85 : case_ === undefined ? 0.35 : 0;
      const asCan = voltage <= 500 && number <= 1000 ? can : 0;
      const inPico = capacitor(Number((number * 1e-12).toPrecision(6)), { voltage }, `${text} in pF: `);
      const inMicro = capacitor(Number((number * 1e-6).toPrecision(6)), { voltage }, `${text} in µF: `);
      const usual = isE24(inPico.ratings.capacitance ?? 0) ? 1 : 0.3;
      return [{ ...inPico, share: usual * (1 - asCan) }, ...(asCan > 0 ? [{ ...inMicro, share: usual * asCan }] : [])];
    },
  },
  {
    name: 'tantalum-code',
    pattern: /^(?:([GJACDEVTH])([1-9]\d)([4-8])|([1-9]\d)([4-8])([GJACDEVTH]))([KM])?$/,
    yields: 'a code in picofarads and one letter for the volts, on a moulded tantalum',
    prior: 0.75,
    alone: 0.2,
    source: PRACTICE,
    example: '476C',
    read([text, leading, digitsA, zerosA, digitsB, zerosB, trailing, toleranceLetter], context) {
      const capacitance = Number((Number(digitsA ?? digitsB) * 10 ** Number(zerosA ?? zerosB) * 1e-12).toPrecision(6));
      const voltage = CHIP_VOLTAGE[leading ?? trailing ?? ''];
      if (capacitance < SMALLEST_TANTALUM || voltage === undefined || capacitance > 2.2e-3) return undefined;
      // J, K and M behind a code are tolerances on everything but a chip.
      const chip = context.package === undefined ? 0.6 : /^(?:SMD can|0|1|SM)/.test(context.package) ? 1 : 0.15;
      const share = (trailing === 'J' ? 0.3 : 1) * (isE24(capacitance) ? 1 : 0.3) * chip;
      const tolerance = toleranceOf(toleranceLetter, capacitance);
      return capacitor(capacitance, { tolerance, voltage, dielectric: 'tantalum' }, `${text}, tantalum: `, share);
    },
  },
  {
    name: 'can-letters',
    pattern: /^([1-9]\d{0,3}|[1-9]\.\d)(?:([GJACEVH])|[ /]?(2\.5|4|6|6\.3|7\.5|10|16|20|25|35|40|50|63|80|100)V?)$/,
    yields: 'microfarads and a letter or a number for the volts, on an aluminium can',
    prior: 0.85,
    alone: 0.75,
    source: PRACTICE,
    example: '100 16V',
    spaced: true,
    read([text, value, letter, volts], { package: case_ }) {
      const can = case_ !== undefined && ['SMD can', 'radial', 'snap-in'].includes(case_);
      const capacitance = Number((Number(value) * 1e-6).toPrecision(6));
      const voltage = letter ? CHIP_VOLTAGE[letter] : Number(volts);
      if (!/[ /]/.test(text) && !letter && !can) return undefined;
      // Three digits that are no preferred value, such as 475 or 106, are a code in picofarads on a tantalum.
      const coded = /^[1-9]\d[4-7]$/.test(value ?? '') && !isE24(capacitance) && !can;
      if (coded && voltage !== undefined && voltage <= 50) {
        const farads = picofaradCode((value ?? '').slice(0, 2), (value ?? '').slice(2));
        if (farads !== undefined && isE24(farads))
          return capacitor(farads, { voltage, dielectric: 'tantalum' }, `${text}, a code in pF on a tantalum: `, 0.8);
      }
      const share = (isE24(capacitance) ? 1 : 0.2) * (can ? 1 : letter ? 0.1 : 0.8);
      return capacitor(capacitance, { voltage, dielectric: 'electrolytic' }, `${text}, on a can in µF: `, share);
    },
  },
  {
    name: 'printed-in-full',
    pattern: /^(?=.*\d).+$/,
    yields: 'value, volts, class, temperature and series as printed, in any order',
    prior: 0.97,
    source: PRACTICE,
    example: '0.22µF 275V~ X2 40/110/56',
    spaced: true,
    read: ([text]) => readPrinted(text),
  },
];
