import { practice } from '../evidence';
import { chainsFrom } from '../findings';
import { isPolarised, TRANSISTOR_TERMINALS, type Analysis, type Model, type RectifierElement } from '../topology';
import { sayList } from './sayStage';

/** A resistor that starts a controller from the store or the input, in ohm. */
const START_AT_LEAST = practice(2.2e3);
/** A resistor in the foot of a switch that senses its current, in ohm. */
const SENSE_AT_MOST = practice(22);

/** What starts, feeds, limits and guards the switches, in sentences, as far as joins show it. */
export const aroundControl = (analysis: Analysis): readonly string[] => [
  ...supplies(analysis),
  ...senses(analysis),
  ...guards(analysis),
];

/** How each controller of a stage is fed: from a winding once it runs, and through resistors before. */
function supplies({ recognition: { stages, model }, bulk }: Analysis): readonly string[] {
  const { rails, elements, held } = model;
  const own = new Set(stages.flatMap((stage) => [...stage.switches, ...stage.rectifiers]));
  const controllers = [...new Set(stages.flatMap((stage) => stage.controllers))];
  const windingAt = (rail: number) =>
    elements.windings.find(
      ({ part, rails: ends }) => ends.includes(rail) && stages.some(({ magnetics }) => magnetics.includes(part)),
    )?.part;
  const isReturn = (rail: number) => rails.on(rail).some(({ part, pin }) => isPolarised(part) && pin === '-');
  const isFed = (rail: number) =>
    !isReturn(rail) &&
    (held.rectified.has(rail) ||
      held.input.has(rail) ||
      held.mains.has(rail) ||
      rails.on(rail).some(({ part }) => bulk.includes(part.ref)));
  const fed = new Map<string, { readonly by: readonly string[]; readonly winding: string; readonly chips: string[] }>();
  const started: string[] = [];
  for (const chip of controllers) {
    const pins = new Set(Object.keys(chip.pins).map((pin) => rails.at(chip, pin)));
    const stored = [...pins].filter(
      (rail) => !isFed(rail) && rails.on(rail).some(({ part, pin }) => isPolarised(part) && pin !== '-'),
    );
    // A small resistor may stand between the rectifier and the store.
    const near = new Set(stored.flatMap((rail) => [rail, ...behindResistors(rail, model)]));
    const feeding = elements.rectifiers.filter(
      ({ part, to, from }: RectifierElement) => !own.has(part) && near.has(to) && windingAt(from) !== undefined,
    );
    const winding = feeding.flatMap(({ from }) => windingAt(from) ?? [])[0];
    if (winding) {
      const by = [...new Set(feeding.map(({ part }) => part.ref))];
      const key = [...by, winding.ref].join(' ');
      const entry = fed.get(key) ?? { by, winding: winding.ref, chips: [] };
      fed.set(key, { ...entry, chips: [...entry.chips, chip.ref] });
    }
    const starting = [
      ...new Set(
        stored
          .flatMap((rail) => chainsFrom(rail, model))
          .filter(({ rail, ohms }) => ohms >= START_AT_LEAST && isFed(rail))
          .flatMap(({ parts }) => parts.toReversed()),
      ),
    ];
    if (starting.length > 0)
      started.push(
        `${sayList(starting.map(({ ref }) => ref))} ${starting.length > 1 ? 'let' : 'lets'} enough current through to start ${chip.ref}.`,
      );
  }
  const feeds = [...fed.values()].map(
    ({ by, winding, chips }) =>
      `Once ${winding} works, ${sayList(by)} ${by.length > 1 ? 'feed' : 'feeds'} ${sayList(chips)} from one of its windings.`,
  );
  return [...started, ...feeds];
}

function behindResistors(rail: number, { board, rails }: Model): readonly number[] {
  return board.parts.flatMap((part) => {
    if (part.kind !== 'resistor' || (part.value?.resistance ?? Infinity) > START_AT_LEAST / 10) return [];
    const [a, b] = [rails.at(part, '1'), rails.at(part, '2')];
    return a === rail ? [b] : b === rail ? [a] : [];
  });
}

/** Resistors between the foot of a stage's switch and its return, where a chip or the switch's own oscillation reads them. */
function senses({ recognition: { stages, model } }: Analysis): readonly string[] {
  const { board, nets } = model;
  const isReturn = (net: number) => (nets.pins[net] ?? []).some(({ part, pin }) => isPolarised(part) && pin === '-');
  const limited = stages.filter(({ controllers, topology }) => controllers.length > 0 || topology === 'rcc-flyback');
  const feet = new Map<number, string[]>();
  for (const part of new Set(limited.flatMap(({ switches }) => switches))) {
    const terminals = TRANSISTOR_TERMINALS[part.kind];
    const net = terminals ? nets.of(`${part.ref}.${terminals.lo}`) : -1;
    if (net >= 0 && !isReturn(net)) feet.set(net, [...(feet.get(net) ?? []), part.ref]);
  }
  return [...feet].flatMap(([net, switches]) => {
    const sensing = board.parts.filter(({ ref, kind, value, fitted }) => {
      const ends = ['1', '2'].map((pin) => nets.of(`${ref}.${pin}`));
      const ohms = value?.resistance ?? Infinity;
      return (
        kind === 'resistor' &&
        fitted !== false &&
        ohms > 0 &&
        ohms <= SENSE_AT_MOST &&
        ends.includes(net) &&
        ends.some(isReturn)
      );
    });
    const refs = sensing.map(({ ref }) => ref);
    return refs.length === 0
      ? []
      : [`${sayList(refs)} ${refs.length > 1 ? 'sense' : 'senses'} the current of ${sayList(switches)}.`];
  });
}

/** Thyristors that short an output that rises too high, and thermistors that a chip reads. */
function guards({ recognition }: Analysis): readonly string[] {
  const { stages, model } = recognition;
  const { board, rails, elements, held } = model;
  const own = new Set(stages.flatMap(({ switches }) => switches));
  const outputs = new Set(stages.flatMap((stage) => stage.outputs));
  const shorting = elements.switches.filter(
    ({ part, hi, lo }) =>
      part.kind === 'scr' &&
      !own.has(part) &&
      outputs.has(hi) &&
      elements.capacitors.some(({ polarised, a, b }) => polarised && a === hi && b === lo),
  );
  const warm = board.parts.filter(
    (part) =>
      part.kind === 'thermistor' &&
      !rails.isPass(part) &&
      ['1', '2'].some((pin) => {
        const rail = rails.at(part, pin);
        return !held.isHeld(rail) && rails.on(rail).some((at) => at.part.kind === 'ic');
      }),
  );
  return [
    ...shorting.map(({ part }) => `${part.ref} shorts the output when that rises too high.`),
    ...(warm.length > 0
      ? [`${sayList(warm.map(({ ref }) => ref))} ${warm.length > 1 ? 'tell' : 'tells'} a chip how warm it is.`]
      : []),
  ];
}
