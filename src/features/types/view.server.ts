import 'server-only';
import { SOURCE_MEANING } from '../../core/evidence';
import { isKindName, KIND_NAMES, kindRule, RATINGS, type RatingName } from '../../core/part';
import { formatQuantity } from '../../core/quantity';
import { noPause } from '../../core/steps';
import { typeTable } from '../../core/typebook';
import { appContext, databaseUrl } from '../../db/context';
import {
  allTypes,
  datasheetByHash,
  datasheetsOf,
  listTypes,
  typeById,
  typeHistory,
  usesOfType,
  type TypeRecord,
} from '../../db/repositories/types';
import { datasheetFile, datasheetsFolder } from '../../server/files';
import type { FormOutcome } from '../../ui/form/outcome';
import type { TableColumn, TableRow } from '../../ui/table/tableTypes';
import { typesAsCsv } from './readFile';
import { applyImport, entryOf, previewImport } from './importTypes';
import { attachDatasheet } from './commands';

const PAGE_SIZE = 60;

const COLUMNS: readonly TableColumn[] = [
  { id: 'name', label: 'number' },
  { id: 'kind', label: 'kind' },
  { id: 'ratings', label: 'ratings' },
  { id: 'package', label: 'case' },
  { id: 'aliases', label: 'also marked' },
  { id: 'evidence', label: 'evidence' },
  { id: 'note', label: 'note', hidden: true },
];

/** A page of what the shop knows. */
export async function typesView(of: { query: string; kind: string; page: number }) {
  const kind = isKindName(of.kind) ? of.kind : undefined;
  const { rows, total } = await listTypes(appContext().db.read, {
    query: of.query,
    kind,
    page: of.page,
    size: PAGE_SIZE,
  });
  return {
    query: of.query,
    kind: kind ?? '',
    columns: COLUMNS,
    rows: rows.map(row),
    total,
    page: of.page,
    pages: Math.max(1, Math.ceil(total / PAGE_SIZE)),
    kinds: KIND_NAMES.map((name) => ({ value: name, label: kindRule(name).label })),
  };
}
export type TypesView = Awaited<ReturnType<typeof typesView>>;

function row({ type, ratings, aliases }: TypeRecord): TableRow {
  const shown = kindRule(type.kind).ratings.filter((name) => ratings[name]);
  const sources = [...new Set(shown.map((name) => ratings[name]?.source))];
  return {
    id: type.id,
    href: `/types/${type.id}`,
    cells: {
      name: { text: type.name, as: 'value' },
      kind: { text: kindRule(type.kind).label + (type.technology ? `, ${type.technology}` : '') },
      ratings: { text: shown.map((name) => show(name, ratings[name]?.value ?? 0)).join('  '), as: 'value' },
      package: { text: type.package ?? '' },
      aliases: { text: aliases.map(({ name }) => name).join(', '), as: 'mono' },
      evidence: { text: sources.join(', '), as: 'quiet' },
      note: { text: type.note },
    },
  };
}

const show = (name: RatingName, value: number) => formatQuantity(value, RATINGS[name].unit);
const dayOf = (ms: number) =>
  new Date(ms).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** One type with its ratings, its history, its datasheets, and where it is. */
export async function typeView(id: string) {
  const { db } = appContext();
  const record = await typeById(db.read, id);
  if (!record) return undefined;
  const [past, sheets, uses] = await Promise.all([
    typeHistory(db.read, id),
    datasheetsOf(db.read, id),
    usesOfType(db.read, id, 12),
  ]);
  const { type, ratings, aliases } = record;
  const sheet = sheets[0];
  const pageHref = (page: number | null) => (sheet && page !== null ? `/datasheets/${sheet.hash}#page=${page}` : null);
  return {
    id,
    kind: type.kind,
    kindLabel: kindRule(type.kind).label,
    name: type.name,
    technology: type.technology ?? '',
    package: type.package ?? '',
    note: type.note,
    kinds: KIND_NAMES.map((name) => ({ value: name, label: kindRule(name).label })),
    ratingChoices: kindRule(type.kind).ratings.map((name) => ({ value: name, label: RATINGS[name].label })),
    ratings: kindRule(type.kind).ratings.flatMap((name) => {
      const rating = ratings[name];
      return rating
        ? [
            {
              name,
              label: RATINGS[name].label,
              value: show(name, rating.value),
              source: rating.source,
              meaning: `${SOURCE_MEANING[rating.source]}${rating.rule ? ` (${rating.rule})` : ''}`,
              page: rating.page,
              pageHref: pageHref(rating.page),
            },
          ]
        : [];
    }),
    history: past.filter(({ superseded }) => superseded).map(({ name, value, source, recordedMs }) => ({
      label: RATINGS[name].label,
      value: show(name, value),
      source,
      when: dayOf(recordedMs),
    })),
    aliases,
    datasheets: sheets.map(({ id: sheetId, hash, fileName, bytes }) => ({
      id: sheetId,
      href: `/datasheets/${hash}`,
      name: fileName,
      size: `${Math.max(1, Math.round(bytes / 1024))} kB`,
    })),
    onDonors: uses.onDonors.map(({ code, description, ref, state }) => ({
      href: `/donors/${code}/identify?part=${ref}`,
      code,
      message: `${ref} of ${description}${state === 'harvested' ? ', taken out' : ''}`,
    })),
    inStock: uses.inStock.map(({ code, onHand }) => ({ href: `/stock/${code}`, code, message: `${onHand} on hand` })),
  };
}
export type TypeView = NonNullable<Awaited<ReturnType<typeof typeView>>>;

/** Every type as a file: CSV for spreadsheets, or JSON. */
export async function typesFileOf(format: 'csv' | 'json'): Promise<string> {
  const entries = (await allTypes(appContext().db.read)).map(entryOf);
  return format === 'csv'
    ? typesAsCsv(typeTable(entries))
    : `${JSON.stringify({ format: 'zorvek.types/1', types: entries }, null, 1)}\n`;
}

/** Rows of a preview that a page can hold. */
const SHOWN_ROWS = 200;

/** What a file would do, for showing before anything is written. */
export async function importPreview(text: string, pause = noPause) {
  const { planned, refused } = await previewImport(appContext(), text, pause);
  const count = (action: string) => planned.filter((one) => one.action === action).length;
  const told = planned.filter(({ action, message }) => action !== 'same' || message.length > 0);
  return {
    added: count('add'),
    changed: count('change'),
    same: count('same'),
    refusedCount: refused.length,
    refused: refused.slice(0, SHOWN_ROWS),
    rows: told.slice(0, SHOWN_ROWS).map(({ line, entry, action, message }) => ({
      line,
      what: `${kindRule(entry.kind).label} ${entry.name}`,
      action,
      message: message.join('; '),
    })),
    more: Math.max(0, told.length - SHOWN_ROWS),
  };
}
export type ImportPreview = Awaited<ReturnType<typeof importPreview>>;

/** Takes a file of types in. */
export function importTypes(text: string, pause = noPause): Promise<FormOutcome> {
  return applyImport(appContext(), text, pause);
}

/** Takes an uploaded datasheet in. */
export function receiveDatasheet(of: { id: string; name: string; bytes: Uint8Array }): Promise<FormOutcome> {
  return attachDatasheet(appContext(), datasheetsFolder(databaseUrl()), of);
}

/** Where a known datasheet lies, and what it was called. */
export async function datasheetOnDisk(hash: string): Promise<{ path: string; name: string } | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash)) return undefined;
  const known = await datasheetByHash(appContext().db.read, hash);
  return known && { path: datasheetFile(datasheetsFolder(databaseUrl()), hash), name: known.fileName };
}
