import 'server-only';
import { limitText } from '../../../core/measure';
import { kindRule, type RatingName } from '../../../core/part';
import { noPause, stepByStep } from '../../../core/steps';
import {
  LIE_YEARS,
  lotTitle,
  parseFilter,
  reformAdvice,
  yearsBefore,
  yearsBetween,
  type LotEntry,
} from '../../../core/stock';
import { appContext } from '../../../db/context';
import {
  findBin,
  listBins,
  lotsInBin,
  neverWanted,
  oldElectrolytics,
  type OldLot,
} from '../../../db/repositories/bins';
import { allLots, findLots, type LotRow } from '../../../db/repositories/lotSearch';
import { latestStockSteps } from '../../../db/repositories/stockSteps';
import { readStock, stockAsCsv, stockAsJson } from '../../../formats/stock';
import type { FormOutcome } from '../../../ui/form/outcome';
import { REASON } from '../lot/ledgerWords';
import { importStock, soundRows } from '../lists/commands';

/** A drawer of a cabinet. */
export interface DrawerView {
  readonly code: string;
  readonly lots: number;
  readonly pieces: number;
  readonly capacity: number | null;
  readonly full: boolean;
  readonly counted: string;
}

const dayOf = (ms: number) =>
  new Date(ms).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** Cabinets by the beginning of their drawers' codes, each with its drawers. */
export async function binsView(): Promise<{
  cabinets: readonly { name: string; drawers: readonly DrawerView[] }[];
  full: number;
}> {
  const { db } = appContext();
  const bins = await listBins(db.read);
  const cabinets = new Map<string, DrawerView[]>();
  for (const { code, lots, pieces, capacity, countedMs } of bins) {
    const name = /^(.+)-[^-]+$/.exec(code)?.[1] ?? code;
    const drawer = {
      code,
      lots,
      pieces,
      capacity,
      full: capacity !== null && pieces > capacity,
      counted: countedMs === null ? '' : dayOf(countedMs),
    };
    cabinets.set(name, [...(cabinets.get(name) ?? []), drawer]);
  }
  const all = [...cabinets].map(([name, drawers]) => ({ name, drawers }));
  return { cabinets: all, full: all.flatMap(({ drawers }) => drawers).filter(({ full }) => full).length };
}

export type BinsView = Awaited<ReturnType<typeof binsView>>;

/** A drawer to be counted: each lot with what is booked. */
export async function stocktakeView(code: string) {
  const { db } = appContext();
  const bin = await findBin(db.read, code.toUpperCase());
  if (!bin) return undefined;
  const rows = await findLots(db.read, await lotsInBin(db.read, bin.id));
  return {
    bin: bin.code,
    lots: rows.map(({ lot, ratings }) => ({
      code: lot.code,
      message: [lotTitle({ ...lot, ratings }), lot.marking && kindRule(lot.kind).label, lot.package]
        .filter(Boolean)
        .join(', '),
      booked: lot.onHand,
      reserved: lot.reserved,
    })),
  };
}

export type StocktakeView = NonNullable<Awaited<ReturnType<typeof stocktakeView>>>;

/** Rows shown of what lies too long. */
const OLD_ROWS = 60;

/** What asks for a look: cans that lay long, lots nobody wanted, drawers that are over-full. */
export async function ageingView() {
  const { db, now } = appContext();
  const at = now();
  const [cans, unwanted, { cabinets }] = await Promise.all([
    oldElectrolytics(db.read, yearsBefore(at, LIE_YEARS.electrolytic), OLD_ROWS),
    neverWanted(db.read, yearsBefore(at, LIE_YEARS.unwanted), OLD_ROWS),
    binsView(),
  ]);
  const rows = await findLots(
    db.read,
    [...cans, ...unwanted].map(({ code }) => code),
  );
  const named = ({ code, bin, pieces }: OldLot) => {
    const row = rows.find(({ lot }) => lot.code === code);
    return { code, title: row ? lotTitle({ ...row.lot, ratings: row.ratings }) : '', bin, pieces };
  };
  return {
    cans: cans.map((lot) => ({
      ...named(lot),
      message: reformAdvice({ years: yearsBetween(lot.createdMs, at), volts: lot.voltageV }),
    })),
    unwanted: unwanted.map((lot) => ({
      ...named(lot),
      message: `since ${dayOf(lot.createdMs)}`,
    })),
    full: cabinets
      .flatMap(({ drawers }) => drawers)
      .filter(({ full }) => full)
      .map(({ code, pieces, capacity }) => ({ code, message: `${pieces} pieces, ${capacity} fit` })),
  };
}

