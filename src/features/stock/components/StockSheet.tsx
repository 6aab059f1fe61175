import Form from 'next/form';
import Link from 'next/link';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';
import { DataTable } from '../../../ui/table/DataTable';
import type { StockView } from '../views';

/** The question asked of the drawers, with what else could be asked. */
export function StockSearch({ view }: { view: StockView }) {
  const facets = view.facets.filter(({ choices }) => choices.length > 1);
  return (
    <div>
      <Form action="/stock" role="search" className="relative max-w-[760px]">
        <input
          id="stock-find"
          name="find"
          defaultValue={view.find}
          key={view.find}
          aria-label="Find in stock"
          aria-describedby="stock-found"
          aria-invalid={view.problem ? true : undefined}
          placeholder="nmos >=600V"
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          className="h-9 w-full rounded-[3px] border-[1.5px] border-ink bg-lift pr-44 pl-3 font-mono text-[15px] outline-offset-2 placeholder:text-ink-3"
        />
        <span id="stock-found" role="status" className="absolute top-2 right-3 text-[12px] text-ink-2">
          {view.problem ? '' : `${view.total} ${view.total === 1 ? 'lot' : 'lots'}, ${view.pieces} parts`}
        </span>
      </Form>
      {view.problem && (
        <p role="alert" className="mt-1 text-[13px] text-stop">
          {view.problem}
        </p>
      )}
      {facets.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[12.5px]">
          {facets.map(({ label, choices }) => (
            <p key={label} className="flex flex-wrap gap-x-2.5 text-ink-2">
              <span>{label}</span>
              {choices.map(({ word, n, href }) => (
                <Link key={word} href={href} prefetch={false} className="hover:text-ink">
                  <b className="font-semibold text-ink">{word}</b> {n}
                </Link>
              ))}
            </p>
          ))}
        </div>
      )}
    </div>
  );
}

/** The lots found, and the parts that would fit but still sit on a board. */
export function StockSheet({ view }: { view: StockView }) {
  const page = (to: number) => `/stock?find=${encodeURIComponent(view.find)}&page=${to}`;
  return (
    <Evidence>
      {view.rows.length > 0 ? (
        <DataTable label="Lots" columns={view.columns} rows={view.rows} filter={false} />
      ) : view.problem ? null : view.find === '' ? (
        <EmptyState title="The drawers are empty">
          Take a part out of a board at a donor’s Harvest station; it becomes a lot with its ratings, grade and bin.
          What lies in your drawers already is counted in as a new lot.
        </EmptyState>
      ) : (
        <EmptyState title="No lot fits">
          Nothing in the drawers meets <span className="font-mono">{view.find}</span>. Loosen a demand, or leave one
          out.
        </EmptyState>
      )}
      {view.pages > 1 && (
        <nav aria-label="Pages" className="mt-3 flex items-center gap-4 text-[13px]">
          {view.page > 0 && (
            <Link href={page(view.page - 1)} className="btn" prefetch={false}>
              earlier
            </Link>
          )}
          <span className="q">
            {view.page + 1} of {view.pages}
          </span>
          {view.page + 1 < view.pages && (
            <Link href={page(view.page + 1)} className="btn" prefetch={false}>
              further
            </Link>
          )}
        </nav>
      )}
      {view.onBoards.length > 0 && (
        <section className="mt-6">
          <h2 className="label mb-1">Not harvested yet, but seen on a board</h2>
          <DataTable
            label="Parts on boards"
            columns={view.columns}
            rows={view.onBoards}
            filter={false}
            choose={false}
          />
        </section>
      )}
    </Evidence>
  );
}
