import { decodeMarking } from '../../core/marking';
import type { RatingName } from '../../core/part';
import {
  questionInWords,
  questionProblemText,
  readQuestion,
  standInFor,
  type LotFacts,
  type StockFilter,
} from '../../core/stock';
import type { Queryable } from '../../db/client';
import { pageOfLots } from '../../db/repositories/lotSearch';
import { findType } from '../../db/repositories/types';

/** A question to the drawers with what it was understood as, or what is asked back. */
export type Asked =
  | { readonly ok: true; readonly filter: StockFilter; readonly means: string }
  | { readonly ok: false; readonly problem: string; readonly maybe: readonly string[] };

type Known = Pick<LotFacts, 'kind' | 'subtype' | 'technology' | 'ratings'>;

/**
 * Reads a question with what the shop knows: the ratings of a type that something is to stand in for, and words that no table has
 * but a marking in the drawers.
 */
export async function ask(db: Queryable, text: string): Promise<Asked> {
  const read = readQuestion(text);
  if (!read.ok)
    return {
      ok: false,
      problem: questionProblemText(read.problem),
      maybe: 'maybe' in read.problem ? await thoseThatFind(db, read.problem.maybe) : [],
    };
  const { unread = [], ...filter } = read.filter;
  const carried = await Promise.all(
    unread.map(async (word) => ({ word, is: await isCarried(db, word.toLowerCase()) })),
  );
  const left = carried.filter(({ is }) => !is).map(({ word }) => word);
  const asked: StockFilter = {
    ...filter,
    words: [...filter.words, ...carried.filter(({ is }) => is).map(({ word }) => word.toLowerCase())],
    ...(left.length > 0 ? { unread: left } : {}),
  };
  if (!asked.like) return { ok: true, filter: asked, means: questionInWords(asked) };
  const known = await typeNamed(db, asked.like.marking);
  if (!known)
    return {
      ok: false,
      problem: `The ratings of ${asked.like.marking.toUpperCase()} are not known. Say what it must stand, like nmos 600V 2A.`,
      maybe: [],
    };
  const standIn = standInFor(asked, known);
  return { ok: true, filter: standIn, means: questionInWords({ ...standIn, like: asked.like }) };
}

/** Questions that find something, of those that may be meant; all where none does. */
async function thoseThatFind(db: Queryable, maybe: readonly string[]): Promise<readonly string[]> {
  const found = await Promise.all(
    maybe.map(async (text) => {
      const read = readQuestion(text);
      return read.ok && (await pageOfLots(db, read.filter, { page: 0, size: 1 })).length > 0 ? [text] : [];
    }),
  );
  const all = found.flat();
  return all.length > 0 ? all : maybe;
}

const isCarried = async (db: Queryable, word: string) =>
  (await pageOfLots(db, { demands: [], words: [word] }, { page: 0, size: 1 })).length > 0;

const plain = (marking: string) => marking.toLowerCase().replace(/[^a-z0-9]/g, '');
/** Lots looked through for a type by its number. */
const SEEN = 20;

/** What is known of a type: by a lot that carries it, by the types of the shop, else by its number alone. */
async function typeNamed(db: Queryable, marking: string): Promise<Known | undefined> {
  const lots = await pageOfLots(db, { demands: [], words: [marking] }, { page: 0, size: SEEN });
  const same = lots.find(({ lot }) => plain(lot.marking) === plain(marking));
  if (same) return { ...same.lot, ratings: same.ratings };
  const [best] = decodeMarking(marking.toUpperCase(), {});
  if (!best) return undefined;
  const type = await findType(db, best.kind, marking.toUpperCase());
  const decoded = Object.fromEntries(
    Object.entries(best.ratings).map(([name, value]) => [name, { value, source: 'decoded' as const }]),
  ) as Partial<Record<RatingName, { value: number; source: 'decoded' }>>;
  return { kind: best.kind, ratings: { ...decoded, ...(type ? type.ratings : {}) } };
}
