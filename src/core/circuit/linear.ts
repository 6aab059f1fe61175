// Small dense matrices, row by row in one array. The heart of the simulator runs over these: sizes that networks have are written out,
// larger ones are loops.
import * as unrolled from './unrolled';

/**
 * Solves A·X = B for several right-hand sides by elimination with row pivoting; A and B are overwritten, B with X.
 * @returns the column without a pivot, or undefined when A is regular
 */
export function solveInPlace(a: Float64Array, n: number, b: Float64Array, columns: number): number | undefined {
  for (let column = 0; column < n; column += 1) {
    let best = column;
    for (let row = column + 1; row < n; row += 1)
      if (Math.abs(a[row * n + column] ?? 0) > Math.abs(a[best * n + column] ?? 0)) best = row;
    const pivot = a[best * n + column] ?? 0;
    if (!(Math.abs(pivot) > TINY)) return column;
    if (best !== column) {
      swapRows(a, n, best, column);
      swapRows(b, columns, best, column);
    }
    for (let row = column + 1; row < n; row += 1) {
      const factor = (a[row * n + column] ?? 0) / pivot;
      if (factor === 0) continue;
      for (let index = column; index < n; index += 1) a[row * n + index]! -= factor * a[column * n + index]!;
      for (let index = 0; index < columns; index += 1)
        b[row * columns + index]! -= factor * b[column * columns + index]!;
    }
  }
  for (let row = n - 1; row >= 0; row -= 1) {
    const pivot = a[row * n + row]!;
    for (let index = 0; index < columns; index += 1) {
      let sum = b[row * columns + index]!;
      for (let other = row + 1; other < n; other += 1) sum -= a[row * n + other]! * b[other * columns + index]!;
      b[row * columns + index] = sum / pivot;
    }
  }
  return undefined;
}

const TINY = 1e-300;

function swapRows(m: Float64Array, width: number, one: number, other: number): void {
  for (let index = 0; index < width; index += 1) {
    const kept = m[one * width + index]!;
    m[one * width + index] = m[other * width + index]!;
    m[other * width + index] = kept;
  }
}

type Carry = (a: Float64Array, x: Float64Array, y: Float64Array) => void;
type Project = (a: Float64Array, count: number, x: Float64Array, y: Float64Array) => void;
type Multiply = (a: Float64Array, b: Float64Array, c: Float64Array) => void;

/** What works out C = A·B, all n by n. */
export const multiplyOf = (n: number): Multiply =>
  unrolled.multiply[n] ??
  ((a, b, c) => {
    for (let row = 0; row < n; row += 1) {
      const at = row * n;
      for (let column = 0; column < n; column += 1) c[at + column] = 0;
      for (let inner = 0; inner < n; inner += 1) {
        const factor = a[at + inner]!;
        if (factor === 0) continue;
        const from = inner * n;
        for (let column = 0; column < n; column += 1) c[at + column]! += factor * b[from + column]!;
      }
    }
  });

/** A row of A, from where it begins, times x: in four sums, so that additions do not wait for each other. */
function rowTimes(a: Float64Array, from: number, n: number, x: Float64Array): number {
  const inFours = n - (n % 4);
  let one = 0;
  let two = 0;
  let three = 0;
  let four = 0;
  for (let column = 0; column < inFours; column += 4) {
    const at = from + column;
    one += a[at]! * x[column]!;
    two += a[at + 1]! * x[column + 1]!;
    three += a[at + 2]! * x[column + 2]!;
    four += a[at + 3]! * x[column + 3]!;
  }
  for (let column = inFours; column < n; column += 1) one += a[from + column]! * x[column]!;
  return one + two + (three + four);
}

/** What works out y = A·x for so many rows of n. */
export const projectOf = (n: number): Project =>
  unrolled.project[n] ??
  ((a, count, x, y) => {
    for (let row = 0; row < count; row += 1) y[row] = rowTimes(a, row * n, n, x);
  });

/** What works out y = x + A·x, A being n by n. */
export const carryOf = (n: number): Carry =>
  unrolled.carry[n] ??
  ((a, x, y) => {
    for (let row = 0; row < n; row += 1) y[row] = x[row]! + rowTimes(a, row * n, n, x);
  });

/** The largest entry of each row of sizes. */
export function largestOf(rows: Float64Array, count: number, n: number): Float64Array {
  const largest = new Float64Array(count);
  for (let row = 0, at = 0; row < count; row += 1)
    for (let column = 0; column < n; column += 1, at += 1) if (rows[at]! > largest[row]!) largest[row] = rows[at]!;
  return largest;
}

/** The lower Cholesky factor of a symmetric matrix; undefined when it is not positive definite. */
export function cholesky(a: Float64Array, n: number): Float64Array | undefined {
  const l = new Float64Array(n * n);
  for (let row = 0; row < n; row += 1)
    for (let column = 0; column <= row; column += 1) {
      let sum = a[row * n + column]!;
      for (let inner = 0; inner < column; inner += 1) sum -= l[row * n + inner]! * l[column * n + inner]!;
      if (row === column) {
        if (!(sum > 0)) return undefined;
        l[row * n + row] = Math.sqrt(sum);
      } else l[row * n + column] = sum / l[column * n + column]!;
    }
  return l;
}
