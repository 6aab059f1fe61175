'use client';

import { Bar, CartesianGrid, ComposedChart, ErrorBar, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Span } from '../../core/compare';

/** A quantity by spans of years: the middle unit of each, and the half of them around it. */
export default function TrendSpans({ label, unit, spans }: { label: string; unit: string; spans: readonly Span[] }) {
  const axis = { stroke: 'var(--rule-2)', tick: { fill: 'var(--ink-2)', fontSize: 11 }, tickLine: false } as const;
  const data = spans.map(({ from, to, count, median, low, high }) => ({
    name: from === to ? String(from) : `${from}–${String(to).slice(2)}`,
    median,
    count,
    around: [median - low, high - median],
  }));
  return (
    <div
      role="img"
      aria-label={`${label} by year: ${data.map(({ name, median }) => `${name} ${median.toPrecision(3)}`).join(', ')} ${unit}`}
      className="h-[170px] font-mono"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 8, right: 8, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis {...axis} dataKey="name" />
          <YAxis {...axis} width={56} tickFormatter={(value: number) => String(Number(value.toPrecision(3)))} />
          <Bar dataKey="median" fill="var(--ink)" maxBarSize={26} isAnimationActive={false}>
            <ErrorBar dataKey="around" stroke="var(--ochre)" strokeWidth={1.6} width={5} />
          </Bar>
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