export type AgeingView = Awaited<ReturnType<typeof ageingView>>;

/** Changes of stock shown to be taken back. */
const LATE_STEPS = 12;

/** What was done to the stock lately, newest first, each to be taken back as long as it stands. */
export async function doneLately() {
  const steps = await latestStockSteps(appContext().db.read, { limit: LATE_STEPS });
  return steps.map(({ id, atMs, isUndone, what }) => ({
    id,
    isUndone,
    day: dayOf(atMs),
    message:
      'message' in what
        ? what.message
        : `${what.pieces} of ${what.code} ${REASON[what.reason] ?? what.reason}${what.purpose ? ` for ${what.purpose}` : ''}.`,
  }));
}

export type DoneLately = Awaited<ReturnType<typeof doneLately>>;

const EXPORT_PAGE = 500;

/** All lots of a filter as CSV or JSON; nothing when the filter cannot be read. */
export async function exportStock(find: string, as: 'csv' | 'json'): Promise<string | undefined> {
  const parsed = parseFilter(find);
  if (!parsed.ok) return undefined;
  const entries: LotEntry[] = [];
  for await (const rows of allLots(appContext().db.read, parsed.filter, EXPORT_PAGE))
    entries.push(...rows.map(entryOf));
  return as === 'csv' ? stockAsCsv(entries) : stockAsJson(entries);
}

function entryOf({ lot, bin, ratings }: LotRow): LotEntry {
  return {
    code: lot.code,
    kind: lot.kind,
    subtype: lot.subtype ?? '',
    technology: lot.technology ?? '',
    marking: lot.marking,
    package: lot.package ?? '',
    grade: lot.grade === 'A' || lot.grade === 'B' || lot.grade === 'C' ? lot.grade : '',
    limits: lot.limits,
    pieces: lot.onHand,
    bin,
    note: lot.gradeReason.slice(0, 120),
    ratings: Object.fromEntries(
      kindRule(lot.kind).ratings.flatMap((name: RatingName) => {
        const rating = ratings[name];
        return rating ? [[name, { value: rating.value, source: rating.source }]] : [];
      }),
    ),
  };
}

/** Rows of a preview. */
const SHOWN = 50;

export interface StockPreview {
  readonly lots: number;
  readonly pieces: number;
  readonly bins: number;
  readonly rows: readonly { line: number; what: string; message: string }[];
  readonly refusedCount: number;
  readonly refused: readonly { line: number; what: string; why: string }[];
}

/** What a file of lots would bring. */
export async function previewStock(text: string, pause = noPause): Promise<StockPreview> {
  const { read, refused } = await soundRows(appContext().db.read, await stepByStep(readStock(text), pause));
  return {
    lots: read.length,
    pieces: read.reduce((sum, { entry }) => sum + entry.pieces, 0),
    bins: new Set(read.map(({ entry }) => entry.bin)).size,
    rows: read.slice(0, SHOWN).map(({ line, entry }) => ({
      line,
      what: [entry.marking, kindRule(entry.kind).label].filter((word) => word !== '').join(', '),
      message: [
        `${entry.pieces} into ${entry.bin}`,
        entry.grade && `grade ${entry.grade}`,
        entry.limits.map(limitText).join(', '),
      ]
        .filter(Boolean)
        .join(', '),
    })),
    refusedCount: refused.length,
    refused: refused.slice(0, SHOWN),
  };
}

/** Takes the sound rows of a file in. */
export function takeStockIn(text: string, pause = noPause): Promise<FormOutcome> {
  return importStock(appContext(), text, pause);
}
