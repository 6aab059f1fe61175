export {
  mapPoint,
  PAIRING_PROBLEM_TEXT,
  pairPhotos,
  type Match,
  type Pairing,
  type PairingProblem,
  type PictureSize,
  type Point,
} from './pairing';
