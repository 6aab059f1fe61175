import { practice } from '../../evidence';
import { islandsOf, type BoardPart, type Islands } from '../../board';
import { DRIVES } from '../forms/drives';
import type { Model } from '../model';
import type { SwitchElement, Winding } from '../model/elements';
import { fedRails } from '../model/feed';
import { isOutlet } from '../model/parts';
import { reachOf } from '../model/series';
import { ISOLATED } from '../topologies';
import { mayCouple } from './candidates';
import { controlOf } from './control';
import { matchForm, railOf, type Binding, type Candidates, type FormMatch } from './matchForm';
import { outputOf, type WindingOutput } from './outputs';
import { sayMatch } from './say';
import { scoreOf, uniqueParts, type FoundStage } from './stage';

/** Every reading of the board's transformers as a stage, before it is asked where its power comes from. */
export function isolatedStages(model: Model, candidates: Candidates, budget: { left: number }): readonly FoundStage[] {
  const islands = islandsOf(model.board, model.nets);
  const transformers = uniqueParts(model.elements.windings.map(({ part }) => part)).filter(
    (part) =>
      part.kind === 'transformer' &&
      model.elements.windings.filter((winding) => winding.part === part).length > 1 &&
      !isCoupledByCapacitor(part, model),
  );
  return transformers.flatMap((transformer) => {
    const own: Candidates = {
      ...candidates,
      piece: (candidates.piece ?? []).filter(({ part }) => part === transformer),
    };
    const outputs = new Map<Winding, WindingOutput | undefined>();
    const outputsOf = (winding: Winding) => {
      if (!outputs.has(winding)) outputs.set(winding, outputOf(winding, model));
      return outputs.get(winding);
    };
    const seen = new Set<string>();
    return DRIVES.flatMap((form) =>
      matchForm(form, own, model, budget).flatMap((match) => {
        const key = `${form.id} ${Object.values(match.roles)
          .map(({ part, rails }) => `${part.ref}:${rails.toSorted((a, b) => a - b).join('-')}`)
          .toSorted()
          .join(' ')}`;
        if (seen.has(key)) return [];
        seen.add(key);
        return stageOf(match, transformer, model, islands, outputsOf);
      }),
    );
  });
}

/** Whether a capacitor joins the swinging ends of two windings: these are the coupled chokes of one cell. */
function isCoupledByCapacitor(transformer: BoardPart, { elements, held }: Model): boolean {
  const windingAt = (rail: number) =>
    elements.windings.find(({ part, rails }) => part === transformer && rails.includes(rail));
  return elements.capacitors.some(({ part, a, b, polarised }) => {
    const [one, other] = [windingAt(a), windingAt(b)];
    return mayCouple(part, polarised) && one && other && one !== other && !held.isHeld(a) && !held.isHeld(b);
  });
}

function stageOf(
  match: FormMatch,
  transformer: BoardPart,
  model: Model,
  islands: Islands,
  outputsOf: (winding: Winding) => WindingOutput | undefined,
): readonly FoundStage[] {
  const { elements, held } = model;
  const bound = Object.values(match.roles);
  const isSwitch = (name: string) => match.form.roles[name] === 'switch';
  const switchBindings = Object.entries(match.roles).flatMap(([name, binding]) => (isSwitch(name) ? [binding] : []));
  const switches = withParallel(switchBindings, elements.switches);
  const pieces = bound.filter(({ part }) => part === transformer);
  const primaries = elements.windings.filter(
    (winding) =>
      winding.part === transformer &&
      pieces.some(
        (piece) => piece.winding === winding.winding || piece.rails.every((rail) => winding.rails.includes(rail)),
      ),
  );
  const sources = match.form.source.map((end) => railOf(match.roles, end));
  const controls = elements.switches
    .filter(({ part }) => switches.includes(part))
    .map((element) => controlOf(element, model));
  const controllers = uniqueParts([
    ...controls.flatMap(({ chips }) => chips),
    ...switches.filter(({ kind }) => kind === 'ic'),
  ]);
  const isSelf =
    controllers.length === 0 &&
    (controls.some(({ windings }) => windings.includes(transformer)) ||
      controls.every(({ windings }) => windings.length === 0)) &&
    !elements.windings.every(({ part }) => part !== transformer);
  const island = (rail: number) => islandOfRail(rail, model, islands);
  const primaryIslands = new Set(switchBindings.flatMap((binding) => binding.rails.map(island)));
  const given = elements.windings
    .filter((winding) => winding.part === transformer && !primaries.includes(winding))
    .flatMap((winding) => {
      const output = outputsOf(winding);
      if (!output) return [];
      const rectifiers = output.rectifiers.filter(
        ({ part, from, to }) => !switches.includes(part) && !(sources.includes(from) && sources.includes(to)),
      );
      const isNear = winding.rails.some((rail) => primaryIslands.has(island(rail)));
      if (rectifiers.length === 0) return [];
      if (isNear && !feedsOthers(output, sources, controllers, model)) return [];
      return [{ ...output, rectifiers }];
    });
  const direct = given.length === 0 ? directLoads(transformer, primaries, model) : [];
  if (given.length === 0 && direct.length === 0) return [];
  const chokeOutputs = given.filter(({ form }) => form === 'choke');
  const output = direct.length > 0 ? 'direct' : chokeOutputs.length * 2 >= given.length ? 'choke' : 'reservoir';
  const topology = ISOLATED.find(
    (row) =>
      row.drive === match.form.id &&
      (row.output === undefined || row.output === output) &&
      (row.control === undefined || (row.control === 'self') === isSelf),
  );
  if (!topology) return [];
  const chokes = uniqueParts(given.flatMap((entry) => entry.chokes));
  const fromChokes = chokes.flatMap((choke) =>
    elements.windings
      .filter((winding) => winding.part === choke && choke.kind === 'transformer')
      .flatMap((winding) => outputOf(winding, model)?.rectifiers ?? [])
      .filter(({ from, to }) => held.isHeld(from) || held.isHeld(to)),
  );
  const resonant = topology.id === 'llc-half-bridge' ? resonantChokes(match, transformer, model) : [];
  const stage = {
    topology: topology.id,
    form: match.form.id,
    switches,
    rectifiers: uniqueParts(
      [...given.flatMap((entry) => entry.rectifiers), ...fromChokes].map(({ part }) => part),
    ).filter((part) => !switches.includes(part)),
    magnetics: uniqueParts([transformer, ...chokes, ...resonant]),
  };
  return [
    {
      ...stage,
      sources,
      outputs: [
        ...direct,
        ...new Set([...given.flatMap((entry) => entry.rails), ...fromChokes.flatMap(({ from, to }) => [from, to])]),
      ].filter((rail) => held.isHeld(rail) || direct.includes(rail)),
      evidence: [
        ...sayMatch(match),
        ...(direct.length > 0
          ? [`A winding of ${transformer.ref} leads straight to the load, with no rectifier.`]
          : []),
        ...new Set(given.flatMap((entry) => entry.evidence).map((text) => `${text}.`)),
      ],
      score: scoreOf(stage),
      controllers,
    },
  ];
}

