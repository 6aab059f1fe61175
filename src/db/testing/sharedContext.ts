import type { AppContext } from '../context';

/** Makes a bench the one that views and actions reach for, as the server's would be. */
export function shareContext(app: AppContext): void {
  (globalThis as { zorvekContext?: AppContext }).zorvekContext = app;
}
