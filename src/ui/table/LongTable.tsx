'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { CellView, LinkCell } from './CellView';
import type { TableColumn, TableRow } from './tableTypes';
import { useRowPages } from './useRowPages';

/** Pixels; every row is one line, so that the place of each is known without drawing it. */
const ROW_HEIGHT = 30;
const ROWS_A_LEAP = 10;
/** What is drawn before the box is measured. */
const UNMEASURED = { width: 800, height: 480 };

/** Upwards, downwards, and back to the newest first. */
function nextOrder(id: string, order: { readonly by: string; readonly down: boolean } | null): string {
  if (order?.by !== id) return `&order=${id}`;
  return order.down ? '' : `&order=-${id}`;
}

/**
 * A list too long to draw: only the rows in view are, and they are fetched by the page as they come into view. Arrows,
 * Page, Home and End move, Enter opens. The server puts them in order, so that a heading asks for the list again.
 * @param first the first page of rows
 * @param url where page `n` is fetched as JSON, with `&page=n` added
 * @param order the column that the list is in order by; the newest come first without one
 * @param orders columns that it can be in order by
 * @param orderUrl the page of the list, with `&order=column` or `&order=-column` added
 */
export function LongTable({
  label,
  columns,
  first,
  total,
  url,
  order,
  orders,
  orderUrl,
}: {
  label: string;
  columns: readonly TableColumn[];
  first: readonly TableRow[];
  total: number;
  url: string;
  order: { readonly by: string; readonly down: boolean } | null;
  orders: readonly string[];
  orderUrl: string;
}) {
  const router = useRouter();
  const box = useRef<HTMLDivElement>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const [active, setActive] = useState(0);
  const moved = useRef(false);
  const shown = columns.filter(({ hidden }) => !hidden);
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions are read again at every render on purpose
  const virtualizer = useVirtualizer({
    count: total,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 10,
    initialRect: UNMEASURED,
  });
  const items = virtualizer.getVirtualItems();
  const [from, to] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  const { rowAt, failed, retry } = useRowPages({ first, url, from, to });

  useEffect(() => {
    if (!moved.current) return;
    const row = body.current?.querySelector<HTMLElement>(`[data-index="${active}"]`);
    if (!row) return;
    moved.current = false;
    row.focus({ preventScroll: true });
  });

  function onKeyDown(event: KeyboardEvent<HTMLTableRowElement>, index: number, href: string | undefined) {
    const to = {
      ArrowDown: index + 1,
      ArrowUp: index - 1,
      PageDown: index + ROWS_A_LEAP,
      PageUp: index - ROWS_A_LEAP,
      Home: 0,
      End: total - 1,
    }[event.key];
    if (to !== undefined) {
      event.preventDefault();
      const next = Math.max(0, Math.min(total - 1, to));
      moved.current = true;
      setActive(next);
      virtualizer.scrollToIndex(next);
    } else if (event.key === 'Enter' && href) {
      event.preventDefault();
      router.push(href);
    }
  }

  const top = items[0]?.start ?? 0;
  const bottom = virtualizer.getTotalSize() - (items.at(-1)?.end ?? 0);
  // The row that Tab comes to must be drawn.
  const reachable = active >= from && active <= to ? active : from;
  return (
    <div>
      {failed && (
        <p role="alert" className="mb-2 flex items-center gap-3 text-[13px] text-stop">
          Some rows did not come.
          <button type="button" className="btn" onClick={retry}>
            Try again
          </button>
        </p>
      )}
      <div ref={box} className="max-h-[62vh] overflow-auto border-b border-rule-2">
        <table className="rows long" aria-label={label} aria-rowcount={total + 1}>
          <colgroup>
            {shown.map(({ id, chars = 8 }) => (
              <col key={id} style={{ width: `${chars}ch` }} />
            ))}
          </colgroup>
          <thead>
            <tr aria-rowindex={1}>
              {shown.map(({ id, label: name, align }) => (
                <th
                  key={id}
                  scope="col"
                  data-align={align}
                  aria-sort={order?.by === id ? (order.down ? 'descending' : 'ascending') : undefined}
                >
                  {orders.includes(id) ? (
                    <Link href={`${orderUrl}${nextOrder(id, order)}`} prefetch={false} className="hover:text-ink">
                      {name}
                      {order?.by === id && (order.down ? ' ↓' : ' ↑')}
                    </Link>
                  ) : (
                    name
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {top > 0 && <tr aria-hidden style={{ height: top }} />}
            {items.map(({ index }) => {
              const row = rowAt(index);
              return (
                <tr
                  key={index}
                  aria-rowindex={index + 2}
                  data-index={index}
                  data-href={row?.href}
                  tabIndex={index === reachable ? 0 : -1}
                  style={{ height: ROW_HEIGHT }}
                  onKeyDown={(event) => onKeyDown(event, index, row?.href)}
                  onClick={(event) => {
                    if (row?.href && !(event.target as HTMLElement).closest('a')) router.push(row.href);
                  }}
                >
                  {row ? (
                    shown.map(({ id, align }, place) => (
                      <td key={id} data-align={align} title={row.cells[id]?.text}>
                        {place === 0 && row.href ? (
                          <LinkCell cell={row.cells[id]} href={row.href} />
                        ) : (
                          <CellView cell={row.cells[id]} />
                        )}
                      </td>
                    ))
                  ) : (
                    <td colSpan={shown.length} className="text-ink-3">
                      row {index + 1} comes …
                    </td>
                  )}
                </tr>
              );
            })}
            {bottom > 0 && <tr aria-hidden style={{ height: bottom }} />}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[12px] text-ink-2">
        {total.toLocaleString('en-GB')} rows,{' '}
        {order
          ? `by ${columns.find(({ id }) => id === order.by)?.label ?? order.by}; a third press puts the newest first.`
          : 'newest first; End goes to the oldest.'}
      </p>
    </div>
  );
}
