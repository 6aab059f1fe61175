import 'server-only';
import { appContext } from '../../db/appContext';
import { designQuery, designViews, findDesigns } from './design.server';
import { buildLines, buildView } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadBuilds = (limit: number) => buildLines(appContext(), limit);

export const loadBuild = (code: string) => buildView(appContext(), code);

/** Designs of what an address asks for; nothing that cannot be read is taken as typed. */
export async function loadDesigns(typed: unknown) {
  const read = designQuery.safeParse(typed);
  const query = read.success ? read.data : designQuery.parse({});
  const found = await findDesigns(appContext(), query);
  return {
    query,
    problem: found.kind === 'problem' ? found.text : undefined,
    designs: found.kind === 'designs' ? designViews(found) : [],
    searched: found.kind === 'designs' ? found.searched : 0,
  };
}
