/** A share from 0 to 1 on an engraved rule, with a mark for the one it is held against. */
export function ScoreRule({ value, label }: { value: number; label: string }) {
  const at = Math.max(0, Math.min(1, value)) * 100;
  return (
    <svg viewBox="0 0 104 12" className="h-3 w-full" role="img" aria-label={label} preserveAspectRatio="none">
      <path d="M2 9.5H102" stroke="var(--rule-2)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      {Array.from({ length: 11 }, (_, step) => (
        <path
          key={step}
          d={`M${2 + step * 10} ${step % 5 === 0 ? 4 : 7}V9.5`}
          stroke="var(--rule-2)"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      <path d={`M${2 + at} 1V11`} stroke="var(--ink)" strokeWidth="2.4" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}
