import { practice } from '../../evidence';
import type { BoardPart } from '../../board';
import type { FoundStage } from '../match/stage';
import type { BoardFacts } from './facts/boardFacts';

/** A stage without a magnetic anchor, as its joins show it or as the parts of a board suggest it. */
export interface SuggestedStage {
  readonly topology: string;
  readonly probability: number;
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
  readonly evidence: readonly string[];
}

/** How sure it is: found whole; by the parts that make it up; by some of them. Set on reference boards. */
const SURE = practice({
  found: 0.9,
  parts: 0.85,
  mayDrop: 0.75,
  mayDropBesideChip: 0.4,
  triac: 0.6,
  triacBesideTransformer: 0.3,
  thyristors: 0.7,
});
/** Capacitors that drop the mains are of this size and more; without a zener beside them of the other. */
const DROPPER_AT_LEAST = practice({ withZener: 100e-9, alone: 150e-9 });

/** Stages that stand on the mains without a magnetic part, each topology once. */
export function anchorlessStages(facts: BoardFacts, found: readonly FoundStage[]): readonly SuggestedStage[] {
  const whole = found
    .filter(({ magnetics }) => magnetics.length === 0)
    .map(({ topology, switches, rectifiers, magnetics, evidence }) => ({
      topology,
      probability: SURE.found,
      switches,
      rectifiers,
      magnetics,
      evidence,
    }));
  const suggested = facts.isMains ? [...phaseControl(facts), ...dropper(facts)] : [];
  return [...whole, ...suggested.filter(({ topology }) => !whole.some((stage) => stage.topology === topology))];
}

const fittedParts = ({ board }: BoardFacts) => board.parts.filter(({ fitted }) => fitted !== false);

function phaseControl(facts: BoardFacts): readonly SuggestedStage[] {
  const parts = fittedParts(facts);
  const triacs = parts.filter(({ kind }) => kind === 'triac');
  const thyristors = parts.filter(({ kind }) => kind === 'scr');
  const timing = parts.find(({ kind }) => kind === 'diac' || kind === 'potentiometer');
  const stage = (probability: number, switches: readonly BoardPart[], evidence: string): readonly SuggestedStage[] => [
    { topology: 'phase-control', probability, switches, rectifiers: [], magnetics: [], evidence: [evidence] },
  ];
  if (triacs.length > 0 && timing)
    return stage(SURE.parts, triacs, `${triacs[0]?.ref ?? ''} and ${timing.ref} are what a phase control is made of.`);
  if (thyristors.length >= 2)
    return stage(
      SURE.thyristors,
      thyristors,
      `${thyristors.map(({ ref }) => ref).join(' and ')} may control the phase of the mains.`,
    );
  if (triacs.length === 0) return [];
  return stage(
    facts.list.transformers > 0 ? SURE.triacBesideTransformer : SURE.triac,
    triacs,
    `${triacs[0]?.ref ?? ''} may control the phase of the mains, or only switch it.`,
  );
}

function dropper(facts: BoardFacts): readonly SuggestedStage[] {
  const parts = fittedParts(facts);
  const { list } = facts;
  const capacitorFrom = (least: number) =>
    parts.find(
      ({ kind, subtype, value }) =>
        kind === 'capacitor' && (subtype === 'x' || subtype === 'film') && (value?.capacitance ?? 0) >= least,
    );
  const stage = (
    probability: number,
    rectifiers: readonly BoardPart[],
    evidence: string,
  ): readonly SuggestedStage[] => [
    { topology: 'capacitive-dropper', probability, switches: [], rectifiers, magnetics: [], evidence: [evidence] },
  ];
  const converts = parts.some(({ kind }) => ['transformer', 'inductor', 'nmos', 'pmos', 'igbt'].includes(kind));
  const zener = parts.find(({ kind, subtype }) => kind === 'diode' && subtype === 'zener');
  const slow = parts.filter(
    ({ kind, subtype }) => kind === 'bridge' || (kind === 'diode' && (subtype ?? 'rectifier') === 'rectifier'),
  );
  const small = capacitorFrom(DROPPER_AT_LEAST.withZener);
  if (!converts && zener && small && slow.length > 0)
    return stage(
      SURE.parts,
      slow,
      `${small.ref} can drop the mains for ${zener.ref}, and nothing else here could lower it.`,
    );
  const large = capacitorFrom(DROPPER_AT_LEAST.alone);
  const rectifiers = parts.filter(({ kind }) => kind === 'bridge' || kind === 'diode');
  if (list.transformers + list.largeChokes > 0 || list.hasTriac || !large || rectifiers.length === 0) return [];
  const isBesideChip = list.controllers + list.switchers + list.powerSwitches > 0;
  return stage(
    isBesideChip ? SURE.mayDropBesideChip : SURE.mayDrop,
    rectifiers,
    `${large.ref} can drop the mains; nothing else here could lower it.`,
  );
}
