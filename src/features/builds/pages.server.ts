import 'server-only';
import { appContext } from '../../db/appContext';
import { buildLines, buildView } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadBuilds = (limit: number) => buildLines(appContext(), limit);

export const loadBuild = (code: string) => buildView(appContext(), code);
