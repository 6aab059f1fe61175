import type { PlacedSymbol, Schematic } from '../../core/schematic';
import { STRESS_WORDS, type Answer } from '../../core/whatif';
import { LabelView, SymbolView } from '../../ui/schematic/ink';
import { shown } from './present';

const nothing = () => undefined;

/** The circuit with a figure beside each part: as the knobs are turned only the figures change, never the drawing. */
export function CircuitFigure({
  schematic,
  answer,
  struck,
  over,
}: {
  schematic: Schematic;
  answer: Answer | undefined;
  /** Parts that the fault looked at sits in. */
  struck: readonly string[];
  /** Parts that are over what they stand. */
  over: readonly string[];
}) {
  const figured = (placed: PlacedSymbol): PlacedSymbol => {
    const figure = answer?.figures[placed.ref];
    const text = figure ? shown(figure.value, STRESS_WORDS[figure.kind].unit) : '';
    const { lines } = placed.caption;
    const [first] = lines;
    if (!first || (lines.length === 1 && first.text === placed.ref)) return placed;
    const told =
      lines.length === 1
        ? [{ ...first, text: `${placed.ref} ${text}` }]
        : [first, ...(lines[1] ? [{ ...lines[1], text }] : [])];
    return { ...placed, caption: { ...placed.caption, lines: told } };
  };
  return (
    <svg
      viewBox={`0 0 ${schematic.width} ${schematic.height}`}
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
            <SymbolView placed={figured(placed)} isChosen={struck.includes(placed.ref)} onPart={nothing} />
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
}
