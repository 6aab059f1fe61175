import 'server-only';
import { appContext } from '../../db/appContext';
import { glanceView } from './glance.server';
import { benchView } from './view.server';

/** Everything the bench shows, on the context of this server. */
export const loadBench = () => benchView(appContext());

/** What a month brought, what the drawers lack, what lies dead. */
export const loadGlance = (typed: unknown) => glanceView(appContext(), typed);
