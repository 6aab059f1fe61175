export { effortOf, MOUNTING_NAMES, MOUNTINGS, type EffortClass, type MountingName } from './effort';
export { experienceOf, survivalText, type Experience, type PastStep } from './experience';
export { jobsOf, jobTitle, mountingText, type HarvestJob, type HarvestPart, type Mounting } from './jobs';
export { adviseWhole, type WholeAdvice, type WholeUnit } from './leaveWhole';
export { allotNeeds, type FilledNeed, type OpenNeed } from './needs';
export { planHarvest, type Job, type Plan } from './plan';
export { showMinutes, whyLeft, worthTesting, type LeftJob } from './reasons';
export { USEFULNESS } from './usefulness';
export { valueOf, type Value, type Wish, type Worth } from './value';
