import { type RatingName, kindRule, RATINGS, type KindName, safetyClassOf } from '../../part';
import { decided, decodingsAs, printedRatings } from './kindOf';
import type { ContextPart } from '../record';
import type { Token } from '../tokens';
import { isBareNumber, shorthandOf } from '../values';
import { type Question, MILLIOHMS, MAIN_VALUE, type Sorted, markingAsTyped, addPrinted } from './said';

export const firstOf = <T>(found: readonly (T | undefined)[]): T | undefined => found.find((one) => one !== undefined);

/** “poly” is polymer on a low rail and film elsewhere. */
export function takePoly(sorted: Sorted, kind: KindName): Question | undefined {
  if (!sorted.poly || kind !== 'capacitor') return undefined;
  const volts = sorted.values.find(({ unit }) => unit === 'volt')?.value;
  const farads =
    sorted.values.find(({ unit }) => unit === 'farad')?.value ??
    firstOf(sorted.codes.map(({ text }) => shorthandOf(text, 'farad')?.value));
  const isFilm = (volts !== undefined && volts >= 63) || (farads !== undefined && farads < 5e-6);
  const isPolymer = (volts === undefined || volts <= 35) && farads !== undefined && farads >= 10e-6;
  if (isFilm === isPolymer)
    return {
      problem: {
        kind: 'unclear',
        word: sorted.poly.text,
        question: 'Polymer or film (polyester, polypropylene)?',
        maybe: [],
      },
    };
  sorted.said.subtype ??= isFilm ? 'film' : 'polymer';
  return undefined;
}

/** Digits that are a value in code, by the kind: what they may be read as, or which question they raise. */
export function takeCodes(
  sorted: Sorted,
  kind: KindName,
  known: ContextPart | undefined,
  ref: string,
): Question | undefined {
  const { said, marked } = sorted;
  const left: Token[] = [];
  const hasMain = () =>
    said.ratings.some(({ name }) => name === MAIN_VALUE[kind]) ||
    sorted.values.some(({ unit }) => MAIN_VALUE[kind] !== undefined && unit === RATINGS[MAIN_VALUE[kind]].unit);
  for (const token of sorted.codes) {
    const doubt = inDoubt(token.text, kind, sorted, ref);
    if (doubt) return doubt;
    if (takeClassPrint(token.text, kind, sorted)) continue;
    const taken = hasMain() ? undefined : takeValueCode(token.text, kind, sorted, ref);
    if (typeof taken === 'object') return taken;
    if (!taken) left.push(token);
  }
  if (marked !== '') {
    said.marking = markingAsTyped(marked);
    if (!hasMain()) {
      const asked = takeMarkedValue(marked, kind, sorted, ref);
      if (asked) return { ...asked, kept: { ...said, marking: said.marking } };
    }
  }
  if (left.length === 0) return undefined;
  const digits = left.filter(({ text }) => isBareNumber(text));
  // A small number or a decimal is never the number of a part.
  const small = digits.filter(({ text }) => text.length < 3 || /[.,]/.test(text));
  if (small.length === left.length) {
    if (said.marking === undefined && PRINTS_VALUES.has(kind) && !hasMain()) return whichUnit(small[0], kind, ref);
    sorted.unplaced.push(...left);
    return undefined;
  }
  if (
    said.marking !== undefined ||
    (digits.length === left.length && kind !== 'regulator' && known === undefined && !isNumberOf(left, kind))
  ) {
    const [degrees] = digits;
    if (
      kind === 'capacitor' &&
      hasMain() &&
      digits.length === 1 &&
      /^(?:85|105|125|130|135)$/.test(degrees?.text ?? '')
    ) {
      said.ratings.push({ name: 'temperature', value: Number(degrees?.text), source: 'decoded' });
      return undefined;
    }
    if (digits.length === left.length && said.marking === undefined && PRINTS_VALUES.has(kind) && !hasMain())
      return whichUnit(digits[0], kind, ref);
    sorted.unplaced.push(...left);
    return undefined;
  }
  takeNumber(left, kind, sorted);
  return undefined;
}

/** `4k7 maybe 5k1`, `10k?`: of two values, and of one that is not sure, none is taken. */
function inDoubt(text: string, kind: KindName, { said, source }: Sorted, ref: string): Question | undefined {
  const main = MAIN_VALUE[kind];
  if (main === undefined || source !== undefined || isBareNumber(text)) return undefined;
  const { unit } = RATINGS[main];
  const lower = ref.toLowerCase();
  const sure = text.endsWith('?') ? shorthandOf(text.slice(0, -1), unit) : undefined;
  if (sure)
    return {
      problem: {
        kind: 'unclear',
        word: text,
        question: `${text} Is that what is printed?`,
        maybe: [`${lower} ${text.slice(0, -1)}`],
      },
    };
  const before = said.ratings.find(({ name }) => name === main);
  const value = before && shorthandOf(text, unit);
  return value && value.value !== before.value
    ? {
        problem: {
          kind: 'unclear',
          word: text,
          question: `Two values, and one of them is ${text}: which is printed?`,
          maybe: [`${lower} ${text}`],
        },
      }
    : undefined;
}

