import type { BoardPart } from '../../board';
import type { BoardFacts } from './facts/boardFacts';

/** Stages of which a board has one at most: two chokes read as one are its phases or its coupled pair. */
const ONE_ON_A_BOARD: ReadonlySet<string> = new Set(['sepic', 'cuk', 'boost-pfc']);
const INTERLEAVED: ReadonlySet<string> = new Set(['buck', 'boost']);

/**
 * Whether a choke read as a topology belongs to a stage of the same that other chokes were read as: coupled chokes,
 * phases that share a rail which stands still, or chokes of one value where there is a single output.
 * @param others references of the chokes of that stage
 * @param cast the chokes that fill its roles
 */
export function areOneStage(
  facts: BoardFacts,
  topology: string,
  others: readonly string[],
  cast: readonly BoardPart[],
  anchor: BoardPart,
): boolean {
  if (ONE_ON_A_BOARD.has(topology) || others.includes(anchor.ref)) return true;
  if (!INTERLEAVED.has(topology)) return false;
  return (
    cast.some(({ ref }) => ref !== anchor.ref && others.includes(ref)) ||
    sharesStillRail(facts, anchor.ref, others) ||
    isOneOfAKind(facts, anchor, others)
  );
}

function sharesStillRail({ model, rails }: BoardFacts, ref: string, others: readonly string[]): boolean {
  const railsOf = (wanted: string) =>
    model.elements.inductive.filter(({ part }) => part.ref === wanted).flatMap(({ a, b }) => [a, b]);
  const mine = railsOf(ref).filter((rail) => rails[rail]?.known && rails[rail].still);
  return others.some((other) => railsOf(other).some((rail) => mine.includes(rail)));
}

function isOneOfAKind({ board, list }: BoardFacts, { value }: BoardPart, others: readonly string[]): boolean {
  const henries = value?.inductance;
  if (henries === undefined || list.outputs !== 1 || list.transformers > 0) return false;
  return board.parts.some(({ ref, value: other }) => others.includes(ref) && other?.inductance === henries);
}
