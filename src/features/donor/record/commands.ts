import { closingChecks, OUTCOMES } from '../../../core/donor';
import type { AppContext } from '../../../db/context';
import { addNote } from '../../../db/repositories/notes';
import { refuse, run, type Outcome } from '../../../services/command';
import { openDossier } from '../../../services/dossier';
import { closingFacts } from './closingFacts';
import type { AskForm, ClosingForm } from './schema';

/** Ends the work on a unit; what speaks against it is confirmed by hand. */
export function closeDonor(app: AppContext, code: string, { outcome, note, anyway }: ClosingForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    const facts = await closingFacts(openDossier(edit.tx, donor, app.now()));
    const stops = closingChecks(outcome, facts).filter(({ level }) => level === 'stop');
    if (stops.length > 0 && anyway === undefined)
      return refuse('closing-stopped', { why: stops.map(({ message }) => message).join(' ') });
    await edit.update('donors', donor.id, { outcome, outcomeNote: note, closedMs: app.now() });
    return `Closed: ${OUTCOMES[outcome].label}${note === '' ? '' : `, ${note}`}.${stops.length > 0 ? ` All the same: ${stops.map(({ message }) => message).join(' ')}` : ''}`;
  });
}

/** Takes a unit up again. */
export function reopenDonor(app: AppContext, code: string): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit, donor) => {
    await edit.update('donors', donor.id, { outcome: '', outcomeNote: '', closedMs: null });
    return 'It is in work again.';
  });
}

/** Writes down what the next unit of its kind should be told. */
export function tellNext(app: AppContext, code: string, { text }: { text: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit) => {
    await addNote(edit, { text, question: false, claim: false, station: 'record', tellNext: true });
    return `For the next one: ${text}`;
  });
}

/** Writes a question down, with whom it was put to and by when an answer is expected. */
export function askQuestion(app: AppContext, code: string, { text, ref, askedOf, due }: AskForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'record' }, async (edit) => {
    await addNote(edit, {
      text,
      ref: ref.toUpperCase(),
      question: true,
      claim: false,
      station: 'record',
      askedOf,
      dueMs: due,
    });
    return `Asked${askedOf === '' ? '' : ` of ${askedOf}`}: ${text}`;
  });
}
