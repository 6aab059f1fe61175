import 'server-only';
import { appContext } from '../../db/appContext';
import { exportTypes } from '../../services/exchange';
import { typeRows, typesView, typeView, type TypesQuestion } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadTypes = (question: TypesQuestion) => typesView(appContext(), question);

export const loadTypeRows = (question: TypesQuestion, page: number) => typeRows(appContext(), question, page);

export const loadType = (id: string) => typeView(appContext(), id);

export const loadTypesFile = (format: 'csv' | 'json') => exportTypes(appContext().db.read, format);
