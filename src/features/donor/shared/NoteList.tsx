import type { NoteView } from './notes.server';

/** Notes and questions in order. */
export function NoteList({ notes, withStation = false }: { notes: readonly NoteView[]; withStation?: boolean }) {
  return (
    <ul aria-label="Notes" className="dotted max-w-[760px] text-[13.5px]">
      {notes.map((note) => (
        <li key={note.id} className="grid grid-cols-[104px_1fr] items-baseline gap-x-3 py-2">
          <span className="font-mono text-[12px] text-ink-2">{note.when}</span>
          <span>
            {note.sign && <b className={`font-semibold ${note.open ? 'text-ochre' : 'text-ink-2'}`}>{note.sign}: </b>}
            {note.ref && <span className="ref">{note.ref}</span>}{' '}
            <span className="whitespace-pre-wrap">{note.text}</span>
            {withStation && <span className="text-[12px] text-ink-3"> {note.station}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}
