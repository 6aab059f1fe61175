export { CAUSE_NAMES, CAUSES, type Cause, type CauseName } from './causes';
export { diagnose, NONE, partsByRole, type Diagnosis, type LikelyCause } from './diagnose';
export { NO_SUCH_PART, type Seen, type State } from './readings';
export { foundAt } from './weigh';
export type { RepairFact } from './repairFact';
export { CHECK_TESTS, ROLES, SYMPTOMS, type CheckTest, type RoleName, type Symptom } from './words';
export { namedAs, type Complaint } from './complaint';
export type { NextCheck } from './nextChecks';
