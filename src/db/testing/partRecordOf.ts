import type { Source } from '../../core/evidence';
import type { KindName, RatingName } from '../../core/part';
import type { PartRecord } from '../repositories/parts';

/** A part in a few words: kind, what is known of it, and its readings, the newest first. */
export interface PartInShort {
  readonly kind: KindName;
  readonly ref?: string;
  readonly package?: string;
  readonly subtype?: string;
  readonly marking?: string;
  readonly damage?: readonly string[];
  /** A bare number was decoded. */
  readonly ratings?: Partial<Record<RatingName, number | readonly [value: number, source: Source]>>;
  /** `inCircuit` when the part sat on its board; over range is infinite. */
  readonly readings?: readonly {
    readonly values: Readonly<Record<string, number>>;
    readonly inCircuit?: boolean;
    readonly meter?: string;
    readonly atMs?: number;
  }[];
}

/** A share of a reading that its meter resolves. */
const RESOLUTION = 1e-4;

export function partRecordOf(of: PartInShort): PartRecord {
  return {
    part: {
      id: 'p1',
      donorId: 'd1',
      ref: of.ref ?? 'R1',
      kind: of.kind,
      subtype: of.subtype ?? null,
      package: of.package ?? null,
      marking: of.marking ?? null,
      technology: null,
      dateCode: null,
      damage: [...(of.damage ?? [])],
      block: null,
      duty: null,
      fitments: [],
      pinHints: {},
      typeId: null,
      wish: null,
      mounting: { ways: [], behind: [] },
      state: 'on-board',
      createdMs: 0,
    },
    ratings: Object.fromEntries(
      Object.entries(of.ratings ?? {}).map(([name, known]) => {
        const [value, source] = typeof known === 'number' ? ([known, 'decoded'] as const) : known;
        return [name, { value, source }];
      }),
    ),
    measurements: (of.readings ?? []).map(({ values, inCircuit = false, meter = '', atMs }, index) => ({
      id: `m${index}`,
      test: of.kind,
      values: Object.fromEntries(
        Object.entries(values).map(([name, value]) => [
          name,
          { value, resolution: (Number.isFinite(value) && RESOLUTION * Math.abs(value)) || 1 },
        ]),
      ),
      inCircuit,
      meter,
      takenMs: atMs ?? index,
    })) as unknown as PartRecord['measurements'],
  };
}
