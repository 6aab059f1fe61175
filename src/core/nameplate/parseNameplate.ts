import { amounts } from './amounts';
import { inColumns, mendDigits, WALL } from './mend';
import { WRITTEN_DATE } from './dateCodes';
import type { EfficiencyLevel, Nameplate, SafetyClass, SharedLimit } from './plate';
import { readInputs } from './readInputs';
import { readOutputs } from './readOutputs';
import { sections } from './sections';

/** Signs that stand for another on plates; each replaced by one character, so that places stay true. */
const LOOKALIKES: Readonly<Record<string, string>> = {
  '⎓': '=', '═': '=', '⎯': '=', '＝': '=', '〜': '~', '∼': '~', '～': '~', '∿': '~', '−': '-', '–': '-', '—': '-',
  '：': ':', '，': ',', '\u00a0': ' ', '\n': WALL, '\r': ' ', '\t': ' ',
}; // oxfmt-ignore

const TOTAL_NAMED =
  /(?:total|max(?:imum)?\.?|peak|rated)?\s*(?:total|output|combined)?\s*(?:total|output|combined)\s*(?:power|load|output)?\s*(?:max(?:imum)?\.?)?\s*[:=]?\s*(\d+(?:[.,]\d+)?\s*k?)(?:W|VA)(?:atts?)?\b\s*(?:max\.?)?/gi;
const TOTAL_MOST =
  /(?:p\s?max\.?|max(?:imum)?\.?|total|power)\s*(?:power|load)?\s*[:=]?\s*(\d+(?:[.,]\d+)?\s*k?)W\b(?:\s*max\.?)?|(\d+(?:[.,]\d+)?\s*k?)W\s*\(?(?:total|max(?:imum)?\b\.?)\)?/gi;
const SHARED =
  /(\+?\d+(?:\.\d+)?\s*V(?:\d|SB)?(?:\s*(?:&|\+|and|\/)\s*\+?\d+(?:\.\d+)?\s*V(?:\d|SB)?)+)\s*(?:combined|shared|together|total|=|:|max\.?|\s)+\s*(\d+(?:[.,]\d+)?)\s*W(?:\s*max\.?)?/gi;
const LEVEL = /(?:efficiency|level|eff\.?)\s*(?:level|mark)?\s*:?\s*\(?(VI|IV|V|Ⅵ|Ⅳ|Ⅴ)\b\)?|\((VI|IV|V)\)|[ⅥⅣⅤ]/gi;
const NUMERAL: Readonly<Record<string, EfficiencyLevel>> = { Ⅵ: 'VI', Ⅴ: 'V', Ⅳ: 'IV', VI: 'VI', V: 'V', IV: 'IV' };
const DATE =
  /(?:\bdate(?:\s*code)?|\bd\/c|\bmfg\.?(?:\s*date)?|\bmfd|\bweek|\bwk|\byyww)\s*[:.]?\s*(\d{4}|\d{3})(?!\d|\s*[VAW])/gi;
/** What stands before a date that is written out. */
const DATE_WORDS = /\b(?:date(?:\s*code)?|d\/c|mfg\.?(?:\s*date)?|mfd)\s*[:.]?(?=\s{3,}|\s*$)/gi;
/** The print of a fuse: speed, current, breaking capacity, voltage. Source: IEC 60127-1 (from memory). */
const FUSE =
  /(?:\bfuse\s*[:=]?\s*)?\b[FTM]{1,2}\s?(\d+(?:[.,]\d+)?\s?m?)A\s?[LHE]?(?:\s?\/?\s?\d+\s?V(?:AC|~)?)?(?![a-z0-9])/gi;
/** What says how a unit protects against shock. IEC 61140 and IEC 60417 signs (from memory). */
const CLASS_SIGNS: readonly { readonly pattern: RegExp; readonly is: SafetyClass }[] = [
  { pattern: /(?:protection\s*)?class\s*III\b/gi, is: 'III' },
  { pattern: /(?:protection\s*)?class\s*II\b|double[\s-]*insulat(?:ed|ion)|⧈|▣|回/gi, is: 'II' },
  { pattern: /(?:protection\s*)?class\s*I\b|⏚|\bPE\b|must be (?:earthed|grounded)|\bearthed?\b|\bgrounded\b/gi, is: 'I' },
]; // oxfmt-ignore
/** What a charger is for: the voltage of the battery is no output. */
const FOR_BATTERY =
  /\b(?:for|charges?|suits?)\s+(?:use with\s+)?(?:an?\s+)?\d+(?:[.,]\d+)?(?:\s*[-/]\s*\d+(?:[.,]\d+)?)*\s*V(?:DC)?\s*(?:[\w-]+\s+){0,3}?(?:batter(?:y|ies)|packs?|tools?|drills?|systems?|accu|akku)\b|\bbatter(?:y|ies)\s*(?:type|pack)?\s*[:=]?\s*\d+(?:[.,]\d+)?\s*V(?:DC)?(?![a-z])|\d+(?:[.,]\d+)?(?:\s*-\s*\d+(?:[.,]\d+)?)?\s*m?Ah\b/gi;
/** Watts that hold at some mains only. */
const CONDITION =
  /(\d+(?:[.,]\d+)?\s*k?)W\s*(?:max\.?)?\s*(?:at|@|for|when|bei|à)\s*(?:AC\s*)?(\d{2,3})(?:\s*(?:-|~|to)\s*(\d{2,3}))?\s*V(?:AC|~)?(?![a-z])/gi;
const THREE_PHASE = /(?<![\d.])3\s?(?:~|N~|ph(?:ase)?s?\b|-?phase\b)(?!\s*\d*\s*V(?:DC|=))/gi;
const LIMITED = /\bLPS\b|limited power source|\bclass\s*2\b/gi;

