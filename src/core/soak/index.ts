export { judgeSoak, type SoakJudgement, type SoakRow } from './judgeSoak';
export type { RecordedSoakRow } from './recorded';
