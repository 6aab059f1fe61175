import { islandsOf, type BoardPart } from '../board';
import { islandOfRail } from './match/isolated';
import { outputOf, type WindingOutput } from './match/outputs';
import { partsOf, uniqueParts, type FoundStage } from './match/stage';
import type { Model } from './model';
import { fixedAnchors } from './model/fixed';
import { TRANSISTOR_TERMINALS } from './model/parts';
import { SLOT_CLASSES, SWITCHES_NEEDED, type SlotClass } from './partial/classes';
import { judgeBoard } from './partial/judge';
import { areOneStage } from './partial/phases';
import { sayReason } from './partial/reason';
import { LEARNT_SIZES, reasonsFor, type Reason, type Sizes } from './partial/score';
import { mayAnchor, slotsOf } from './partial/slots';
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
  /** On a board traced in part: every fact that speaks for it (above zero) or against it, in nats, the weightiest first. */
  readonly reasons?: readonly { readonly text: string; readonly weight: number }[];
}

/** How sure a stage is that was found whole on a wholly traced board; less where a rival explains as many parts. */
const WHOLE = 0.97;
const WITH_RIVAL = 0.85;
/** What no form describes whole is claimed from here on, by the facts of its anchor. */
const REASONED_AT_LEAST = 0.7;
/** Its joins must speak for it by so much, in nats: a list of parts alone makes no stage. */
const TOLD_AT_LEAST = 3;
/** On a board that is wholly traced, something is seen to command the switch. */
const COMMANDS = [
  'chip commands',
  'small transistor commands',
  'own winding commands',
  'other winding commands',
  'winding drives the base',
  'windings drive several bases',
] as const;
/** What a person has fixed is not in question. */
const FIXED = 1;
/** Claims from here on count as said. */
export const CLAIMED = 0.5;
/** Readings below this are not worth a line. */
const WORTH_SAYING = 0.01;

/** Every reading of the stages of a board, with how sure each is. */
export const claimsOf = (recognition: Recognition, sizes?: Sizes): Claims =>
  recognition.model.nets.complete ? wholeClaims(recognition) : partialClaims(recognition, sizes);

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
  const won = [...found, ...unfoundAnchors(model, stages, fixed), ...reasoned(model, stages)];
  const lost = rejected
    .filter((stage) => stage.score >= 4)
    .map((stage) => claim(stage, WORTH_SAYING))
    .slice(0, 10);
  return { claims: [...won, ...lost], leading: won };
}

/**
 * Transformers and chokes that no stage was found with, read by the facts known of them: what no form describes whole
 * may still be plain.
 */
function reasoned(model: Model, stages: readonly FoundStage[]): readonly StageClaim[] {
  const explained = new Set([
    ...stages.flatMap((stage) => partsOf(stage).map(({ ref }) => ref)),
    ...(model.board.fixed ?? []).map(({ ref }) => ref),
  ]);
  const open = model.board.parts.filter((part) => mayAnchor(part) && !explained.has(part.ref));
  if (open.length === 0) return [];
  const { facts, slots } = judgeBoard(model, stages);
  if (!facts.isMains && !facts.isDcFed) return [];
  return slots.flatMap(({ slot, anchor, sheet, probabilities }) => {
    const most = Math.max(...probabilities);
    const topology = SLOT_CLASSES[probabilities.indexOf(most)] ?? 'none';
    if (!open.includes(anchor) || topology === 'none' || most < REASONED_AT_LEAST) return [];
    const cast = slot.castOf(topology);
    const joins = reasonsFor(sheet, topology, LEARNT_SIZES).filter(({ parts }) => parts.length > 0);
    const told = joins.reduce((sum, { weight }) => sum + weight, 0);
    const free = (parts: readonly BoardPart[]) => parts.filter(({ ref }) => !explained.has(ref));
    const switches = free(switchesOf(topology, cast.switches, joins));
    const given = outputsBeyond(anchor, switches, model);
    const rectifiers = free(
      given.length > 0 ? given.flatMap((output) => output.rectifiers.map(({ part }) => part)) : cast.rectifiers,
    ).filter((part) => !switches.includes(part));
    const isCommanded = topology === 'capacitor-discharge' || COMMANDS.some((fact) => sheet.grade(fact) > 0);
    if (told < TOLD_AT_LEAST || !isCommanded || switches.length === 0) return [];
    if (rectifiers.length === 0 && topology !== 'capacitor-discharge') return [];
    const magnetics = uniqueParts([
      anchor,
      ...free(cast.magnetics),
      ...free(given.flatMap(({ chokes }) => chokes)),
      ...free(resonantChokes(topology, joins)),
    ]);
    const own = { switches, rectifiers: uniqueParts(rectifiers), magnetics };
    const isCast = switches.length === cast.switches.length && switches.every((part) => cast.switches.includes(part));
    const evidence = joins.filter(({ weight }) => weight > 0).map((reason) => sayReason(reason));
    return [
      claim(
        { topology, evidence: [...(isCast ? cast.evidence : []), ...evidence], ...own },
        Math.min(most, WITH_RIVAL),
      ),
    ];
  });
}

