import 'server-only';
import { appContext } from '../../db/appContext';
import { compareView } from './compare.server';
import { questionsView } from './questions.server';
import { readLabels, trendsView } from './trends.server';
import { archivedLines, donorsView, moreDonors } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadDonors = (find: string, order: string) => donorsView(appContext(), find, order);

export const loadDonorRows = (find: string, page: number, order: string) => moreDonors(appContext(), find, page, order);

export const loadArchive = () => archivedLines(appContext());

/** Donors side by side, as an address names them. */
export const loadComparison = (typed: unknown) => compareView(appContext(), typed);

/** What the donors come to over the years; of one kind, where the text names one. */
export const loadTrends = (by: string) => trendsView(appContext(), by);

/** What is asked and claimed over all donors. */
export const loadQuestions = () => questionsView(appContext());

/** Reads every label beforehand, as the server starts. */
export const readAllLabels = () => readLabels(appContext());
