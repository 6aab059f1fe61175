import { practice } from '../../evidence';
import type { BoardPart } from '../../board';
import { SLOT_CLASSES, SWITCHES_NEEDED, TRAITS, type SlotClass } from './classes';
import { shareKnown } from './facts/anchorFacts';
import type { BoardFacts } from './facts/boardFacts';
import type { FactSheet } from './facts/sheet';

/** A part that may be the anchor of a stage, what is known of it, and the log-odds of its classes. */
export interface ScoredAnchor {
  readonly anchor: BoardPart;
  readonly sheet: FactSheet;
  readonly scores: readonly number[];
}

/**
 * What a reading of the whole board costs where the parts do not suffice for it or are left over, in nats: a switch
 * too few or too many, a stage without a chip to command it, an output choke too few, a converter that lies where the
 * output choke of another would, no stage at all, a second large isolated stage, a second front end, one coupled choke
 * alone, two of different kinds, outputs of a sign that no stage gives, more discharges than thyristors, and two
 * stages with the same two switches.
 */
const COST = practice({
  switchMissing: 1.2,
  switchLeft: 0.6,
  chipMissing: 0.9,
  chokeMissing: 2.5,
  chokeElsewhere: 2,
  nothing: 4,
  secondLarge: 1.5,
  secondFrontEnd: 3,
  coupledAlone: 1,
  coupledMixed: 1.5,
  signMissing: 1,
  thyristorMissing: 2,
  switchesShared: 4,
});
/**
 * Flattens the probabilities of whole readings, the more the less is traced, and while the list is still being written:
 * what is not in it may follow. Set on boards that were left out.
 */
const TEMPERATURE = practice({ traced: 1, untraced: 0.5, unlisted: 0.5 });
/** Of a list that is done, this share are resistors. */
const RESISTORS_AT_LEAST = practice(0.2);
const LEAST_SHARE = 0.003;
const CLASSES_EACH = 7;
const BEAM = 400;
const NEEDS_OUTPUT_CHOKE: ReadonlySet<SlotClass> = new Set(
  SLOT_CLASSES.filter((name) => TRAITS[name].includes('choke')),
);
/** Cells whose output lies below the ground that it shares with the input. */
const TURNS_OVER: ReadonlySet<SlotClass> = new Set(['inverting-buck-boost', 'cuk']);
/** Share of a chip that a stage needs: two cells, or a cell and another stage, often share one. */
const CHIPS_NEEDED: Partial<Record<SlotClass, number>> = practice({
  none: 0,
  'rcc-flyback': 0,
  'resonant-ballast': 0,
  'line-transformer': 0,
  'capacitor-discharge': 0,
  'boost-pfc': 0.7,
  boost: 0.6,
  buck: 0.6,
  sepic: 0.6,
  cuk: 0.6,
});

/**
 * Probabilities of the classes of every anchor, in the order of `SLOT_CLASSES`, from all readings of the whole board
 * that hold together (a beam search). `hasOther` says that a stage without an anchor explains the board already.
 */
export function judgeWhole(
  facts: BoardFacts,
  anchors: readonly ScoredAnchor[],
  hasOther: boolean,
): readonly (readonly number[])[] {
  const own = anchors.map(({ scores }) => softmax(scores));
  const order = own
    .map((shares, index) => ({ index, most: Math.max(...shares) }))
    .toSorted((a, b) => b.most - a.most)
    .map(({ index }) => index);
  let beam: { readonly score: number; readonly classes: readonly number[] }[] = [{ score: 0, classes: [] }];
  for (const index of order) {
    const options = (own[index] ?? [])
      .map((share, at) => ({ at, share }))
      .filter(({ share }) => share > LEAST_SHARE)
      .toSorted((a, b) => b.share - a.share)
      .slice(0, CLASSES_EACH);
    beam = beam
      .flatMap(({ score, classes }) =>
        options.map(({ at, share }) => ({ score: score + Math.log(share), classes: [...classes, at] })),
      )
      .toSorted((a, b) => b.score - a.score)
      .slice(0, BEAM);
  }
  const known = anchors.reduce((sum, { anchor }) => sum + shareKnown(facts, anchor), 0) / Math.max(1, anchors.length);
  const listed = Math.min(1, facts.list.resistors / Math.max(1, RESISTORS_AT_LEAST * facts.list.parts));
  const temperature =
    TEMPERATURE.traced +
    TEMPERATURE.untraced * (1 - Math.max(known, facts.traced)) +
    TEMPERATURE.unlisted * (1 - listed);
  const sharing = sharingSwitches(order.flatMap((index) => anchors[index]?.sheet ?? []));
  const energies = beam.map(({ score, classes }) => {
    const reading = classes.map((at, place) => ({
      name: SLOT_CLASSES[at] ?? 'none',
      anchor: anchors[order[place] ?? 0] as ScoredAnchor,
    }));
    return (score - costOf(facts, reading, hasOther, sharing)) / temperature;
  });
  const shares = softmax(energies);
  const posterior = anchors.map(() => SLOT_CLASSES.map(() => 0));
  beam.forEach(({ classes }, state) =>
    classes.forEach((at, place) => {
      const row = posterior[order[place] ?? 0];
      if (row) row[at] = (row[at] ?? 0) + (shares[state] ?? 0);
    }),
  );
  return posterior;
}

