interface Leg {
  readonly number: number;
  /** Shares of the outline's width and height. */
  readonly x: number;
  readonly y: number;
  readonly side: 'left' | 'right' | 'bottom';
}

const PITCH = 25;
const SCALE = 1.15;
const BODY = 96;
const NAMES = 92;
const TOP = 14;

/**
 * The outline of a part with its numbered legs; one of them may be chosen. A leg without a name is
 * drawn faint.
 */
export function PinOutline({
  label,
  style,
  legs,
  names,
  chosen,
  onChoose,
}: {
  label: string;
  style: 'dual' | 'row';
  legs: readonly Leg[];
  names: ReadonlyMap<number, string>;
  chosen: number | undefined;
  onChoose: (number: number) => void;
}) {
  const rows = style === 'dual' ? Math.ceil(legs.length / 2) : 1;
  const bodyWidth = style === 'dual' ? BODY : Math.max(BODY, legs.length * 58);
  const bodyHeight = style === 'dual' ? rows * PITCH : 46;
  const left = style === 'dual' ? NAMES : 8;
  const width = bodyWidth + 2 * left;
  const height = TOP + bodyHeight + (style === 'dual' ? 12 : 62);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width * SCALE}
      className="mx-auto h-auto max-w-full"
      role="group"
      aria-label={label}
    >
      <rect
        x={left}
        y={TOP}
        width={bodyWidth}
        height={bodyHeight}
        rx="3"
        fill="var(--lift)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {style === 'dual' && (
        <path
          d={`M${left + bodyWidth / 2 - 8} ${TOP}a8 8 0 0 0 16 0`}
          fill="var(--margin)"
          stroke="var(--ink)"
          strokeWidth="1.3"
        />
      )}
      {legs.map((leg) => (
        <LegMark
          key={leg.number}
          leg={leg}
          x={left + leg.x * bodyWidth}
          y={TOP + leg.y * bodyHeight}
          name={names.get(leg.number)}
          chosen={leg.number === chosen}
          onChoose={onChoose}
        />
      ))}
    </svg>
  );
}

function LegMark({
  leg,
  x,
  y,
  name,
  chosen,
  onChoose,
}: {
  leg: Leg;
  x: number;
  y: number;
  name: string | undefined;
  chosen: boolean;
  onChoose: (number: number) => void;
}) {
  const { number, side } = leg;
  const down = side === 'bottom';
  const out = side === 'left' ? -1 : 1;
  const choose = () => name !== undefined && onChoose(number);
  const ink = chosen ? 'var(--ochre)' : name === undefined ? 'var(--rule-2)' : 'var(--ink)';
  return (
    <g
      role="button"
      tabIndex={name === undefined ? -1 : 0}
      aria-disabled={name === undefined}
      aria-pressed={chosen}
      aria-label={`pin ${number}, ${name ?? 'not known'}`}
      onClick={choose}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        choose();
      }}
      className={name === undefined ? undefined : 'cursor-pointer'}
    >
      <rect
        x={down ? x - 27 : Math.min(x, x + out * 88)}
        y={down ? y : y - 11}
        width={down ? 54 : 88}
        height={down ? 58 : 22}
        fill="transparent"
      />
      <path
        d={down ? `M${x} ${y}v16` : `M${x} ${y}h${out * 13}`}
        stroke={ink}
        strokeWidth={chosen ? 4 : 2.4}
        strokeDasharray={name === undefined ? '2 3' : undefined}
      />
      <text
        x={down ? x : x - out * 7}
        y={down ? y - 8 : y + 4}
        textAnchor={down ? 'middle' : side === 'left' ? 'start' : 'end'}
        className="q"
        fontSize="11.5"
        fill={ink}
      >
        {number}
      </text>
      <text
        x={down ? x : x + out * 18}
        y={down ? y + 30 : y + 4}
        textAnchor={down ? 'middle' : side === 'left' ? 'end' : 'start'}
        className="q"
        fontSize="11.5"
        fontWeight={chosen ? 700 : 500}
        fill={ink}
      >
        {name ?? '–'}
      </text>
    </g>
  );
}
