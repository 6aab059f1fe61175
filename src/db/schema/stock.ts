import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Grade, Limit } from '../../core/measure';
import type { Fittings } from '../../core/module';
import type { KindName } from '../../core/part';
import type { LedgerReason } from '../../core/stock';
import { needs } from './build';
import { createdMs, deletedMs, key, ratingColumns } from './columns';
import { donors, parts } from './donor';
import { types } from './type';

export const bins = sqliteTable('bins', {
  id: key(),
  code: text('code').notNull().unique(),
  capacity: integer('capacity'),
  countedMs: integer('counted_ms'),
  createdMs: createdMs(),
});

/** A question asked of stock again and again. */
export const savedFilters = sqliteTable('saved_filters', {
  id: key(),
  name: text('name').notNull(),
  filter: text('filter').notNull(),
  createdMs: createdMs(),
  deletedMs: deletedMs(),
});

/**
 * Like parts of one grade from one donor in one bin. `on_hand` and `reserved` are kept by a trigger
 * of the ledger and never written by hand; the checks make a take beyond stock fail.
 */
export const lots = sqliteTable(
  'lots',
  {
    id: key(),
    code: text('code').notNull().unique(),
    kind: text('kind').$type<KindName>().notNull(),
    subtype: text('subtype'),
    technology: text('technology'),
    marking: text('marking').notNull().default(''),
    package: text('package'),
    grade: text('grade').$type<Grade>(),
    gradeReason: text('grade_reason').notNull().default(''),
    limits: text('limits', { mode: 'json' }).$type<readonly Limit[]>().notNull().default([]),
    binId: text('bin_id')
      .notNull()
      .references(() => bins.id),
    donorId: text('donor_id').references(() => donors.id),
    partId: text('part_id').references(() => parts.id),
    typeId: text('type_id').references(() => types.id),
    onHand: integer('on_hand').notNull().default(0),
    reserved: integer('reserved').notNull().default(0),
    photoHash: text('photo_hash'),
    /** Of a whole supply: its plug, cooling, mounting and class. */
    fittings: text('fittings', { mode: 'json' }).$type<Fittings>().notNull().default({}),
    /** When its label was stuck on, as a person said. */
    labelledMs: integer('labelled_ms'),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [
    check('lots_on_hand_not_negative', sql`${t.onHand} >= 0`),
    check('lots_reserved_within_stock', sql`${t.reserved} >= 0 and ${t.reserved} <= ${t.onHand}`),
    index('lots_age').on(t.createdMs),
    // A question is answered off one of these alone, since the rows of the table are many times as long: how many lots of
    // what there are, which are the newest of a kind, and which carry a word.
    index('lots_in_stock')
      .on(t.kind, t.package, t.grade, t.binId, t.onHand, t.id)
      .where(sql`${t.deletedMs} is null and ${t.onHand} > 0`),
    index('lots_newest')
      .on(t.kind, t.id, t.package, t.grade, t.binId, t.onHand)
      .where(sql`${t.deletedMs} is null and ${t.onHand} > 0`),
    index('lots_words')
      .on(t.marking, t.package, t.code, t.subtype, t.technology, t.id, t.onHand)
      .where(sql`${t.deletedMs} is null and ${t.onHand} > 0`),
    index('lots_bin').on(t.binId, t.deletedMs, t.onHand),
    index('lots_donor').on(t.donorId),
    index('lots_photo')
      .on(t.photoHash)
      .where(sql`${t.photoHash} is not null`),
  ],
);

export const lotRatings = sqliteTable(
  'lot_ratings',
  {
    ...ratingColumns(),
    lotId: text('lot_id')
      .notNull()
      .references(() => lots.id),
  },
  (t) => [
    // Whether a lot meets a demand, and which lots do, are both read off an index alone.
    index('lot_ratings_lot').on(t.lotId, t.name, t.supersededMs, t.valueSi),
    index('lot_ratings_search')
      .on(t.name, t.valueSi, t.lotId, t.source)
      .where(sql`${t.supersededMs} is null`),
  ],
);

/** Every change of stock, append-only (a trigger refuses updates and deletes). */
export const stockLedger = sqliteTable(
  'stock_ledger',
  {
    id: key(),
    lotId: text('lot_id')
      .notNull()
      .references(() => lots.id),
    atMs: integer('at_ms').notNull(),
    onHandDelta: integer('on_hand_delta').notNull(),
    reservedDelta: integer('reserved_delta').notNull(),
    reason: text('reason').$type<LedgerReason>().notNull(),
    needId: text('need_id').references(() => needs.id),
    note: text('note').notNull().default(''),
    /** The line that this one takes back; a line is taken back at most once. */
    undoesId: text('undoes_id').unique(),
    /** The step of the journal that wrote it; lines of before journals were kept of stock have none. */
    journalId: text('journal_id'),
  },
  (t) => [index('stock_ledger_lot').on(t.lotId, t.id), index('stock_ledger_need').on(t.needId)],
);
