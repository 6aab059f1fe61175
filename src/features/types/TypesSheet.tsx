import Form from 'next/form';
import Link from 'next/link';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Evidence } from '../../ui/frame/Halves';
import { DataTable } from '../../ui/table/DataTable';
import type { TypesView } from './view.server';
import { routes } from '../../routes';

/** What the shop knows, searched by words and kind. */
export function TypesSheet({ view }: { view: TypesView }) {
  const { query, kind, rows, columns, total, page, pages, kinds } = view;
  const to = (number: number) => routes.types({ find: query, kind, page: number - 1 });
  return (
    <Evidence>
      <Form action={routes.types()} role="search" className="mb-2 flex max-w-[760px] flex-wrap items-end gap-2.5">
        <input
          name="find"
          defaultValue={query}
          key={query}
          aria-label="Find a type"
          placeholder="a number, or the beginning of one"
          autoComplete="off"
          className="h-9 min-w-0 flex-1 rounded-[3px] border-[1.5px] border-ink bg-lift px-3 font-mono text-[15px] placeholder:text-ink-3"
        />
        <select
          name="kind"
          defaultValue={kind}
          aria-label="Kind"
          className="h-9 rounded-[3px] border border-rule-2 bg-lift px-2"
        >
          <option value="">any kind</option>
          {kinds.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
        <button type="submit" className="btn">
          Find
        </button>
        <span role="status" className="pb-2 text-[12.5px] text-ink-2">
          {total} {total === 1 ? 'type' : 'types'}
        </span>
      </Form>
      {rows.length > 0 ? (
        <DataTable label="Types" columns={columns} rows={rows} filter={false} />
      ) : (
        <EmptyState title={query || kind ? 'No type fits' : 'The shop knows no type yet'}>
          A type is a part number with what is known of it. It is made when the first part of that number is logged and
          its reading taken, and recalled for the next one. A list from a spreadsheet can be brought in as CSV or JSON.
        </EmptyState>
      )}
      {pages > 1 && (
        <nav aria-label="Pages" className="mt-3 flex items-center gap-4 text-[13px]">
          {page > 1 && (
            <Link href={to(page - 1)} className="btn" prefetch={false}>
              earlier
            </Link>
          )}
          <span className="q">
            {page} of {pages}
          </span>
          {page < pages && (
            <Link href={to(page + 1)} className="btn" prefetch={false}>
              further
            </Link>
          )}
        </nav>
      )}
    </Evidence>
  );
}