/** Voltages that capacitors with a safety class are printed with, often without their V. IEC 60384-14 (from memory). */
const CLASS_VOLTS: ReadonlySet<number> = new Set([250, 275, 300, 305, 310, 400, 440, 450, 500, 630]);

/** `0.33 X2 275`: what stands bare on a capacitor with a safety class is microfarads and volts. */
function takeClassPrint(text: string, kind: KindName, { said, classes }: Sorted): boolean {
  if (kind !== 'capacitor' || !(classes.length > 0 || /^[xy]\d?$/i.test(said.subtype ?? ''))) return false;
  const has = (rating: RatingName) => said.ratings.some(({ name }) => name === rating);
  if (CLASS_VOLTS.has(Number(text)) && !has('voltage')) {
    said.ratings.push({ name: 'voltage', value: Number(text), source: 'decoded' });
    return true;
  }
  if (/^\d?[.,]\d+$/.test(text) && !has('capacitance')) {
    const value = Number((Number(text.replace(',', '.')) * 1e-6).toPrecision(12));
    said.ratings.push({ name: 'capacitance', value, source: 'decoded' });
    return true;
  }
  return false;
}

const PRINTS_VALUES: ReadonlySet<KindName> = new Set([
  'capacitor',
  'resistor',
  'inductor',
  'potentiometer',
  'fuse',
  'relay',
  'common-mode-choke',
]);

/** Whether bare digits are a number of this kind, such as 817 or 13007. */
const isNumberOf = (tokens: readonly Token[], kind: KindName) =>
  (decodingsAs(tokens.map(({ text }) => text).join(' '), kind)[0]?.confidence ?? 0) >= 0.3 && !PRINTS_VALUES.has(kind);

function whichUnit(token: Token | undefined, kind: KindName, ref: string): Question {
  const word = token?.text ?? '';
  const units: Partial<Record<KindName, readonly string[]>> = {
    capacitor: ['u', 'V', 'n'],
    resistor: ['R', 'k', 'M'],
    potentiometer: ['R', 'k', 'M'],
    inductor: ['u', 'mH'],
    'common-mode-choke': ['mH', 'u'],
    fuse: ['A', 'mA'],
    relay: ['V'],
  };
  return {
    problem: {
      kind: 'unclear',
      word,
      question: `${word} what?`,
      maybe: (units[kind] ?? []).map((unit) => `${ref.toLowerCase()} ${word}${unit}`),
    },
  };
}

/** A code that carries the value: `4k7`, `104`, `R220`, `14D471K`, `T2A250V`. True when it was taken. */
function takeValueCode(text: string, kind: KindName, sorted: Sorted, ref: string): true | undefined | Question {
  const { said } = sorted;
  const main = MAIN_VALUE[kind];
  // Below one, a resistor's value is in ohms: nobody writes 0.22 for 220 ohms or 220 kilohms.
  if (kind === 'resistor' && /^0?[.,]\d+$/.test(text)) {
    const value = shorthandOf(text, 'ohm');
    if (value) said.ratings.push({ name: 'resistance', value: value.value, source: sorted.source ?? 'decoded' });
    return value ? true : undefined;
  }
  if (isBareNumber(text)) {
    if (kind === 'varistor' && /^[1-9]\d[0-3]$/.test(text)) {
      // Two digits and how many noughts, as in the middle of 14D471K.
      said.ratings.push({ name: 'vn', value: Number(text.slice(0, 2)) * 10 ** Number(text[2]), source: 'decoded' });
      return true;
    }
    if (kind === 'potentiometer' && /^[1-9]\d[0-6]$/.test(text)) {
      said.ratings.push({
        name: 'resistance',
        value: Number(text.slice(0, 2)) * 10 ** Number(text[2]),
        source: 'decoded',
      });
      return true;
    }
    if (kind !== 'resistor' && kind !== 'capacitor' && kind !== 'inductor') return undefined;
    if (!/^\d{3,4}$/.test(text) || (text.length === 4 && kind !== 'resistor')) return undefined;
    return takeDigits(text, kind, sorted, ref);
  }
  if (main) {
    const lowM = kind === 'resistor' || kind === 'potentiometer' ? text.replace(/^(\d*\.?\d+)m(\d*)$/, '$1M$2') : text;
    if (
      lowM !== text &&
      (said.duty === 'sense' || /shunt/i.test(sorted.kinds.map(({ token }) => token.text).join(' ')))
    )
      return {
        problem: {
          kind: 'unclear',
          word: text,
          question: `${text}: milliohms or megohms?`,
          maybe: [`${ref.toLowerCase()} ${text.replace('m', '')}mΩ`, `${ref.toLowerCase()} ${lowM}`],
        },
      };
    const value = shorthandOf(lowM, RATINGS[main].unit);
    if (value) {
      said.ratings.push({ name: main, value: value.value, source: sorted.source ?? 'decoded' });
      if (value.tolerance !== undefined && kindRule(kind).ratings.includes('tolerance'))
        said.ratings.push({ name: 'tolerance', value: value.tolerance, source: sorted.source ?? 'decoded' });
      return true;
    }
  }
  const decoding = decodingsAs(text, kind, said.package)[0];
  const printed = decoding && decoding.confidence >= 0.3 ? printedRatings(decoding) : [];
  if (!decoding || printed.length === 0 || kind === 'diode') return undefined;
  addPrinted(printed, sorted);
  const subtype = decided(decoding).subtype;
  if (subtype) said.subtype ??= subtype;
  if (kind === 'thermistor' || kind === 'varistor' || kind === 'fuse') said.marking ??= text.toUpperCase();
  return true;
}

