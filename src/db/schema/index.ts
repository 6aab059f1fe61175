export { builds, needs } from './build';
export {
  boardFacts,
  donors,
  journal,
  type JournalScope,
  measurements,
  noteEvents,
  notes,
  partRatings,
  parts,
  powerEvents,
  soakRows,
  stationMarks,
  storeReadings,
  stores,
} from './donor';
export { harvestRuns, harvestSteps, STEP_OUTCOMES } from './harvest';
export { openingSteps, reassemblies, workSpells } from './opening';
export { PHOTO_SIDES, photoPairs, photoPins, photos, pinSpots } from './photo';
export { settings } from './setting';
export { bins, lotRatings, lots, savedFilters, stockLedger } from './stock';
export { datasheets, typeAliases, typeRatings, types } from './type';
