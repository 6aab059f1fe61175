import { isNeedRole, isRole, type ColumnRole, type NeedRole } from '../../core/stock';
import type { AppContext } from '../../db/context';
import { keepSaidOfList, saidOfList, type SaidOfList } from '../../db/repositories/settings';

/** Lists whose columns a person may put right. */
export type ListSort = 'lots' | 'types' | 'needs';

/** What a person put right of a list, as the page sends it; nothing when they left it as it was read. */
export interface SaidOfColumns {
  readonly roles?: readonly (string | undefined)[] | undefined;
  readonly bin?: string | undefined;
}

/**
 * What counts of the columns of a list: what a person says now, which is kept for the next one with the same headings, else what
 * was said of such a list before.
 */
export async function remembered(
  app: AppContext,
  sort: ListSort,
  headings: readonly string[],
  said: SaidOfColumns,
): Promise<SaidOfList> {
  const isSaid = said.roles?.some((role) => role !== undefined) === true || (said.bin ?? '') !== '';
  if (!isSaid) return (await saidOfList(app.db.read, sort, headings)) ?? { roles: [], bin: '' };
  const now = { roles: (said.roles ?? []).map((role) => role ?? null), bin: said.bin ?? '' };
  await keepSaidOfList(app, sort, headings, now);
  return now;
}

/** Roles of a list of lots or types among what is kept. */
export const lotRoles = ({ roles }: SaidOfList): readonly (ColumnRole | undefined)[] =>
  roles.map((role) => (role !== null && isRole(role) ? role : undefined));

/** Roles of a list of needs among what is kept. */
export const needRoles = ({ roles }: SaidOfList): readonly (NeedRole | undefined)[] =>
  roles.map((role) => (role !== null && isNeedRole(role) ? role : undefined));
