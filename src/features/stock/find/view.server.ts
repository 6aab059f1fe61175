import 'server-only';
import { limitText } from '../../../core/measure';
import { SOURCES } from '../../../core/evidence';
import { kindRule, RATINGS, type KindName, type RatingName } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import {
  filterText,
  looseningFor,
  lotTitle,
  measureRatings,
  nearRange,
  withoutDemand,
  type Measure,
  type StockFilter,
} from '../../../core/stock';
import type { Queryable } from '../../../db/client';
import type { AppContext } from '../../../db/context';
import { listFilters } from '../../../db/repositories/bins';
import { LOT_ORDERS, ordersFor } from '../../../db/repositories/lotOrder';
import { pageOfLots, searchLots, stockTotals, type LotRow } from '../../../db/repositories/lotSearch';
import { routes } from '../../../routes';
import { ask, bestFirst, bestLot, partsOnBoards, type BestLot } from '../../../services/matching';
import { PAGE_ROWS, readOrder, type TableColumn, type TableRow } from '../../../ui/list/rows';

/** Near misses shown for each demand. */
const NEAR_ROWS = 5;
/** Parts on boards shown. */
const ON_BOARDS = 12;

const COLUMNS: readonly TableColumn[] = [
  { id: 'lot', label: 'lot', chars: 9 },
  { id: 'marking', label: 'marking', chars: 12 },
  { id: 'kind', label: 'kind', chars: 11 },
  { id: 'value', label: 'value', chars: 9, align: 'end' },
  { id: 'volts', label: 'V', chars: 8, align: 'end' },
  { id: 'amperes', label: 'I', chars: 7, align: 'end' },
  { id: 'package', label: 'case', chars: 9 },
  { id: 'grade', label: 'grade', chars: 5 },
  { id: 'pieces', label: 'n', chars: 4, align: 'end' },
  { id: 'bin', label: 'bin', chars: 6 },
  { id: 'from', label: 'from', chars: 12 },
  { id: 'evidence', label: 'evidence', chars: 8 },
  { id: 'reserved', label: 'reserved', chars: 8, align: 'end', hidden: true },
];

/** The lots that a filter finds, the newest of them, with what else there is. */
export async function stockView({ db }: AppContext, find: string, orderText = '') {
  const asked = await ask(db.read, find);
  const order = readOrder(orderText, LOT_ORDERS);
  if (!asked.ok)
    return {
      find,
      means: '',
      isNarrow: false,
      maybe: asked.maybe.map((text) => ({ text, href: routes.stock({ find: text }) })),
      order: null,
      orders: [],
      problem: asked.problem,
      columns: COLUMNS,
      rows: [],
      codes: [],
      total: 0,
      pieces: 0,
      facets: [],
      near: [],
      saved: [],
      best: null,
      onBoards: [],
    };
  const { filter, means } = asked;
  const found = await searchLots(db.read, filter, { size: PAGE_ROWS });
  const { facets } = found;
  const [near, saved, onBoards, best] = await Promise.all([
    nearMisses(db.read, filter),
    listFilters(db.read),
    partsOnBoards(db.read, filter, ON_BOARDS),
    bestLot(db.read, filter, found),
  ]);
  const isLong = found.total > found.rows.length;
  const rows =
    order && isLong
      ? await pageOfLots(db.read, filter, { page: 0, size: PAGE_ROWS, order })
      : isLong || filter.demands.length === 0
        ? found.rows
        : bestFirst(filter, found.rows);
  return {
    find,
    means,
    isNarrow: filter.kind !== undefined && filter.demands.length > 0,
    maybe: [],
    order: order && isLong ? order : null,
    orders: isLong ? ordersFor(filter) : [],
    problem: null,
    columns: COLUMNS,
    rows: rows.map(lotTableRow),
    codes: rows.map(({ lot }) => lot.code),
    total: found.total,
    pieces: found.pieces,
    facets: [
      {
        label: 'kind',
        choices: facets.kinds.map(({ value, n }) => ({
          word: value && kindRule(value).label,
          find: value && `kind:${value}`,
          n,
        })),
      },
      {
        label: 'case',
        choices: facets.packages.map(({ value, n }) => ({
          word: value,
          find: value?.toLowerCase().replace(' ', '-'),
          n,
        })),
      },
      {
        label: 'grade',
        choices: facets.grades.map(({ value, n }) => ({ word: value, find: value && `grade ${value}`, n })),
      },
      {
        label: 'evidence',
        choices: facets.sources.map(({ value, n }) => ({ word: value, find: `evidence:${value}`, n })),
      },
      { label: 'bin', choices: facets.bins.map(({ value, n }) => ({ word: value, find: `bin:${value}`, n })) },
    ].map(({ label, choices }) => ({
      label,
      choices: choices
        .filter((choice): choice is { word: string; find: string; n: number } => Boolean(choice.word && choice.find))
        .map(({ word, find: added, n }) => ({
          word,
          n,
          href: routes.stock({ find: `${find} ${added}`.trim() }),
        })),
    })),
    near,
    best: bestView(best),
    saved: saved.map(({ id, name, filter }) => ({
      id,
      name,
      filter,
      href: routes.stock({ find: filter }),
    })),
    onBoards: onBoards.map(boardTableRow),
  };
}

