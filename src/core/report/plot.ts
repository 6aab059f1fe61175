import { formatQuantity } from '../quantity';
import { escapeText } from '../schematic';
import type { PlotLine } from './report';

/** Where a plot lies, in units of its own. */
export const PLOT = { width: 560, height: 180, left: 8, top: 20, bottom: 22 } as const;

/** Courses as paths within a frame of `PLOT`, each over its own span of values, with words for both. */
export function plotted(lines: readonly PlotLine[]): {
  readonly paths: readonly string[];
  readonly legend: readonly string[];
  readonly span: string;
} {
  const times = lines.flatMap(({ points }) => points.map(({ t }) => t));
  const [from, to] = [least(times), most(times)];
  const { width, height, left, top, bottom } = PLOT;
  const inner = { width: width - 2 * left, height: height - top - bottom };
  return {
    paths: lines.map(({ points }) => {
      const values = points.map(({ v }) => v);
      const [low, high] = [least(values), most(values)];
      return points
        .map(({ t, v }, place) => {
          const x = left + (inner.width * (t - from)) / (to - from || 1);
          const y = top + inner.height * (1 - (v - low) / (high - low || 1));
          return `${place === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
        })
        .join('');
    }),
    legend: lines.map(({ label, unit, points }) => {
      const values = points.map(({ v }) => v);
      return `${label}: ${least(values).toPrecision(3)} to ${most(values).toPrecision(3)}${unit === '' ? '' : ` ${unit}`}`;
    }),
    span: `${formatQuantity(to - from, 'second', { digits: 3 })} from edge to edge`,
  };
}

// A recording has thousands of points: they are not spread into arguments.
const least = (values: readonly number[]) => values.reduce((low, value) => Math.min(low, value), Infinity);
const most = (values: readonly number[]) => values.reduce((high, value) => Math.max(high, value), -Infinity);

/** How the second and further courses are told from the first. */
const DASHES = ['', '5 3', '2 2', '8 2 2 2'] as const;

/** A plot as an SVG document, in ink. */
export function plotSvg(lines: readonly PlotLine[], caption: string): string {
  const { paths, legend, span } = plotted(lines);
  const { width, height, left, top, bottom } = PLOT;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" role="img" aria-label="${escapeText(caption)}">`,
    `<title>${escapeText(caption)}</title>`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<rect x="${left}" y="${top}" width="${width - 2 * left}" height="${height - top - bottom}" fill="none" stroke="#a79f8d"/>`,
    ...paths.map(
      (path, place) =>
        `<path d="${path}" fill="none" stroke="#1b2430" stroke-width="1.2" stroke-dasharray="${DASHES[place] ?? ''}"/>`,
    ),
    `<text x="${left}" y="14" font-family="monospace" font-size="11">${escapeText(legend.join('   '))}</text>`,
    `<text x="${left}" y="${height - 7}" font-family="monospace" font-size="11">${escapeText(span)}</text>`,
    '</svg>',
    '',
  ].join('\n');
}
