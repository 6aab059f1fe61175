export { DEFAULT_ACCURACY, uncertaintyOf, type Accuracy, type Uncertainty } from './meterAccuracy';
export { normalCdf, withinLimit, type LimitVerdict } from './withinLimit';
