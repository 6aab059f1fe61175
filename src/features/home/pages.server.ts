import 'server-only';
import { appContext } from '../../db/appContext';
import { benchView } from './view.server';

/** Everything the bench shows, on the context of this server. */
export const loadBench = () => benchView(appContext());
