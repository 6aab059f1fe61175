'use client';

import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';

/** Labels to print, as many on a sheet as fit. */
export function LabelSheet({ labels }: { labels: readonly { code: string; svg: string }[] }) {
  if (labels.length === 0)
    return (
      <Evidence>
        <EmptyState title="No label to print">
          Name lots in the address, or come here from Stock or a Harvest station.
        </EmptyState>
      </Evidence>
    );
  return (
    <Evidence>
      <div className="no-print mb-4 flex items-center gap-4">
        <button type="button" className="btn" data-tone="next" onClick={() => window.print()}>
          Print
        </button>
        <p className="text-[12.5px] text-ink-2">
          The square leads to the lot’s page at the address you have open now; print from the address your phone can
          reach.
        </p>
      </div>
      <ul className="flex flex-wrap gap-3 print:gap-0">
        {labels.map(({ code, svg }) => (
          <li key={code} className="border border-rule-2 print:border-0">
            {/* The label is drawn on the server from escaped texts only. */}
            <div dangerouslySetInnerHTML={{ __html: svg }} />
            <a
              className="no-print block bg-lift px-2 py-1 text-[12px]"
              href={`/stock/${code}/label.svg`}
              download={`${code}.svg`}
            >
              keep as SVG
            </a>
          </li>
        ))}
      </ul>
    </Evidence>
  );
}
