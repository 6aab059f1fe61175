import { dividedOf, flybackOf } from './isolated';
import { buckOf, storedOf } from './single';
import type { Conversion, ConversionProblem, Task } from './task';

/**
 * Works a converter out. Equations: FORMULAS of the trade after Erickson & Maksimovic, chapters 2, 5 and 6 (from memory).
 * @returns what it comes to, or which condition is not met
 */
export function convert(task: Task): Conversion | ConversionProblem {
  switch (task.topology) {
    case 'buck':
      return buckOf(task);
    case 'boost':
    case 'inverting':
    case 'sepic':
    case 'cuk':
      return storedOf(task);
    case 'flyback':
      return flybackOf(task);
    default:
      return dividedOf(task);
  }
}
