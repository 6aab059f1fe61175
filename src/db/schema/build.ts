import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { DesignRecord } from '../../core/design';
import { createdMs, deletedMs, key } from './columns';

/** Something a person wants to make. */
export const builds = sqliteTable('builds', {
  id: key(),
  code: text('code').notNull().unique(),
  title: text('title').notNull(),
  note: text('note').notNull().default(''),
  /** The design it was made of, with its lots as they were. */
  design: text('design', { mode: 'json' }).$type<DesignRecord>(),
  createdMs: createdMs(),
  deletedMs: deletedMs(),
});

/** A line of a build that stock must fill, in the filter language. */
export const needs = sqliteTable(
  'needs',
  {
    id: key(),
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    role: text('role').notNull(),
    filter: text('filter').notNull(),
    quantity: integer('quantity').notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('needs_build').on(t.buildId)],
);
