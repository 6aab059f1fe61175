import { sidesOf, type Board } from '../board';
import { partsOf, type FoundStage } from './match/stage';
import { recognise, type Recognition } from './recognise';

export interface Alternative {
  readonly topology: string;
  readonly probability: number;
  readonly against: string;
}

export interface StageClaim {
  readonly topology: string;
  readonly probability: number;
  readonly switches: readonly string[];
  readonly rectifiers: readonly string[];
  readonly magnetics: readonly string[];
  readonly evidence: readonly string[];
  readonly alternatives: readonly Alternative[];
}

export interface Analysis {
  /** Stages claimed at 0.5 or more, from the input to the outputs; auxiliary converters last. */
  readonly stages: readonly StageClaim[];
  /** Every stage that came into question, the likeliest first. */
  readonly hypotheses: readonly StageClaim[];
  readonly bulk: readonly string[];
  readonly isolation: { readonly isolated: boolean; readonly crossing: readonly string[] };
  readonly sides: Readonly<Record<string, string>>;
  /** What was left out of account, in sentences: a search cut off, pins not traced. */
  readonly limits: readonly string[];
  readonly recognition: Recognition;
}
