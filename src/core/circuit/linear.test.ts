import { carryOf, multiplyOf, projectOf } from './linear';

// Written-out products and the loops behind the largest of them, against the definition.
test.each(Array.from({ length: 17 }, (_, index) => index + 1))('products of size %d', (n) => {
  let seed = n;
  const entry = () => {
    seed = (seed * 16807) % 2147483647;
    return seed / 2147483647 - 0.5;
  };
  const many = (count: number) => Float64Array.from({ length: count }, entry);
  const [a, b, x] = [many(n * n), many(n * n), many(n)];
  const rows = 2 * n + 1;
  const wide = many(rows * n);
  const times = (matrix: Float64Array, row: number, vector: (inner: number) => number) =>
    Array.from({ length: n }, (_, inner) => matrix[row * n + inner]! * vector(inner)).reduce(
      (sum, one) => sum + one,
      0,
    );
  const close = (got: Float64Array, want: (index: number) => number) =>
    expect(Math.max(...got.map((value, index) => Math.abs(value - want(index))))).toBeLessThan(1e-13);

  const carried = new Float64Array(n);
  carryOf(n)(a, x, carried);
  close(carried, (row) => x[row]! + times(a, row, (inner) => x[inner]!));
  const projected = new Float64Array(rows);
  projectOf(n)(wide, rows, x, projected);
  close(projected, (row) => times(wide, row, (inner) => x[inner]!));
  const product = new Float64Array(n * n);
  multiplyOf(n)(a, b, product);
  close(product, (at) => times(a, Math.floor(at / n), (inner) => b[inner * n + (at % n)]!));
});
