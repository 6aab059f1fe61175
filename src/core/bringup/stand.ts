import type { Step } from './step';

/** How a step was answered. */
export interface Mark {
  readonly id: string;
  readonly run: number;
  readonly step: string;
  /** The reading as it was typed, or what was seen. */
  readonly text: string;
  readonly outcome: 'pass' | 'stop';
  readonly createdMs: number;
}

/** What must come before a step: nothing, power on or off, or stores that are read dead. */
export type Gate = 'go' | 'switch-on' | 'switch-off' | 'read-stores';

/**
 * Whether a step may be done as things are. Hands come to the board only while it is off and every store was measured dead;
 * a lead that shows it dead, and hands at plugs and switches, while it is off.
 */
export function gateOf(
  { power, hands, showsDead }: Pick<Step, 'power' | 'hands' | 'showsDead'>,
  now: { readonly isPowered: boolean; readonly isDead: boolean },
): Gate {
  if (power !== 'off') return now.isPowered ? 'go' : 'switch-on';
  if (now.isPowered) return 'switch-off';
  if (hands === 'board' && !showsDead && !now.isDead) return 'read-stores';
  return 'go';
}

/** Where a power-up stands. */
export interface Standing {
  readonly run: number;
  /** The latest mark of each step in this run. */
  readonly marks: ReadonlyMap<string, Mark>;
  /** The step in hand; nothing when it was stopped, or all passed. */
  readonly current: Step | undefined;
  readonly state: 'not-begun' | 'running' | 'stopped' | 'passed';
  /** The step it was stopped at. */
  readonly stoppedAt: Mark | undefined;
}

/** Where a power-up stands by its marks, in the order they were made; of several runs the latest counts. */
export function standingOf(steps: readonly Step[], marks: readonly Mark[]): Standing {
  const run = marks.reduce((latest, mark) => Math.max(latest, mark.run), 1);
  const own = marks.filter((mark) => mark.run === run);
  const latest = new Map(own.map((mark) => [mark.step, mark]));
  const stoppedAt = own.findLast(({ outcome }) => outcome === 'stop');
  const current = stoppedAt ? undefined : steps.find(({ id }) => latest.get(id)?.outcome !== 'pass');
  const state = stoppedAt ? 'stopped' : current === undefined ? 'passed' : own.length === 0 ? 'not-begun' : 'running';
  return { run, marks: latest, current, state, stoppedAt };
}

/** When a step begins to tell something, milliseconds since 1970: so long after the step it waits for. */
export function tellsFrom(
  { notBefore }: Pick<Step, 'notBefore'>,
  marks: ReadonlyMap<string, Mark>,
): number | undefined {
  const earlier = notBefore && marks.get(notBefore.step);
  return earlier && earlier.createdMs + notBefore.seconds * 1000;
}
