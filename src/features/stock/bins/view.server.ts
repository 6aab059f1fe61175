import 'server-only';
import { counted } from '../../../core/quantity';
import { dayOf } from '../../../ui/value/moments';
import { kindRule } from '../../../core/part';
import { LIE_YEARS, lotTitle, reformAdvice, yearsBefore, yearsBetween } from '../../../core/stock';
import type { AppContext } from '../../../db/context';
import {
  findBin,
  listBins,
  lotsInBin,
  neverWanted,
  oldElectrolytics,
  type OldLot,
} from '../../../db/repositories/bins';
import { findLots } from '../../../db/repositories/lotSearch';
import { latestStockSteps } from '../../../db/repositories/stockSteps';
import { REASON } from '../lot/ledgerWords';

/** A drawer of a cabinet. */
export interface DrawerView {
  readonly code: string;
  readonly lots: number;
  readonly pieces: number;
  readonly capacity: number | null;
  readonly full: boolean;
  readonly counted: string;
  readonly countedMs: number | null;
}

/** Cabinets by the beginning of their drawers' codes, each with its drawers. */
export async function binsView({ db }: AppContext): Promise<{
  cabinets: readonly { name: string; drawers: readonly DrawerView[] }[];
  full: number;
}> {
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
      countedMs,
    };
    cabinets.set(name, [...(cabinets.get(name) ?? []), drawer]);
  }
  const all = [...cabinets].map(([name, drawers]) => ({ name, drawers }));
  return { cabinets: all, full: all.flatMap(({ drawers }) => drawers).filter(({ full }) => full).length };
}

export type BinsView = Awaited<ReturnType<typeof binsView>>;

/** A drawer to be counted: each lot with what is booked. */
export async function stocktakeView({ db }: AppContext, code: string) {
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

/** What needs attention: cans that lay long, lots nobody wanted, drawers that are over-full. */
export async function ageingView(app: AppContext) {
  const { db } = app;
  const at = app.now();
  const [cans, unwanted, { cabinets }] = await Promise.all([
    oldElectrolytics(db.read, yearsBefore(at, LIE_YEARS.electrolytic), OLD_ROWS),
    neverWanted(db.read, yearsBefore(at, LIE_YEARS.unwanted), OLD_ROWS),
    binsView(app),
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
      .map(({ code, pieces, capacity }) => ({
        code,
        message: `${counted(pieces, 'piece')}, ${capacity} ${capacity === 1 ? 'fits' : 'fit'}`,
      })),
  };
}

export type AgeingView = Awaited<ReturnType<typeof ageingView>>;

/** Changes of stock shown to be undone. */
const LATE_STEPS = 12;

/** What was done to the stock lately, newest first, each to be undone as long as it stands. */
export async function doneLately({ db }: AppContext) {
  const steps = await latestStockSteps(db.read, { limit: LATE_STEPS });
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
