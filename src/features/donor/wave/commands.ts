import type { Measured } from '../../../core/measure';
import { kindRule } from '../../../core/part';
import type { Recording } from '../../../core/waveform';
import { addMeasurement } from '../../../db/repositories/parts';
import type { AppContext } from '../../../db/context';
import { refuse, run, type Outcome } from '../../../services/command';
import { knownPart } from '../shared/knownPart';

/** Keeps what was worked out of a recording as a measurement of a part, out of circuit; and what was in view of it. */
export function keepFinding(
  app: AppContext,
  of: { code: string; ref: string },
  values: Readonly<Record<string, Measured>>,
  seen?: Pick<Recording, 'title' | 'channels'>,
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'test' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    const { test, label } = kindRule(part.kind);
    if (!test) return refuse('no-test', { kind: label });
    await addMeasurement(edit, part.id, { test, values, inCircuit: false });
    if (seen) await edit.insert('recordings', { partId: part.id, ...seen, takenMs: app.now() });
    return `${part.ref} was measured by a recording: ${Object.keys(values).join(', ')}.`;
  });
}
