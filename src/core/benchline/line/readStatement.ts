import { fixableAs, isBoardKind } from '../../board';
import type { KindName } from '../../part';
import { readJoin } from '../join/readJoin';
import { isPrefix, isReference, kindsOfReference, leadingReferences, readReferences } from '../references';
import { readBattery } from '../readStore';
import type { BenchContext } from '../record';
import type { Token } from '../tokens';
import { valueOf } from '../values';
import { meaningsOf } from '../vocabulary';
import { type Outcome, partOf, MOST_UNPLACED } from './outcome';
import { readStoreLine, readCharge, readMeasured } from './readMeasured';
import { readDescription } from './readDescription';
import { readMounting } from './readMounting';

const OR_WORDS = /^(?:or|ou|oder)$/i;

export function readStatement(typed: readonly Token[], context: BenchContext): Outcome {
  const tokens = verbBehind(typed);
  const [first] = tokens;
  if (!first) return { problem: { kind: 'empty' } };
  const mounting = readMounting(tokens, context);
  if (mounting) {
    if (mounting.rest.length === 0) {
      const refs = mounting.records.flatMap((record) => (record.kind === 'mount' ? record.refs : []));
      const unknown = refs.find((ref) => !partOf(ref, context));
      return unknown === undefined ? { records: mounting.records } : { problem: { kind: 'no-part', ref: unknown } };
    }
    const outcome = readStatement(mounting.rest, context);
    return 'problem' in outcome ? outcome : { ...outcome, records: [...outcome.records, ...mounting.records] };
  }
  const between = readBetween(tokens, context);
  if (between) return between;
  const join = readJoin(withWindings(tokens), context);
  if (join && 'problem' in join) return join;
  if (join && join.unplaced.length <= MOST_UNPLACED) {
    const [record] = join.records.filter(({ kind }) => kind === 'join');
    const about = record?.kind === 'join' ? record.pins[0]?.split('.')[0] : undefined;
    return { records: join.records, unplaced: join.unplaced, ...(about ? { about } : {}) };
  }
  const subject = first.text.toUpperCase();
  if (context.stores.includes(subject) && !isReference(subject)) return readStoreLine(subject, tokens.slice(1));
  const battery = partOf(subject, context) ? undefined : readBattery(tokens.map(({ text }) => text));
  if (battery) return 'problem' in battery ? battery : { records: [battery] };
  const leading = leadingReferences(tokens) ?? trailingReferences(tokens) ?? behindKind(tokens);
  if (!leading) {
    const isReading = tokens.some(({ text }) => text.includes('@'));
    return { problem: isReading ? { kind: 'no-store', name: subject } : { kind: 'no-subject', word: first.text } };
  }
  if ('problem' in leading) return leading;
  return readOfParts(leading.refs, leading.rest, context);
}

/** `measured r12: 4.66k` is `r12 measured 4.66k`. */
function verbBehind(tokens: readonly Token[]): readonly Token[] {
  const [verb, part, ...rest] = tokens;
  const isVerb = /^(?:measured|measuring|gemessen|mesuré)$/i.test(verb?.text ?? '');
  return verb && part && isVerb && isReference(part.text) && rest.length > 0 ? [part, verb, ...rest] : tokens;
}

