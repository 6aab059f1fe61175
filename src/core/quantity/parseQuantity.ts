import { TOLERANCE_LETTERS } from './tolerance';
import { UNITS, type Unit, type UnitRule } from './units';

/** A number a person typed, in the SI base unit. */
export interface Quantity {
  readonly value: number;
  /** The weight of the last digit typed, in the base unit: what the person's meter could resolve. */
  readonly resolution: number;
  /** A tolerance letter or percentage that followed, as a fraction. */
  readonly tolerance?: number;
  /** The value is legal but so large that a slip of the unit is likely. */
  readonly unusual?: true;
}

export type QuantityProblem = {
  readonly kind:
    | 'empty'
    | 'not-a-number'
    | 'other-unit'
    | 'negative'
    | 'not-finite'
    | 'thousands'
    | 'no-unit'
    | 'millifarad';
  readonly text: string;
  readonly unit: Unit;
};

export type ParsedQuantity =
  | { readonly ok: true; readonly quantity: Quantity }
  | { readonly ok: false; readonly problem: QuantityProblem };

/** What to tell a person: the value, what is wrong with it, and what was expected. */
export function problemText({ kind, text, unit }: QuantityProblem): string {
  const { word, example } = UNITS[unit];
  const reason: Record<QuantityProblem['kind'], string> = {
    empty: `No ${word} was typed. Write it like ${example}.`,
    'not-a-number': `“${text}” is not a ${word} that can be read. Write it like ${example}.`,
    'other-unit': `“${text}” carries another unit. A ${word} is expected, like ${example}.`,
    negative: `“${text}” is below zero. A ${word} is expected, like ${example}.`,
    thousands: `“${text}” may be read in two ways: the comma is a decimal point, or parts thousands. Write it without the comma, like ${example}.`,
    'no-unit': `“${text}” what? Minutes are likely: ${text}min. For seconds write ${text}s.`,
    millifarad: `“${text}” is thousands of microfarads to one and microfarads to another. Write it in microfarads, like ${example}.`,
    'not-finite': `“${text}” is too large to be a ${word}. Write it like ${example}.`,
  };
  return reason[kind];
}

/**
 * Reads engineering shorthand into the SI base unit: plain numbers, prefix letters, the prefix or
 * `R` in place of the decimal point (IEC 60062: 4k7, 0R22, R47, 2n2), a unit behind it, a decimal
 * comma, and a tolerance letter or percentage.
 * Blank text is a problem, never 0: 0 V would mean "discharged".
 * @example parseQuantity('4K7K', 'ohm') // 4700, tolerance 0.1
 * @example parseQuantity('0.4 V', 'volt') // 0.4, resolution 0.1
 */
export function parseQuantity(text: string, unit: Unit): ParsedQuantity {
  const fail = (kind: QuantityProblem['kind']): ParsedQuantity => ({
    ok: false,
    problem: { kind, text: text.trim(), unit },
  });
  const rule = UNITS[unit];
  let body = text.trim().replace(/−/g, '-');
  let tolerance: number | undefined;
  const percent = unit === 'ratio' ? null : /(?:\s|±|\+\/-)\s*(\d+(?:[.,]\d+)?)\s*%$/.exec(body);
  if (percent?.[1] && percent.index > 0) {
    tolerance = Number(percent[1].replace(',', '.')) / 100;
    body = body.slice(0, percent.index);
  }
  body = body.replace(/(?<=\d) (?=\d{3}(?:\D|$))/g, '').replace(/\s+/g, '');
  body = asPrinted(body, unit);
  if (body === '') return fail('empty');

  if (unit === 'second' || unit === 'duration') {
    const clock = parseClock(body, unit === 'duration');
    if (clock) return accept(clock.value, clock.resolution, rule);
    // Nothing is nothing in any unit.
    if (unit === 'duration' && /^0+$/.test(body)) return accept(0, 1, rule);
    if (unit === 'duration') return fail(/^\d+(?:[.,]\d+)?$/.test(body) ? 'no-unit' : 'not-a-number');
  }

  const pair = unit === 'ratio' ? /^(\d+(?:[.,]\d+)?):(\d+(?:[.,]\d+)?)$/.exec(body) : null;
  if (pair) {
    const [one, other] = [pair[1], pair[2]].map((text) => Number((text ?? '').replace(',', '.')));
    if (!one || !other) return fail('not-a-number');
    return accept(tidy(one / other), 0, rule);
  }

  const sign = body.startsWith('-') ? -1 : 1;
  body = body.replace(/^[+-]/, '');
  // A comma before exactly three digits is a decimal comma to one and parts thousands to another.
  if (/^[1-9]\d{0,2},\d{3}(?!\d)/.test(body)) return fail('thousands');
  body = body.replace(/^(\d+),(\d+)/, '$1.$2');
  if (sign < 0 && !rule.signed) return fail('negative');
  if (unit === 'farad' && /^(?:\d+\.?\d*|\.\d+)mF?$/.test(body)) return fail('millifarad');

  for (const candidate of withoutUnit(body, rule)) {
    const read = readNumber(candidate.body, rule);
    if (read) {
      const factor = unit === 'ratio' && candidate.spelling === '%' ? 0.01 : 1;
      const base = unit === 'kilogram' && !candidate.prefixed(read.prefix) ? 1e-3 : 1;
      const value = sign * tidy(read.value * factor * base);
      if (!Number.isFinite(value)) return fail('not-finite');
      return accept(value, read.resolution * factor * base, rule, read.tolerance ?? tolerance);
    }
  }
  return fail(carriesOtherUnit(body, unit) ? 'other-unit' : 'not-a-number');
}

