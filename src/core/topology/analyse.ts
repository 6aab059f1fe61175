import { sidesOf, type Board } from '../board';
import { partsOf, type FoundStage } from './match/stage';
import { SLOT_CLASSES } from './partial/features';
import { COUPLED_MAGNETICS, judgeSlots } from './partial/judge';
import { recognise, type Recognition } from './recognise';
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

export interface Analysis {
  /** Stages claimed at 0.5 or more, from the input to the outputs; auxiliary converters last. */
  readonly stages: readonly StageClaim[];
  /** The most probable topologies: for every part that may be the heart of a stage the likeliest reading. */
  readonly likeliest: readonly string[];
  /** Every stage that came into question, the likeliest first. */
  readonly hypotheses: readonly StageClaim[];
  readonly bulk: readonly string[];
  readonly isolation: { readonly isolated: boolean; readonly crossing: readonly string[] };
  readonly sides: Readonly<Record<string, string>>;
  /** What was left out of account, in sentences: a search cut off, pins not traced. */
  readonly limits: readonly string[];
  readonly recognition: Recognition;
}

/** How sure a stage is that was found whole on a wholly traced board; less where a rival explains as many parts. */
const WHOLE = 0.97;
const WITH_RIVAL = 0.85;
const CLAIMED = 0.5;
/** Readings below this are not worth a line. */
const WORTH_SAYING = 0.01;

/** What circuit a board is, how sure that is and why; wholly or partly traced. */
export function analyse(board: Board): Analysis {
  const recognition = recognise(board);
  const { model, barrier, bulk, isCut } = recognition;
  const { nets } = model;
  const { claims, leading } = nets.complete ? wholeClaims(recognition) : partialClaims(recognition);
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
      ...(untraced > 0 ? [`${untraced} pins are not joined to anything yet; what hangs on them is not known.`] : []),
    ],
    recognition,
  };
}

const refs = (parts: readonly { readonly ref: string }[]) => parts.map(({ ref }) => ref).toSorted();

interface Claims {
  readonly claims: readonly StageClaim[];
  /** Those that lead among the readings of their parts. */
  readonly leading: readonly StageClaim[];
}

function wholeClaims({ stages, rejected }: Recognition): Claims {
  const won = stages.map((stage) => {
    const own = new Set(partsOf(stage));
    const rivals = rejected.filter(
      (other) =>
        other.topology !== stage.topology && partsOf(other).some((part) => own.has(part)) && other.score >= stage.score,
    );
    return claim(stage, rivals.length > 0 ? WITH_RIVAL : WHOLE);
  });
  const lost = rejected
    .filter((stage) => stage.score >= 4)
    .map((stage) => claim(stage, WORTH_SAYING))
    .slice(0, 10);
  return { claims: [...won, ...lost], leading: won };
}

function claim(stage: FoundStage, probability: number): StageClaim {
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
  for (const { slot, heart, probabilities } of judgeSlots(model, stages)) {
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
              other.topology === topology && (other.magnetics.includes(heart.ref) || isTwin(other, cast, heart)),
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
  const heartless = stages.filter(({ magnetics }) => magnetics.length === 0).map((stage) => claim(stage, HEARTLESS));
  const order = new Map(stages.map((stage, index) => [`${stage.topology} ${refs(stage.magnetics).join()}`, index]));
  const rank = ({ topology, magnetics }: StageClaim) =>
    order.get(`${topology} ${magnetics.join()}`) ?? (topology === 'boost-pfc' ? -1 : 99);
  const all = [...heartless, ...claims].toSorted((a, b) => rank(a) - rank(b));
  return {
    claims: all,
    leading: all.filter((entry) => entry.magnetics.length === 0 || leading.has(entry)),
  };
}

/** How sure a stage without a magnetic heart is on a board traced in part. */
const HEARTLESS = 0.9;

/** Two claims on different chokes that are one stage: both coupled, or the phases of a stage that was found whole. */
const isTwin = (
  other: StageClaim,
  cast: { readonly magnetics: readonly { readonly ref: string }[] },
  heart: { readonly ref: string },
) =>
  other.topology === 'sepic' ||
  other.topology === 'cuk' ||
  cast.magnetics.some(({ ref }) => ref !== heart.ref && other.magnetics.includes(ref));

const merged = (first: StageClaim, second: StageClaim): StageClaim => ({
  ...first,
  switches: union(first.switches, second.switches),
  rectifiers: union(first.rectifiers, second.rectifiers),
  magnetics: union(first.magnetics, second.magnetics),
});
const union = (a: readonly string[], b: readonly string[]) => [...new Set([...a, ...b])].toSorted();

const round = (value: number) => Math.round(value * 1000) / 1000;
