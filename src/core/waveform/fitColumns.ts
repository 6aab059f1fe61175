/** Coefficients of a sum of columns, each with its standard uncertainty. */
export interface ColumnFit {
  readonly coefficients: readonly number[];
  readonly uncertainties: readonly number[];
  /** Sum of the squares of what the columns leave over. */
  readonly residual: number;
}

/** A column of which no more than this share is left beside the others depends on them. */
const DEPENDENT = 1e-10;

/**
 * The sum of columns that comes nearest to `values` by least squares. A column that depends on
 * those before it is left out, with an infinite uncertainty. Cost: samples × columns². Method: QR by modified Gram and Schmidt (Björck 1967, from memory).
 * @param columns each as long as `values`
 */
export function fitColumns(columns: readonly Float64Array[], values: Float64Array): ColumnFit {
  const basis = columns.map((column) => Float64Array.from(column));
  const upper = basis.map(() => new Float64Array(basis.length));
  const rest = Float64Array.from(values);
  const own = basis.map((column) => Math.sqrt(dot(column, column)));
  const isFree: boolean[] = [];
  const shares = basis.map((column, at) => {
    const size = Math.sqrt(dot(column, column));
    isFree[at] = size > DEPENDENT * (own[at] ?? 0);
    upper[at]![at] = isFree[at] ? size : Infinity;
    for (let row = 0; row < column.length; row += 1) column[row] = isFree[at] ? (column[row] ?? 0) / size : 0;
    for (let later = at + 1; later < basis.length; later += 1) {
      const other = basis[later]!;
      upper[at]![later] = takeOff(other, column);
    }
    return takeOff(rest, column);
  });
  const residual = dot(rest, rest);
  const inverse = invertUpper(upper);
  const spread = Math.sqrt(residual / Math.max(1, values.length - columns.length));
  return {
    coefficients: inverse.map((row) => row.reduce((sum, factor, at) => sum + factor * (shares[at] ?? 0), 0)),
    uncertainties: inverse.map((row, at) => (isFree[at] ? spread * Math.hypot(...row) : Infinity)),
    residual,
  };
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let row = 0; row < a.length; row += 1) sum += (a[row] ?? 0) * (b[row] ?? 0);
  return sum;
};

/** Takes from `of` what lies along the unit vector, and tells how much that was. */
function takeOff(of: Float64Array, unit: Float64Array): number {
  const share = dot(of, unit);
  for (let row = 0; row < of.length; row += 1) of[row] = (of[row] ?? 0) - share * (unit[row] ?? 0);
  return share;
}

function invertUpper(upper: readonly Float64Array[]): Float64Array[] {
  const size = upper.length;
  const inverse = upper.map(() => new Float64Array(size));
  for (let column = 0; column < size; column += 1)
    for (let row = column; row >= 0; row -= 1) {
      let sum = row === column ? 1 : 0;
      for (let at = row + 1; at <= column; at += 1) sum -= (upper[row]?.[at] ?? 0) * (inverse[at]?.[column] ?? 0);
      inverse[row]![column] = sum / (upper[row]?.[row] ?? 0);
    }
  return inverse;
}
