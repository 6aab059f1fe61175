import { fixedWords, TOPOLOGY_WORDS, type FixedPart } from '../board';
import { CLAIMED, type StageClaim } from './claims';
import { againstOf } from './rivals';

const nameOf = (topology: string) => TOPOLOGY_WORDS[topology] ?? topology;
const anchorsOf = ({ magnetics }: StageClaim) => (magnetics.length > 0 ? ` at ${magnetics.join(' ')}` : '');

/**
 * Where a person and the evidence part ways: one sentence for everything fixed that a free reading of the board does
 * not bear out, and one for every stage that is lost by it.
 * @param free what is claimed of the board without anything fixed, the likeliest first
 * @param reasoned the stages claimed with it
 */
export function disagreements(
  fixed: readonly FixedPart[],
  free: readonly StageClaim[],
  reasoned: readonly StageClaim[],
): readonly string[] {
  const told = free.filter(({ probability }) => probability >= CLAIMED);
  const against = fixed.flatMap(({ ref, as }) => {
    const said = `You take ${ref} for ${fixedWords(as)}; `;
    if (as in TOPOLOGY_WORDS) {
      const own = free.find(({ magnetics }) => magnetics.includes(ref));
      if (own?.topology === as) return [];
      const otherwise = `Were it a ${nameOf(as)}, ${againstOf(as)}.`;
      return own
        ? [`${said}the evidence reads as a ${nameOf(own.topology)} (${own.probability.toFixed(2)}). ${otherwise}`]
        : [`${said}the evidence makes it the main magnetic part of nothing. ${otherwise}`];
    }
    const stage = told.find(({ switches, rectifiers, magnetics }) =>
      [switches, rectifiers, magnetics].some((refs) => refs.includes(ref)),
    );
    const role = stage && roleIn(stage, ref);
    if ((role ?? 'nothing') === as) return [];
    return [
      stage && role
        ? `${said}the evidence makes it ${fixedWords(role)} of the ${nameOf(stage.topology)}${anchorsOf(stage)} (${stage.probability.toFixed(2)}).`
        : `${said}the evidence gives it no part in any stage.`,
    ];
  });
  const lost = told
    .filter((stage) => !reasoned.some((other) => isSame(stage, other)))
    .map((stage) => `With that, the ${nameOf(stage.topology)}${anchorsOf(stage)} is no longer found.`);
  return against.length > 0 ? [...against, ...lost] : [];
}

function roleIn({ switches, rectifiers, magnetics }: StageClaim, ref: string): string | undefined {
  if (switches.includes(ref)) return 'switch';
  if (rectifiers.includes(ref)) return 'rectifier';
  return magnetics.includes(ref) ? 'output-choke' : undefined;
}

const isSame = (one: StageClaim, other: StageClaim) =>
  one.topology === other.topology &&
  (one.magnetics.length === 0 || one.magnetics.some((ref) => other.magnetics.includes(ref)));
