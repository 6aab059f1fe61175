/** A row of a run under load; rows of one run share its number. */
export interface RecordedSoakRow {
  readonly id: string;
  readonly donorId: string;
  readonly run: number;
  readonly elapsedS: number;
  readonly inputW: number | null;
  readonly caseC: number | null;
  readonly outputV: number | null;
  readonly loadA: number | null;
  readonly remark: string;
  readonly takenMs: number;
}
