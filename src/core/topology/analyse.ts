import { counted } from '../quantity';
import { sidesOf, type Board } from '../board';
import { CLAIMED, claimsOf, refs, type StageClaim } from './claims';
import { disagreements } from './disagree';
import type { Sizes } from './partial/score';
import { powerPath, type PowerPath } from './powerPath';
import { recognise, type Recognition } from './recognise';

export interface Analysis {
  /** Stages claimed at 0.5 or more, from the input to the outputs; auxiliary converters last. */
  readonly stages: readonly StageClaim[];
  /** The most probable topologies: for every part that may be the anchor of a stage the likeliest reading. */
  readonly likeliest: readonly string[];
  /** Every stage that came into question, the likeliest first. */
  readonly hypotheses: readonly StageClaim[];
  readonly bulk: readonly string[];
  readonly isolation: { readonly isolated: boolean; readonly crossing: readonly string[] };
  readonly sides: Readonly<Record<string, string>>;
  /** What was left out of account, in sentences: a search cut off, pins not traced. */
  readonly limits: readonly string[];
  /** Where what a person has fixed goes against the evidence, in sentences. */
  readonly disagreements: readonly string[];
  readonly power: PowerPath;
  readonly recognition: Recognition;
}

/**
 * What circuit a board is, how sure that is and why; wholly or partly traced. What a person has fixed goes first, and
 * the rest is reasoned from it. `sizes` are how much each fact of a board traced in part says; those learnt, as a rule.
 */
export function analyse(board: Board, sizes?: Sizes): Analysis {
  const recognition = recognise(board);
  const { model, barrier, bulk, isCut } = recognition;
  const { nets } = model;
  const { claims, leading } = claimsOf(recognition, sizes);
  const stages = claims.filter(({ probability }) => probability >= CLAIMED);
  const untraced = nets.complete
    ? 0
    : nets.pins.filter((pins) => pins.length === 1 && pins[0]?.part.pins[pins[0].pin] === null).length;
  return {
    stages,
    likeliest: leading.map(({ topology }) => topology).toSorted(),
    hypotheses: claims.toSorted((a, b) => b.probability - a.probability),
    bulk: refs(bulk.parts),
    isolation: { isolated: barrier.isIsolated, crossing: refs(barrier.crossing) },
    sides: Object.fromEntries(sidesOf(board, nets, barrier.islands)),
    limits: [
      ...(isCut ? ['The search was cut off at its budget; what is said here is not all.'] : []),
      ...(untraced > 0
        ? [
            `${counted(untraced, 'pin is', 'pins are')} not joined to anything yet; what hangs on ${untraced === 1 ? 'it' : 'them'} is not known.`,
          ]
        : []),
    ],
    disagreements: freely(board, stages),
    power: powerPath(recognition, leading),
    recognition,
  };
}

function freely({ fixed = [], ...board }: Board, stages: readonly StageClaim[]): readonly string[] {
  if (fixed.length === 0) return [];
  const { claims } = claimsOf(recognise(board));
  return disagreements(
    fixed,
    claims.toSorted((a, b) => b.probability - a.probability),
    stages,
  );
}
