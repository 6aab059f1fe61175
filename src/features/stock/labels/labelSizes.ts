/** A label, in millimetres. On a sheet several stand in columns and rows; on a roll each is a page of its own. */
export interface LabelSize {
  readonly id: string;
  readonly label: string;
  readonly width: number;
  readonly height: number;
  readonly sheet?: {
    readonly width: number;
    readonly height: number;
    readonly columns: number;
    readonly rows: number;
    /** From the sheet's edges to the first label. */
    readonly left: number;
    readonly top: number;
    /** From one label's beginning to the next. */
    readonly stepX: number;
    readonly stepY: number;
  };
}

const A4 = { width: 210, height: 297 } as const;

/** Labels as they are sold, by their size. Common practice, no source: measure your sheet before you print a stack. */
export const LABEL_SIZES: readonly LabelSize[] = [
  { id: '62x29', label: 'roll, 62 × 29 mm', width: 62, height: 29 },
  { id: '90x38', label: 'roll, 90 × 38 mm', width: 90, height: 38 },
  { id: '40x20', label: 'roll, 40 × 20 mm', width: 40, height: 20 },
  {
    id: 'a4-24',
    label: 'A4 sheet, 24 of 70 × 37 mm',
    width: 70,
    height: 37,
    sheet: { ...A4, columns: 3, rows: 8, left: 0, top: 0.5, stepX: 70, stepY: 37 },
  },
  {
    id: 'a4-40',
    label: 'A4 sheet, 40 of 48.5 × 25.4 mm',
    width: 48.5,
    height: 25.4,
    sheet: { ...A4, columns: 4, rows: 10, left: 8, top: 21.5, stepX: 48.5, stepY: 25.4 },
  },
];

/** The size with an id; the first when there is none. */
export function labelSize(id: string | undefined): LabelSize {
  const [first] = LABEL_SIZES;
  return LABEL_SIZES.find((size) => size.id === id) ?? (first as LabelSize);
}
