import { commonness } from './commonness';
import { contextFit } from './context';
import { knownNames, namesLike } from './knownNames';
import type { Draft, MarkingContext, Decoding, SetApart } from './decoding';
import { REGISTER_RULES, rulesFor } from './rules';
import { spansOf, type Span } from './spans';
import { AFTER_CHANGES, changed, CHANGE_COST, filled, respelled, type Variant } from './wear';

/** A draft with what it is worth. */
interface Candidate {
  readonly rule: string;
  readonly draft: Draft;
  /** Belief before readings compete, 0 to 1. */
  readonly score: number;
  readonly changes: number;
  /** How likely the filled characters are beside their neighbours, 0 to 1. */
  readonly fill: number;
  readonly readAs: string | undefined;
  /** The run of the text that was read. */
  readonly number: string;
  readonly source: Decoding['source'];
  readonly apart: readonly SetApart[];
}

/** A candidate with what it is worth against the others. */
interface Weighed {
  readonly candidate: Candidate;
  readonly worth: number;
}

/** A clean reading this good makes worn ones not worth a try. */
const GOOD_ENOUGH = 0.45;
/** A number that only a register places gives way to one remembered that print may have worn from. */
const REGISTER_AMONG_WORN = 0.15;
/** Share of belief that a clear number of another kind takes from worn readings. */
const KIND_DISCOUNT = 0.9;
const LEAST_SHOWN = 0.004;
const MOST_READINGS = 12;
const MOST_COMPARED = 60;
const LONGEST_WORN = 16;
const LONGEST_PRINT = 40;

/**
 * Reads a part's marking by every rule that knows it and ranks the readings, best first. Knowing
 * the kind keeps only readings of that kind or one easily taken for it; case and place weigh in.
 * `?` stands for an unreadable character; characters that wear into each other are tried at a cost.
 * A maker's letters and a date code beside the number are set apart. Confidences of one call add
 * up to at most 1: readings that compete share it.
 * @returns an empty list when no rule knows the marking
 * @example decodeMarking('12N65', { kind: 'nmos' })[0].ratings // { id: 12, vds: 650 }
 */
export function decodeMarking(marking: string, context: MarkingContext = {}): Decoding[] {
  const typed = marking.trim().replace(/\s+/g, ' ');
  const text = typed.toUpperCase();
  if (text === '' || text.length > 80) return [];
  const isKindKnown = context.kind !== undefined;
  const clean = text.includes('?') ? [] : candidatesOf(typed, text, context);
  if (context.isClean || totalOf(clean.filter(({ rule }) => !isRegister(rule))) >= GOOD_ENOUGH)
    return rank(clean, { worn: false, isKindKnown });
  const decodings = [...clean, ...wornCandidates(text, context)];
  return rank(decodings, {
    worn: decodings.length > clean.length,
    asOther: asAnotherKind(typed, text, context),
    isKindKnown,
  });
}

/** How clearly the text is a number of another kind: then it may not be worn, but the kind mistaken. */
function asAnotherKind(typed: string, text: string, { kind, ...anyKind }: MarkingContext): number {
  if (kind === undefined || text.includes('?')) return 0;
  return Math.max(0, ...candidatesOf(typed, text, anyKind).map(({ score }) => score));
}

const REGISTERS = new Set(REGISTER_RULES.map(({ name }) => name));
const isRegister = (rule: string) => REGISTERS.has(rule);

function totalOf(candidates: readonly Candidate[]): number {
  return candidates.reduce((sum, { score }) => sum + score, 0);
}

function candidatesOf(typed: string, text: string, context: MarkingContext): Candidate[] {
  const found: Candidate[] = [];
  for (const span of spansOf(text)) {
    collect(found, span.text, context, span);
  }
  for (const rule of rulesFor(context.kind)) {
    if (!rule.spaced && !rule.keepCase) continue;
    const match = rule.pattern.exec(rule.keepCase ? typed : text);
    if (match) add(found, rule, rule.read(match, context), context, { text, apart: [], weight: 1 });
  }
  if (totalOf(found) >= GOOD_ENOUGH) return found;
  // The registers tell a kind and no data: they speak when nothing else does.
  for (const span of spansOf(text))
    for (const rule of REGISTER_RULES) {
      const match = rule.pattern.exec(span.text);
      if (match) add(found, rule, rule.read(match, context), context, span);
    }
  return found;
}

/** Readings by names and patterns of one run of characters without blanks. */
function collect(found: Candidate[], text: string, context: MarkingContext, beside: Span, variant?: Variant): void {
  for (const rule of rulesFor(context.kind)) {
    if (rule.spaced || rule.keepCase) continue;
    const match = rule.pattern.exec(text);
    if (match) add(found, rule, rule.read(match, context), context, beside, variant);
  }
  if (variant) return;
  for (const { rule, prior, draft } of knownNames(text, context)) {
    const score = prior * contextFit(draft, context) * beside.weight;
    if (score > 0)
      found.push({
        rule,
        draft,
        score,
        changes: 0,
        fill: 1,
        readAs: undefined,
        number: text,
        source: 'remembered',
        apart: beside.apart,
      });
  }
}

function add(
  found: Candidate[],
  rule: { name: string; prior: number; alone?: number },
  drafts: Draft | readonly Draft[] | undefined,
  context: MarkingContext,
  beside: Span,
  variant?: Variant,
): void {
  if (drafts === undefined) return;
  for (const draft of Array.isArray(drafts) ? (drafts as readonly Draft[]) : [drafts as Draft]) {
    const prior = priorOf(rule, context);
    const score = Math.min(0.98, prior * (draft.share ?? 1)) * contextFit(draft, context) * beside.weight;
    if (score > 0)
      found.push({
        rule: rule.name,
        draft,
        score,
        changes: variant?.changes ?? 0,
        fill: variant?.fill ?? 1,
        readAs: variant?.text,
        number: beside.text,
        source: 'decoded',
        apart: beside.apart,
      });
  }
}

