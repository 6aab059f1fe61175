import { RATINGS, kindRule, type KindName, type RatingName } from '../../../core/part';
import { TESTS, type Judgement } from '../../../core/measure';
import { formatQuantity } from '../../../core/quantity';
import { SOURCE_MEANING } from '../../../core/evidence';
import { bench } from '../../../db/bench';
import type { Donor } from '../../../db/repositories/donors';
import { listBinCodes, lotsOfDonor } from '../../../db/repositories/lots';
import { listParts, type PartRecord } from '../../../db/repositories/parts';
import { ratingHistory } from '../../../db/repositories/ratings';
import type { Cell, TableColumn, TableRow } from '../../../ui/table/tableTypes';
import { judgeRecord, ratingsForStock } from '../judgeRecord';
import { readingsOf } from '../usecases/identify';
import { clockOf, ratingSummary, weakestSource } from './words';

/** One of the readings of a marking. */
export interface ReadingView {
  readonly id: string;
  readonly kind: string;
  readonly why: string;
  readonly percent: string;
  readonly rule: string;
  readonly taken: boolean;
}

export interface PartView {
  readonly ref: string;
  readonly title: string;
  readonly says: string;
  readonly kind: KindName;
  readonly marking: string;
  readonly harvested: boolean;
  readonly readings: readonly ReadingView[];
  readonly ratings: readonly { label: string; value: string; source: string; meaning: string }[];
  readonly history: readonly { label: string; value: string; source: string; when: string }[];
  readonly ratingChoices: readonly { value: string; label: string }[];
  readonly test: {
    readonly label: string;
    readonly precondition: string;
    readonly fields: readonly (typeof TESTS)[keyof typeof TESTS]['fields'][number][];
  } | null;
  readonly judgement: Judgement | null;
  readonly measured: readonly { label: string; value: string }[];
  readonly measuredSays: string;
  /** What the lot will carry, should it be taken now. */
  readonly forStock: readonly { label: string; value: string; source: string }[];
}

export interface PartsView {
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  readonly selected: PartView | null;
  readonly total: number;
  readonly identified: number;
  readonly testable: number;
  readonly tested: number;
  readonly onBoard: number;
  /** References worth a look next: marked but not read, testable but not tested, kept but not taken. */
  readonly unread: readonly string[];
  readonly untested: readonly string[];
  readonly worthTaking: readonly string[];
  readonly packages: readonly string[];
}

const COLUMNS: readonly TableColumn[] = [
  { id: 'ref', label: 'part' },
  { id: 'kind', label: 'kind' },
  { id: 'marking', label: 'marking' },
  { id: 'ratings', label: 'ratings' },
  { id: 'package', label: 'case' },
  { id: 'verdict', label: 'verdict' },
  { id: 'evidence', label: 'evidence' },
  { id: 'damage', label: 'damage', hidden: true },
];

/** The parts of a donor as a table, and one of them in full. */
export async function partsView(
  donor: Donor,
  of: { station: 'identify' | 'test' | 'harvest'; wanted: string | undefined },
): Promise<PartsView> {
  const { db } = bench();
  const all = await listParts(db.read, donor.id);
  const judged = all.map((record) => ({ record, judgement: judgeRecord(record) }));
  const shown = judged.filter(
    ({ record: { part } }) => of.station !== 'test' || kindRule(part.kind).test !== undefined,
  );
  const chosen = judged.find(({ record }) => record.part.ref === of.wanted?.toUpperCase());
  const testable = judged.filter(({ record: { part } }) => kindRule(part.kind).test !== undefined);
  const onBoard = judged.filter(({ record }) => record.part.state === 'on-board');
  const refs = (entries: typeof judged) => entries.map(({ record }) => record.part.ref);
  return {
    columns: COLUMNS,
    rows: shown.map(({ record, judgement }) =>
      row(donor.code, of.station, record, judgement, chosen?.record === record),
    ),
    selected: chosen ? await partView(chosen.record, chosen.judgement) : null,
    total: all.length,
    identified: all.filter(({ ratings }) => Object.keys(ratings).length > 0).length,
    testable: testable.length,
    tested: testable.filter(({ judgement }) => judgement).length,
    onBoard: onBoard.length,
    unread: refs(
      judged.filter(({ record }) => Object.keys(record.ratings).length === 0 && readingsOf(record.part).length > 0),
    ),
    untested: refs(testable.filter(({ record, judgement }) => !judgement && record.part.state === 'on-board')),
    worthTaking: refs(onBoard.filter(({ judgement }) => judgement && ['keep', 'limit'].includes(judgement.verdict))),
    packages: [...new Set(all.map(({ part }) => part.package ?? '').filter((name) => name !== ''))],
  };
}

