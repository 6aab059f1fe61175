import { fitAs } from './fitAs';
import { demandOf } from './point';
import { designOf, type Design } from './search';
import type { Designed, DesignLot, DesignRole, DesignSpec } from './spec';

/** A design as it is kept with a build: what was asked, and the lots as they were then. */
export interface DesignRecord {
  readonly spec: DesignSpec;
  readonly topology: Designed;
  readonly frequency: number;
  readonly inductance: number;
  readonly turns?: number;
  readonly parts: Readonly<Partial<Record<DesignRole, { readonly lot: DesignLot; readonly count: number }>>>;
  /** The controller, where one of the drawers was chosen. */
  readonly control?: DesignLot;
}

/** What of a design is kept. */
export function recordOf(design: Design, spec: DesignSpec, control: DesignLot | undefined): DesignRecord {
  const { topology, frequency, inductance, turns, parts } = design;
  return {
    spec,
    topology,
    frequency,
    inductance,
    ...(turns === undefined ? {} : { turns }),
    parts: Object.fromEntries(Object.entries(parts).map(([role, { lot, count }]) => [role, { lot, count }])),
    ...(control ? { control } : {}),
  };
}

/** A kept design, worked out again; nothing where its parts no longer fit, as rules change. */
export function designFrom({ spec, topology, frequency, inductance, turns, parts }: DesignRecord): Design | undefined {
  const demand = demandOf(spec, { topology, frequency, inductance, ...(turns === undefined ? {} : { turns }) });
  if (!demand) return undefined;
  const fits = Object.entries(parts).map(([role, { lot, count }]) => {
    // The pieces that were set aside for it are there.
    const fit = fitAs(role as DesignRole, demand, { lot: { ...lot, pieces: Math.max(lot.pieces, 2 * count) }, count });
    return [role, fit] as const;
  });
  return fits.some(([, fit]) => fit === undefined)
    ? undefined
    : designOf(spec, demand, Object.fromEntries(fits) as Design['parts']);
}
