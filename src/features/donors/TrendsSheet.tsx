'use client';

import dynamic from 'next/dynamic';
import Link from '../../ui/frame/Link';
import { routes } from '../../routes';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Evidence } from '../../ui/frame/Halves';
import type { TrendsView } from './trends.server';

const TrendSpans = dynamic(() => import('./TrendSpans'), { ssr: false, loading: () => <div className="h-[170px]" /> });

/** What the donors of the shop come to over the years, all of them or one kind. */
export function TrendsSheet({ view: { kind, kinds, trends, topologies, total, dated } }: { view: TrendsView }) {
  return (
    <Evidence>
      <nav aria-label="Kinds" className="no-print mb-4 flex flex-wrap gap-x-4 gap-y-1 text-[13px]">
        <Link
          href={routes.trends()}
          aria-current={kind === '' ? 'page' : undefined}
          className={kind === '' ? 'font-semibold' : 'underline decoration-dotted'}
        >
          all kinds
        </Link>
        {kinds.map(({ value, label, count }) => (
          <Link
            key={value}
            href={routes.trends({ by: value })}
            aria-current={kind === value ? 'page' : undefined}
            className={kind === value ? 'font-semibold' : 'underline decoration-dotted'}
          >
            {label} <span className="text-ink-2">{count}</span>
          </Link>
        ))}
      </nav>
      <p className="mb-4 text-[13px] text-ink-2">
        {dated} of {total} tell when they were made. A bar is the middle unit of its years, the mark on it the half
        around that one.
      </p>
      {dated === 0 ? (
        <EmptyState title="No year is known yet">Date codes on labels and parts tell when a unit was made.</EmptyState>
      ) : (
        <div className="grid grid-cols-2 gap-x-8 gap-y-6 max-[899px]:grid-cols-1">
          {trends.map(({ id, label, unit, spans, count, says }) => (
            <figure key={id}>
              <figcaption className="mb-1 text-[13.5px]">
                <b>{label}</b>, {unit}{' '}
                <span className="text-[12px] text-ink-2">
                  {count} {count === 1 ? 'unit' : 'units'}, {says}
                </span>
              </figcaption>
              {spans.length > 0 ? (
                <TrendSpans label={label} unit={unit} spans={spans} />
              ) : (
                <p className="text-[12.5px] text-ink-2">none is measured yet</p>
              )}
            </figure>
          ))}
        </div>
      )}
      {topologies.length > 0 && (
        <section aria-label="Topologies" className="mt-6">
          <h2 className="label mb-1">Topologies of traced boards</h2>
          <table className="rows plain max-w-[760px]" aria-label="Topologies of traced boards">
            <thead>
              <tr>
                <th>main stage</th>
                <th data-align="end">boards</th>
                <th>made</th>
                <th>in</th>
              </tr>
            </thead>
            <tbody>
              {topologies.map(({ name, count, years, codes }) => (
                <tr key={name}>
                  <td>{name}</td>
                  <td data-align="end" className="q">
                    {count}
                  </td>
                  <td>{years}</td>
                  <td>
                    {codes.map((code) => (
                      <Link key={code} href={routes.donor(code)} className="ref mr-2">
                        {code}
                      </Link>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
    </Evidence>
  );
}
