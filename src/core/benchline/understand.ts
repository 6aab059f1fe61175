import { fixableAs, isBoardKind } from '../board';
import type { KindName } from '../part';
import { parseQuantity } from '../quantity';
import { describeRecord } from './describeRecord';
import { readMeasurement } from './readMeasurement';
import { readPart } from './readPart';
import { readPins } from './readPins';
import { isReference, readReferences } from './readReferences';
import { readSoak } from './readSoak';
import { readStore } from './readStore';
import type { BenchContext, BenchProblem, BenchRecord, IssueStatus, Understanding } from './record';
import { volts } from './volts';

type Outcome = BenchRecord | { readonly problem: BenchProblem };

const MEASURES = ['measures', 'measured', 'reads'];
/** Words that move a claim or a question on, with how it then stands. */
const STANDING_WORDS: Readonly<Record<string, IssueStatus>> = {
  support: 'supported',
  supports: 'supported',
  supersede: 'superseded',
  settle: 'settled',
  settled: 'settled',
};

/**
 * Reads one bench line: a part (`q1 nmos to-220 marked 12N65`), a range (`c11..c20 1000u 16V
 * polymer secondary`), a copy (`q2 like q1`), a value (`q1 vds 650V datasheet`), a measurement
 * (`r12 measures 4k69`), a reading of a store (`vbus 212V @ 15s`), a store (`store c3 82u 400V
 * bleed 470k`), a claim (`claim rv1 sets the current limit`), a note (`# glue under T1`) or a
 * question (`? who made U1`). It records nothing; it says what it understood, or the first word
 * it did not and where that stands.
 */
export function understand(line: string, context: BenchContext): Understanding {
  const outcome = read(line.trim(), context);
  if (!('problem' in outcome)) return { ok: true, record: outcome, message: describeRecord(outcome) };
  const at = placeOf(line, outcome.problem);
  return { ok: false, problem: outcome.problem, ...(at ? { at } : {}) };
}

function placeOf(line: string, problem: BenchProblem): { start: number; end: number } | undefined {
  const word = 'word' in problem ? problem.word : 'name' in problem ? problem.name : undefined;
  if (!word) return undefined;
  const pattern = new RegExp(`(?:^|\\s)(${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')})(?=\\s|$)`, 'i');
  const match = pattern.exec(line);
  if (!match) return undefined;
  const start = match.index + match[0].length - (match[1]?.length ?? 0);
  return { start, end: start + (match[1]?.length ?? 0) };
}

