import { readingText, testField } from '../../../core/measure';
import { kindRule } from '../../../core/part';
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
    return [
      { label: field.label, value: readingText(field, reading.value), evidence: reading.inCircuit ? 'in circuit' : '' },
    ];
  });
}
