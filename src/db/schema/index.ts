export { builds, needs } from './build';
export { donors, journal, measurements, notes, partRatings, parts, stationMarks, storeReadings, stores } from './donor';
export { bins, lotRatings, lots, stockLedger } from './stock';
export { types, typeRatings } from './type';
