'use client';

import {
  columnFilteringFeature,
  columnVisibilityFeature,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';
import dynamic from 'next/dynamic';
import { Fragment, useMemo, useRef, useState } from 'react';
import type { ColumnChoiceProps } from './ColumnChoice';
import { ListRow } from './ListRow';
import { rowByKey, type Cell, type TableColumn, type TableRow } from './rows';

const ColumnChoice = dynamic(() => import('./ColumnChoice'), { ssr: false });

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
  columnFilteringFeature,
  globalFilteringFeature,
  filteredRowModel: createFilteredRowModel(),
  filterFns: { includesString: filterFn_includesString },
  columnVisibilityFeature,
});

/** A list whose rows are all here: sorted, filtered and cut to the columns one wants on the spot. */
export function WholeList({
  label,
  columns,
  rows,
  filter = true,
  choose = true,
}: {
  label: string;
  columns: readonly TableColumn[];
  rows: readonly TableRow[];
  filter?: boolean | undefined;
  /** Whether the person may choose columns. */
  choose?: boolean | undefined;
}) {
  const body = useRef<HTMLTableSectionElement>(null);
  const definitions = useMemo(
    () =>
      columns.map((column): ColumnDef<typeof features, TableRow> => ({
        id: column.id,
        header: column.label,
        accessorFn: (row) => row.cells[column.id]?.text ?? '',
        sortFn: (a, b) => compare(a.original.cells[column.id], b.original.cells[column.id]),
      })),
    [columns],
  );
  const [hidden] = useState(() =>
    Object.fromEntries(columns.filter((column) => column.hidden).map(({ id }) => [id, false])),
  );
  const table = useTable({
    features,
    columns: definitions,
    data: rows as TableRow[],
    getRowId: (row: TableRow) => row.id,
    initialState: { columnVisibility: hidden },
    globalFilterFn: 'includesString',
    getColumnCanGlobalFilter: () => true,
  });
  const shown = table.getRowModel().rows;
  const columnOf = (id: string) => columns.find((column) => column.id === id);
  const labelOf = (id: string) => columnOf(id)?.label ?? id;
  const visible = columns.filter(({ id }) => table.getColumn(id)?.getIsVisible());
  const isAsItCame = table.state.sorting.length === 0;

  function move(key: string, index: number): boolean {
    const to = rowByKey(key, index, shown.length);
    if (to !== undefined) body.current?.querySelector<HTMLElement>(`[data-index="${to}"]`)?.focus();
    return to !== undefined;
  }

  return (
    <div>
      <div className="flex items-center justify-end gap-3 text-[12px] text-ink-2">
        {filter && rows.length > 5 && (
          <input
            aria-label={`Filter ${label}`}
            placeholder="filter these rows"
            onChange={(event) => table.setGlobalFilter(event.target.value)}
            className="mr-auto h-8 w-44 border-0 border-b border-rule-2 bg-transparent px-0 font-mono text-[13px] outline-none placeholder:text-ink-3 focus:border-ochre"
          />
        )}
        {choose && (
          <ColumnButton
            columns={table
              .getAllLeafColumns()
              .map((column) => ({ id: column.id, label: labelOf(column.id), shown: column.getIsVisible() }))}
            onChoose={(id, shown) => table.getColumn(id)?.toggleVisibility(shown)}
          />
        )}
      </div>
      <div className="overflow-x-auto">
        <table className="rows" aria-label={label}>
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                {group.headers.map(({ id, column }) => {
                  const sorted = column.getIsSorted();
                  return (
                    <th
                      key={id}
                      scope="col"
                      data-align={columnOf(column.id)?.align}
                      data-from={columnOf(column.id)?.from}
                      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
                    >
                      <button type="button" className="hover:text-ink" onClick={() => column.toggleSorting()}>
                        {labelOf(column.id)}
                        {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                      </button>
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody ref={body}>
            {shown.map(({ id, original: row }, index) => (
              <Fragment key={id}>
                {isAsItCame && row.group !== undefined && row.group !== shown[index - 1]?.original.group && (
                  <tr className="bg-none!">
                    <th scope="rowgroup" colSpan={visible.length} className="pt-3">
                      {row.group}
                    </th>
                  </tr>
                )}
                <ListRow row={row} columns={visible} index={index} reachable={index === 0} onMove={move} />
              </Fragment>
            ))}
          </tbody>
        </table>
        {shown.length === 0 && <p className="py-3 text-[13px] text-ink-2">No row fits.</p>}
      </div>
    </div>
  );
}

function ColumnButton(props: ColumnChoiceProps) {
  const [asked, setAsked] = useState(false);
  return asked ? (
    <ColumnChoice {...props} />
  ) : (
    <button type="button" className="btn" data-tone="quiet" onClick={() => setAsked(true)}>
      columns
    </button>
  );
}

function compare(a: Cell | undefined, b: Cell | undefined): number {
  if (a?.sort !== undefined && b?.sort !== undefined) return a.sort - b.sort;
  if (a?.sort !== undefined || b?.sort !== undefined) return a?.sort === undefined ? 1 : -1;
  return (a?.text ?? '').localeCompare(b?.text ?? '', 'en', { numeric: true });
}
