import { integer, real, text } from 'drizzle-orm/sqlite-core';
import type { Source } from '../../core/evidence';
import type { RatingName } from '../../core/part';

/** Sortable key, made by `core/ident`. */
export const key = () => text('id').primaryKey();

/** Moments are milliseconds since 1970. */
export const createdMs = () => integer('created_ms').notNull();

/** Deleting is reversible: a row with a moment here was deleted. */
export const deletedMs = () => integer('deleted_ms');

/** A rating with its evidence; superseded rows stay as history. The value is in the SI base unit of its name. */
export const ratingColumns = () => ({
  id: key(),
  name: text('name').$type<RatingName>().notNull(),
  valueSi: real('value_si').notNull(),
  source: text('source').$type<Source>().notNull(),
  rule: text('rule'),
  confidence: real('confidence'),
  recordedMs: integer('recorded_ms').notNull(),
  supersededMs: integer('superseded_ms'),
});
