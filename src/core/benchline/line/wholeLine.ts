import { readEveryLine } from '../../everyLine';
import { parseQuantity } from '../../quantity';
import { isReference } from '../references';
import { readSoak } from '../readSoak';
import { readStore } from '../readStore';
import type { BenchContext, BenchProblem, BenchRecord, IssueStatus } from '../record';
import { written } from '../spoken';
import { tokensOf } from '../tokens';
import { type Outcome, partOf } from './outcome';

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

const POWER_ON =
  /^(?:(?:i |we )?(?:have |just )?plugged (?:it )?(?:back )?in(?: again)?|plug in|power(?:ed)? (?:is )?(?:on|applied)(?: now| again)?|mains on|switched on|eingesteckt|branché)$/i;

const METER_CHECKED =
  /^(?:the |my )?(?:meter|dmm|multimeter)\s+(?:was |is )?(?:checked|proved|proven|tested|verified)\b|^(?:checked|proved|tested|verified)\s+(?:the |my )?(?:meter|dmm|multimeter)\b/i;

/** Lines that are one thing as a whole: notes, power, and those that begin with what to do. */
export function readWhole(line: string, context: BenchContext): Outcome | undefined {
  if (line === '') return { problem: { kind: 'empty' } };
  const lead = LEAD_IN.exec(line);
  if (lead) {
    const sign = lead[1] ?? (lead[2] ? '#' : lead[3] ? '?' : '!');
    return one(readNote(sign, lead[5] ?? '', context));
  }
  if (readEveryLine(line)?.kind === 'unplugged') return { records: [{ kind: 'power', applied: false }] };
  if (POWER_ON.test(line)) return { records: [{ kind: 'power', applied: true }] };
  if (METER_CHECKED.test(line)) return { records: [{ kind: 'meter-check' }] };
  const tool = readTool(line, context);
  if (tool) return one(tool);
  const [first = '', ...rest] = line.split(/\s+/);
  const verb = readVerb(first.toLowerCase(), rest, line, context);
  return verb && one(verb);
}

/** `tool on c3 2k2`, `c3 bleed tool off`: what bleeds a store by hand, and when it is gone. */
function readTool(
  line: string,
  { stores }: BenchContext,
): BenchRecord | { readonly problem: BenchProblem } | undefined {
  const words = line.split(/[\s,]+/);
  const on = words.find((word) => /^(?:on|off|removed)$/i.test(word))?.toLowerCase();
  if (on === undefined || !words.some((word) => /^tool$/i.test(word)) || words.length > MOST_TOOL_WORDS)
    return undefined;
  const named = words.map((word) => word.toUpperCase()).filter((word) => stores.includes(word));
  const [store, ...others] = named.length > 0 ? named : stores;
  if (store === undefined || others.length > 0)
    return {
      problem: {
        kind: 'unclear',
        word: words[0] ?? '',
        question: store === undefined ? 'No store is listed that a tool could be on.' : 'On which store is the tool?',
        maybe: stores.slice(0, 2).map((name) => `${line} ${name.toLowerCase()}`),
      },
    };
  if (on !== 'on') return { kind: 'tool', store };
  const ohms = words.map((word) => parseQuantity(word, 'ohm')).find((parsed) => parsed.ok);
  if (!ohms?.ok || ohms.quantity.value <= 0)
    return {
      problem: { kind: 'value-unreadable', word: 'tool', expected: 'the resistance of the tool, such as 2k2,' },
    };
  return { kind: 'tool', store, ohms: ohms.quantity.value };
}
const MOST_TOOL_WORDS = 8;

export const one = (read: BenchRecord | { readonly problem: BenchProblem }): Outcome =>
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
