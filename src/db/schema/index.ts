// Tables and columns; what a field means is written at its type in core.
export { builds, needs } from './build';
export {
  boardFacts,
  donors,
  journal,
  type JournalScope,
  keptSums,
  measurements,
  noteEvents,
  meterChecks,
  notes,
  partRatings,
  parts,
  powerEvents,
  powerUpMarks,
  recordings,
  repairFacts,
  soakRows,
  stationMarks,
  storeReadings,
  stores,
} from './donor';
export { harvestRuns, harvestSteps } from './harvest';
export { openingSteps, reassemblies, workSpells } from './opening';
export { photoPairs, photoPins, photos, pinSpots } from './photo';
export { settings } from './setting';
export { bins, lotRatings, lots, savedFilters, stockLedger } from './stock';
export { datasheets, typeAliases, typeRatings, types } from './type';