/** The print of a fuse: its speed, its current, its breaking capacity and voltage. Source: IEC 60127-1 (from memory). */
const FUSE_PRINT = /^[FTM]{0,2}(\d+(?:[.,]\d+)?m?A)[LHE]?(?:\/?\d+V~?)?$/i;

/** A mark as it is printed, without the signs that are no part of the value: `T3.15AL250V`, `275V~`, `24V⎓`. */
function asPrinted(body: string, unit: Unit): string {
  if (unit === 'ampere') return FUSE_PRINT.exec(body)?.[1] ?? body;
  return unit === 'volt' ? body.replace(/^(?:[~∿⎓=]|[AD]C(?=\d))/i, '').replace(/(?<=V)(?:[~∿⎓=]|[AD]C)$/i, '') : body;
}

function accept(value: number, resolution: number, rule: UnitRule, tolerance?: number): ParsedQuantity {
  return {
    ok: true,
    quantity: {
      value,
      resolution,
      ...(tolerance === undefined ? {} : { tolerance }),
      ...(rule.unusualAbove !== undefined && Math.abs(value) > rule.unusualAbove ? { unusual: true as const } : {}),
    },
  };
}

/** The text with each possible unit spelling removed, the bare text last. */
function* withoutUnit(body: string, rule: UnitRule) {
  const prefixed = (prefix: string | undefined) => prefix === 'k' || prefix === 'K' || prefix === 'm';
  for (const spelling of rule.spellings) {
    if (body.length > spelling.length && body.toLowerCase().endsWith(spelling))
      yield { body: body.slice(0, -spelling.length), spelling, prefixed };
  }
  yield { body, spelling: '', prefixed };
}

interface ReadNumber {
  readonly value: number;
  readonly resolution: number;
  readonly prefix?: string;
  readonly tolerance?: number;
}

function readNumber(body: string, rule: UnitRule): ReadNumber | undefined {
  const letters = Object.keys(rule.prefixes).join('');
  const plain = /^(\d+\.?\d*|\.\d+)(?:e([+-]?\d+))?$/i.exec(body);
  if (plain?.[1]) return scaled(plain[1], 10 ** Number(plain[2] ?? 0));
  if (!letters) return undefined;

  const suffixed = new RegExp(`^(\\d+\\.?\\d*|\\.\\d+)([${letters}])([A-Z]?)$`).exec(body);
  const infix = new RegExp(`^(\\d*)([${letters}])(\\d+)([A-Z]?)$`).exec(body);
  const match = suffixed ?? infix;
  const prefix = match?.[2];
  if (!match || prefix === undefined) return undefined;
  const digits = suffixed ? (match[1] ?? '') : `${match[1] || '0'}.${match[3]}`;
  const letter = (suffixed ? match[3] : match[4]) || undefined;
  const tolerance = letter === undefined ? undefined : TOLERANCE_LETTERS[letter];
  if (letter !== undefined && tolerance === undefined) return undefined;
  return { ...scaled(digits, rule.prefixes[prefix] ?? 1), prefix, ...(tolerance === undefined ? {} : { tolerance }) };
}

function scaled(digits: string, factor: number): { value: number; resolution: number } {
  const decimals = digits.includes('.') ? digits.length - digits.indexOf('.') - 1 : 0;
  return { value: tidy(Number(digits) * factor), resolution: tidy(10 ** -decimals * factor) };
}

/** Removes the last binary digits that a decimal factor leaves behind: 4.7 × 1e-6 is 4.7e-6. */
function tidy(value: number): number {
  return Number(value.toPrecision(14));
}

function parseClock(body: string, isDuration: boolean): { value: number; resolution: number } | undefined {
  const colon = /^(\d{1,3}):([0-5]\d)(?::([0-5]\d))?$/.exec(body);
  if (colon) {
    const [first = 0, second = 0, third] = colon.slice(1).map((part) => (part ? Number(part) : undefined));
    return { value: third === undefined ? first * 60 + second : first * 3600 + second * 60 + third, resolution: 1 };
  }
  // Work and runs take minutes, never milliseconds.
  const short = (isDuration ? body.replace(/(\d)m$/, '$1min') : body)
    .replace(/,/g, '.')
    .replace(/(\d)(?:hours?|hrs?|stunden?|std|heures?)/gi, '$1h')
    .replace(/(\d)min(?:ute[sn]?|s)?/gi, '$1min')
    .replace(/(\d)(?:seconds?|secs?|sekunden?|secondes?)/gi, '$1s')
    .replace(/^(\d+h\d{1,2})$/i, '$1min');
  const long = /^(?:(\d+(?:\.\d+)?)h)?(?:(\d+(?:\.\d+)?)min)?(?:(\d+(?:\.\d+)?)s)?$/i.exec(short);
  if (long && (long[1] ?? long[2] ?? (long[3] && (isDuration || short !== body))))
    return {
      value: Number(long[1] ?? 0) * 3600 + Number(long[2] ?? 0) * 60 + Number(long[3] ?? 0),
      resolution: long[3] ? 1 : long[2] ? 60 : 3600,
    };
  return undefined;
}

function carriesOtherUnit(body: string, unit: Unit): boolean {
  return (Object.keys(UNITS) as Unit[]).some(
    (other) =>
      other !== unit &&
      [...withoutUnit(body, UNITS[other])].some(
        ({ body: rest, spelling }) => spelling !== '' && readNumber(rest, UNITS[other]) !== undefined,
      ),
  );
}
