'use client';

import Form from 'next/form';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { stickLabelsAction } from '../lot/actions';
import { LABEL_SIZES, labelSize } from './labelSizes';
import { routes } from '../../../routes';

/** Labels to print: as they come out, on which paper, and as a file. */
export function LabelSheet({
  labels,
  size,
  skip,
}: {
  labels: readonly { code: string; svg: string }[];
  size: string;
  skip: number;
}) {
  if (labels.length === 0)
    return (
      <Evidence>
        <EmptyState title="No label to print">
          Name lots in the address, or come here from Stock or a Harvest station.
        </EmptyState>
      </Evidence>
    );
  const lots = labels.map(({ code }) => code).join(',');
  const { sheet } = labelSize(size);
  return (
    <Evidence>
      <div className="no-print mb-4 flex flex-wrap items-end gap-4">
        <Form action={routes.labels()} className="flex flex-wrap items-end gap-2.5">
          <input type="hidden" name="lots" value={lots} />
          <div className="field">
            <label htmlFor="label-size">paper</label>
            <select id="label-size" name="size" defaultValue={size} key={size}>
              {LABEL_SIZES.map(({ id, label }) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
          </div>
          {sheet && (
            <div className="field w-32" data-mono="">
              <label htmlFor="label-skip">labels used already</label>
              <input id="label-skip" name="skip" inputMode="numeric" defaultValue={skip} />
            </div>
          )}
          <button type="submit" className="btn">
            Show it so
          </button>
        </Form>
        <a className="btn" data-tone="next" href={routes.labelSheet({ lots, size, skip })}>
          PDF to print
        </a>
        <button type="button" className="btn" onClick={() => window.print()}>
          Print
        </button>
        <ActionButton action={() => stickLabelsAction(labels.map(({ code }) => code))}>They are stuck on</ActionButton>
        <p className="max-w-[46ch] text-[12.5px] text-ink-2">
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
              href={routes.lotLabel(code, size)}
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
