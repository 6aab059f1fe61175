'use client';

import { useMemo, useRef, useState, type ReactNode } from 'react';
import { Annotator, schematicSvg, type Schematic } from '../../../../core/schematic';
import { useZoom, useZoomHands } from '../../../../ui/picture/useZoom';
import { ZoomButtons } from '../../../../ui/picture/ZoomPicture';
import { GROUND, LabelView, SymbolView } from '../../../../ui/schematic/ink';
import { keepPng, keepSvg } from '../../../../ui/picture/keepFile';
import { MarkView, TagView, type PartNote, type WireNote } from './notes';

const NO_NOTES: readonly never[] = [];

/** The schematic in ink: drag to move, wheel, keys or buttons to come nearer; a click on a part or wire lights its net. */
export function SchematicView({
  schematic,
  lit,
  chosen,
  notes = NO_NOTES,
  volts = NO_NOTES,
  onPart,
  onNet,
  children,
}: {
  schematic: Schematic;
  /** The net that is lit. */
  lit: number | undefined;
  /** The part that is chosen. */
  chosen: string | undefined;
  /** What is to be told of parts. */
  notes?: readonly PartNote[];
  /** What is to be told of nets. */
  volts?: readonly WireNote[];
  /** Told the part, or the box of folded parts. */
  onPart: (ref: string) => void;
  onNet: (net: number) => void;
  /** What stands beside the tools of the drawing. */
  children?: ReactNode;
}) {
  const zoom = useZoom();
  const sheet = useRef<SVGSVGElement>(null);
  /** The sentence of the mark that has the focus or lies under the pointer. */
  const [told, setTold] = useState<string>();
  const placed = useMemo(() => {
    const free = new Annotator(schematic);
    return {
      volts: volts.flatMap((note) => {
        const tag = free.tagOn(note.net, note.text);
        return tag ? [{ note, tag }] : [];
      }),
      notes: notes.flatMap((note) => {
        const at = free.markAt(note.ref);
        return at ? [{ note, at }] : [];
      }),
    };
  }, [schematic, notes, volts]);
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
    <div>
      <div className="mb-1.5 flex flex-wrap items-center gap-1">
        <div className="flex-1">{children}</div>
        <ZoomButtons zoom={zoom} />
        <button type="button" className="btn" onClick={() => keepSvg(schematicSvg(schematic), 'schematic.svg')}>
          SVG
        </button>
        <button
          type="button"
          className="btn"
          onClick={() =>
            void keepPng(
              schematicSvg(schematic),
              { width: schematic.width * 2, height: schematic.height * 2 },
              'schematic.png',
            )
          }
        >
          PNG
        </button>
      </div>
      <svg
        ref={sheet}
        tabIndex={0}
        viewBox={`${view.x * schematic.width - width / 2} ${view.y * schematic.height - height / 2} ${width} ${height}`}
        className="h-[min(60dvh,640px)] w-full touch-none rounded-[3px] border border-rule bg-lift font-mono"
        role="group"
        aria-label={`Schematic: ${schematic.title}. Plus and minus zoom, arrows move, 0 shows all.`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.2"
        strokeLinecap="round"
        strokeLinejoin="round"
        {...hands}
      >
        {schematic.barrier && <BarrierView {...schematic.barrier} height={schematic.height} />}
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
        {placed.volts.map(({ note, tag }) => (
          <TagView key={note.message} note={note} tag={tag} onTell={setTold} />
        ))}
        {placed.notes.map(({ note, at }) => (
          <MarkView key={note.ref + note.message} note={note} at={at} onTell={setTold} />
        ))}
      </svg>
      {(notes.length > 0 || volts.length > 0) && (
        <p className="mt-1.5 min-h-[2.8em] text-[12.5px] leading-[1.4] text-ink-2" role="status">
          {told ?? untold(notes, volts, volts.length - placed.volts.length)}
        </p>
      )}
    </div>
  );
}

/** What stands where the sentence of a mark comes, while none is asked for. */
const untold = (notes: readonly PartNote[], volts: readonly WireNote[], left: number) =>
  volts.length > 0
    ? `Volts as worked out from the parts, not measured. Stores keep their charge after the plug is pulled: measure before you touch.${left > 0 ? ` ${left} more ${left === 1 ? 'stands' : 'stand'} at Power walk.` : ''}`
    : `${notes.length === 1 ? 'A mark stands' : 'Marks stand'} at parts with something to say: point at one, or reach it with Tab.`;

/** The barrier as a hatched gap between the side of the mains and the isolated one. */
function BarrierView({ x, width, height }: { x: number; width: number; height: number }) {
  return (
    <>
      <defs>
        <pattern id="barrier" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V8" stroke="var(--ink)" strokeWidth=".7" opacity=".3" />
        </pattern>
      </defs>
      <rect x={x} y="0" width={width} height={height} fill="url(#barrier)" stroke="none" />
      <path d={`M${x} 0V${height}M${x + width} 0V${height}`} strokeWidth=".6" />
      {(
        [
          ['mains side', x - 8, 'end'],
          ['barrier', x + width / 2, 'middle'],
          ['isolated side', x + width + 8, 'start'],
        ] as const
      ).map(([text, at, anchor]) => (
        <text key={text} x={at} y="16" fontSize="11" textAnchor={anchor} fill="var(--ink-2)" {...GROUND}>
          {text}
        </text>
      ))}
    </>
  );
}
