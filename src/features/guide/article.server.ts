import 'server-only';
import { chipByMarking } from '../../core/chips';
import { articleById, type GuideArticle } from '../../core/guide';
import type { Queryable } from '../../db/client';
import { settledOfMarkings } from '../../db/repositories/notes';
import { chipMarkingsMet, packagesMet, seamsMet, type MetIn } from '../../db/repositories/met';

/** Donors named at a line. */
const SHOWN = 6;

export interface ArticleView {
  readonly article: GuideArticle;
  /** Codes of donors by the id of the line they were met in. */
  readonly met: Readonly<Record<string, readonly string[]>>;
}

/** An article with the donors of the shop in which its lines were met. */
export async function articleView(db: Queryable, id: string): Promise<ArticleView | undefined> {
  const article = articleById(id);
  if (!article) return undefined;
  const kinds = new Set(article.lines.flatMap(({ met }) => (met ? [met.kind] : [])));
  const [seams, packages]: readonly (readonly MetIn[])[] = await Promise.all([
    kinds.has('seam') ? seamsMet(db) : [],
    kinds.has('package') ? packagesMet(db) : [],
  ]);
  const codes = (rows: readonly MetIn[] | undefined, name: string) =>
    (rows ?? []).filter((row) => row.name === name).map(({ code }) => code);
  return {
    article,
    met: Object.fromEntries(
      article.lines.flatMap(({ id: line, met }) => {
        if (!met || met.kind === 'marking') return [];
        const found = codes(met.kind === 'seam' ? seams : packages, met.name);
        return found.length > 0 ? [[line, found.slice(0, SHOWN)]] : [];
      }),
    ),
  };
}

/** Donors in which a chip of a family was read. */
export async function chipMet(db: Queryable, family: string): Promise<readonly string[]> {
  const rows = await chipMarkingsMet(db);
  return [...new Set(rows.filter(({ name }) => chipByMarking(name)?.id === family).map(({ code }) => code))].slice(
    0,
    SHOWN,
  );
}

/** What the shop asked and settled about chips of a family. */
export async function chipLearnt(
  db: Queryable,
  family: string,
): Promise<readonly { readonly text: string; readonly code: string }[]> {
  const rows = await settledOfMarkings(db);
  return rows
    .filter(({ marking }) => chipByMarking(marking)?.id === family)
    .slice(0, SHOWN)
    .map(({ text, because, code }) => ({ text: because === '' ? text : `${text}: ${because}`, code }));
}
