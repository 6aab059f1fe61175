export {
  EFFORT_CLASSES,
  effortOf,
  MOUNTING_NAMES,
  MOUNTINGS,
  personalPace,
  type EffortClass,
  type MountingName,
  type PastStep,
} from './effort';
export { jobsOf, mountingText, type HarvestJob, type HarvestPart, type Mounting } from './jobs';
export { adviseWhole, type WholeAdvice, type WholeUnit } from './leaveWhole';
export { planHarvest, type Job, type Plan } from './plan';
export { showMinutes, whyLeft, type LeftJob } from './reasons';
export { USEFULNESS } from './usefulness';
export { valueOf, type Value, type Wish, type Worth } from './value';
