import { testField } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import type { PartRecord } from '../../../db/repositories/parts';
import { readingsThatCount, type TestContext } from '../../../services/board';

/** What was measured of a part, as far as it counts; empty while nothing was. */
export function measuredRows(record: PartRecord, context: TestContext) {
  const { kind } = record.part;
  const { test } = kindRule(kind);
  if (!test) return [];
  return Object.entries(readingsThatCount(record, context)).flatMap(([name, reading]) => {
    const field = testField(test, name, kind);
    if (!field || !reading) return [];
    const chosen = field.choices?.find(({ value }) => value === reading.value)?.label;
    const value = reading.value === Infinity ? 'OL' : formatQuantity(reading.value, field.unit, { digits: 4 });
    return [{ label: field.label, value: chosen ?? value, evidence: reading.inCircuit ? 'in circuit' : '' }];
  });
}
