export { isMadeVoltage } from './madeVolts';
export {
  isKindName,
  KIND_NAMES,
  kindFromReference,
  kindFromWord,
  kindRule,
  kindsServing,
  withArticle,
  type KindName,
  type PartKind,
  type TestName,
} from './kinds';
export { packageFromWord, packageRule, PACKAGES, type Package, type PackageGroup } from './packages';
export { ratingFromUnit, ratingFromWord } from './ratingFromUnit';
export { isRatingName, RATING_NAMES, RATINGS, type RatingName, type RatingRule } from './ratings';
export {
  BLOCK_NAMES,
  blockFromWord,
  BLOCKS,
  DUTIES,
  DUTY_NAMES,
  dutyFromWord,
  FITMENT_NAMES,
  fitmentFromWord,
  FITMENTS,
  type BlockName,
  type DutyName,
  type FitmentName,
} from './place';
export { safetyClassOf, safetySubtype } from './safetyClass';
export { DAMAGE_WORDS, damageFromWord, SUBTYPES, type DamageWord } from './subtypes';
