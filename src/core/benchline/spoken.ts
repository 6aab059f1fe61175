import { isPrefix } from './references';
import { cut, merged, type Token } from './tokens';
import { meaningsOf } from './vocabulary';

const UP_TO_TWENTY =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = '_ _ twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const NUMBER_WORDS: ReadonlyMap<string, number> = new Map([
  ...UP_TO_TWENTY.map((word, value) => [word, value] as const),
  ...TENS.flatMap((word, tens) => (word === '_' ? [] : [[word, tens * 10] as const])),
  ['oh', 0],
  ['fourty', 40],
]);

/** Words of units as people write and say them, with the sign they stand for. The first word of a pair is a prefix. */
const PREFIX_WORDS: Readonly<Record<string, string>> = {
  kilo: 'k',
  mega: 'M',
  meg: 'M',
  milli: 'm',
  micro: 'µ',
  mikro: 'µ',
  nano: 'n',
  pico: 'p',
  piko: 'p',
};
const UNIT_WORDS: Readonly<Record<string, string>> = {
  ohm: 'Ω',
  ohms: 'Ω',
  ω: 'Ω',
  volt: 'V',
  volts: 'V',
  v: 'V',
  vdc: 'V',
  vac: 'V~',
  'v~': 'V~',
  amp: 'A',
  amps: 'A',
  ampere: 'A',
  amperes: 'A',
  ampère: 'A',
  ampères: 'A',
  a: 'A',
  watt: 'W',
  watts: 'W',
  w: 'W',
  farad: 'F',
  farads: 'F',
  henry: 'H',
  henries: 'H',
  henrys: 'H',
  second: 's',
  seconds: 's',
  sec: 's',
  secs: 's',
  sekunden: 's',
  secondes: 's',
  s: 's',
  minute: 'min',
  minutes: 'min',
  minuten: 'min',
  min: 'min',
  mins: 'min',
  hour: 'h',
  hours: 'h',
  percent: '%',
  prozent: '%',
  '%': '%',
  degrees: '°C',
  degree: '°C',
  deg: '°C',
  '°c': '°C',
  celsius: '°C',
};
/** Units that only follow a prefix letter: “470 k”, “82 uF”. */
const SHORT =
  /^(?:[pnuµμmkKMR]|(?:[pnuµμm]|mic)?F|[nuµμm]H|[kKM]?(?:ohms?|Ω)|m(?:ohms?|Ω)|[mkK]V|[mµu]A|[mk]W|mfd|uf|nf|pf|uh|mh|nh|ma|mv|kv)$/;

/** The sign of a unit that was written or said, such as `kΩ` for “kilo ohms”. */
function unitOf(word: string): string | undefined {
  const lower = word.toLowerCase();
  const plain = UNIT_WORDS[lower];
  if (plain) return plain;
  for (const [prefix, sign] of Object.entries(PREFIX_WORDS)) {
    if (!lower.startsWith(prefix)) continue;
    const unit = UNIT_WORDS[lower.slice(prefix.length).replace(/^-/, '')];
    if (unit && /^[ΩVAWFH]/.test(unit)) return sign + unit;
  }
  if (lower === 'kilohm' || lower === 'kilohms') return 'kΩ';
  if (lower === 'megohm' || lower === 'megohms' || lower === 'mohm') return 'MΩ';
  if (lower === 'mfd') return 'µF';
  if (lower === 'mm') return 'mm';
  return SHORT.test(word) ? word.replace(/ohms?/i, 'Ω') : undefined;
}

const NUMBER = /^[±+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)$/;

/**
 * What was dictated or set apart, written as one types it: “four point seven kilo ohms” is `4.7kΩ`, “82 µF” is `82µF`,
 * “1/4 W” is `0.25W`, “C X 1” is `CX1`, “N P N” is `NPN`, “SO 8” is `SO-8`.
 */
export function written(tokens: readonly Token[]): Token[] {
  return withUnits(withCases(withReferences(withLetters(withNumbers(tokens.flatMap(apart))))));
}

/** `8pin` and `c1=100u` in their parts, `q1’s` without its ending. */
function apart(token: Token): Token[] {
  const parts = /^(\d{1,2})(pins?)$/i.exec(token.text) ?? /^([a-z]{1,4}\d{1,4})[=:](\d.*)$/i.exec(token.text);
  if (parts?.[1] && parts[2]) return cut(token, [parts[1], parts[2]]);
  // “q1’s drain” is the drain of Q1.
  const owner = /^([a-z]{1,4}\d{1,4})['’]s$/i.exec(token.text)?.[1];
  return [owner === undefined ? token : { ...token, text: owner }];
}

function withNumbers(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let index = 0; index < tokens.length;) {
    const said = numberSaid(tokens, index);
    const token = tokens[index];
    if (said) {
      out.push(merged(tokens.slice(index, index + said.length), said.text));
      index += said.length;
    } else {
      if (token) out.push(token);
      index += 1;
    }
  }
  return out;
}

