import type { Finding } from '../core/findings';
import type { DrawnSchematic } from '../core/schematic';
import type { Analysis, ProbeAdvice } from '../core/topology';
import type { RailEstimate } from '../core/walk';

/** Everything that is worked out of a board, free of functions so that it crosses the thread. */
export interface BoardAnswer {
  readonly analysis: Omit<Analysis, 'recognition'>;
  readonly findings: readonly Finding[];
  readonly advice: ProbeAdvice;
  readonly rails: readonly RailEstimate[];
  readonly walk: readonly string[];
  readonly drawn: DrawnSchematic;
  /** Net of every pin, by `Q1.D`. */
  readonly nets: Readonly<Record<string, number>>;
}
