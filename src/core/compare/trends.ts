import { median, quantileSorted } from 'simple-statistics';
import { practice } from '../evidence';

/** A value of a unit that was made in a year. */
export interface Dated {
  readonly year: number;
  readonly value: number;
}

/** What units of a span of years come to: the middle one, and the half around it. */
export interface Span {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly median: number;
  readonly low: number;
  readonly high: number;
}

/** Years that one span covers at least, and spans that are shown at most; common practice, no source. */
const SPANS = practice({ most: 12, least: 1 });

/** Units by spans of years, the earliest first; a span without a unit is left out. */
export function trendOf(points: readonly Dated[]): readonly Span[] {
  if (points.length === 0) return [];
  const years = points.map(({ year }) => year);
  const [first, last] = [Math.min(...years), Math.max(...years)];
  const step = Math.max(SPANS.least, Math.ceil((last - first + 1) / SPANS.most));
  const spans = new Map<number, number[]>();
  for (const { year, value } of points) {
    const at = Math.floor((year - first) / step);
    const there = spans.get(at);
    if (there) there.push(value);
    else spans.set(at, [value]);
  }
  return [...spans]
    .toSorted(([a], [b]) => a - b)
    .map(([at, values]) => {
      const sorted = values.toSorted((a, b) => a - b);
      return {
        from: first + at * step,
        to: Math.min(last, first + (at + 1) * step - 1),
        count: sorted.length,
        median: median(sorted),
        low: quantileSorted(sorted, 0.25),
        high: quantileSorted(sorted, 0.75),
      };
    });
}

/** What changed from the first span to the last, as a share of the first; nothing with fewer than two, or where the first is none. */
export function changeOver(spans: readonly Span[]): number | undefined {
  const [first, last] = [spans[0], spans.at(-1)];
  return first && last && first !== last && first.median !== 0 ? last.median / first.median - 1 : undefined;
}
