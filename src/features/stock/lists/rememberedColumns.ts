import type { SheetColumn } from '../../../core/stock';

/** What was said of lists with the same headings is kept in this browser: a list is made again and again by one person. */
const keyOf = (columns: readonly SheetColumn[]) =>
  `zorvek.columns.${columns.map(({ heading }) => heading.toLowerCase()).join('|')}`;

/** What is added to the address for a list with these headings. */
export type SaidOfList = Readonly<{ roles: string; bin: string }>;

export function rememberColumns(columns: readonly SheetColumn[], said: SaidOfList): void {
  try {
    localStorage.setItem(keyOf(columns), JSON.stringify(said));
  } catch {
    // A browser that keeps nothing asks again next time.
  }
}

export function rememberedColumns(columns: readonly SheetColumn[]): SaidOfList | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(columns)) ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('roles' in kept) || !('bin' in kept)) return undefined;
    return typeof kept.roles === 'string' && typeof kept.bin === 'string'
      ? { roles: kept.roles, bin: kept.bin }
      : undefined;
  } catch {
    return undefined;
  }
}
