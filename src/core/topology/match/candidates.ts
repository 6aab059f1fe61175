import { practice } from '../../evidence';
import type { Board, BoardPart } from '../../board';
import type { RoleKind } from '../forms/form';
import type { Model } from '../model';
import { isLamp, RESERVOIR_AT_LEAST } from '../model/parts';
import type { Binding } from './matchForm';

/** Coupling capacitors of converters start here. */
const COUPLING_CAPACITOR_AT_LEAST = practice(470e-9);

/** Whether a capacitor may couple the two chokes of a cell. */
export const mayCouple = ({ subtype, value }: BoardPart, polarised: boolean): boolean =>
  !polarised && subtype !== 'x' && subtype !== 'y' && (value?.capacitance ?? 1e-6) >= COUPLING_CAPACITOR_AT_LEAST;

const bothWays = (binding: Binding): readonly Binding[] => [
  binding,
  {
    ...binding,
    rails: [binding.rails[1], binding.rails[0]],
    pins: [binding.pins[1], binding.pins[0]],
    forward: !(binding.forward ?? true),
  },
];

/** Kinds of role that a part may fill once a person has fixed what it is; every kind when its topology was. */
const FIXED_KINDS: Readonly<Record<string, readonly RoleKind[]>> = {
  switch: ['switch', 'thyristor'],
  rectifier: ['passive'],
  'output-choke': ['output-choke'],
  nothing: [],
};

/** Everything on the board that could fill a role, by kind of role, and that no person has fixed as something else. */
export function candidatesOf(model: Model): Candidates {
  const all = unfixedCandidates(model);
  const { fixed } = model.board;
  return fixed && fixed.length > 0 ? withFixed(all, fixed) : all;
}

function withFixed(all: Candidates, fixed: NonNullable<Board['fixed']>): Candidates {
  const allowed = new Map(fixed.map(({ ref, as }) => [ref, FIXED_KINDS[as]]));
  const entries = Object.entries(all).map(([kind, bindings]) => [
    kind,
    bindings.filter(({ part }) => allowed.get(part.ref)?.includes(kind as RoleKind) ?? true),
  ]);
  return Object.fromEntries(entries) as Candidates;
}

type Candidates = Readonly<Record<RoleKind, readonly Binding[]>>;

function unfixedCandidates(model: Model): Candidates {
  const { elements, board, rails } = model;
  const transistors: readonly Binding[] = elements.switches.map(({ part, hi, lo, hiPin, loPin }) => ({
    part,
    rails: [hi, lo],
    pins: [hiPin, loPin],
    forward: true,
  }));
  const bodies = elements.switches.filter(({ part }) => part.kind === 'nmos' || part.kind === 'pmos');
  const stores: readonly Binding[] = elements.capacitors
    .filter(
      ({ part, polarised }) =>
        polarised ||
        (part.subtype !== 'x' && part.subtype !== 'y' && (part.value?.capacitance ?? 1) >= RESERVOIR_AT_LEAST),
    )
    .flatMap(({ part, a, b }) => {
      const [first = '', second = ''] = Object.keys(part.pins);
      return bothWays({ part, rails: [a, b], pins: [first, second] });
    });
  return {
    piece: inductive(model, 'transformer'),
    choke: [...inductive(model, 'inductor'), ...inductive(model, 'transformer')],
    switch: [
      ...transistors.filter(({ part }) => part.kind !== 'scr').flatMap(bothWays),
      ...elements.chips.flatMap((chip) => chipSwitches(chip, model)),
    ],
    thyristor: transistors.filter(({ part }) => part.kind === 'scr').flatMap(bothWays),
    passive: [
      ...elements.rectifiers
        .filter(({ isBody }) => !isBody)
        .flatMap(({ part, from, to, fromPin, toPin }) =>
          bothWays({ part, rails: [from, to], pins: [fromPin, toPin], forward: true }),
        ),
      ...bodies.flatMap(({ part, hi, lo, hiPin, loPin }) =>
        bothWays({ part, rails: [lo, hi], pins: [loPin, hiPin], forward: true }),
      ),
    ],
    'output-choke': [...inductive(model, 'inductor'), ...inductive(model, 'transformer')],
    coupling: elements.capacitors
      .filter(({ part, polarised }) => mayCouple(part, polarised))
      .flatMap(({ part, a, b }) => {
        const [first = '', second = ''] = Object.keys(part.pins);
        return bothWays({ part, rails: [a, b], pins: [first, second] });
      }),
    reservoir: stores,
    store: stores,
    lamp: board.parts.filter(isLamp).flatMap((part) =>
      Object.keys(part.pins).map((pin): Binding => ({
        part,
        rails: [rails.at(part, pin), rails.at(part, pin)],
        pins: [pin, pin],
      })),
    ),
  };
}

const inductive = ({ elements }: Model, kind: 'transformer' | 'inductor'): readonly Binding[] =>
  elements.inductive
    .filter(({ part }) => part.kind === kind)
    .flatMap(({ part, a, b, aPin, bPin, winding }) => bothWays({ part, winding, rails: [a, b], pins: [aPin, bPin] }));

/** A chip with its switch inside: between a pin on a swinging, inductive rail and a pin on a held one. */
function chipSwitches(chip: BoardPart, { rails, elements, held }: Model): readonly Binding[] {
  const pins = Object.keys(chip.pins).map((pin) => ({ pin, rail: rails.at(chip, pin) }));
  const isInductive = (rail: number) => elements.inductive.some(({ a, b }) => a === rail || b === rail);
  const isTaken = (rail: number) =>
    chip.subtype !== 'switcher' && elements.switches.some(({ hi, lo }) => hi === rail || lo === rail);
  const near = pins.filter(({ rail }) => !held.isHeld(rail) && isInductive(rail) && !isTaken(rail));
  const far = pins.filter(({ rail }) => held.isHeld(rail));
  const seen = new Set<string>();
  return near.flatMap((at) =>
    far.flatMap((to) => {
      const key = `${at.rail} ${to.rail}`;
      if (seen.has(key)) return [];
      seen.add(key);
      return [{ part: chip, rails: [at.rail, to.rail] as const, pins: [at.pin, to.pin] as const }];
    }),
  );
}
