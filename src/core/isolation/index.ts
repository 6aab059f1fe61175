export { BARRIER, clearance, creepage, MATERIALS, TOUCH_LIMITS, touchCurrent, WORST, type Material } from './isolation';
