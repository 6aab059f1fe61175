// What an update of a what-if costs while a knob is dragged: every knob of every circuit turned through forty places of its span, each
// search beginning from the state before. The reference is the search from nothing.
import { answerOf, CIRCUITS, LIVE_BUDGET, studyOf, type Study } from '../../src/core/whatif';

const PLACES = 40;

const quantile = (values: readonly number[], share: number) =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

const rows: Record<string, number | string>[] = [];
const all: number[] = [];
let underWay = 0;
for (const circuit of CIRCUITS) {
  const usual = Object.fromEntries(circuit.knobs.map((knob) => [knob.id, knob.usual]));
  const times: number[] = [];
  const cold: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    const began = performance.now();
    studyOf(circuit, usual);
    cold.push(performance.now() - began);
  }
  for (const knob of circuit.knobs) {
    const first = studyOf(circuit, usual);
    if ('kind' in first) continue;
    let last: Study = first;
    for (let place = 0; place < PLACES; place += 1) {
      // A drag about the usual value, a hundredth of it at a time.
      const value = Math.min(
        knob.to,
        Math.max(knob.from, knob.usual * (1 + 0.2 * Math.sin((2 * Math.PI * place) / PLACES))),
      );
      const began = performance.now();
      const next = studyOf(
        circuit,
        { ...usual, [knob.id]: value },
        { nearby: last.operation, isOver: () => performance.now() - began > LIVE_BUDGET },
      );
      if (!('kind' in next)) {
        if (answerOf(next).isUnderWay) underWay += 1;
        last = next;
      }
      times.push(performance.now() - began);
    }
  }
  all.push(...times);
  rows.push({
    circuit: circuit.id,
    'median ms': Number(quantile(times, 0.5).toPrecision(3)),
    'nine in ten ms': Number(quantile(times, 0.9).toPrecision(3)),
    'most ms': Number(quantile(times, 1).toPrecision(3)),
    'from nothing ms': Number(quantile(cold, 0.5).toPrecision(3)),
  });
}
for (const row of rows)
  process.stdout.write(
    `${Object.entries(row)
      .map(([name, value]) => `${name} ${value}`)
      .join(', ')}\n`,
  );
const late = all.filter((ms) => ms > 50).length;
process.stdout.write(
  `an update: median ${quantile(all, 0.5).toPrecision(3)} ms, nine in ten within ${quantile(all, 0.9).toPrecision(3)} ms, most ${quantile(all, 1).toPrecision(3)} ms; ${late} of ${all.length} over 50 ms, ${underWay} shown before they had settled (20 a second and none over 50 ms wanted)\n`,
);
