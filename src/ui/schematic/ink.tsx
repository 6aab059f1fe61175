import {
  groundPath,
  supplyPath,
  TYPE,
  wordsOf,
  type PartSymbol,
  type PlacedSymbol,
  type Schematic,
  type Shape,
} from '../../core/schematic';

/** Words keep a ground of their own, so that what lies under them does not disturb. */
export const GROUND = { stroke: 'var(--lift)', strokeWidth: 3, paintOrder: 'stroke' } as const;

export function SymbolView({
  placed,
  isChosen,
  onPart,
}: {
  placed: PlacedSymbol;
  isChosen: boolean;
  onPart: (ref: string) => void;
}) {
  const { ref, symbol, at, caption, isPower } = placed;
  const { body } = symbol;
  const ink = isChosen ? 'var(--ochre)' : 'var(--ink)';
  return (
    <g
      data-ref={ref}
      transform={`translate(${at.x} ${at.y})`}
      stroke={ink}
      strokeWidth={isPower ? 1.8 : 1.2}
      onClick={() => onPart(ref)}
      className="cursor-pointer"
    >
      <rect
        x={body.left}
        y={body.top}
        width={body.right - body.left}
        height={body.bottom - body.top}
        fill="transparent"
        stroke="none"
      />
      {symbol.shapes.map((shape, index) => (
        <ShapeView key={index} shape={shape} ink={ink} />
      ))}
      {caption.lines.map(({ text, x, y }, index) => (
        <text
          key={y}
          x={x}
          y={y}
          textAnchor={caption.anchor}
          fontSize={index === 0 ? TYPE.ref : TYPE.value}
          fontWeight={index === 0 ? 600 : 400}
          fill={index === 0 ? ink : 'var(--ink-2)'}
          {...GROUND}
        >
          {text}
        </text>
      ))}
    </g>
  );
}

/** A symbol by itself, set into the middle of a box. */
export function LoneSymbol({ symbol, ink }: { symbol: PartSymbol; ink: string }) {
  const xs = symbol.pins.map(({ x }) => x).concat(symbol.body.left, symbol.body.right);
  const ys = symbol.pins.map(({ y }) => y).concat(symbol.body.top, symbol.body.bottom);
  const [left, top] = [Math.min(...xs) - 4, Math.min(...ys) - 4];
  const [width, height] = [Math.max(...xs) + 4 - left, Math.max(...ys) + 4 - top];
  return (
    <svg
      aria-hidden="true"
      viewBox={`${left} ${top} ${width} ${height}`}
      className="h-[46px] w-full"
      stroke={ink}
      strokeWidth={1.6}
    >
      {symbol.shapes.map((shape, index) => (
        <ShapeView key={index} shape={shape} ink={ink} />
      ))}
    </svg>
  );
}

function ShapeView({ shape, ink }: { shape: Shape; ink: string }) {
  return 'text' in shape ? (
    <text x={shape.at.x} y={shape.at.y} textAnchor={shape.anchor} fontSize={TYPE.pin} fill="var(--ink-2)" stroke="none">
      {shape.text}
    </text>
  ) : (
    <path d={shape.path} fill={shape.isFilled ? ink : 'none'} {...(shape.isHeavy ? { strokeWidth: 2.2 } : {})} />
  );
}

export function LabelView({
  text,
  at: { x, y },
  side,
  kind,
  nudge,
  isLit,
  onClick,
}: Omit<Schematic['labels'][number], 'net' | 'pins'> & { isLit: boolean; onClick: () => void }) {
  const ink = isLit ? 'var(--ochre)' : 'var(--ink)';
  if (kind === 'ground' || kind === 'isolated-ground')
    return (
      <path
        d={groundPath({ at: { x, y }, side, kind })}
        strokeWidth={kind === 'ground' ? 3 : 2}
        stroke={ink}
        onClick={onClick}
      />
    );
  if (kind === 'open') return <circle cx={x} cy={y} r="4" strokeDasharray="2 2" stroke={ink} onClick={onClick} />;
  const words = wordsOf({ side, ...(nudge === undefined ? {} : { nudge }) });
  return (
    <>
      {kind === 'supply' && <path d={supplyPath({ at: { x, y }, side })} stroke={ink} onClick={onClick} />}
      <text
        x={x + words.dx}
        y={y + words.dy}
        textAnchor={words.anchor}
        fontSize={TYPE.value}
        fill={isLit ? 'var(--ochre)' : 'var(--ink-2)'}
        {...GROUND}
        onClick={onClick}
      >
        {text}
      </text>
    </>
  );
}
