import { limitText, type Limit } from '../../core/measure';
import { describePlate, type Nameplate } from '../../core/nameplate';
import { isKindName, kindRule, RATINGS, type RatingName } from '../../core/part';
import { formatQuantity, type Unit } from '../../core/quantity';
import { mountingText } from '../../core/harvest';
import { seenAs, type Met } from '../../db/repositories/meeting';

/** A question about one field: whose value counts. */
export interface FieldQuestion {
  /** The name under which the answer comes back. */
  readonly name: string;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

/** Names of columns end in the unit of what they hold. */
const SUFFIXES: readonly (readonly [RegExp, Unit])[] = [
  [/Ohm$/, 'ohm'],
  [/Kg$/, 'kilogram'],
  [/F$/, 'farad'],
  [/V$/, 'volt'],
  [/A$/, 'ampere'],
  [/W$/, 'watt'],
  [/C$/, 'celsius'],
  [/M$/, 'metre'],
  [/S$/, 'second'],
];

const LABELS: Readonly<Record<string, string>> = {
  description: 'what it is',
  originKind: 'where it comes from',
  clearance: 'whether it may be taken apart',
  symptomKind: 'symptom',
  symptom: 'what is wrong',
  cableM2: 'wire of its cable',
  holdSource: 'what it may hold comes from',
  holdV: 'own figure',
  bleedOhm: 'bleed path',
  toolOhm: 'bleed tool',
  ratedAc: 'rated in AC',
  deletedMs: 'whether it is deleted',
  package: 'case',
  mounting: 'how it is held',
  fitments: 'how it is fitted',
  plate: 'plate as put right',
};

/** The questions that a person answers field by field when a form would save over what others changed. */
export function fieldQuestions(met: readonly Met[]): readonly FieldQuestion[] {
  return met.map((one) => ({
    name: `~answer.${one.key}`,
    label: labelOf(one),
    options: [
      { value: `theirs:${seenAs(one.theirs)}`, label: `as it stands now: ${valueText(one, one.theirs)}` },
      { value: `mine:${seenAs(one.theirs)}`, label: `as typed here: ${valueText(one, one.mine)}` },
    ],
  }));
}

const isRatingTable = ({ table }: Met) => table === 'partRatings' || table === 'typeRatings';

function labelOf(met: Met): string {
  if (isRatingTable(met)) return RATINGS[met.field as RatingName].label;
  if (met.table === 'count') return `pieces of ${met.field}; some were moved while you counted`;
  const known = LABELS[met.field];
  if (known) return known;
  const bare = SUFFIXES.reduce((name, [suffix]) => name.replace(suffix, ''), met.field);
  return bare.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
}

function valueText(met: Met, value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const unit = isRatingTable(met)
      ? RATINGS[met.field as RatingName].unit
      : SUFFIXES.find(([suffix]) => suffix.test(met.field))?.[1];
    return unit ? formatQuantity(value, unit, { digits: 4 }) : String(value);
  }
  if (typeof value === 'string') return isKindName(value) ? kindRule(value).label : value;
  if (met.field === 'plate') return describePlate(value as Nameplate);
  if (met.field === 'mounting') return mountingText(value as never) || 'held by its solder alone';
  if (met.field === 'limits') return (value as Limit[]).map(limitText).join(', ') || 'none';
  if (Array.isArray(value)) return value.map(String).join(', ') || 'none';
  return JSON.stringify(value);
}
