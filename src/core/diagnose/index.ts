export { CAUSE_NAMES, CAUSES, type Cause, type CauseName } from './causes';
export { circuitsOf, diagnose, type Complaint, type Diagnosis, type LikelyCause, type NextCheck } from './diagnose';
export type { Seen } from './readings';
export { CHECK_TESTS, ROLES, SYMPTOMS, type CheckTest, type RoleName, type Symptom } from './words';
