import type { BoardPart } from '../../board';

/** A stage as it was found: what plays which role, what feeds it, and what it feeds. */
export interface FoundStage {
  readonly topology: string;
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
  /** Rails that must be fed for it to work. */
  readonly sources: readonly number[];
  /** Rails it makes. */
  readonly outputs: readonly number[];
  readonly evidence: readonly string[];
  /** How many parts it explains, weighted: the more, the better the story. */
  readonly score: number;
  /** What commands it, where that is known. */
  readonly controllers: readonly BoardPart[];
  /** The form it was matched by. */
  readonly form: string;
  /** Capacitors it dumps. */
  readonly stores?: readonly BoardPart[];
  /** Parts beside it that power may take round it, such as a bypass diode: they are no source of its output. */
  readonly beside?: readonly BoardPart[];
}

/** Every part of a stage. */
export const partsOf = ({ switches, rectifiers, magnetics }: FoundStage): readonly BoardPart[] => [
  ...switches,
  ...rectifiers,
  ...magnetics,
];

export const uniqueParts = (parts: readonly BoardPart[]): readonly BoardPart[] => [...new Set(parts)];

const WEIGHT = { switches: 3, rectifiers: 1, magnetics: 2 } as const;

/** Weighted count of the parts that a stage explains. */
export const scoreOf = (stage: Pick<FoundStage, 'switches' | 'rectifiers' | 'magnetics'>): number =>
  stage.switches.length * WEIGHT.switches +
  stage.rectifiers.length * WEIGHT.rectifiers +
  stage.magnetics.length * WEIGHT.magnetics;
