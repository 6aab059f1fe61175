import { kindRule, RATINGS, withArticle } from '../part';
import { formatQuantity } from '../quantity';
import type { BenchContext, BenchRecord, ContextPart } from './record';

/** Values that differ by less are the same, printed in another way. */
const SAME = 1e-3;

/**
 * What records would change of parts that are logged already, a sentence a part: `R5 is logged already: resistance 10 kΩ
 * becomes 4.7 kΩ.` What is only added to a part changes nothing of it.
 */
export function changesOf(records: readonly BenchRecord[], { parts }: BenchContext): readonly string[] {
  return records.flatMap((record) => {
    if (record.kind !== 'part' || record.isAssumed) return [];
    return [record.ref, ...(record.others ?? [])].flatMap((ref) => {
      const known = parts.find((part) => part.ref === ref);
      const changes = known ? changesTo(known, record) : [];
      return changes.length > 0 ? [`${ref} is logged already: ${changes.join(', ')}.`] : [];
    });
  });
}

function changesTo(known: ContextPart, record: Extract<BenchRecord, { kind: 'part' }>): string[] {
  const changes: string[] = [];
  const isOther = known.kind !== record.partKind;
  if (isOther)
    changes.push(
      `it was ${withArticle(kindRule(known.kind).label)} and becomes ${withArticle(kindRule(record.partKind).label)}`,
    );
  const words = (name: string, before: string | undefined, after: string | undefined) =>
    before !== undefined &&
    after !== undefined &&
    before.toLowerCase() !== after.toLowerCase() &&
    changes.push(`${name} ${before} becomes ${after}`);
  words('marking', known.marking, record.marking);
  words('case', known.package, record.package);
  if (!isOther) words('kind', known.subtype, record.subtype);
  for (const { name, value } of record.ratings) {
    const before = known.ratings?.[name];
    if (before === undefined || Math.abs(value - before) <= SAME * Math.abs(before)) continue;
    const show = (si: number) => formatQuantity(si, RATINGS[name].unit);
    changes.push(`${RATINGS[name].label} ${show(before)} becomes ${show(value)}`);
  }
  return changes;
}
