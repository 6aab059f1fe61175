import type { StationName } from '../station';
import type { IssueStatus } from './record';

/** A note, a question or a claim. */
export interface Note {
  readonly id: string;
  readonly donorId: string;
  readonly station: StationName;
  /** Reference of the part it is about, or empty. */
  readonly ref: string;
  readonly text: string;
  readonly question: boolean;
  readonly claim: boolean;
  /** How it stands by its latest event; a note has no standing. */
  readonly status: IssueStatus | '';
  /** What the next unit of its kind should be told. */
  readonly tellNext: boolean;
  /** Whom a question was put to, and by when an answer is expected. */
  readonly askedOf: string;
  readonly dueMs: number | null;
  readonly answeredMs: number | null;
  readonly createdMs: number;
}

/** A step in the life of a claim or a question. */
export interface NoteEvent {
  readonly id: string;
  readonly noteId: string;
  readonly status: IssueStatus;
  readonly because: string;
  readonly atMs: number;
}
