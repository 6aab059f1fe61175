'use client';

import { useRouter } from 'next/navigation';
import type { KeyboardEvent } from 'react';
import { CellView, LinkCell } from './CellView';
import type { TableColumn, TableRow } from './rows';

/**
 * A row of a list: its first cell is the link, and a click anywhere else in it or Enter follows it too. One that is still
 * to come holds its place, and the focus.
 */
export function ListRow({
  row,
  columns,
  index,
  reachable,
  height,
  onMove,
}: {
  row: TableRow | undefined;
  columns: readonly TableColumn[];
  index: number;
  /** Whether Tab comes to it. */
  reachable: boolean;
  /** Pixels of a row of a long list, of which not all are drawn. */
  height?: number;
  /** Hears the keys that move between rows; answers whether it took one. */
  onMove: (key: string, index: number) => boolean;
}) {
  const router = useRouter();
  const href = row?.href;

  function onKeyDown(event: KeyboardEvent<HTMLTableRowElement>) {
    if (event.target !== event.currentTarget) return;
    if (onMove(event.key, index)) event.preventDefault();
    else if (event.key === 'Enter' && href) {
      event.preventDefault();
      router.push(href);
    }
  }

  return (
    <tr
      aria-rowindex={height === undefined ? undefined : index + 2}
      data-index={index}
      data-href={href}
      data-open={row?.open ? '' : undefined}
      tabIndex={reachable ? 0 : -1}
      style={{ height }}
      onKeyDown={onKeyDown}
      onClick={(event) => {
        if (href && !(event.target as HTMLElement).closest('a, button, input')) router.push(href);
      }}
    >
      {row ? (
        columns.map(({ id, align, from }, place) => (
          <td
            key={id}
            data-align={align}
            data-from={from}
            title={height === undefined ? undefined : row.cells[id]?.text}
          >
            {place === 0 && href ? (
              <LinkCell cell={row.cells[id]} href={href} name={row.name} />
            ) : (
              <CellView cell={row.cells[id]} />
            )}
          </td>
        ))
      ) : (
        <td colSpan={columns.length} className="text-ink-3">
          row {index + 1} comes …
        </td>
      )}
    </tr>
  );
}
