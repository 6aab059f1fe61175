import type { EffortClass } from './effort';

/** How a job of a run ended. */
export type StepOutcome = 'done' | 'broke' | 'skipped';

/** A person's minutes with a board: how many there were, and when they began. */
export interface HarvestRun {
  readonly id: string;
  readonly donorId: string;
  readonly minutes: number;
  /** Where parts go unless another bin is named. */
  readonly bin: string;
  readonly startedMs: number;
  readonly endedMs: number | null;
}

/** A job of a run: what came of it and how long it took, from which the minutes are learnt. */
export interface HarvestStep {
  readonly id: string;
  readonly runId: string;
  /** As the plan names it: a reference, several, or what was set up. */
  readonly jobId: string;
  readonly effort: EffortClass;
  readonly package: string | null;
  /** By the table, whoever does it: a person's own pace is learnt against it. */
  readonly predictedMin: number;
  readonly takenS: number;
  readonly outcome: StepOutcome;
  readonly atMs: number;
}
