import { recentOf } from '../../core/recent';
import { unitStress, type UnitStress } from '../../core/sense';
import { analyse } from '../../core/topology';
import type { Dossier } from '../dossier';
import { tracedBoard } from './tracedBoard';

/** From this probability on the topology of a board says what its parts must stand. */
const SURE = 0.85;
/** Boards whose topology is remembered, so that a page need not work it out again. */
const REMEMBERED = 64;
const topologyOf = recentOf<string | undefined>(REMEMBERED);

/** What the parts of a donor must stand: by its plate, and by the topology of its main stage once that was traced. */
export async function donorStress(dossier: Dossier): Promise<UnitStress> {
  return unitStress(dossier.plate, await mainTopology(dossier));
}

async function mainTopology(dossier: Dossier): Promise<string | undefined> {
  const board = await tracedBoard(dossier, false);
  if (!board.joined || board.joined.length === 0) return undefined;
  return topologyOf(JSON.stringify(board), () => {
    const size = ({ magnetics, rectifiers }: { magnetics: readonly string[]; rectifiers: readonly string[] }) =>
      magnetics.length + rectifiers.length;
    const [main] = analyse(board).stages.toSorted((a, b) => size(b) - size(a));
    return main && main.probability >= SURE ? main.topology : undefined;
  });
}
