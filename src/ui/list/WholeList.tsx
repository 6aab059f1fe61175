'use client';

import dynamic from 'next/dynamic';
import { Fragment, useMemo, useRef, useState } from 'react';
import type { ColumnChoiceProps } from './ColumnChoice';
import { ListRow } from './ListRow';
import { nextOrder, rowByKey, type Cell, type Order, type TableColumn, type TableRow } from './rows';

const ColumnChoice = dynamic(() => import('./ColumnChoice'), { ssr: false });

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
  const [order, setOrder] = useState<Order>();
  const [sought, setSought] = useState('');
  const [hidden, setHidden] = useState<ReadonlySet<string>>(
    () => new Set(columns.filter((column) => column.hidden).map(({ id }) => id)),
  );
  const visible = columns.filter(({ id }) => !hidden.has(id));
  const shown = useMemo(
    () =>
      inOrder(
        rows.filter((row) => carries(row, columns, sought)),
        order,
      ),
    [rows, columns, sought, order],
  );

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
            onChange={(event) => setSought(event.target.value)}
            className="mr-auto h-8 w-44 border-0 border-b border-rule-2 bg-transparent px-0 font-mono text-[13px] outline-none placeholder:text-ink-3 focus:border-ochre"
          />
        )}
        {choose && (
          <ColumnButton
            columns={columns.map(({ id, label: name }) => ({ id, label: name, shown: !hidden.has(id) }))}
            onChoose={(id, isShown) =>
              setHidden(new Set(isShown ? [...hidden].filter((one) => one !== id) : [...hidden, id]))
            }
          />
        )}
      </div>
      <div className="overflow-x-auto">
        <table className="rows" aria-label={label}>
          <thead>
            <tr>
              {visible.map(({ id, label: name, align, from }) => {
                const sorted = order?.by === id ? order : undefined;
                return (
                  <th
                    key={id}
                    scope="col"
                    data-align={align}
                    data-from={from}
                    aria-sort={sorted && (sorted.down ? 'descending' : 'ascending')}
                  >
                    <button type="button" className="hover:text-ink" onClick={() => setOrder(nextOrder(id, order))}>
                      {name}
                      {sorted && (sorted.down ? ' ↓' : ' ↑')}
                    </button>
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody ref={body}>
            {shown.map((row, index) => (
              <Fragment key={row.id}>
                {!order && row.group !== undefined && row.group !== shown[index - 1]?.group && (
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

/** The rows with the unknown last whichever way they go; as they came without an order. */
function inOrder(rows: readonly TableRow[], order: Order | undefined): readonly TableRow[] {
  if (!order) return rows;
  const { by, down } = order;
  // In a column of quantities a word such as “not known” is none.
  const isMeasured = rows.some(({ cells }) => cells[by]?.sort !== undefined);
  const isKnown = ({ cells }: TableRow) =>
    isMeasured ? cells[by]?.sort !== undefined : (cells[by]?.text ?? '') !== '';
  return rows.toSorted((a, b) => {
    const known = Number(isKnown(b)) - Number(isKnown(a));
    return known !== 0 ? known : (down ? -1 : 1) * compare(a.cells[by], b.cells[by]);
  });
}

function compare(a: Cell | undefined, b: Cell | undefined): number {
  if (a?.sort !== undefined && b?.sort !== undefined) return a.sort - b.sort;
  return (a?.text ?? '').localeCompare(b?.text ?? '', 'en', { numeric: true });
}

/** Whether any cell of a row, one out of sight too, holds the text. */
function carries({ cells }: TableRow, columns: readonly TableColumn[], text: string): boolean {
  const wanted = text.trim().toLowerCase();
  return wanted === '' || columns.some(({ id }) => cells[id]?.text.toLowerCase().includes(wanted));
}
