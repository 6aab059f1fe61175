import type { BoardPart } from '../../board';
import { CELLS } from '../forms/cells';
import type { Model } from '../model';
import { controlOf } from './control';
import { matchForm, railOf, type Binding, type Candidates, type FormMatch } from './matchForm';
import { sayMatch } from './say';
import { scoreOf, uniqueParts, type FoundStage } from './stage';

/** Rails that power reaches without some parts; what it takes to tell a converter's input from its output. */
export type FedWithout = (parts: ReadonlySet<BoardPart>) => ReadonlySet<number>;

/**
 * Readings of the board's chokes as converters without a barrier. The three held rails of a cell say which it is:
 * the one that nothing else feeds is the output. At the choke it is a buck, at the passive switch a boost, or, when
 * both ends of the input lie at the choke and the active switch, an inverting converter.
 */
export function cellStages(
  matches: readonly FormMatch[],
  model: Model,
  candidates: Candidates,
  fedWithout: FedWithout,
): readonly FoundStage[] {
  return [
    ...matches.flatMap((match) =>
      match.form.id === 'cell'
        ? cellStage(match, model, fedWithout)
        : match.form.id === 'line-cell'
          ? lineCellStage(match, model)
          : coupledStage(match, model),
    ),
    ...insideChip(model, candidates, fedWithout),
  ];
}

/** Ways to fill the forms of the cells, whatever feeds them. */
export const cellMatches = (model: Model, candidates: Candidates, budget: { left: number }): readonly FormMatch[] =>
  CELLS.flatMap((form) => matchForm(form, candidates, model, budget));

const partOf = ({ roles }: FormMatch, role: string) => roles[role]?.part as BoardPart;

function coupledStage(match: FormMatch, model: Model): readonly FoundStage[] {
  const { form, roles } = match;
  const stage = {
    topology: form.id,
    form: form.id,
    switches: parallelTo(roles.Q, model),
    rectifiers: rectifiersLike(roles.D, model),
    magnetics: uniqueParts([partOf(match, 'L'), partOf(match, 'M')]),
  };
  const out = railOf(roles, form.id === 'sepic' ? 'D.b' : 'M.b');
  return [
    {
      ...stage,
      sources: form.source.map((end) => railOf(roles, end)),
      outputs: [out],
      evidence: sayMatch(match),
      score: scoreOf(stage),
      controllers: chipsOf(stage.switches, model),
    },
  ];
}

function cellStage(match: FormMatch, model: Model, fedWithout: FedWithout): readonly FoundStage[] {
  const { roles } = match;
  const [choke, active, passive] = [partOf(match, 'L'), partOf(match, 'Q'), partOf(match, 'D')];
  if (active === passive) return [];
  const a = railOf(roles, 'Q.far');
  const p = railOf(roles, 'D.b');
  const c = railOf(roles, 'L.a');
  const bypass = model.elements.rectifiers
    .filter(({ from, to }) => [from, to].every((rail) => rail === a || rail === p || rail === c))
    .map(({ part }) => part);
  const fed = fedWithout(new Set([choke, active, passive, ...bypass]));
  const [unfed, ...more] = [a, p, c].filter((rail) => !fed.has(rail));
  if (unfed === undefined || more.length > 0 || unfed === a) return [];
  const isSynchronous = model.elements.switches.some(({ part }) => part === passive);
  const returns = capacitorsBetween(unfed, model);
  const isBuck = unfed === c;
  if (isBuck && isSynchronous && returns(a) > returns(p)) return [];
  const isInverting = !isBuck && returns(c) > returns(a);
  if (!isBuck && isSynchronous && !isInverting && returns(a) === 0) return [];
  const topology = isBuck
    ? 'buck'
    : isInverting
      ? 'inverting-buck-boost'
      : model.held.rectified.has(c)
        ? 'boost-pfc'
        : 'boost';
  if (!isUsed(unfed, [choke, active, passive], model)) return [];
  const stage = {
    topology,
    form: 'cell',
    switches: parallelTo(roles.Q, model),
    rectifiers: rectifiersLike(roles.D, model),
    magnetics: [choke],
  };
  return [
    {
      ...stage,
      beside: bypass,
      sources: [a, p, c].filter((rail) => rail !== unfed),
      outputs: [unfed],
      evidence: [
        ...sayMatch(match),
        isBuck
          ? `${choke.ref} leads to the output, and ${passive.ref} freewheels.`
          : isInverting
            ? `${choke.ref} returns to the ground that input and output share; ${passive.ref} feeds the output on the other side of it.`
            : `${choke.ref} comes from the input, and ${passive.ref} feeds the output.`,
      ],
      score: scoreOf(stage),
      controllers: chipsOf(stage.switches, model),
    },
  ];
}

/**
 * A boost cell before which there is no bridge: what rectifies the mains is the cell, once for each half of its wave. Of
 * two transistors on one choke each is the switch for one half; with a choke in one conductor only, a switch and a
 * rectifier on the other conductor serve the other half. Without a chip there is none that keeps in step with the mains.
 */