/** The switches of the weightiest fact that has as many as the topology needs; else those that fill its roles. */
function switchesOf(topology: SlotClass, cast: readonly BoardPart[], reasons: readonly Reason[]): readonly BoardPart[] {
  const seen = reasons
    .filter(({ weight }) => weight > 0)
    .map(({ parts }) => parts.filter(({ kind }) => TRANSISTOR_TERMINALS[kind]));
  const whole = seen.find((parts) => parts.length > 0 && parts.length === SWITCHES_NEEDED[topology]);
  return whole ?? (cast.length > 0 ? cast : uniqueParts(seen.flat()));
}

/** Chokes in series with the primary of a resonant half bridge belong to it. */
const resonantChokes = (topology: SlotClass, reasons: readonly Reason[]): readonly BoardPart[] =>
  topology === 'llc-half-bridge'
    ? reasons.flatMap(({ parts, weight }) => (weight > 0 ? parts.filter(({ kind }) => kind === 'inductor') : []))
    : [];

/** What the windings of a transformer give on the other side of the barrier from its switches. */
function outputsBeyond(anchor: BoardPart, switches: readonly BoardPart[], model: Model): readonly WindingOutput[] {
  if (anchor.kind !== 'transformer') return [];
  const islands = islandsOf(model.board, model.nets);
  const island = (rail: number) => islandOfRail(rail, model, islands);
  const near = new Set(
    switches.flatMap((part) => Object.keys(part.pins).map((pin) => island(model.rails.at(part, pin)))),
  );
  return model.elements.windings
    .filter(({ part, rails }) => part === anchor && !rails.some((rail) => near.has(island(rail))))
    .flatMap((winding) => outputOf(winding, model) ?? []);
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

function partialClaims({ model, stages }: Recognition, sizes?: Sizes): Claims {
  const claims: StageClaim[] = [];
  const leading = new Set<StageClaim>();
  const { facts, slots, anchorless: suggested } = judgeBoard(model, stages, sizes);
  for (const { slot, anchor, sheet, probabilities } of slots) {
    const named = SLOT_CLASSES.map((topology, index) => ({ topology, probability: probabilities[index] ?? 0 }))
      .filter(({ topology, probability }) => topology !== 'none' && probability >= WORTH_SAYING)
      .toSorted((a, b) => b.probability - a.probability);
    const nothing = probabilities[SLOT_CLASSES.indexOf('none')] ?? 0;
    const [top] = named;
    for (const { topology, probability } of named) {
      const cast = slot.castOf(topology);
      const twin = claims.find(
        (other) => other.topology === topology && areOneStage(facts, topology, other.magnetics, cast.magnetics, anchor),
      );
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
        reasons: reasonsFor(sheet, topology, sizes ?? LEARNT_SIZES).map((reason) => ({
          text: sayReason(reason),
          weight: round(reason.weight),
        })),
      };
      const isLeading = topology === top?.topology && probability > nothing;
      const whole = !twin ? next : next.probability > twin.probability ? merged(next, twin) : merged(twin, next);
      if (twin) claims[claims.indexOf(twin)] = whole;
      else claims.push(whole);
      if (isLeading || (twin && leading.delete(twin))) leading.add(whole);
    }
  }
  const anchorless = suggested.map((stage) => claim(stage, stage.probability));
  const order = new Map(stages.map((stage, index) => [`${stage.topology} ${refs(stage.magnetics).join()}`, index]));
  const rank = ({ topology, magnetics }: StageClaim) =>
    order.get(`${topology} ${magnetics.join()}`) ?? (topology === 'boost-pfc' ? -1 : 99);
  const all = [...anchorless, ...claims].toSorted((a, b) => rank(a) - rank(b));
  return {
    claims: all,
    leading: all.filter(
      (entry) => (entry.magnetics.length === 0 && entry.probability >= CLAIMED) || leading.has(entry),
    ),
  };
}

const merged = (first: StageClaim, second: StageClaim): StageClaim => ({
  ...first,
  switches: union(first.switches, second.switches),
  rectifiers: union(first.rectifiers, second.rectifiers),
  magnetics: union(first.magnetics, second.magnetics),
});
const union = (a: readonly string[], b: readonly string[]) => [...new Set([...a, ...b])].toSorted();

const round = (value: number) => Math.round(value * 1000) / 1000;
