import { planPowerUp, standingOf, type PowerUpPlan, type PowerUpUnit, type Standing } from '../../core/bringup';
import { partsByRole } from '../../core/diagnose';
import { recentOf } from '../../core/recent';
import { listPowerUpMarks } from '../../db/repositories/powerUp';
import { tracedBoard } from './tracedBoard';
import { partRoles, tracedReading } from './tracedReading';
import { holdOf, unitRecord, type Dossier } from '../dossier';

/** A power-up as it stands: its steps with this unit's own numbers, what was answered, and how the unit is now. */
export interface PowerUp {
  readonly plan: PowerUpPlan;
  readonly standing: Standing;
  readonly now: { readonly isPowered: boolean; readonly isDead: boolean };
}

/** Plans that are remembered: each answer asks for the same one again. */
const REMEMBERED = 16;
const planned = recentOf<PowerUpPlan>(REMEMBERED);

/** The first power-up of a donor. */
export async function powerUpOf(dossier: Dossier): Promise<PowerUp> {
  const [record, board, reading, described, overview, marks, { mains }] = await Promise.all([
    unitRecord(dossier),
    tracedBoard(dossier, false),
    tracedReading(dossier),
    partRoles(dossier),
    dossier.overview(),
    listPowerUpMarks(dossier.db, dossier.donor.id),
    dossier.settings(),
  ]);
  const { topologies, isIsolated } = reading;
  const { kind } = dossier.donor;
  const shut = record.cautions.find(({ leaveShut }) => leaveShut !== undefined)?.leaveShut;
  const unit: Omit<PowerUpUnit, 'partsOf'> = {
    kind,
    plate: dossier.plate,
    mains,
    board,
    topologies,
    stores: record.stores.map(({ store }) => {
      const { volts } = holdOf(store, record.voltages);
      return {
        name: store.name,
        role: store.role,
        capacitance: store.capacitanceF,
        isHalf: store.holdSource === 'doubler',
        ...(store.ratedV === null ? {} : { rated: store.ratedV }),
        ...(volts === undefined ? {} : { holds: volts }),
      };
    }),
    replaced: record.parts.filter(({ part }) => part.fitments.includes('replaced')).map(({ part }) => part.ref),
    ...(isIsolated === undefined ? {} : { isIsolated }),
    ...(shut === undefined ? {} : { leaveShut: shut }),
  };
  const plan = planned(JSON.stringify([unit, [...described]]), () =>
    planPowerUp({ ...unit, partsOf: partsByRole({ unit: { kind }, board, topologies, described }) }),
  );
  return {
    plan,
    standing: standingOf(plan.kind === 'steps' ? plan.steps : [], marks),
    now: { isPowered: overview.isPowered, isDead: overview.liveStores.length === 0 },
  };
}
