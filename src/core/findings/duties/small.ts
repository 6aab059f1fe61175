import { practice } from '../../evidence';
import type { BoardPart } from '../../board';
import type { Recognition } from '../../topology';
import { pairedRail, type Duty } from './duty';
import { secondaryWindings } from './winding';

/** Resistors in series with a supply diode, and in series with a clamp, at most. */
const SERIES_AT_MOST = practice({ supply: 220, clamp: 2200 } as const);

/** Diodes that make no rail: clamps, own supplies, bootstraps, relay coils, bypasses, protection of the input. */
export const smallDuties = (recognition: Recognition): readonly Duty[] => [
  ...ownSupplies(recognition),
  ...clamps(recognition),
  ...bootstraps(recognition),
  ...coils(recognition),
  ...bypasses(recognition),
  ...inputs(recognition),
  ...shunts(recognition),
];

/** Rails behind small resistors from a rail. */
function behind(rail: number, { model: { board, rails } }: Recognition, atMost: number): readonly number[] {
  return board.parts.flatMap((part) => {
    if (part.kind !== 'resistor' || (part.value?.resistance ?? Infinity) > atMost) return [];
    const ends = [rails.at(part, '1'), rails.at(part, '2')];
    return ends.includes(rail) ? ends.filter((end) => end !== rail) : [];
  });
}

function ownSupplies(recognition: Recognition): readonly Duty[] {
  const { elements, held } = recognition.model;
  return secondaryWindings(recognition).flatMap(({ part: transformer, rails: own }) => {
    const still = own.find((rail) => held.isHeld(rail));
    if (still === undefined) return [];
    const because = `it should carry the current of ${transformer.ref} into its rail`;
    return own
      .filter((rail) => rail >= 0 && !held.isHeld(rail))
      .flatMap((hot) => {
        const after = behind(hot, recognition, SERIES_AT_MOST.supply).filter((rail) => !held.isHeld(rail));
        return elements.rectifiers.flatMap((element): readonly Duty[] => {
          const [near, far] =
            after.includes(element.from) || element.from === hot
              ? [element.from, element.to]
              : [element.to, element.from];
          if (after.includes(near) && held.isHeld(far) && far !== still)
            return [{ element, high: far, low: still, cathode: far, because }];
          if (near !== hot || held.isHeld(far)) return [];
          const rail = behind(far, recognition, SERIES_AT_MOST.supply).find((end) => held.isHeld(end) && end !== still);
          return rail === undefined ? [] : [{ element, high: rail, low: still, cathode: far, because }];
        });
      });
  });
}

function clamps(recognition: Recognition): readonly Duty[] {
  const { model, stages } = recognition;
  const { elements, held, rails } = model;
  return stages
    .filter(({ form }) => form === 'single')
    .flatMap(({ switches, sources }) => {
      const own = elements.switches.find(({ part }) => switches.includes(part));
      const chip = own ? undefined : switches[0];
      const [supply = -1, foot = -1] = sources;
      const near = own
        ? held.isHeld(own.hi)
          ? own.lo
          : own.hi
        : (chip ? Object.keys(chip.pins).map((pin) => rails.at(chip, pin)) : []).find(
            (rail) => !held.isHeld(rail) && elements.inductive.some(({ a, b }) => a === rail || b === rail),
          );
      if (near === undefined) return [];
      const reached = [near, ...behind(near, recognition, SERIES_AT_MOST.clamp).filter((rail) => !held.isHeld(rail))];
      const isClamp = (rail: number, without: BoardPart) =>
        !reached.includes(rail) &&
        rails
          .on(rail)
          .every(({ part }) => part === without || ['capacitor', 'resistor', 'diode'].includes(part.kind)) &&
        rails.on(rail).length > 1;
      return elements.rectifiers.flatMap((element): readonly Duty[] => {
        if (element.isBody) return [];
        const [at, far] = reached.includes(element.from) ? [element.from, element.to] : [element.to, element.from];
        if (!reached.includes(at) || !isClamp(far, element.part) || sources.includes(far)) return [];
        return [
          {
            element,
            high: supply,
            low: foot,
            cathode: far,
            because: 'it should lead the switch’s overshoot into the clamp',
          },
        ];
      });
    });
}

