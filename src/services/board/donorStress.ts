import { liveOutputCaution, type UnitCaution } from '../../core/safety';
import { unitStress, type UnitStress } from '../../core/sense';
import type { Dossier, UnitRecord } from '../dossier';
import { sureTopologies } from './tracedReading';

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