/** Three or four digits on a part: the code, unless they may as well be the value itself. */
function takeDigits(
  text: string,
  kind: 'resistor' | 'capacitor' | 'inductor',
  sorted: Sorted,
  ref: string,
): true | Question | undefined {
  const { said, isChip } = sorted;
  const isCode =
    isChip ||
    ['ceramic', 'film'].includes(said.subtype ?? '') ||
    safetyClassOf(said.subtype) !== undefined ||
    sorted.classes.length > 0;
  const last = text.at(-1) ?? '';
  const decoding = decodingsAs(text, kind, said.package)[0];
  const printed = decoding ? printedRatings(decoding) : [];
  if (last === '0' && kind === 'capacitor' && !isCode)
    return whichUnit({ text, start: 0, end: 0, parted: false }, kind, ref);
  if (last === '0' && !(kind === 'capacitor' && isCode) && !(text.length === 4 && isChip)) {
    const [, coded] = printed[0] ?? [];
    return whichOf(text, kind, coded, ref);
  }
  if (printed.length === 0 || (!isCode && (last === '8' || last === '9' || (kind === 'capacitor' && last === '0'))))
    return whichUnit({ text, start: 0, end: 0, parted: false }, kind, ref);
  if (!isCode && kind === 'capacitor' && !/[1-5]$/.test(text))
    return whichUnit({ text, start: 0, end: 0, parted: false }, kind, ref);
  addPrinted(printed, sorted);
  return true;
}

function whichOf(text: string, kind: KindName, coded: number | undefined, ref: string): Question {
  const unit = kind === 'resistor' ? 'Ω' : kind === 'capacitor' ? 'pF' : 'µH';
  const scale = kind === 'resistor' ? 1 : kind === 'capacitor' ? 1e-12 : 1e-6;
  const byCode = coded === undefined ? undefined : Number((coded / scale).toPrecision(6));
  return {
    problem: {
      kind: 'unclear',
      word: text,
      question:
        byCode === undefined
          ? `${text} what?`
          : `${text}: ${byCode} ${unit} by the code, ${text} ${unit} by the digits?`,
      maybe: [
        ...(byCode === undefined ? [] : [`${ref.toLowerCase()} ${byCode}${unit}`]),
        `${ref.toLowerCase()} ${text}${unit}`,
      ],
    },
  };
}

/** The value that a marking carries, on parts whose print is their value. */
function takeMarkedValue(marked: string, kind: KindName, sorted: Sorted, ref: string): Question | undefined {
  if (/^\d{3,4}$/.test(marked) && (kind === 'resistor' || kind === 'inductor' || kind === 'capacitor')) {
    const asked = takeDigits(marked, kind, sorted, ref);
    return typeof asked === 'object' ? asked : undefined;
  }
  // A small m in a marking is milliohms: it is kept as it stands, for its readings to tell.
  const decoding = decodingsAs(marked, kind, sorted.said.package)[0];
  if (decoding && decoding.confidence >= 0.6 && !MILLIOHMS.test(marked)) {
    addPrinted(printedRatings(decoding), sorted);
    const subtype = decided(decoding).subtype;
    if (subtype) sorted.said.subtype ??= subtype;
  }
  return undefined;
}

/** The number of a part out of the words that may be it: the run that reads best, the rest unplaced. */
function takeNumber(left: readonly Token[], kind: KindName, sorted: Sorted): void {
  const { said } = sorted;
  const text = left.map((token) => token.text).join(' ');
  const whole = decodingsAs(text, kind, said.package)[0];
  said.marking = markingAsTyped(text);
  if (whole) {
    addPrinted(kind === 'diode' && whole.confidence < 0.5 ? [] : printedRatings(whole), sorted);
    const subtype = decided(whole).subtype;
    if (subtype) said.subtype ??= subtype;
  }
}
