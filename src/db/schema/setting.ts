import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What holds for the whole shop; each name once, its value as JSON. */
export const settings = sqliteTable('settings', {
  name: text('name').primaryKey(),
  value: text('value', { mode: 'json' }).$type<unknown>().notNull(),
});
