import { formatDuration, formatQuantity } from '../quantity';
import type { DischargeWarning } from './fitDischarge';

/** What a warning of the fit means, in a sentence for the person at the bench. */
export function dischargeWarningText(warning: DischargeWarning): string {
  switch (warning.kind) {
    case 'too-few':
      return `${warning.usable} usable ${warning.usable === 1 ? 'reading' : 'readings'}: a fit needs three at different times.`;
    case 'rising':
      return `The voltage rises at ${formatQuantity(warning.at, 'second')}: the store is being charged. Is it still plugged in?`;
    case 'rebound':
      return `The voltage came back at ${formatQuantity(warning.at, 'second')}: the store recovers after its discharge. Bleed it again, then wait and read.`;
    case 'plateau':
      return `The voltage stays near ${formatQuantity(warning.voltage, 'volt', { digits: 3 })} from ${formatDuration(warning.from)} on. Is it still fed? Else the bleed path opens on the way down. No time can be given.`;
    case 'two-regimes':
      return Number.isFinite(warning.late) && warning.late > warning.early
        ? `It falls more slowly from ${formatDuration(warning.from)} on: something that drew current has stopped. Only the later readings count.`
        : `It falls faster from ${formatDuration(warning.from)} on: something began to draw current. Only the later readings count.`;
    case 'constant-current':
      return 'The voltage falls in a straight line: something draws constant current. No exponential time holds.';
    case 'converter-running':
      return 'The curve is that of a converter still running from the store: it stops by itself and leaves 40 to 100 V. No time can be given.';
    case 'does-not-fit':
      return `The readings lie ${formatQuantity(warning.residual, 'volt', { digits: 2 })} off any exponential. Read again.`;
    case 'cannot-tell-model':
      return 'The readings do not yet tell one kind of discharge from another. Wait and read again.';
    case 'far-extrapolation':
      return `The time lies ${warning.spans.toFixed(1)} times the measured span away: take it as a hint and read again.`;
    case 'reading-dropped':
      return `${formatQuantity(warning.voltage, 'volt')} at ${formatQuantity(warning.at, 'second')} is too small for this meter to fit.`;
  }
}
