import { index, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { KindName } from '../../core/part';
import { createdMs, key, ratingColumns } from './columns';

/** A part number that was met, with what is known of it. */
export const types = sqliteTable(
  'types',
  {
    id: key(),
    kind: text('kind').$type<KindName>().notNull(),
    name: text('name').notNull(),
    technology: text('technology'),
    createdMs: createdMs(),
  },
  (t) => [uniqueIndex('types_name').on(t.kind, t.name)],
);

export const typeRatings = sqliteTable(
  'type_ratings',
  {
    ...ratingColumns(),
    typeId: text('type_id')
      .notNull()
      .references(() => types.id),
  },
  (t) => [index('type_ratings_type').on(t.typeId)],
);