/**
 * Reads the text of a nameplate as typed or pasted: inputs with current and frequency, every output
 * with its current or power, a printed total, shared limits, the efficiency mark, the class of
 * protection and date codes. What is missing stays missing, and what no rule had a use for comes back
 * as `unread`, so that a person sees what was passed over.
 * @example parseNameplate('INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A').outputs // [{ v: 19, i: 4.74 }]
 */
export function parseNameplate(typed: string): Nameplate {
  const { text: original, mended } = mendDigits(inColumns([...typed].map((sign) => LOOKALIKES[sign] ?? sign).join('')));
  const read = new Array<boolean>(original.length).fill(false);
  let text = original;
  /** Marks a stretch as read and takes it out of the text that the next rule sees. */
  const take = (from: number, length: number) => {
    read.fill(true, from, from + length);
    text = text.slice(0, from) + ' '.repeat(length) + text.slice(from + length);
  };
  const takeAll = (pattern: RegExp): RegExpMatchArray[] => {
    const found = [...text.matchAll(pattern)];
    for (const match of found) take(match.index, match[0].length);
    return found;
  };

  const isThreePhase = takeAll(THREE_PHASE).length > 0;
  takeAll(FOR_BATTERY);
  const level = takeAll(LEVEL)[0];
  const numeral = level && NUMERAL[(level[1] ?? level[2] ?? level[0]).toUpperCase()];
  const limitedPower = takeAll(LIMITED).length > 0;
  const safetyClass = CLASS_SIGNS.filter(({ pattern }) => takeAll(pattern).length > 0)[0]?.is;
  const fuse = takeAll(FUSE)[0];
  const dateCodes = [
    ...takeAll(WRITTEN_DATE).map(([date]) => date.trim()),
    ...takeAll(DATE).map((match) => match[1] ?? ''),
  ];
  takeAll(DATE_WORDS);
  const sharedLimits = takeAll(SHARED).map((match): SharedLimit => ({
    volts: amounts((match[1] ?? '').replace(/[/&+]|and/gi, ' ')).map(({ values }) => values[0] ?? 0),
    power: watts(match[2]),
  }));
  const conditions = takeAll(CONDITION).map((match) => ({
    power: watts(match[1]),
    vMin: Number(match[2]),
    vMax: Number(match[3] ?? match[2]),
  }));
  const named = takeAll(TOTAL_NAMED).map((match) => watts(match[1]));
  const cut = sections(text);
  const outputSide = cut.sections.filter(({ side }) => side === 'output');
  const most = (outputSide.length > 0 ? outputSide : [{ from: 0, to: text.length }]).flatMap(({ from, to }) =>
    [...text.slice(from, to).matchAll(TOTAL_MOST)].map((match) => {
      const at = from + match.index;
      return { at, length: match[0].length, power: watts(match[1] ?? match[2]) };
    }),
  );
  for (const { at, length } of most) take(at, length);
  for (const { from, to } of cut.words) read.fill(true, from, to);

  const totals = [...named, ...most.map(({ power }) => power), ...conditions.map(({ power }) => power)];
  const slice = (side: 'input' | 'output') => cut.sections.filter((section) => section.side === side);
  const stated = slice('input').flatMap(({ from, to, kind }) => readInputs(text.slice(from, to), kind));
  const conditional = conditions.map(({ vMin, vMax }) => ({ kind: 'ac' as const, vMin, vMax }));
  const inputs = (stated.length > 0 ? stated : conditional).map((input) =>
    isThreePhase && input.kind === 'ac' ? { ...input, phases: 3 as const } : input,
  );
  const outputs = slice('output').flatMap(({ from, to, kind }) => readOutputs(text.slice(from, to), kind));
  for (const { from, to } of cut.sections)
    for (const { at, end } of amounts(text.slice(from, to))) read.fill(true, from + at, from + end);
  const unread = leftOver(original, read);
  return {
    inputs,
    outputs,
    ...(totals.length > 0 ? { totalPower: Math.max(...totals) } : {}),
    ...(sharedLimits.length > 0 ? { sharedLimits } : {}),
    ...(conditions.length > 0 ? { conditions } : {}),
    ...(mended.length > 0 ? { mended } : {}),
    ...(numeral ? { efficiencyLevel: numeral } : {}),
    ...(safetyClass ? { safetyClass } : {}),
    ...(limitedPower ? { limitedPower: true as const } : {}),
    ...(dateCodes.length > 0 ? { dateCodes } : {}),
    ...(fuse?.[1] ? { fuse: amperes(fuse[1]) } : {}),
    ...(unread === '' ? {} : { unread }),
  };
}

/** Amperes from digits with an optional milli. */
function amperes(text: string): number {
  return Number(text.replace(',', '.').replace(/\s*m?$/i, '')) / (/m$/i.test(text) ? 1000 : 1);
}

/** Watts from digits with an optional kilo. */
function watts(text = ''): number {
  return Number(text.replace(',', '.').replace(/\s*k?$/i, '')) * (/k$/i.test(text) ? 1000 : 1);
}

/** Words between amounts that carry nothing of their own. */
const JOINERS =
  /^(?:ac|dc|or|and|max\.?|at|usb|usb-?[ac]\d?|type-?c|pd|pps|qc|pdo|rail|port|v\d|each|adjustable|selectable|[\W_\d])*$/i;

/** The words that no rule took, without lone signs. */
function leftOver(text: string, read: readonly boolean[]): string {
  const kept = [...text].map((sign, index) => (read[index] ? ' ' : sign)).join('');
  return kept
    .split(/[\s¦]+/)
    .filter((word) => !JOINERS.test(word))
    .join(' ')
    .replace(/^[\s:;,/=~.-]+|[\s:;,/=~-]+$/g, '');
}
