export { exportLots } from './exportLots';
export { exportTypes } from './exportTypes';
export { importLots, previewLots, type LotsPreview } from './importLots';
export { importNeeds, previewNeeds, type NeedsPreview } from './importNeeds';
export { importTypes, previewTypes, type TypesPreview } from './importTypes';
export type { SaidOfColumns } from './remembered';
