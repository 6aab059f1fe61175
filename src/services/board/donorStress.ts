import { recentOf } from '../../core/recent';
import { unitStress, type UnitStress } from '../../core/sense';
import { analyse } from '../../core/topology';
import type { Queryable } from '../../db/client';
import type { Donor } from '../../db/repositories/donors';
import { plateOf } from '../../db/repositories/plate';
import { tracedBoard } from './tracedBoard';

/** From this probability on the topology of a board says what its parts must stand. */
const SURE = 0.85;
/** Boards whose topology is remembered, so that a page need not work it out again. */
const REMEMBERED = 64;
const topologyOf = recentOf<string | undefined>(REMEMBERED);

/** What the parts of a donor must stand: by its plate, and by the topology of its main stage once that was traced. */
export async function donorStress(db: Queryable, donor: Donor): Promise<UnitStress> {
  return unitStress(plateOf(donor), await mainTopology(db, donor));
}

async function mainTopology(db: Queryable, donor: Donor): Promise<string | undefined> {
  const board = await tracedBoard(db, donor, false);
  if (!board.joined || board.joined.length === 0) return undefined;
  return topologyOf(JSON.stringify(board), () => {
    const size = ({ magnetics, rectifiers }: { magnetics: readonly string[]; rectifiers: readonly string[] }) =>
      magnetics.length + rectifiers.length;
    const [main] = analyse(board).stages.toSorted((a, b) => size(b) - size(a));
    return main && main.probability >= SURE ? main.topology : undefined;
  });
}