/** A number in words from a token on. “one” and “a hundred” alone count only before a unit. */
function numberSaid(tokens: readonly Token[], from: number): { text: string; length: number } | undefined {
  let [total, part, length, spoken] = [0, 0, 0, false];
  let last = Infinity;
  for (; from + length < tokens.length; length += 1) {
    const token = tokens[from + length];
    const word = token?.text.toLowerCase() ?? '';
    const value = NUMBER_WORDS.get(word);
    if (value !== undefined) {
      // “four seventy” is 470, “one twenty” 120.
      if (spoken && part > 0 && part < 10 && value >= 10 && last !== 100) part = part * 100 + value;
      else if (spoken && part >= 10 && part % 10 === 0 && value < 10) part += value;
      else if (spoken && last !== 100) break;
      else part += value;
      last = value;
    } else if (word === 'hundred' && spoken) [part, last] = [part * 100, 100];
    else if (word === 'thousand' && spoken) [total, part, last] = [total + part * 1000, 0, 100];
    else if (word === 'and' && last === 100 && NUMBER_WORDS.has(tokens[from + length + 1]?.text.toLowerCase() ?? ''))
      continue;
    else break;
    spoken = true;
    if (token?.parted) {
      length += 1;
      break;
    }
  }
  const point = tokens[from + length]?.text.toLowerCase();
  if (point === 'point' || point === 'comma' || point === 'komma') {
    let digits = '';
    let more = length + 1;
    for (; from + more < tokens.length; more += 1) {
      const word = tokens[from + more]?.text.toLowerCase() ?? '';
      const value = NUMBER_WORDS.get(word) ?? (/^\d$/.test(word) ? Number(word) : undefined);
      if (value === undefined) break;
      digits += value;
    }
    const whole = spoken ? String(total + part) : length === 0 ? '0' : undefined;
    if (digits !== '' && whole !== undefined) return { text: `${whole}.${digits}`, length: more };
  }
  if (!spoken) return undefined;
  const next = tokens[from + length]?.text ?? '';
  const before = tokens[from - 1]?.text ?? '';
  const counts =
    length > 1 ||
    unitOf(next) !== undefined ||
    isUnitPair(next, tokens[from + length + 1]?.text) ||
    /^(?:pin|pins|leg|legs|pole)$/i.test(next) ||
    /^(?:pin|leg)$/i.test(before) ||
    (isPrefix(before) && !/^(?:x|p|a)$/i.test(before) && length > 0);
  return counts ? { text: String(total + part), length } : undefined;
}

const isUnitPair = (word: string, next = '') =>
  PREFIX_WORDS[word.toLowerCase()] !== undefined && UNIT_WORDS[next.toLowerCase()] !== undefined;

/** Letters spelled one by one become a word, unless a reference begins with them. */
function withLetters(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let index = 0; index < tokens.length;) {
    let length = 0;
    while (/^\p{L}$/u.test(tokens[index + length]?.text ?? '') && (length === 0 || !tokens[index + length - 1]?.parted))
      length += 1;
    const run = tokens.slice(index, index + length);
    const text = run.map((token) => token.text).join('');
    if (
      length > 1 &&
      (/^(?:NPN|PNP|SCR|MOV|VDR|NTC|PTC|TVS|LED|PWM|FET|CMC|ESR|SMD|IC)$/i.test(text) ||
        (index === 0 && isPrefix(text)))
    ) {
      out.push(merged(run, text));
      index += length;
    } else {
      const token = tokens[index];
      if (token) out.push(token);
      index += 1;
    }
  }
  return out;
}

/** Words behind which a reference may begin. */
const BEFORE_REFERENCE = /^(?:to|and|or|ou|oder|with|from|of|is|thru|through|goes|bridge|x|und|et|à|an|mit|[-–=~,])$/i;

function withReferences(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index];
    const next = tokens[index + 1];
    if (!token) continue;
    const before = tokens[index - 1];
    const mayBegin =
      before === undefined ||
      before.parted ||
      BEFORE_REFERENCE.test(before.text) ||
      meaningsOf(before.text).some(({ as }) => as === 'kind');
    if (
      next &&
      mayBegin &&
      !token.parted &&
      isPrefix(token.text) &&
      // “is a three pin header” has an article in it.
      !(token.text === 'a' && out.length > 0) &&
      /^\d{1,3}$/.test(next.text) &&
      unitOf(tokens[index + 2]?.text ?? '') === undefined
    ) {
      out.push(merged([token, next], `${token.text}${next.text}`));
      index += 1;
    } else out.push(token);
  }
  return out;
}

