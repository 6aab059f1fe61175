import 'server-only';
import { appContext } from '../../db/appContext';
import { designQuery, type DesignQuery } from './design.server';
import { designSheet } from './designSheet.server';
import { buildLines, buildView } from './view.server';
import { wholeSheet } from './whole.server';

// What the pages ask of this area, on the context of this server.

export const loadBuilds = (limit: number) => buildLines(appContext(), limit);

export const loadBuild = (code: string) => buildView(appContext(), code);

/** Whole supplies for what an address asks for. */
export const loadWhole = (typed: unknown) => wholeSheet(appContext(), typed);

/** What an address asks a design for; nothing that cannot be read is taken as typed. */
export const designQueryOf = (typed: unknown) => designQuery.safeParse(typed).data ?? designQuery.parse({});

/** Designs of what is asked. */
export const loadDesigns = (query: DesignQuery) => designSheet(appContext(), query);
