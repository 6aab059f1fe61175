'use client';

import Link from '../../../ui/frame/Link';
import { routes } from '../../../routes';

const CHOICES = [
  { name: 'maker', label: 'its maker' },
  { name: 'origin', label: 'where it came from' },
] as const;

/** What a report leaves out, and the ways it goes out. */
export function ReportActions({ code, without }: { code: string; without: readonly string[] }) {
  const said = without.join(',');
  return (
    <>
      {CHOICES.map(({ name, label }) => {
        const isOut = without.includes(name);
        const next = isOut ? without.filter((one) => one !== name) : [...without, name];
        return (
          <Link
            key={name}
            href={routes.report(code, next.length > 0 ? { without: next.join(',') } : {})}
            className="text-[13px] underline decoration-dotted"
          >
            {isOut ? 'tell' : 'leave out'} {label}
          </Link>
        );
      })}
      {(['md', 'pdf', 'zip'] as const).map((as) => (
        <a key={as} href={routes.reportFile(code, as, said === '' ? {} : { without: said })} className="btn">
          {{ md: 'Markdown', pdf: 'PDF', zip: 'All as zip' }[as]}
        </a>
      ))}
      <button type="button" className="btn" data-tone="next" onClick={() => window.print()}>
        Print
      </button>
    </>
  );
}