function lineCellStage(match: FormMatch, model: Model): readonly FoundStage[] {
  const { roles, form } = match;
  const { elements, held } = model;
  if (!isForward(roles.Q) || !isForward(roles.D)) return [];
  const [low, high] = [railOf(roles, 'Q.far'), railOf(roles, 'D.b')];
  const isTotem = elements.switches.some(({ part }) => part === partOf(match, 'D'));
  const across = elements.switches.filter(({ hi, lo }) => held.mains.has(hi) && lo === low);
  const behind = elements.rectifiers.filter(({ from, to }) => to === high && across.some(({ hi }) => hi === from));
  const active = [...parallelTo(roles.Q, model), ...across.map(({ part }) => part)];
  const stage = {
    topology: 'boost-pfc',
    form: form.id,
    switches: uniqueParts(isTotem ? [...active, ...parallelTo(roles.D, model)] : active),
    rectifiers: isTotem ? [] : uniqueParts([...rectifiersLike(roles.D, model), ...behind.map(({ part }) => part)]),
    magnetics: [partOf(match, 'L')],
  };
  const controllers = chipsOf(stage.switches, model);
  const isStored = elements.capacitors.some(
    ({ a, b, polarised }) => polarised && [a, b].includes(low) && [a, b].includes(high),
  );
  if (controllers.length === 0 || !isStored) return [];
  return [
    {
      ...stage,
      sources: [low],
      outputs: [high],
      evidence: sayMatch(match),
      score: scoreOf(stage),
      controllers,
    },
  ];
}

/** Whether a role's part lets current through from its first end to its second. */
const isForward = (binding: Binding | undefined) => binding?.forward !== false;

/** A chip with both switches inside: a choke between its switching pin and a held rail. */
function insideChip(model: Model, candidates: Candidates, fedWithout: FedWithout): readonly FoundStage[] {
  const { held, rails, elements } = model;
  const chips = (candidates.switch ?? []).filter(({ part }) => part.kind === 'ic');
  return elements.inductive
    .filter(({ part }) => part.kind === 'inductor')
    .flatMap(({ part: choke, a, b }) =>
      (
        [
          [a, b],
          [b, a],
        ] as const
      ).flatMap(([near, c]) => {
        if (held.isHeld(near) || !held.isHeld(c)) return [];
        if (elements.rectifiers.some(({ from, to }) => from === near || to === near)) return [];
        return chips
          .filter(({ rails: [at] }) => at === near)
          .flatMap(({ part: chip }) => {
            const fed = fedWithout(new Set([choke, chip]));
            const pins = [...new Set(Object.keys(chip.pins).map((pin) => rails.at(chip, pin)))].filter(
              (rail) => held.isHeld(rail) && rail !== c,
            );
            const inputs = pins.filter((rail) => fed.has(rail));
            if (inputs.length === 0) return [];
            const isBuck = !fed.has(c);
            const out = isBuck ? c : pins.find((rail) => !fed.has(rail) && isUsed(rail, [choke, chip], model));
            if (out === undefined || !isUsed(out, [choke, chip], model)) return [];
            const stage = {
              topology: isBuck ? 'buck' : 'boost',
              form: 'chip',
              switches: [chip],
              rectifiers: [],
              magnetics: [choke],
            };
            return [
              {
                ...stage,
                sources: isBuck ? inputs.slice(0, 1) : [c],
                outputs: [out],
                evidence: [
                  `${chip.ref} holds both switches; ${choke.ref} leads to ${isBuck ? 'the output' : 'the input'}.`,
                ],
                score: scoreOf(stage) - 1,
                controllers: [chip],
              },
            ];
          });
      }),
    );
}

/** Total capacitance between one rail and another. */
function capacitorsBetween(rail: number, { elements }: Model) {
  return (other: number): number =>
    elements.capacitors
      .filter(({ a, b }) => (a === rail && b === other) || (b === rail && a === other))
      .reduce((total, { part }) => total + (part.value?.capacitance ?? 1e-6), 0);
}

/** Whether anything but the stage itself, capacitors and resistors is on a rail. */
function isUsed(rail: number, own: readonly BoardPart[], { rails }: Model): boolean {
  return rails
    .on(rail)
    .some(({ part }) => !own.includes(part) && !['capacitor', 'resistor', 'varistor'].includes(part.kind));
}

const parallelTo = (binding: Binding | undefined, { elements }: Model): readonly BoardPart[] =>
  uniqueParts([
    ...(binding ? [binding.part] : []),
    ...elements.switches
      .filter(
        ({ part, hi, lo }) =>
          part.kind === binding?.part.kind && binding.rails.includes(hi) && binding.rails.includes(lo) && hi !== lo,
      )
      .map(({ part }) => part),
  ]);

/** Rectifiers between the same two rails: paralleled ones, or a diode beside a synchronous switch. */
const rectifiersLike = (binding: Binding | undefined, { elements }: Model): readonly BoardPart[] =>
  uniqueParts([
    ...(binding ? [binding.part] : []),
    ...elements.rectifiers
      .filter(({ from, to }) => binding?.rails.includes(from) && binding.rails.includes(to))
      .map(({ part }) => part),
  ]);

const chipsOf = (switches: readonly BoardPart[], model: Model): readonly BoardPart[] =>
  uniqueParts([
    ...switches.filter(({ kind }) => kind === 'ic'),
    ...model.elements.switches
      .filter(({ part }) => switches.includes(part))
      .flatMap((element) => controlOf(element, model).chips),
  ]);
