'use client';

import Link from './Link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';

export interface RailItem {
  readonly href: string;
  readonly label: string;
}

/** Index tabs on the left edge; a strip along the top on a narrow screen. */
export function Rail({ name, items, foot }: { name: string; items: readonly RailItem[]; foot?: ReactNode }) {
  const path = usePathname();
  const current = items.find(({ href }) => (href === '/' ? path === '/' : path.startsWith(href)));
  return (
    <nav aria-label="Areas" className="rail flex min-w-0 flex-col gap-[3px] pb-3">
      <Link
        href="/"
        className="mark mb-[34px] block pt-[20px] pl-[20px] text-[17px] leading-tight font-bold tracking-[-0.01em] [font-stretch:85%]"
      >
        {name}
      </Link>
      {items.map(({ href, label }) => (
        <Link key={href} href={href} className="tab" aria-current={href === current?.href ? 'page' : undefined}>
          {label}
        </Link>
      ))}
      <div className="scheme mt-auto pl-[14px]">{foot}</div>
    </nav>
  );
}
