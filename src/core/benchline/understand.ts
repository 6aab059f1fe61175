import { fixableAs, isBoardKind } from '../board';
import { kindRule, ratingFromWord, RATINGS, type KindName } from '../part';
import { describeRecord } from './describeRecord';
import { isPreferred } from '../marking';
import { decodingsAs } from './kindOf';
import { readJoin } from './readJoin';
import { isFieldWord, namesReading, readMeasurement } from './readMeasurement';
import { isJudged, partRecord, readPart, type Question } from './readPart';
import { readReadings } from './readReadings';
import { isPrefix, isReference, kindsOfReference, leadingReferences, readReferences } from './references';
import { readSoak } from './readSoak';
import { readStore } from './readStore';
import type {
  BenchContext,
  BenchProblem,
  BenchRecord,
  ContextPart,
  Correction,
  IssueStatus,
  Understanding,
} from './record';
import { written } from './spoken';
import { tokensOf, type Token } from './tokens';
import { shorthandOf, valueOf } from './values';
import { meaningsOf, mended } from './vocabulary';

/** What one statement of a line comes to. */
type Outcome =
  | {
      readonly records: readonly BenchRecord[];
      readonly corrected?: readonly Correction[];
      readonly unplaced?: readonly Token[];
      /** The part that words without a place are about. */
      readonly about?: string;
    }
  | { readonly problem: BenchProblem; readonly kept?: readonly BenchRecord[] };

