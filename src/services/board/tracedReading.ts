import type { Board } from '../../core/board';
import { ROLES } from '../../core/diagnose';
import { DUTIES } from '../../core/part';
import { recentOf } from '../../core/recent';
import { analyse, type StageClaim } from '../../core/topology';
import type { Dossier } from '../dossier';
import { tracedBoard } from './tracedBoard';

/** From this probability on the topology of a board says what its parts must stand. */
const SURE = 0.85;
/** Boards whose readings are remembered, so that a page need not work them out again. */
const REMEMBERED = 64;

/** What the traced board says for sure. */
interface TracedReading {
  /** The stages that are sure, the main one first; none when that one is not. */
  readonly topologies: readonly string[];
  /** What parts are there for, in words, by reference. */
  readonly roles: ReadonlyMap<string, string>;
  /** The topology of the stage that a part works in. */
  readonly stageOf: ReadonlyMap<string, string>;
  /** Whether its outputs are apart from the mains; unknown while that is not traced. */
  readonly isIsolated: boolean | undefined;
}

const NOTHING: TracedReading = { topologies: [], roles: new Map(), stageOf: new Map(), isIsolated: undefined };
const readingOf = recentOf<TracedReading>(REMEMBERED);

/** What the traced board of a donor says for sure. */
export async function tracedReading(dossier: Dossier): Promise<TracedReading> {
  const board = await tracedBoard(dossier, false);
  if (!board.joined || board.joined.length === 0) return NOTHING;
  return readingOf(JSON.stringify(board), () => {
    const size = ({ magnetics, rectifiers }: StageClaim) => magnetics.length + rectifiers.length;
    const { stages, bulk, isolation } = analyse(board);
    const sorted = stages.toSorted((a, b) => size(b) - size(a));
    if (!sorted[0] || sorted[0].probability < SURE) return NOTHING;
    return {
      topologies: sorted.map(({ topology }) => topology),
      roles: rolesOf(board, sorted, bulk),
      // The larger stage comes last, and counts for a part of two.
      stageOf: new Map(
        sorted
          .toReversed()
          .flatMap(({ topology, switches, rectifiers, magnetics }) =>
            [...switches, ...rectifiers, ...magnetics].map((ref) => [ref, topology] as const),
          ),
      ),
      isIsolated: isolation.isolated,
    };
  });
}

/** Parts in the words by which Diagnose knows them. */
function rolesOf(board: Board, stages: readonly StageClaim[], bulk: readonly string[]): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const kindOf = new Map(board.parts.map(({ ref, kind }) => [ref, kind]));
  const say = (refs: readonly string[], label: string) => {
    for (const ref of refs) if (!found.has(ref)) found.set(ref, label);
  };
  const main = stages.find(({ topology }) => !topology.includes('pfc'));
  for (const stage of stages) {
    const isCorrector = stage.topology.includes('pfc');
    const { label } = isCorrector ? ROLES.pfcSwitch : stage === main ? ROLES.mainSwitch : ROLES.standbySwitch;
    say(stage.switches, label);
    for (const ref of stage.rectifiers)
      say(
        [ref],
        isCorrector
          ? ROLES.pfcDiode.label
          : (kindOf.get(ref)?.includes('mos') ? ROLES.syncFet : ROLES.outputRectifier).label,
      );
    say(
      stage.magnetics.filter((ref) => kindOf.get(ref) === 'transformer'),
      ROLES.transformer.label,
    );
  }
  say(bulk, ROLES.bulk.label);
  return found;
}

/** What each part is there for, in words: as a person wrote it, else as the traced board tells it. */
export async function partRoles(dossier: Dossier): Promise<ReadonlyMap<string, string>> {
  const [parts, { roles }] = await Promise.all([dossier.parts(), tracedReading(dossier)]);
  return new Map([
    ...roles,
    ...parts.flatMap(({ part }) => (part.duty ? [[part.ref, DUTIES[part.duty]] as const] : [])),
  ]);
}

/** The stages of the traced board that are sure, the main one first; none when that one is not. */
export const sureTopologies = async (dossier: Dossier): Promise<readonly string[]> =>
  (await tracedReading(dossier)).topologies;
