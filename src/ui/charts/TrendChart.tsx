'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { roundStep, ticksTo } from './ticks';

export interface TrendChartProps {
  readonly label: string;
  /** Unit of the value; time is in minutes. */
  readonly unit: string;
  readonly points: readonly { readonly time: number; readonly value: number }[];
  /** A line to hold the values against, such as the room's temperature. */
  readonly reference?: { readonly value: number; readonly message: string } | undefined;
}

/** One quantity against minutes. */
export default function TrendChart({ label, unit, points, reference }: TrendChartProps) {
  const axis = { stroke: 'var(--rule-2)', tick: { fill: 'var(--ink-2)', fontSize: 11 }, tickLine: false } as const;
  const values = [...points.map(({ value }) => value), ...(reference ? [reference.value] : [])];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const step = roundStep(Math.max((high - low) / 3, Math.abs(high) * 0.01, 0.01));
  const [bottom, top] = [Math.floor(low / step) * step, Math.ceil(high / step + 1e-9) * step];
  const ticks = Array.from({ length: Math.round((top - bottom) / step) + 1 }, (_, index) => bottom + index * step);
  const times = ticksTo(Math.max(...points.map(({ time }) => time)), 4);
  return (
    <figure>
      <div
        role="img"
        aria-label={`${label} against minutes, from ${low.toPrecision(3)} to ${high.toPrecision(3)} ${unit}`}
        className="h-[132px] font-mono"
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={[...points]} margin={{ top: 8, right: 26, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--rule)" />
            <XAxis {...axis} dataKey="time" type="number" unit=" min" ticks={times} domain={[0, times.at(-1) ?? 1]} />
            <YAxis
              {...axis}
              type="number"
              unit={` ${unit}`}
              width={62}
              ticks={ticks}
              domain={[bottom, top]}
              tickFormatter={(value: number) => String(Number(value.toPrecision(3)))}
            />
            {reference && (
              <ReferenceLine
                y={reference.value}
                stroke="var(--ochre)"
                strokeDasharray="6 4"
                label={{ value: reference.message, position: 'insideBottomRight', fill: 'var(--ochre)', fontSize: 11 }}
              />
            )}
            <Line
              dataKey="value"
              stroke="var(--ink)"
              strokeWidth={1.6}
              dot={{ r: 3, fill: 'var(--ink)', stroke: 'var(--ink)' }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="pl-[62px] text-[11.5px] text-ink-2">
        {label}, {unit} against minutes
      </figcaption>
    </figure>
  );
}