/** Words that move a claim or a question on, with how it then stands. */
const STANDING_WORDS: Readonly<Record<string, IssueStatus>> = {
  support: 'supported',
  supports: 'supported',
  supersede: 'superseded',
  settle: 'settled',
  settled: 'settled',
};
const DELETE_WORDS = ['delete', 'strike', 'remove'];
const LEAD_IN =
  /^(?:(\?|#|!)|(note|remark|nb|notiz|remarque)\b(?:\s+(?:that|dass|que)\b)?\s*:?|(question|ask|frage)\b\s*:?|(claim)\b\s*:?)\s*(.*)$/i;
const POWER_OFF =
  /^(?:unplugged|unplug(?: it)?|plug(?:ged)? out|power(?:ed)? (?:is )?(?:off|away)|mains off|switched off|off the mains|ausgesteckt|stecker gezogen|débranché)$/i;
const POWER_ON =
  /^(?:plugged in|plug in|power(?:ed)? (?:is )?(?:on|applied)|mains on|switched on|eingesteckt|branché)$/i;
const OR_WORDS = /^(?:or|ou|oder)$/i;
const COPY_WORDS = /^(?:like|as|same|ditto|dito|idem)$/i;
/** More words than this that say nothing, and more than half as many again as say something: it is prose. */
const MOST_UNPLACED = 3;

/**
 * Reads one bench line as a person types it: parts, ranges and copies, values, measurements, readings of stores, stores,
 * what the meter says between pins, notes, questions and claims; several with commas or semicolons. It records nothing;
 * it says what it understood, what it corrected and could not place, or what must be asked. What may mean two things is
 * asked, never guessed.
 */
export function understand(line: string, context: BenchContext): Understanding {
  const trimmed = line.trim();
  const whole = readWhole(trimmed, context);
  const outcomes = whole ? [whole] : readStatements(line, context);
  const failed = outcomes.find((outcome) => 'problem' in outcome);
  if (failed && 'problem' in failed) {
    const at = placeOf(line, failed.problem);
    return {
      ok: false,
      problem: failed.problem,
      ...(at ? { at } : {}),
      maybe: maybeMeant(trimmed, failed.problem),
      kept: outcomes.flatMap((outcome) => ('problem' in outcome ? (outcome.kept ?? []) : outcome.records)),
    };
  }
  const read = outcomes.flatMap((outcome) => ('problem' in outcome ? [] : [outcome]));
  const records = read.flatMap((outcome) => [...outcome.records, ...remarkOf(line, outcome)]);
  return {
    ok: true,
    records,
    message: records.map(describeRecord).join('; '),
    corrected: read.flatMap(({ corrected = [] }) => corrected),
    unplaced: read.flatMap(({ unplaced = [] }) => unplaced.map(({ text }) => text)),
    decodes: records.flatMap(decodesTo),
  };
}

/** Less sure readings of a number are left to Identify. */
const CLEARLY = 0.5;

function decodesTo(record: BenchRecord): string[] {
  if (record.kind !== 'part' || !record.marking) return [];
  const [best] = decodingsAs(record.marking, record.partKind, record.package);
  return best && best.confidence >= CLEARLY ? [best.why] : [];
}

/** What could not be placed is kept as a note on the part, as it was typed. */
function remarkOf(
  line: string,
  { unplaced = [], about }: Extract<Outcome, { records: readonly BenchRecord[] }>,
): BenchRecord[] {
  const [first] = unplaced;
  const last = unplaced.at(-1);
  if (!first || !last || about === undefined) return [];
  const text = line.slice(first.start, last.end).replace(/[,;]\s*$/, '');
  return text === '' ? [] : [{ kind: 'note', text, question: false, ref: about }];
}

function placeOf(line: string, problem: BenchProblem): { start: number; end: number } | undefined {
  const word = 'word' in problem ? problem.word : 'name' in problem ? problem.name : undefined;
  if (!word) return undefined;
  const pattern = new RegExp(`(?:^|[\\s.(])(${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')})(?=[\\s,;:.)]|$)`, 'i');
  const match = pattern.exec(line);
  if (!match) return undefined;
  const start = match.index + match[0].length - (match[1]?.length ?? 0);
  return { start, end: start + (match[1]?.length ?? 0) };
}

/** Lines that may have been meant by one that is not understood; the last keeps it as a note. */
function maybeMeant(line: string, problem: BenchProblem): string[] {
  if (problem.kind === 'empty' && line === '') return [];
  const own =
    problem.kind === 'unclear'
      ? problem.maybe
      : problem.kind === 'no-store'
        ? [`store ${problem.name.toLowerCase()} `]
        : problem.kind === 'no-part' || problem.kind === 'kind-unknown'
          ? kindsOfReference(problem.ref)
              .slice(0, 2)
              .map(([kind]) => `${problem.ref.toLowerCase()} ${kindRule(kind).words[0] ?? kind}`)
          : problem.kind === 'no-pin'
            ? problem.pins
                .slice(0, 2)
                .map((pin) =>
                  line.replace(
                    new RegExp(`(${problem.ref}[.\\s]*(?:pin\\s*)?)${escaped(problem.word)}`, 'i'),
                    `$1${pin}`,
                  ),
                )
            : [];
  return [...new Set(own.filter((one) => one.toLowerCase() !== line.toLowerCase()))]
    .slice(0, 2)
    .concat(/^[#?!]/.test(line) ? [] : [`# ${line}`]);
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Lines that are one thing as a whole: notes, power, and those that begin with what to do. */
function readWhole(line: string, context: BenchContext): Outcome | undefined {
  if (line === '') return { problem: { kind: 'empty' } };
  const lead = LEAD_IN.exec(line);
  if (lead) {
    const sign = lead[1] ?? (lead[2] ? '#' : lead[3] ? '?' : '!');
    return one(readNote(sign, lead[5] ?? '', context));
  }
  if (POWER_OFF.test(line)) return { records: [{ kind: 'power', applied: false }] };
  if (POWER_ON.test(line)) return { records: [{ kind: 'power', applied: true }] };
  const [first = '', ...rest] = line.split(/\s+/);
  const verb = readVerb(first.toLowerCase(), rest, line, context);
  return verb && one(verb);
}

const one = (read: BenchRecord | { readonly problem: BenchProblem }): Outcome =>
  'problem' in read ? read : { records: [read] };

/** Lines that begin with what to do: store, soak, power, settle, delete, rename. */
function readVerb(
  verb: string,
  rest: readonly string[],
  line: string,
  context: BenchContext,
): BenchRecord | { readonly problem: BenchProblem } | undefined {
  const status = STANDING_WORDS[verb];
  if (verb === 'store')
    return readStore(
      written(tokensOf(line))
        .slice(1)
        .map(({ text }) => text),
    );
  if (verb === 'soak') return readSoak(rest);
  if (verb === 'power')
    return { problem: { kind: 'value-unreadable', word: rest[0] ?? 'power', expected: '“on” or “off”' } };
  const isDelete = DELETE_WORDS.includes(verb);
  if (!status && !isDelete && verb !== 'rename') return undefined;
  const ref = (rest[0] ?? '').toUpperCase();
  if (!isReference(ref)) return { problem: { kind: 'no-subject', word: rest[0] ?? verb } };
  if (!partOf(ref, context)) return { problem: { kind: 'no-part', ref } };
  if (status) return { kind: 'status', ref, status, because: rest.slice(1).join(' ') };
  if (isDelete) return { kind: 'delete', ref };
  const to = (rest[1]?.toLowerCase() === 'to' ? rest[2] : rest[1])?.toUpperCase() ?? '';
  if (!isReference(to)) return { problem: { kind: 'no-subject', word: to || 'rename' } };
  return partOf(to, context) ? { problem: { kind: 'taken', ref: to } } : { kind: 'rename', ref, to };
}

/** A note, a question or a claim; it is about a part when it begins with one that is logged. */
function readNote(sign: string, text: string, context: BenchContext): BenchRecord | { readonly problem: BenchProblem } {
  if (text === '') return { problem: { kind: 'empty' } };
  const [first = '', ...words] = text.split(/\s+/);
  const ref = first.toUpperCase().replace(/[:,]$/, '');
  const about = isReference(ref) && partOf(ref, context) && words.length > 0 ? { ref } : {};
  const saying = 'ref' in about ? words.join(' ') : text;
  if (sign === '!') return { kind: 'claim', text: saying, ...about };
  return { kind: 'note', text: saying, question: sign === '?', ...about };
}

const partOf = (ref: string, { parts }: BenchContext): ContextPart | undefined =>
  parts.find((part) => part.ref === ref);

/** The statements of a line in their order; one may speak of parts that an earlier one logs. */
function readStatements(line: string, context: BenchContext): Outcome[] {
  const outcomes: Outcome[] = [];
  let known = context;
  for (const tokens of statementsOf(line).flatMap(({ text, offset }) => partByPart(written(tokensOf(text, offset))))) {
    const outcome = readStatement(tokens, known);
    outcomes.push(outcome);
    if ('records' in outcome) known = { ...known, parts: [...known.parts, ...logged(outcome.records, known)] };
  }
  return outcomes;
}

/** `r1 1k2 r2 4k7`: references of one kind with one word or two behind each are statements of their own. */
function partByPart(tokens: readonly Token[]): (readonly Token[])[] {
  const letters = (token: Token | undefined) =>
    isReference(token?.text ?? '') ? /^[a-z]+/i.exec(token?.text ?? '')?.[0].toUpperCase() : undefined;
  const own = letters(tokens[0]);
  if (own === undefined || !isPrefix(own)) return [tokens];
  const starts = tokens.flatMap((token, index) => (letters(token) === own ? [index] : []));
  const groups = starts.map((start, index) => tokens.slice(start, starts[index + 1] ?? tokens.length));
  const isList =
    starts.length > 1 &&
    groups.every((group) => group.length > 1 && group.length <= MOST_OF_EACH) &&
    groups.every((group) => group.slice(1).every(({ text }) => /\d/.test(text)));
  return isList ? groups : [tokens];
}
const MOST_OF_EACH = 4;

/** Parts that records log, as later statements may speak of them. */
export function logged(records: readonly BenchRecord[], { parts }: BenchContext): ContextPart[] {
  return records.flatMap((record) =>
    record.kind !== 'part'
      ? []
      : [record.ref, ...(record.others ?? [])]
          .filter((ref) => !parts.some((part) => part.ref === ref))
          .map((ref) => ({
            ref,
            kind: record.partKind,
            ...(record.subtype ? { subtype: record.subtype } : {}),
            ...(record.package ? { package: record.package } : {}),
            ...(record.marking ? { marking: record.marking } : {}),
            ratings: Object.fromEntries(record.ratings.map(({ name, value }) => [name, value])),
          })),
  );
}

/** References and their pins, and what joins them, and nothing else. */
const isOnlyNames = (text: string) =>
  text
    .split(/[\s,&]+/)
    .filter((word) => word !== '')
    .every(
      (word) =>
        /^(?:and|und|et|to|\.\.+|[-–+])$/i.test(word) ||
        isPrefix(/^([a-z]{1,4})\d{1,4}[a-z]?(?:\.[a-z0-9]+|\.?[+-]|(?:\.\.|-).+)?$/i.exec(word)?.[1] ?? ''),
    );
const beginsWithName = (text: string) => isPrefix(/^\s*([a-z]{1,4})\d{1,4}[a-z]?(?:[.\s,+-]|$)/i.exec(text)?.[1] ?? '');

/** Semicolons part statements; so do commas, and “and”, before a reference when something was said before them. */
function statementsOf(line: string): { text: string; offset: number }[] {
  const found: { text: string; offset: number }[] = [];
  let from = 0;
  for (const match of line.matchAll(/;|,(?=\s|[a-z])|\s(?:and|und|et)\s|$/gi)) {
    const at = match.index;
    const before = line.slice(from, at);
    const after = line.slice(at + match[0].length);
    const isEnd = at === line.length;
    const isWord = /\w/.test(match[0]);
    const parts =
      isEnd ||
      match[0] === ';' ||
      (!isOnlyNames(before) &&
        beginsWithName(after) &&
        (!isWord || (/\s[.\d]/.test(before) && !SPEAKS_OF_PINS.test(before))) &&
        !isSentenceOfPins(before));
    if (!parts) continue;
    if (before.trim() !== '') found.push({ text: before, offset: from });
    from = at + match[0].length;
  }
  return found.length === 0 ? [{ text: line, offset: 0 }] : found;
}

/** Words by which a statement is about pins: then “and” goes on with it. */
const SPEAKS_OF_PINS =
  /\b(?:pins?|legs?|plus|minus|drain|gate|source|anode|cathode|base|collector|emitter|beeps?|joined|connected)\b|[a-z]\d+(?:\.\w|[+-](?:\s|$))/i;

/** “J2 minus, BR1 minus …”: a pin in words before a comma does not end what is said. */
const isSentenceOfPins = (text: string) =>
  /^\s*[a-z]{1,4}\d{1,4}\s+[a-z+-]+\s*$/i.test(text) &&
  !/\d\s*$/.test(text) &&
  !meaningsOf(text.trim().split(/\s+/).slice(1).join(' ')).some(({ as }) => as !== 'filler');

function readStatement(tokens: readonly Token[], context: BenchContext): Outcome {
  const [first] = tokens;
  if (!first) return { problem: { kind: 'empty' } };
  const join = readJoin(tokens, context);
  if (join && 'problem' in join) return join;
  if (join && join.unplaced.length <= MOST_UNPLACED) {
    const [record] = join.records.filter(({ kind }) => kind === 'join');
    const about = record?.kind === 'join' ? record.pins[0]?.split('.')[0] : undefined;
    return { records: join.records, unplaced: join.unplaced, ...(about ? { about } : {}) };
  }
  const subject = first.text.toUpperCase();
  if (context.stores.includes(subject) && !isReference(subject))
    return readStoreLine(subject, tokens.slice(1), undefined, context);
  const leading = leadingReferences(tokens) ?? trailingReferences(tokens) ?? behindKind(tokens);
  if (!leading) {
    const isReading = tokens.some(({ text }) => text.includes('@'));
    return { problem: isReading ? { kind: 'no-store', name: subject } : { kind: 'no-subject', word: first.text } };
  }
  if ('problem' in leading) return leading;
  return readOfParts(leading.refs, leading.rest, context);
}

/** `3x 10k r14 r15 r16`: what is said first, and whose it is behind it. */
function trailingReferences(tokens: readonly Token[]): { refs: string[]; rest: Token[] } | undefined {
  let from = tokens.length;
  const refs: string[] = [];
  while (from > 0) {
    const named = readReferences(tokens[from - 1]?.text ?? '');
    if (!named || 'problem' in named) break;
    refs.unshift(...named);
    from -= 1;
  }
  const rest = tokens.slice(0, from);
  const isCount =
    /^\d{1,2}\s*x$|^x\d{1,2}$/i.test(rest[0]?.text ?? '') ||
    rest.every(({ text }) => valueOf(text) ?? (meaningsOf(text).length > 0 || /^\d/.test(text)));
  return refs.length > 0 && rest.length > 0 && rest.length <= 4 && isCount ? { refs, rest } : undefined;
}

/** `bridge BR1 kbp206`, `the capacitor C5 is bulged`: the kind stands before the reference. */
function behindKind(tokens: readonly Token[]): { refs: string[]; rest: Token[] } | undefined {
  const at = tokens.findIndex(({ text }) => isReference(text));
  const before = tokens.slice(0, at);
  const ref = tokens[at]?.text.toUpperCase();
  if (at < 1 || at > 3 || ref === undefined || kindsOfReference(ref).length === 0) return undefined;
  const isKind = before.some(({ text }) => meaningsOf(text).some(({ as }) => as === 'kind'));
  const isOnly = before.every(({ text }) => meaningsOf(text).length > 0);
  return isKind && isOnly ? { refs: [ref], rest: [...tokens.slice(at + 1), ...before] } : undefined;
}

const isMeasureWord = (word: string | undefined) => {
  const key = word ?? '';
  if (meaningsOf(key).some(({ as }) => as === 'measures')) return true;
  const meant = meaningsOf(key).length === 0 ? mended(key) : undefined;
  return meant !== undefined && meaningsOf(meant).some(({ as }) => as === 'measures');
};

/** What is said of the parts that a statement begins with. */
function readOfParts(refs: readonly string[], rest: readonly Token[], context: BenchContext): Outcome {
  const [ref = ''] = refs;
  const known = partOf(ref, context);
  const [next, after] = rest;
  if (!next) return { problem: { kind: 'nothing-said', ref } };
  if (OR_WORDS.test(next.text) && isReference(after?.text ?? ''))
    return {
      problem: {
        kind: 'unclear',
        word: next.text,
        question: `Which part is it, ${ref} or ${after?.text.toUpperCase() ?? ''}?`,
        maybe: [],
      },
    };
  if (next.text.toLowerCase() === 'as' && after && !isReference(after.text) && rest.length === 2)
    return readFixed(ref, known?.kind, after.text);
  const store = readStoreLine(ref, rest, known, context, refs.length);
  if (store.taken) return store.taken;
  const measured = readMeasured(refs, rest, context);
  if (measured) return measured;
  return readDescription(refs, rest, context);
}

/** `t1 as forward`, `q3 as rectifier`: a person goes before the evidence. */
function readFixed(ref: string, kind: KindName | undefined, word: string): Outcome {
  if (!kind) return { problem: { kind: 'no-part', ref } };
  const open = isBoardKind(kind) ? fixableAs(kind) : [];
  const as = open.find((entry) => entry === word.toLowerCase());
  return as
    ? { records: [{ kind: 'fix', ref, as }] }
    : { problem: { kind: 'value-unreadable', word, expected: open.join(', ') } };
}

/** Voltages of what stores charge. A capacitor that is no store yet needs a time, or a word that says it was read. */
function readStoreLine(
  name: string,
  rest: readonly Token[],
  known: ContextPart | undefined,
  context: BenchContext,
): Outcome;
function readStoreLine(
  name: string,
  rest: readonly Token[],
  known: ContextPart | undefined,
  context: BenchContext,
  count: number,
): { taken?: Outcome };
function readStoreLine(
  name: string,
  rest: readonly Token[],
  known: ContextPart | undefined,
  context: BenchContext,
  count?: number,
): Outcome | { taken?: Outcome } {
  const isStore = context.stores.includes(name);
  const read = readReadings(name, rest);
  if (count === undefined) {
    if (!read)
      return { problem: { kind: 'value-unreadable', word: rest[0]?.text ?? name, expected: 'a voltage such as 212V' } };
    return 'problem' in read ? read : { records: read.records };
  }
  if (count !== 1) return {};
  const isTimed = rest.some(({ text }) => text.includes('@'));
  const mayStore = isStore || known?.kind === 'capacitor';
  if (!mayStore) return isTimed && read ? { taken: { problem: { kind: 'no-store', name } } } : {};
  if (!read) return {};
  const isReadWord = rest.some(
    ({ text }) => isMeasureWord(text) || /^(?:holds|holding|still|charged|now|hält)$/i.test(text),
  );
  const isOnlyVolts = 'records' in read && read.unplaced.length === 0;
  if ('problem' in read) return isTimed || isReadWord || isStore || rest.length === 1 ? { taken: read } : {};
  if (read.hasTime && (isOnlyVolts || isTimed))
    return { taken: { records: read.records, unplaced: read.unplaced, about: name } };
  if (!isOnlyVolts) return {};
  if (isStore || isReadWord) return { taken: { records: read.records } };
  if (known)
    return {
      taken: {
        problem: {
          kind: 'unclear',
          word: rest[0]?.text ?? '',
          question: `${rest[0]?.text ?? ''}: printed on ${name}, or read off it just now?`,
          maybe: [
            `${name.toLowerCase()} voltage ${rest[0]?.text ?? ''}`,
            `${name.toLowerCase()} reads ${rest[0]?.text ?? ''}`,
          ],
        },
      },
    };
  return {};
}

/** How far a reading may lie from what is printed for a value without a verb to be one. */
const READING_RANGE = 2;
/** Highest drop of a diode in diode mode. */
const MOST_DROP = 3;

/** Words of a sentence about a reading. */
const BESIDE = /^(?:and|is|of|at|about|a|the|just|with|it|has|an|on|to|my|primary|secondary|,)$/i;

/** What a meter said of parts that are logged: with a verb, with the name of a reading, or a value near what is known. */
function readMeasured(refs: readonly string[], rest: readonly Token[], context: BenchContext): Outcome | undefined {
  const [ref = ''] = refs;
  const known = partOf(ref, context);
  const words = rest.map(({ text }) => text);
  const verbAt = words.findIndex(
    (word, index) => isMeasureWord(word) && (index === 0 || word.toLowerCase() !== 'read'),
  );
  const hasVerb =
    verbAt === 0 ||
    (verbAt > 0 && words.slice(0, verbAt).every((word) => meaningsOf(word).length > 0 && !/\d/.test(word)));
  const isLast =
    verbAt === words.length - 1 &&
    verbAt > 0 &&
    /^(?:measured|gemessen|meter|dmm|multimeter)$/i.test(words[verbAt] ?? '');
  if (!known)
    return hasVerb && /\d|^ol$/i.test(words.slice(verbAt + 1).join(' '))
      ? { problem: { kind: 'no-part', ref } }
      : undefined;
  const isSourced = words.some((word) => /^(?:datasheet|typical|guessed|decoded)$/i.test(word));
  const spoken = words.filter((word, index) => index !== (hasVerb || isLast ? verbAt : -1));
  if (
    isLast &&
    words.length > 2 &&
    /^(?:measured|gemessen)$/i.test(words[verbAt] ?? '') &&
    !namesReading(words, known.kind)
  )
    return undefined;
  const isNamed = !isSourced && /\d/.test(words.join('')) && namesReading(words, known.kind);
  if (hasVerb || isNamed || isLast) {
    const values = spoken.filter((word) => isFieldWord(word, known.kind) || !BESIDE.test(word));
    if (refs.length > 1) return readEach(refs, values, context);
    const read = readMeasurement(ref, known.kind, values, isNamed || values.length > 1);
    return 'problem' in read ? read : { records: [read] };
  }
  if (refs.length > 1 || isSourced) return undefined;
  return readBareValue(
    ref,
    known,
    spoken.filter((word) => !/^[=:]$/.test(word)),
    rest,
  );
}

/** `c10 c11 c12 measure 980u 1010u 640u`: one value each, in their order. */
function readEach(refs: readonly string[], values: readonly string[], context: BenchContext): Outcome {
  const shown = values.filter((word) => /\d|^ol$/i.test(word));
  if (shown.length !== refs.length)
    return {
      problem: {
        kind: 'unclear',
        word: refs[0] ?? '',
        question: `${refs.length} parts and ${shown.length} values: which is whose?`,
        maybe: [],
      },
    };
  const records: BenchRecord[] = [];
  for (const [index, ref] of refs.entries()) {
    const known = partOf(ref, context);
    if (!known) return { problem: { kind: 'no-part', ref } };
    const read = readMeasurement(ref, known.kind, [shown[index] ?? '']);
    if ('problem' in read) return read;
    records.push(read);
  }
  return { records };
}

/** A value alone on a part that is logged: a reading when it lies beside what is known, or is no value that is made. */
function readBareValue(
  ref: string,
  known: ContextPart,
  words: readonly string[],
  tokens: readonly Token[],
): Outcome | undefined {
  const [word = '', other = ''] = words;
  // Ohms beside microfarads are what a tester shows; no capacitor carries them in print.
  const isTester =
    known.kind === 'capacitor' &&
    words.length === 2 &&
    [word, other].every((one) =>
      ['farad', 'ohm'].includes(valueOf(one)?.unit ?? (shorthandOf(one, 'farad') ? 'farad' : '')),
    );
  if (isTester) {
    const both = readMeasurement(ref, known.kind, words);
    return 'problem' in both ? undefined : { records: [both] };
  }
  if (words.length !== 1) return undefined;
  const value = valueOf(word);
  if (
    known.kind === 'diode' &&
    value?.unit === 'volt' &&
    known.subtype !== 'zener' &&
    known.subtype !== 'tvs' &&
    Math.abs(value.quantity.value) < MOST_DROP
  ) {
    const read = readMeasurement(ref, known.kind, [word]);
    return 'problem' in read ? undefined : { records: [read] };
  }
  const { test } = kindRule(known.kind);
  const main =
    known.kind === 'resistor' || known.kind === 'potentiometer'
      ? 'resistance'
      : known.kind === 'capacitor'
        ? 'capacitance'
        : known.kind === 'inductor'
          ? 'inductance'
          : undefined;
  if (!test || !main) return undefined;
  const { unit } = RATINGS[main];
  const read = value
    ? value.unit === unit
      ? value.quantity
      : undefined
    : /^\d+$/.test(word)
      ? undefined
      : shorthandOf(word, unit);
  if (!read) return undefined;
  const printed = known.ratings?.[main];
  const isOther =
    printed === undefined
      ? !isMade(read.value)
      : read.value !== printed &&
        read.value < printed * READING_RANGE &&
        read.value > printed / READING_RANGE &&
        (!isMade(read.value) || Math.abs(read.value / printed - 1) < 0.1);
  if (!isOther) return undefined;
  void tokens;
  const record = readMeasurement(ref, known.kind, [word]);
  return 'problem' in record ? undefined : { records: [record] };
}

/** Whether a value stands in a series of preferred values (IEC 60063). */
const isMade = isPreferred;

function readDescription(refs: readonly string[], rest: readonly Token[], context: BenchContext): Outcome {
  const [ref = ''] = refs;
  const other = rest.find(({ text }, index) => isOtherPart(text, rest[index - 1]?.text, refs, context));
  const copied = readCopy(refs, rest, context);
  if (other && copied === undefined)
    return {
      problem: {
        kind: 'unclear',
        word: other.text,
        question: `This speaks of ${ref} and of ${other.text.toUpperCase()}: say one at a time, or part them with a semicolon.`,
        maybe: [],
      },
    };
  if (copied && 'problem' in copied) return copied;
  const known = partOf(ref, context);
  const words = copied?.words ?? rest;
  const isMeasured = words.at(-1)?.text.toLowerCase() === 'measured';
  const said = isMeasured ? words.slice(0, -1) : words;
  const read = readPart(said, {
    ref,
    known,
    kind: copied?.model.kind && !known ? copied.model.kind : undefined,
    context,
  });
  if ('problem' in read) return { problem: read.problem, kept: keptOf(ref, known, read) };
  const { unplaced, corrected, placed } = read;
  const volts = read.said.ratings.find(({ name }) => name === 'voltage');
  if (
    known?.kind === 'capacitor' &&
    volts &&
    !read.describes &&
    read.said.ratings.every(({ name, source }) => name === 'voltage' && source === 'decoded') &&
    words.length > 1 &&
    ratingNamed(words) === undefined
  )
    return {
      problem: {
        kind: 'unclear',
        word: words[0]?.text ?? '',
        question: `${volts.value} V: printed on ${ref}, or read off it, and when?`,
        maybe: [`${ref.toLowerCase()} voltage ${volts.value}V`, `${ref.toLowerCase()} ${volts.value}V @ 10s`],
      },
    };
  const [stray] = unplaced;
  if (copied === undefined && placed === 0)
    return { problem: stray ? { kind: 'word-unknown', word: stray.text, ref } : { kind: 'nothing-said', ref } };
  // What rests on mended words alone is a guess, unless one word was all that was said.
  if (corrected.length >= placed && (stray ?? corrected.length > 1) && copied === undefined)
    return { problem: { kind: 'word-unknown', word: stray?.text ?? corrected[0]?.typed ?? '', ref } };
  if (stray && unplaced.length > MOST_UNPLACED && unplaced.length > 1.5 * placed)
    return { problem: { kind: 'word-unknown', word: stray.text, ref } };
  const ratings = isMeasured
    ? read.said.ratings.map((rating) => ({ ...rating, source: 'measured' as const }))
    : read.said.ratings;
  const judged = isMeasured ? ratings.find((rating) => isJudged(read.partKind, rating)) : undefined;
  if (judged) return { problem: { kind: 'measure-instead', ref, rating: judged.name } };
  const isValue = known !== undefined && !read.describes && copied === undefined && refs.length === 1;
  const record: BenchRecord = isValue
    ? { kind: 'value', ref, ratings }
    : partRecord(refs, { ...read, said: { ...read.said, ratings } }, copied?.model.ref);
  return { records: [record], corrected, unplaced, about: ref };
}

/** A word that says which rating a value is. */
const ratingNamed = (words: readonly Token[]) =>
  words
    .map(({ text }) => (text.length > 1 ? ratingFromWord(text, 'capacitor') : undefined))
    .find((name) => name !== undefined);

/** Whether a word names another part than those that are spoken of, rather than a number such as S8050. */
function isOtherPart(
  text: string,
  before: string | undefined,
  refs: readonly string[],
  context: BenchContext,
): boolean {
  const ref = text.toUpperCase();
  if (refs.includes(ref) || !isReference(text) || !isPrefix(text.replace(/\d.*$/, ''))) return false;
  if (partOf(ref, context)) return true;
  const isMarking = /^(?:marked|marking|printed)$/i.test(before ?? '') || /[a-z]$/i.test(text);
  // R22 is a value on a resistor, and X2 a class.
  const isValue = /^[xy][1-4]$/i.test(text) || (/^r\d/i.test(text) && /^R/.test(refs[0] ?? ''));
  return !isMarking && !isValue && (decodingsAs(text)[0]?.confidence ?? 0) < CLEARLY;
}

/** What is sure of a part while the rest is asked. */
function keptOf(ref: string, known: ContextPart | undefined, { kept }: Question): BenchRecord[] {
  if (!kept || known) return [];
  const { partKind, ...said } = kept;
  return partKind === undefined ? [] : [{ kind: 'part', ref, partKind, ...said }];
}

/** `like q1`, `as q1`, `same`, `same as c6`: the part to copy, and the words without it. */
function readCopy(
  refs: readonly string[],
  rest: readonly Token[],
  { parts }: BenchContext,
): { model: ContextPart; words: readonly Token[] } | { problem: BenchProblem } | undefined {
  const at = rest.findIndex(
    ({ text }, index) => COPY_WORDS.test(text) && !/^(?:looks?|seems?|sounds?)$/i.test(rest[index - 1]?.text ?? ''),
  );
  const marked = rest.findIndex(({ text }) => meaningsOf(text).some(({ as }) => as === 'marked'));
  if (at < 0 || (marked >= 0 && marked < at)) return undefined;
  const word = rest[at]?.text ?? '';
  let to = at + 1;
  while (/^(?:as|like|the|one)$/i.test(rest[to]?.text ?? '')) to += 1;
  const name = rest[to]?.text ?? '';
  const isNamed = isReference(name) || (!/^(?:same|ditto|dito|idem)$/i.test(word) && name !== '');
  const model = isNamed
    ? parts.find((part) => part.ref === name.toUpperCase())
    : parts.filter((part) => !refs.includes(part.ref)).at(-1);
  if (!model) return { problem: { kind: 'nothing-to-copy', word: isNamed ? name.toUpperCase() : word } };
  const behind = isNamed ? to + 1 : to;
  const words = rest.slice(behind).filter(({ text }) => !/^(?:above|before|last|previous|one)$/i.test(text));
  return { model, words: [...rest.slice(0, at), ...words] };
}
