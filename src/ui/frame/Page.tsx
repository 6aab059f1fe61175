import type { ReactNode } from 'react';
import { NoticeStrip } from '../feedback/Notices';
import { PageReadAt } from '../form/seen';
import { readAt } from './readAt';

/** The frame of a page: a head and the two halves or one whole, as the page gives them, and a line at the foot. */
export function PageFrame({ children, foot }: { children: ReactNode; foot?: ReactNode }) {
  return (
    <PageReadAt at={readAt()}>
      <main className="page">
        {children}
        <div className="no-print">
          <NoticeStrip />
          {foot}
        </div>
      </main>
    </PageReadAt>
  );
}

/** The head of a page that is not about one thing: its name, a line about it, and its actions. */
export function PageHead({
  title,
  subtitle,
  actions,
  children,
}: {
  title: string;
  subtitle?: ReactNode;
  actions?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <header className="border-b border-rule px-[22px] pt-3.5 pb-3 max-[899px]:px-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="max-w-full flex-none">
          <h1 className="text-[21px] leading-tight font-semibold tracking-[-0.01em]">{title}</h1>
          {subtitle && <p className="mt-0.5 text-[12px] text-ink-2">{subtitle}</p>}
        </div>
        {children && <div className="min-w-0 flex-1 max-[899px]:order-last max-[899px]:basis-full">{children}</div>}
        {actions && (
          <div className="ml-auto flex max-w-full flex-none flex-wrap items-center justify-end gap-3">{actions}</div>
        )}
      </div>
    </header>
  );
}