/** Rails of windings that lie straight across a load. */
const directLoads = (transformer: BoardPart, primaries: readonly Winding[], { elements, rails, board }: Model) =>
  elements.windings
    .filter((winding) => winding.part === transformer && !primaries.includes(winding))
    .flatMap((winding) => {
      const ends = [winding.rails[0] ?? -1, winding.rails.at(-1) ?? -1];
      const isAcross = board.parts.some(
        (part) =>
          isOutlet(part) && ends.every((end) => Object.keys(part.pins).some((pin) => rails.at(part, pin) === end)),
      );
      return isAcross ? ends : [];
    });

/** A chip takes its supply through a resistor of up to this. */
const SUPPLY_RESISTANCE_AT_MOST = practice(22e3);

const withParallel = (bindings: readonly Binding[], elements: readonly SwitchElement[]): readonly BoardPart[] =>
  uniqueParts([
    ...bindings.map(({ part }) => part),
    ...elements
      .filter(({ part, hi, lo }) =>
        bindings.some(
          ({ part: bound, rails }) =>
            bound.kind === part.kind && ((rails[0] === hi && rails[1] === lo) || (rails[0] === lo && rails[1] === hi)),
        ),
      )
      .map(({ part }) => part),
  ]);

export function islandOfRail(rail: number, { rails, nets }: Model, islands: Islands): number {
  const [pin] = rails.on(rail);
  return pin ? islands.of(nets.of(`${pin.part.ref}.${pin.pin}`)) : -1;
}

/**
 * Whether the rails of a primary-side winding are more than the stage's own supply: they lead to a connector, or to
 * chips none of which commands the stage.
 */
function feedsOthers(
  { rails: touched }: WindingOutput,
  sources: readonly number[],
  controllers: readonly BoardPart[],
  model: Model,
): boolean {
  const { rails, board } = model;
  const made = touched.filter((rail) => !sources.includes(rail));
  const fed = fedRails(made, { ...model, parts: board.parts }, new Set());
  for (const source of sources) fed.delete(source);
  const reached = [...fed].flatMap((rail) => rails.on(rail));
  if (reached.some(({ part }) => isOutlet(part))) return true;
  const chips = uniqueParts(reached.filter(({ part }) => part.kind === 'ic').map(({ part }) => part));
  const behindResistor = reached.flatMap(({ part }) =>
    part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SUPPLY_RESISTANCE_AT_MOST
      ? Object.keys(part.pins)
          .map((pin) => rails.at(part, pin))
          .filter((rail) => !sources.includes(rail))
          .flatMap((rail) => rails.on(rail).map((other) => other.part))
      : [],
  );
  if ([...chips, ...behindResistor].some((part) => controllers.includes(part))) return false;
  if (controllers.length === 0) return reached.some(({ part }) => part.kind === 'scr');
  return chips.length > 0 || reached.some(({ part }) => part.kind === 'scr' || part.kind === 'transformer');
}

/** Chokes in series with the primary of a resonant stage. */
function resonantChokes(match: FormMatch, transformer: BoardPart, { elements, held }: Model): readonly BoardPart[] {
  const middle = railOf(match.roles, 'H.near');
  return (['P.a', 'P.b'] as const).flatMap((end) => {
    const start = railOf(match.roles, end);
    return reachOf(start, elements, held, { without: transformer })
      .filter(({ rail }) => rail === middle || held.isHeld(rail))
      .flatMap(({ through }) => through.filter(({ kind }) => kind === 'inductor'));
  });
}
