import { memo } from 'react';
import { formatQuantity } from '../../core/quantity';

/** One signal over time, with the rating that it must stay under. */
interface Wave {
  readonly label: string;
  readonly unit: 'V' | 'A';
  readonly values: Float64Array;
  readonly limit?: { readonly value: number; readonly ref: string };
}

interface WaveSet {
  readonly seconds: Float64Array;
  readonly waves: readonly Wave[];
}

/** One period of what is drawn, seconds, and what conducts in it. */
interface Shown {
  readonly period: number;
  readonly intervals: readonly { readonly from: number; readonly to: number; readonly conducts: readonly string[] }[];
  readonly waves: WaveSet;
}

const WIDE = 760;
const LEFT = 134;
const TOP = 34;
const ROW = 82;
const GAP = 16;
/** A bracket that is narrower than that carries no word. */
const NARROW = 34;
/** A rating is drawn when it lies within so much of what the wave reaches. */
const NEAR = 2.2;

/** Waves on one axis of time, two periods of them, with what conducts above; dashed, the waves with a fault in it. */
export const WavesFigure = memo(function WavesFigure({
  answer,
  faulted,
}: {
  answer: Shown;
  faulted?: WaveSet | undefined;
}) {
  const { period, intervals, waves } = answer;
  const isOnce = intervals.length === 0 || intervals.every(({ conducts }) => conducts.length === 0);
  const turns = isOnce ? 1 : 2;
  const span = turns * period;
  const x = (seconds: number) => LEFT + ((WIDE - LEFT - 4) * seconds) / span;
  const high = TOP + waves.waves.length * (ROW + GAP);
  const edges = isOnce ? [] : intervals.map(({ from }) => from);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${high + 20}`}
      className="waves-figure"
      role="img"
      aria-label={describe(answer)}
      fill="none"
    >
      {!isOnce &&
        Array.from({ length: turns }, (_, turn) =>
          intervals.map(({ from, to, conducts }) => {
            const [a, b] = [x(from + turn * period), x(to + turn * period)];
            const word =
              turn === 0 ? conducts.join(' ') || 'rests' : formatQuantity(to - from, 'second', { digits: 3 });
            const isRoomy = b - a > NARROW && b - a > 6.4 * word.length;
            return (
              <g key={`${turn} ${from}`}>
                <path d={`M${a + 2} 24V19H${b - 2}V24`} stroke="var(--ink-3)" />
                {isRoomy && (
                  <text x={(a + b) / 2} y="13" textAnchor="middle" className={turn === 0 ? 'wave-ref' : 'wave-number'}>
                    {word}
                  </text>
                )}
              </g>
            );
          }),
        )}
      {Array.from({ length: turns }, (_, turn) =>
        edges.map((edge) => (
          <path
            key={`${turn} ${edge}`}
            d={`M${x(edge + turn * period)} 27V${high - GAP + 4}`}
            stroke="var(--ink-3)"
            strokeDasharray="1 4"
            strokeLinecap="round"
          />
        )),
      )}
      {waves.waves.map((wave, index) => (
        <Row
          key={wave.label}
          wave={wave}
          other={faulted?.waves.find(({ label }) => label === wave.label)}
          seconds={waves.seconds}
          otherSeconds={faulted?.seconds}
          top={TOP + index * (ROW + GAP)}
          {...{ x, turns, period }}
        />
      ))}
      <TimeAxis y={high - GAP + 6} span={span} x={x} />
    </svg>
  );
});

function Row({
  wave,
  other,
  seconds,
  otherSeconds,
  top,
  x,
  turns,
  period,
}: {
  wave: Wave;
  other: Wave | undefined;
  seconds: Float64Array;
  otherSeconds: Float64Array | undefined;
  top: number;
  x: (seconds: number) => number;
  turns: number;
  period: number;
}) {
  const [low, most] = rangeOf([wave, ...(other ? [other] : [])]);
  const limit = wave.limit && wave.limit.value < NEAR * most ? wave.limit : undefined;
  const high = Math.max(most, limit ? 1.06 * limit.value : most);
  const y = (value: number) => top + ROW - ((value - low) / (high - low || 1)) * ROW;
  const path = (times: Float64Array, values: Float64Array) =>
    Array.from({ length: turns }, (_, turn) =>
      Array.from(times, (time, at) => `${x(time + turn * period).toFixed(1)} ${y(values[at] ?? 0).toFixed(1)}`),
    )
      .flat()
      .join('L');
  const unit = wave.unit === 'V' ? 'volt' : 'ampere';
  const ticks = [...new Set([low, low < 0 && most > 0 ? 0 : low, most])];
  return (
    <g>
      <text x="0" y={top + 13} className="wave-name">
        {wave.label}
      </text>
      <text x="0" y={top + 28} className="wave-unit">
        {wave.unit === 'V' ? 'volts' : 'amperes'}
      </text>
      {ticks.map((tick) => (
        <g key={tick}>
          <path d={`M${LEFT} ${y(tick)}H${WIDE - 4}`} stroke="var(--rule)" />
          <text x={LEFT - 6} y={y(tick) + 3.5} textAnchor="end" className="wave-number">
            {formatQuantity(Math.abs(tick) < 0.01 * (high - low) ? 0 : tick, unit, { digits: 3 })}
          </text>
        </g>
      ))}
      {limit && (
        <>
          <path d={`M${LEFT} ${y(limit.value)}H${WIDE - 4}`} stroke="var(--ink)" strokeDasharray="7 4" />
          <text x={WIDE - 6} y={y(limit.value) + 13} textAnchor="end" className="wave-unit">
            {limit.ref} stands {formatQuantity(limit.value, unit)}
          </text>
        </>
      )}
      {other && otherSeconds && (
        <path
          d={`M${path(otherSeconds, other.values)}`}
          stroke="var(--ochre)"
          strokeWidth="1.4"
          strokeDasharray="5 3"
        />
      )}
      <path d={`M${path(seconds, wave.values)}`} stroke="var(--ink)" strokeWidth="1.7" strokeLinejoin="round" />
    </g>
  );
}

function TimeAxis({ y, span, x }: { y: number; span: number; x: (seconds: number) => number }) {
  const marks = [0, 0.25, 0.5, 0.75, 1].map((share) => share * span);
  return (
    <g>
      <path d={`M${x(0)} ${y}H${x(span)}`} stroke="var(--ink)" strokeWidth="1.4" />
      {marks.map((mark, index) => (
        <g key={mark}>
          <path d={`M${x(mark)} ${y}v5`} stroke="var(--ink)" />
          <text
            x={x(mark)}
            y={y + 17}
            textAnchor={index === marks.length - 1 ? 'end' : 'middle'}
            className="wave-number"
          >
            {formatQuantity(mark, 'second', { digits: 3 })}
          </text>
        </g>
      ))}
    </g>
  );
}

function rangeOf(waves: readonly Wave[]): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const { values } of waves)
    for (const value of values) {
      low = Math.min(low, value);
      high = Math.max(high, value);
    }
  // What does not move is drawn from nothing.
  if (high - low < 1e-6 * Math.max(1e-6, Math.abs(high), Math.abs(low)))
    return [Math.min(0, low), Math.max(high, 1e-6)];
  return [low, high];
}

const describe = ({ waves }: Shown) =>
  `Waves over two periods: ${waves.waves
    .map((wave) => {
      const [low, high] = rangeOf([wave]);
      const unit = wave.unit === 'V' ? 'volt' : 'ampere';
      return `${wave.label} from ${formatQuantity(low, unit)} to ${formatQuantity(high, unit)}`;
    })
    .join('; ')}`;
