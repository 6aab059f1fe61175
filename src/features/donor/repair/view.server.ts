import {
  CAUSES,
  diagnose,
  foundAt,
  NO_SUCH_PART,
  NONE,
  partsByRole,
  ROLES,
  SYMPTOMS,
  type NextCheck,
  type RepairFact,
  type RoleName,
  type Seen,
  type State,
  type Symptom,
} from '../../../core/diagnose';
import { loneSymbol, type PartSymbol } from '../../../core/schematic';
import type { DonorOverview } from '../../../db/repositories/donors';
import { listRepairFacts } from '../../../db/repositories/repairFacts';
import { partRoles, sureTopologies, tracedBoard } from '../../../services/board';
import type { Dossier } from '../../../services/dossier';
import { onRecord, type OnRecord } from './evidence.server';

/** A cause as the page shows it. */
export interface CauseView {
  readonly name: string;
  readonly label: string;
  readonly parts: readonly string[];
  /** Those of them that are logged with the unit. */
  readonly logged: readonly string[];
  readonly probability: number;
  readonly why: readonly string[];
  readonly together: string;
}

/** A part of the way of the power, with what was found there. */
export interface WayPart {
  readonly ref: string;
  readonly label: string;
  readonly symbol: PartSymbol | undefined;
  readonly side: 'mains' | 'isolated';
  readonly state: State | 'next' | 'replaced';
}

export interface RepairView {
  readonly symptom: Symptom | undefined;
  readonly facts: readonly RepairFact[];
  /** What other stations have on record, and counts as well. */
  readonly record: readonly OnRecord[];
  /** What comes before any check that is made while it is off, or that it has been done. */
  readonly readFirst: string;
  /** Parts that were replaced. */
  readonly fitted: readonly RepairFact[];
  /** Probability of the first cause before and after each check, by its id. */
  readonly moved: Readonly<Record<string, readonly [before: number, after: number]>>;
  readonly causes: readonly CauseView[];
  readonly way: readonly WayPart[];
  /** Faults beside the first cause. */
  readonly beside: readonly { readonly ref: string; readonly state: string; readonly label: string }[];
  readonly next: NextCheck | undefined;
  readonly others: readonly NextCheck[];
}

/** Complaints by the words that Intake uses for the same. */
const FROM_INTAKE: Readonly<Record<string, Symptom>> = { 'warm-intermittent': 'intermittent-warm' };
const isSymptom = (word: string): word is Symptom => Object.hasOwn(SYMPTOMS, word);

const MOST_CAUSES = 5;

/** What a fact says to the table of causes. */
function seenOf({ kind, ref, test, text, outcome }: RepairFact): Seen {
  const at = { ...(ref === '' ? {} : { ref }), ...(test === '' ? {} : { test }) };
  if (kind === 'check' && outcome === 'good') return { ...at, condition: 'good' };
  if (kind === 'check' && outcome === 'bad') return { ...at, condition: text };
  return { ...at, text: kind === 'check' && outcome === 'unclear' && text !== NO_SUCH_PART ? '' : text };
}

/** Parts in the order in which power meets them. */
const WAY: readonly (readonly [role: RoleName, side: WayPart['side']])[] = [
  ['fuse', 'mains'],
  ['varistor', 'mains'],
  ['ntc', 'mains'],
  ['bridge', 'mains'],
  ['pfcSwitch', 'mains'],
  ['pfcDiode', 'mains'],
  ['bulk', 'mains'],
  ['clamp', 'mains'],
  ['mainSwitch', 'mains'],
  ['sense', 'mains'],
  ['transformer', 'mains'],
  ['outputRectifier', 'isolated'],
  ['syncFet', 'isolated'],
  ['outputCapacitor', 'isolated'],
];
/** References shown of one role. */
const OF_A_ROLE = 2;

