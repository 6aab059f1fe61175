import 'server-only';
import { z } from 'zod';
import { OUTCOMES } from '../../core/donor';
import { savedBy } from '../../core/harvest';
import { LIE_YEARS, lotTitle, yearsBefore } from '../../core/stock';
import type { AppContext } from '../../db/context';
import { neverWanted, oldElectrolytics } from '../../db/repositories/bins';
import { donorTitle } from '../../db/repositories/donors';
import { findLots, stockTotals } from '../../db/repositories/lotSearch';
import { broughtBetween, untouchedDonors } from '../../db/repositories/month';
import { openNeeds } from '../../services/matching';
import { dayOf } from '../../ui/value/moments';

const query = z.object({
  month: z
    .string()
    .regex(/^\d{4}-\d{2}$/u)
    .optional(),
});

/** Rows of each list, and days after which a unit in work counts as left lying; common practice, no source. */
const SHOWN = 12;
const LYING_DAYS = 60;
const FIRST_DAYS = 7;

export interface GlanceView {
  readonly title: string;
  readonly before: string;
  readonly after: string | undefined;
  readonly brought: readonly { readonly label: string; readonly value: string }[];
  readonly builds: readonly { readonly code: string; readonly title: string }[];
  readonly claim: string;
  /** What builds ask for and no lot was set aside for. */
  readonly lacking: readonly {
    readonly build: string;
    readonly role: string;
    readonly filter: string;
    readonly pieces: number;
  }[];
  readonly lying: readonly { readonly code: string; readonly title: string; readonly since: string }[];
  readonly old: readonly {
    readonly code: string;
    readonly title: string;
    readonly bin: string;
    readonly why: string;
  }[];
  readonly totals: string;
}

const pad = (month: number) => String(month).padStart(2, '0');
const nameOf = (year: number, month: number) => {
  const date = new Date(year, month, 1);
  return `${date.getFullYear()}-${pad(date.getMonth() + 1)}`;
};

/** What a month brought, what the drawers lack and what lies dead. */
export async function glanceView({ db, now }: Pick<AppContext, 'db' | 'now'>, typed: unknown): Promise<GlanceView> {
  const moment = now();
  // In the first days of a month the one before says more.
  const today = new Date(moment - FIRST_DAYS * 86400e3);
  const read = query.safeParse(typed);
  const [year = today.getFullYear(), month = today.getMonth() + 1] = (read.success ? read.data.month : undefined)
    ?.split('-')
    .map(Number) ?? [today.getFullYear(), today.getMonth() + 1];
  const [from, to] = [new Date(year, month - 1, 1).getTime(), new Date(year, month, 1).getTime()];
  const [brought, needs, lying, cans, unwanted, totals] = await Promise.all([
    broughtBetween(db.read, { from, to }),
    openNeeds(db.read),
    untouchedDonors(db.read, moment - LYING_DAYS * 86400e3, SHOWN),
    oldElectrolytics(db.read, yearsBefore(moment, LIE_YEARS.electrolytic), SHOWN),
    neverWanted(db.read, yearsBefore(moment, LIE_YEARS.unwanted), SHOWN),
    stockTotals(db.read),
  ]);
  const rows = await findLots(
    db.read,
    [...cans, ...unwanted].map(({ code }) => code),
  );
  const titleOf = (code: string) => {
    const row = rows.find(({ lot }) => lot.code === code);
    return row ? lotTitle({ ...row.lot, ratings: row.ratings }) : '';
  };
  const hours = brought.minutes / 60;
  const saved = savedBy(brought.usedKinds);
  return {
    title: new Date(year, month - 1, 1).toLocaleDateString('en', { month: 'long', year: 'numeric' }),
    before: nameOf(year, month - 2),
    after: to > moment ? undefined : nameOf(year, month),
    brought: [
      { label: 'units came', value: String(brought.came) },
      ...brought.ended.flatMap(({ outcome, n }) =>
        outcome === '' ? [] : [{ label: `units ${OUTCOMES[outcome].label}`, value: String(n) }],
      ),
      { label: 'parts logged', value: String(brought.logged) },
      { label: 'pieces harvested', value: String(brought.harvested) },
      { label: 'pieces used', value: String(brought.used) },
      ...(saved > 0 ? [{ label: 'new they cost about', value: `${saved} €` }] : []),
      { label: 'hours by the clock', value: hours.toFixed(1) },
      ...(brought.harvested > 0 && brought.minutes > 0
        ? [{ label: 'minutes a piece', value: (brought.minutes / brought.harvested).toFixed(1) }]
        : []),
      { label: 'questions asked', value: String(brought.asked) },
      { label: 'questions answered', value: String(brought.answered) },
    ],
    builds: brought.builds,
    claim:
      brought.came + brought.harvested + brought.used === 0
        ? 'A quiet month'
        : `${brought.came} ${brought.came === 1 ? 'unit' : 'units'} in, ${brought.harvested} ${brought.harvested === 1 ? 'piece' : 'pieces'} out of them, ${brought.builds.length} ${brought.builds.length === 1 ? 'build' : 'builds'} served`,
    lacking: needs
      .slice(0, SHOWN)
      .map(({ build, need, pieces }) => ({ build: build.code, role: need.role, filter: need.filter, pieces })),
    lying: lying.map((donor) => ({
      code: donor.code,
      title: donorTitle(donor),
      since: dayOf(donor.touchedMs, moment),
    })),
    old: [
      ...cans.map(({ code, bin, createdMs }) => ({
        code,
        bin,
        title: titleOf(code),
        why: `a can, since ${dayOf(createdMs, moment)}`,
      })),
      ...unwanted.map(({ code, bin, createdMs }) => ({
        code,
        bin,
        title: titleOf(code),
        why: `never asked for, since ${dayOf(createdMs, moment)}`,
      })),
    ].slice(0, SHOWN),
    totals: `${totals.lots} lots with ${totals.pieces} pieces in ${totals.bins} bins`,
  };
}
