/** What to do with a thing: a word with a shape that can be told in greyscale. */
export type VerdictWord = 'keep' | 'limit' | 'retest' | 'scrap';

const VERDICT_SHAPE = {
  keep: <circle cx="6.5" cy="6.5" r="5.5" fill="currentColor" />,
  limit: (
    <>
      <circle cx="6.5" cy="6.5" r="5" fill="none" stroke="currentColor" strokeWidth="1.6" />
      <path d="M6.5 1.5a5 5 0 0 1 0 10z" fill="currentColor" />
    </>
  ),
  retest: (
    <circle cx="6.5" cy="6.5" r="5" fill="none" stroke="currentColor" strokeWidth="1.6" strokeDasharray="3 2.2" />
  ),
  scrap: <path d="M2 2l9 9M11 2l-9 9" stroke="currentColor" strokeWidth="2.2" />,
} as const;

/** A verdict with its shape. */
export function VerdictMark({ verdict }: { verdict: VerdictWord }) {
  return (
    <span
      data-verdict={verdict}
      className={`inline-flex items-baseline gap-1.5 font-semibold ${verdict === 'scrap' ? 'text-stop' : ''}`}
    >
      <svg width="13" height="13" aria-hidden="true" className="flex-none translate-y-[1.5px]">
        {VERDICT_SHAPE[verdict]}
      </svg>
      {verdict}
    </span>
  );
}

/** How weighty a finding is. */
export type Weight = 'danger' | 'check' | 'note' | 'ok';

const WEIGHT_SHAPE = {
  danger: <path d="M4 .7h5L12.3 4v5L9 12.3H4L.7 9V4Z" fill="currentColor" />,
  check: <path d="M6.5 1.4 12 11.6H1Z" fill="none" stroke="currentColor" strokeWidth="1.6" />,
  note: <circle cx="6.5" cy="6.5" r="2.6" fill="currentColor" />,
  ok: <path d="M2 7l3 3 6-7" fill="none" stroke="currentColor" strokeWidth="1.8" />,
} as const;

/** A finding's mark: octagon, triangle, dot or tick, always with its word. */
export function WeightMark({ weight, word }: { weight: Weight; word?: string }) {
  return (
    <span
      data-weight={weight}
      className={`inline-flex items-baseline gap-1.5 text-[12.5px] font-semibold ${weight === 'danger' ? 'text-stop' : ''}`}
    >
      <svg width="13" height="13" aria-hidden="true" className="flex-none translate-y-[1.5px]">
        {WEIGHT_SHAPE[weight]}
      </svg>
      {word ?? weight}
    </span>
  );
}

/** A grade in its ring. */
export function GradeMark({ grade }: { grade: string | null | undefined }) {
  if (!grade) return <span className="text-ink-3">–</span>;
  if (grade.length > 1) return <span className="text-[12.5px] font-semibold text-stop">{grade}</span>;
  return (
    <span className="grade" aria-label={`grade ${grade}`}>
      {grade}
    </span>
  );
}

/** The tied-on label with a code. */
export function Tag({ code }: { code: string }) {
  return <span className="tag">{code}</span>;
}
