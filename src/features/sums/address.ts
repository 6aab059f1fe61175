import type { Sum } from '../../core/sums';

/** What a page of a sum shows: what is typed, and what is held beside it. */
export interface AskedSum {
  readonly texts: Readonly<Record<string, string>>;
  readonly beside?: Readonly<Record<string, string>>;
}

/** Before the name of a field that is held beside. */
const BESIDE = 'b.';

/** Reads what is typed out of an address; what is not in it is as usual. */
export function readAsked(sum: Sum, query: URLSearchParams): AskedSum {
  const take = (before: string) =>
    Object.fromEntries(
      sum.fields.flatMap(({ id }) => {
        const text = query.get(before + id);
        return text === null ? [] : [[id, text]];
      }),
    );
  const isBeside = [...query.keys()].some((name) => name.startsWith(BESIDE));
  const texts = take('');
  return { texts, ...(isBeside ? { beside: { ...texts, ...take(BESIDE) } } : {}) };
}

/** The query of an address for what is typed; what is as usual is left out. */
export function queryOf(sum: Sum, { texts, beside }: AskedSum): URLSearchParams {
  const query = new URLSearchParams();
  for (const { id, usual } of sum.fields) {
    const text = texts[id] ?? usual;
    if (text !== usual) query.set(id, text);
  }
  if (!beside) return query;
  for (const { id, usual } of sum.fields) {
    const [here, there] = [texts[id] ?? usual, beside[id] ?? usual];
    if (there !== here) query.set(BESIDE + id, there);
  }
  // It is held beside even while nothing of it differs.
  if (![...query.keys()].some((name) => name.startsWith(BESIDE))) {
    const [first] = sum.fields;
    if (first) query.set(BESIDE + first.id, beside[first.id] ?? first.usual);
  }
  return query;
}
