import { counted } from '../quantity';

/** The eight stations in the order of the work. */
export const STATIONS = ['intake', 'make-safe', 'open', 'trace', 'identify', 'test', 'harvest', 'record'] as const;
export type StationName = (typeof STATIONS)[number];

export const STATION_LABEL: Readonly<Record<StationName, string>> = {
  intake: 'Intake',
  'make-safe': 'Make safe',
  open: 'Open',
  trace: 'Trace',
  identify: 'Identify',
  test: 'Test',
  harvest: 'Harvest',
  record: 'Record',
};

export type StationState = 'untouched' | 'in-hand' | 'done' | 'blocked';

export interface StationSummary {
  readonly station: StationName;
  readonly state: StationState;
  /** A few words under the joint. */
  readonly status: string;
}

/** What the line needs to know of a donor. */
export interface DonorFacts {
  /** Watts from the nameplate, if it could be read. */
  readonly ratedPower?: number | undefined;
  readonly stores: { readonly total: number; readonly dead: number };
  readonly parts: {
    readonly total: number;
    readonly identified: number;
    readonly testable: number;
    readonly tested: number;
    readonly harvested: number;
  };
  readonly notes: Readonly<Partial<Record<StationName, number>>>;
  /** What the meter said of the board. */
  readonly probes?: number;
  readonly openQuestions: number;
  /** Stations that the person declared done. */
  readonly declaredDone: readonly StationName[];
}

/**
 * The state of each station: what the records show, and what the person declared. A store that was
 * not measured dead blocks Make safe whatever was declared.
 */
export function stationLine(facts: DonorFacts): StationSummary[] {
  const { stores, parts } = facts;
  const progress = (station: StationName, count: number, total: number): StationState =>
    facts.declaredDone.includes(station)
      ? 'done'
      : count === 0
        ? 'untouched'
        : total > 0 && count >= total
          ? 'done'
          : 'in-hand';
  const noted = (station: StationName): StationState =>
    facts.declaredDone.includes(station) ? 'done' : facts.notes[station] ? 'in-hand' : 'untouched';
  const notes = (station: StationName) => {
    const count = facts.notes[station] ?? 0;
    return count === 0 ? 'not begun' : `${count} ${count === 1 ? 'note' : 'notes'}`;
  };
  return [
    {
      station: 'intake',
      state: facts.ratedPower === undefined ? 'in-hand' : 'done',
      status: facts.ratedPower === undefined ? 'rating unread' : `${Math.round(facts.ratedPower)} W`,
    },
    {
      station: 'make-safe',
      state: stores.total === 0 ? 'untouched' : stores.dead < stores.total ? 'blocked' : 'done',
      status: stores.total === 0 ? 'no store listed' : `${stores.dead} of ${stores.total} dead`,
    },
    { station: 'open', state: noted('open'), status: notes('open') },
    {
      station: 'trace',
      state: facts.probes && noted('trace') === 'untouched' ? 'in-hand' : noted('trace'),
      status: facts.probes ? `${facts.probes} ${facts.probes === 1 ? 'probe' : 'probes'}` : notes('trace'),
    },
    {
      station: 'identify',
      state: progress('identify', parts.identified, parts.total),
      status: parts.total === 0 ? 'no parts yet' : `${parts.identified} of ${counted(parts.total, 'part')}`,
    },
    {
      station: 'test',
      state: progress('test', parts.tested, parts.testable),
      status: parts.tested === 0 ? 'not begun' : `${parts.tested} of ${parts.testable} tested`,
    },
    {
      station: 'harvest',
      state: progress('harvest', parts.harvested, Infinity),
      status: parts.harvested === 0 ? 'not begun' : `${parts.harvested} taken`,
    },
    {
      station: 'record',
      state: facts.declaredDone.includes('record') ? 'done' : facts.openQuestions > 0 ? 'in-hand' : 'untouched',
      status:
        facts.openQuestions === 0
          ? 'no questions'
          : `${facts.openQuestions} ${facts.openQuestions === 1 ? 'question' : 'questions'}`,
    },
  ];
}

/** The station where work stands: the first blocked one, else the first that is not done; a closed donor's is Record. */
export function stationInHand(line: readonly StationSummary[]): StationName {
  return (
    (
      line.find(({ state }) => state === 'blocked') ??
      line.find(({ station, state }) => station === 'record' && state === 'done') ??
      line.find(({ state }) => state === 'in-hand') ??
      line.find(({ state }) => state === 'untouched')
    )?.station ?? 'record'
  );
}
