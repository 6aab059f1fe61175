import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { DamageName, MethodName, SeamName } from '../../core/opening';
import type { StationName } from '../../core/station';
import { createdMs, deletedMs, key } from './columns';
import { donors } from './donor';

/** One step of taking a case apart, in the order it was done. */
export const openingSteps = sqliteTable(
  'opening_steps',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    seam: text('seam').$type<SeamName>().notNull(),
    method: text('method').$type<MethodName | ''>().notNull(),
    drive: text('drive').notNull().default(''),
    count: integer('count'),
    place: text('place').notNull().default(''),
    minutes: real('minutes'),
    damage: text('damage').$type<DamageName>().notNull(),
    kept: text('kept').notNull().default(''),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('opening_steps_donor').on(t.donorId)],
);

/** A stretch of work at a station; without an end it still runs. */
export const workSpells = sqliteTable(
  'work_spells',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    station: text('station').$type<StationName>().notNull(),
    startedMs: integer('started_ms').notNull(),
    endedMs: integer('ended_ms'),
    deletedMs: deletedMs(),
  },
  (t) => [index('work_spells_donor').on(t.donorId)],
);

/** How putting a unit together again went. */
export const reassemblies = sqliteTable(
  'reassemblies',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    result: text('result').$type<'works' | 'closed' | 'loose' | 'not-possible'>().notNull(),
    remark: text('remark').notNull().default(''),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('reassemblies_donor').on(t.donorId)],
);
