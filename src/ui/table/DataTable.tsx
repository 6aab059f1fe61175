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
import { useRouter } from 'next/navigation';
import { useMemo, useState, type KeyboardEvent } from 'react';
import { CellView, LinkCell } from './CellView';
import type { ColumnChoiceProps } from './ColumnChoice';
import type { Cell, TableColumn, TableRow } from './tableTypes';

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

/**
 * Rows to read, sort, filter and open by keyboard: arrows move, Enter opens. Columns are chosen by
 * the person. It filters the rows it was given; a longer list is searched by the page.
 */
export function DataTable({
  label,
  columns,
  rows,
  filter = true,
  choose = true,
}: {
  label: string;
  columns: readonly TableColumn[];
  rows: readonly TableRow[];
  filter?: boolean;
  /** Whether the person may choose columns. */
  choose?: boolean;
}) {
  const router = useRouter();
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
  const labelOf = (id: string) => columns.find((column) => column.id === id)?.label ?? id;
  const align = (id: string) => columns.find((column) => column.id === id)?.align;

  function onKeyDown(event: KeyboardEvent<HTMLTableRowElement>, href: string | undefined) {
    if (event.target !== event.currentTarget) return;
    const { currentTarget: row } = event;
    const step = { ArrowDown: row.nextElementSibling, ArrowUp: row.previousElementSibling }[event.key];
    if (step instanceof HTMLElement) {
      event.preventDefault();
      step.focus();
    } else if (event.key === 'Enter' && href) {
      event.preventDefault();
      router.push(href);
    }
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
                      data-align={align(column.id)}
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
          <tbody>
            {shown.map((row, index) => {
              const { href, open } = row.original;
              return (
                <tr
                  key={row.id}
                  tabIndex={index === 0 ? 0 : -1}
                  data-href={href}
                  data-open={open ? '' : undefined}
                  onKeyDown={(event) => onKeyDown(event, href)}
                  onClick={(event) => {
                    if (href && !(event.target as HTMLElement).closest('a, button, input')) router.push(href);
                  }}
                >
                  {row.getVisibleCells().map((cell, place) => (
                    <td key={cell.id} data-align={align(cell.column.id)}>
                      {place === 0 && href ? (
                        <LinkCell cell={row.original.cells[cell.column.id]} href={href} />
                      ) : (
                        <CellView cell={row.original.cells[cell.column.id]} />
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
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
