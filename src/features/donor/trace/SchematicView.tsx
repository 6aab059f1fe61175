'use client';

import { useRef, useState, type PointerEvent, type WheelEvent } from 'react';
import { groundPath, schematicSvg, type PlacedSymbol, type Schematic, type Shape } from '../../../core/schematic';

interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const whole = ({ width, height }: Schematic): Frame => ({ x: 0, y: 0, width, height });

/** The schematic in ink: drag to move, wheel or buttons to come nearer; a click on a part or wire lights its net. */
export function SchematicView({
  schematic,
  lit,
  chosen,
  onPart,
  onNet,
}: {
  schematic: Schematic;
  /** The net that is lit. */
  lit: number | undefined;
  /** The part that is chosen. */
  chosen: string | undefined;
  onPart: (ref: string) => void;
  onNet: (net: number) => void;
}) {
  const [frame, setFrame] = useState<Frame>();
  const drag = useRef<{ x: number; y: number; frame: Frame } | undefined>(undefined);
  const shown = frame ?? whole(schematic);

  function zoom(factor: number, atX = 0.5, atY = 0.5) {
    const width = Math.min(schematic.width * 1.2, Math.max(300, shown.width * factor));
    const height = (width / shown.width) * shown.height;
    setFrame({ x: shown.x + (shown.width - width) * atX, y: shown.y + (shown.height - height) * atY, width, height });
  }
  function wheel(event: WheelEvent<SVGSVGElement>) {
    const box = event.currentTarget.getBoundingClientRect();
    zoom(
      event.deltaY > 0 ? 1.15 : 0.87,
      (event.clientX - box.left) / box.width,
      (event.clientY - box.top) / box.height,
    );
  }
  function move(event: PointerEvent<SVGSVGElement>) {
    const start = drag.current;
    if (!start) return;
    const box = event.currentTarget.getBoundingClientRect();
    const scale = Math.max(start.frame.width / box.width, start.frame.height / box.height);
    setFrame({
      ...start.frame,
      x: start.frame.x - (event.clientX - start.x) * scale,
      y: start.frame.y - (event.clientY - start.y) * scale,
    });
  }

  return (
    <div className="relative">
      <div className="absolute top-2 right-2 z-10 flex gap-1">
        <button type="button" className="btn" data-tone="small" onClick={() => zoom(0.75)} aria-label="Come nearer">
          +
        </button>
        <button type="button" className="btn" data-tone="small" onClick={() => zoom(1.33)} aria-label="Go farther">
          −
        </button>
        <button type="button" className="btn" data-tone="small" onClick={() => setFrame(undefined)}>
          whole
        </button>
        <button type="button" className="btn" data-tone="small" onClick={() => saveSvg(schematic)}>
          SVG
        </button>
        <button type="button" className="btn" data-tone="small" onClick={() => void savePng(schematic)}>
          PNG
        </button>
      </div>
      <svg
        viewBox={`${shown.x} ${shown.y} ${shown.width} ${shown.height}`}
        className="h-[min(64dvh,640px)] w-full touch-none rounded-[3px] border border-rule bg-lift font-mono"
        role="img"
        aria-label={`Schematic: ${schematic.title}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.2"
        strokeLinecap="round"
        strokeLinejoin="round"
        onWheel={wheel}
        onPointerDown={(event) => {
          drag.current = { x: event.clientX, y: event.clientY, frame: shown };
        }}
        onPointerMove={move}
        onPointerUp={() => (drag.current = undefined)}
        onPointerLeave={() => (drag.current = undefined)}
      >
        <defs>
          <pattern id="mains-side" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V8" stroke="var(--ink)" strokeWidth=".7" opacity=".14" />
          </pattern>
        </defs>
        {schematic.barrier && (
          <>
            <rect
              x="0"
              y="0"
              width={schematic.barrier.x + schematic.barrier.width / 2}
              height={schematic.height}
              fill="url(#mains-side)"
              stroke="none"
            />
            <path
              d={`M${schematic.barrier.x + schematic.barrier.width / 2} 0V${schematic.height}`}
              strokeDasharray="2 6"
              strokeWidth="2"
            />
            <text
              x={schematic.barrier.x + schematic.barrier.width / 2 + 6}
              y="20"
              fontSize="11"
              fill="var(--ink-2)"
              stroke="none"
            >
              barrier
            </text>
          </>
        )}
        {schematic.wires.map(({ net, points, isPower }, index) => (
          <path
            key={index}
            d={`M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`}
            stroke={net === lit ? 'var(--ochre)' : 'var(--ink)'}
            strokeWidth={net === lit ? 3 : isPower ? 2 : 1}
            onClick={() => onNet(net)}
          />
        ))}
        {schematic.dots.map(({ x, y, net }, index) => (
          <circle key={index} cx={x} cy={y} r="2.5" fill={net === lit ? 'var(--ochre)' : 'var(--ink)'} stroke="none" />
        ))}
        {schematic.symbols.map((symbol) => (
          <SymbolView key={symbol.ref} placed={symbol} isChosen={symbol.ref === chosen} onPart={onPart} />
        ))}
        {schematic.labels.map(({ net, text, at, side, kind }, index) => (
          <LabelView
            key={index}
            text={text}
            at={at}
            side={side}
            kind={kind}
            isLit={net === lit}
            onClick={() => onNet(net)}
          />
        ))}
      </svg>
    </div>
  );
}

function SymbolView({
  placed,
  isChosen,
  onPart,
}: {
  placed: PlacedSymbol;
  isChosen: boolean;
  onPart: (ref: string) => void;
}) {
  const { ref, symbol, at, value, caption, isPower } = placed;
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
      <rect width={symbol.width} height={symbol.height} fill="transparent" stroke="none" />
      {symbol.shapes.map((shape, index) => (
        <ShapeView key={index} shape={shape} ink={ink} />
      ))}
      <text
        x={caption.at.x}
        y={caption.at.y}
        textAnchor={caption.anchor}
        fontSize="11"
        fontWeight="600"
        fill={ink}
        stroke="none"
      >
        {ref}
      </text>
      <text
        x={caption.at.x}
        y={caption.at.y + 11}
        textAnchor={caption.anchor}
        fontSize="9"
        fill="var(--ink-2)"
        stroke="none"
      >
        {value}
      </text>
    </g>
  );
}

function ShapeView({ shape, ink }: { shape: Shape; ink: string }) {
  return 'text' in shape ? (
    <text x={shape.at.x} y={shape.at.y} textAnchor={shape.anchor} fontSize="8.5" fill="var(--ink-2)" stroke="none">
      {shape.text}
    </text>
  ) : (
    <path d={shape.path} fill={shape.isFilled ? ink : 'none'} {...(shape.isHeavy ? { strokeWidth: 2.2 } : {})} />
  );
}

function LabelView({
  text,
  at: { x, y },
  side,
  kind,
  isLit,
  onClick,
}: Omit<Schematic['labels'][number], 'net'> & { isLit: boolean; onClick: () => void }) {
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
  const [dx, anchor] =
    side === 'left' ? ([-3, 'end'] as const) : side === 'right' ? ([3, 'start'] as const) : ([0, 'middle'] as const);
  return (
    <text
      x={x + dx}
      y={y + (side === 'top' ? -3 : side === 'bottom' ? 10 : 3)}
      textAnchor={anchor}
      fontSize="9"
      fill={isLit ? 'var(--ochre)' : 'var(--ink-2)'}
      stroke="none"
      onClick={onClick}
    >
      {text}
    </text>
  );
}

function save(content: Blob, name: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

const saveSvg = (schematic: Schematic) =>
  save(new Blob([schematicSvg(schematic)], { type: 'image/svg+xml' }), 'schematic.svg');

async function savePng(schematic: Schematic) {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([schematicSvg(schematic)], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = schematic.width * 2;
  canvas.height = schematic.height * 2;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(image.src);
  const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (png) save(png, 'schematic.png');
}
