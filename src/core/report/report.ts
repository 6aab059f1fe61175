/** A pin on a picture, in shares of its width and height. */
export interface ReportPin {
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly note: string;
}

/** What a report is made of. A file is a path within what the report is kept in. */
export type Block =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'caution'; readonly text: string }
  | { readonly kind: 'facts'; readonly rows: readonly (readonly [label: string, value: string])[] }
  | { readonly kind: 'list'; readonly items: readonly string[]; readonly isOrdered?: boolean }
  | {
      readonly kind: 'table';
      readonly label: string;
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  | {
      readonly kind: 'picture';
      readonly file: string;
      readonly caption: string;
      readonly width: number;
      readonly height: number;
      readonly pins: readonly ReportPin[];
    }
  | { readonly kind: 'drawing'; readonly file: string; readonly caption: string; readonly svg: string }
  | { readonly kind: 'plot'; readonly file: string; readonly caption: string; readonly lines: readonly PlotLine[] };

/** A course over seconds. */
export interface PlotLine {
  readonly label: string;
  readonly unit: string;
  readonly points: readonly { readonly t: number; readonly v: number }[];
}

export interface ReportSection {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly Block[];
}

/** A unit or a build as another person could follow it. */
export interface Report {
  readonly title: string;
  readonly subtitle: string;
  readonly sections: readonly ReportSection[];
}

/** Whether there is anything in a block. */
const says = (block: Block): boolean =>
  block.kind === 'facts'
    ? block.rows.length > 0
    : block.kind === 'list'
      ? block.items.length > 0
      : block.kind === 'table'
        ? block.rows.length > 0
        : block.kind === 'text' || block.kind === 'caution'
          ? block.text !== ''
          : true;

/** A report of those sections that say something. */
export function reportOf({ sections, ...rest }: Report): Report {
  return {
    ...rest,
    sections: sections
      .map((section) => ({ ...section, blocks: section.blocks.filter(says) }))
      .filter(({ blocks }) => blocks.length > 0),
  };
}
