export { DEFAULT_ACCURACY, uncertaintyOf, type Accuracy, type Uncertainty } from './meterAccuracy';
export { accuracyText, parseAccuracy } from './parseAccuracy';
export { normalCdf, withinLimit, type LimitVerdict } from './withinLimit';
