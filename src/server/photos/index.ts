export {
  PHOTO_SIZES,
  photoFile,
  photoProblemText,
  photosFolder,
  storePhoto,
  type PhotoProblem,
  type PhotoSize,
  type StoredPhoto,
} from './photoStore';
