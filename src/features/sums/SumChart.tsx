'use client';

import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { formatQuantity, type Unit } from '../../core/quantity';
import type { Curve } from '../../core/sums';
import { roundStep } from '../../ui/charts/ticks';

/** Round marks from a little below to a little above an interval. */
function marks(low: number, high: number): readonly number[] {
  const step = roundStep(Math.max((high - low) / 4, Math.abs(high) * 1e-6, 1e-15));
  const first = Math.floor(low / step + 1e-9);
  const last = Math.ceil(high / step - 1e-9);
  return Array.from({ length: last - first + 1 }, (_, index) => Number(((first + index) * step).toPrecision(9)));
}

const short = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 2 }).replace(' ', ' ');

/** The curve of a sum, what it is held against, and where the sum stands. */
export default function SumChart({ curve }: { curve: Curve }) {
  const { x, y, lines, limits = [], here, caption } = curve;
  const points = lines.flatMap((line) => line.points);
  const xs = points.map(([at]) => at);
  const ys = [...points.map(([, value]) => value), ...limits.map((limit) => limit.y)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const across = marks(left, right).filter((one) => one >= left - 1e-12 && one <= right * (1 + 1e-9));
  const up = marks(Math.min(0, ...ys), Math.max(...ys));
  // Of several the lowest has its word below it, so that two that are near do not cover each other.
  const lowest = limits.length < 2 ? -1 : limits.findIndex((one) => limits.every((other) => one.y <= other.y));
  const axis = { stroke: 'var(--rule-2)', tick: { fill: 'var(--ink-2)', fontSize: 11 }, tickLine: false } as const;
  return (
    <figure className="sum-chart">
      <div role="img" aria-label={caption} className="h-[280px] font-mono">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart margin={{ top: 8, right: 44, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--rule)" />
            <XAxis
              {...axis}
              dataKey="x"
              type="number"
              ticks={[...across]}
              domain={[left, right]}
              allowDataOverflow
              tickFormatter={(value: number) => short(value, x.unit)}
            />
            <YAxis
              {...axis}
              type="number"
              width={66}
              ticks={[...up]}
              domain={[up[0] ?? 0, up.at(-1) ?? 1]}
              tickFormatter={(value: number) => short(value, y.unit)}
            />
            {limits.map((limit, index) => (
              <ReferenceLine
                key={limit.label}
                y={limit.y}
                stroke="var(--ochre)"
                strokeDasharray="6 4"
                label={{
                  value: limit.label,
                  position: index === lowest ? 'insideTopRight' : 'insideBottomRight',
                  fill: 'var(--ochre)',
                  fontSize: 11,
                }}
              />
            ))}
            {lines.map((line) => (
              <Line
                key={line.label}
                data={line.points.map(([at, value]) => ({ x: at, y: value }))}
                dataKey="y"
                name={line.label}
                stroke={line.isFaint ? 'var(--ink-3)' : 'var(--ink)'}
                strokeWidth={line.isFaint ? 1.1 : 1.8}
                dot={false}
                isAnimationActive={false}
              />
            ))}
            {here && <ReferenceDot x={here[0]} y={here[1]} r={4.5} fill="var(--ochre)" stroke="var(--lift)" />}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="pl-[66px] text-[11.5px] text-ink-2">
        {caption}
        {y.unit === 'count' && `, in ${y.label}`}
        {lines.length > 1 && `; heavy: ${lines.find(({ isFaint }) => !isFaint)?.label ?? ''}`}
      </figcaption>
    </figure>
  );
}
