export { judgeSwap, RULES, type Judgement, type Verdict } from './substitute';
export { together, type Companion } from './together';
export { toBuy } from './toBuy';
export { factsOf } from './facts';
export type { Finding, Level, PartFacts, PlaceFacts, Rule, Swap } from './judged';
export { combinations, type Combination } from './combine';
