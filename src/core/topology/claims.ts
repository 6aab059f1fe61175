import { partsOf, type FoundStage } from './match/stage';
import type { Model } from './model';
import { fixedAnchors } from './model/fixed';
import { SLOT_CLASSES } from './partial/features';
import { anchorlessByParts } from './partial/anchorless';
import { COUPLED_MAGNETICS, judgeSlots } from './partial/judge';
import { slotsOf } from './partial/slots';
import type { Recognition } from './recognise';
import { againstOf, rivalsOf } from './rivals';

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

/** How sure a stage is that was found whole on a wholly traced board; less where a rival explains as many parts. */
const WHOLE = 0.97;
const WITH_RIVAL = 0.85;
/** What a person has fixed is not in question. */
const FIXED = 1;
/** Claims from here on count as said. */
export const CLAIMED = 0.5;
/** Readings below this are not worth a line. */
const WORTH_SAYING = 0.01;

/** Every reading of the stages of a board, with how sure each is. */
export const claimsOf = (recognition: Recognition): Claims =>
  recognition.model.nets.complete ? wholeClaims(recognition) : partialClaims(recognition);

/** References of parts, sorted. */
export const refs = (parts: readonly { readonly ref: string }[]) => parts.map(({ ref }) => ref).toSorted();

export interface Claims {
  readonly claims: readonly StageClaim[];
  /** Those that lead among the readings of their parts. */
  readonly leading: readonly StageClaim[];
}

function wholeClaims({ model, stages, rejected }: Recognition): Claims {
  const fixed = fixedAnchors(model.board);
  const found = stages.map((stage) => {
    if (stage.magnetics.some(({ ref }) => fixed.has(ref))) return claim(stage, FIXED);
    const own = new Set(partsOf(stage));
    const rivals = rejected.filter(
      (other) =>
        other.topology !== stage.topology && partsOf(other).some((part) => own.has(part)) && other.score >= stage.score,
    );
    return claim(stage, rivals.length > 0 ? WITH_RIVAL : WHOLE);
  });
  const won = [...found, ...unfoundAnchors(model, stages, fixed)];
  const lost = rejected
    .filter((stage) => stage.score >= 4)
    .map((stage) => claim(stage, WORTH_SAYING))
    .slice(0, 10);
  return { claims: [...won, ...lost], leading: won };
}

/** Stages that a person has fixed and that no search finds: with the parts that come nearest to their roles. */
function unfoundAnchors(
  model: Model,
  stages: readonly FoundStage[],
  fixed: ReadonlyMap<string, string>,
): readonly StageClaim[] {
  const isFound = (ref: string) => stages.some(({ magnetics }) => magnetics.some((part) => part.ref === ref));
  const open = [...fixed].filter(([ref]) => !isFound(ref));
  if (open.length === 0) return [];
  const slots = slotsOf(model, stages);
  return open.flatMap(([ref, topology]) => {
    const slot = slots.find(({ anchor }) => anchor.ref === ref);
    if (!slot) return [];
    const { switches, rectifiers, magnetics, evidence } = slot.castOf(topology);
    const nearest = { topology, switches, rectifiers, magnetics: magnetics.length > 0 ? magnetics : [slot.anchor] };
    return [claim({ ...nearest, evidence: ['You have fixed it; it is not found whole.', ...evidence] }, FIXED)];
  });
}

function claim(
  stage: Pick<FoundStage, 'topology' | 'switches' | 'rectifiers' | 'magnetics' | 'evidence'>,
  probability: number,
): StageClaim {
  return {
    topology: stage.topology,
    probability,
    switches: refs(stage.switches),
    rectifiers: refs(stage.rectifiers),
    magnetics: refs(stage.magnetics),
    evidence: stage.evidence,
    alternatives: rivalsOf(stage.topology).map((topology, _, { length }) => ({
      topology,
      probability: ((1 - probability) / length) * 0.8,
      against: againstOf(topology),
    })),
  };
}

function partialClaims({ model, stages }: Recognition): Claims {
  const claims: StageClaim[] = [];
  const leading = new Set<StageClaim>();
  for (const { slot, anchor, probabilities } of judgeSlots(model, stages)) {
    const named = SLOT_CLASSES.map((topology, index) => ({ topology, probability: probabilities[index] ?? 0 }))
      .filter(({ topology, probability }) => topology !== 'none' && probability >= WORTH_SAYING)
      .toSorted((a, b) => b.probability - a.probability);
    const nothing = probabilities[SLOT_CLASSES.indexOf('none')] ?? 0;
    const [top] = named;
    for (const { topology, probability } of named) {
      const cast = slot.castOf(topology);
      const twin = COUPLED_MAGNETICS.has(topology)
        ? claims.find(
            (other) =>
              other.topology === topology && (other.magnetics.includes(anchor.ref) || isTwin(other, cast, anchor)),
          )
        : undefined;
      const next: StageClaim = {
        topology,
        probability: round(probability),
        switches: refs(cast.switches),
        rectifiers: refs(cast.rectifiers),
        magnetics: refs(cast.magnetics),
        evidence: cast.evidence,
        alternatives: named
          .filter((other) => other.topology !== topology)
          .slice(0, 3)
          .map((other) => ({
            topology: other.topology,
            probability: round(other.probability),
            against: againstOf(other.topology),
          })),
      };
      const isLeading = topology === top?.topology && probability > nothing;
      const whole = !twin ? next : next.probability > twin.probability ? merged(next, twin) : merged(twin, next);
      if (twin) claims[claims.indexOf(twin)] = whole;
      else claims.push(whole);
      if (isLeading || (twin && leading.delete(twin))) leading.add(whole);
    }
  }
  const found = stages.filter(({ magnetics }) => magnetics.length === 0).map((stage) => claim(stage, ANCHORLESS));
  const suggested = anchorlessByParts(model.board)
    .filter(({ topology }) => !found.some((stage) => stage.topology === topology))
    .map((stage) => claim(stage, stage.probability));
  const anchorless = [...found, ...suggested];
  const order = new Map(stages.map((stage, index) => [`${stage.topology} ${refs(stage.magnetics).join()}`, index]));
  const rank = ({ topology, magnetics }: StageClaim) =>
    order.get(`${topology} ${magnetics.join()}`) ?? (topology === 'boost-pfc' ? -1 : 99);
  const all = [...anchorless, ...claims].toSorted((a, b) => rank(a) - rank(b));
  return {
    claims: all,
    leading: all.filter((entry) => entry.magnetics.length === 0 || leading.has(entry)),
  };
}

/** How sure a stage without a magnetic anchor is on a board traced in part. */
const ANCHORLESS = 0.9;

/** Two claims on different chokes that are one stage: both coupled, or the phases of a stage that was found whole. */
const isTwin = (
  other: StageClaim,
  cast: { readonly magnetics: readonly { readonly ref: string }[] },
  anchor: { readonly ref: string },
) =>
  other.topology === 'sepic' ||
  other.topology === 'cuk' ||
  cast.magnetics.some(({ ref }) => ref !== anchor.ref && other.magnetics.includes(ref));

const merged = (first: StageClaim, second: StageClaim): StageClaim => ({
  ...first,
  switches: union(first.switches, second.switches),
  rectifiers: union(first.rectifiers, second.rectifiers),
  magnetics: union(first.magnetics, second.magnetics),
});
const union = (a: readonly string[], b: readonly string[]) => [...new Set([...a, ...b])].toSorted();

const round = (value: number) => Math.round(value * 1000) / 1000;
