export { ACCURACY_UNIT, DEFAULT_ACCURACY, uncertaintyOf, type Accuracy, type Uncertainty } from './meterAccuracy';
export { accuracyText, parseAccuracy } from './parseAccuracy';
export { normalCdf, SETTLED_SPAN, withinLimit, type LimitVerdict } from './withinLimit';
