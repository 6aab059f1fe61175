import 'server-only';
import { appContext } from '../../db/appContext';
import { shopMark } from '../../db/repositories/journal';
import { meterName } from './commands';
import { metersView, settingsView, wordsView } from './view.server';
import { readAt } from '../../ui/frame/readAt';

// What the pages ask of this area, on the context of this server.

/** The settings, the shop's meters and its words. */
export async function loadSettings() {
  readAt();
  const app = appContext();
  const [settings, meters, words] = await Promise.all([settingsView(app), metersView(app), wordsView(app)]);
  return { settings, meters, words };
}

/** What the meter is called on a page; empty for none. */
export function loadMeterLabel(): Promise<string> {
  return meterName(appContext());
}

/** A mark that is another one whenever something in the shop was changed, for pages that follow what others do. */
export const loadMark = (): Promise<string> => shopMark(appContext().db.read);
