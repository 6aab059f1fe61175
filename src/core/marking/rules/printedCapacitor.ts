import { practice } from '../../evidence';
import { formatQuantity } from '../../quantity';
import { isE24 } from '../preferredValues';
import type { Draft } from '../decoding';
import {
  picofaradCode,
  temperatureCharacteristic,
  temperatureCoefficient,
  toleranceOf,
  voltageCode,
} from './capacitorCodes';

interface Printed {
  capacitance?: number;
  /** Whether the value stood with a unit or a code of its own, so that it can be nothing else. */
  sure: boolean;
  tolerance?: number;
  /** Direct volts, or volts of no stated kind. */
  direct: number[];
  alternating: number[];
  classes: string[];
  temperature?: number;
  dielectric?: string;
  strange: number;
}

/** Words on cans and boxes that say what is inside. */
const DIELECTRIC_WORDS: Readonly<Record<string, string>> = practice({
  MKP: 'polypropylene film',
  MKT: 'polyester film',
  MKS: 'polyester film',
  MPX: 'polypropylene film',
  MEX: 'polypropylene film',
  MPP: 'polypropylene film',
  PP: 'polypropylene film',
  CBB: 'polypropylene film',
  CL: 'polyester film',
  MP: 'metallised paper',
  TANT: 'tantalum',
  POLYMER: 'polymer',
});
/** Discs and films hold at least this. */
const LEAST_CERAMIC_VOLTS = practice(50);
/** Farads from which a capacitor is a double-layer one, and the volts of one or two cells of those. */
const LEAST_DOUBLE_LAYER = practice(0.04);
const MOST_DOUBLE_LAYER_VOLTS = practice(6.3);
const BARE_VOLTS = [6.3, 10, 16, 25, 35, 50, 63, 80, 100, 160, 200, 250, 275, 305, 310, 400, 450, 630];

type Step = [pattern: RegExp, take: (printed: Printed, match: RegExpExecArray) => boolean | void];

const farads = (value: string, unit: string) =>
  Number((Number(value.replace(',', '.')) * unitFactor(unit)).toPrecision(6));

function unitFactor(unit: string): number {
  if (unit.startsWith('P')) return 1e-12;
  if (unit.startsWith('N')) return 1e-9;
  return unit === 'F' ? 1 : 1e-6;
}

