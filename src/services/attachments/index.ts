export { datasheetName, datasheetProblemText, storeDatasheet, type DatasheetProblem } from './datasheets';
export { PHOTO_SIZES, photoName, photoProblemText, storePhoto, type PhotoProblem, type PhotoSize } from './photos';
export { datasheetStore, photoStore } from './stores';
