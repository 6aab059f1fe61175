import Papa from 'papaparse';
import { typeTable } from '../../core/typebook';
import type { Queryable } from '../../db/client';
import { allTypes } from '../../db/repositories/types';
import { typeEntry } from './importTypes';

/** Every type as a file: CSV for spreadsheets, in which no cell begins a formula, or JSON. */
export async function exportTypes(db: Queryable, format: 'csv' | 'json'): Promise<string> {
  const types = (await allTypes(db)).map(typeEntry);
  return format === 'csv'
    ? `${Papa.unparse(typeTable(types) as string[][], { newline: '\r\n' })}\r\n`
    : `${JSON.stringify({ format: 'zorvek.types/1', types }, null, 1)}\n`;
}
