'use client';

import { createContext, use, type ReactNode } from 'react';

/** What must come before anything else on a page. */
const HoldContext = createContext<ReactNode>(undefined);

/** Holds back every “next” of the page inside it: what is given stands in its place. */
export function HoldNext({ first, children }: { first: ReactNode; children: ReactNode }) {
  return <HoldContext value={first}>{children}</HoldContext>;
}

/** The one thing to do next. */
export function Next({
  label = 'Next',
  children,
  actions,
}: {
  label?: string;
  children: ReactNode;
  actions?: ReactNode;
}) {
  const first = use(HoldContext);
  if (first !== undefined && first !== null) return <section className="next">{first}</section>;
  return (
    <section className="next">
      <h2 className="label mb-1">{label}</h2>
      <p className="text-[15.5px] leading-snug font-medium">{children}</p>
      {actions && <div className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-2 text-[13px]">{actions}</div>}
    </section>
  );
}
