import { looseningFor, withoutDemand } from '../nearMisses';
import { compareFit, isOfKind, matchLot, type LotFacts, type LotMatch } from '../matchLot';
import { ratingsOf, type Demand, type StockFilter } from '../filter';
import { kindRule, kindsServing, RATINGS, type RatingName } from '../../part';
import { questionProblemText, readQuestion } from './readQuestion';
import { questionInWords } from './say';

/** A lot as a question sees it. */
export interface StockItem extends LotFacts {
  readonly code: string;
  readonly marking: string;
  readonly bin: string;
  readonly pieces: number;
  /** Further words it carries: a colour, contacts, the speed of a fuse. */
  readonly tags?: readonly string[];
}

export type Answer =
  | {
      readonly ok: true;
      readonly means: string;
      readonly lots: readonly StockItem[];
      readonly near: readonly StockItem[];
    }
  | { readonly ok: false; readonly problem: string; readonly maybe: readonly string[] };

const MOST_NEAR = 5;

/** Whether a lot carries a word in its marking, its case, its code, or in what is said of it. */
export function carriesWord(
  word: string,
  { marking, package: own, code, subtype, technology, tags = [] }: StockItem,
): boolean {
  const holds = (text: string | null | undefined) => text?.toLowerCase().includes(word) === true;
  return holds(marking) || holds(own) || holds(code) || [subtype, technology, ...tags].includes(word);
}

/** Ratings in which a stand-in must be no less than what it stands in for. */
const LIMITS: readonly string[] = ['volt', 'ampere'];

/** A part that another is to stand in for, as demands: of its kind, and no weaker in volts and amperes. */
export function standInFor(
  filter: StockFilter,
  of: Pick<LotFacts, 'kind' | 'subtype' | 'technology' | 'ratings'>,
): StockFilter {
  const { like, ...rest } = filter;
  const { label, words } = kindRule(of.kind);
  const variant = of.technology ?? of.subtype;
  const limits = kindRule(of.kind).ratings.filter(
    (name) => LIMITS.includes(RATINGS[name].unit) && RATINGS[name].better === 'higher',
  );
  const demands = limits.flatMap((rating): Demand[] => {
    const value = of.ratings[rating]?.value;
    if (value === undefined) return [];
    const comparison = like?.isStronger && RATINGS[rating].unit === 'ampere' ? 'above' : 'at-least';
    return [{ rating, comparison, value }];
  });
  return {
    ...rest,
    kind: filter.kind ?? {
      says: variant ? `${variant} ${label}` : label,
      words: variant ?? words[0] ?? of.kind,
      kinds: kindsServing(of.kind),
      ...(variant ? { variants: [variant] } : {}),
    },
    demands: [...rest.demands, ...demands],
  };
}

/**
 * Answers a question over lots at hand, best first: nearest to what is asked over all that is named, then by grade and pieces.
 * @param typeOf what is known of a type number that no lot carries
 */
export function answerQuestion(
  question: string,
  lots: readonly StockItem[],
  typeOf: (marking: string) => Pick<LotFacts, 'kind' | 'subtype' | 'technology' | 'ratings'> | undefined,
): Answer {
  const read = readQuestion(question);
  if (!read.ok)
    return {
      ok: false,
      problem: questionProblemText(read.problem),
      maybe: 'maybe' in read.problem ? read.problem.maybe : [],
    };
  let { filter } = read;
  const { like } = filter;
  if (like) {
    const known = lots.find((lot) => isSameType(lot.marking, like.marking)) ?? typeOf(like.marking);
    if (!known)
      return {
        ok: false,
        problem: `The ratings of ${like.marking.toUpperCase()} are not known. Say what it must stand.`,
        maybe: [],
      };
    filter = standInFor(filter, known);
  }
  // A word nobody understands may stand in a marking.
  const printed = (filter.unread ?? [])
    .map((word) => word.toLowerCase())
    .filter((word) => lots.some((lot) => carriesWord(word, lot)));
  const { unread, ...asked } = filter;
  const left = unread?.filter((word) => !printed.includes(word.toLowerCase())) ?? [];
  filter = { ...asked, words: [...asked.words, ...printed], ...(left.length > 0 ? { unread: left } : {}) };
  const { words, bin } = filter;
  const here = lots.filter(
    (lot) =>
      words.every((word) => carriesWord(word, lot)) &&
      (bin === undefined || lot.bin.toUpperCase().startsWith(bin)) &&
      (like === undefined || !isSameType(lot.marking, like.marking)),
  );
  const matched = here
    .map((lot) => ({ lot, match: matchLot(filter, lot) }))
    .filter(({ match }) => isMet(match))
    .toSorted((a, b) => compareFit({ ...a.lot, ...a.match }, { ...b.lot, ...b.match }));
  return {
    ok: true,
    means: questionInWords(like ? { ...filter, like } : filter),
    lots: matched.map(({ lot }) => lot),
    near: nearTo(filter, here),
  };
}

const isMet = ({ verdict }: LotMatch) => verdict === 'fits' || verdict === 'limit';
const plain = (marking: string) => marking.toLowerCase().replace(/[^a-z0-9]/g, '');
const isSameType = (own: string, asked: string) => own !== '' && plain(own) === plain(asked);

/** Lots that miss one demand by a little and meet all others. */
function nearTo(filter: StockFilter, lots: readonly StockItem[]): readonly StockItem[] {
  const near = filter.demands.flatMap((demand) =>
    lots.flatMap((lot) => {
      const value = ratingsOf(demand)
        .map((name: RatingName) => lot.ratings[name]?.value)
        .find((own) => own !== undefined);
      const reach = value === undefined ? undefined : looseningFor(demand, value)?.reach;
      return reach !== undefined &&
        (!filter.kind || isOfKind(filter.kind, lot)) &&
        isMet(matchLot(withoutDemand(filter, demand), lot))
        ? [{ lot, reach }]
        : [];
    }),
  );
  return near
    .toSorted((a, b) => a.reach - b.reach)
    .slice(0, MOST_NEAR)
    .map(({ lot }) => lot);
}
