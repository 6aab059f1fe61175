import 'server-only';
import { cache } from 'react';
import { appContext } from '../../../db/appContext';
import { findDonor } from '../../../db/repositories/donors';
import { openDossier, type Dossier } from '../../../services/dossier';
import { newUnitFacts, type IntakeFacts } from '../intake/facts.server';
import { addressInHand, donorFrame } from './view.server';
import { readAt } from '../../../ui/frame/readAt';

// What the pages of a donor ask, on the context of this server. A request opens one dossier.

const dossierOf = cache(async (code: string): Promise<Dossier | undefined> => {
  readAt();
  const { db, now } = appContext();
  const donor = await findDonor(db.read, code.toUpperCase());
  return donor && openDossier(db.read, donor, now());
});

/** The dossier of a donor with what stands around its stations, or nothing when no donor has the code. */
export async function loadDonor(code: string) {
  const dossier = await dossierOf(code);
  return dossier && { dossier, donor: dossier.donor, frame: await donorFrame(dossier) };
}

/** The address of the station where a donor's work stands. */
export async function loadAddressInHand(code: string): Promise<string | undefined> {
  const dossier = await dossierOf(code);
  return dossier && addressInHand(dossier);
}

/** What Intake needs for a unit that is about to come. */
export const loadNewUnit = (): Promise<IntakeFacts> => newUnitFacts(appContext());
