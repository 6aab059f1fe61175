import { practice } from '../evidence';
import { kindRule, type KindName } from '../part';
import { effortOf, hazardsOf, MOUNTINGS, TOOLS, type EffortClass, type MountingName, type ToolName } from './effort';
import { survivalText, type Experience } from './experience';
import type { Job } from './plan';
import { MINUTE_PRICE } from './usefulness';
import { valueOf, type Value, type Worth } from './value';

/** How a part is held on the board. */
export interface Mounting {
  readonly ways: readonly MountingName[];
  /** The heat sink it sits on, as the person calls it, such as `HS1`. */
  readonly sink?: string | undefined;
  /** References that must go first. */
  readonly behind: readonly string[];
}

/** A part still on the board, as the plan takes it. */
export interface HarvestPart extends Worth {
  readonly ref: string;
  readonly marking?: string | null | undefined;
  /** Its main value in words, such as `100 nF`. */
  readonly message: string;
  readonly mounting: Mounting;
}

/** A job of the plan with all that a person has to know to do it. */
export interface HarvestJob extends Job {
  readonly title: string;
  /** Parts it takes; none when it only clears the way. */
  readonly refs: readonly string[];
  /** What it is worth before the price of its minutes, less what breaks on the way. */
  readonly worth: number;
  /** What the table says it takes, whoever does it. */
  readonly tableMinutes: number;
  readonly package: string | null;
  readonly value: Value | undefined;
  /** Of an untested part: its worth should it pass as new. */
  readonly worthIfSound: number | undefined;
  readonly class: EffortClass;
  readonly tool: ToolName;
  readonly tip: string;
  readonly hazards: readonly string[];
  readonly held: number;
}

/** Ids of jobs that make ready for others; the ids of all others are their references. */
const SINK_JOB = 'sink:';
const HOT_AIR_JOB = 'tool:hot-air';

/** Minutes to free a heat sink with its screws or joints. */
const FREE_SINK = practice(2.5);
/** Like small parts are taken in one go when there are this many. */
const HANDFUL = 3;
/** Each further piece of a handful takes this share of the first. */
const FURTHER = practice(0.7);
/** A handful is made of kinds that are taken by the dozen. */
const BY_THE_HANDFUL: readonly KindName[] = ['resistor', 'capacitor', 'diode', 'npn', 'pnp'];
/** More points than these and a part is worth a job of its own. */
const OWN_JOB = 8;

/**
 * The jobs of a board: one for each part, one for a handful of like small ones, and what has to be done once: freeing
 * a heat sink, warming the hot air up.
 * @param experience what the person's past says of their pace and their breakages
 */
export function jobsOf(
  parts: readonly HarvestPart[],
  of: { experience: Experience; live: boolean; done: ReadonlySet<string> },
): readonly HarvestJob[] {
  const onBoard = new Set(parts.map(({ ref }) => ref));
  const sinks = [...new Set(parts.flatMap(({ mounting }) => (mounting.sink ? [mounting.sink] : [])))];
  const jobs = handfuls(parts).map((group) => jobOf(group, { ...of, onBoard }));
  const isAsked = (id: string) => jobs.some(({ after }) => after.includes(id));
  const setups: HarvestJob[] = [
    ...sinks.map((sink) =>
      setup(
        `${SINK_JOB}${sink}`,
        `Free ${sink}`,
        FREE_SINK,
        'mechanical',
        'Its screws, then its joints; note which part sat where and which insulator was between.',
      ),
    ),
    setup(
      HOT_AIR_JOB,
      `Warm up ${TOOLS['hot-air'].label}`,
      TOOLS['hot-air'].setup,
      'surface',
      'Air moving away from you, foil over cans and plastic.',
    ),
  ].filter(({ id }) => isAsked(id) && !of.done.has(id));
  const jobTaking = new Map(jobs.flatMap(({ id, refs }) => refs.map((ref) => [ref, id] as const)));
  const open = jobs.map((job) => ({
    ...job,
    after: [...new Set(job.after.filter((id) => !of.done.has(id)).map((id) => jobTaking.get(id) ?? id))].filter(
      (id) => id !== job.id,
    ),
  }));
  return [...setups, ...open];
}

