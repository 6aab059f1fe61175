import { keyOf, LONGEST_PHRASE, meaningsOf } from '../../benchline';
import { SOURCES } from '../../evidence';
import { isUse, USE_NAMES } from '../../measure';
import { kindFromWord, kindRule, packageFromWord, type KindName } from '../../part';
import type { AskedGrade, Figure, Heard, QuestionProblem } from './heard';
import { isName } from './names';
import { NUMBER, numberOf, readFigure, type Read } from './readFigure';
import { isFiller, longestSense, senseOf } from './senseOf';
import {
  CASE_WORD,
  COLOURS,
  CONTACTS,
  LIKE_WORDS,
  SAID_BEFORE,
  SAID_BEHIND,
  SIGNS,
  STRONGER_WORDS,
  type Said,
} from './words';

const GRADE_PHRASE =
  /^(not |no |without |except |ohne |sans |kein )?(?:grades? )?([abc])(?: (?:or|oder|ou) (better|besser|mieux|[abc]))?(?: only)?$/;
const BIN = /^[a-z]{1,2}\d{1,2}-\d{1,3}$/i;
const RANGE = new RegExp(String.raw`^(${NUMBER}[^\d.,\s–-]*)(?:\.\.+|–|-)(${NUMBER}\D*)$`);
const RANGE_WORD = /^(?:and|to|und|et|bis|à|-|–|\.\.+)$/;
const BETWEEN = /^(?:between|zwischen|entre)$/;
const TURNS_OF_MAINS = new RegExp(String.raw`^(${NUMBER})V?(?:ac|~)?\/(${NUMBER})V?(?:ac|~)?$`, 'i');
const FUSE_CODE = new RegExp(String.raw`^([TF])(${NUMBER}m?A)(?:[HL]?\d*V?)$`);
/** A type number has letters and digits, or is a long number. */
const TYPE_NUMBER = /^(?=.*\d)(?=.*[a-z])[a-z\d][a-z\d\-/.]{2,}$/i;

/** Goes over the words of a question from left to right; each reader takes as many as it understands. */
export class Hearing {
  readonly heard: Heard = {
    senses: [],
    figures: [],
    packages: [],
    words: [],
    uses: [],
    isLike: false,
    isStronger: false,
    unread: [],
  };
  problem: QuestionProblem | undefined;
  /** Comparison and name that wait for their figure. */
  private said: Said = 'plain';
  private name: string | undefined;
  /** The sign as it was typed. */
  private typed = '';
  private at = 0;
  constructor(private readonly words: readonly string[]) {}

  run(): void {
    const readers = [
      () => this.range(),
      () => this.behind(),
      () => this.before(),
      () => this.sign(),
      () => this.grade(),
      () => this.like(),
      () => this.label(),
      () => this.special(),
      () => this.named(),
      () => this.sense(),
      () => this.case(),
      () => this.figure(),
      () => this.number(),
      () => this.rest(),
    ];
    while (this.at < this.words.length && !this.problem) {
      let taken = 0;
      for (const reader of readers) {
        taken = reader();
        if (taken > 0) break;
      }
      this.at += Math.max(1, taken);
    }
  }

  private word(ahead = 0): string {
    return this.words[this.at + ahead] ?? '';
  }
  private lower(ahead = 0): string {
    return this.word(ahead).toLowerCase();
  }
  private phrase(length: number, ahead = 0): string {
    return this.words
      .slice(this.at + ahead, this.at + ahead + length)
      .join(' ')
      .toLowerCase();
  }
  private longest<T>(
    table: (phrase: string) => T | undefined,
    most = LONGEST_PHRASE,
  ): { readonly found: T; readonly length: number } | undefined {
    for (let length = Math.min(most, this.words.length - this.at); length > 0; length -= 1) {
      const found = table(this.phrase(length));
      if (found !== undefined) return { found, length };
    }
    return undefined;
  }

  private take(figure: Read, said: Figure['said'] = this.said): void {
    const token = `${this.name ?? ''}${this.typed}${figure.text}`;
    this.typed = '';
    this.heard.figures.push({ ...figure, token, said, ...(this.name === undefined ? {} : { name: this.name }) });
    this.said = 'plain';
    this.name = undefined;
  }

