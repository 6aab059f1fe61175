/** A piece of work: a part or a handful of like ones to take, or something that has to be done before. */
export interface Job {
  readonly id: string;
  /** Minutes of its own. */
  readonly minutes: number;
  /** Points for it, less the price of its minutes; below zero for what only clears the way. */
  readonly points: number;
  /** Jobs that must be done before. */
  readonly after: readonly string[];
}

export interface Plan {
  /** Ids of jobs in the order of the work. */
  readonly order: readonly string[];
  readonly minutes: number;
  readonly points: number;
  /** No plan can be worth more: equal to the points when the plan is the best there is. */
  readonly bound: number;
}

/** Minutes are counted in these; a job is rounded up to the next. */
const STEP = 0.1;
/** So many requirements besides each job's first are tried both ways; more are bounded instead. */
const MOST_CHOICES = 9;

/**
 * The jobs worth most within a budget of minutes, with whatever each needs done before. Exact: a knapsack over the
 * forest of first requirements by dynamic programming (a job taken, or its whole subtree skipped), once for every way
 * to decide the requirements that are shared across the forest. With more than nine of those the rest are let go of,
 * which bounds the worth from above, and what then lacks its requirement is left out.
 */
export function planHarvest(jobs: readonly Job[], budget: number): Plan {
  const sound = dropImpossible(jobs);
  const { parents, shared } = forestOf(sound);
  const preorder = preorderOf(sound, parents);
  const choices = shared.slice(0, MOST_CHOICES);
  const capacity = Math.max(0, Math.floor(budget / STEP + 1e-9));
  let best: { chosen: ReadonlySet<string>; points: number } = { chosen: new Set(), points: 0 };
  let bound = 0;
  for (let mask = 0; mask < 2 ** choices.length; mask += 1) {
    const isIn = (id: string) => {
      const index = choices.indexOf(id);
      return index < 0 ? undefined : (mask & (1 << index)) !== 0;
    };
    const found = knapsack(preorder, capacity, isIn);
    if (!found) continue;
    bound = Math.max(bound, found.points);
    if (found.points <= best.points + 1e-9) continue;
    const chosen = repair(sound, found.chosen);
    const points = sum(sound, chosen, 'points');
    if (points > best.points + 1e-9) best = { chosen, points };
  }
  const order = orderOf(sound.filter(({ id }) => best.chosen.has(id)));
  return {
    order,
    minutes: sum(sound, best.chosen, 'minutes'),
    points: best.points,
    bound: Math.max(bound, best.points),
  };
}

const units = (minutes: number) => Math.max(0, Math.ceil(minutes / STEP - 1e-9));
const sum = (jobs: readonly Job[], chosen: ReadonlySet<string>, what: 'points' | 'minutes') =>
  jobs.reduce((total, job) => (chosen.has(job.id) ? total + job[what] : total), 0);

/** Jobs that wait for one that is not there, or for themselves, can never be done. */
function dropImpossible(jobs: readonly Job[]): readonly Job[] {
  let left = jobs;
  for (;;) {
    const ids = new Set(left.map(({ id }) => id));
    const kept = left.filter(({ after }) => after.every((id) => ids.has(id)));
    if (kept.length === left.length) break;
    left = kept;
  }
  const done = new Set<string>();
  for (let size = -1; size < done.size;) {
    size = done.size;
    for (const { id, after } of left) if (after.every((before) => done.has(before))) done.add(id);
  }
  return left.filter(({ id }) => done.has(id));
}

/**
 * Each job hangs below one of its requirements; the others are shared, the most asked for first. The one that stands
 * alone most often becomes the parent, so that few are shared.
 */
function forestOf(jobs: readonly Job[]): { parents: ReadonlyMap<string, string>; shared: readonly string[] } {
  const asked = new Map<string, number>();
  for (const { after } of jobs.filter((job) => job.after.length > 1))
    for (const id of after) asked.set(id, (asked.get(id) ?? 0) + 1);
  const parents = new Map<string, string>();
  const shared = new Map<string, number>();
  for (const { id, after } of jobs) {
    const [parent, ...others] = [...after].sort(
      (a, b) => (asked.get(a) ?? 0) - (asked.get(b) ?? 0) || a.localeCompare(b),
    );
    if (parent !== undefined) parents.set(id, parent);
    for (const other of others) shared.set(other, (shared.get(other) ?? 0) + 1);
  }
  return { parents, shared: [...shared].sort((a, b) => b[1] - a[1]).map(([id]) => id) };
}

interface Placed {
  readonly job: Job;
  /** Weight in steps of a tenth of a minute, and how many jobs its subtree has, itself included. */
  readonly weight: number;
  readonly size: number;
}

