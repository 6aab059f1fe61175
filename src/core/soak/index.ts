export { judgeSoak, type SoakJudgement, type SoakRow } from './judgeSoak';
