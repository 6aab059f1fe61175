import 'server-only';
import { appContext } from '../../db/appContext';
import { exportTypes } from '../../services/exchange';
import { typeRows, typesView, typeView, type TypesQuestion } from './view.server';
import { readAt } from '../../ui/frame/readAt';

// What the pages ask of this area, on the context of this server.

export const loadTypes = (question: TypesQuestion) => typesView(appContext(), question);

export const loadTypeRows = (question: TypesQuestion, page: number) => typeRows(appContext(), question, page);

export function loadType(id: string) {
  readAt();
  return typeView(appContext(), id);
}

export const loadTypesFile = (format: 'csv' | 'json') => exportTypes(appContext().db.read, format);
