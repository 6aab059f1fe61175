export {
  mapPoint,
  PAIRING_PROBLEM_TEXT,
  pairPhotos,
  type Affine,
  type Match,
  type Pairing,
  type PairingProblem,
  type PictureSize,
  type Point,
} from './pairing';
export { cropAround, type Crop } from './crop';
export { preparePicture, type Picture } from './prepare';
export {
  CORNERS_PROBLEM_TEXT,
  cornersProblem,
  preparationMaps,
  preparedSize,
  type Corners,
  type Preparation,
} from './straighten';
export { spanningLines } from './spanning';
export type { Photo, PhotoPair, PhotoPin, PhotoSide, PinSpot } from './photo';
