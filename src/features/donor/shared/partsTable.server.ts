import 'server-only';
import { SOURCE_MEANING } from '../../../core/evidence';
import { limitText, mergeLimits, type Judgement } from '../../../core/measure';
import {
  BLOCKS,
  DUTIES,
  FITMENTS,
  kindRule,
  RATINGS,
  withArticle,
  type KindName,
  type RatingName,
} from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { senseCheck, type UnitStress } from '../../../core/sense';
import type { PartRecord } from '../../../db/repositories/parts';
import { routes } from '../../../routes';
import { donorStress, judgeRecord, testContext, type TestContext } from '../../../services/board';
import type { Dossier } from '../../../services/dossier';
import type { Cell, TableColumn, TableRow } from '../../../ui/list/rows';
import { ratingSummary, weakestSource } from './words';

type PartsStation = 'identify' | 'test' | 'harvest';

/** A part with what its measurements and its looks come to, if there are any. */
export interface JudgedPart {
  readonly record: PartRecord;
  readonly judgement: Judgement | undefined;
}

/** The parts of a donor as a station's table, and what the station goes on from. */
export interface PartsTable {
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  /** Every part, empty footprints too, in the order of the log. */
  readonly all: readonly JudgedPart[];
  /** Those that sit on the board or sat there: no empty footprints. */
  readonly fitted: readonly JudgedPart[];
  readonly chosen: JudgedPart | undefined;
  readonly unit: UnitStress;
  readonly context: TestContext;
}

/** Columns of the log; what a station is not about is left out until it is asked for. */
function columnsOf(station: PartsStation): TableColumn[] {
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

export const isTestable = ({ record: { part } }: JudgedPart) => kindRule(part.kind).test !== undefined;
export const refOf = ({ record }: JudgedPart) => record.part.ref;

/** The parts of a donor as a table; Test lists only those that have a bench test. */
export async function partsTable(
  dossier: Dossier,
  of: { station: PartsStation; wanted: string | undefined },
): Promise<PartsTable> {
  const { donor } = dossier;
  const [records, unit, context] = await Promise.all([dossier.parts(), donorStress(dossier), testContext(dossier)]);
  const all = records.map((record) => ({ record, judgement: judgeRecord(record, context) }));
  const chosen = all.find((entry) => refOf(entry) === of.wanted?.toUpperCase());
  const shown = of.station === 'test' ? all.filter(isTestable) : all;
  return {
    columns: columnsOf(of.station),
    rows: shown.map((entry) =>
      tableRow(entry, {
        href: routes.station(donor.code, of.station, { part: refOf(entry) }),
        unit,
        open: entry === chosen,
      }),
    ),
    all,
    fitted: all.filter(({ record }) => !record.part.fitments.includes('unpopulated')),
    chosen,
    unit,
    context,
  };
}

/** Whether a part cannot stand where it sits. */
export function isMisfit({ record: { part, ratings } }: JudgedPart, unit: UnitStress): boolean {
  const values = Object.fromEntries(Object.entries(ratings).map(([name, { value }]) => [name, value]));
  return senseCheck({ ...part, ratings: values }, unit).some(({ severity }) => severity === 'wrong');
}

/** The sort that tells most: of a dual rectifier how it is made goes before how it is joined. */
const sortOf = ({ kind, subtype, technology }: JudgedPart['record']['part']) =>
  kind === 'dual-diode' ? (technology ?? subtype) : subtype;

function tableRow(entry: JudgedPart, of: { href: string; unit: UnitStress; open: boolean }): TableRow {
  const { record, judgement } = entry;
  const { part, ratings } = record;
  const summary = ratingSummary(part.kind, ratings);
  const cells: Record<string, Cell> = {
    ref: { text: part.ref, as: 'value' },
    kind: { text: [kindRule(part.kind).label, sortOf(part)].filter(Boolean).join(', ') },
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
    evidence: isMisfit(entry, of.unit)
      ? { text: 'does not fit', as: 'strong' }
      : { text: weakestSource(summary), as: 'quiet' },
    condition: { text: [...part.fitments, ...part.damage].join(', ') },
  };
  return { id: part.id, href: of.href, open: of.open, cells };
}

/** What every station shows of the part that is chosen. */
export interface PartHead {
  readonly ref: string;
  readonly title: string;
  readonly subtitle: string;
  readonly kind: KindName;
  readonly marking: string;
  readonly harvested: boolean;
  readonly ratings: readonly { label: string; value: string; source: string; meaning: string }[];
  readonly judgement: Judgement | null;
  /** What its grade keeps it from. */
  readonly limits: readonly string[];
}

/** The head of one part. */
export function partHead({ record: { part, ratings }, judgement }: JudgedPart): PartHead {
  const rule = kindRule(part.kind);
  return {
    ref: part.ref,
    kind: part.kind,
    title: `${part.ref}, ${withArticle(rule.label)}`,
    subtitle: [
      ...new Set([part.subtype, part.technology]),
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
    ratings: rule.ratings.flatMap((name) => {
      const rating = ratings[name];
      return rating
        ? [
            {
              label: RATINGS[name].label,
              value: ratingText(name, rating.value),
              source: rating.source,
              meaning: `${SOURCE_MEANING[rating.source]}${rating.rule ? ` (${rating.rule})` : ''}`,
            },
          ]
        : [];
    }),
    judgement: judgement ?? null,
    limits: mergeLimits(judgement?.limits ?? []).map(limitText),
  };
}

/** A rating with its unit. */
export const ratingText = (name: RatingName, value: number) => formatQuantity(value, RATINGS[name].unit);
