import { recentOf } from '../../core/recent';
import { liveOutputCaution, type UnitCaution } from '../../core/safety';
import { unitStress, type UnitStress } from '../../core/sense';
import { analyse } from '../../core/topology';
import type { Dossier, UnitRecord } from '../dossier';
import { tracedBoard } from './tracedBoard';

/** From this probability on the topology of a board says what its parts must stand. */
const SURE = 0.85;
/** Boards whose topologies are remembered, so that a page need not work them out again. */
const REMEMBERED = 64;
const topologiesOf = recentOf<readonly string[]>(REMEMBERED);

/** What the parts of a donor must stand: by its plate, and by the topology of its main stage once that was traced. */
export async function donorStress(dossier: Dossier): Promise<UnitStress> {
  const [main] = await sureTopologies(dossier);
  return unitStress(dossier.plate, main);
}

/** The cautions of a unit, with what its traced board adds. */
export async function donorCautions(
  dossier: Dossier,
  { cautions, fedFromMains }: Pick<UnitRecord, 'cautions' | 'fedFromMains'>,
): Promise<readonly UnitCaution[]> {
  const live = liveOutputCaution({ fedFromMains, topologies: await sureTopologies(dossier) });
  return live ? [live, ...cautions] : cautions;
}

/** The stages of the traced board that are sure, the main one first; none when that one is not. */
export async function sureTopologies(dossier: Dossier): Promise<readonly string[]> {
  const board = await tracedBoard(dossier, false);
  if (!board.joined || board.joined.length === 0) return [];
  return topologiesOf(JSON.stringify(board), () => {
    const size = ({ magnetics, rectifiers }: { magnetics: readonly string[]; rectifiers: readonly string[] }) =>
      magnetics.length + rectifiers.length;
    const stages = analyse(board).stages.toSorted((a, b) => size(b) - size(a));
    return stages[0] && stages[0].probability >= SURE ? stages.map(({ topology }) => topology) : [];
  });
}