/** What the parts say against a reading of the whole board, in nats. */
function costOf(
  { list }: BoardFacts,
  reading: readonly { readonly name: SlotClass; readonly anchor: ScoredAnchor }[],
  hasOther: boolean,
  sharing: readonly (readonly [number, number])[],
): number {
  const count = (wanted: (name: SlotClass) => boolean) => reading.filter(({ name }) => wanted(name)).length;
  const sepics = count((name) => name === 'sepic');
  const cuks = count((name) => name === 'cuk');
  // Both chokes of a coupled cell share its switch.
  const needed =
    reading.reduce((sum, { name }) => sum + SWITCHES_NEEDED[name], 0) - Math.floor(sepics / 2) - Math.floor(cuks / 2);
  const present = list.powerSwitches + list.switchers;
  const soft = list.weakSwitches + list.unknownChips + (list.controllers > 0 && present === 0 ? 1 : 0);
  let cost =
    COST.switchMissing * Math.max(0, needed - present - 0.7 * soft) * (present + soft === 0 ? 0.2 : 1) +
    COST.switchLeft * Math.max(0, present - needed);
  const commanded = reading.reduce((sum, { name }) => sum + (CHIPS_NEEDED[name] ?? 1), 0);
  const chips = list.controllers + list.switchers + list.unknownChips + 0.5 * list.drivers;
  cost += COST.chipMissing * Math.max(0, commanded - Math.max(chips, list.parts < 20 ? 1 : 0));
  const free = reading.filter(({ name, anchor }) => name === 'none' && mayServeOutput(anchor)).length;
  const chokes = count((name) => NEEDS_OUTPUT_CHOKE.has(name));
  cost += COST.chokeMissing * Math.max(0, chokes - free) * (list.chokes === 0 && list.parts < 15 ? 0.3 : 1);
  if (chokes > 0)
    for (const { name, anchor } of reading)
      if (name !== 'none') cost += COST.chokeElsewhere * anchor.sheet.grade('winding used as output choke');
  if (!hasOther && count((name) => name !== 'none') === 0) cost += COST.nothing;
  cost += COST.secondFrontEnd * Math.max(0, count((name) => name === 'boost-pfc') - 1);
  cost +=
    COST.switchesShared *
    sharing.filter(([one, other]) => [one, other].every((place) => (reading[place]?.name ?? 'none') !== 'none')).length;
  const large = count((name) => TRAITS[name].includes('two') || name === 'full-bridge');
  cost += COST.secondLarge * Math.max(0, large - 1);
  if (sepics + cuks === 1 && list.chokes + list.transformers > 1) cost += COST.coupledAlone;
  cost +=
    COST.thyristorMissing * Math.max(0, count((name) => name === 'capacitor-discharge') - Math.max(1, list.thyristors));
  const hasBothSigns = list.negativeOutputs > 0 && list.negativeOutputs < list.outputs;
  if (sepics === 1 && cuks === 1 && !hasBothSigns) cost += COST.coupledMixed;
  const gives = count((name) => TRAITS[name].includes('cell'));
  if (hasBothSigns && gives > 0 && count((name) => TRAITS[name].includes('isolated')) === 0) {
    const turned = count((name) => TURNS_OVER.has(name));
    if (turned === 0 || turned === gives) cost += COST.signMissing;
  }
  return cost;
}

/** Facts of two switches that drive a winding together. */
const PAIR_FACTS = [
  'totem pole at winding',
  'totem pole in series',
  'totem pole, other end on store',
  'upper switch to a clamp capacitor',
  'switches at both ends of a winding',
  'switches at both halves, tap held',
] as const;

/** Places of any two anchors at which the same two switches were seen, or more. */
function sharingSwitches(sheets: readonly FactSheet[]): readonly (readonly [number, number])[] {
  const pairs = sheets.map((sheet) => new Set(PAIR_FACTS.flatMap((fact) => sheet.partsOf(fact))));
  return pairs.flatMap((own, one) =>
    pairs.flatMap((others, other) =>
      other > one && [...own].filter((part) => others.has(part)).length >= 2 ? [[one, other] as const] : [],
    ),
  );
}

/** Whether a part that anchors nothing may be the choke of an output. */
const mayServeOutput = ({ anchor, sheet }: ScoredAnchor): boolean =>
  anchor.kind === 'inductor'
    ? sheet.grade('both ends held') === 0 && sheet.grade('choke on mains') === 0
    : sheet.grade('drives gates and nothing else') === 0 && sheet.grade('winding rectified') === 0;

/** Shares that sum to 1, from log-odds. */
export function softmax(scores: readonly number[]): number[] {
  const most = Math.max(...scores);
  const raised = scores.map((score) => Math.exp(score - most));
  const total = raised.reduce((sum, value) => sum + value, 0);
  return raised.map((value) => value / total);
}
