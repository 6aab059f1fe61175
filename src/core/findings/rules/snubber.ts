import { PRACTICE, practice } from '../../evidence';
import type { BoardPart } from '../../board';
import { isPolarised } from '../../topology';
import type { Evidence, FindingRule, FoundFault } from '../finding';

/** Usual values as the board format's conventions give them: the least and the most, in SI base units. */
const USUAL = {
  clamp: { resistance: [10e3, 1e6], capacitance: [220e-12, 22e-9] },
  snubber: { resistance: [1, 470], capacitance: [47e-12, 100e-9] },
} as const;
/** How far outside its range a value must lie to be called wrong. */
const FAR = 10;
/** A clamp's diode may have a resistor in series up to this. */
const DAMPING_AT_MOST = practice(2.2e3);

type Network = {
  readonly use: keyof typeof USUAL;
  readonly resistors: readonly BoardPart[];
  readonly capacitors: readonly BoardPart[];
};

export const snubberValue: FindingRule = {
  rule: 'snubber-value',
  severity: 'warn',
  source: PRACTICE,
  check: (evidence) => [...clamps(evidence), ...snubbers(evidence)].flatMap(judge),
};

function judge({ use, resistors, capacitors }: Network): readonly FoundFault[] {
  const usual = USUAL[use];
  const off = (value: number | undefined, [least, most]: readonly [number, number]) =>
    value !== undefined && (value <= least / FAR || value >= most * FAR);
  return [
    ...resistors.filter(({ value }) => off(value?.resistance, usual.resistance)),
    ...capacitors.filter(({ value }) => off(value?.capacitance, usual.capacitance)),
  ].map((part) => ({
    parts: [part],
    message: `${part.ref} is part of a ${use} and its value lies a decade or more outside what is usual there (${
      part.kind === 'resistor' ? words(usual.resistance, 'Ω') : words(usual.capacitance, 'F')
    }).`,
    advice: 'Read its marking again, measure it out of circuit, and compare with a like unit.',
  }));
}

const PREFIXES = [
  [1e6, 'M'],
  [1e3, 'k'],
  [1, ''],
  [1e-3, 'm'],
  [1e-6, 'µ'],
  [1e-9, 'n'],
  [1e-12, 'p'],
] as const;
const words = ([least, most]: readonly [number, number], unit: string) => {
  const show = (value: number) => {
    const [scale, prefix] = PREFIXES.find(([size]) => value >= size * 0.999) ?? [1, ''];
    return `${Math.round(value / scale)} ${prefix}${unit}`;
  };
  return `${show(least)} to ${show(most)}`;
};

/** Resistor and capacitor side by side from a point that a diode charges from a swinging rail. */
function clamps({ model, stages }: Evidence): readonly Network[] {
  const { board, rails, elements, held } = model;
  const switches = new Set(stages.filter(({ form }) => form === 'clamped').flatMap((stage) => stage.switches));
  const resistors = board.parts.filter(({ kind }) => kind === 'resistor');
  const capacitors = elements.capacitors.filter(({ polarised }) => !polarised);
  const ends = (part: BoardPart) => [rails.at(part, '1'), rails.at(part, '2')] as const;
  const outputs = new Set(stages.flatMap((stage) => stage.outputs));
  const magnetics = new Set(stages.flatMap((stage) => stage.magnetics));
  const found: Network[] = [];
  for (let point = 0; point < rails.count; point += 1) {
    const on = rails.on(point);
    if (outputs.has(point) || on.some(({ part }) => isPolarised(part) || part.kind === 'connector')) continue;
    const farther = (part: BoardPart) => ends(part).find((rail) => rail !== point) ?? -1;
    const storing = capacitors.filter(({ a, b }) => (a === point || b === point) && held.isHeld(a === point ? b : a));
    if (storing.length === 0) continue;
    const bleeding = resistors.filter(
      (part) => ends(part).includes(point) && storing.some(({ a, b }) => farther(part) === (a === point ? b : a)),
    );
    if (bleeding.length === 0) continue;
    const reached = [
      point,
      ...resistors
        .filter(
          (part) =>
            ends(part).includes(point) && !bleeding.includes(part) && (part.value?.resistance ?? 0) <= DAMPING_AT_MOST,
        )
        .map(farther),
    ];
    const isSwitched = (rail: number) =>
      rail !== point &&
      !held.isHeld(rail) &&
      elements.inductive.some(({ part, a, b }) => magnetics.has(part) && (a === rail || b === rail));
    const isDamped = (rail: number) =>
      resistors.some(
        (part) =>
          (part.value?.resistance ?? 0) <= DAMPING_AT_MOST && ends(part).includes(rail) && ends(part).some(isSwitched),
      );
    const isCharged = elements.rectifiers.some(({ from, to, isBody }) =>
      reached.some((rail) => {
        const other = from === rail ? to : to === rail ? from : -1;
        return !isBody && other >= 0 && (isSwitched(other) || isDamped(other));
      }),
    );
    if (!isCharged || on.some(({ part }) => switches.has(part)) || on.some(({ part }) => part.kind === 'ic')) continue;
    found.push({ use: 'clamp', resistors: bleeding, capacitors: storing.map(({ part }) => part) });
  }
  return found;
}

/** Resistor and capacitor in series across a winding, a rectifier or a switch. */
function snubbers({ model }: Evidence): readonly Network[] {
  const { rails, elements, held } = model;
  const found: Network[] = [];
  for (let point = 0; point < rails.count; point += 1) {
    const on = rails.on(point);
    const resistors = on.filter(({ part }) => part.kind === 'resistor').map(({ part }) => part);
    const capacitors = on.filter(({ part }) => part.kind === 'capacitor').map(({ part }) => part);
    if (on.length !== 2 || resistors.length !== 1 || capacitors.length !== 1) continue;
    const outer = [...resistors, ...capacitors].map(
      (part) =>
        Object.keys(part.pins)
          .map((pin) => rails.at(part, pin))
          .find((rail) => rail !== point) ?? -1,
    );
    const [a = -1, b = -1] = outer;
    const spans = (one: number, other: number) => (one === a && other === b) || (one === b && other === a);
    const isSwung = [a, b].some(
      (rail) => !held.isHeld(rail) && elements.inductive.some((item) => item.a === rail || item.b === rail),
    );
    const isAcross =
      elements.rectifiers.some(({ from, to }) => spans(from, to)) ||
      elements.switches.some(({ part, hi, lo }) => spans(hi, lo) && part.kind !== 'scr') ||
      elements.inductive.some((item) => spans(item.a, item.b));
    if (isSwung && isAcross) found.push({ use: 'snubber', resistors, capacitors });
  }
  return found;
}
