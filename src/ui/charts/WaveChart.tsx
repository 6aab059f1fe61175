'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';

/** One channel: seconds, and values in the base unit. */
export interface WaveSeries {
  readonly label: string;
  readonly unit: string;
  readonly points: readonly { readonly t: number; readonly v: number }[];
}

export interface WaveChartProps {
  readonly series: readonly WaveSeries[];
  /** Index of the series that is worked with; the other one is drawn thin, on an axis of its own at the right. */
  readonly inHand: number;
  /** Moments of the two cursors. */
  readonly cursors: readonly [number, number];
  readonly onCursor: (moment: number) => void;
}

/** A recording with two cursors; a press sets the nearer one. */
export default function WaveChart({ series, inHand, cursors, onCursor }: WaveChartProps) {
  const axis = { stroke: 'var(--rule-2)', tick: { fill: 'var(--ink-2)', fontSize: 11 }, tickLine: false } as const;
  const picked = series[inHand] ?? { label: 'channel', unit: '', points: [] };
  const beside = series.find((_, index) => index !== inHand);
  const [first, last] = [picked.points[0]?.t ?? 0, picked.points.at(-1)?.t ?? 1];
  const { scale, prefix } = timeScale(Math.max(Math.abs(first), Math.abs(last)));
  const data = [
    ...picked.points.map(({ t, v }) => ({ t: t / scale, v })),
    ...(beside?.points ?? []).map(({ t, v }) => ({ t: t / scale, beside: v })),
  ].toSorted((a, b) => a.t - b.t);
  return (
    <figure>
      <div
        role="img"
        aria-label={`${picked.label} against time, ${picked.points.length} points shown`}
        className="h-[260px] cursor-crosshair font-mono"
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            data={data}
            margin={{ top: 8, right: beside ? 0 : 26, bottom: 0, left: 0 }}
            accessibilityLayer={false}
            onClick={({ activeLabel }) => activeLabel !== undefined && onCursor(Number(activeLabel) * scale)}
          >
            <CartesianGrid stroke="var(--rule)" />
            <XAxis
              {...axis}
              dataKey="t"
              type="number"
              unit={` ${prefix}s`}
              tickCount={6}
              domain={[first / scale, last / scale]}
              tickFormatter={short}
            />
            <YAxis
              {...axis}
              type="number"
              unit={` ${picked.unit}`}
              width={64}
              tickFormatter={short}
              domain={['auto', 'auto']}
            />
            {beside && (
              <YAxis
                {...axis}
                yAxisId="beside"
                orientation="right"
                type="number"
                unit={` ${beside.unit}`}
                width={58}
                tickFormatter={short}
                domain={['auto', 'auto']}
              />
            )}
            {beside && (
              <Line
                {...line}
                yAxisId="beside"
                dataKey="beside"
                stroke="var(--ink-2)"
                strokeWidth={1}
                strokeDasharray="4 2"
              />
            )}
            {cursors.map((moment, index) => (
              <ReferenceLine
                key={index === 0 ? 'a' : 'b'}
                x={moment / scale}
                stroke="var(--ochre)"
                strokeDasharray={index === 0 ? undefined : '6 4'}
                label={{
                  value: index === 0 ? 'A' : 'B',
                  position: 'insideTopLeft',
                  fill: 'var(--ochre)',
                  fontSize: 12,
                }}
              />
            ))}
            <Line {...line} dataKey="v" stroke="var(--ink)" strokeWidth={1.2} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="pl-[64px] text-[11.5px] text-ink-2">
        {picked.label}, {picked.unit || 'as recorded'} against time
        {beside && `; dashed, at the right: ${beside.label}, ${beside.unit || 'as recorded'}`}; a press sets the nearer
        cursor
      </figcaption>
    </figure>
  );
}

// Points of two channels lie at moments of their own.
const line = { dot: false, isAnimationActive: false, connectNulls: true } as const;

const short = (value: number) => String(Number(value.toPrecision(3)));

function timeScale(longest: number): { scale: number; prefix: string } {
  if (longest < 1e-6) return { scale: 1e-9, prefix: 'n' };
  if (longest < 1e-3) return { scale: 1e-6, prefix: 'µ' };
  if (longest < 1) return { scale: 1e-3, prefix: 'm' };
  return { scale: 1, prefix: '' };
}
