import 'server-only';
import { appContext } from '../../db/appContext';
import { donorLines } from '../../services/dossier';
import { archivedLines } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadDonors = (of: { query: string; page: number; size: number }) => donorLines(appContext(), of);

export const loadArchive = () => archivedLines(appContext());
