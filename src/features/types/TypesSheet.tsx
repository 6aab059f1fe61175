import { EmptyState } from '../../ui/feedback/EmptyState';
import { Evidence } from '../../ui/frame/Halves';
import { List } from '../../ui/list/List';
import { ListSearch } from '../../ui/list/ListSearch';
import { orderText } from '../../ui/list/rows';
import type { TypesView } from './view.server';
import { routes } from '../../routes';

/** What the shop knows, searched by words and kind. */
export function TypesSheet({ view }: { view: TypesView }) {
  const { query, kind, rows, columns, total, kinds, order, orders } = view;
  return (
    <Evidence>
      <div className="mb-2">
        <ListSearch
          action={routes.types()}
          label="Find a type"
          value={query}
          placeholder="a number, or the beginning of one"
          found={`${total} ${total === 1 ? 'type' : 'types'}`}
        >
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
        </ListSearch>
      </div>
      {rows.length > 0 ? (
        <List
          label="Types"
          columns={columns}
          items={rows}
          filter={false}
          total={total}
          long={{
            rowsUrl: routes.typeRows({ find: query, kind, order: orderText(order) }),
            url: routes.types({ find: query, kind }),
            order,
            orders,
            usual: 'by number',
          }}
        />
      ) : (
        <EmptyState title={query || kind ? 'No type fits' : 'The shop knows no type yet'}>
          A type is a part number with what is known of it. It is made when the first part of that number is logged and
          its reading taken, and recalled for the next one. A list from a spreadsheet can be brought in as CSV or JSON.
        </EmptyState>
      )}
    </Evidence>
  );
}
