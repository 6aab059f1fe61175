import { PRACTICE, practice } from '../../evidence';
import { packageRule } from '../../part';
import { formatQuantity, parseQuantity } from '../../quantity';
import { E24, isE24, isE96 } from '../preferredValues';
import type { Draft, MarkingContext, MarkingRule } from '../decoding';

/** EIA-96 multiplier letters. Source: EIA-96, from memory. */
export const EIA96_MULTIPLIER: Readonly<Record<string, number>> = {
  Z: 0.001,
  Y: 0.01,
  R: 0.01,
  X: 0.1,
  S: 0.1,
  A: 1,
  B: 10,
  H: 10,
  C: 100,
  D: 1e3,
  E: 1e4,
  F: 1e5,
};

/** Chip resistors of more ohms are not made in this coding. */
const LARGEST_CHIP = practice(100e6);
const IEC_60062 = 'IEC 60062, from memory';

const resistor = (
  resistance: number,
  tolerance: number | undefined,
  why: string,
  share = 1,
  more: { power?: number } = {},
): Draft => ({
  kind: 'resistor',
  ratings: { resistance, ...(tolerance === undefined ? {} : { tolerance }), ...more },
  why,
  share,
});

/** Shunts come in whole milliohms. */
const LARGEST_SHUNT = practice(0.1);
const onSeries = (value: number) => value < LARGEST_SHUNT || isE24(value) || isE96(value);
/** Codes of digits stand on chips: on another case they mean something else. */
const onChip = ({ package: case_ }: MarkingContext) =>
  case_ === undefined || packageRule(case_)?.group === 'chip' ? 1 : 0.15;

