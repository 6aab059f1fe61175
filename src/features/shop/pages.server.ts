import 'server-only';
import { appContext } from '../../db/appContext';
import { meterName } from './commands';
import { metersView, settingsView } from './view.server';

// What the pages ask of this area, on the context of this server.

/** The settings, and the shop's meters. */
export async function loadSettings() {
  const app = appContext();
  const [settings, meters] = await Promise.all([settingsView(app), metersView(app)]);
  return { settings, meters };
}

/** What the meter is called on a page; empty for none. */
export function loadMeterLabel(): Promise<string> {
  return meterName(appContext());
}
