/** A line that is put into the line at the foot of the screen, for a person to change and enter. */
const EVENT = 'zorvek:line';

/** Puts a line into the line at the foot of the screen, if there is one. */
export function typeLine(text: string): void {
  document.dispatchEvent(new CustomEvent<string>(EVENT, { detail: text }));
}

/** Calls back with every line that is put there; returns how to stop. */
export function onTypedLine(take: (text: string) => void): () => void {
  const hear = (event: Event) => take((event as CustomEvent<string>).detail);
  document.addEventListener(EVENT, hear);
  return () => document.removeEventListener(EVENT, hear);
}
