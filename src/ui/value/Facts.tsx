import type { ReactNode } from 'react';

/** Facts in rows: a quiet label, a loud value, and its evidence. */
export function Facts({
  rows,
}: {
  rows: readonly { label: string; value: ReactNode; evidence?: string | undefined; title?: string }[];
}) {
  const wide = rows.some(({ evidence }) => evidence);
  return (
    <dl
      className={`grid gap-y-0.5 text-[13.5px] leading-snug ${wide ? 'grid-cols-[1fr_auto_auto]' : 'grid-cols-[1fr_auto]'}`}
    >
      {rows.map(({ label, value, evidence, title }, index) => (
        <div key={`${index} ${label}`} className="col-span-full grid grid-cols-subgrid items-baseline">
          <dt className="text-ink-2">{label}</dt>
          <dd className="q text-right">{value}</dd>
          {wide && (
            <dd className="pl-3.5 text-[11.5px] text-ink-3" title={title}>
              {evidence}
            </dd>
          )}
        </div>
      ))}
    </dl>
  );
}
