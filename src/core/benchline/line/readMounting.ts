import { isReference, readReferences } from '../references';
import type { BenchContext, BenchRecord, HeldWay } from '../record';
import type { Token } from '../tokens';
import { partOf } from './outcome';

/** What a statement says of what sits on a heat sink, and what it says of the parts besides. */
export interface ReadMounting {
  readonly records: readonly BenchRecord[];
  /** The statement without the heat sink, when more is said than that the parts sit there. */
  readonly rest: readonly Token[];
}

const ONTO = /^(?:on|onto|to|at|against|auf|am|an|sur|contre)$/i;
const SINK_WORDS = /^(?:the|a|its|heat|sink|heatsink|heat-sink|kühlkörper|kuehlkoerper|dem|den|radiateur|le)$/i;
const CARRIES = /^(?:carries|holds|cools|has|with|trägt|kühlt|porte)$/i;
/** Letters that people and boards give to heat sinks. */
const SINK = /^(?:HS|HSK|SINK|KK|KÜ|RAD)\d{1,2}$/i;
const WAYS: readonly (readonly [RegExp, HeldWay])[] = [
  [/^(?:screwed|bolted|screw|verschraubt|geschraubt|vissée?s?)$/i, 'screwed'],
  [/^(?:clipped|clamped|clip|geklammert|clipsée?s?)$/i, 'clipped'],
  [/^(?:glued|stuck|geklebt|collée?s?)$/i, 'glued'],
  [/^(?:paste|compound|pasted)$/i, 'compound'],
];
const ASIDE = /^(?:is|are|sits?|stands?|mounted|both|all|and|und|et|each|together|sitzt|sitzen|,|&|\+)$/i;

/** Reads `q1 d5 on hs1`, `q1 screwed to heat sink hs1`, `hs1 carries q1 and d5`. @returns undefined when no heat sink is named */
export function readMounting(tokens: readonly Token[], context: BenchContext): ReadMounting | undefined {
  const isSink = (token: Token | undefined) =>
    token !== undefined && (SINK.test(token.text) || partOf(token.text.toUpperCase(), context)?.kind === 'heat-sink');
  const [first, verb] = tokens;
  if (isSink(first) && CARRIES.test(verb?.text ?? '')) {
    const refs = refsIn(tokens.slice(2));
    return refs && first ? { records: mounted(refs, first, [], context), rest: [] } : undefined;
  }
  const last = tokens.at(-1);
  if (!isSink(last) || !last) return undefined;
  let at = tokens.length - 2;
  while (at > 0 && SINK_WORDS.test(tokens[at]?.text ?? '')) at -= 1;
  if (at < 1 || !ONTO.test(tokens[at]?.text ?? '')) return undefined;
  const before = tokens.slice(0, at);
  const ways = WAYS.flatMap(([pattern, way]) => (before.some(({ text }) => pattern.test(text)) ? [way] : []));
  const said = before.filter(({ text }) => !ASIDE.test(text) && !WAYS.some(([pattern]) => pattern.test(text)));
  const names = said.findIndex(({ text }) => readReferences(text) === undefined);
  const refs = refsIn(names < 0 ? said : said.slice(0, names));
  if (!refs) return undefined;
  return { records: mounted(refs, last, ways, context), rest: names < 0 ? [] : before };
}

function refsIn(tokens: readonly Token[]): readonly string[] | undefined {
  const refs: string[] = [];
  for (const { text } of tokens) {
    if (ASIDE.test(text)) continue;
    const read = readReferences(text);
    if (!read || 'problem' in read) return undefined;
    refs.push(...read);
  }
  return refs.length > 0 && refs.every(isReference) ? refs : undefined;
}

function mounted(
  refs: readonly string[],
  { text }: Token,
  ways: readonly HeldWay[],
  context: BenchContext,
): readonly BenchRecord[] {
  const sink = text.toUpperCase();
  const logged: readonly BenchRecord[] = partOf(sink, context)
    ? []
    : [{ kind: 'part', ref: sink, partKind: 'heat-sink', fitments: [], damage: [], ratings: [], isAssumed: true }];
  return [...logged, { kind: 'mount', refs, sink, ways }];
}
