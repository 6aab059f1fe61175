export { kindFromDescription, UNIT_KIND_NAMES, UNIT_KINDS, type UnitKindName } from './kinds';
export { mayTakeApart, ORIGIN_NAMES, ORIGINS, type Clearance, type OriginName } from './rights';
export { SYMPTOM_NAMES, SYMPTOMS, type SymptomName } from './symptoms';