/** Rules for resistors. */
export const RESISTOR_RULES: readonly MarkingRule[] = [
  {
    name: 'chip-link',
    pattern: /^0{1,4}$/,
    yields: 'a 0 Ω link',
    prior: 0.9,
    alone: 0.6,
    source: IEC_60062,
    example: '000',
    read: ([text], context) => resistor(0, undefined, `${text}: a 0 Ω link`, onChip(context)),
  },
  {
    name: 'chip-digits',
    pattern: /^([1-9]\d{1,2})(\d)$/,
    yields: 'two or three digits and a count of zeros, in ohms',
    prior: 0.9,
    alone: 0.45,
    source: IEC_60062,
    example: '472',
    read([, digits = '', zeros = ''], context) {
      const resistance = Number(digits) * 10 ** Number(zeros);
      if (resistance > LARGEST_CHIP) return undefined;
      const three = digits.length === 2;
      const sure = three ? isE24(resistance) : onSeries(resistance);
      return resistor(
        resistance,
        three ? 0.05 : 0.01,
        `${digits} and ${zeros} zeros: ${formatQuantity(resistance, 'ohm')}`,
        (sure ? 1 : 0.3) * onChip(context),
      );
    },
  },
  {
    name: 'letter-as-point',
    pattern: /^(\d{0,3}[RELKMG]\d{0,3})([A-Z])?$/,
    yields: 'a letter in place of the point, then a tolerance letter',
    prior: 0.95,
    alone: 0.85,
    source: IEC_60062,
    example: '4K7K',
    read([text, value = '']) {
      const digits = value.replace(/\D/g, '');
      if (digits === '' || digits.length > 4) return undefined;
      // One digit and a letter, such as K1, is more often a transistor's short code or a reference.
      const brief = digits.length === 1 && /^[A-Z]/.test(value);
      const parsed = parseQuantity(text.replace('E', 'R'), 'ohm');
      if (!parsed.ok) return undefined;
      const { value: resistance, tolerance } = parsed.quantity;
      const why = `${text}: ${formatQuantity(resistance, 'ohm')}`;
      // E for the point, L for milliohms and G for gigohms are the rarer letters.
      // A value of two digits is seldom drawn out to three, as in 4K70.
      const rare = (/[ELG]/.test(value) ? 0.5 : 1) * (/^\d[RKM]\d0$/.test(value) ? 0.4 : 1);
      return resistor(resistance, tolerance, why, rare * (brief ? 0.25 : onSeries(resistance) ? 1 : 0.4));
    },
  },
  {
    name: 'milliohm-letter',
    pattern: /^(\d{1,3})m(\d{0,2})$/,
    yields: 'a small m in place of the point, in milliohms',
    prior: 0.8,
    alone: 0.5,
    source: IEC_60062,
    example: '5m0',
    keepCase: true,
    read([text, whole, rest]) {
      const resistance = Number((Number(`${whole}.${rest || '0'}`) / 1000).toPrecision(6));
      return resistor(resistance, undefined, `${text}: ${formatQuantity(resistance, 'ohm')}`);
    },
  },
  {
    name: 'eia-96',
    pattern: /^(0[1-9]|[1-8]\d|9[0-6])([A-Z])$/,
    yields: 'a place in E96 and a letter for the multiplier; 1 %',
    prior: 0.88,
    alone: 0.42,
    source: 'EIA-96, from memory',
    example: '01C',
    read([text, place, letter = ''], context) {
      const multiplier = EIA96_MULTIPLIER[letter];
      if (multiplier === undefined) return undefined;
      const resistance = Number((Math.round(100 * 10 ** ((Number(place) - 1) / 96)) * multiplier).toPrecision(6));
      const why = `EIA-96 code ${text}: ${formatQuantity(resistance, 'ohm')}, 1 %`;
      return resistor(resistance, 0.01, why, onChip(context));
    },
  },
  {
    name: 'letter-before-place',
    pattern: /^([A-FXYZ])(\d{2})$/,
    yields: 'a multiplier letter in front of a place in E24; few makers',
    prior: 0.3,
    alone: 0.1,
    source: PRACTICE,
    example: 'A01',
    read([text, letter = '', place]) {
      const index = Number(place) - 1;
      const multiplier = EIA96_MULTIPLIER[letter];
      if (index < 0 || index > 71 || multiplier === undefined) return undefined;
      const tolerance = [0.02, 0.05, 0.1][Math.floor(index / 24)];
      const resistance = Number(((E24[index % 24] ?? 0) * 10 * multiplier).toPrecision(6));
      return resistor(resistance, tolerance, `${text}, letter first: ${formatQuantity(resistance, 'ohm')}; measure it`);
    },
  },
  {
    name: 'resistor-in-full',
    pattern:
      /^(?:RX\d+-?\d* ?)?(?:(\d{1,2}) ?W ?)?(\d+(?:[.,]\d+)?|[.,]\d+) ?(R|K|M|Ω|KΩ|MΩ|OHMS?|KOHMS?|MOHMS?)(?: ?±?(\d{1,2})%| ?([FGJKM]))?(?: ?(\d{1,2}(?:[.,]\d)?|1\/[248]) ?W)?$/,
    yields: 'ohms with their sign, tolerance and watts in any order',
    prior: 0.95,
    alone: 0.85,
    source: PRACTICE,
    example: '47Ω 2W',
    spaced: true,
    read([text, first, value = '', sign = '', percent, letter, last]) {
      if (!first && !last && !/[ΩO]/.test(sign)) return undefined;
      const factor = sign.startsWith('K') ? 1e3 : /^M(?:Ω|O|$)/.test(sign) ? 1e6 : 1;
      const resistance = Number((Number(value.replace(',', '.').replace(/^\./, '0.')) * factor).toPrecision(6));
      const tolerance = percent ? Number(percent) / 100 : { F: 0.01, G: 0.02, J: 0.05, K: 0.1, M: 0.2 }[letter ?? ''];
      const watts = first ?? last;
      const power = watts?.includes('/')
        ? 1 / Number(watts.slice(2))
        : watts
          ? Number(watts.replace(',', '.'))
          : undefined;
      return {
        kind: 'resistor',
        ratings: {
          resistance,
          ...(tolerance === undefined ? {} : { tolerance }),
          ...(power === undefined ? {} : { power }),
        },
        why: `${text}: ${resistance} Ω${power === undefined ? '' : `, ${power} W`}`,
      };
    },
  },
  {
    name: 'cement-resistor',
    pattern: /^(\d{1,2})W(\d{0,3}[RKΩ]\d{0,3}|\d+(?:\.\d+)?(?:Ω|OHM)?)([FGJKM])?$/,
    yields: 'watts, ohms and a tolerance letter on a power resistor',
    prior: 0.95,
    alone: 0.9,
    source: PRACTICE,
    example: '5W0R47J',
    read([text, watts, value = '', letter = '']) {
      const parsed = parseQuantity(value.replace(/OHM|Ω$/, 'R').replace('Ω', 'R'), 'ohm');
      if (!parsed.ok) return undefined;
      const tolerance = { F: 0.01, G: 0.02, J: 0.05, K: 0.1, M: 0.2 }[letter];
      const why = `${text}: ${watts} W, ${formatQuantity(parsed.quantity.value, 'ohm')}`;
      const share = /\D/.test(value) || letter ? 1 : 0.35;
      return resistor(parsed.quantity.value, tolerance, why, share, { power: Number(watts) });
    },
  },
];
