import type { ReactNode } from 'react';

/** A place with nothing in it yet: what to do first. */
export function EmptyState({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <div className="max-w-[520px] border-l-2 border-rule-2 py-1 pl-5">
      <h2 className="text-[17px] font-semibold">{title}</h2>
      <div className="mt-1.5 text-[13.5px] leading-relaxed text-ink-2">{children}</div>
      {action && <div className="mt-3 flex gap-2">{action}</div>}
    </div>
  );
}