  /** “between 2 and 4 A”, “2 to 4 A”, `10u..47u`. */
  private range(): number {
    const ends = (low: string, high: string): boolean => {
      const upper = readFigure(high);
      if (!upper) return false;
      const ending = /^[\d.,]+(.*)$/.exec(high)?.[1] ?? '';
      const lower = readFigure(/^[\d.,]+$/.test(low) ? low + ending : low);
      if (!lower || lower.unit !== upper.unit) return false;
      if (lower.value > upper.value && this.isOf('transformer')) {
        this.take({ ...lower, unit: 'volt' }, 'plain');
        this.rename('primary');
        this.take({ ...upper, unit: 'volt' }, 'plain');
        return true;
      }
      if (lower.value > upper.value) {
        this.problem = {
          kind: 'bad-value',
          token: `${low}..${high}`,
          expected: 'the smaller value first, like 10u..47u,',
        };
        return true;
      }
      this.typed += `${low}..`;
      this.take({ ...upper, value: lower.value, upper: upper.value }, 'between');
      return true;
    };
    const one = RANGE.exec(this.word());
    if (one?.[1] && one[2] && !BIN.test(this.word()) && ends(one[1], one[2])) return 1;
    if (/\.\./.test(this.word()) && !one) {
      this.problem = { kind: 'bad-value', token: this.word(), expected: 'a range such as 1000u..2200u' };
      return 1;
    }
    const skip = BETWEEN.test(this.lower()) ? 1 : 0;
    return /^[\d.,]/.test(this.word(skip)) &&
      RANGE_WORD.test(this.lower(skip + 1)) &&
      ends(this.word(skip), this.word(skip + 2))
      ? skip + 3
      : 0;
  }

  /** “… or more”: what stands behind a figure changes how it is compared. */
  private behind(): number {
    const last = this.heard.figures.at(-1);
    const phrase = last && this.longest((text) => SAID_BEHIND.get(text), 3);
    if (!last || !phrase || last.said === 'between') return 0;
    // “max 5 A” belongs to what follows.
    if (SAID_BEFORE.has(this.phrase(phrase.length)) && /^\d/.test(this.word(phrase.length))) return 0;
    if (this.lower() === 'plus' && phrase.length === 1 && this.at < this.words.length - 1) return 0;
    this.heard.figures[this.heard.figures.length - 1] = { ...last, said: phrase.found };
    return phrase.length;
  }

  private before(): number {
    const phrase = this.longest((text) => SAID_BEFORE.get(text), 3);
    if (!phrase) return 0;
    const next = this.word(phrase.length);
    if (!/\d/.test(next) && !isName(next)) return 0;
    this.said = phrase.found;
    return phrase.length;
  }

  private sign(): number {
    const said = SIGNS[this.word()];
    if (said === undefined) return 0;
    this.said = said;
    this.typed = this.word();
    const next = this.word(1);
    if (!readFigure(next) && !/^\d/.test(next))
      this.problem = {
        kind: 'bad-value',
        token: `${this.name ?? ''}${this.word()}${next}`,
        expected: 'a value such as 600V',
      };
    return 1;
  }

  private grade(): number {
    for (let length = Math.min(5, this.words.length - this.at); length > 1; length -= 1) {
      const phrase = this.phrase(length);
      const [, not, letter = '', second] = GRADE_PHRASE.exec(phrase) ?? [];
      if (letter === '' || !(not || phrase.includes('grade'))) continue;
      const upTo = (last: string) => GRADES.slice(0, GRADES.indexOf(asGrade(last)) + 1);
      if (not) this.heard.grades = (this.heard.grades ?? [...GRADES, null]).filter((one) => one !== asGrade(letter));
      else if (second === undefined) this.heard.grades = [asGrade(letter)];
      else this.heard.grades = /^[abc]$/.test(second) ? [asGrade(letter), asGrade(second)] : upTo(letter);
      return length;
    }
    if (/^(?:ungraded|not-graded)$/.test(this.lower()) || this.phrase(2) === 'not graded') {
      this.heard.grades = [null];
      return this.lower() === 'not' ? 2 : 1;
    }
    return 0;
  }

  private like(): number {
    const phrase = this.longest((text) => (LIKE_WORDS.has(text) ? true : undefined), 4);
    if (phrase) {
      this.heard.isLike = true;
      return phrase.length;
    }
    if (!STRONGER_WORDS.has(this.lower())) return 0;
    const than = /^than(?: an?)?/.exec(this.phrase(2, 1))?.[0].split(' ').length ?? 0;
    if (than > 0 && TYPE_NUMBER.test(this.word(1 + than)) && !readFigure(this.word(1 + than))) this.heard.isLike = true;
    this.heard.isStronger = true;
    return 1;
  }

