import 'server-only';
import {
  BLOCK_NAMES,
  BLOCKS,
  DUTIES,
  FITMENTS,
  RATINGS,
  kindRule,
  withArticle,
  type KindName,
  type RatingName,
} from '../../../core/part';
import type { Mounting } from '../../../core/harvest';
import { limitText, mergeLimits, type Judgement } from '../../../core/measure';
import { formatQuantity } from '../../../core/quantity';
import { senseCheck, type UnitStress } from '../../../core/sense';
import { SOURCE_MEANING } from '../../../core/evidence';
import type { Reading } from '../../../core/marking';
import { type PartRecord } from '../../../db/repositories/parts';
import { ratingHistory } from '../../../db/repositories/ratings';
import type { Cell, TableColumn, TableRow } from '../../../ui/table/tableTypes';
import { judgeRecord, ratingsForStock } from '../../../services/board/judgeRecord';
import { clearReading, readingId, readingsOf } from '../identify/commands';
import { donorStress } from '../../../services/board/donorStress';
import { testContext, type TestContext } from '../../../services/board/testContext';
import { partTest, type PartTestView } from '../test/present';
import { partIdentity, type PartIdentity } from '../identify/partIdentity.server';
import { ratingSummary, weakestSource } from './words';
import { clockOf } from '../../../ui/value/moments';
import type { Dossier } from '../../../services/dossier';

export interface PartView {
  readonly ref: string;
  readonly title: string;
  readonly message: string;
  readonly kind: KindName;
  readonly marking: string;
  readonly harvested: boolean;
  /** What is made of it at Identify. */
  readonly identity: PartIdentity | null;
  /** Ids of readings whose ratings it carries. */
  readonly taken: readonly string[];
  readonly ratings: readonly { label: string; value: string; source: string; meaning: string }[];
  readonly history: readonly { label: string; value: string; source: string; when: string }[];
  readonly ratingChoices: readonly { value: string; label: string }[];
  readonly test: PartTestView | null;
  readonly judgement: Judgement | null;
  /** What its grade keeps it from. */
  readonly limits: readonly string[];
  readonly wish: 'take' | 'leave' | null;
  readonly mounting: Mounting;
  /** What the lot will carry, should it be taken now. */
  readonly forStock: readonly { label: string; value: string; source: string }[];
}

export interface PartsView {
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  readonly selected: PartView | null;
  readonly total: number;
  readonly identified: number;
  /** Parts by block, with what is left to identify. */
  readonly blocks: readonly { label: string; total: number; left: number }[];
  /** References of parts that do not fit where they sit. */
  readonly misfits: readonly string[];
  /** How many readings are clear enough to be taken at once. */
  readonly clear: number;
  /** The reference that follows the last one logged. */
  readonly nextRef: string;
  readonly testable: number;
  readonly tested: number;
  readonly onBoard: number;
  /** References worth a look next: marked but not read, testable but not tested, kept but not taken. */
  readonly unread: readonly string[];
  readonly untested: readonly string[];
  readonly worthTaking: readonly string[];
  readonly packages: readonly string[];
}

/** Columns of the log; what a station is not about is left out until it is asked for. */
function columnsOf(station: 'identify' | 'test' | 'harvest'): TableColumn[] {
  const here = station === 'identify';
  return [
    { id: 'ref', label: 'part' },
    { id: 'kind', label: 'kind' },
    { id: 'marking', label: 'marking' },
    { id: 'ratings', label: 'ratings' },
    { id: 'package', label: 'case' },
    { id: 'block', label: 'block', hidden: !here },
    { id: 'verdict', label: 'verdict', hidden: here },
    { id: 'evidence', label: 'evidence' },
    { id: 'condition', label: 'condition', hidden: !here },
  ];
}

