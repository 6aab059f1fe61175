'use client';

import { useRef } from 'react';
import {
  groundPath,
  schematicSvg,
  supplyPath,
  wordsOf,
  type PlacedSymbol,
  type Schematic,
  type Shape,
} from '../../../core/schematic';
import { useZoom, useZoomHands } from '../../../ui/picture/useZoom';
import { ZoomButtons } from '../../../ui/picture/ZoomPicture';

/** The schematic in ink: drag to move, wheel, keys or buttons to come nearer; a click on a part or wire lights its net. */
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
  const zoom = useZoom();
  const sheet = useRef<SVGSVGElement>(null);
  const { view } = zoom;
  const width = schematic.width / view.scale;
  const height = schematic.height / view.scale;
  const hands = useZoomHands(zoom, () => {
    const box = sheet.current?.getBoundingClientRect();
    if (!box) return undefined;
    // The drawing is fitted into the box as a whole, with its middle in the middle.
    const pixels = Math.min(box.width / width, box.height / height);
    return {
      left: box.left + box.width / 2 - view.x * schematic.width * pixels,
      top: box.top + box.height / 2 - view.y * schematic.height * pixels,
      width: schematic.width * pixels,
      height: schematic.height * pixels,
    };
  });

  return (
    <div className="relative">
      <div className="absolute top-2 right-2 z-10 flex gap-1">
        <ZoomButtons zoom={zoom} />
        <button type="button" className="btn" onClick={() => saveSvg(schematic)}>
          SVG
        </button>
        <button type="button" className="btn" onClick={() => void savePng(schematic)}>
          PNG
        </button>
      </div>
      <svg
        ref={sheet}
        tabIndex={0}
        viewBox={`${view.x * schematic.width - width / 2} ${view.y * schematic.height - height / 2} ${width} ${height}`}
        className="h-[min(64dvh,640px)] w-full touch-none rounded-[3px] border border-rule bg-lift font-mono"
        role="img"
        aria-label={`Schematic: ${schematic.title}. Plus and minus zoom, arrows move, 0 shows all.`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.2"
        strokeLinecap="round"
        strokeLinejoin="round"
        {...hands}
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
        {schematic.wires.map(({ net, points, isPower, isOpen }, index) => (
          <path
            key={index}
            d={`M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`}
            stroke={net === lit ? 'var(--ochre)' : 'var(--ink)'}
            strokeWidth={net === lit ? 3 : isPower ? 2 : 1}
            {...(isOpen ? { strokeDasharray: '3 2' } : {})}
            onClick={() => onNet(net)}
          />
        ))}
        {schematic.dots.map(({ x, y, net }, index) => (
          <circle key={index} cx={x} cy={y} r="2.5" fill={net === lit ? 'var(--ochre)' : 'var(--ink)'} stroke="none" />
        ))}
        {schematic.symbols.map((symbol) => (
          <SymbolView key={symbol.ref} placed={symbol} isChosen={symbol.ref === chosen} onPart={onPart} />
        ))}
        {schematic.labels.map(({ net, text, at, side, kind, nudge }, index) => (
          <LabelView
            key={index}
            {...{ text, at, side, kind }}
            {...(nudge === undefined ? {} : { nudge })}
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
          fontSize={index === 0 ? 11 : 9}
          fontWeight={index === 0 ? 600 : 400}
          fill={index === 0 ? ink : 'var(--ink-2)'}
          stroke="none"
        >
          {text}
        </text>
      ))}
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
        fontSize="9"
        fill={isLit ? 'var(--ochre)' : 'var(--ink-2)'}
        stroke="none"
        onClick={onClick}
      >
        {text}
      </text>
    </>
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