/** Points that switches of a stage drive. */
function drivenRails({ model, stages }: Recognition): ReadonlySet<number> {
  const { elements, held, rails } = model;
  const chips = stages.flatMap(({ switches }) => switches.filter(({ kind }) => kind === 'ic'));
  return new Set(
    [
      ...elements.switches
        .filter(({ part }) => stages.some(({ switches }) => switches.includes(part)))
        .flatMap(({ hi, lo }) => [hi, lo]),
      ...chips.flatMap((chip) => Object.keys(chip.pins).map((pin) => rails.at(chip, pin))),
    ].filter((rail) => !held.isHeld(rail)),
  );
}

function bootstraps(recognition: Recognition): readonly Duty[] {
  const { elements, held, rails } = recognition.model;
  const driven = drivenRails(recognition);
  return elements.rectifiers.flatMap((element): readonly Duty[] => {
    const [supply, boot] = held.isHeld(element.from) ? [element.from, element.to] : [element.to, element.from];
    if (element.isBody || !held.isHeld(supply) || held.isHeld(boot) || driven.has(boot)) return [];
    const isBoot =
      rails.on(boot).some(({ part }) => part.kind === 'ic') &&
      elements.capacitors.some(({ a, b }) => (a === boot && driven.has(b)) || (b === boot && driven.has(a)));
    return isBoot
      ? [
          {
            element,
            high: supply,
            low: boot,
            cathode: boot,
            isCertain: true,
            because: 'it should charge the supply of the upper driver',
          },
        ]
      : [];
  });
}

function coils({ model }: Recognition): readonly Duty[] {
  const { board, rails, elements, held } = model;
  return board.parts
    .filter(({ kind }) => kind === 'relay')
    .flatMap((part) => {
      const ends = [rails.at(part, '1'), rails.at(part, '2')];
      const supply = ends.find((rail) => held.isHeld(rail));
      const low = supply === undefined ? undefined : pairedRail(supply, [], model);
      if (supply === undefined || low === undefined) return [];
      return elements.rectifiers
        .filter(({ from, to }) => ends.includes(from) && ends.includes(to))
        .map((element) => ({
          element,
          high: supply,
          low,
          cathode: supply,
          because: `it should take the current of ${part.ref}’s coil when that is switched off`,
        }));
    });
}

function bypasses({ model, stages }: Recognition): readonly Duty[] {
  return stages
    .filter(({ topology }) => topology === 'boost' || topology === 'boost-pfc')
    .flatMap(({ outputs: [out = -1], sources }) =>
      model.elements.rectifiers
        .filter(
          ({ from, to, isBody }) =>
            !isBody && ((sources.includes(from) && to === out) || (sources.includes(to) && from === out)),
        )
        .map((element) => ({
          element,
          high: out,
          low: sources[0] ?? -1,
          cathode: out,
          isCertain: true,
          because: 'past the choke it may only let current on to the output',
        })),
    );
}

function inputs({ model }: Recognition): readonly Duty[] {
  const { elements, held } = model;
  const pins = [...held.input];
  return elements.rectifiers.flatMap((element): readonly Duty[] => {
    const { from, to, isBody } = element;
    if (isBody || held.input.has(from) === held.input.has(to)) return [];
    const [inlet, inside] = held.input.has(from) ? [from, to] : [to, from];
    const back = pins.find((rail) => rail !== inlet);
    if (back === undefined || pairedRail(inlet, [], model) === inside) return [];
    const beyond = held.isHeld(inside)
      ? inside
      : elements.inductive
          .map(({ a, b }) => (a === inside ? b : b === inside ? a : -1))
          .find((rail) => held.isHeld(rail));
    const isSupply = beyond !== undefined && pairedRail(beyond, [], model) === back;
    return isSupply
      ? [{ element, high: beyond, low: back, cathode: inside, because: 'it should let the input’s current in' }]
      : [];
  });
}

/** A diode straight across a rail: anything but blocking would be a short. */
function shunts({ model }: Recognition): readonly Duty[] {
  const { elements, held } = model;
  return elements.rectifiers.flatMap((element): readonly Duty[] => {
    const { from, to, isBody, part } = element;
    if (isBody || part.kind === 'bridge' || !held.isHeld(from) || !held.isHeld(to)) return [];
    const isAcross = elements.capacitors.some(
      ({ polarised, a, b }) => polarised && ((a === from && b === to) || (a === to && b === from)),
    );
    return isAcross && !held.mains.has(from) && !held.mains.has(to)
      ? [{ element, high: to, low: from, cathode: to, because: 'straight across a rail it may only block' }]
      : [];
  });
}
