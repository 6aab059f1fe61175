'use client';

import dynamic from 'next/dynamic';
import type { LongList as LongListOf } from './LongList';
import type { LongPlan, TableColumn, TableRow } from './rows';

// A page loads the one it shows.
const WholeList = dynamic(() => import('./WholeList').then((loaded) => loaded.WholeList));
const LongList = dynamic(() => import('./LongList').then((loaded) => loaded.LongList)) as typeof LongListOf;

/**
 * Rows to read, put in order and open by keyboard: arrows, Page, Home and End move, Enter opens. A list whose rows are all
 * here is sorted, filtered and cut to the columns one wants on the spot; of a longer one only the rows in view are drawn,
 * they are fetched as they come into view, and the server puts them in order.
 * @param rowOf makes a row of what was fetched; without it what comes is a row
 */
export function List<Item = TableRow>({
  label,
  columns,
  items,
  rowOf = (item) => item as unknown as TableRow,
  total = items.length,
  long,
  filter,
  choose,
  rowHeight,
}: {
  label: string;
  columns: readonly TableColumn[];
  items: readonly Item[];
  rowOf?: (item: Item) => TableRow;
  total?: number | undefined;
  long?: LongPlan | undefined;
  filter?: boolean;
  choose?: boolean;
  /** Pixels, when a row is more than one line. */
  rowHeight?: number;
}) {
  if (long && total > items.length)
    return (
      <LongList
        // Another question or order begins at the top again.
        key={long.rowsUrl}
        label={label}
        columns={columns}
        first={items}
        rowOf={rowOf}
        total={total}
        long={long}
        rowHeight={rowHeight}
      />
    );
  return <WholeList label={label} columns={columns} rows={items.map(rowOf)} filter={filter} choose={choose} />;
}
