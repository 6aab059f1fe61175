import 'server-only';
import type { BenchContext } from '../../../core/benchline';
import { describePlate } from '../../../core/nameplate';
import { formatQuantity } from '../../../core/quantity';
import { stationInHand, type StationName } from '../../../core/station';
import { mayTakeApart, UNIT_KINDS } from '../../../core/unit';

import { donorTitle } from '../../../db/repositories/donors';
import { type Dossier, type Stage, lineContext, liveBadge, notDeadMessage, stagesOf } from '../../../services/dossier';
import { dayOf } from '../../../ui/value/moments';
import { routes } from '../../../routes';

/** Stations at which hands and meter leads go to the board. */
export type HandsOnStation = 'trace' | 'test' | 'harvest';

/** What stands above and below every station of a donor. */
export interface DonorFrame {
  readonly code: string;
  readonly title: string;
  readonly model: string;
  readonly subtitle: string;
  readonly stages: readonly Stage[];
  /** The store that is not measured dead, if any: what the badge says. */
  readonly live: { readonly message: string; readonly volts: string } | null;
  /** Why hands should stay off the board: stores that are not measured dead, or none that was ever listed. */
  readonly notDead: Readonly<Record<HandsOnStation, string | null>>;
  /** Why no lot can be made of it, when it is not cleared to be taken apart. */
  readonly notCleared: string | null;
  /** Power was put to it and not taken away since. */
  readonly isPowered: boolean;
  /** Stations at which the person said that they go on all the same. */
  readonly wentOn: readonly StationName[];
  readonly context: BenchContext;
}

/** What stands around every station of a donor. */
export async function donorFrame(dossier: Dossier): Promise<DonorFrame> {
  const { donor, now } = dossier;
  const [overview, context] = await Promise.all([dossier.overview(), lineContext(dossier)]);
  const plate = describePlate(dossier.plate);
  const power = overview.facts.ratedPower;
  const right = mayTakeApart({ origin: donor.originKind, clearance: donor.clearance });
  const origin = [
    UNIT_KINDS[donor.kind].label === 'other' ? '' : UNIT_KINDS[donor.kind].label,
    donor.origin,
    dayOf(donor.createdMs, now),
  ]
    .filter((word) => word !== '')
    .join(', ');
  return {
    code: donor.code,
    title: donorTitle(donor),
    model: donor.model,
    subtitle: [plate, power === undefined ? '' : formatQuantity(power, 'watt'), origin]
      .filter((word) => word !== '')
      .join(' · '),
    stages: stagesOf(donor.code, overview.line),
    live: liveBadge(overview),
    isPowered: overview.isPowered,
    notDead: {
      trace: notDeadMessage(overview, 'trace'),
      test: notDeadMessage(overview, 'test'),
      harvest: notDeadMessage(overview, 'harvest'),
    },
    notCleared: right.may ? null : right.why,
    wentOn: overview.wentOn,
    context,
  };
}

/** The address of the station where a donor's work stands. */
export async function addressInHand(dossier: Dossier): Promise<string> {
  const { line } = await dossier.overview();
  return routes.station(dossier.donor.code, stationInHand(line));
}
