import { NO_SUCH_PART, SYMPTOMS, type CheckTest, type Symptom } from '../../../core/diagnose';
import type { AppContext } from '../../../db/context';
import { repairFactById } from '../../../db/repositories/repairFacts';
import { refuse, run, type Outcome } from '../../../services/command';

const upper = (ref: string) => ref.trim().toUpperCase();

/** What is wrong with the unit, in one of the words that causes are known by. */
export function nameComplaint(app: AppContext, code: string, of: { readonly symptom: Symptom }): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    await edit.insert('repairFacts', { donorId: donor.id, kind: 'complaint', text: of.symptom, createdMs: app.now() });
    return `Complaint: ${SYMPTOMS[of.symptom]}.`;
  });
}

/** What was seen, smelt, heard, or is known of its past. */
export function tellSeen(
  app: AppContext,
  code: string,
  of: { readonly ref: string; readonly text: string },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    const ref = upper(of.ref);
    await edit.insert('repairFacts', { donorId: donor.id, kind: 'seen', ref, text: of.text, createdMs: app.now() });
    return `Seen${ref === '' ? '' : ` at ${ref}`}: ${of.text}.`;
  });
}

/** The answer to a check: by a key, or as a reading. */
export function answerCheck(
  app: AppContext,
  code: string,
  of: {
    readonly ref: string;
    readonly test: CheckTest;
    readonly outcome: 'good' | 'bad' | 'unclear' | '';
    readonly text: string;
  },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    const ref = upper(of.ref);
    await edit.insert('repairFacts', {
      donorId: donor.id,
      kind: 'check',
      ref,
      test: of.test,
      text: of.text,
      outcome: of.outcome,
      createdMs: app.now(),
    });
    return `${ref}, ${of.test}: ${of.outcome === '' || of.text === NO_SUCH_PART ? of.text : of.outcome}.`;
  });
}

/** Takes back what was told. */
export function dropRepairFact(app: AppContext, of: { readonly code: string; readonly id: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'record' }, async (edit, donor) => {
    const row = (await repairFactById(edit.tx, donor.id, of.id)) ?? refuse('row-gone', {});
    await edit.remove('repairFacts', row.id);
    return `“${row.text}” does not count any more.`;
  });
}
