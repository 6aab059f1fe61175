import { gateOf, type Failing, type Step } from '../../../core/bringup';
import type { Donor } from '../../../core/donor';
import type { AppContext } from '../../../db/context';
import type { Edit } from '../../../db/repositories/journal';
import { listRepairFacts } from '../../../db/repositories/repairFacts';
import { addReading, findStore } from '../../../db/repositories/stores';
import { openDossier } from '../../../services/dossier';
import { refuse, run, type Outcome } from '../../../services/command';
import { gateWords, readingAt } from './present';
import { powerUpOf, type PowerUp } from '../../../services/board';

/** The step of a run that says it begins anew. */
const BEGIN = 'begin';

/** The step in hand is as it should be. */
export function passStep(
  app: AppContext,
  code: string,
  of: { readonly step: string; readonly text: string },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    const { step, standing, now } = await inHand(edit, donor, of.step);
    const gate = gateOf(step, now);
    if (gate !== 'go') return refuse('power-up-first', { first: gateWords(gate, step.power) });
    if (step.asked) {
      const reading = readingAt(step, of.text);
      if (reading.kind === 'none') return refuse('power-up-first', { first: 'Type what it reads' });
      if (reading.kind === 'problem') return refuse('power-up-first', { first: reading.text });
      if (reading.verdict.verdict === 'stop') return refuse('power-up-outside', { says: reading.verdict.says });
      await keepReading(edit, step, reading);
      // It is recorded, and the step stays in hand.
      if (reading.verdict.verdict === 'again') return `${step.store ?? ''} ${of.text.trim()}: ${reading.verdict.says}`;
    }
    await edit.insert('powerUpMarks', {
      donorId: donor.id,
      run: standing.run,
      step: step.id,
      text: of.text.trim(),
      outcome: 'pass',
      createdMs: app.now(),
    });
    return `${step.title}: ${of.text.trim() === '' ? 'as it should be' : of.text.trim()}.`;
  });
}

/**
 * The power-up ends here. What was seen or read goes to Diagnose, with the complaint that it makes. Only a person says that the unit
 * is off.
 */
export function stopPowerUp(
  app: AppContext,
  code: string,
  of: { readonly step: string; readonly text: string; readonly when: string; readonly isOff: boolean },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    const { step, standing, now } = await inHand(edit, donor, of.step);
    const at = app.now();
    const reading = readingAt(step, of.text);
    if (reading.kind === 'read') await keepReading(edit, step, reading);
    if (now.isPowered && of.isOff) await edit.insert('powerEvents', { donorId: donor.id, applied: false, atMs: at });
    const failing =
      step.failings.find(({ when }) => when === of.when) ??
      (reading.kind === 'read' ? reading.verdict.failing : undefined);
    const text = [of.text.trim(), failing?.when ?? of.when].filter((word) => word !== '').join(', ') || 'by hand';
    await edit.insert('powerUpMarks', {
      donorId: donor.id,
      run: standing.run,
      step: step.id,
      text,
      outcome: 'stop',
      createdMs: at,
    });
    if (failing) await tellDiagnose(edit, donor, { step, failing, text: of.text.trim() });
    return `Stopped at “${step.title}”: ${text}. The readings are kept.`;
  });
}

/** Begins anew, from the first step; what was recorded before stays. */
export function beginAgain(app: AppContext, code: string): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    const { standing } = await powerUpOf(openDossier(edit.tx, donor, app.now()));
    await edit.insert('powerUpMarks', {
      donorId: donor.id,
      run: standing.run + 1,
      step: BEGIN,
      outcome: 'pass',
      createdMs: app.now(),
    });
    return 'The power-up begins anew, from the first step.';
  });
}

async function inHand(edit: Edit, donor: Donor, id: string): Promise<PowerUp & { readonly step: Step }> {
  const powerUp = await powerUpOf(openDossier(edit.tx, donor, edit.app.now()));
  const step = powerUp.standing.current;
  if (step?.id !== id) return refuse('power-up-moved', {});
  return { ...powerUp, step };
}

/** A store that was read counts at Make safe as well. */
async function keepReading(
  edit: Edit,
  step: Step,
  { value, resolution }: { readonly value: number; readonly resolution: number },
): Promise<void> {
  const store = step.store === undefined ? undefined : await findStore(edit.tx, edit.donorId, step.store);
  if (store) await addReading(edit, store, { voltage: value, resolution });
}

/** What Diagnose is told of a stop: the complaint, unless one was named, and what was seen or read. */
async function tellDiagnose(
  edit: Edit,
  donor: Donor,
  { step, failing, text }: { step: Step; failing: Failing; text: string },
): Promise<void> {
  const common = { donorId: donor.id, createdMs: edit.app.now() };
  const known = (await listRepairFacts(edit.tx, donor.id)).findLast(({ kind }) => kind === 'complaint');
  if (failing.symptom && known?.text !== failing.symptom)
    await edit.insert('repairFacts', { ...common, kind: 'complaint', text: failing.symptom });
  if (step.rail !== undefined && text !== '')
    await edit.insert('repairFacts', {
      ...common,
      kind: 'check',
      ref: `rail ${step.rail}`,
      test: 'voltage-dc',
      text,
    });
  else
    await edit.insert('repairFacts', {
      ...common,
      kind: 'seen',
      text: `first power-up, ${step.title.toLowerCase()}: ${[text, failing.when].filter((word) => word !== '').join(', ')}`,
    });
}
