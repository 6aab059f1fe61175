import 'server-only';
import { appContext } from '../../db/appContext';
import { exportTypes } from '../../services/exchange';
import { typesView, typeView } from './view.server';

// What the pages ask of this area, on the context of this server.

export const loadTypes = (of: { query: string; kind: string; page: number }) => typesView(appContext(), of);

export const loadType = (id: string) => typeView(appContext(), id);

export const loadTypesFile = (format: 'csv' | 'json') => exportTypes(appContext().db.read, format);
