import { practice } from '../evidence';
import type { KindName } from '../part';
import { EFFORT_CLASSES, type EffortClass, type MountingName } from './effort';

/** A job that a person did, or that broke. */
export interface PastStep {
  readonly class: EffortClass;
  /** The case, by which the minutes are learnt finest; none for what has none. */
  readonly package: string | null;
  readonly outcome: 'done' | 'broke';
  /** What the table says it takes, whoever does it. */
  readonly tableMinutes: number;
  readonly seconds: number;
}

/** What a person's past says of their work. */
export interface Experience {
  /** How their minutes compare with the table's. */
  readonly pace: (of: { class: EffortClass; package?: string | null | undefined }) => number;
  /** Share of parts that come off whole. */
  readonly survival: (of: {
    class: EffortClass;
    kind: KindName;
    package?: string | null | undefined;
    mountings: readonly MountingName[];
  }) => number;
}

/** So many steps as the wider rule has it stand behind a person's own, so that one slow part does not say all. */
const PRIOR_STEPS = 3;
/** So many parts that fare as the table has it stand behind a person's own breakages. */
const PRIOR_PARTS = 10;
/** Steps outside these are a phone call or a slip of the key. */
const CREDIBLE = practice({ low: 0.1, high: 10 } as const);

/** Share of parts that break as they come off, by how they are held. */
const LOST_BY_MOUNTING: Readonly<Record<MountingName, number>> = practice({
  screwed: 0,
  clipped: 0.01,
  compound: 0.02,
  glued: 0.1,
  potted: 0.35,
  bent: 0.03,
  plane: 0.06,
  shield: 0.02,
});
/** And by kind: ferrite cracks, plastic melts, plates lift. */
const LOST_BY_KIND: Partial<Record<KindName, number>> = practice({
  transformer: 0.08,
  inductor: 0.04,
  'common-mode-choke': 0.03,
  connector: 0.08,
  relay: 0.05,
  potentiometer: 0.05,
});
const LOST_OTHERWISE = 0.02;

/**
 * Pace and breakages of a person. The pace of a class is the geometric mean of taken over the table's minutes, drawn
 * towards 1 as long as there are few; that of a case is drawn towards the pace of its class. Breakages are counted by
 * class, beside so many as the table expects.
 */
export function experienceOf(steps: readonly PastStep[]): Experience {
  const done = steps.filter(
    ({ outcome, tableMinutes, seconds }) => outcome === 'done' && tableMinutes > 0 && seconds > 0,
  );
  const logsOf = (some: readonly PastStep[]) =>
    some
      .map(({ seconds, tableMinutes }) => seconds / 60 / tableMinutes)
      .filter((ratio) => ratio >= CREDIBLE.low && ratio <= CREDIBLE.high)
      .map(Math.log);
  const drawn = (some: readonly PastStep[], towards: number) => {
    const logs = logsOf(some);
    return Math.exp(
      logs.reduce((sum, log) => sum + log, PRIOR_STEPS * Math.log(towards)) / (logs.length + PRIOR_STEPS),
    );
  };
  const classes = Object.keys(EFFORT_CLASSES) as EffortClass[];
  const byClass = new Map(
    classes.map((name) => [
      name,
      drawn(
        done.filter((step) => step.class === name),
        1,
      ),
    ]),
  );
  return {
    pace: (of) => {
      const wide = byClass.get(of.class) ?? 1;
      const like = of.package ? done.filter((step) => step.class === of.class && step.package === of.package) : [];
      return drawn(like, wide);
    },
    survival: (of) => {
      const whole = of.mountings.reduce(
        (share, name) => share * (1 - LOST_BY_MOUNTING[name]),
        1 - (LOST_BY_KIND[of.kind] ?? LOST_OTHERWISE),
      );
      const like = steps.filter((step) => step.class === of.class);
      const broken = like.filter(({ outcome }) => outcome === 'broke').length;
      return 1 - (broken + PRIOR_PARTS * (1 - whole)) / (like.length + PRIOR_PARTS);
    },
  };
}

/** Below this share a person is told. */
const TELL_BELOW = 0.9;

/** What a survival says in words, when it is worth saying: `about 1 in 3 breaks`. */
export function survivalText(survival: number): string | undefined {
  return survival >= TELL_BELOW
    ? undefined
    : `about 1 in ${Math.max(2, Math.round(1 / (1 - survival)))} breaks on the way`;
}