/** Along the way of the power, what was found where. Nothing while no part is logged. */
function wayOf(
  complaint: Parameters<typeof partsByRole>[0],
  observations: readonly Seen[],
  next: string | undefined,
  fitted: readonly RepairFact[],
): readonly WayPart[] {
  const partsOf = partsByRole({ ...complaint, observations });
  const parts = new Map(complaint.board?.parts.map((part) => [part.ref, part]));
  const shown = new Set<string>();
  return WAY.flatMap(([role, side]) =>
    partsOf(role)
      .filter((ref) => parts.has(ref) && !shown.has(ref))
      .slice(0, OF_A_ROLE)
      .map((ref): WayPart => {
        shown.add(ref);
        const part = parts.get(ref);
        return {
          ref,
          label: ROLES[role].label,
          symbol: part && loneSymbol(part),
          side,
          state: fitted.some((one) => one.ref === ref)
            ? 'replaced'
            : ref === next
              ? 'next'
              : foundAt(observations, ref, role),
        };
      }),
  );
}

/** What comes before hands are on the board; nothing was read dead where no store is listed. */
function readFirstOf({ facts, liveStores, isPowered }: DonorOverview): string {
  if (isPowered) return 'unplug it first, and read every store dead';
  if (facts.stores.total === 0) return 'first list its stores, and read each dead';
  return liveStores.length > 0
    ? `first read ${liveStores.map(({ name }) => name).join(', ')} dead`
    : 'every store was read dead';
}

/** Likely causes of a donor's fault, and what to check next, out of all that is known of it. */
export async function repairView(dossier: Dossier): Promise<RepairView> {
  const { donor } = dossier;
  const [facts, record, overview, parts, board, topologies, described] = await Promise.all([
    listRepairFacts(dossier.db, donor.id),
    onRecord(dossier),
    dossier.overview(),
    dossier.parts(),
    tracedBoard(dossier, false),
    sureTopologies(dossier),
    partRoles(dossier),
  ]);
  const named =
    facts.findLast(({ kind }) => kind === 'complaint')?.text ?? FROM_INTAKE[donor.symptomKind] ?? donor.symptomKind;
  const symptom = isSymptom(named) ? named : undefined;
  const told = facts.filter(({ kind }) => kind !== 'complaint' && kind !== 'fitted');
  const fitted = facts.filter(({ kind }) => kind === 'fitted');
  const readFirst = readFirstOf(overview);
  if (!symptom)
    return {
      symptom,
      facts: told,
      record,
      readFirst,
      fitted,
      moved: {},
      causes: [],
      way: [],
      beside: [],
      next: undefined,
      others: [],
    };
  const complaint = {
    unit: { kind: donor.kind, ...(overview.facts.ratedPower && { power: overview.facts.ratedPower }) },
    board,
    ...(topologies.length > 0 ? { topologies } : {}),
    symptom,
    described,
  };
  const before = record.flatMap(({ seen }) => seen);
  const observations = [...before, ...told.map(seenOf)];
  const { causes, beside, next } = diagnose({ ...complaint, observations });
  const first = causes[0]?.cause;
  const share = (count: number) =>
    diagnose({ ...complaint, observations: [...before, ...told.slice(0, count).map(seenOf)] }).causes.find(
      ({ cause }) => cause === first,
    )?.probability ?? 0;
  const moved = Object.fromEntries(
    told.flatMap(({ id, kind }, index) => (kind === 'check' ? [[id, [share(index), share(index + 1)] as const]] : [])),
  );
  return {
    symptom,
    facts: told,
    record,
    readFirst,
    fitted,
    moved,
    causes: causes.slice(0, MOST_CAUSES).map(({ cause, parts: refs, probability, why }) => ({
      name: cause,
      label: cause === NONE ? 'none of these' : CAUSES[cause].label,
      parts: refs,
      logged: refs.filter((ref) => parts.some(({ part }) => part.ref === ref)),
      probability,
      why,
      together: cause === NONE ? '' : CAUSES[cause].together,
    })),
    beside: beside.map(({ ref, state, cause }) => ({
      ref,
      state: state === 'off' ? 'off its value' : state,
      label: CAUSES[cause].label,
    })),
    way: wayOf(complaint, observations, next[0]?.ref, fitted),
    next: next[0],
    others: next.slice(1, 4),
  };
}
