import 'server-only';
import { appContext } from '../../db/appContext';
import { designSheet } from './designSheet.server';
import { buildLines, buildView } from './view.server';
import { wholeSheet } from './whole.server';

// What the pages ask of this area, on the context of this server.

export const loadBuilds = (limit: number) => buildLines(appContext(), limit);

export const loadBuild = (code: string) => buildView(appContext(), code);

/** Whole supplies for what an address asks for. */
export const loadWhole = (typed: unknown) => wholeSheet(appContext(), typed);

/** Designs of what an address asks for; nothing that cannot be read is taken as typed. */
export const loadDesigns = (typed: unknown) => designSheet(appContext(), typed);
