/** A line of a table that cannot be used. */
export interface RefusedLine {
  readonly line: number;
  readonly what: string;
  readonly why: string;
}

/**
 * The columns of a heading, and what is wrong with them: columns that must be there and are not, and columns that
 * nobody knows, which are left out.
 * @param of.isKnown whether a column is read
 */
export function readHeading(
  cells: readonly string[],
  of: { needed: readonly string[]; isKnown: (column: string) => boolean },
): { columns: readonly string[]; isUsable: boolean; refused: readonly RefusedLine[] } {
  const columns = cells.map((cell) => cell.trim());
  const lower = columns.map((column) => column.toLowerCase());
  const missing = of.needed.filter((name) => !lower.includes(name));
  if (missing.length > 0) {
    const why = `The heading has no column “${missing.join('” and “')}”; at least ${spoken(of.needed)} are expected.`;
    return { columns, isUsable: false, refused: [{ line: 1, what: columns.join(', ').slice(0, 80), why }] };
  }
  const strange = columns.filter((column) => column !== '' && !of.isKnown(column));
  return {
    columns,
    isUsable: true,
    refused: strange.map((column) => ({
      line: 1,
      what: column,
      why: `Column “${column}” is no text column and no rating; it is left out.`,
    })),
  };
}

const spoken = (names: readonly string[]): string => `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
