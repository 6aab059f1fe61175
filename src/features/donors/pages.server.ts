import 'server-only';
import { appContext } from '../../db/appContext';
import { archivedLines, donorsView, moreDonors } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadDonors = (find: string, order: string) => donorsView(appContext(), find, order);

export const loadDonorRows = (find: string, page: number, order: string) => moreDonors(appContext(), find, page, order);

export const loadArchive = () => archivedLines(appContext());
