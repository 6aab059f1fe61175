import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { KindName } from '../../core/part';
import { createdMs, deletedMs, key, ratingColumns } from './columns';

/** A part number that was met, with what is known of it. */
export const types = sqliteTable(
  'types',
  {
    id: key(),
    kind: text('kind').$type<KindName>().notNull(),
    name: text('name').notNull(),
    technology: text('technology'),
    package: text('package'),
    note: text('note').notNull().default(''),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [
    uniqueIndex('types_name')
      .on(t.kind, t.name)
      .where(sql`${t.deletedMs} is null`),
    index('types_by_name').on(t.name),
  ],
);

/** Another marking of a type: a second source's number, a short code on a small case. */
export const typeAliases = sqliteTable(
  'type_aliases',
  {
    id: key(),
    typeId: text('type_id')
      .notNull()
      .references(() => types.id),
    kind: text('kind').$type<KindName>().notNull(),
    name: text('name').notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [
    uniqueIndex('type_aliases_name')
      .on(t.kind, t.name)
      .where(sql`${t.deletedMs} is null`),
    index('type_aliases_type').on(t.typeId),
  ],
);

export const typeRatings = sqliteTable(
  'type_ratings',
  {
    ...ratingColumns(),
    typeId: text('type_id')
      .notNull()
      .references(() => types.id),
    /** Page of the datasheet where it stands. */
    page: integer('page'),
  },
  (t) => [index('type_ratings_type').on(t.typeId)],
);

/** A datasheet of a type. The file lies beside the database under its content's hash; its text is not read. */
export const datasheets = sqliteTable(
  'datasheets',
  {
    id: key(),
    typeId: text('type_id')
      .notNull()
      .references(() => types.id),
    hash: text('hash').notNull(),
    fileName: text('file_name').notNull(),
    bytes: integer('bytes').notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('datasheets_type').on(t.typeId)],
);
