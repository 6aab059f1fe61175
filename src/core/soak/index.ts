export { judgeSoak, type SoakJudgement, type SoakOutcome, type SoakRow } from './judgeSoak';
export type { RecordedSoakRow } from './recorded';
