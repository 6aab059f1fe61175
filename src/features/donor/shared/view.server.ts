import 'server-only';
import type { BenchContext } from '../../../core/benchline';
import { describePlate } from '../../../core/nameplate';
import { formatQuantity } from '../../../core/quantity';
import { STATION_LABEL, stationInHand, type StationName, type StationSummary } from '../../../core/station';
import { mayTakeApart, UNIT_KINDS } from '../../../core/unit';
import { appContext } from '../../../db/context';
import { donorOverview, donorTitle, findDonor, type Donor, type DonorOverview } from '../../../db/repositories/donors';
import { plateOf } from '../../../db/repositories/plate';
import { liveBadge, notDeadMessage } from '../../../services/dossier/notDead';
import { lineContext } from '../../../services/dossier';
import { dayOf } from './words';

/** What stands above and below every station of a donor. */
export interface DonorFrame {
  readonly code: string;
  readonly title: string;
  readonly model: string;
  readonly message: string;
  readonly stages: readonly { id: StationName; label: string; message: string; state: string; href: string }[];
  /** The store that is not measured dead, if any: what the badge says. */
  readonly live: { readonly message: string; readonly volts: string } | null;
  /** Why hands should stay off the board: stores that are not measured dead, or none that was ever listed. */
  readonly notDead: string | null;
  /** Why no lot can be made of it, when it is not cleared to be taken apart. */
  readonly notCleared: string | null;
  /** Stations at which the person said that they go on all the same. */
  readonly wentOn: readonly StationName[];
  readonly context: BenchContext;
}

/** The frame of a donor with the donor itself, or nothing when no donor has the code. */
export async function loadDonor(
  code: string,
): Promise<{ donor: Donor; overview: DonorOverview; frame: DonorFrame } | undefined> {
  const { db, now } = appContext();
  const donor = await findDonor(db.read, code.toUpperCase());
  if (!donor) return undefined;
  const [overview, context] = await Promise.all([donorOverview(db.read, donor), lineContext(db.read, donor.id)]);
  const plate = describePlate(plateOf(donor));
  const power = overview.facts.ratedPower;
  const right = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
  const origin = [
    UNIT_KINDS[donor.kind].label === 'other' ? '' : UNIT_KINDS[donor.kind].label,
    donor.origin,
    dayOf(donor.createdMs, now()),
  ]
    .filter((word) => word !== '')
    .join(', ');
  return {
    donor,
    overview,
    frame: {
      code: donor.code,
      title: donorTitle(donor),
      model: donor.model,
      message: [plate, power === undefined ? '' : formatQuantity(power, 'watt'), origin]
        .filter((word) => word !== '')
        .join(' · '),
      stages: stagesOf(donor.code, overview.line),
      live: liveBadge(overview.liveStores),
      notDead: notDeadMessage(overview),
      notCleared: right.may ? null : right.why,
      wentOn: overview.wentOn,
      context,
    },
  };
}

/** The address of the station where a donor's work stands. */
export async function stationInHandOf(code: string): Promise<string | undefined> {
  const { db } = appContext();
  const donor = await findDonor(db.read, code.toUpperCase());
  return donor && `/donors/${donor.code}/${stationInHand((await donorOverview(db.read, donor)).line)}`;
}

/** The joints of a donor's line with where they lead. */
export function stagesOf(code: string, line: readonly StationSummary[]): DonorFrame['stages'] {
  return line.map(({ station, state, message }) => ({
    id: station,
    label: STATION_LABEL[station],
    message,
    state,
    href: `/donors/${code}/${station}`,
  }));
}
