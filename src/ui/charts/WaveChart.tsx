'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';

export interface WaveChartProps {
  readonly label: string;
  readonly unit: string;
  /** Seconds and values in the base unit. */
  readonly points: readonly { readonly t: number; readonly v: number }[];
  /** Moments of the two cursors. */
  readonly cursors: readonly [number, number];
  readonly onCursor: (moment: number) => void;
}

/** A recording with two cursors; a press sets the nearer one. */
export default function WaveChart({ label, unit, points, cursors, onCursor }: WaveChartProps) {
  const axis = { stroke: 'var(--rule-2)', tick: { fill: 'var(--ink-2)', fontSize: 11 }, tickLine: false } as const;
  const [first, last] = [points[0]?.t ?? 0, points.at(-1)?.t ?? 1];
  const { scale, prefix } = timeScale(Math.max(Math.abs(first), Math.abs(last)));
  const data = points.map(({ t, v }) => ({ t: t / scale, v }));
  return (
    <figure>
      <div
        role="img"
        aria-label={`${label} against time, ${points.length} points shown`}
        className="h-[260px] cursor-crosshair font-mono"
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            data={data}
            margin={{ top: 8, right: 26, bottom: 0, left: 0 }}
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
              unit={` ${unit}`}
              width={64}
              tickFormatter={short}
              domain={['auto', 'auto']}
            />
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
            <Line dataKey="v" stroke="var(--ink)" strokeWidth={1.2} dot={false} isAnimationActive={false} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="pl-[64px] text-[11.5px] text-ink-2">
        {label}, {unit || 'as recorded'} against time; a press sets the nearer cursor
      </figcaption>
    </figure>
  );
}

const short = (value: number) => String(Number(value.toPrecision(3)));

function timeScale(longest: number): { scale: number; prefix: string } {
  if (longest < 1e-6) return { scale: 1e-9, prefix: 'n' };
  if (longest < 1e-3) return { scale: 1e-6, prefix: 'µ' };
  if (longest < 1) return { scale: 1e-3, prefix: 'm' };
  return { scale: 1, prefix: '' };
}
