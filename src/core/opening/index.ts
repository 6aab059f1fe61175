export {
  DAMAGE_NAMES,
  DAMAGES,
  likeness,
  METHODS,
  SEAM_NAMES,
  seamRecords,
  SEAMS,
  USUAL_SEAMS,
  type DamageName,
  type MethodName,
  type OpeningStep,
  type SeamName,
  type SeamRecord,
  type UnitLikeness,
} from './opening';
export type { RecordedOpeningStep, Reassembly, WorkSpell } from './recorded';
