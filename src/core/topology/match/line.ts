import type { BoardPart } from '../../board';
import { BALLAST, DUMPS } from '../forms/line';
import type { Model } from '../model';
import { isOutlet, isPolarised } from '../model/parts';
import { isAcrossBridge } from '../model/rails';
import { reachOf } from '../model/series';
import { controlOf } from './control';
import { matchForm, railOf, type Candidates } from './matchForm';
import { outputOf } from './outputs';
import { sayMatch } from './say';
import { scoreOf, uniqueParts, type FoundStage } from './stage';

const made = (
  stage: Pick<FoundStage, 'topology' | 'switches' | 'rectifiers' | 'magnetics' | 'sources' | 'outputs' | 'evidence'>,
  form: string,
): FoundStage => ({ ...stage, form, score: scoreOf(stage), controllers: [] });

/** Stages that hang on the mains itself: line transformers, droppers, phase control; and ballasts and discharges. */
export function lineStages(model: Model, candidates: Candidates, budget: { left: number }): readonly FoundStage[] {
  return [
    ...lineTransformers(model),
    ...droppers(model),
    ...phaseControls(model),
    ...ballasts(model, candidates, budget),
    ...discharges(model, candidates, budget),
  ];
}

function lineTransformers(model: Model): readonly FoundStage[] {
  const { elements, held } = model;
  const transformers = uniqueParts(
    elements.windings
      .filter(({ part, rails }) => part.kind === 'transformer' && rails.some((rail) => held.lineSecondary.has(rail)))
      .map(({ part }) => part),
  );
  return transformers.flatMap((part) => {
    const outputs = elements.windings
      .filter((winding) => winding.part === part && !winding.rails.every((rail) => held.mains.has(rail)))
      .flatMap((winding) => outputOf(winding, model) ?? []);
    if (outputs.length === 0) return [];
    const rectifiers = uniqueParts(outputs.flatMap((output) => output.rectifiers.map((element) => element.part)));
    return [
      made(
        {
          topology: 'line-transformer',
          switches: [],
          rectifiers,
          magnetics: [part],
          sources: [],
          outputs: outputs.flatMap(({ rails }) => rails),
          evidence: [`The primary of ${part.ref} lies across the mains, with no switch before it.`],
        },
        'line',
      ),
    ];
  });
}

function droppers({ board, nets, elements, held, rails }: Model): readonly FoundStage[] {
  if (held.dropped.size === 0) return [];
  // A filter capacitor whose far end is not traced yet looks the same, so that the end must be known to stand apart.
  const isApart = [...held.dropped].every((rail) =>
    [...held.mains].every((line) => rails.relation(rail, line) === 'separate'),
  );
  if (!nets.complete && !isApart && board.parts.some(({ kind }) => kind === 'transformer' || kind === 'inductor'))
    return [];
  const touching = elements.rectifiers.filter(({ from, to }) => held.dropped.has(from) || held.dropped.has(to));
  const far = new Set(
    touching.flatMap(({ from, to }) => [from, to]).filter((rail) => !held.dropped.has(rail) && !held.mains.has(rail)),
  );
  const completing = elements.rectifiers.filter(
    ({ from, to }) => (held.mains.has(from) && far.has(to)) || (held.mains.has(to) && far.has(from)),
  );
  const rectifiers = uniqueParts([...touching, ...completing].map(({ part }) => part)).filter(
    ({ kind }) => kind === 'diode' || kind === 'dual-diode' || kind === 'bridge',
  );
  const isStored = [...far].some((rail) => rails.on(rail).some(({ part }) => isPolarised(part)));
  if (rectifiers.length === 0 || !isStored) return [];
  const dropper = elements.capacitors.find(
    ({ a, b }) => (held.dropped.has(a) && held.mains.has(b)) || (held.dropped.has(b) && held.mains.has(a)),
  );
  if (dropper && rectifiers.some((part) => isAcrossBridge(part, [dropper.a, dropper.b], rails))) return [];
  return [
    made(
      {
        topology: 'capacitive-dropper',
        switches: [],
        rectifiers,
        magnetics: [],
        sources: [],
        outputs: [...far],
        evidence: [
          `${dropper?.part.ref ?? 'A capacitor'} stands in series between the mains and ${rectifiers[0]?.ref ?? ''}.`,
        ],
      },
      'dropper',
    ),
  ];
}

