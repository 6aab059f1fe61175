import type { AppContext } from '../../../db/context';
import { findDonor } from '../../../db/repositories/donors';
import { openDossier, type Dossier } from '../dossier';

/** The dossier of a donor that a test has made, opened again. */
export async function dossierOf({ db, now }: AppContext, code: string): Promise<Dossier> {
  const donor = await findDonor(db.read, code);
  if (!donor) throw new Error(`There is no donor ${code}.`);
  return openDossier(db.read, donor, now());
}