function read(line: string, context: BenchContext): Outcome {
  if (line === '') return { problem: { kind: 'empty' } };
  const note = /^(\?|#|note\b|ask\b|claim\b|!)\s*(.*)$/i.exec(line);
  if (note) return readNote(note[1]?.toLowerCase() ?? '', note[2] ?? '', context);
  const pins = readPins(line, context);
  if (pins) return pins;
  const [first = '', ...rest] = line.split(/\s+/);
  const verb = readVerb(first.toLowerCase(), rest, context);
  if (verb) return verb;

  const subject = first.toUpperCase();
  const isStore = context.stores.includes(subject);
  const refs = readReferences(first);
  if (refs && 'problem' in refs) return refs;
  const mentionsTime = rest.some((word) => word.includes('@'));
  if (!refs && !isStore)
    return { problem: mentionsTime ? { kind: 'no-store', name: subject } : { kind: 'no-subject', word: first } };
  if (mentionsTime || (isStore && rest.length === 1 && volts(rest[0] ?? '')))
    return readReading(subject, rest, isStore);
  if (rest.length === 0) return { problem: { kind: 'nothing-said', ref: subject } };
  const known = kindOf(refs?.[0] ?? subject, context);
  if (MEASURES.includes(rest[0]?.toLowerCase() ?? ''))
    return known ? readMeasurement(subject, known, rest.slice(1)) : { problem: { kind: 'no-part', ref: subject } };
  if (rest[0]?.toLowerCase() === 'as') return readFixed(subject, known, rest[1] ?? '');
  return readPart(refs ?? [subject], known, rest, context);
}

/** `t1 as forward`, `q3 as rectifier`: a person goes before the evidence. */
function readFixed(ref: string, kind: KindName | undefined, word: string): Outcome {
  if (!kind) return { problem: { kind: 'no-part', ref } };
  const open = isBoardKind(kind) ? fixableAs(kind) : [];
  const as = open.find((entry) => entry === word.toLowerCase());
  return as ? { kind: 'fix', ref, as } : { problem: { kind: 'value-unreadable', word, expected: open.join(', ') } };
}

const kindOf = (ref: string, { parts }: BenchContext): KindName | undefined =>
  parts.find((part) => part.ref === ref)?.kind;

const DELETE_WORDS = ['delete', 'strike', 'remove'];

/** Lines that begin with what to do: store, soak, power, settle, delete, rename. */
function readVerb(verb: string, rest: readonly string[], context: BenchContext): Outcome | undefined {
  const status = STANDING_WORDS[verb];
  if (verb === 'store') return readStore(rest);
  if (verb === 'soak') return readSoak(rest);
  if (verb === 'power') return readPower(rest[0]);
  const isDelete = DELETE_WORDS.includes(verb);
  if (!status && !isDelete && verb !== 'rename') return undefined;
  const ref = (rest[0] ?? '').toUpperCase();
  if (!isReference(ref)) return { problem: { kind: 'no-subject', word: rest[0] ?? verb } };
  if (!kindOf(ref, context)) return { problem: { kind: 'no-part', ref } };
  if (status) return { kind: 'status', ref, status, because: rest.slice(1).join(' ') };
  if (isDelete) return { kind: 'delete', ref };
  const to = (rest[1]?.toLowerCase() === 'to' ? rest[2] : rest[1])?.toUpperCase() ?? '';
  if (!isReference(to)) return { problem: { kind: 'no-subject', word: to || 'rename' } };
  return kindOf(to, context) ? { problem: { kind: 'taken', ref: to } } : { kind: 'rename', ref, to };
}

function readPower(word: string | undefined): Outcome {
  const applied = word?.toLowerCase() === 'on';
  if (!applied && word?.toLowerCase() !== 'off')
    return { problem: { kind: 'value-unreadable', word: word ?? 'power', expected: '“on” or “off”' } };
  return { kind: 'power', applied };
}

/** A note, a question or a claim; it is about a part when it begins with one that is logged. */
function readNote(sign: string, text: string, context: BenchContext): Outcome {
  if (text === '') return { problem: { kind: 'empty' } };
  const [first = '', ...words] = text.split(/\s+/);
  const ref = first.toUpperCase().replace(/[:,]$/, '');
  const about = isReference(ref) && kindOf(ref, context) && words.length > 0 ? { ref } : {};
  const saying = 'ref' in about ? words.join(' ') : text;
  if (sign === 'claim' || sign === '!') return { kind: 'claim', text: saying, ...about };
  return { kind: 'note', text: saying, question: sign === '?' || sign === 'ask', ...about };
}

function readReading(store: string, words: readonly string[], known: boolean): Outcome {
  if (!known) return { problem: { kind: 'no-store', name: store } };
  const [before = '', after] = words.join(' ').split('@');
  const voltage = parseQuantity(before, 'volt');
  if (!voltage.ok)
    return { problem: { kind: 'value-unreadable', word: before.trim(), expected: 'a voltage such as 212V' } };
  if (after === undefined) return { kind: 'reading', store, voltage: voltage.quantity };
  const elapsed = parseQuantity(after, 'second');
  if (!elapsed.ok) return { problem: { kind: 'negative-time', word: after.trim() || '@' } };
  return { kind: 'reading', store, voltage: voltage.quantity, elapsed: elapsed.quantity.value };
}
