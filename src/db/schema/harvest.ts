import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { EffortClass } from '../../core/harvest';
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
    /** Where parts go unless another bin is named. */
    bin: text('bin').notNull(),
    startedMs: integer('started_ms').notNull(),
    endedMs: integer('ended_ms'),
    deletedMs: deletedMs(),
  },
  (t) => [index('harvest_runs_donor').on(t.donorId)],
);

export const STEP_OUTCOMES = ['done', 'broke', 'skipped'] as const;

/** A job of a run: what came of it and how long it took, from which the minutes are learnt. */
export const harvestSteps = sqliteTable(
  'harvest_steps',
  {
    id: key(),
    runId: text('run_id')
      .notNull()
      .references(() => harvestRuns.id),
    /** As the plan names it: a reference, several, or what was set up. */
    jobId: text('job_id').notNull(),
    effort: text('effort').$type<EffortClass>().notNull(),
    package: text('package'),
    /** By the table, whoever does it: a person's own pace is learnt against it. */
    predictedMin: real('predicted_min').notNull(),
    takenS: real('taken_s').notNull(),
    outcome: text('outcome').$type<(typeof STEP_OUTCOMES)[number]>().notNull(),
    atMs: integer('at_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('harvest_steps_run').on(t.runId)],
);
