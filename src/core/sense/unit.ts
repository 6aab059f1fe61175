import { outputPower, supplyOf, type Nameplate } from '../nameplate';

/** What a unit's plate says that its parts must stand. Volts, amperes. */
export interface UnitStress {
  readonly input?: {
    readonly kind: 'ac' | 'dc';
    /** Largest input voltage as printed: rms for alternating. */
    readonly volts: number;
    /** Peak of it. */
    readonly peak: number;
    readonly current?: number;
  };
  /** Rails with their amperes, as magnitudes, the lowest first. */
  readonly outputs: readonly { readonly volts: number; readonly current?: number }[];
  /** Topology of the main stage, as the board format names it, once it is known. */
  readonly topology?: string | undefined;
}

/** Mains as printed may run this much over. Source: IEC 60038, 10 %. */
const MAINS_OVER = 1.1;

/** The stresses that follow from a plate. Printed ranges such as 100-240 V already end below the limit of the mains. */
export function unitStress(plate: Nameplate, topology?: string): UnitStress {
  const supply = supplyOf(plate);
  const volts = supply && (supply.kind === 'ac' ? supply.vMax * MAINS_OVER : supply.vMax);
  const outputs = plate.outputs
    .filter((output) => output.v !== 0)
    .map((output) => {
      const size = Math.abs(output.vMax ?? output.v);
      const power = outputPower(output);
      const current = output.i ?? (power === undefined ? undefined : power / size);
      return { volts: size, ...(current === undefined ? {} : { current }) };
    })
    .sort((a, b) => a.volts - b.volts);
  return {
    ...(supply && volts !== undefined
      ? {
          input: {
            kind: supply.kind,
            volts: supply.vMax,
            peak: supply.kind === 'ac' ? volts * Math.SQRT2 : volts,
            ...(supply.current === undefined ? {} : { current: supply.current }),
          },
        }
      : {}),
    outputs,
    ...(topology === undefined ? {} : { topology }),
  };
}