/** `t1 1-3 0.9 ohm`, `t1 primary 2.1 ohms between 1 and 2`: two pins of one part, and what lies between them. */
function withWindings(tokens: readonly Token[]): readonly Token[] {
  const [part, ...said] = tokens;
  if (!part || !isReference(part.text)) return tokens;
  const listed = said.slice(
    0,
    said.findIndex(({ text }) => !/^\d{1,2}(?:,\d{1,2})*$|^(?:and|und|et)$/i.test(text)),
  );
  const joined = listed.flatMap(({ text }) => text.split(',')).filter((text) => /^\d{1,2}$/.test(text));
  const isJoined = said
    .slice(listed.length)
    .some(({ text }) => /^(?:beeps?|joined|connected|together|common|same)$/i.test(text));
  if (joined.length > 1 && isJoined)
    return joined.flatMap((pin, index) => [
      ...(index > 0 ? [{ ...part, text: '-', parted: false }] : []),
      { ...part, text: `${part.text}.${pin}`, parted: false },
    ]);
  const words = said.filter(({ text }) => !BESIDE_PINS.test(text));
  const pair = words.findIndex(({ text }) => /^\d{1,2}[-–]\d{1,2}$/.test(text));
  const list = words.findIndex(
    ({ text }, index) =>
      /^\d{1,2}$/.test(text) &&
      /^(?:and|to|und|et|-|&)$/i.test(words[index + 1]?.text ?? '') &&
      /^\d{1,2}$/.test(words[index + 2]?.text ?? ''),
  );
  const pins =
    pair >= 0
      ? (words[pair]?.text.split(/[-–]/) ?? [])
      : list >= 0
        ? [words[list]?.text ?? '', words[list + 2]?.text ?? '']
        : [];
  const rest = pair >= 0 ? words.toSpliced(pair, 1) : words.toSpliced(list, 3);
  const isWinding = rest.length === 1 && /^winding$/i.test(rest[0]?.text ?? '');
  const isOhms = rest.length === 1 && valueOf(rest[0]?.text ?? '')?.unit === 'ohm';
  const [from, to] = pins.map((pin) => ({ ...part, text: `${part.text}.${pin}`, parted: false }));
  if (!from || !to || !(isWinding || isOhms)) return tokens;
  return [from, { ...part, text: '~', parted: false }, to, ...(isOhms ? rest : [])];
}
const BESIDE_PINS = /^(?:pins?|legs?|from|between|is|are|reads|reading|primary|secondary|one|a|an|same|the|of|=|:)$/i;

/**
 * `r20 0R22 between q1 source and br1 minus`: a part that lies between two pins is in line with them.
 * @returns undefined when the statement says no such thing
 */
function readBetween(tokens: readonly Token[], context: BenchContext): Outcome | undefined {
  const [part, ...said] = tokens;
  const at = said.findIndex(({ text }) => /^(?:between|zwischen|entre)$/i.test(text));
  if (!part || at < 0 || !isReference(part.text) || !isPrefix(lettersOf(part.text))) return undefined;
  const via = { ...part, text: 'via', parted: false };
  const join = readJoin([...said.slice(at + 1), via, part], context);
  if (!join || 'problem' in join || !join.records.some(({ kind }) => kind === 'join')) return undefined;
  const words = said.slice(0, at).filter(({ text }) => !/^(?:is|sits|lies|goes|connected|,)$/i.test(text));
  if (words.length === 0) return { records: join.records, unplaced: join.unplaced, about: part.text.toUpperCase() };
  const described = readDescription([part.text.toUpperCase()], words, context);
  if ('problem' in described) return described;
  const own = join.records.filter((record) => !(record.kind === 'part' && record.ref === part.text.toUpperCase()));
  return { ...described, records: [...described.records, ...own] };
}

const lettersOf = (ref: string) => /^[A-Z]*/i.exec(ref)?.[0].toUpperCase() ?? '';

/** `3x 10k r14 r15 r16`: what is said first, and whose it is behind it. */
function trailingReferences(tokens: readonly Token[]): { refs: string[]; rest: Token[] } | undefined {
  let from = tokens.length;
  const refs: string[] = [];
  while (from > 0) {
    const named = readReferences(tokens[from - 1]?.text ?? '');
    // “opto U4 EL817” ends in a number, not in a second part.
    if (!named || 'problem' in named || !named.every((ref) => isPrefix(lettersOf(ref)))) break;
    if (refs[0] !== undefined && lettersOf(named[0] ?? '') !== lettersOf(refs[0])) {
      refs.length = 0;
      break;
    }
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
  return isKind && isOnly ? { refs: [ref], rest: [...before, ...tokens.slice(at + 1)] } : undefined;
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