function row(
  code: string,
  station: string,
  { part, ratings }: PartRecord,
  judgement: Judgement | undefined,
  open: boolean,
): TableRow {
  const summary = ratingSummary(part.kind, ratings);
  const cells: Record<string, Cell> = {
    ref: { text: part.ref, as: 'value' },
    kind: { text: kindRule(part.kind).label + (part.subtype ? `, ${part.subtype}` : '') },
    marking: { text: part.marking ?? '', as: 'mono' },
    ratings: { text: summary.map(({ text }) => text).join('  '), as: 'value' },
    package: { text: part.package ?? '' },
    verdict:
      part.state === 'harvested'
        ? { text: 'in stock', as: 'quiet' }
        : judgement
          ? { text: judgement.verdict, as: 'verdict' }
          : { text: '' },
    evidence: { text: weakestSource(summary), as: 'quiet' },
    damage: { text: part.damage.join(', ') },
  };
  return { id: part.id, href: `/donors/${code}/${station}?part=${part.ref}`, open, cells };
}

async function partView(record: PartRecord, judgement: Judgement | undefined): Promise<PartView> {
  const { part, ratings, measurements } = record;
  const rule = kindRule(part.kind);
  const history = await ratingHistory(bench().db.read, part.id);
  const [latest] = measurements;
  return {
    ref: part.ref,
    kind: part.kind,
    title: `${part.ref}, ${/^[aeiou]|^[FHLMNRSX]-/i.test(rule.label) ? 'an' : 'a'} ${rule.label}`,
    says: [part.subtype ?? part.technology, part.package && `in ${part.package}`, ...part.damage]
      .filter(Boolean)
      .join(', '),
    marking: part.marking ?? '',
    harvested: part.state === 'harvested',
    readings: readingsOf(part).map((reading) => ({
      id: `${reading.kind}:${reading.rule}`,
      kind: kindRule(reading.kind).label,
      why: reading.why,
      percent: `${Math.round(reading.confidence * 100)} %`,
      rule: reading.rule,
      taken:
        reading.kind === part.kind &&
        Object.entries(reading.ratings).every(([name, value]) =>
          history.some((entry) => entry.name === name && entry.rule === reading.rule && entry.value === value),
        ),
    })),
    ratings: rule.ratings.flatMap((name) => {
      const rating = ratings[name];
      return rating
        ? [
            {
              label: RATINGS[name].label,
              value: show(name, rating.value),
              source: rating.source,
              meaning: `${SOURCE_MEANING[rating.source]}${rating.rule ? ` (${rating.rule})` : ''}`,
            },
          ]
        : [];
    }),
    history: history
      .filter(({ superseded }) => superseded)
      .map(({ name, value, source, recordedMs }) => ({
        label: RATINGS[name].label,
        value: show(name, value),
        source,
        when: clockOf(recordedMs),
      })),
    ratingChoices: rule.ratings.map((name) => ({ value: name, label: RATINGS[name].label })),
    test: rule.test ? TESTS[rule.test] : null,
    judgement: judgement ?? null,
    measured: latest
      ? TESTS[latest.test].fields.flatMap(({ name, label, unit }) => {
          const reading = latest.values[name];
          return reading
            ? [
                {
                  label,
                  value: reading.value === Infinity ? 'OL' : formatQuantity(reading.value, unit, { digits: 4 }),
                },
              ]
            : [];
        })
      : [],
    measuredSays: latest
      ? `${latest.inCircuit ? 'in circuit' : 'out of circuit'}, ${clockOf(latest.takenMs)}${measurements.length > 1 ? `, the latest of ${measurements.length}` : ''}`
      : '',
    forStock: Object.values(
      Object.fromEntries(
        ratingsForStock(record).map(({ name, value, source }) => [
          name,
          { label: RATINGS[name].label, value: show(name, value), source },
        ]),
      ),
    ),
  };
}

function show(name: RatingName, value: number): string {
  return formatQuantity(value, RATINGS[name].unit);
}

/** The lots that came from a donor, and the bins there are, for the Harvest station. */
export async function harvestView(donor: Donor) {
  const { db } = bench();
  const [lots, bins] = await Promise.all([lotsOfDonor(db.read, donor.id), listBinCodes(db.read)]);
  return {
    bins,
    lots: lots.map(({ lot, bin, ratings }) => ({
      code: lot.code,
      says: [kindRule(lot.kind).label, lot.marking, ...ratingSummary(lot.kind, ratings, 2).map(({ text }) => text)]
        .filter((word) => word !== '')
        .join(' '),
      grade: lot.grade,
      pieces: lot.onHand,
      bin,
    })),
  };
}
