import { formatQuantity } from '../../core/quantity';
import { STATION_LABEL, stationInHand, type StationName } from '../../core/station';
import { appContext } from '../../db/context';
import { donorTitle, listDonors, listArchived, type DonorOverview } from '../../db/repositories/donors';
import { openMatters } from '../../db/repositories/notes';
import { agoOf } from '../../features/donor/shared/words';
import { stagesOf, type DonorFrame } from '../../features/donor/shared/view.server';

/** A donor as a row of a list. */
export interface DonorLine {
  readonly code: string;
  readonly title: string;
  readonly message: string;
  readonly stages: DonorFrame['stages'];
  /** The station where its work stands. */
  readonly station: StationName;
  /** What to do next with it, in a few words. */
  readonly next: string;
  readonly href: string;
  readonly live: readonly { name: string; message: string }[];
}

/** A page of donors that carry every word of a query. */
export async function donorLines(of: { query: string; page: number; size: number }) {
  const { rows, total } = await listDonors(appContext().db.read, of);
  return { lines: rows.map(donorLine), total, page: of.page, pages: Math.ceil(total / of.size) };
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
      parts.total > 0 ? `${parts.total} parts seen` : '',
      donor.symptom,
    ]
      .filter((word) => word !== '')
      .join(', '),
    stages: stagesOf(donor.code, line),
    station,
    next: nextWords(overview, station),
    href: `/donors/${donor.code}/${station}`,
    live: liveStores.map(({ name, lastVoltage }) => ({
      name,
      message: lastVoltage === null ? 'never read' : `last reading ${formatQuantity(lastVoltage, 'volt')}`,
    })),
  };
}

function nextWords({ facts, liveStores }: DonorOverview, station: ReturnType<typeof stationInHand>): string {
  const { parts } = facts;
  switch (station) {
    case 'make-safe':
      return liveStores[0] ? `read ${liveStores[0].name}` : 'list what stores charge';
    case 'identify':
      return parts.total === 0 ? 'log its parts' : `identify ${parts.total - parts.identified} of ${parts.total} parts`;
    case 'test':
      return `test ${parts.testable - parts.tested} of ${parts.testable} parts`;
    case 'harvest':
      return 'take what passed';
    case 'record':
      return facts.declaredDone.includes('record')
        ? 'closed'
        : facts.openQuestions > 0
          ? 'chase its questions'
          : 'write down what it taught';
    default:
      return STATION_LABEL[station].toLowerCase();
  }
}

/** Donors that were put away, for bringing them back. */
export async function archivedLines(): Promise<{ code: string; title: string; message: string }[]> {
  const { db, now } = appContext();
  const moment = now();
  return (await listArchived(db.read, 200)).map((donor) => ({
    code: donor.code,
    title: donorTitle(donor),
    message: `put away ${agoOf(donor.deletedMs ?? moment, moment)}`,
  }));
}

/** What wants attention across donors: questions and claims that are open. */
export async function attention() {
  const { db, now } = appContext();
  const moment = now();
  return (await openMatters(db.read, 8)).map(({ id, text, ref, claim, status, createdMs, donorCode }) => ({
    id,
    text: ref ? `${ref}: ${text}` : text,
    sign: claim ? status : 'asked',
    donorCode,
    href: ref ? `/donors/${donorCode}/identify?part=${ref}` : `/donors/${donorCode}/record`,
    since: agoOf(createdMs, moment),
  }));
}
