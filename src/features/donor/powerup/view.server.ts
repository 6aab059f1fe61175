import 'server-only';
import { gateOf, tellsFrom, type Gate, type Power, type Standing, type Step } from '../../../core/bringup';
import { formatQuantity } from '../../../core/quantity';
import type { Dossier } from '../../../services/dossier';
import { agoOf, clockOf } from '../../../ui/value/moments';
import { readingAt } from './present';
import { powerUpOf } from '../../../services/board';

/** A step as a row of the list. */
export interface StepRow {
  readonly id: string;
  /** Printed where a number begins. */
  readonly number: string;
  readonly title: string;
  readonly good: string;
  readonly power: Power;
  readonly was: string;
  /** Its reading was in doubt, and passed all the same; or it ended the power-up. */
  readonly mark: '' | 'doubt' | 'stop';
  readonly at: string;
}

/** How the unit stands, as the loudest mark of the page. */
export interface PowerSign {
  readonly state: 'on' | 'dead' | 'not-dead';
  readonly detail: string;
}

export type PowerUpView =
  | { readonly kind: 'none'; readonly why: string; readonly then: string }
  | {
      readonly kind: 'steps';
      readonly sign: PowerSign;
      readonly state: Standing['state'];
      readonly count: number;
      readonly rows: readonly StepRow[];
      readonly current:
        | {
            readonly step: Step;
            readonly gate: Gate;
            readonly next: string;
            /** Before this moment, milliseconds since 1970, its reading tells little. */
            readonly tellsFrom: number | undefined;
          }
        | undefined;
      readonly stopped: { readonly title: string; readonly text: string; readonly says: string } | undefined;
      readonly isIsolated: boolean;
    };

/** The first power-up of a donor as its page shows it. */
export async function powerUpView(dossier: Dossier): Promise<PowerUpView> {
  const { plan, standing, now } = await powerUpOf(dossier);
  if (plan.kind === 'none') return plan;
  const { steps, facts } = plan;
  const { current, stoppedAt, marks } = standing;
  const rows = steps.map((step, index): StepRow => {
    const mark = marks.get(step.id);
    const reading = mark ? readingAt(step, mark.text) : undefined;
    const isEarly = mark !== undefined && mark.createdMs < (tellsFrom(step, marks) ?? 0);
    const isDoubted = isEarly || (reading?.kind === 'read' && reading.verdict.verdict !== 'pass');
    return {
      id: step.id,
      number: steps[index - 1]?.number === step.number ? '' : `${step.number}`,
      title: step.title,
      good: step.good,
      power: step.power,
      was: mark ? mark.text || 'as it should be' : '',
      mark: mark?.outcome === 'stop' ? 'stop' : isDoubted ? 'doubt' : '',
      at: mark ? clockOf(mark.createdMs) : '',
    };
  });
  const stoppedStep = steps.find(({ id }) => id === stoppedAt?.step);
  const following = current && steps[steps.indexOf(current) + 1];
  return {
    kind: 'steps',
    sign: await signOf(dossier, now, highestOf(facts.unit.stores)),
    state: standing.state,
    count: steps.at(-1)?.number ?? 0,
    rows,
    current: current && {
      step: current,
      gate: gateOf(current, now),
      next: following ? following.title : 'done',
      tellsFrom: tellsFrom(current, marks),
    },
    stopped:
      stoppedAt && stoppedStep
        ? {
            title: stoppedStep.title,
            text: stoppedAt.text,
            says:
              stoppedStep.failings.find(({ when }) => stoppedAt.text.includes(when))?.says ?? 'It was stopped by hand.',
          }
        : undefined,
    isIsolated: facts.isIsolated,
  };
}

/** The store that may hold most. */
function highestOf(stores: readonly { readonly name: string; readonly holds?: number }[]) {
  return stores.toSorted((a, b) => (b.holds ?? Infinity) - (a.holds ?? Infinity))[0];
}

async function signOf(
  dossier: Dossier,
  { isPowered, isDead }: { isPowered: boolean; isDead: boolean },
  highest: { readonly name: string; readonly holds?: number } | undefined,
): Promise<PowerSign> {
  const { appliedAt } = await dossier.history();
  const holds = highest
    ? `${highest.name} holds up to ${highest.holds === undefined ? 'nobody knows what' : formatQuantity(highest.holds, 'volt')}`
    : '';
  if (isPowered)
    return {
      state: 'on',
      detail: [
        appliedAt === undefined
          ? ''
          : `on since ${clockOf(appliedAt)}, ${agoOf(appliedAt, dossier.now).replace(' ago', '')}`,
        holds,
      ]
        .filter((word) => word !== '')
        .join('; '),
    };
  if (!isDead) return { state: 'not-dead', detail: holds === '' ? 'no store is listed' : `${holds}; not read dead` };
  const last = (await dossier.stores())
    .flatMap(({ store, readings }) => readings.map((reading) => ({ store, reading })))
    .toSorted((a, b) => b.reading.takenMs - a.reading.takenMs)[0];
  return {
    state: 'dead',
    detail: last
      ? `${last.store.name} ${formatQuantity(last.reading.voltageV, 'volt')} at ${clockOf(last.reading.takenMs)}`
      : '',
  };
}
