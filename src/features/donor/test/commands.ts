import { ohmsField, OPEN_WORDS, testField, type Measured, type TestField } from '../../../core/measure';
import { parseOhms } from '../../../core/magnetics';
import { kindRule } from '../../../core/part';
import { parseQuantity } from '../../../core/quantity';
import type { AppContext } from '../../../db/context';
import type { MeasurementForm } from './schema';
import { lotFollows } from '../../../services/board';
import { refuse, run, type Outcome } from '../../../services/command';
import { knownPart } from '../shared/knownPart';
import { testRecords } from './records';

/** Fields of the form that are no readings. */
const BESIDES = ['inCircuit', 'meter', 'ohms'];

/** Records a measurement typed into the form of the part's test. Blank fields were not measured. */
export function measurePart(
  app: AppContext,
  of: { code: string; ref: string },
  form: MeasurementForm,
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'test' }, async (edit, donor) => {
    const part = await knownPart(edit, of.ref);
    const { test } = kindRule(part.kind);
    if (!test) return refuse('no-test', { kind: kindRule(part.kind).label });
    const values: Record<string, Measured> = { ...ohmTable(String(form.ohms ?? '')) };
    for (const [name, raw] of Object.entries(form)) {
      const text = String(raw ?? '').trim();
      const field = BESIDES.includes(name) || text === '' ? undefined : testField(test, name);
      if (!field) continue;
      values[name] = readField(text, field);
    }
    if (Object.keys(values).length === 0) return refuse('nothing-measured', {}, firstFieldOf(form));
    const inCircuit = form.inCircuit === true;
    const record = { kind: 'measurement', ref: part.ref, test, values, inCircuit } as const;
    const done = await testRecords.measurement.write(edit, { ...record, meter: form.meter });
    return `${done}${(await lotFollows(edit, donor, part.ref)) ?? ''}.`;
  });

  function firstFieldOf({ inCircuit: _, ...rest }: MeasurementForm): string | undefined {
    return Object.keys(rest).find((name) => !BESIDES.includes(name));
  }
}

function readField(text: string, field: TestField): Measured {
  if (field.open && (OPEN_WORDS as readonly string[]).includes(text.toLowerCase()))
    return { value: Infinity, resolution: 0 };
  if (field.choices) {
    const chosen = field.choices.find(({ value }) => String(value) === text);
    return chosen ? { value: chosen.value, resolution: 0 } : refuse('choice-unknown', { text }, field.name);
  }
  const parsed = parseQuantity(text, field.unit);
  return parsed.ok ? parsed.quantity : refuse('quantity-unreadable', { problem: parsed.problem }, field.name);
}

/** Ohms between pins of a transformer, one reading a line. */
function ohmTable(text: string): Record<string, Measured> {
  const { readings, problems } = parseOhms(text);
  const [problem] = problems;
  if (problem) return refuse('ohms-unreadable', { line: problem.line, why: problem.message }, 'ohms');
  return Object.fromEntries(readings.map(({ a, b, ohms }) => [ohmsField(a, b), { value: ohms, resolution: 0.1 }]));
}
