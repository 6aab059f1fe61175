import type { BenchRecord } from '../../../core/benchline';
import type { StationName } from '../../../core/station';
import type { Edit } from '../../../db/repositories/journal';
import type { Refusal } from '../../../services/command';

type Kind = BenchRecord['kind'];
type RecordOf<K extends Kind> = Extract<BenchRecord, { kind: K }>;

/** How a station writes one kind of record down. */
export interface RecordHandler<K extends Kind> {
  /** Whose record it is; one of no station belongs to where it was made. */
  readonly station?: StationName;
  /** What to answer when the database refuses it. */
  readonly onConflict?: (record: RecordOf<K>) => Refusal;
  /** Writes it down. Returns what was done, in a sentence without its stop. */
  write(edit: Edit, record: RecordOf<K>): Promise<string>;
}

/** The handlers of some kinds of record. */
export type RecordHandlers<K extends Kind> = { readonly [Each in K]: RecordHandler<Each> };