/** The parts of a donor as a table, and one of them in full. */
export async function partsView(
  dossier: Dossier,
  of: { station: 'identify' | 'test' | 'harvest'; wanted: string | undefined },
): Promise<PartsView> {
  const { donor } = dossier;
  const [all, unit, context] = await Promise.all([dossier.parts(), donorStress(dossier), testContext(dossier)]);
  const fitted = all.filter(({ part }) => !part.fitments.includes('unpopulated'));
  const judged = all.map((record) => ({ record, judgement: judgeRecord(record, context) }));
  const shown = judged.filter(
    ({ record: { part } }) => of.station !== 'test' || kindRule(part.kind).test !== undefined,
  );
  const chosen = judged.find(({ record }) => record.part.ref === of.wanted?.toUpperCase());
  const there = judged.filter(({ record }) => fitted.includes(record));
  const testable = there.filter(({ record: { part } }) => kindRule(part.kind).test !== undefined);
  const onBoard = there.filter(({ record }) => record.part.state === 'on-board');
  const refs = (entries: typeof judged) => entries.map(({ record }) => record.part.ref);
  return {
    columns: columnsOf(of.station),
    rows: shown.map(({ record, judgement }) =>
      row({ code: donor.code, station: of.station, unit }, record, judgement, chosen?.record === record),
    ),
    selected: chosen
      ? await partView(dossier, of.station, chosen.record, { judgement: chosen.judgement, context })
      : null,
    total: fitted.length,
    identified: fitted.filter(isIdentified).length,
    blocks: BLOCK_NAMES.flatMap((name) => {
      const inBlock = fitted.filter(({ part }) => part.block === name);
      return inBlock.length === 0
        ? []
        : [
            {
              label: BLOCKS[name].label,
              total: inBlock.length,
              left: inBlock.filter((one) => !isIdentified(one)).length,
            },
          ];
    }),
    misfits: judged.filter(({ record }) => isMisfit(record, unit)).map(({ record }) => record.part.ref),
    clear: of.station === 'identify' ? all.filter((record) => clearReading(record, unit)).length : 0,
    nextRef: nextReference(all.at(-1)?.part.ref),
    testable: testable.length,
    tested: testable.filter(({ judgement }) => judgement).length,
    onBoard: onBoard.length,
    unread: refs(judged.filter(({ record }) => !isIdentified(record) && readingsOf(record.part).length > 0)),
    untested: refs(testable.filter(({ record, judgement }) => !judgement && record.part.state === 'on-board')),
    worthTaking: refs(onBoard.filter(({ judgement }) => judgement && ['keep', 'limit'].includes(judgement.verdict))),
    packages: [...new Set(all.map(({ part }) => part.package ?? '').filter((name) => name !== ''))],
  };
}

/** Whether anything is known of a part: a rating, or the number it carries. */
function isIdentified({ part, ratings }: PartRecord): boolean {
  return Object.keys(ratings).length > 0 || part.typeId !== null;
}

function isMisfit({ part, ratings }: PartRecord, unit: UnitStress): boolean {
  const values = Object.fromEntries(Object.entries(ratings).map(([name, { value }]) => [name, value]));
  return senseCheck({ ...part, ratings: values }, unit).some(({ severity }) => severity === 'wrong');
}

/** The reference that follows one: `C12` behind `C11`. */
function nextReference(last = ''): string {
  const [, letters = '', number = ''] = /^([A-Z]+)(\d+)$/.exec(last) ?? [];
  return number ? `${letters}${Number(number) + 1}` : '';
}

function row(
  { code, station, unit }: { code: string; station: string; unit: UnitStress },
  record: PartRecord,
  judgement: Judgement | undefined,
  open: boolean,
): TableRow {
  const { part, ratings } = record;
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
    block: { text: part.block ? BLOCKS[part.block].label : '' },
    evidence: isMisfit(record, unit)
      ? { text: 'does not fit', as: 'strong' }
      : { text: weakestSource(summary), as: 'quiet' },
    condition: { text: [...part.fitments, ...part.damage].join(', ') },
  };
  return { id: part.id, href: `/donors/${code}/${station}?part=${part.ref}`, open, cells };
}

async function partView(
  dossier: Dossier,
  station: string,
  record: PartRecord,
  { judgement, context }: { judgement: Judgement | undefined; context: TestContext },
): Promise<PartView> {
  const { part, ratings } = record;
  const rule = kindRule(part.kind);
  const history = await ratingHistory(dossier.db, part.id);
  return {
    ref: part.ref,
    kind: part.kind,
    title: `${part.ref}, ${withArticle(rule.label)}`,
    message: [
      part.subtype ?? part.technology,
      part.duty && DUTIES[part.duty],
      part.package && `in ${part.package}`,
      part.block && `${BLOCKS[part.block].label} block`,
      ...part.fitments.map((name) => FITMENTS[name]),
      ...part.damage,
    ]
      .filter(Boolean)
      .join(', '),
    marking: part.marking ?? '',
    harvested: part.state === 'harvested',
    identity: station === 'identify' ? await partIdentity(dossier, record) : null,
    taken: readingsOf(part)
      .filter((reading) => isTaken(reading, part, history))
      .map(readingId),
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
    test: station === 'test' ? partTest(record, context) : null,
    judgement: judgement ?? null,
    wish: part.wish,
    mounting: part.mounting,
    limits: mergeLimits(judgement?.limits ?? []).map(limitText),
    forStock: Object.values(
      Object.fromEntries(
        ratingsForStock(record, context).map(({ name, value, source }) => [
          name,
          { label: RATINGS[name].label, value: show(name, value), source },
        ]),
      ),
    ),
  };
}

/** Whether a part carries what a reading says: its ratings by that rule, or its number when it has none. */
function isTaken(
  { kind, rule, ratings }: Reading,
  part: PartRecord['part'],
  history: Awaited<ReturnType<typeof ratingHistory>>,
): boolean {
  const said = Object.entries(ratings);
  if (kind !== part.kind || (said.length === 0 && part.typeId === null)) return false;
  return said.every(([name, value]) =>
    history.some((entry) => entry.name === name && entry.rule === rule && entry.value === value),
  );
}

function show(name: RatingName, value: number): string {
  return formatQuantity(value, RATINGS[name].unit);
}
