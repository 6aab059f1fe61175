import Link from '../../../ui/frame/Link';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Next, Section } from '../../../ui/judgement/parts';
import { GradeMark } from '../../../ui/value/marks';
import { List } from '../../../ui/list/List';
import { ListSearch } from '../../../ui/list/ListSearch';
import { orderText } from '../../../ui/list/rows';
import type { StockView } from './view.server';
import { DropFilter, KeepFilter } from './KeptFilters';
import { routes } from '../../../routes';

/** The question asked of the drawers, with what else could be asked. */
export function StockSearch({ view }: { view: StockView }) {
  const facets = view.facets.filter(({ choices }) => choices.length > 1);
  return (
    <div>
      <ListSearch
        action={routes.stock()}
        id="stock-find"
        label="Find in stock"
        value={view.find}
        placeholder="nmos 600V, resistor 4k7, electrolytic 1000u 25V"
        problem={view.problem}
        found={`${view.total} ${view.total === 1 ? 'lot' : 'lots'}, ${view.pieces} ${view.pieces === 1 ? 'piece' : 'pieces'}`}
      />
      {view.find !== '' && !view.problem && (
        <p className="mt-1.5 text-[13px] text-ink-2" role="status">
          Asked for: {view.means}
        </p>
      )}
      {view.maybe.length > 0 && (
        <p className="mt-1.5 flex flex-wrap gap-x-3 gap-y-1 text-[13px]">
          <span className="text-ink-2">Did you mean</span>
          {view.maybe.map(({ text, href }) => (
            <Link key={text} href={href} className="font-mono underline decoration-dotted">
              {text}
            </Link>
          ))}
        </p>
      )}
      <SavedFilters view={view} />
      {facets.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[12.5px]">
          {facets.map(({ label, choices }) => (
            <p key={label} className="flex flex-wrap gap-x-2.5 text-ink-2">
              <span>{label}</span>
              {choices.map(({ word, n, href }) => (
                <Link key={word} href={href} className="hover:text-ink">
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

/** Questions that were kept, and the way to keep the present one. */
function SavedFilters({ view: { find, saved, problem } }: { view: StockView }) {
  const isKept = saved.some(({ filter }) => filter === find);
  if (saved.length === 0 && (find === '' || problem)) return null;
  return (
    <div className="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[12.5px]" aria-label="Saved searches">
      {saved.map(({ id, name, filter, href }) => (
        <span key={id} className="inline-flex items-baseline gap-1">
          <Link href={href} title={filter} className="underline decoration-dotted">
            {name}
          </Link>
          {filter === find && <DropFilter id={id} name={name} />}
        </span>
      ))}
      {find !== '' && !problem && !isKept && <KeepFilter find={find} />}
    </div>
  );
}

/** The lots found, and the parts that would fit but still sit on a board. */
export function StockSheet({ view }: { view: StockView }) {
  return (
    <Halves judgement={<StockJudgement view={view} />}>
      {view.rows.length > 0 ? (
        <List
          label="Lots"
          columns={view.columns}
          items={view.rows}
          filter={false}
          total={view.total}
          long={{
            rowsUrl: routes.stockRows({ find: view.find, order: orderText(view.order) }),
            url: routes.stock({ find: view.find }),
            order: view.order,
            orders: view.orders,
            usual: 'newest first',
          }}
        />
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
      {view.near.map(({ message, href, rows }) => (
        <section key={message} className="mt-6" aria-label={message}>
          <h2 className="label mb-1">
            <Link href={href} className="underline decoration-dotted">
              {message}
            </Link>
          </h2>
          <List label={message} columns={view.columns} items={rows} filter={false} choose={false} />
        </section>
      ))}
      {view.onBoards.length > 0 && (
        <section className="mt-6">
          <h2 className="label mb-1">Not harvested yet, but seen on a board</h2>
          <List label="Parts on boards" columns={view.columns} items={view.onBoards} filter={false} choose={false} />
        </section>
      )}
      <p className="mt-6 flex flex-wrap gap-x-4 text-[12.5px] text-ink-2">
        <span>
          These lots as a file:{' '}
          {(['csv', 'json'] as const).map((as) => (
            <a key={as} href={routes.stockFile({ as, find: view.find })} className="mr-2 underline decoration-dotted">
              {as.toUpperCase()}
            </a>
          ))}
        </span>
        <Link href={routes.bringLots()} className="underline decoration-dotted">
          import lots from a list
        </Link>
      </p>
    </Halves>
  );
}

const WEIGHT = { fits: 'ok', 'fits-on-paper': 'note', unknown: 'check', fails: 'danger' } as const;

/** Which of the lots found to use, and why; without a question, what can be asked. */
function StockJudgement({ view }: { view: StockView }) {
  const { best, near, total, pieces } = view;
  return (
    <Judgement>
      {best ? (
        <>
          <Claim label={best.verdict === 'fits' ? 'Use this one' : 'This one, with a limit'}>
            <span className="inline-flex items-center gap-2.5">
              {best.title} <GradeMark grade={best.grade} />
            </span>
          </Claim>
          <p className="text-[13px] text-ink-2">
            {best.code}, {best.free} free in {best.bin}.{' '}
            {best.verdict === 'fits' ? 'The nearest that fits' : 'The nearest that may do'}, so that a strong part is
            kept for a strong need.
            {best.asNear.length > 0 &&
              ` As near to what is asked: ${best.asNear.map(({ code, grade }) => `${code}${grade ? `, grade ${grade}` : ''}`).join('; ')}.`}
          </p>
          <Findings
            items={best.checks.map(({ outcome, text }, place) => ({
              weight: WEIGHT[outcome],
              word: outcome.replaceAll('-', ' '),
              text,
              ...(place === 0 ? { rule: routes.article('derating') } : {}),
            }))}
          />
          <Next
            actions={
              <Link className="btn" href={routes.lot(best.code)}>
                Open {best.code}
              </Link>
            }
          >
            Take it out, or set it aside from a build.
          </Next>
        </>
      ) : (
        <>
          <Claim label="In the drawers">
            {view.problem
              ? 'The question cannot be read'
              : `${total} ${total === 1 ? 'lot' : 'lots'}, ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`}
          </Claim>
          <Next>
            {view.problem
              ? 'Name the kind of part, a value with its unit, or a marking.'
              : view.find === ''
                ? 'Ask in your words: nmos 600V 10A, resistor 4k7, electrolytic 1000u..2200u 25V low esr, or instead of a 2N60.'
                : total === 0
                  ? 'Ask for less, or leave a demand out; a board may still hold what you need.'
                  : view.isNarrow
                    ? 'What meets this is set aside already, or kept from it by a limit. Free it at its lot, or ask for less.'
                    : 'Say what it must stand, and the nearest that fits is shown here.'}
          </Next>
        </>
      )}
      {near.length > 0 && (
        <Section label="Nearly">
          {near.map(({ message, href }) => (
            <p key={message}>
              <Link href={href} className="underline decoration-dotted">
                {message}
              </Link>
            </p>
          ))}
        </Section>
      )}
      <Caution>
        A used part is not type-tested. Fuses, X and Y capacitors and what bridges the barrier are replaced new.
      </Caution>
    </Judgement>
  );
}
