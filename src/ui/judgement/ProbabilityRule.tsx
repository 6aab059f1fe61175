/** A runner-up below this is not marked. */
const LEAST_MARKED = 0.02;
/** Width of a character of the label, in units of the drawing. */
const CHARACTER = 6.6;

/** A probability on an engraved rule from 0 to 1, with the runner-up marked. */
export function ProbabilityRule({
  value,
  rival,
}: {
  value: number;
  rival?: { readonly label: string; readonly value: number } | undefined;
}) {
  const at = (share: number) => 4 + Math.max(0, Math.min(1, share)) * 292;
  const shown = value.toFixed(2);
  const marked = rival && rival.value >= LEAST_MARKED ? rival : undefined;
  return (
    <svg
      viewBox={`0 0 300 ${marked ? 58 : 44}`}
      className="w-full max-w-[420px] shrink-0 font-mono"
      role="img"
      aria-label={`Probability ${shown}${rival ? `; ${rival.label} ${rival.value.toFixed(2)}` : ''}`}
    >
      <path d="M4 22H296" stroke="var(--ink)" strokeWidth="1.5" />
      {Array.from({ length: 11 }, (_, step) => (
        <path key={step} d={`M${4 + step * 29.2} 22V${step % 5 === 0 ? 31 : 28}`} stroke="var(--ink)" strokeWidth="1" />
      ))}
      {[0, 0.5, 1].map((mark) => (
        <text
          key={mark}
          x={at(mark)}
          y={42}
          fontSize="10.5"
          fill="var(--ink-2)"
          textAnchor={mark === 0 ? 'start' : mark === 1 ? 'end' : 'middle'}
        >
          {mark}
        </text>
      ))}
      {marked && (
        <>
          <path d={`M${at(marked.value)} 14V46`} stroke="var(--ink-2)" strokeWidth="1.5" strokeDasharray="3 2" />
          <text
            x={Math.max(4, Math.min(at(marked.value) - 2, 296 - CHARACTER * marked.label.length))}
            y={55}
            fontSize="11"
            fill="var(--ink-2)"
          >
            {marked.label}
          </text>
        </>
      )}
      <path d={`M${at(value)} 2V31`} stroke="var(--ochre)" strokeWidth="2" />
      <text
        x={at(value) + (value > 0.2 ? -4 : 4)}
        y={12}
        fontSize="13"
        fontWeight="500"
        fill="var(--ochre)"
        textAnchor={value > 0.2 ? 'end' : 'start'}
      >
        {shown}
      </text>
    </svg>
  );
}
