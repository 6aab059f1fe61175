import { OPEN_WORDS, TESTS, type Measured } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import { parseQuantity, problemText } from '../../../core/quantity';
import type { Bench } from '../../../db/bench';
import type { FormProblem, FormOutcome } from '../../../ui/form/outcome';
import type { MeasurementForm } from '../schema';
import { editDonor, Refusal, refuse } from './outcome';
import { knownPart, writeRecord } from './writeRecord';

/** Records a measurement typed into the form of the part's test. Blank fields were not measured. */
export function measurePart(
  bench: Bench,
  of: { code: string; ref: string },
  form: MeasurementForm,
): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'test' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    const { test } = kindRule(part.kind);
    if (!test) return refuse(`There is no bench test for a ${kindRule(part.kind).label} yet.`);
    const values: Record<string, Measured> = {};
    let first: FormProblem | undefined;
    for (const field of TESTS[test].fields) {
      const text = String(form[field.name] ?? '').trim();
      if (text === '') continue;
      const parsed = parseQuantity(text, field.unit);
      if (field.open && (OPEN_WORDS as readonly string[]).includes(text.toLowerCase()))
        values[field.name] = { value: Infinity, resolution: 0 };
      else if (parsed.ok) values[field.name] = parsed.quantity;
      else first ??= { field: field.name, message: problemText(parsed.problem) };
    }
    if (first) throw new Refusal(first);
    const [field] = TESTS[test].fields;
    if (Object.keys(values).length === 0) return refuse('Type at least one reading of the meter.', field?.name);
    const inCircuit = form.inCircuit === true;
    return `${await writeRecord(edit, { kind: 'measurement', ref: part.ref, test, values, inCircuit })}.`;
  });
}