function phaseControls(model: Model): readonly FoundStage[] {
  const { board, rails, held, elements } = model;
  const triacs = board.parts
    .filter(({ kind }) => kind === 'triac')
    .flatMap((part) => {
      const ends = [rails.at(part, 'MT1'), rails.at(part, 'MT2')];
      const isSane = ends[0] !== ends[1] && !ends.includes(rails.at(part, 'G')) && !held.mains.has(rails.at(part, 'G'));
      if (!isSane || !ends.some((rail) => held.mains.has(rail)) || !hasTiming(part, model)) return [];
      return [
        made(
          {
            topology: 'phase-control',
            switches: [part],
            rectifiers: [],
            magnetics: [],
            sources: [],
            outputs: [],
            evidence: [`${part.ref} stands in series with the mains, and a timing network fires its gate.`],
          },
          'phase',
        ),
      ];
    });
  const ac = (rail: number) => held.mains.has(rail) || held.lineSecondary.has(rail);
  const leadsOn = (rail: number) => rails.on(rail).some(({ part }) => isPolarised(part) || usesCurrent(part));
  const thyristors = elements.switches.filter(
    ({ part, hi, lo }) =>
      part.kind === 'scr' && ac(hi) !== ac(lo) && leadsOn(ac(hi) ? lo : hi) && isCommanded(part, model),
  );
  if (thyristors.length === 0) return triacs;
  const direct = new Set(thyristors.flatMap(({ hi, lo }) => [hi, lo]).filter((rail) => !ac(rail)));
  const lines = new Set(thyristors.flatMap(({ hi, lo }) => [hi, lo]).filter(ac));
  const givesPlus = thyristors.some(({ hi }) => ac(hi));
  // Diodes that rectify in the sense of the thyristors but to another rail feed the control.
  const isOfBridge = ({ from, to }: { from: number; to: number }) =>
    ac(from) !== givesPlus || direct.has(ac(from) ? to : from);
  const rectifiers = elements.rectifiers.filter(
    (element) =>
      ac(element.from) !== ac(element.to) &&
      isOfBridge(element) &&
      [element.from, element.to].some((rail) => lines.has(rail) || direct.has(rail)),
  );
  return [
    ...triacs,
    made(
      {
        topology: 'phase-control',
        switches: uniqueParts(thyristors.map(({ part }) => part)),
        rectifiers: uniqueParts(rectifiers.map(({ part }) => part)),
        magnetics: [],
        sources: [],
        outputs: [...direct, ...rectifiers.flatMap(({ from, to }) => [from, to]).filter((rail) => !ac(rail))],
        evidence: [`${thyristors[0]?.part.ref ?? ''} rectifies the mains only from the moment its gate is fired.`],
      },
      'phase',
    ),
  ];
}

/** Parts that take what a rectifier gives: an output, a load, a choke. */
const usesCurrent = (part: BoardPart) => part.kind === 'inductor' || part.kind === 'lamp' || isOutlet(part);

const COMMANDS: ReadonlySet<string> = new Set([
  'resistor',
  'potentiometer',
  'diac',
  'ic',
  'lamp',
  'optocoupler',
  'transformer',
  'npn',
  'pnp',
]);

/** Whether something fires a gate, and the gate is no power rail itself. */
function isCommanded(part: BoardPart, { rails, held }: Model): boolean {
  const gate = rails.at(part, 'G');
  return (
    !held.mains.has(gate) &&
    gate !== rails.at(part, 'A') &&
    rails
      .on(gate)
      .some(
        ({ part: other, pin }) =>
          other !== part && (COMMANDS.has(other.kind) || (other.kind === 'diode' && pin === 'K')),
      )
  );
}

/** Whether a gate hangs on a network that delays: a diac, a potentiometer or a capacitor before it. */
function hasTiming(part: BoardPart, { rails }: Model): boolean {
  const gate = rails.at(part, 'G');
  const seen = new Set([gate]);
  const ends = new Set([rails.at(part, 'MT1'), rails.at(part, 'MT2')]);
  for (const rail of seen)
    for (const { part: other } of rails.on(rail)) {
      if (other === part) continue;
      if (other.kind === 'diac' || other.kind === 'potentiometer' || other.kind === 'capacitor') return true;
      if (other.kind !== 'resistor') continue;
      for (const pin of Object.keys(other.pins)) if (!ends.has(rails.at(other, pin))) seen.add(rails.at(other, pin));
    }
  return false;
}

function ballasts(model: Model, candidates: Candidates, budget: { left: number }): readonly FoundStage[] {
  const seen = new Set<string>();
  return matchForm(BALLAST, candidates, model, budget).flatMap((match) => {
    const switches = uniqueParts([match.roles.H?.part, match.roles.L?.part].filter((part) => part !== undefined));
    const key = switches
      .map(({ ref }) => ref)
      .toSorted()
      .join(' ');
    if (seen.has(key)) return [];
    seen.add(key);
    const lampRails = (candidates.lamp ?? []).map(({ rails }) => rails[0]);
    const path = reachOf(railOf(match.roles, 'H.near'), model.elements, model.held)
      .filter(({ rail }) => lampRails.includes(rail))
      .flatMap(({ through }) => through);
    const inductors = uniqueParts(path.filter(({ kind }) => kind === 'inductor'));
    const drives = new Set(
      model.elements.switches
        .filter(({ part }) => switches.includes(part))
        .flatMap((element) => controlOf(element, model).windings),
    );
    const others = uniqueParts(path.filter((part) => part.kind === 'transformer' && !drives.has(part)));
    return [
      made(
        {
          topology: 'resonant-ballast',
          switches,
          rectifiers: [],
          magnetics: inductors.length > 0 ? inductors : others,
          sources: BALLAST.source.map((end) => railOf(match.roles, end)),
          outputs: lampRails,
          evidence: sayMatch(match),
        },
        'ballast',
      ),
    ];
  });
}

function discharges(model: Model, candidates: Candidates, budget: { left: number }): readonly FoundStage[] {
  const seen = new Set<string>();
  return DUMPS.flatMap((form) => matchForm(form, candidates, model, budget)).flatMap((match) => {
    const [thyristor, transformer] = [match.roles.Q?.part, match.roles.P?.part];
    if (!thyristor || !transformer || seen.has(thyristor.ref)) return [];
    seen.add(thyristor.ref);
    const stores = match.roles.C ? [match.roles.C.part] : [];
    const isCharged = (rail: number) =>
      model.held.isHeld(rail) && model.elements.rectifiers.some(({ from, to }) => from === rail || to === rail);
    const ends = (['C.a', 'C.b'] as const).map((end) => railOf(match.roles, end));
    return [
      {
        stores,
        ...made(
          {
            topology: 'capacitor-discharge',
            switches: [thyristor],
            rectifiers: [],
            magnetics: [transformer],
            sources: [ends.find(isCharged) ?? ends[0] ?? -1],
            outputs: [],
            evidence: sayMatch(match),
          },
          'dump',
        ),
      },
    ];
  });
}
