import type { Asked } from '../../../core/bringup';
import { formatQuantity } from '../../../core/quantity';

const [LEFT, RIGHT, LINE] = [8, 592, 32];
/** The window takes this share of the rule; what is wrong lies beside it. */
const WINDOW = 0.6;
const CHARACTER = 7.6;

/** Where a reading lies beside what is right, on an engraved rule. Open limits reach to its end; ohms go by decades. */
export function ReadingRule({ asked, value }: { asked: Asked; value: number | undefined }) {
  const { unit, low, high } = asked;
  const isWide = unit === 'ohm' && (low === undefined || high === undefined);
  const map = (x: number) => (isWide ? Math.log10(Math.max(x, 1e-3)) : x);
  const [from, to] = spanOf(low, high, isWide);
  const x = (of: number) => LEFT + ((map(of) - map(from)) / (map(to) - map(from))) * (RIGHT - LEFT);
  const inside = (of: number) => Math.min(RIGHT, Math.max(LEFT, x(of)));
  const q = (of: number) => formatQuantity(of, unit, { digits: 3 });
  const [start, end] = [low === undefined ? LEFT : x(low), high === undefined ? RIGHT : x(high)];
  const at = value === undefined ? undefined : inside(value);
  return (
    <svg
      viewBox="0 0 600 60"
      className="mt-2 w-full font-mono"
      role="img"
      aria-label={`Right is ${[low === undefined ? '' : `from ${q(low)}`, high === undefined ? '' : `to ${q(high)}`].filter(Boolean).join(' ')}${value === undefined ? '' : `; read ${Number.isFinite(value) ? q(value) : 'over range'}`}`}
    >
      <defs>
        <pattern id="wrong" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" stroke="var(--stop)" strokeWidth="2.4" />
        </pattern>
      </defs>
      {start > LEFT && <rect x={LEFT} y={LINE - 8} width={start - LEFT} height={8} fill="url(#wrong)" />}
      {end < RIGHT && <rect x={end} y={LINE - 8} width={RIGHT - end} height={8} fill="url(#wrong)" />}
      <path d={`M${LEFT} ${LINE}H${RIGHT}`} stroke="var(--ink)" strokeWidth="1.5" />
      <path d={`M${start} ${LINE}V${LINE - 10}H${end}V${LINE}`} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      {low !== undefined && (
        <text x={start} y={52} fontSize="12.5" fill="var(--ink)" textAnchor="middle">
          {q(low)}
        </text>
      )}
      {high !== undefined && (
        <text x={end} y={52} fontSize="12.5" fill="var(--ink)" textAnchor="middle">
          {q(high)}
        </text>
      )}
      {start > LEFT + 8 * CHARACTER && (
        <text x={LEFT} y={16} fontSize="12" fill="var(--ink-2)">
          too low
        </text>
      )}
      {end < RIGHT - 8 * CHARACTER && (
        <text x={RIGHT} y={16} fontSize="12" fill="var(--ink-2)" textAnchor="end">
          too high
        </text>
      )}
      {at !== undefined && <path d={`M${at} 4V${LINE + 6}`} stroke="var(--ochre)" strokeWidth="2.5" />}
    </svg>
  );
}

/** What the rule shows: the window in its middle. */
function spanOf(low: number | undefined, high: number | undefined, isWide: boolean): readonly [number, number] {
  if (low !== undefined && high !== undefined) {
    const beside = ((high - low) * (1 - WINDOW)) / WINDOW / 2;
    return [Math.max(0, low - beside), high + beside];
  }
  if (low !== undefined) return isWide ? [low / 1e3, low * 1e3] : [0, low * 2.5];
  return isWide ? [(high ?? 1) / 1e3, (high ?? 1) * 10] : [0, (high ?? 1) / WINDOW];
}
