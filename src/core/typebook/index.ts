export type { EntryRating, ReadFile, TypeEntry } from './entry';
export { planImport, type ImportPlan, type KnownTypes, type PlannedEntry } from './planImport';
export { readEntry, type RawEntry } from './readEntry';
export { readTypeTable, typeTable } from './table';
export type { Datasheet, PartType } from './record';
