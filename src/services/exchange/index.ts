export { exportLots } from './exportLots';
export { exportTypes } from './exportTypes';
export { importLots, previewLots, type LotsPreview } from './importLots';
export { importTypes, previewTypes, type TypesPreview } from './importTypes';
