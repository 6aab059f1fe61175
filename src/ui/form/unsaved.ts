/** Forms that hold what nobody kept yet. */
const unsaved = new Set<string>();
const LEAVING = 'zorvek:leaving';

/** Says whether a form holds what nobody kept yet. */
export function markUnsaved(formId: string, is: boolean): void {
  if (is) unsaved.add(formId);
  else unsaved.delete(formId);
}

export const hasUnsaved = (): boolean => unsaved.size > 0;

/** Goes on, or asks first when something would be lost. */
export function leave(go: () => void): void {
  if (!hasUnsaved()) go();
  else document.dispatchEvent(new CustomEvent<() => void>(LEAVING, { detail: go }));
}

/** Calls back with how to go on whenever something would be lost; returns how to stop. */
export function onLeaving(ask: (go: () => void) => void): () => void {
  const hear = (event: Event) => ask((event as CustomEvent<() => void>).detail);
  document.addEventListener(LEAVING, hear);
  return () => document.removeEventListener(LEAVING, hear);
}
