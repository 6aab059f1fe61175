import 'server-only';
import type { PastHarvest, Weights } from '../../../core/advice';
import { isoWeek, type Nameplate, type PowerBounds } from '../../../core/nameplate';
import { matchLot, parseFilter } from '../../../core/stock';
import { mayTakeApart } from '../../../core/unit';
import { appContext } from '../../../db/context';
import type { Queryable } from '../../../db/client';
import { listBuilds } from '../../../db/repositories/builds';
import { donorOverview, type Donor } from '../../../db/repositories/donors';
import { pastHarvests } from '../../../db/repositories/openings';
import type { PartRecord } from '../../../db/repositories/parts';
import { readSettings } from '../../../db/repositories/settings';
import { unitRecord } from '../../../services/dossier/unitFacts';

/** What the judgement at Intake needs beyond what stands in the form. */
export interface IntakeFacts {
  readonly today: { readonly year: number; readonly week: number };
  readonly plate: Nameplate | null;
  /** Date codes on parts that were logged. */
  readonly codes: readonly { readonly code: string; readonly place: string }[];
  /** Bounds that the parts log gives. */
  readonly bounds: PowerBounds;
  readonly hazards: readonly { readonly name: string; readonly grave: boolean }[];
  readonly past: readonly PastHarvest[];
  readonly needs: readonly string[];
  readonly weights: Weights;
  /** Stores that are listed, and those that are not measured dead. */
  readonly stores: { readonly total: number; readonly live: readonly string[] };
  /** It was not cleared to be taken apart, as it is stored. */
  readonly wasRefused: boolean;
}

/** Builds looked through for needs, and donors for what like ones gave. */
const BUILDS = 50;
const PAST = 300;

/** The facts for a unit that is on the bench, or for one that is about to come. */
export async function intakeFacts(donor?: Donor): Promise<IntakeFacts> {
  const { db, now } = appContext();
  const [settings, past] = await Promise.all([readSettings(db.read), pastHarvests(db.read, donor?.id ?? '', PAST)]);
  const common = { today: isoWeek(now()), past, weights: settings.weights };
  if (!donor)
    return {
      ...common,
      plate: null,
      codes: [],
      bounds: {},
      hazards: [],
      needs: [],
      stores: { total: 0, live: [] },
      wasRefused: false,
    };
  const [{ parts, cautions }, overview] = await Promise.all([
    unitRecord(db.read, donor, now()),
    donorOverview(db.read, donor),
  ]);
  return {
    ...common,
    plate: donor.plate,
    codes: parts.flatMap(({ part }) => (part.dateCode ? [{ code: part.dateCode, place: part.ref }] : [])),
    bounds: boundsOf(parts),
    hazards: cautions.map(({ name, grave }) => ({ name, grave })),
    needs: await needsServed(db.read, parts),
    stores: { total: overview.facts.stores.total, live: overview.liveStores.map(({ name }) => name) },
    wasRefused: !mayTakeApart({ origin: donor.originKind, clearance: donor.clearance }).may,
  };
}

/** The fuse and the reservoir that the parts log knows bound the power too. */
function boundsOf(parts: readonly PartRecord[]): PowerBounds {
  const fuse = parts.find(({ part }) => part.kind === 'fuse')?.ratings.current?.value;
  const bulk = parts
    .filter(({ part, ratings }) => part.kind === 'capacitor' && (ratings.voltage?.value ?? 0) >= 350)
    .map(({ ratings }) => ratings.capacitance?.value ?? 0)
    .filter((value) => value >= 1e-6);
  return {
    ...(fuse === undefined ? {} : { fuse }),
    ...(bulk.length === 0 ? {} : { bulk: bulk.reduce((sum, value) => sum + value, 0) }),
  };
}

/** Roles of open needs that a part of this unit can fill at face value. */
async function needsServed(db: Queryable, parts: readonly PartRecord[]): Promise<string[]> {
  const onBoard = parts.filter(({ part }) => part.state === 'on-board');
  if (onBoard.length === 0) return [];
  const builds = await listBuilds(db, BUILDS);
  return builds.flatMap(({ needs }) =>
    needs
      .filter(({ need, filled }) => {
        const parsed = filled < need.quantity ? parseFilter(need.filter) : undefined;
        return (
          parsed?.ok &&
          onBoard.some(({ part, ratings }) => {
            const { verdict } = matchLot(parsed.filter, { kind: part.kind, grade: null, ratings });
            return verdict === 'fits' || verdict === 'limit';
          })
        );
      })
      .map(({ need }) => `${/^[aeiou]/i.test(need.role) ? 'an' : 'a'} ${need.role}`),
  );
}