/** What one word of the print may be, tried in order; a step that answers false lets the next try. */
const STEPS: readonly Step[] = [
  [
    /^(\d+(?:[.,]\d+)?|[.,]\d+)(UF|ΜF|µF|MFD|MF|NF|PF|U|Μ|µ|N|P)([JKMGHZ])?$/,
    (printed, [, value = '', unit = '', letter]) => {
      printed.capacitance = farads(value, unit);
      printed.sure = true;
      const tolerance = toleranceOf(letter, printed.capacitance);
      if (tolerance !== undefined) printed.tolerance = tolerance;
    },
  ],
  [
    /^(\d{0,3})([UNP])(\d{1,2})F?([JKMGH])?$/,
    (printed, [, before = '', unit = '', after = '', letter]) => {
      if (before.length + after.length > 3 || printed.capacitance !== undefined) return false;
      const value = farads(`${before || '0'}.${after}`, unit);
      // A few picofarads are made to fractions of one, never to 20 %.
      if (value < 10e-12 && /[KM]/.test(letter ?? '')) return false;
      printed.capacitance = value;
      printed.sure = true;
      const tolerance = toleranceOf(letter, printed.capacitance);
      if (tolerance !== undefined) printed.tolerance = tolerance;
      return true;
    },
  ],
  [
    /^(?:([0-3])([ABCDEFGHJKVW]))?([1-9]\d)(\d)([JKMGHZ])$/,
    (printed, [, decade, mantissa, digits = '', zeros = '', letter]) => {
      if (printed.capacitance !== undefined) return false;
      const capacitance = picofaradCode(digits, zeros);
      if (capacitance === undefined) return false;
      printed.capacitance = capacitance;
      const tolerance = toleranceOf(letter, capacitance);
      if (tolerance !== undefined) printed.tolerance = tolerance;
      const coded = decade && mantissa ? voltageCode(decade, mantissa) : undefined;
      if (coded !== undefined) printed.direct.push(coded);
      return true;
    },
  ],
  [
    // A farad and more: only beside the few volts of a double-layer capacitor.
    /^(\d+(?:\.\d+)?|\.\d+)F$/,
    (printed, [, value = '']) => {
      if (printed.capacitance !== undefined) return false;
      printed.capacitance = Number(value);
      printed.sure = true;
      return true;
    },
  ],
  [
    /^([XY][1-4])$/,
    ({ classes }, [, name = '']) => {
      classes.push(name);
    },
  ],
  [
    /^(X[123])[/-]?(Y[1-4])$/,
    ({ classes }, [, x = '', y = '']) => {
      classes.push(x, y);
    },
  ],
  [
    /^(\d+(?:[.,]\d+)?)(KV|V|WV|VDCW|VDC|VAC|V~|V-|VA\.C\.|~|VD\.C\.)$/,
    (printed, [, value = '', unit = '']) => {
      const volts = Number(value.replace(',', '.')) * (unit === 'KV' ? 1000 : 1);
      (/AC|~|A\.C/.test(unit) ? printed.alternating : printed.direct).push(volts);
    },
  ],
  [
    /^([+-]?\d{2}[/~+-]{1,2})?\+?(85|100|105|110|125|130|150)(?:°C?|º?C|'C|\/\d{2})$/,
    (printed, match) => {
      printed.temperature = Number(match[2]);
    },
  ],
  [
    /^(?:[+±]\/?-?)?(\d{1,2})%$/,
    (printed, [, percent]) => {
      printed.tolerance = Number(percent) / 100;
    },
  ],
  [
    /^\(?([JKM])\)?$/,
    (printed, [, letter = '']) => {
      const tolerance = { J: 0.05, K: 0.1, M: 0.2 }[letter];
      if (tolerance !== undefined && printed.tolerance === undefined) printed.tolerance = tolerance;
    },
  ],
  [
    /^[A-Z]\d[A-Z]$|^(?:COG|NP[0O])$/,
    (printed, [code]) => {
      const characteristic = temperatureCharacteristic(code);
      if (!characteristic && !temperatureCoefficient(code)) return false;
      printed.dielectric = code;
      if (characteristic) printed.temperature = characteristic.high;
      return true;
    },
  ],
  [
    /^([A-Z]+)(?:\d{0,2}(?:-X\d)?)$/,
    (printed, [, word = '']) => {
      const dielectric = DIELECTRIC_WORDS[word];
      if (dielectric) printed.dielectric = dielectric;
      // LOW ESR, series names and the like say nothing that is kept.
      return /^[A-Z]+$/.test(word);
    },
  ],
  [
    /^(0?\.\d{1,4}|\d{1,2}\.\d{1,2})([JKMGH])?$/,
    (printed, [, value = '', letter]) => {
      if (printed.capacitance !== undefined) return false;
      printed.capacitance = farads(value, 'U');
      const tolerance = toleranceOf(letter, printed.capacitance);
      if (tolerance !== undefined) printed.tolerance = tolerance;
      return true;
    },
  ],
  [
    /^([1-9]\d)(\d)$/,
    (printed, [, digits = '', zeros = '']) => {
      const capacitance = picofaradCode(digits, zeros);
      if (printed.capacitance !== undefined || capacitance === undefined) return false;
      printed.capacitance = capacitance;
      return true;
    },
  ],
  [
    /^(\d{2,3})$/,
    (printed, [, value]) => {
      if (printed.capacitance === undefined || !BARE_VOLTS.includes(Number(value))) return false;
      printed.direct.push(Number(value));
      return true;
    },
  ],
];

/** Takes a print apart where makers leave no blank: `82UF400V105°C`, `275V~X2`. */
function wordsOf(text: string): string[] {
  return (
    text
      .replace(/℃/g, '°C')
      // Decimal commas; before three digits one parts thousands on a can, but for 0,047.
      .replace(/(?<![\d.,])([1-9]\d?),(\d{3})(?=\s*(?:UF|ΜF|µF|MFD))/g, '$1$2')
      .replace(/(\d),(?=\d)/g, '$1.')
      .replace(/\(([JKM])\)/g, ' $1 ')
      .replace(/(UF|ΜF|µF|MFD|NF|PF|[UµΜNP])\s?[/-]\s?(?=\d)/g, '$1 ')
      .replace(/(?<=[\d.]) ?\/ ?(?=\d{2,4}V)/g, ' ')
      .replace(/([1-9]\d{2}[JKMZ])(?=\d{2,4}V)/g, '$1 ')
      .replace(/(\d+(?:\.\d+)?)WV(?=\d)/g, '$1V ')
      .replace(/MICROFARADS?/g, 'UF')
      .replace(/(\d)\s+(UF|ΜF|µF|MFD|NF|PF|KV|VAC|VDC|V~|V|WV|°C|~)(?![A-Z])/g, '$1$2')
      .replace(/(UF|ΜF|µF|MFD|NF|PF)(?=\d)/g, '$1 ')
      .replace(/([UNP])(?=\d{2,3}V)/g, '$1 ')
      .replace(/(UF|ΜF|µF|NF|PF)([JKM])(?=\d{2})/g, '$1$2 ')
      .replace(/(V~|VAC|VDC|~|V)(?=[\dXY(+-])/g, '$1 ')
      .replace(/([XY][124])(?=\d|MK)/g, '$1 ')
      .replace(/(MKP|MEX|MKT|MPX)\/(?=[XY])/g, '$1 ')
      .replace(/(\d{2,3})(?=MKP|MKT|MPX)/g, '$1 ')
      .split(/[\s,;|]+(?!\d*F)/)
      .filter((word) => word !== '')
  );
}

/**
 * Reads a capacitor's print in full, in whatever order value, volts, safety class, temperature and
 * series stand: `X2 0.22µF 275V~ 40/110/56`, `1000uF 16V 105°C`, `103Z 1KV`. Of several
 * alternating voltages the lowest is kept, since a part must hold every duty it is used for.
 * @returns nothing unless a value stands there with something that confirms it
 */
export function readPrinted(text: string): Draft | undefined {
  const words = wordsOf(text);
  if (words.length > 12) return undefined;
  const printed: Printed = { sure: false, direct: [], alternating: [], classes: [], strange: 0 };
  for (const word of words) {
    const taken = STEPS.some(([pattern, take]) => {
      const match = pattern.exec(word);
      return match !== null && take(printed, match) !== false;
    });
    if (!taken) printed.strange += 1;
  }
  const { capacitance, classes, direct, alternating, temperature, tolerance, dielectric, sure, strange } = printed;
  const confirmed = direct.length + alternating.length + classes.length + (dielectric && words.length > 1 ? 1 : 0);
  if (capacitance === undefined || capacitance <= 0 || (!sure && confirmed === 0)) return undefined;
  if (strange > 0 && strange >= words.length - strange) return undefined;
  if (capacitance >= LEAST_DOUBLE_LAYER && Math.min(...direct, Infinity) > MOST_DOUBLE_LAYER_VOLTS) return undefined;
  // Three bare digits beside few volts are microfarads on a can, which another rule reads.
  const bareCode = !sure && tolerance === undefined && classes.length === 0 && !dielectric;
  if (bareCode && Math.max(...direct, ...alternating) < LEAST_CERAMIC_VOLTS) return undefined;
  const voltage = alternating.length > 0 ? Math.min(...alternating) : direct[0];
  const all = [...new Set([...alternating, ...direct])];
  const safetyClass = [...new Set(classes)].join('/');
  const facts = { ...(safetyClass ? { safetyClass } : {}), ...(dielectric ? { dielectric } : {}) };
  const said = [
    formatQuantity(capacitance, 'farad'),
    ...(all.length > 0 ? [all.map((volts) => formatQuantity(volts, 'volt')).join(' and ')] : []),
    ...(temperature === undefined ? [] : [`${temperature} °C`]),
    ...(safetyClass ? [`class ${safetyClass}`] : []),
    ...(dielectric ? [dielectric] : []),
  ];
  return {
    kind: 'capacitor',
    ratings: {
      capacitance,
      ...(tolerance === undefined ? {} : { tolerance }),
      ...(voltage === undefined ? {} : { voltage }),
      ...(temperature === undefined ? {} : { temperature }),
    },
    ...(Object.keys(facts).length > 0 ? { facts } : {}),
    why: `printed in full: ${said.join(', ')}`,
    share: (isE24(capacitance) ? 1 : 0.55) * (sure && confirmed > 0 ? 1 : 0.93) * 0.85 ** strange,
  };
}
