'use client';

import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { ticksTo } from './ticks';

export interface DecayChartProps {
  /** What was read: seconds and the value. */
  readonly points: readonly { readonly time: number; readonly value: number }[];
  /** A curve through them with its band; may be empty. */
  readonly curve: readonly {
    readonly time: number;
    readonly value: number;
    readonly low: number;
    readonly high: number;
  }[];
  readonly unit: string;
  /** The threshold that matters. */
  readonly limit: number;
  readonly limitLabel: string;
  /** Where the curve crosses the threshold. */
  readonly crossing: { readonly time: number; readonly message: string } | null;
  /** What the picture shows, for those who cannot see it. */
  readonly label: string;
  readonly caption: string;
}

/** A value that falls with time, on a logarithmic scale, with the threshold it must fall below. */
export default function DecayChart({
  points,
  curve,
  unit,
  limit,
  limitLabel,
  crossing,
  label,
  caption,
}: DecayChartProps) {
  const rows = [
    ...curve.map(({ time, value, low, high }) => ({ time, curve: value, band: [low, high] })),
    ...points.map(({ time, value }) => ({ time, read: value })),
  ].sort((a, b) => a.time - b.time);
  const times = ticksTo(Math.max(1, ...rows.map(({ time }) => time)));
  const values = [...points.map(({ value }) => value), limit].filter((value) => value > 0);
  const top = Math.max(...values) * 1.25;
  const bottom = Math.max(0.1, Math.min(...values) / 3);
  const ticks = [0.1, 0.3, 1, 3, 10, 30, 100, 300, 1000].filter((tick) => tick > bottom && tick < top);
  const axis = { stroke: 'var(--rule-2)', tick: { fill: 'var(--ink-2)', fontSize: 11 }, tickLine: false } as const;
  return (
    <figure>
      <div role="img" aria-label={label} className="h-[280px] font-mono">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={rows} margin={{ top: 8, right: 22, bottom: 4, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--rule)" />
            <ReferenceArea
              y1={bottom}
              y2={Math.min(limit, top)}
              fill="var(--ochre-wash)"
              fillOpacity={0.6}
              ifOverflow="hidden"
            />
            <XAxis {...axis} dataKey="time" type="number" domain={[0, times.at(-1) ?? 1]} unit=" s" ticks={times} />
            <YAxis
              {...axis}
              scale="log"
              type="number"
              domain={[bottom, top]}
              ticks={ticks}
              unit={` ${unit}`}
              width={58}
              allowDataOverflow
            />
            <Area
              dataKey="band"
              stroke="none"
              fill="var(--ink-2)"
              fillOpacity={0.16}
              connectNulls
              isAnimationActive={false}
            />
            <ReferenceLine
              y={limit}
              stroke="var(--ochre)"
              strokeDasharray="6 4"
              strokeWidth={1.6}
              label={{ value: limitLabel, position: 'insideBottomLeft', fill: 'var(--ochre)', fontSize: 11 }}
            />
            {crossing && (
              <ReferenceLine
                segment={[
                  { x: crossing.time, y: bottom },
                  { x: crossing.time, y: limit },
                ]}
                stroke="var(--ink)"
                strokeWidth={1.4}
                label={{ value: crossing.message, position: 'insideBottomRight', fill: 'var(--ink)', fontSize: 11 }}
              />
            )}
            <Line
              dataKey="curve"
              stroke="var(--ink)"
              strokeWidth={1.6}
              dot={false}
              connectNulls
              isAnimationActive={false}
            />
            <Line
              dataKey="read"
              stroke="none"
              dot={{ r: 4, fill: 'var(--ink)', stroke: 'var(--ink)' }}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="mt-1 pl-[58px] text-[11.5px] text-ink-2">{caption}</figcaption>
    </figure>
  );
}
