import type { KindName } from '../part';

/** A part number that was met, with what is known of it. */
export interface PartType {
  readonly id: string;
  readonly kind: KindName;
  readonly name: string;
  readonly technology: string | null;
  readonly package: string | null;
  readonly note: string;
  readonly createdMs: number;
}

/** A datasheet of a type. The file lies beside the database under its content's hash; its text is not read. */
export interface Datasheet {
  readonly id: string;
  readonly typeId: string;
  readonly hash: string;
  readonly fileName: string;
  readonly bytes: number;
  readonly createdMs: number;
}
