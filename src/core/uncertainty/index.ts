export { checkMeter, LEAST_APART, USUAL_TOLERANCE, type KnownPart } from './checkMeter';
export { ACCURACY_UNIT, DEFAULT_ACCURACY, uncertaintyOf, type Accuracy, type Uncertainty } from './meterAccuracy';
export { accuracyText, parseAccuracy } from './parseAccuracy';
export { normalCdf, SETTLED_SPAN, withinLimit, type LimitVerdict } from './withinLimit';
