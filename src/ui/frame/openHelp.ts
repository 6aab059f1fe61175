/** The help of the present screen is asked for. */
const EVENT = 'zorvek:help';

/** Opens the help of the present screen. */
export function openHelp(): void {
  document.dispatchEvent(new Event(EVENT));
}

/** Calls back whenever help is asked for; returns how to stop. */
export function onHelpAsked(show: () => void): () => void {
  document.addEventListener(EVENT, show);
  return () => document.removeEventListener(EVENT, show);
}
