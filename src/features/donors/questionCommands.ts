import { kindRule } from '../../core/part';
import type { AppContext } from '../../db/context';
import { moveNote, noteById } from '../../db/repositories/notes';
import { listParts } from '../../db/repositories/parts';
import { isNumbered, rememberType, typeById } from '../../db/repositories/types';
import { refuse, run, type Outcome } from '../../services/command';

/** Settles a question or a claim with its answer; what it tells of a number is kept with the type. */
export function answerQuestion(
  app: AppContext,
  of: { code: string; noteId: string },
  { answer, keep }: { answer: string; keep?: 'on' | undefined },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'record' }, async (edit, donor) => {
    const note = await noteById(edit.tx, donor.id, of.noteId);
    if (!note) return refuse('note-gone', {});
    await moveNote(edit, note, { status: 'settled', because: answer });
    if (keep === undefined) return `Answered: ${answer}`;
    const part = (await listParts(edit.tx, donor.id)).find((one) => one.part.ref === note.ref)?.part;
    if (!part?.marking || !isNumbered(part.kind)) return refuse('no-number', { ref: note.ref || 'the unit' });
    const typeId = part.typeId ?? (await rememberType(edit, { kind: part.kind, name: part.marking, ratings: [] }));
    const known = await typeById(edit.tx, typeId);
    const said = `${note.text}: ${answer}`;
    await edit.update('types', typeId, {
      note: [known?.type.note ?? '', said].filter((text) => text !== '').join('\n'),
    });
    return `Answered, and kept with the ${kindRule(part.kind).label} ${known?.type.name ?? part.marking}: ${answer}`;
  });
}
