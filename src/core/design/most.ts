import { fitAs } from './fitAs';
import type { Fit } from './parts';
import { demandOf } from './point';
import type { Design } from './search';
import { isSpared, type DesignRole, type DesignSpec } from './spec';

/** How much current a design gives at most with its own parts, and which of them is the first that has no room left. */
export interface Most {
  readonly current: number;
  readonly role: DesignRole;
}

/** Ten times the current is as far as is looked. */
const FURTHEST = 10;

/** The most current that a design stands, part by part; at least what it was designed for. */
export function mostOf(design: Design, spec: DesignSpec): Most | undefined {
  const { topology, frequency, inductance, turns } = design;
  const roles = (Object.entries(design.parts) as [DesignRole, Fit][]).filter(([role]) => !isSpared(role));
  const holds = (role: DesignRole, fit: Fit, current: number): boolean => {
    const demand = demandOf(
      { ...spec, current },
      { topology, frequency, inductance, ...(turns === undefined ? {} : { turns }) },
    );
    return demand !== undefined && fitAs(role, demand, fit) !== undefined;
  };
  const each = roles.map(([role, fit]): Most => {
    let [low, high] = [spec.current, FURTHEST * spec.current];
    for (let step = 0; step < 40; step += 1) {
      const middle = (low + high) / 2;
      if (holds(role, fit, middle)) low = middle;
      else high = middle;
    }
    return { role, current: low };
  });
  return each.toSorted((a, b) => a.current - b.current)[0];
}
