import type { HarvestJob } from './jobs';
import type { Plan } from './plan';
import { MINUTE_PRICE } from './usefulness';

/** A job that the plan leaves, and why. */
export interface LeftJob {
  readonly job: HarvestJob;
  readonly why: string;
}

/** Why each job that takes something was left out of a plan, the most worth first. */
export function whyLeft(jobs: readonly HarvestJob[], plan: Plan, budget: number): readonly LeftJob[] {
  const chosen = new Set(plan.order);
  const byId = new Map(jobs.map((job) => [job.id, job]));
  return jobs
    .filter(({ id, refs }) => refs.length > 0 && !chosen.has(id))
    .map((job) => ({ job, why: whyOf(job) }))
    .sort((a, b) => b.job.worth - a.job.worth);

  function whyOf(job: HarvestJob): string {
    const before = chainOf(job, byId).filter(({ id }) => !chosen.has(id));
    const minutes = before.reduce((total, one) => total + one.minutes, job.minutes);
    const first = before.length > 0 ? `, ${before.map((one) => asClause(one)).join(' and ')} first` : '';
    const time = `${showMinutes(minutes)}${first}`;
    const [reason] = job.value?.reasons ?? [];
    if (job.worth <= 0) return `${reason ?? 'nothing speaks for it'}.`;
    if (minutes > budget) return `${time}: more than all the time there is.`;
    if (job.worth < MINUTE_PRICE * minutes)
      return `${time} for ${job.held > 0 ? `${job.refs.length > 1 ? 'parts' : 'a part'} you hold ${job.held} of` : `little: ${reason ?? ''}`}.`;
    return `${time}; the others give more for it.`;
  }
}

/** Parts of which a test would tell most: those that the plan takes untested, and those it would take if they passed. */
export function worthTesting(
  jobs: readonly HarvestJob[],
  plan: Plan,
): { readonly taken: readonly string[]; readonly left: readonly string[] } {
  const gain = (job: HarvestJob) => (job.worthIfSound ?? 0) - job.worth;
  const untested = jobs.filter(({ worthIfSound }) => worthIfSound !== undefined).sort((a, b) => gain(b) - gain(a));
  const refsOf = (some: readonly HarvestJob[]) => some.flatMap(({ refs }) => refs);
  return {
    taken: refsOf(untested.filter(({ id }) => plan.order.includes(id))),
    left: refsOf(
      untested.filter(
        ({ id, worthIfSound = 0, minutes }) => !plan.order.includes(id) && worthIfSound > MINUTE_PRICE * minutes,
      ),
    ),
  };
}

function chainOf(job: HarvestJob, byId: ReadonlyMap<string, HarvestJob>, seen = new Set<string>()): HarvestJob[] {
  return job.after.flatMap((id) => {
    const before = byId.get(id);
    if (!before || seen.has(id)) return [];
    seen.add(id);
    return [...chainOf(before, byId, seen), before];
  });
}

/** What is to be done first, within a sentence; a reference keeps its capitals. */
const asClause = ({ title, refs }: HarvestJob): string =>
  refs.length > 0 ? title : title.charAt(0).toLowerCase() + title.slice(1);

/** Minutes as a person says them. */
export function showMinutes(minutes: number): string {
  return minutes < 10 ? `${Number(minutes.toFixed(1))} min` : `${Math.round(minutes)} min`;
}
