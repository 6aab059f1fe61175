'use client';

import { ActionButton } from '../../ui/feedback/ActionButton';
import { Tag } from '../../ui/value/marks';
import type { FormOutcome } from '../../ui/form/outcome';

/** Donors in the archive, each with the way back. */
export function ArchivedRows({
  lines,
  restore,
}: {
  lines: readonly { code: string; title: string; label: string }[];
  restore: (code: string) => Promise<FormOutcome>;
}) {
  return (
    <ul aria-label="Archive" className="max-w-[760px]">
      {lines.map(({ code, title, label }) => (
        <li
          key={code}
          className="grid grid-cols-[104px_minmax(0,1fr)_auto] items-center gap-3.5 border-b border-rule py-2.5"
        >
          <Tag code={code} />
          <span className="min-w-0">
            <b className="block truncate font-semibold">{title}</b>
            <span className="block text-[12px] text-ink-2">{label}</span>
          </span>
          <ActionButton action={() => restore(code)}>Bring back</ActionButton>
        </li>
      ))}
    </ul>
  );
}
