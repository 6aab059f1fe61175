import type { KindName, RatingName } from '../../core/part';
import { noPause } from '../../core/steps';
import { planImport, type ImportPlan, type KnownTypes, type TypeEntry } from '../../core/typebook';
import type { AppContext } from '../../db/context';
import type { Edit } from '../../db/repositories/journal';
import { allTypes, recordTypeRatings, typeById, type TypeRecord } from '../../db/repositories/types';
import { routes } from '../../routes';
import { refusal, refused, run, type Outcome } from '../../services/command';
import { ON_TYPES } from './commands';
import { readTypesFile } from './readFile';

/** A type as it stands in a file. */
export function entryOf({ type, ratings, aliases }: TypeRecord): TypeEntry {
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
      return record && entryOf(record);
    },
    ownerOf: (kind, alias) => owners.get(key(kind, alias)),
    idOf: (kind, name) => byName.get(key(kind, name))?.type.id,
  };
}

/** What a file of types would do. Nothing is written. */
export async function previewImport(app: AppContext, text: string, pause = noPause): Promise<ImportPlan> {
  await pause(0);
  return planImport(readTypesFile(text), await knownTypes(app));
}

/** Takes a file of types in: what can be used is written in one step that can be taken back, the rest is refused. */
export async function applyImport(app: AppContext, text: string, pause = noPause): Promise<Outcome> {
  const known = await knownTypes(app);
  const { planned, refused: left } = planImport(readTypesFile(text), known);
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
      message: `${fresh.length} types added, ${changed.length} changed, ${left.length} lines refused.`,
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
