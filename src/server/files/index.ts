export {
  datasheetFile,
  datasheetProblemText,
  datasheetsFolder,
  storeDatasheet,
  type DatasheetProblem,
} from './datasheetStore';
export { keepFile } from './keepFile';
