import { memo } from 'react';
import { usedBox, type PlacedSymbol, type Schematic } from '../../core/schematic';
import { formatQuantity, type Unit } from '../../core/quantity';
import { LabelView, SymbolView } from './ink';

/** What stands beside a part, by its reference. */
export type CircuitFigures = Readonly<Record<string, { readonly value: number; readonly unit: Unit }>>;

/** What the drawing is fitted into, and how large its words are there, pixels. */
const WIDTH = 758;
const HEIGHT = 300;
const PIXELS = 10.5;

const nothing = () => undefined;

const figureText = (figures: CircuitFigures | undefined, ref: string): string => {
  const figure = figures?.[ref];
  return figure ? formatQuantity(figure.value, figure.unit, { digits: 3 }) : '';
};

/** The reference of a part and its figure, large enough to be read at the size of the drawing. */
function Caption({
  placed: { at, caption, ref, isBlock, symbol },
  figure,
  type,
  isStruck,
}: {
  placed: PlacedSymbol;
  figure: string;
  type: number;
  isStruck: boolean;
}) {
  const [first] = caption.lines;
  if (!first || isBlock) return null;
  const lines = figure === '' ? [ref] : [ref, figure];
  const { captionAt } = symbol;
  const last = caption.lines.at(-1) ?? first;
  // Over a body the words grow upwards, beside it from its middle, within it about its middle.
  const bottom = captionAt === 'above' ? last.y : (first.y + last.y) / 2 + ((lines.length - 1) * type * 1.05) / 2;
  return (
    <g stroke="var(--lift)" strokeWidth="4" paintOrder="stroke">
      {lines.map((text, index) => (
        <text
          key={index}
          x={at.x + first.x}
          y={at.y + bottom - (lines.length - 1 - index) * type * 1.05}
          textAnchor={caption.anchor}
          fontSize={index === 0 ? type * 0.92 : type}
          fontWeight={index === 0 ? 400 : 600}
          fill={isStruck ? 'var(--ochre)' : index === 0 ? 'var(--ink-2)' : 'var(--ink)'}
        >
          {text}
        </text>
      ))}
    </g>
  );
}

/** The circuit with a figure beside each part: as the knobs are turned only the figures change, never the drawing. */
export const CircuitFigure = memo(function CircuitFigure({
  schematic,
  figures,
  struck,
  over,
}: {
  schematic: Schematic;
  figures: CircuitFigures | undefined;
  /** Parts that the fault looked at sits in. */
  struck: readonly string[];
  /** Parts that are over what they stand. */
  over: readonly string[];
}) {
  const box = usedBox(schematic);
  const type = Math.min(30, PIXELS / Math.min(WIDTH / (box.right - box.left), HEIGHT / (box.bottom - box.top)));
  return (
    <svg
      viewBox={`${box.left} ${box.top} ${box.right - box.left} ${box.bottom - box.top}`}
      className="circuit-figure"
      role="img"
      aria-label={`Circuit: ${schematic.title}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.2"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {schematic.barrier && (
        <>
          <rect
            x="0"
            y="0"
            width={schematic.barrier.x + schematic.barrier.width / 2}
            height={schematic.height}
            fill="url(#whatif-mains)"
            stroke="none"
          />
          <defs>
            <pattern id="whatif-mains" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <path d="M0 0V9" stroke="var(--ink)" strokeWidth=".8" opacity=".14" />
            </pattern>
          </defs>
          <path
            d={`M${schematic.barrier.x + schematic.barrier.width / 2} 0V${schematic.height}`}
            strokeDasharray="2 6"
          />
        </>
      )}
      {schematic.wires.map(({ points, isPower }, index) => (
        <path key={index} d={`M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`} strokeWidth={isPower ? 2.4 : 1.2} />
      ))}
      {schematic.dots.map(({ x, y }, index) => (
        <circle key={index} cx={x} cy={y} r="3" fill="var(--ink)" stroke="none" />
      ))}
      {schematic.symbols.map((placed) => {
        const { body } = placed.symbol;
        const isOver = over.includes(placed.ref);
        return (
          <g key={placed.ref} data-over={isOver ? '' : undefined}>
            <SymbolView
              placed={{ ...placed, caption: { ...placed.caption, lines: [] } }}
              isChosen={struck.includes(placed.ref)}
              onPart={nothing}
            />
            {isOver && (
              <rect
                x={placed.at.x + body.left - 6}
                y={placed.at.y + body.top - 6}
                width={body.right - body.left + 12}
                height={body.bottom - body.top + 12}
                rx="6"
                stroke="var(--stop)"
                strokeDasharray="5 3"
              />
            )}
          </g>
        );
      })}
      {schematic.symbols.map((placed) => (
        <Caption
          key={placed.ref}
          placed={placed}
          figure={figureText(figures, placed.ref)}
          type={type}
          isStruck={struck.includes(placed.ref)}
        />
      ))}
      {schematic.labels.map(({ text, at, side, kind, nudge }, index) => (
        <LabelView
          key={index}
          {...{ text, at, side, kind }}
          {...(nudge === undefined ? {} : { nudge })}
          isLit={false}
          onClick={nothing}
        />
      ))}
    </svg>
  );
});
