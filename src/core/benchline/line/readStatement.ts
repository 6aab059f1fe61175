import { fixableAs, isBoardKind } from '../../board';
import type { KindName } from '../../part';
import { readJoin } from '../join/readJoin';
import { isReference, kindsOfReference, leadingReferences, readReferences } from '../references';
import type { BenchContext } from '../record';
import type { Token } from '../tokens';
import { valueOf } from '../values';
import { meaningsOf } from '../vocabulary';
import { type Outcome, partOf, MOST_UNPLACED } from './outcome';
import { readStoreLine, readCharge, readMeasured } from './readMeasured';
import { readDescription } from './readDescription';

const OR_WORDS = /^(?:or|ou|oder)$/i;

export function readStatement(tokens: readonly Token[], context: BenchContext): Outcome {
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
  if (context.stores.includes(subject) && !isReference(subject)) return readStoreLine(subject, tokens.slice(1));
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
  return (
    (refs.length === 1 ? readCharge(ref, rest, known, context) : undefined) ??
    readMeasured(refs, rest, context) ??
    readDescription(refs, rest, context)
  );
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
