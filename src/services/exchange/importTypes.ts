import { counted } from '../../core/quantity';
import { kindRule, type KindName, type RatingName } from '../../core/part';
import { noPause } from '../../core/steps';
import { planImport, type ImportPlan, type KnownTypes, type TypeEntry } from '../../core/typebook';
import type { AppContext } from '../../db/context';
import type { Edit } from '../../db/repositories/journal';
import { allTypes, recordTypeRatings, typeById, type TypeRecord } from '../../db/repositories/types';
import { routes } from '../../routes';
import { ON_TYPES, refusal, refused, run, type Outcome } from '../command';
import type { SheetColumn } from '../../core/stock';
import { readTypesFile, type ReadTypes } from './readTypesFile';
import { lotRoles, remembered, type SaidOfColumns } from './remembered';
import { headingsOf, isJson } from './rowsOf';

/** A type as it stands in a file. */
export function typeEntry({ type, ratings, aliases }: TypeRecord): TypeEntry {
  return {
    kind: type.kind,
    name: type.name,
    aliases: aliases.map(({ name }) => name),
    technology: type.technology ?? '',
    package: type.package ?? '',
    note: type.note,
    ratings: Object.fromEntries(
      Object.entries(ratings).map(([name, { value, source, page }]) => [
        name,
        { value, source, ...(page === null ? {} : { page }) },
      ]),
    ),
  };
}

async function knownTypes(
  app: AppContext,
): Promise<KnownTypes & { idOf(kind: KindName, name: string): string | undefined }> {
  const all = await allTypes(app.db.read);
  const key = (kind: KindName, name: string) => `${kind} ${name}`;
  const byName = new Map(all.map((record) => [key(record.type.kind, record.type.name), record]));
  const owners = new Map(
    all.flatMap(({ type, aliases }) => aliases.map(({ name }) => [key(type.kind, name), type.name] as const)),
  );
  return {
    find(kind, name) {
      const record = byName.get(key(kind, name));
      return record && typeEntry(record);
    },
    ownerOf: (kind, alias) => owners.get(key(kind, alias)),
    idOf: (kind, name) => byName.get(key(kind, name))?.type.id,
  };
}

/** What a file of types would do. Nothing is written. */
export async function planTypes(
  app: AppContext,
  text: string,
  pause = noPause,
  said: SaidOfColumns = {},
): Promise<ImportPlan & { readonly columns: readonly SheetColumn[] }> {
  await pause(0);
  const file = await readFileOf(app, text, said);
  return { ...planImport(file, await knownTypes(app)), columns: file.columns ?? [] };
}

async function readFileOf(app: AppContext, text: string, said: SaidOfColumns): Promise<ReadTypes> {
  const roles = isJson(text) ? [] : lotRoles(await remembered(app, 'types', headingsOf(text), said));
  return readTypesFile(text, roles);
}

/** Takes a file of types in: what can be used is written in one step that can be undone, the rest is refused. */
export async function importTypes(
  app: AppContext,
  text: string,
  pause = noPause,
  said: SaidOfColumns = {},
): Promise<Outcome> {
  const known = await knownTypes(app);
  const { planned, refused: left } = planImport(await readFileOf(app, text, said), known);
  await pause(0.3);
  const fresh = planned.filter(({ action }) => action === 'add');
  const changed = planned.filter(({ action }) => action === 'change');
  if (fresh.length + changed.length === 0) return refused(refusal('list-changes-nothing', {}));
  return run(app, ON_TYPES, async (open) => {
    await writeFresh(
      open,
      fresh.map(({ entry }) => entry),
    );
    for (const { entry } of changed) {
      const id = known.idOf(entry.kind, entry.name);
      if (id !== undefined) await writeChanges(open, id, entry);
    }
    return {
      message: `${counted(fresh.length, 'type')} added, ${changed.length} changed, ${counted(left.length, 'line')} refused.`,
      value: undefined,
      goto: routes.types(),
    };
  });
}

async function writeFresh(open: Edit, entries: readonly TypeEntry[]): Promise<void> {
  const { app } = open;
  const now = app.now();
  const rows = entries.map((entry) => ({ entry, id: app.newKey() }));
  await open.insertMany(
    'types',
    rows.map(({ entry, id }) => ({
      id,
      kind: entry.kind,
      name: entry.name,
      technology: entry.technology || null,
      package: entry.package || null,
      note: entry.note,
      createdMs: now,
    })),
  );
  await open.insertMany(
    'typeAliases',
    rows.flatMap(({ entry, id }) =>
      entry.aliases.map((name) => ({ id: app.newKey(), typeId: id, kind: entry.kind, name, createdMs: now })),
    ),
  );
  await open.insertMany(
    'typeRatings',
    rows.flatMap(({ entry, id }) =>
      Object.entries(entry.ratings).map(([name, { value, source, page }]) => ({
        id: app.newKey(),
        typeId: id,
        name: name as RatingName,
        valueSi: value,
        source,
        page: page ?? null,
        recordedMs: now,
      })),
    ),
  );
}

async function writeChanges(open: Edit, id: string, entry: TypeEntry): Promise<void> {
  const present = await typeById(open.tx, id);
  if (!present) return;
  await open.update('types', id, {
    ...(entry.technology ? { technology: entry.technology } : {}),
    ...(entry.package ? { package: entry.package } : {}),
    ...(entry.note ? { note: entry.note } : {}),
  });
  await recordTypeRatings(
    open,
    id,
    Object.entries(entry.ratings).map(([name, rating]) => ({ name: name as RatingName, ...rating })),
  );
  const has = present.aliases.map(({ name }) => name);
  for (const name of entry.aliases.filter((alias) => !has.includes(alias)))
    await open.insert('typeAliases', { typeId: id, kind: entry.kind, name, createdMs: open.app.now() });
}

/** Rows of a preview that a page can hold. */
const SHOWN_ROWS = 200;

/** What a file would do, for showing before anything is written. */
export async function previewTypes(app: AppContext, text: string, pause = noPause, said: SaidOfColumns = {}) {
  const { planned, refused: left, columns } = await planTypes(app, text, pause, said);
  const count = (action: string) => planned.filter((one) => one.action === action).length;
  const told = planned.filter(({ action, message }) => action !== 'same' || message.length > 0);
  return {
    columns,
    added: count('add'),
    changed: count('change'),
    same: count('same'),
    refusedCount: left.length,
    refused: left.slice(0, SHOWN_ROWS),
    rows: told.slice(0, SHOWN_ROWS).map(({ line, entry, action, message }) => ({
      line,
      what: `${kindRule(entry.kind).label} ${entry.name}`,
      action,
      message: message.join('; '),
    })),
    more: Math.max(0, told.length - SHOWN_ROWS),
  };
}
export type TypesPreview = Awaited<ReturnType<typeof previewTypes>>;
