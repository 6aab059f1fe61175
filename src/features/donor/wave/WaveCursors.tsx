'use client';

import { formatQuantity } from '../../../core/quantity';
import type { WaveSeries } from '../../../ui/charts/WaveChart';

/** Two moments in seconds. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** What each channel shows at the two cursors, and between them. */
export function WaveCursors({
  series,
  cursors: [a, b],
  shown,
  onMove,
}: {
  series: readonly WaveSeries[];
  cursors: readonly [number, number];
  shown: Span;
  onMove: (cursors: readonly [number, number]) => void;
}) {
  const step = (shown.to - shown.from) / 200;
  const values = (of: (one: WaveSeries) => number) =>
    series.map((one, index) => (
      <span key={one.label + index}>
        ,{' '}
        <span className="q text-ink">
          {formatQuantity(of(one), one.unit === 'A' ? 'ampere' : 'volt', { digits: 3 })}
        </span>
      </span>
    ));
  return (
    <div className="mt-1 grid grid-cols-[1fr_1fr_1.2fr] gap-x-5 text-[12.5px] max-[620px]:grid-cols-1">
      {([a, b] as const).map((moment, index) => (
        <label key={index === 0 ? 'a' : 'b'} className="text-ink-2">
          cursor {index === 0 ? 'A' : 'B'}:{' '}
          <span className="q text-ink">{formatQuantity(moment, 'second', { digits: 4 })}</span>
          {values((one) => valueAt(one, moment))}
          <input
            type="range"
            className="block w-full accent-ochre"
            min={shown.from}
            max={shown.to}
            step={step}
            value={moment}
            aria-label={`cursor ${index === 0 ? 'A' : 'B'}`}
            onChange={(event) =>
              onMove(index === 0 ? [Number(event.target.value), b] : [a, Number(event.target.value)])
            }
          />
        </label>
      ))}
      <p className="text-ink-2">
        between: <span className="q text-ink">{formatQuantity(Math.abs(b - a), 'second', { digits: 4 })}</span>
        {b !== a && (
          <>
            , <span className="q text-ink">{formatQuantity(1 / Math.abs(b - a), 'hertz', { digits: 3 })}</span>
          </>
        )}
        {values((one) => valueAt(one, b) - valueAt(one, a))}
      </p>
    </div>
  );
}

const valueAt = ({ points }: WaveSeries, moment: number): number =>
  points.reduce(
    (near, point) => (Math.abs(point.t - moment) < Math.abs(near.t - moment) ? point : near),
    points[0] ?? { t: 0, v: 0 },
  ).v;