/** What a job was about, from its id: references, a heat sink that was freed, or a tool that was made ready. */
export function jobTitle(id: string): string {
  if (id.startsWith(SINK_JOB)) return `free ${id.slice(SINK_JOB.length)}`;
  return id === HOT_AIR_JOB ? `warm up ${TOOLS['hot-air'].label}` : id.split(',').join(', ');
}

function setup(id: string, title: string, minutes: number, class_: EffortClass, tip: string): HarvestJob {
  return {
    id,
    title,
    minutes,
    tableMinutes: minutes,
    package: null,
    points: -MINUTE_PRICE * minutes,
    worth: 0,
    after: [],
    refs: [],
    value: undefined,
    worthIfSound: undefined,
    class: class_,
    tool: 'hands',
    tip,
    hazards: [],
    held: 0,
  };
}

/** Like small parts together; every other part alone. */
function handfuls(parts: readonly HarvestPart[]): readonly (readonly HarvestPart[])[] {
  const groups = new Map<string, HarvestPart[]>();
  for (const part of parts) {
    const small =
      BY_THE_HANDFUL.includes(part.kind) &&
      valueOf(part).points < OWN_JOB &&
      part.mounting.ways.length === 0 &&
      !part.mounting.sink;
    const key = small
      ? [
          part.kind,
          part.subtype,
          part.package,
          part.message,
          part.marking,
          part.grade,
          part.wish,
          part.mounting.behind.join(),
        ].join('|')
      : part.ref;
    groups.set(key, [...(groups.get(key) ?? []), part]);
  }
  return [...groups.values()].flatMap((group) => (group.length >= HANDFUL ? [group] : group.map((part) => [part])));
}

function jobOf(
  group: readonly HarvestPart[],
  of: { experience: Experience; live: boolean; onBoard: ReadonlySet<string> },
): HarvestJob {
  const [part] = group as [HarvestPart];
  const { mounting } = part;
  const effort = effortOf({ kind: part.kind, package: part.package, mountings: mounting.ways });
  const value = valueOf(part);
  const many = group.length > 1;
  const tableMinutes = effort.minutes * (1 + FURTHER * (group.length - 1));
  const minutes = tableMinutes * of.experience.pace({ class: effort.class, package: part.package });
  const survival = of.experience.survival({
    class: effort.class,
    kind: part.kind,
    package: part.package,
    mountings: mounting.ways,
  });
  const worth = survival * handfulPoints(group);
  const risk = survivalText(survival);
  const label = [part.message, kindRule(part.kind).label].filter((word) => word !== '').join(' ');
  return {
    id: many ? group.map(({ ref }) => ref).join(',') : part.ref,
    title: many ? `${group.length} × ${label}` : `${part.ref}, ${part.marking || label}`,
    refs: group.map(({ ref }) => ref),
    minutes,
    tableMinutes,
    package: part.package ?? null,
    points: worth - MINUTE_PRICE * minutes,
    worth,
    value: risk ? { ...value, reasons: value.reasons.toSpliced(1, 0, risk) } : value,
    worthIfSound:
      many || part.grade !== undefined || part.unsettled || !kindRule(part.kind).test
        ? undefined
        : survival * valueOf({ ...part, grade: 'A' }).points,
    after: [
      ...(mounting.sink ? [`${SINK_JOB}${mounting.sink}`] : []),
      ...(effort.tool === 'hot-air' ? [HOT_AIR_JOB] : []),
      ...mounting.behind.filter((ref) => ref !== part.ref && of.onBoard.has(ref)),
    ],
    class: effort.class,
    tool: effort.tool,
    tip: effort.tip,
    hazards: hazardsOf({ kind: part.kind, tool: effort.tool, mountings: mounting.ways, live: of.live }),
    held: part.held,
  };
}

/** Each piece taken makes the next one less scarce. */
function handfulPoints(group: readonly HarvestPart[]): number {
  return group.reduce((sum, part, index) => sum + valueOf({ ...part, held: part.held + index }).points, 0);
}

/** What is fixed to the board in words, for the list of a person's own making. */
export function mountingText({ ways, sink, behind }: Mounting): string {
  return [
    ...ways.map((way) => MOUNTINGS[way].label),
    ...(sink ? [`on ${sink}`] : []),
    ...(behind.length > 0 ? [`behind ${behind.join(', ')}`] : []),
  ].join(', ');
}