/** The forest from its roots down, each job before what hangs below it. */
function preorderOf(jobs: readonly Job[], parents: ReadonlyMap<string, string>): readonly Placed[] {
  const children = new Map<string, Job[]>();
  for (const job of jobs) {
    const siblings = children.get(parents.get(job.id) ?? '');
    if (siblings) siblings.push(job);
    else children.set(parents.get(job.id) ?? '', [job]);
  }
  const preorder: Placed[] = [];
  const visit = (job: Job): number => {
    const weight = units(job.minutes);
    const at = preorder.push({ job, weight, size: 1 }) - 1;
    const size = (children.get(job.id) ?? []).reduce((total, child) => total + visit(child), 1);
    preorder[at] = { job, weight, size };
    return size;
  };
  for (const root of children.get('') ?? []) visit(root);
  return preorder;
}

/** Best choice in the forest when some jobs are decided; nothing when what is decided cannot be paid for. */
function knapsack(
  preorder: readonly Placed[],
  capacity: number,
  isIn: (id: string) => boolean | undefined,
): { chosen: ReadonlySet<string>; points: number } | undefined {
  const width = capacity + 1;
  const n = preorder.length;
  const table = new Float64Array((n + 1) * width);
  // A subtree that holds a job decided to be done cannot be skipped.
  const forcedBefore = [0];
  for (const { job } of preorder) forcedBefore.push((forcedBefore.at(-1) ?? 0) + (isIn(job.id) === true ? 1 : 0));
  const maySkip = (row: number, size: number) => forcedBefore[row + size] === forcedBefore[row];
  for (let row = n - 1; row >= 0; row -= 1) {
    const placed = preorder[row];
    if (!placed) continue;
    const { job, weight, size } = placed;
    const may = isIn(job.id) !== false && job.after.every((id) => isIn(id) !== false);
    const skip = maySkip(row, size);
    const [own, next, after] = [row * width, (row + 1) * width, (row + size) * width];
    for (let left = 0; left < width; left += 1) {
      const skipped = skip ? (table[after + left] ?? 0) : -Infinity;
      const taken = may && left >= weight ? job.points + (table[next + left - weight] ?? 0) : -Infinity;
      table[own + left] = skipped > taken ? skipped : taken;
    }
  }
  const points = table[capacity] ?? 0;
  if (n === 0 || points === -Infinity) return n === 0 ? { chosen: new Set(), points: 0 } : undefined;
  const chosen = new Set<string>();
  for (let row = 0, left = capacity; row < n;) {
    const placed = preorder[row];
    if (!placed) break;
    const value = table[row * width + left] ?? 0;
    const skipped = maySkip(row, placed.size) ? (table[(row + placed.size) * width + left] ?? 0) : -Infinity;
    if (value > skipped) {
      chosen.add(placed.job.id);
      left -= placed.weight;
      row += 1;
    } else row += placed.size;
  }
  return { chosen, points };
}

/** What only clears the way for nothing is not done. */
function withoutIdle(jobs: readonly Job[], chosen: ReadonlySet<string>): ReadonlySet<string> {
  const kept = new Set(chosen);
  for (let size = -1; size !== kept.size;) {
    size = kept.size;
    for (const { id, points } of jobs)
      if (kept.has(id) && points <= 0 && !jobs.some((job) => kept.has(job.id) && job.after.includes(id)))
        kept.delete(id);
  }
  return kept;
}

/** Without what lacks its requirement, and without what clears the way for nothing. */
function repair(jobs: readonly Job[], chosen: ReadonlySet<string>): ReadonlySet<string> {
  const kept = new Set(chosen);
  for (let size = -1; size !== kept.size;) {
    size = kept.size;
    for (const { id, after } of jobs) if (kept.has(id) && after.some((before) => !kept.has(before))) kept.delete(id);
  }
  return withoutIdle(jobs, kept);
}

/**
 * The order of the work: again and again the job that, with all that is still to be done before it, gives most points
 * a minute, so that the best is in the drawer should the time run short.
 */
function orderOf(jobs: readonly Job[]): string[] {
  const byId = new Map(jobs.map((job) => [job.id, job]));
  const order: string[] = [];
  const done = new Set<string>();
  const needed = (id: string, into: Set<string>): Set<string> => {
    if (done.has(id) || into.has(id)) return into;
    for (const before of byId.get(id)?.after ?? []) needed(before, into);
    return into.add(id);
  };
  while (order.length < jobs.length) {
    let best: { chain: readonly string[]; density: number } | undefined;
    for (const { id } of jobs) {
      if (done.has(id)) continue;
      const chain = [...needed(id, new Set())];
      const minutes = chain.reduce((total, one) => total + (byId.get(one)?.minutes ?? 0), 0);
      const points = chain.reduce((total, one) => total + (byId.get(one)?.points ?? 0), 0);
      const density = points / Math.max(minutes, STEP);
      if (!best || density > best.density + 1e-12) best = { chain, density };
    }
    for (const id of best?.chain ?? []) {
      done.add(id);
      order.push(id);
    }
  }
  return order;
}
