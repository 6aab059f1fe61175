'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import Link from '../frame/Link';
import { useEffect, useRef, useState } from 'react';
import { ListRow } from './ListRow';
import { nextOrder, orderText, rowByKey, type LongPlan, type TableColumn, type TableRow } from './rows';
import { useRowPages } from './useRowPages';
import { withQuery } from '../../address';

/** Pixels; every row is one line, so that the place of each is known without drawing it. */
const ROW_HEIGHT = 30;
/** What is drawn before the box is measured. */
const UNMEASURED = { width: 800, height: 480 };

/** A list too long to draw: only the rows in view are, and they are fetched by the page as they come into view. */
export function LongList<Item>({
  label,
  columns,
  first,
  rowOf,
  total,
  long: { rowsUrl, url, order, orders, usual },
  rowHeight = ROW_HEIGHT,
}: {
  label: string;
  columns: readonly TableColumn[];
  /** The first page of rows. */
  first: readonly Item[];
  rowOf: (item: Item) => TableRow;
  total: number;
  long: LongPlan;
  rowHeight?: number | undefined;
}) {
  const box = useRef<HTMLDivElement>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const [active, setActive] = useState(0);
  const moved = useRef(false);
  const shown = columns.filter(({ hidden }) => !hidden);
  // oxlint-disable-next-line react/incompatible-library -- its functions are read again at every render on purpose
  const virtualizer = useVirtualizer({
    count: total,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 10,
    initialRect: UNMEASURED,
  });
  const items = virtualizer.getVirtualItems();
  const [from, to] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  const { rowAt, failed, retry } = useRowPages({ first, url: rowsUrl, from, to });

  useEffect(() => {
    if (!moved.current) return;
    const row = body.current?.querySelector<HTMLElement>(`[data-index="${active}"]`);
    if (!row) return;
    moved.current = false;
    row.focus({ preventScroll: true });
  });

  function move(key: string, index: number): boolean {
    const next = rowByKey(key, index, total);
    if (next === undefined) return false;
    moved.current = true;
    setActive(next);
    virtualizer.scrollToIndex(next);
    return true;
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
            {shown.map(({ id, chars = 8, from: width }) => (
              <col key={id} data-from={width} style={{ width: `${chars}ch` }} />
            ))}
          </colgroup>
          <thead>
            <tr aria-rowindex={1}>
              {shown.map(({ id, label: name, align, from: width }) => (
                <th
                  key={id}
                  scope="col"
                  data-align={align}
                  data-from={width}
                  aria-sort={order?.by === id ? (order.down ? 'descending' : 'ascending') : undefined}
                >
                  {orders.includes(id) ? (
                    <Link href={withQuery(url, { order: orderText(nextOrder(id, order)) })} className="hover:text-ink">
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
              const item = rowAt(index);
              return (
                <ListRow
                  key={index}
                  row={item && rowOf(item)}
                  columns={shown}
                  index={index}
                  reachable={index === reachable}
                  height={rowHeight}
                  onMove={move}
                />
              );
            })}
            {bottom > 0 && <tr aria-hidden style={{ height: bottom }} />}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[12px] text-ink-2">
        {total.toLocaleString('en-GB')} rows,{' '}
        {order
          ? `by ${columns.find(({ id }) => id === order.by)?.label ?? order.by}; a third press puts them ${usual}.`
          : `${usual}; End goes to the last.`}
      </p>
    </div>
  );
}
