import type { ReactNode } from 'react';

/** Rows of a list that are shown at first, and fetched at once. */
export const PAGE_ROWS = 50;

/** One cell, plain enough to come from the server. `sort` orders it when the text would not. */
export interface Cell {
  readonly text: string;
  readonly sort?: number;
  readonly as?: 'mono' | 'value' | 'tag' | 'grade' | 'verdict' | 'quiet' | 'strong';
  /** Shown in place of the text, which still sorts and filters. */
  readonly shown?: ReactNode;
}

export interface TableColumn {
  readonly id: string;
  readonly label: string;
  readonly align?: 'end';
  /** Left out until a person asks for it. */
  readonly hidden?: boolean;
  /** Left out on a screen narrower than so many pixels. */
  readonly from?: 620 | 1080;
  /** Width in characters, where the rows to come are not known. */
  readonly chars?: number;
}

export interface TableRow {
  readonly id: string;
  readonly href?: string;
  /** What its link is called, where the first cell alone would not tell. */
  readonly name?: string;
  readonly open?: boolean;
  /** What heads this row and its neighbours of the same group, as long as the list is as it came. */
  readonly group?: string;
  readonly cells: Readonly<Record<string, Cell>>;
}

/** The column that a list is in order by. */
export interface Order<By extends string = string> {
  readonly by: By;
  readonly down: boolean;
}

/** A list of which more is to come: where its pages are, and the orders the server can put it in. */
export interface LongPlan {
  /** Where page `n` of its rows is fetched as JSON, with `page=n` added. */
  readonly rowsUrl: string;
  /** The list itself, with `order=column` or `order=-column` added. */
  readonly url: string;
  /** The column it is in order by; without one it is as it comes. */
  readonly order: Order | null;
  readonly orders: readonly string[];
  /** How it comes when nobody asked for an order, such as `newest first`. */
  readonly usual: string;
}

/** An order as it stands in an address: `pieces`, or `-pieces` with the most first; empty for none. */
export function orderText(order: Order | null | undefined): string {
  return order ? `${order.down ? '-' : ''}${order.by}` : '';
}

/** The order that an address asks for; none when it is none of the names. */
export function readOrder<By extends string>(text: string, names: readonly By[]): Order<By> | undefined {
  const by = names.find((name) => name === text.replace(/^-/, ''));
  return by && { by, down: text.startsWith('-') };
}

/** What a press on the heading of a column asks for: upwards, downwards, and then as the list comes. */
export function nextOrder(by: string, order: Order | null | undefined): Order | undefined {
  if (order?.by !== by) return { by, down: false };
  return order.down ? undefined : { by, down: true };
}

/** Where a key leads from a row of a list: rows a leap for Page, the ends for Home and End; none for other keys. */
export function rowByKey(key: string, index: number, total: number): number | undefined {
  const to = {
    ArrowDown: index + 1,
    ArrowUp: index - 1,
    PageDown: index + ROWS_A_LEAP,
    PageUp: index - ROWS_A_LEAP,
    Home: 0,
    End: total - 1,
  }[key];
  return to === undefined ? undefined : Math.max(0, Math.min(total - 1, to));
}
const ROWS_A_LEAP = 10;
