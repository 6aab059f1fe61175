import type { Measured } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import { addMeasurement } from '../../../db/repositories/parts';
import type { AppContext } from '../../../db/context';
import { refuse, run, type Outcome } from '../../../services/command';
import { knownPart } from '../shared/knownPart';

/** Keeps what was worked out of a recording as a measurement of a part, out of circuit. */
export function keepFinding(
  app: AppContext,
  of: { code: string; ref: string },
  values: Readonly<Record<string, Measured>>,
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'test' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    const { test, label } = kindRule(part.kind);
    if (!test) return refuse('no-test', { kind: label });
    await addMeasurement(edit, part.id, { test, values, inCircuit: false });
    return `${part.ref} was measured by a recording: ${Object.keys(values).join(', ')}.`;
  });
}
