import 'server-only';
import type { PastHarvest, UnitFacts, Weights } from '../../../core/advice';
import { isoWeek, type Nameplate, type PowerBounds } from '../../../core/nameplate';
import { mayTakeApart } from '../../../core/unit';
import type { Queryable } from '../../../db/client';
import type { AppContext } from '../../../db/context';
import { pastHarvests } from '../../../db/repositories/openings';
import type { PartRecord } from '../../../db/repositories/parts';
import { readSettings } from '../../../db/repositories/settings';
import { unitRecord, type Dossier } from '../../../services/dossier';
import { needsMetBy, openNeeds } from '../../../services/matching';
import { soakView, type SoakView } from './soak.server';

/** What the judgement at Intake needs beyond what stands in the form. */
export interface IntakeFacts {
  readonly today: { readonly year: number; readonly week: number };
  readonly plate: Nameplate | null;
  /** Date codes on parts that were logged. */
  readonly codes: readonly { readonly code: string; readonly place: string }[];
  /** Bounds that the parts log gives. */
  readonly bounds: PowerBounds;
  readonly hazards: UnitFacts['hazards'];
  /** What the latest run under load showed. */
  readonly run: SoakView['run'];
  readonly past: readonly PastHarvest[];
  readonly needs: readonly string[];
  readonly weights: Weights;
  /** Stores that are listed, and those that are not measured dead. */
  readonly stores: { readonly total: number; readonly live: readonly string[] };
  /** It was not cleared to be taken apart, as it is stored. */
  readonly wasRefused: boolean;
}

/** Donors looked through for what like ones gave. */
const PAST = 300;

/** The facts for a unit that is about to come. */
export async function newUnitFacts({ db, now }: AppContext): Promise<IntakeFacts> {
  const [{ weights }, past] = await Promise.all([readSettings(db.read), pastHarvests(db.read, '', PAST)]);
  return {
    today: isoWeek(now()),
    past,
    weights,
    plate: null,
    codes: [],
    bounds: {},
    hazards: [],
    run: null,
    needs: [],
    stores: { total: 0, live: [] },
    wasRefused: false,
  };
}

/** The facts for a unit that is on the bench. */
export async function intakeFacts(dossier: Dossier): Promise<IntakeFacts> {
  const { db, donor, now } = dossier;
  const [{ weights }, past, { parts, cautions }, overview, { run }] = await Promise.all([
    dossier.settings(),
    pastHarvests(db, donor.id, PAST),
    unitRecord(dossier),
    dossier.overview(),
    soakView(dossier),
  ]);
  return {
    today: isoWeek(now),
    past,
    weights,
    plate: donor.plate,
    codes: parts.flatMap(({ part }) => (part.dateCode ? [{ code: part.dateCode, place: part.ref }] : [])),
    bounds: boundsOf(parts),
    run,
    hazards: cautions.map(({ name, grave, leaveShut }) => ({
      name,
      grave,
      ...(leaveShut === undefined ? {} : { leaveShut }),
    })),
    needs: await needsServed(db, parts),
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
  const open = await openNeeds(db);
  const met = new Set(
    onBoard.flatMap(({ part, ratings }) =>
      needsMetBy(open, { kind: part.kind, grade: null, ratings }).map((one) => one.open.need.id),
    ),
  );
  return open.flatMap(({ need: { id, role } }) =>
    met.has(id) ? [`${/^[aeiou]/i.test(role) ? 'an' : 'a'} ${role}`] : [],
  );
}