/** Numbers that cases carry, by their letters; `to 20v` is no case. */
const CASES: Readonly<Record<string, RegExp>> = {
  TO: /^(?:3|3P|3PN|5|18|39|66|92|126|218|220|220F|220FP|220AB|247|251|252|263|264|3PF)$/i,
  SO: /^(?:8|14|16|20)$/,
  SOIC: /^(?:8|14|16|20)$/,
  SOP: /^(?:4|8|14|16|20)$/,
  SOT: /^(?:23|89|223|323|25|26)$/,
  SOD: /^(?:80|123|323|523)$/,
  DO: /^(?:15|27|35|41|201|214|201AD)$/i,
  DIP: /^(?:4|6|7|8|14|16|18|20|24|28)$/,
  DIL: /^(?:4|6|8|14|16|18|20)$/,
};
const isCase = (letters: string, number: string) => CASES[letters.toUpperCase()]?.test(number) ?? false;

/** Cases that are said in two words: `TO 92`, `SO 8`, `4 pin DIP`, `TO 220 F`. */
function withCases(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let index = 0; index < tokens.length; index += 1) {
    const [one, two, three] = [tokens[index], tokens[index + 1], tokens[index + 2]];
    if (!one) continue;
    if (two && isCase(one.text, two.text)) {
      const tail = three && /^(?:F|FP|AB)$/i.test(three.text) ? three : undefined;
      const name = one.text.toUpperCase() === 'DIL' ? 'DIP' : one.text;
      out.push(merged([one, two, ...(tail ? [tail] : [])], `${name}-${two.text}${tail?.text ?? ''}`));
      index += tail ? 2 : 1;
    } else if (
      two &&
      three &&
      /^\d{1,2}$/.test(one.text) &&
      /^(?:pin|pins|leg|lead)$/i.test(two.text) &&
      /^(?:DIP|DIL|SO|SOIC|SOP)$/i.test(three.text)
    ) {
      out.push(merged([one, two, three], `${/^DI/i.test(three.text) ? 'DIP' : 'SO'}-${one.text}`));
      index += 2;
    } else out.push(one);
  }
  return out;
}

function withUnits(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index];
    if (!token) continue;
    const fraction = /^(\d{1,2})\/(\d{1,2})(W?)$/i.exec(token.text);
    const next = tokens[index + 1];
    if (fraction && (fraction[3] !== '' || /^w(?:atts?)?$/i.test(next?.text ?? ''))) {
      const watts = `${Number(fraction[1]) / Number(fraction[2])}W`;
      out.push(merged(fraction[3] === '' && next ? [token, next] : [token], watts));
      index += fraction[3] === '' ? 1 : 0;
      continue;
    }
    const glued = /^(\d+(?:[.,]\d+)?|[.,]\d+)(\p{L}{3,})$/u.exec(token.text);
    const gluedUnit = glued && unitOf(glued[2] ?? '');
    if (glued && gluedUnit) {
      out.push({ ...token, text: `${glued[1]}${gluedUnit}` });
      continue;
    }
    if (
      !NUMBER.test(token.text) ||
      !next ||
      token.parted ||
      token.bracketed ||
      /^(?:pins?|legs?)$/i.test(tokens[index - 1]?.text ?? '')
    ) {
      out.push(token);
      continue;
    }
    const afterNext = tokens[index + 2];
    const pair =
      isUnitPair(next.text, afterNext?.text) && afterNext && !next.parted
        ? unitOf(next.text + afterNext.text)
        : undefined;
    const unit = pair ?? unitOf(next.text);
    if (unit === undefined) {
      out.push(token);
      continue;
    }
    let used = pair ? 3 : 2;
    let sign = unit;
    // “275 volts AC”: the kind of voltage belongs to it.
    const behind = tokens[index + used];
    if (sign === 'V' && !tokens[index + used - 1]?.parted && behind && /^(?:ac|dc)$/i.test(behind.text)) {
      sign = /^ac$/i.test(behind.text) ? 'V~' : 'V';
      used += 1;
    }
    // “470 k ohm”: a prefix letter by itself, then its unit.
    const unitBehind = tokens[index + used];
    if (/^[kKMmunpµ]$/.test(sign) && unitBehind && /^(?:ohms?|Ω|F|H|V|A)$/i.test(unitBehind.text)) {
      sign += unitOf(unitBehind.text) ?? '';
      used += 1;
    }
    out.push(
      merged(
        tokens.slice(index, index + used),
        `${token.text.replace(',', isThousands(token.text) ? ',' : '.')}${sign}`,
      ),
    );
    index += used - 1;
  }
  return out;
}

/** A comma before exactly three digits may part thousands or be a decimal comma. */
export const isThousands = (text: string) => /^\d{1,3},\d{3}(?!\d)/.test(text);
