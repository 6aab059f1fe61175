import { printQuantity, type FormatOptions, type Unit } from '../../core/quantity';

/** A value with its unit, loud, and beside it the word for where it comes from, quiet. */
export function ValueDisplay({
  value,
  unit,
  evidence,
  title,
  ...options
}: { value: number; unit: Unit; evidence?: string; title?: string } & FormatOptions) {
  const printed = printQuantity(value, unit, options);
  return (
    <span className="whitespace-nowrap" title={title}>
      <span className="q">
        {printed.number}
        {printed.unit && <span>&nbsp;{printed.unit}</span>}
      </span>
      {evidence && <span className="ml-1.5 text-[11.5px] text-ink-3">{evidence}</span>}
    </span>
  );
}

/** Facts in rows: a quiet label, a loud value, and its evidence. */
export function Facts({
  rows,
}: {
  rows: readonly { label: string; value: React.ReactNode; evidence?: string | undefined; title?: string }[];
}) {
  return (
    <dl className="grid grid-cols-[1fr_auto_auto] gap-x-3.5 gap-y-1 text-[13.5px]">
      {rows.map(({ label, value, evidence, title }) => (
        <div key={label} className="col-span-3 grid grid-cols-subgrid items-baseline">
          <dt className="text-ink-2">{label}</dt>
          <dd className="q text-right">{value}</dd>
          <dd className="text-[11.5px] text-ink-3" title={title}>
            {evidence}
          </dd>
        </div>
      ))}
    </dl>
  );
}
