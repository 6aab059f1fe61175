import type { StationName } from '../station';
import type { DamageName, MethodName, SeamName } from './opening';

/** One step of taking a case apart, in the order it was done. */
export interface RecordedOpeningStep {
  readonly id: string;
  readonly donorId: string;
  readonly seam: SeamName;
  readonly method: MethodName | '';
  /** Drive and size of a fastener, such as `TR9` or `PH1 3x10`. */
  readonly drive: string;
  readonly count: number | null;
  readonly place: string;
  readonly minutes: number | null;
  readonly damage: DamageName;
  readonly kept: string;
  readonly createdMs: number;
}

/** A stretch of work at a station; without an end it still runs. */
export interface WorkSpell {
  readonly id: string;
  readonly donorId: string;
  readonly station: StationName;
  readonly startedMs: number;
  readonly endedMs: number | null;
}

/** How putting a unit together again went. */
export interface Reassembly {
  readonly id: string;
  readonly donorId: string;
  readonly result: 'works' | 'closed' | 'loose' | 'not-possible';
  readonly remark: string;
  readonly createdMs: number;
}