  /** `bin:C2`, `from:K7F-2QM`, `grade:B`, `evidence:measured`, `for:mains`; other labels say what follows anyway. */
  private label(): number {
    const [, label, value = ''] = /^([a-z]+):(.+)$/i.exec(this.word()) ?? [];
    if (label === undefined) return 0;
    const token = this.word();
    const heard = this.heard;
    switch (label.toLowerCase()) {
      case 'bin':
        heard.bin = value.toUpperCase();
        return 1;
      case 'from':
        heard.donor = value.toUpperCase();
        return 1;
      case 'grade':
        if (!/^[abc]$/i.test(value)) this.problem = { kind: 'bad-value', token, expected: 'A, B or C' };
        else heard.grades = GRADES.slice(0, GRADES.indexOf(asGrade(value)) + 1);
        return 1;
      case 'for':
        if (isUse(value.toLowerCase())) heard.uses.push(value.toLowerCase() as (typeof heard.uses)[number]);
        else this.problem = { kind: 'bad-value', token, expected: `one of ${USE_NAMES.join(', ')}` };
        return 1;
      case 'evidence': {
        const source = SOURCES.find((name) => name === value.toLowerCase());
        if (source) heard.source = source;
        else this.problem = { kind: 'bad-value', token, expected: `one of ${SOURCES.join(', ')}` };
        return 1;
      }
      case 'within':
        this.withinLast(numberOf(value.replace('%', '')) / 100);
        return 1;
      case 'kind':
        this.exactly(value);
        return 1;
      case 'type':
      case 'pkg':
      case 'package':
      case 'case':
      case 'marking': {
        const inner = new Hearing([value]);
        inner.run();
        heard.senses.push(...inner.heard.senses);
        heard.packages.push(...inner.heard.packages);
        heard.words.push(...inner.heard.words);
        heard.unread.push(...inner.heard.unread);
        return 1;
      }
      default:
        return 0;
    }
  }

  /** Bins, codes of fuses, volts of a transformer, and what the trade says in two words. */
  private special(): number {
    const word = this.word();
    if (BIN.test(word)) {
      this.heard.bin = word.toUpperCase();
      return 1;
    }
    const fuse = FUSE_CODE.exec(word);
    const rated = fuse?.[2] && readFigure(fuse[2]);
    if (fuse && rated) {
      this.hear('fuse');
      this.heard.words.push(fuse[1] === 'F' ? 'fast' : 'slow');
      this.take(rated);
      return 1;
    }
    const turns = TURNS_OF_MAINS.exec(word);
    if (turns?.[1] && turns[2] && Number(turns[1]) > Number(turns[2].replace(',', '.'))) {
      this.take({ text: `${turns[1]}V`, unit: 'volt', value: numberOf(turns[1]) }, 'plain');
      this.rename('primary');
      this.take({ text: `${turns[2]}V`, unit: 'volt', value: numberOf(turns[2]) }, 'plain');
      return 1;
    }
    if (this.phrase(2) === 'low esr' || this.lower() === 'low-esr') {
      this.name = 'esr';
      this.take({ text: '100m', unit: 'ohm', value: LOW_ESR }, 'at-most');
      return this.lower() === 'low' ? 2 : 1;
    }
    if (this.lower() === 'low' && isName(this.lower(1))) {
      // How low nobody said.
      this.heard.unread.push(this.phrase(2));
      return 2;
    }
    if (this.lower() === 'low' && this.heard.senses.some(({ kinds }) => kinds.includes('capacitor'))) {
      this.heard.words.push('low-impedance');
      return ['z', 'impedance'].includes(this.lower(1)) ? 2 : 1;
    }
    // What lies across the mains is of class X or Y, whatever its volts.
    if (MAINS.test(this.lower()) && this.isOf('capacitor') && !this.isPolar()) {
      this.hear('mains-cap');
      return 1;
    }
    if (this.lower() === 'single' && this.isOf('diode')) {
      this.heard.senses.push({ says: 'single', word: 'single', kinds: ['diode'] });
      return 1;
    }
    if (this.isOf('relay') && OF_RELAYS.test(this.lower())) return 1;
    if (CONTACTS.test(this.lower())) {
      this.heard.words.push(this.lower());
      return 1;
    }
    if (COLOURS.test(this.lower())) {
      this.heard.words.push(this.lower());
      return 1;
    }
    // A fuse is slow or fast; of a diode that is its kind.
    if (this.isOf('fuse') && FAST.test(this.lower())) {
      this.heard.words.push('fast');
      return 1;
    }
    const speed = this.isOf('fuse') && this.longest((text) => meaningsOf(text).find(({ as }) => as === 'speed'), 2);
    if (speed && speed.found.as === 'speed') {
      this.heard.words.push(speed.found.speed);
      return speed.length;
    }
    return 0;
  }

  private withinLast(within: number): void {
    const last = this.heard.figures.pop();
    if (last) this.heard.figures.push({ ...last, within });
  }

  /** A kind by its own name, with no other that serves as well. */
  private exactly(value: string): void {
    const kind = kindFromWord(value);
    if (kind) this.heard.senses.push({ says: kindRule(kind).label, word: `kind:${kind}`, kinds: [kind] });
    else if (!senseOf(value))
      this.problem = { kind: 'bad-value', token: `kind:${value}`, expected: 'a kind such as nmos or capacitor' };
    else this.hear(value);
  }