/** A further page of the lots that a filter finds; none when it cannot be read. */
export async function stockRows(
  { db }: AppContext,
  find: string,
  page: number,
  orderText = '',
): Promise<readonly TableRow[]> {
  const asked = await ask(db.read, find);
  if (!asked.ok) return [];
  const of = { page, size: PAGE_ROWS, order: readOrder(orderText, LOT_ORDERS) };
  return (await pageOfLots(db.read, asked.filter, of)).map(lotTableRow);
}

export type StockView = Awaited<ReturnType<typeof stockView>>;

function bestView(best: BestLot | undefined) {
  if (!best) return null;
  const { row, match, free } = best;
  const { lot, bin, ratings } = row;
  return {
    code: lot.code,
    title: lotTitle({ ...lot, ratings }),
    grade: lot.grade,
    bin,
    free,
    asNear: best.asNear.map(({ row: { lot: other } }) => ({ code: other.code, grade: other.grade })),
    verdict: match.verdict,
    checks: match.checks.map(({ outcome, text }) => ({ outcome, text })),
    limits: lot.limits.map(limitText),
  };
}

/** Lots that miss one demand by a little, by the value that would have to do. */
async function nearMisses(
  db: Queryable,
  filter: StockFilter,
): Promise<{ message: string; href: string; rows: TableRow[] }[]> {
  const found = await Promise.all(
    filter.demands.map(async (demand) => {
      const rest = withoutDemand(filter, demand);
      const rows = await pageOfLots(
        db,
        { ...rest, demands: [...rest.demands, ...nearRange(demand)] },
        { page: 0, size: NEAR_ROWS },
      );
      return rows.flatMap((row) => {
        const value = row.ratings[demand.rating]?.value;
        const loosened = value === undefined ? undefined : looseningFor(demand, value);
        return loosened ? [{ row, loosened, rest }] : [];
      });
    }),
  );
  return found.flatMap((misses) => {
    const [first] = misses;
    if (!first) return [];
    // The one furthest off lets all the others in.
    const widest = misses.reduce((a, b) => (b.loosened.reach > a.loosened.reach ? b : a));
    const asked = [...filter.demands.filter((one) => one !== first.loosened.demand), widest.loosened.loosened];
    return [
      {
        message: `${misses.length} more if ${widest.loosened.message}`,
        href: routes.stock({ find: filterText({ ...filter, demands: asked }) }),
        rows: misses.map(({ row }) => lotTableRow(row)),
      },
    ];
  });
}

function boardTableRow({ part, donorCode, ratings }: Awaited<ReturnType<typeof partsOnBoards>>[number]): TableRow {
  return {
    id: part.id,
    href: routes.station(donorCode, 'harvest', { part: part.ref }),
    cells: {
      ...ratingCells(part.kind, ratings),
      lot: { text: '–' },
      marking: { text: part.marking ?? '', as: 'mono' },
      kind: { text: kindRule(part.kind).label },
      package: { text: part.package ?? '' },
      pieces: { text: '1', as: 'value' },
      from: { text: `${donorCode} ${part.ref}`, as: 'mono' },
    },
  };
}

function lotTableRow({ lot, bin, donorCode, partRef, ratings }: LotRow): TableRow {
  return {
    id: lot.id,
    href: routes.lot(lot.code),
    cells: {
      ...ratingCells(lot.kind, ratings),
      lot: { text: lot.code, as: 'value' },
      marking: { text: lot.marking, as: 'mono' },
      kind: { text: kindRule(lot.kind).label },
      package: { text: lot.package ?? '' },
      grade: { text: lot.grade ?? '', as: 'grade' },
      pieces: { text: String(lot.onHand), sort: lot.onHand, as: 'value' },
      reserved: { text: lot.reserved > 0 ? String(lot.reserved) : '', sort: lot.reserved, as: 'value' },
      bin: { text: bin, as: 'mono' },
      from: { text: [donorCode, partRef].filter(Boolean).join(' '), as: 'mono' },
    },
  };
}

/** Main value, volts and amperes of a part, each by the first rating of its kind with the unit. */
function ratingCells(kind: KindName, ratings: LotRow['ratings']): TableRow['cells'] {
  const first = (measure: Measure) => measureRatings(kind, measure).find((name) => ratings[name]);
  const cell = (name: RatingName | undefined) => {
    const value = name && ratings[name]?.value;
    return name === undefined || value === undefined
      ? { text: '' }
      : { text: formatQuantity(value, RATINGS[name].unit), sort: value, as: 'value' as const };
  };
  const names = [first('value'), first('volts'), first('amperes')];
  const sources = names.flatMap((name) => (name && ratings[name] ? [ratings[name].source] : []));
  const weakest = sources.sort((a, b) => SOURCES.indexOf(b) - SOURCES.indexOf(a))[0];
  return {
    value: cell(names[0]),
    volts: cell(names[1]),
    amperes: cell(names[2]),
    evidence: { text: weakest ?? '', as: 'quiet' },
  };
}

/** What is in the drawers, in a few words. */
export async function stockHead({ db }: AppContext): Promise<string> {
  const { lots, bins } = await stockTotals(db.read);
  return `${lots} ${lots === 1 ? 'lot' : 'lots'} in ${bins} ${bins === 1 ? 'bin' : 'bins'}`;
}
