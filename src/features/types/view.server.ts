import 'server-only';
import { dayOf } from '../../ui/value/moments';
import { SOURCE_MEANING } from '../../core/evidence';
import { isKindName, KIND_NAMES, kindRule, RATINGS, type RatingName } from '../../core/part';
import { formatQuantity } from '../../core/quantity';
import type { AppContext } from '../../db/context';
import {
  datasheetsOf,
  listTypes,
  TYPE_ORDERS,
  typeById,
  typeHistory,
  usesOfType,
  type TypeRecord,
} from '../../db/repositories/types';
import { PAGE_ROWS, readOrder, type TableColumn, type TableRow } from '../../ui/list/rows';
import { routes } from '../../routes';

const COLUMNS: readonly TableColumn[] = [
  { id: 'name', label: 'number', chars: 14 },
  { id: 'kind', label: 'kind', chars: 16 },
  { id: 'ratings', label: 'ratings', chars: 30 },
  { id: 'package', label: 'case', chars: 10 },
  { id: 'aliases', label: 'also marked', chars: 16 },
  { id: 'evidence', label: 'evidence', chars: 14 },
  { id: 'note', label: 'note', hidden: true },
];

/** What a person asks of the types. */
export interface TypesQuestion {
  readonly query: string;
  readonly kind: string;
  /** As it stands in the address. */
  readonly order: string;
}

/** The first of what the shop knows. */
export async function typesView(app: AppContext, { query, kind, order: orderText }: TypesQuestion) {
  const { rows, total } = await askTypes(app, { query, kind, order: orderText }, 0);
  const isLong = total > rows.length;
  return {
    query,
    kind: isKindName(kind) ? kind : '',
    columns: COLUMNS,
    rows,
    total,
    order: (isLong && readOrder(orderText, TYPE_ORDERS)) || null,
    orders: TYPE_ORDERS,
    kinds: KIND_NAMES.map((name) => ({ value: name, label: kindRule(name).label })),
  };
}

/** A further page of them, counted from 0. */
export async function typeRows(app: AppContext, question: TypesQuestion, page: number): Promise<readonly TableRow[]> {
  return (await askTypes(app, question, page)).rows;
}

async function askTypes({ db }: AppContext, { query, kind, order }: TypesQuestion, page: number) {
  const { rows, total } = await listTypes(db.read, {
    query,
    kind: isKindName(kind) ? kind : undefined,
    order: readOrder(order, TYPE_ORDERS),
    page,
    size: PAGE_ROWS,
  });
  return { rows: rows.map(row), total };
}

export type TypesView = Awaited<ReturnType<typeof typesView>>;

function row({ type, ratings, aliases }: TypeRecord): TableRow {
  const shown = kindRule(type.kind).ratings.filter((name) => ratings[name]);
  const sources = [...new Set(shown.map((name) => ratings[name]?.source))];
  return {
    id: type.id,
    href: routes.type(type.id),
    cells: {
      name: { text: type.name, as: 'value' },
      kind: { text: kindRule(type.kind).label + (type.technology ? `, ${type.technology}` : '') },
      ratings: { text: shown.map((name) => show(name, ratings[name]?.value ?? 0)).join('  '), as: 'value' },
      package: { text: type.package ?? '' },
      aliases: { text: aliases.map(({ name }) => name).join(', '), as: 'mono' },
      evidence: { text: sources.join(', '), as: 'quiet' },
      note: { text: type.note },
    },
  };
}

const show = (name: RatingName, value: number) => formatQuantity(value, RATINGS[name].unit);

/** One type with its ratings, its history, its datasheets, and where it is. */
export async function typeView({ db }: AppContext, id: string) {
  const record = await typeById(db.read, id);
  if (!record) return undefined;
  const [past, sheets, uses] = await Promise.all([
    typeHistory(db.read, id),
    datasheetsOf(db.read, id),
    usesOfType(db.read, id, 12),
  ]);
  const { type, ratings, aliases } = record;
  const sheet = sheets[0];
  const pageHref = (page: number | null) => (sheet && page !== null ? routes.datasheet(sheet.hash, page) : null);
  return {
    id,
    kind: type.kind,
    kindLabel: kindRule(type.kind).label,
    name: type.name,
    technology: type.technology ?? '',
    package: type.package ?? '',
    note: type.note,
    kinds: KIND_NAMES.map((name) => ({ value: name, label: kindRule(name).label })),
    ratingChoices: kindRule(type.kind).ratings.map((name) => ({ value: name, label: RATINGS[name].label })),
    ratings: kindRule(type.kind).ratings.flatMap((name) => {
      const rating = ratings[name];
      return rating
        ? [
            {
              name,
              label: RATINGS[name].label,
              value: show(name, rating.value),
              source: rating.source,
              meaning: `${SOURCE_MEANING[rating.source]}${rating.rule ? ` (${rating.rule})` : ''}`,
              page: rating.page,
              pageHref: pageHref(rating.page),
            },
          ]
        : [];
    }),
    history: past
      .filter(({ superseded }) => superseded)
      .map(({ name, value, source, recordedMs }) => ({
        label: RATINGS[name].label,
        value: show(name, value),
        source,
        when: dayOf(recordedMs),
      })),
    aliases,
    datasheets: sheets.map(({ id: sheetId, hash, fileName, bytes }) => ({
      id: sheetId,
      href: routes.datasheet(hash),
      name: fileName,
      size: `${Math.max(1, Math.round(bytes / 1024))} kB`,
    })),
    onDonors: uses.onDonors.map(({ code, description, ref, state }) => ({
      href: routes.station(code, 'identify', { part: ref }),
      code,
      message: `${ref} of ${description}${state === 'harvested' ? ', taken out' : ''}`,
    })),
    inStock: uses.inStock.map(({ code, onHand }) => ({ href: routes.lot(code), code, message: `${onHand} on hand` })),
  };
}
export type TypeView = NonNullable<Awaited<ReturnType<typeof typeView>>>;
