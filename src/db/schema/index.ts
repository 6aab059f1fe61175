export { builds, needs } from './build';
export {
  donors,
  journal,
  measurements,
  notes,
  partRatings,
  parts,
  powerEvents,
  soakRows,
  stationMarks,
  storeReadings,
  stores,
} from './donor';
export { openingSteps, reassemblies, workSpells } from './opening';
export { PHOTO_SIDES, photoPairs, photoPins, photos } from './photo';
export { settings } from './setting';
export { bins, lotRatings, lots, stockLedger } from './stock';
export { types, typeRatings } from './type';
