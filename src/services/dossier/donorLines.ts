import { isSample, OUTCOMES } from '../../core/donor';
import { counted, formatQuantity } from '../../core/quantity';
import { STATION_LABEL, stationInHand, type StationName, type StationSummary } from '../../core/station';
import type { AppContext } from '../../db/context';
import { donorTitle, listDonors, type DonorOverview } from '../../db/repositories/donors';
import { routes } from '../../routes';

/** A donor as a row of a list. */
export interface DonorLine {
  readonly code: string;
  readonly title: string;
  readonly message: string;
  readonly stages: readonly Stage[];
  /** The station where its work stands. */
  readonly station: StationName;
  /** What to do next with it, in a few words. */
  readonly next: string;
  readonly href: string;
  /** Stores that are not measured dead; without a name that none is listed, or that power is on. */
  readonly live: readonly { name: string; message: string }[];
  readonly isPowered: boolean;
  /** It is the made-up unit for newcomers. */
  readonly isSample: boolean;
  /** The first things done to it. */
  readonly begun: {
    readonly label: boolean;
    readonly stores: boolean;
    readonly parts: boolean;
    readonly beeps: boolean;
  };
}

/** A page of donors that carry every word of a query. */
export async function donorLines({ db }: AppContext, of: Parameters<typeof listDonors>[1]) {
  const { rows, total } = await listDonors(db.read, of);
  return { lines: rows.map(donorLine), total };
}

export type DonorLines = Awaited<ReturnType<typeof donorLines>>;

function donorLine(overview: DonorOverview): DonorLine {
  const { donor, facts, line, liveStores } = overview;
  const station = stationInHand(line);
  const { parts, ratedPower } = facts;
  return {
    code: donor.code,
    title: donorTitle(donor),
    message: [
      ratedPower === undefined ? 'rating unread' : formatQuantity(ratedPower, 'watt'),
      parts.total > 0 ? `${counted(parts.total, 'part')} seen` : '',
      donor.symptom,
    ]
      .filter((word) => word !== '')
      .join(', '),
    stages: stagesOf(donor.code, line),
    station,
    next: nextWords(overview, station),
    href: routes.station(donor.code, station),
    // What went out of the house is no danger of the shop any more.
    live:
      donor.outcome !== '' && OUTCOMES[donor.outcome].goesOut
        ? []
        : [
            ...(overview.isPowered ? [{ name: '', message: 'power is on: unplug it first' }] : []),
            ...(facts.stores.total === 0 ? [{ name: '', message: 'no store is listed: treat it as charged' }] : []),
            ...liveStores.map(({ name, lastVoltage }) => ({
              name,
              message: lastVoltage === null ? 'never read' : `last reading ${formatQuantity(lastVoltage, 'volt')}`,
            })),
          ],
    isPowered: overview.isPowered,
    isSample: isSample(donor),
    begun: {
      label: ratedPower !== undefined,
      stores: facts.stores.total > 0,
      parts: parts.total > 0,
      beeps: (facts.probes ?? 0) > 0,
    },
  };
}

function nextWords(
  { donor, facts, liveStores, isPowered }: DonorOverview,
  station: ReturnType<typeof stationInHand>,
): string {
  if (isPowered) return 'unplug it first';
  if (donor.outcome !== '') return `closed: ${OUTCOMES[donor.outcome].label}`;
  const { parts } = facts;
  switch (station) {
    case 'make-safe':
      return liveStores[0] ? `read ${liveStores[0].name}` : 'list what stores charge';
    case 'identify':
      return parts.total === 0
        ? 'log its parts'
        : `identify ${parts.total - parts.identified} of ${counted(parts.total, 'part')}`;
    case 'test':
      return `test ${parts.testable - parts.tested} of ${counted(parts.testable, 'part')}`;
    case 'harvest':
      return 'take what passed';
    case 'record':
      return facts.declaredDone.includes('record')
        ? 'closed'
        : facts.openQuestions > 0
          ? 'answer its questions'
          : 'write down what you learnt';
    default:
      return STATION_LABEL[station].toLowerCase();
  }
}

/** A station of a donor's line, with how it stands and where it leads. */
export interface Stage {
  readonly id: StationName;
  readonly label: string;
  readonly status: string;
  readonly state: string;
  readonly href: string;
}

/** The stations of a donor's line with where they lead. */
export function stagesOf(code: string, line: readonly StationSummary[]): Stage[] {
  return line.map(({ station, state, status }) => ({
    id: station,
    label: STATION_LABEL[station],
    status,
    state,
    href: routes.station(code, station),
  }));
}
