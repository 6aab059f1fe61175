import { splitPin } from '../../../core/board';
import { beepsThrough } from '../../../core/donor';
import { knownPart } from '../shared/knownPart';
import { traceRecords } from './records';
import type { TracedEntry } from './schema';
import type { AppContext } from '../../../db/context';
import { addBoardFact, findBoardFact, listBoardFacts } from '../../../db/repositories/boardFacts';
import { refuse, run, type Outcome } from '../../../services/command';

/** Deletes one thing the meter was said to have told; it can be undone. */
export function removeFact(app: AppContext, of: { code: string; factId: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'trace' }, async (edit, donor) => {
    const fact = await findBoardFact(edit.tx, donor.id, of.factId);
    if (!fact) return refuse('row-gone', {});
    await edit.remove('boardFacts', fact.id);
    if (fact.relation === 'unsure') return `${fact.a} and ${fact.b} may be asked for again.`;
    if (fact.relation === 'fixed') return `${fact.a} is read by the evidence again.`;
    return `Deleted: ${fact.b === '' ? `${fact.a} and nothing else` : `${fact.a} and ${fact.b}, ${fact.relation}`}.`;
  });
}

/** Writes down what a click, a key or the meter says of two pins, or what a person takes a part for. */
export function recordTraced(app: AppContext, code: string, entry: TracedEntry): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'trace' }, async (edit) => {
    if (entry.kind === 'fix') return `${await traceRecords.fix.write(edit, entry)}.`;
    if (entry.kind === 'sweep') {
      await knownPart(edit, splitPin(entry.pin)[0]);
      return `${await traceRecords.sweep.write(edit, entry)}.`;
    }
    if (entry.kind === 'touched') {
      const { hold, beeps, silent, open } = entry;
      const kinds = new Map<string, string>();
      for (const pin of [hold, ...beeps, ...silent, ...open]) {
        const part = await knownPart(edit, splitPin(pin)[0]);
        kinds.set(part.ref, part.kind);
      }
      const ends = beepsThrough([hold, ...beeps], kinds, await listBoardFacts(edit.tx, edit.donorId));
      if (ends) return refuse('beeps-through', { a: ends[0], b: ends[1] });
      for (const b of beeps) await addBoardFact(edit, { relation: 'joined', a: hold, b });
      for (const b of silent) await addBoardFact(edit, { relation: 'separate', a: hold, b });
      for (const b of open) await addBoardFact(edit, { relation: 'unsure', a: hold, b });
      return sayTouched(entry);
    }
    for (const pin of entry.pins) await knownPart(edit, splitPin(pin)[0]);
    const [one = '', other = ''] = entry.pins.map((pin) => splitPin(pin)[0]);
    if (entry.kind === 'join' && entry.relation === 'joined' && one === other)
      if ((await knownPart(edit, one)).kind === 'fuse') return refuse('fuse-ends', { ref: one });
    if (entry.kind === 'unsure') {
      const [a, b] = entry.pins;
      await addBoardFact(edit, { relation: 'unsure', a, b });
      return `${a} and ${b} are left open, and not asked for again.`;
    }
    const { ohms, drop, ...join } = entry;
    return `${await traceRecords.join.write(edit, {
      ...join,
      ...(ohms === undefined ? {} : { ohms }),
      ...(drop === undefined ? {} : { drop }),
    })}.`;
  });
}

function sayTouched({ hold, beeps, silent, open }: Extract<TracedEntry, { kind: 'touched' }>): string {
  const said = [
    beeps.length > 0 ? `beeps with ${beeps.join(', ')}` : '',
    silent.length > 0 ? `does not beep with ${silent.join(', ')}` : '',
    open.length > 0 ? `is left open with ${open.join(', ')}` : '',
  ].filter((text) => text !== '');
  return `${hold} ${said.join('; ')}.`;
}