  /** Whether any word of the question names this kind. */
  private isOf(kind: KindName): boolean {
    return (
      this.heard.senses.some(({ kinds }) => kinds.includes(kind)) ||
      this.words.some((_, at) => longestSense(this.words, at)?.sense.kinds[0] === kind)
    );
  }

  /** Whether the question names a capacitor with plus and minus, which never lies across the mains. */
  private isPolar(): boolean {
    return this.words.some((_, at) =>
      longestSense(this.words, at)?.sense.variants?.some((variant) => POLAR.has(variant)),
    );
  }

  private rename(name: string): void {
    const last = this.heard.figures.pop();
    if (last) this.heard.figures.push({ ...last, name });
  }

  private hear(word: string): void {
    const sense = senseOf(word);
    if (sense) this.heard.senses.push(sense);
  }

  /** A name before its figure, `vds >= 600` or “esr below 50 mΩ”. */
  private named(): number {
    const lower = this.lower();
    if (!isName(lower)) return 0;
    const next = this.word(1);
    const isFollowed = next in SIGNS || /^[\d.]/.test(next) || this.saidAt(1);
    if (!isFollowed) return 0;
    // In `cap >=25V` the word is the kind; behind one, as in “PNP, Ic ≥ 1 A”, it is the name.
    const own = senseOf(lower);
    const isAnother =
      own &&
      this.heard.senses.length > 0 &&
      this.heard.senses.every(({ kinds }) => !kinds.some((kind) => own.kinds.includes(kind)));
    if (own && !isAnother) return 0;
    this.name = lower;
    return 1;
  }

  private saidAt(ahead: number): boolean {
    return [3, 2, 1].some(
      (length) => SAID_BEFORE.has(this.phrase(length, ahead)) && /^[\d.]/.test(this.word(ahead + length)),
    );
  }

  private sense(): number {
    const found = longestSense(this.words, this.at);
    if (!found) return 0;
    // “mains fuse”, “output capacitor”: what the words say alone is not what they say before a part.
    this.heard.senses.push(found.sense);
    return found.length;
  }

  private case(): number {
    const phrase = this.longest((text) => caseOf(text), 2);
    if (phrase) {
      if (phrase.found === 'SMD') this.heard.isSurface = true;
      else this.heard.packages.push(phrase.found);
      return phrase.length;
    }
    if (!CASE_WORD.test(this.word())) return 0;
    this.heard.words.push(this.lower());
    return 1;
  }

  private figure(): number {
    const figure = this.metres() ?? readFigure(this.word());
    if (!figure || this.isTypeNumber(figure)) return 0;
    this.take(figure);
    return 1;
  }

  /** Of wire `2m` are metres. */
  private metres(): Read | undefined {
    const length = this.isOf('wire') && /^(\d+(?:[.,]\d+)?)m$/.exec(this.word())?.[1];
    return length ? { text: this.word(), unit: 'metre', value: numberOf(length) } : undefined;
  }

  /** “7812” is a type unless the part is one of thousands of ohms or microfarads. */
  private isTypeNumber({ isBare, value, text }: Read): boolean {
    if (!isBare || !/^\d{4,}$/.test(text) || this.said !== 'plain' || this.name !== undefined) return false;
    return value >= 1000 && !(['resistor', 'capacitor'] as const).some((kind) => this.isOf(kind));
  }

  /** A type number. */
  private number(): number {
    if (!TYPE_NUMBER.test(this.word()) && !/^\d{4,}$/.test(this.word())) return 0;
    this.heard.words.push(this.lower());
    return 1;
  }

  private rest(): number {
    const lower = this.lower();
    if (
      !isFiller(lower) &&
      /\p{L}|\d/u.test(lower) &&
      !isName(lower) &&
      !SAID_BEFORE.has(lower) &&
      !RANGE_WORD.test(lower)
    )
      this.heard.unread.push(this.word());
    return 1;
  }
}

const LOW_ESR = 0.1;
const OF_RELAYS = /^(?:coils?|spule|bobine|contacts?|kontakte?)$/;
const FAST = /^(?:fast|quick|flink|rapide|quick-blow|fast-blow)$/;
const POLAR: ReadonlySet<string> = new Set(['electrolytic', 'polymer', 'tantalum']);
const MAINS = /^(?:mains|netz|secteur|230v~|line)$/;
const GRADES: readonly AskedGrade[] = ['A', 'B', 'C'];
const asGrade = (letter: string) => letter.toUpperCase() as 'A' | 'B' | 'C';

const caseOf = (text: string): string | undefined => {
  const direct = packageFromWord(text.replace(/ /g, '-')) ?? packageFromWord(keyOf(text));
  if (direct) return direct;
  const meaning = meaningsOf(text).find(({ as }) => as === 'package');
  return meaning?.as === 'package' && !senseOf(text) ? meaning.name : undefined;
};
