export {
  isKindName,
  KIND_NAMES,
  kindFromReference,
  kindFromWord,
  kindRule,
  kindsServing,
  PART_KINDS,
  type KindName,
  type PartKind,
  type TestName,
} from './kinds';
export { packageFromWord, packageRule, PACKAGES, type Package, type PackageGroup } from './packages';
export { ratingFromUnit, ratingFromWord } from './ratingFromUnit';
export { isRatingName, RATING_NAMES, RATINGS, type RatingName, type RatingRule } from './ratings';
export { DAMAGE_WORDS, SUBTYPES, type DamageWord } from './subtypes';
