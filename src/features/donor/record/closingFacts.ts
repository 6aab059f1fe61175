import type { ClosingFacts } from '../../../core/donor';
import { openRun } from '../../../db/repositories/harvest';
import { isOpen } from '../../../db/repositories/notes';
import { latestReassembly, runningClocks } from '../../../db/repositories/openings';
import { lotsOfDonor } from '../../../db/repositories/lotSearch';
import type { Dossier } from '../../../services/dossier';
import { powerUpOf } from '../../../services/board';

/** What stands of a unit when its work is to end. */
export async function closingFacts(dossier: Dossier): Promise<ClosingFacts> {
  const { db, donor } = dossier;
  const [overview, notes, run, reassembly, lots, clocks, { plan, standing }] = await Promise.all([
    dossier.overview(),
    dossier.notes(),
    openRun(db, donor.id),
    latestReassembly(db, donor.id),
    lotsOfDonor(db, donor.id),
    runningClocks(db, donor.id),
    powerUpOf(dossier),
  ]);
  return {
    liveStores: overview.liveStores.map(({ name }) => name),
    isPowered: overview.isPowered,
    openQuestions: notes.filter(isOpen).length,
    isClockRunning: clocks > 0,
    isRunUnderWay: run !== undefined,
    harvested: overview.facts.parts.harvested,
    unplaced: lots.filter(({ bin }) => bin === '').map(({ lot }) => lot.code),
    unlabelled: lots.filter(({ lot }) => lot.onHand > 0 && lot.labelledMs === null).map(({ lot }) => lot.code),
    reassembly: reassembly?.result,
    // No plan is no power-up that passed.
    powerUp: plan.kind === 'none' ? 'not-begun' : standing.state,
    hasToldNext: notes.some(({ tellNext }) => tellNext),
  };
}
