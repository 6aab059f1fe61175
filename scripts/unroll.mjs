// Writes src/core/circuit/unrolled.ts: products of small matrices with the loops written out, a function for each size. Engines run
// these twice to three times as fast as loops, and writing them at run time is forbidden by the content policy.
import { readFileSync, writeFileSync } from 'node:fs';
import { format } from 'oxfmt';

const TARGET = 'src/core/circuit/unrolled.ts';
/** Networks of this trade have states of so many entries; larger ones are served by loops. */
const LARGEST = 14;

const numbers = (n) => Array.from({ length: n }, (_, index) => index);
/** A sum in pairs, so that additions do not wait for each other. */
function paired(terms) {
  if (terms.length === 1) return terms[0];
  const half = Math.ceil(terms.length / 2);
  return `(${paired(terms.slice(0, half))} + ${paired(terms.slice(half))})`;
}
const loaded = (n, from, at) => numbers(n).map((c) => `const ${from}${c} = ${from}[${at(c)}]!;`);

const sizes = numbers(LARGEST + 1).slice(2);
const carry = (n) => `
function carry${n}(a: Float64Array, x: Float64Array, y: Float64Array): void {
  ${loaded(n, 'x', String).join(' ')}
  ${numbers(n)
    .map((r) => `y[${r}] = x${r} + ${paired(numbers(n).map((c) => `a[${r * n + c}]! * x${c}`))};`)
    .join('\n  ')}
}`;
const project = (n) => `
function project${n}(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  ${loaded(n, 'x', String).join(' ')}
  for (let r = 0, at = 0; r < count; r += 1, at += ${n})
    y[r] = ${paired(numbers(n).map((c) => `a[at + ${c}]! * x${c}`))};
}`;
const multiply = (n) => `
function multiply${n}(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < ${n * n}; at += ${n}) {
    ${loaded(n, 'a', (c) => `at + ${c}`).join(' ')}
    for (let k = 0; k < ${n}; k += 1)
      c[at + k] = ${paired(numbers(n).map((r) => `a${r} * b[k + ${r * n}]!`))};
  }
}`;
const table = (name, type, doc) => `
/** ${doc} */
export const ${name}: readonly (${type} | undefined)[] = [undefined, undefined, ${sizes.map((n) => name + n).join(', ')}];`;

const text = `// Written by scripts/unroll.mjs: not by hand.
${sizes.flatMap((n) => [carry(n), project(n), multiply(n)]).join('\n')}

type Carry = (a: Float64Array, x: Float64Array, y: Float64Array) => void;
type Project = (a: Float64Array, count: number, x: Float64Array, y: Float64Array) => void;
type Multiply = (a: Float64Array, b: Float64Array, c: Float64Array) => void;
${table('carry', 'Carry', 'y = x + A·x, by the size of x.')}
${table('project', 'Project', 'y = A·x of so many rows, by the size of x.')}
${table('multiply', 'Multiply', 'C = A·B, by their size.')}
`;

const { code } = await format(TARGET, text, JSON.parse(readFileSync('.oxfmtrc.json', 'utf8')));
writeFileSync(TARGET, code);
