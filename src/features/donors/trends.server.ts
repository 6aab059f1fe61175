import 'server-only';
import { setImmediate } from 'node:timers/promises';
import { TOPOLOGY_WORDS } from '../../core/board';
import { changeOver, trendOf, type Dated, type Span } from '../../core/compare';
import { judgeNameplate } from '../../core/nameplate';
import { recentOf } from '../../core/recent';
import { UNIT_KIND_NAMES, UNIT_KINDS, type UnitKindName } from '../../core/unit';
import type { Queryable } from '../../db/client';
import type { AppContext } from '../../db/context';
import { ageOf, plateOf } from '../../db/repositories/plate';
import {
  datedDonors,
  efficiencyByDonor,
  hoursByDonor,
  tracedDonors,
  type DatedDonor,
} from '../../db/repositories/trends';
import { sureTopologies } from '../../services/board';
import { openDossier } from '../../services/dossier';

/** A quantity over the years. */
export interface Trend {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  readonly spans: readonly Span[];
  readonly count: number;
  readonly says: string;
}

export interface TrendsView {
  readonly kind: UnitKindName | '';
  readonly kinds: readonly { readonly value: UnitKindName; readonly label: string; readonly count: number }[];
  readonly total: number;
  /** Donors whose year is known. */
  readonly dated: number;
  readonly trends: readonly Trend[];
  /** Main stages of traced boards, the commonest first. */
  readonly topologies: readonly {
    readonly name: string;
    readonly count: number;
    readonly years: string;
    readonly codes: readonly string[];
  }[];
}

/** Traced boards that are looked at, and donors named at a topology. */
const TRACED = 60;
const NAMED = 6;

/** Labels whose reading is remembered: reading one takes a good part of a millisecond. */
const REMEMBERED = 20000;
const readingOf = recentOf<{ readonly watts: number | undefined; readonly year: number | undefined }>(REMEMBERED);

const read = (donor: DatedDonor, now: number) =>
  readingOf(
    `${donor.nameplate}\u0000${donor.dateCodes}\u0000${donor.plate ? JSON.stringify(donor.plate) : ''}`,
    () => ({
      watts: judgeNameplate(plateOf(donor)).ratedPower,
      year: ageOf(donor, [], now).newest?.year,
    }),
  );

/** Labels read between two breaths of the server. */
const BREATH = 40;

/** Reads every label and the traced boards beforehand, a few at a time, so that the first look need not. */
export async function readLabels({ db, now }: Pick<AppContext, 'db' | 'now'>): Promise<void> {
  const moment = now();
  for (const [place, donor] of (await datedDonors(db.read)).entries()) {
    read(donor, moment);
    if (place % BREATH === BREATH - 1) await setImmediate();
  }
  await topologiesOf(db.read, moment);
}

/** What the donors of the shop come to over the years they were made in. */
export async function trendsView({ db, now }: Pick<AppContext, 'db' | 'now'>, by: string): Promise<TrendsView> {
  const moment = now();
  const [donors, hours, efficiencies, topologies] = await Promise.all([
    datedDonors(db.read),
    hoursByDonor(db.read),
    efficiencyByDonor(db.read),
    topologiesOf(db.read, moment),
  ]);
  const kind = UNIT_KIND_NAMES.find((name) => name === by) ?? '';
  const counts = new Map<UnitKindName, number>();
  for (const donor of donors) counts.set(donor.kind, (counts.get(donor.kind) ?? 0) + 1);
  const facts = donors
    .filter((donor) => kind === '' || donor.kind === kind)
    .map((donor) => ({ donor, ...read(donor, moment) }));
  const trend = (
    id: string,
    label: string,
    unit: string,
    valueOf: (fact: (typeof facts)[number]) => number | undefined,
  ): Trend => {
    const points = facts.flatMap((fact): readonly Dated[] => {
      const value = valueOf(fact);
      return fact.year === undefined || value === undefined || !Number.isFinite(value)
        ? []
        : [{ year: fact.year, value }];
    });
    const spans = trendOf(points);
    const change = changeOver(spans);
    return {
      id,
      label,
      unit,
      spans,
      count: points.length,
      says:
        change === undefined
          ? 'of too few years to tell'
          : `${Math.abs(Math.round(100 * change))} % ${change >= 0 ? 'more' : 'less'} than in ${String(spans[0]?.from ?? '')}`,
    };
  };
  const litres = ({ donor: { lengthM, widthM, heightM } }: (typeof facts)[number]) =>
    lengthM !== null && widthM !== null && heightM !== null ? lengthM * widthM * heightM * 1e3 : undefined;
  const per = (value: number | undefined, of: number | undefined) =>
    value === undefined || of === undefined || of <= 0 ? undefined : value / of;
  return {
    kind,
    kinds: [...counts]
      .map(([value, count]) => ({ value, label: UNIT_KINDS[value].label, count }))
      .toSorted((a, b) => b.count - a.count),
    topologies,
    total: facts.length,
    dated: facts.filter(({ year }) => year !== undefined).length,
    trends: [
      trend('density', 'Power density', 'W a litre', (fact) => per(fact.watts, litres(fact))),
      trend('weight', 'Power by weight', 'W a kilogram', (fact) => per(fact.watts, fact.donor.massKg ?? undefined)),
      trend('efficiency', 'Efficiency, measured', '%', (fact) => {
        const share = efficiencies.get(fact.donor.id);
        return share === undefined ? undefined : 100 * share;
      }),
      trend('hours', 'Hours of its best can', 'h', (fact) => hours.get(fact.donor.id)),
    ],
  };
}

/** What traced boards are, as far as that is sure, and when units with such a board were made. */
async function topologiesOf(db: Queryable, moment: number): Promise<TrendsView['topologies']> {
  const found = new Map<string, { readonly code: string; readonly year: number | undefined }[]>();
  for (const donor of await tracedDonors(db, TRACED)) {
    const [main] = await sureTopologies(openDossier(db, donor, moment));
    // What else is asked meanwhile comes between two boards.
    await setImmediate();
    if (main === undefined) continue;
    const there = found.get(main) ?? [];
    there.push({ code: donor.code, year: read(donor, moment).year });
    found.set(main, there);
  }
  return [...found]
    .map(([topology, units]) => {
      const years = units.flatMap(({ year }) => (year === undefined ? [] : [year]));
      const [first, last] = [Math.min(...years), Math.max(...years)];
      return {
        name: TOPOLOGY_WORDS[topology] ?? topology,
        count: units.length,
        years: years.length === 0 ? '' : first === last ? String(first) : `${String(first)} to ${String(last)}`,
        codes: units.slice(0, NAMED).map(({ code }) => code),
      };
    })
    .toSorted((a, b) => b.count - a.count || a.name.localeCompare(b.name));
}
