import type { PartMark, WireTag } from '../../../../core/schematic';

/** Something to be told of a part: a finding by its number, or a measured value. */
export interface PartNote {
  readonly ref: string;
  /** The number of a finding, or `m` for what was measured. */
  readonly sign: string;
  readonly message: string;
}

/** Something to be told of a net. */
export interface WireNote {
  readonly net: number;
  readonly text: string;
  readonly message: string;
}

type Tell = (message: string | undefined) => void;

const telling = (message: string, onTell: Tell) => ({
  tabIndex: 0,
  role: 'img',
  'aria-label': message,
  onFocus: () => onTell(message),
  onBlur: () => onTell(undefined),
  onPointerEnter: () => onTell(message),
  onPointerLeave: () => onTell(undefined),
});

/** A small mark at a part: a triangle with the number of a finding, a round one for what was measured. */
export function MarkView({
  note: { sign, message },
  at: { x, y },
  onTell,
}: {
  note: PartNote;
  at: PartMark;
  onTell: Tell;
}) {
  const isFinding = sign !== 'm';
  return (
    <g {...telling(message, onTell)}>
      <path
        d={
          isFinding
            ? `M${x} ${y - 8}L${x + 9} ${y + 7}H${x - 9}Z`
            : `M${x - 7} ${y}A7 7 0 1 1 ${x + 7} ${y}A7 7 0 1 1 ${x - 7} ${y}`
        }
        fill="var(--ochre-wash)"
        strokeWidth="1.3"
        stroke={isFinding ? 'var(--ochre)' : 'var(--ink-2)'}
      />
      <text
        x={x}
        y={y + (isFinding ? 5 : 3)}
        fontSize="10"
        fontWeight="600"
        textAnchor="middle"
        fill="var(--ink)"
        stroke="none"
      >
        {sign}
      </text>
    </g>
  );
}

/** A tag at a wire with a point towards it. */
export function TagView({
  note: { text, message },
  tag: { box, tip },
  onTell,
}: {
  note: WireNote;
  tag: WireTag;
  onTell: Tell;
}) {
  const { left, top, right, bottom } = box;
  const isAside = tip.x < left || tip.x > right;
  const near = isAside ? (tip.x < left ? left : right) : tip.y < top ? top : bottom;
  const point = isAside
    ? `M${near} ${tip.y - 4}L${tip.x} ${tip.y}L${near} ${tip.y + 4}`
    : `M${tip.x - 4} ${near}L${tip.x} ${tip.y}L${tip.x + 4} ${near}`;
  return (
    <g {...telling(message, onTell)} strokeWidth=".9" stroke="var(--rule-2)">
      <path d={`M${left} ${top}H${right}V${bottom}H${left}Z${point}`} fill="var(--margin)" />
      <text
        x={(left + right) / 2}
        y={top + 13}
        fontSize="12"
        fontWeight="600"
        textAnchor="middle"
        fill="var(--ink)"
        stroke="none"
      >
        {text}
      </text>
    </g>
  );
}
