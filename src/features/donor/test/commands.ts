import { ohmsField, OPEN_WORDS, testField, type Measured, type TestField } from '../../../core/measure';
import { parseOhms } from '../../../core/magnetics';
import { kindRule } from '../../../core/part';
import { parseQuantity, problemText } from '../../../core/quantity';
import type { Bench } from '../../../db/context';
import type { FormProblem, FormOutcome } from '../../../ui/form/outcome';
import type { MeasurementForm } from '../schema';
import { editDonor, Refusal, refuse } from '../../../services/command/outcome';
import { knownPart, writeRecord } from '../shared/writeRecord';

/** Fields of the form that are no readings. */
const BESIDES = ['inCircuit', 'meter', 'ohms'];

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
    const values: Record<string, Measured> = { ...ohmTable(String(form.ohms ?? '')) };
    let first: FormProblem | undefined;
    for (const [name, raw] of Object.entries(form)) {
      const text = String(raw ?? '').trim();
      const field = BESIDES.includes(name) || text === '' ? undefined : testField(test, name);
      if (!field) continue;
      const read = readField(text, field);
      if ('message' in read) first ??= { field: name, message: read.message };
      else values[name] = read;
    }
    if (first) throw new Refusal(first);
    if (Object.keys(values).length === 0) return refuse('Type at least one reading of the meter.', firstFieldOf(form));
    const inCircuit = form.inCircuit === true;
    const record = { kind: 'measurement', ref: part.ref, test, values, inCircuit } as const;
    return `${await writeRecord(edit, { ...record, meter: form.meter })}.`;
  });

  function firstFieldOf({ inCircuit: _, ...rest }: MeasurementForm): string | undefined {
    return Object.keys(rest).find((name) => !BESIDES.includes(name));
  }
}

function readField(text: string, field: TestField): Measured | { message: string } {
  if (field.open && (OPEN_WORDS as readonly string[]).includes(text.toLowerCase()))
    return { value: Infinity, resolution: 0 };
  if (field.choices) {
    const chosen = field.choices.find(({ value }) => String(value) === text);
    return chosen ? { value: chosen.value, resolution: 0 } : { message: `“${text}” is no answer to this.` };
  }
  const parsed = parseQuantity(text, field.unit);
  return parsed.ok ? parsed.quantity : { message: problemText(parsed.problem) };
}

/** Ohms between pins of a transformer, one reading a line. */
function ohmTable(text: string): Record<string, Measured> {
  const { readings, problems } = parseOhms(text);
  const [problem] = problems;
  if (problem) throw new Refusal({ field: 'ohms', message: `Line ${problem.line}: ${problem.message}` });
  return Object.fromEntries(readings.map(({ a, b, ohms }) => [ohmsField(a, b), { value: ohms, resolution: 0.1 }]));
}
