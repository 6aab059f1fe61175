import type { Core } from '../magnetics';

/** A coil of a wound core. */
export interface Coil {
  readonly turns: number;
  /** Bare, metres. */
  readonly wire: number;
  readonly strands: number;
  readonly length: number;
  /** At 80 °C. */
  readonly ohms: number;
  readonly rms: number;
}

/** How a core of the drawers is wound for a design. */
export interface Winding {
  readonly core: Core;
  readonly primary: Coil;
  /** Of a transformer. */
  readonly secondary?: Coil;
  /** In all: a spacer of half of it lies under both outer legs. Metres. */
  readonly gap: number;
  /** At the peak current, tesla. */
  readonly flux: number;
  /** Henry per turn², as it is measured once it is put together. */
  readonly factor: number;
  readonly fill: number;
}
