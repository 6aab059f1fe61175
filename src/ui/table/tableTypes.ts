/** Rows of a list that are shown at first, and fetched at once. */
export const PAGE_ROWS = 50;

/** One cell, plain enough to come from the server. `sort` orders it when the text would not. */
export interface Cell {
  readonly text: string;
  readonly sort?: number;
  readonly as?: 'mono' | 'value' | 'tag' | 'grade' | 'verdict' | 'quiet' | 'strong';
}

export interface TableColumn {
  readonly id: string;
  readonly label: string;
  readonly align?: 'end';
  /** Left out until a person asks for it. */
  readonly hidden?: boolean;
  /** Width in characters, where the rows to come are not known. */
  readonly chars?: number;
}

export interface TableRow {
  readonly id: string;
  readonly href?: string;
  readonly open?: boolean;
  readonly cells: Readonly<Record<string, Cell>>;
}
