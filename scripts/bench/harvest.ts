// The plan of a large board against sorting its jobs by points a minute, and a recording of two million points against
// splitting its text into lines.
import Papa from 'papaparse';
import { planHarvest, type Job } from '../../src/core/harvest';
import { WaveReader } from '../../src/core/waveform';

const ROUNDS = 7;
const PLAN_AIM_MS = 100;
const POINTS = 2_000_000;

const median = (values: readonly number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
function timed(work: () => unknown, rounds = ROUNDS): number {
  const times = Array.from({ length: rounds + 1 }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return median(times.slice(1));
}

let state = 7;
const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
const setups: Job[] = ['HS1', 'HS2', 'HS3', 'HS4', 'air'].map((id) => ({ id, minutes: 2.5, points: -7.5, after: [] }));
const jobs: Job[] = [
  ...setups,
  ...Array.from({ length: 150 }, (_, index): Job => {
    const sink = random() < 0.3 ? [`HS${1 + Math.floor(4 * random())}`] : [];
    const air = random() < 0.25 ? ['air'] : [];
    const behind = index > 3 && random() < 0.1 ? [`P${Math.floor(index * random())}`] : [];
    return { id: `P${index}`, minutes: 0.5 + 3 * random(), points: 30 * random(), after: [...sink, ...air, ...behind] };
  }),
];
const sorted = timed(() => jobs.toSorted((a, b) => b.points / b.minutes - a.points / a.minutes));
const planned = timed(() => planHarvest(jobs, 40));

const lines = ['Time (s),CH1 (V)'];
for (let index = 0; index < POINTS; index += 1)
  lines.push(`${(index * 1e-8).toExponential(6)},${Math.sin(index / 50).toFixed(4)}`);
const text = lines.join('\n');
lines.length = 0;
const split = timed(() => text.split('\n'), 1);
const before = process.memoryUsage().rss;
const read = timed(() => {
  const reader = new WaveReader();
  Papa.parse<string[]>(text, {
    chunkSize: 1 << 20,
    chunk: ({ data }: Papa.ParseResult<string[]>) => void reader.push(data),
    complete: () => undefined,
  });
  return reader.end();
}, 1);
const grown = (process.memoryUsage().rss - before) / 1e6;

process.stdout.write(
  JSON.stringify([
    {
      what: '150 parts, 40 minutes',
      ms: planned.toFixed(0),
      against: `sorting them ${(planned / sorted).toFixed(0)}`,
      aim: planned <= PLAN_AIM_MS ? 'kept' : 'missed',
    },
    {
      what: `a CSV of ${POINTS / 1e6} million points`,
      ms: read.toFixed(0),
      against: `splitting it into lines ${(read / split).toFixed(1)}`,
      aim: `${grown.toFixed(0)} MB more`,
    },
  ]),
);