/** A rule's prior: in full when the kind is known, between that and what it is worth alone when only the case is. */
function priorOf(
  { prior, alone = prior }: { prior: number; alone?: number },
  { kind, package: case_ }: MarkingContext,
) {
  if (kind !== undefined) return prior;
  return case_ === undefined ? alone : Math.sqrt(alone * prior);
}

/** Readings that need characters filled in or changed: one change first, two when that finds nothing. */
function wornCandidates(text: string, context: MarkingContext): Candidate[] {
  const found: Candidate[] = [];
  for (const span of spansOf(text)) {
    if (span.text.length > LONGEST_WORN || span.text.length < 2) continue;
    for (const { text: like, changes: before } of respelled(span.text))
      for (const { rule, prior, draft, changes, name } of namesLike(like)) {
        const score = prior * contextFit(draft, context) * span.weight;
        if (score > 0 && before + changes <= 2)
          found.push({
            rule,
            draft,
            score,
            changes: before + changes,
            readAs: name,
            fill: 1,
            number: span.text,
            source: 'remembered',
            apart: span.apart,
          });
      }
    throughVariants(span.text, found, (variant) => collect(found, variant.text, context, span, variant));
  }
  const spaced = rulesFor(context.kind).filter((rule) => rule.spaced);
  if (text.length <= LONGEST_PRINT && spaced.length > 0)
    throughVariants(text, found, (variant) => {
      for (const rule of spaced) {
        const match = rule.pattern.exec(variant.text);
        if (match) add(found, rule, rule.read(match, context), context, { text, apart: [], weight: 1 }, variant);
      }
    });
  return found;
}

/** Tries the ways a text may have worn, the likely ones first, until some are read. */
function throughVariants(text: string, found: readonly Candidate[], attempt: (variant: Variant) => void): void {
  const before = found.length;
  const gaps = text.split('?').length - 1;
  if (gaps > 0) filled(text).forEach(attempt);
  else changed(text, 1).forEach(attempt);
  if (found.length > before) return;
  if (gaps === 1)
    for (const one of changed(text, 1)) for (const variant of filled(one.text)) attempt({ ...variant, changes: 1 });
  else if (gaps === 0) changed(text, 2).forEach(attempt);
}

/** A pattern that fits only after a character was changed, on a part of unknown kind, is a guess. */
const MOST_OF_A_GUESS = 0.45;
const mostOf = (changes: number, source: Decoding['source'], isKindKnown: boolean) =>
  changes > 0 && source === 'decoded' && !isKindKnown ? MOST_OF_A_GUESS : 1;

function rank(
  candidates: readonly Candidate[],
  { worn, asOther = 0, isKindKnown }: { worn: boolean; asOther?: number; isKindKnown: boolean },
): Decoding[] {
  const best = distinct(candidates, worn);
  if (best.length === 0) return [];
  const total = best.reduce((sum, { worth }) => sum + worth, 0);
  // What wear may have hidden is shared out whole; clean readings keep what they are worth.
  const mass = worn
    ? (1 - KIND_DISCOUNT * asOther) *
      Math.max(0, ...best.map(({ candidate: { score, changes } }) => score * (AFTER_CHANGES[changes] ?? 0)))
    : Math.min(1, total);
  return best
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_READINGS)
    .map(({ candidate: { rule, draft, readAs, number, source, apart, changes }, worth }): Decoding => {
      const { kind, ratings, facts, why } = draft;
      return {
        kind,
        confidence: Math.floor(Math.min((worth * mass) / total, mostOf(changes, source, isKindKnown)) * 1000) / 1000,
        rule,
        ratings,
        ...(facts ? { facts } : {}),
        why,
        number,
        source,
        ...(readAs === undefined ? {} : { readAs }),
        ...(apart.length > 0 ? { apart } : {}),
      };
    })
    .filter(({ confidence }) => confidence >= LEAST_SHOWN);
}

/** Of candidates that say the same, or less of the same, the one worth most is kept. */
function distinct(candidates: readonly Candidate[], worn: boolean): Weighed[] {
  const byMeaning = new Map<string, Weighed>();
  for (const candidate of candidates) {
    const { draft, score, changes, fill } = candidate;
    const met = candidate.readAs === undefined && isRegister(candidate.rule) ? REGISTER_AMONG_WORN : commonness(draft);
    const worth = score * CHANGE_COST ** changes * fill * (worn ? met : 1);
    const meaning = meaningOf(draft);
    const present = byMeaning.get(meaning);
    if (!present || present.worth < worth) byMeaning.set(meaning, { candidate, worth });
  }
  const best = [...byMeaning.values()].sort((a, b) => b.worth - a.worth).slice(0, MOST_COMPARED);
  return best.filter(
    ({ candidate, worth }) =>
      !best.some((other) => worth <= other.worth * 1.2 && saysMore(other.candidate.draft, candidate.draft)),
  );
}

/** Whether a draft says everything another says, and more. */
function saysMore(one: Draft, other: Draft): boolean {
  const said = Object.entries(other.ratings);
  return (
    one.kind === other.kind &&
    Object.keys(one.ratings).length > said.length &&
    said.every(([name, value]) => one.ratings[name as keyof typeof one.ratings] === value)
  );
}

function meaningOf({ kind, ratings, facts }: Draft): string {
  let meaning: string = kind;
  for (const name of Object.keys(ratings).sort()) meaning += ` ${name}${ratings[name as keyof typeof ratings]}`;
  return `${meaning} ${facts?.family ?? ''} ${facts?.technology ?? ''} ${facts?.safetyClass ?? ''}`;
}
