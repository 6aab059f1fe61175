// Times the marking reader, the completion and the reading of the bench line key by key: against a table of the same
// markings looked up in a Map, and against the 20 types that a small shop knows.
import { complete, understand, type BenchContext } from '../../src/core/benchline';
import { decodeMarking } from '../../src/core/marking';
import { MARKING_CASES } from '../../src/core/marking/fixtures/markings';

const ROUNDS = 25;
const TYPES = 20_000;
/** Markings a second that the reader must read at least, and milliseconds that a completion may take. */
const READ_AIM = 10_000;
const COMPLETE_AIM_MS = 16;

function perSecond(count: number, work: () => void): number {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const began = performance.now();
    work();
    times.push(performance.now() - began);
  }
  return (count / (times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] ?? 1)) * 1000;
}

const table = new Map(MARKING_CASES.map(({ marking, ratings }) => [marking.toUpperCase(), ratings]));
let found = 0;
const looked = perSecond(MARKING_CASES.length, () => {
  for (const { marking } of MARKING_CASES)
    found += table.has(marking.trim().toUpperCase().replace(/\s+/g, ' ')) ? 1 : 0;
});
const read = perSecond(MARKING_CASES.length, () => {
  for (const { marking, kind } of MARKING_CASES) decodeMarking(marking, { kind });
});
const worn = MARKING_CASES.filter(({ marking }) => marking.length >= 6).slice(0, 60);
const readWorn = perSecond(worn.length, () => {
  for (const { marking, kind } of worn) decodeMarking(`${marking.slice(0, 3)}?${marking.slice(4)}`, { kind });
});

const shop = (count: number): BenchContext => ({
  parts: [{ ref: 'Q1', kind: 'nmos' }],
  stores: [],
  types: Array.from({ length: count }, (_, index) => `T${String(index).padStart(6, '0')}`).sort(),
});
const [large, small] = [shop(TYPES), shop(20)];
const LINES = ['q1 marked t0', 'q1 marked t0199', 'q1 nmos to-2', 'q1 marked zz', 'u'];
const completions = (context: BenchContext) =>
  1000 / perSecond(LINES.length, () => LINES.forEach((line) => complete(line, context)));
const [largeMs, smallMs] = [completions(large), completions(small)];

/** Lines as people type them; each is read again with every key. */
const TYPED = [
  'q1 nmos to-220 marked 12N65',
  'L1 is the comon mode choke, two windings of 15 mH',
  'R14 is four point seven kilo ohms',
  'c5 82u 400V 105C bulged, c6 same',
  'q1 drain goes to t1 pin 3 and to d3 anode',
];
function keystrokes(context: BenchContext): { median: number; worst: number } {
  const times = TYPED.flatMap((line) =>
    Array.from({ length: line.length }, (_, index) => {
      const began = performance.now();
      understand(line.slice(0, index + 1), context);
      complete(line.slice(0, index + 1), context);
      return performance.now() - began;
    }),
  ).sort((a, b) => a - b);
  return { median: times[Math.floor(times.length / 2)] ?? 0, worst: times[Math.floor(times.length * 0.99)] ?? 0 };
}
// The first round warms what the engine compiles; a person has typed before.
keystrokes(small);
const [largeKeys, smallKeys] = [keystrokes(large), keystrokes(small)];

const ratio = (ours: number, theirs: number) => (ours / theirs).toFixed(2);
process.stdout.write(
  JSON.stringify([
    {
      what: `${MARKING_CASES.length} clean markings`,
      ours: `${Math.round(read)} a second`,
      aim: `${READ_AIM} a second`,
      reference: `looked up in a Map: ${Math.round(looked)} a second`,
      ratio: ratio(looked, read),
    },
    {
      what: `${worn.length} with one character lost`,
      ours: `${Math.round(readWorn)} a second`,
      aim: '',
      reference: `clean: ${Math.round(read)} a second`,
      ratio: ratio(read, readWorn),
    },
    {
      what: `completion with ${TYPES} types`,
      ours: `${largeMs.toFixed(4)} ms`,
      aim: `${COMPLETE_AIM_MS} ms`,
      reference: `20 types: ${smallMs.toFixed(4)} ms`,
      ratio: ratio(largeMs, smallMs),
    },
    {
      what: `a key of the line with ${TYPES} types, the 99th of 100`,
      ours: `${largeKeys.worst.toFixed(2)} ms, median ${largeKeys.median.toFixed(2)} ms`,
      aim: `${COMPLETE_AIM_MS} ms`,
      reference: `20 types: ${smallKeys.worst.toFixed(2)} ms, median ${smallKeys.median.toFixed(2)} ms`,
      ratio: ratio(largeKeys.median, smallKeys.median),
    },
  ]),
);
if (found === 0 || read < READ_AIM || largeMs > COMPLETE_AIM_MS || largeKeys.worst > COMPLETE_AIM_MS)
  process.exitCode = 1;
