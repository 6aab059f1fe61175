import type { OutcomeName } from './outcome';
import type { Fittings } from '../module';
import type { InletName, Nameplate } from '../nameplate';
import type { Clearance, OriginName, SymptomName, UnitKindName } from '../unit';

/** One discarded unit. The nameplate is kept as typed and read by core whenever it is shown. */
export interface Donor {
  readonly id: string;
  readonly code: string;
  readonly description: string;
  readonly maker: string;
  readonly model: string;
  readonly kind: UnitKindName;
  readonly nameplate: string;
  /** The plate as a person put it right, field by field; null while the reading of the text stands. */
  readonly plate: Nameplate | null;
  readonly originKind: OriginName | '';
  readonly origin: string;
  readonly clearance: Clearance;
  readonly symptomKind: SymptomName | '';
  readonly symptom: string;
  /** Codes as typed, each with where it stands: `2314 lid, 1948 C3`. */
  readonly dateCodes: string;
  readonly fuseA: number | null;
  readonly inlet: InletName | null;
  readonly cableM2: number | null;
  readonly switchA: number | null;
  readonly thyristorA: number | null;
  readonly ambientC: number | null;
  readonly lengthM: number | null;
  readonly widthM: number | null;
  readonly heightM: number | null;
  readonly massKg: number | null;
  /** Its plug, cooling and mounting, for when it is used whole. */
  readonly fittings: Fittings;
  /** How its work ended; empty while it is under way. */
  readonly outcome: OutcomeName | '';
  readonly outcomeNote: string;
  readonly closedMs: number | null;
  readonly createdMs: number;
  /** When it was put into the archive. */
  readonly deletedMs: number | null;
}

/** Where the made-up unit comes from that a newcomer looks round in: by it the unit is told from one's own. */
export const SAMPLE_ORIGIN = 'comes with Zorvek';

/** Whether a unit is the made-up one. */
export const isSample = ({ origin }: Pick<Donor, 'origin'>): boolean => origin === SAMPLE_ORIGIN;
