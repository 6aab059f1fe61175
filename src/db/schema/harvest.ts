import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { EffortClass, StepOutcome } from '../../core/harvest';
import { deletedMs, key } from './columns';
import { donors } from './donor';

/** A person's minutes with a board: how many there were, and when they began. */
export const harvestRuns = sqliteTable(
  'harvest_runs',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    minutes: real('minutes').notNull(),
    bin: text('bin').notNull(),
    startedMs: integer('started_ms').notNull(),
    endedMs: integer('ended_ms'),
    deletedMs: deletedMs(),
  },
  (t) => [index('harvest_runs_donor').on(t.donorId)],
);

/** A job of a run: what came of it and how long it took, from which the minutes are learnt. */
export const harvestSteps = sqliteTable(
  'harvest_steps',
  {
    id: key(),
    runId: text('run_id')
      .notNull()
      .references(() => harvestRuns.id),
    jobId: text('job_id').notNull(),
    effort: text('effort').$type<EffortClass>().notNull(),
    package: text('package'),
    predictedMin: real('predicted_min').notNull(),
    takenS: real('taken_s').notNull(),
    outcome: text('outcome').$type<StepOutcome>().notNull(),
    atMs: integer('at_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('harvest_steps_run').on(t.runId)],
);
