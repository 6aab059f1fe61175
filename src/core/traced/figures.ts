import type { FoundStage, Recognition } from '../topology';
import { elementOf, measured, nodeOf, periodOf, type Answer, type PowerPart, type Study } from '../whatif';
import type { OutputRail } from './rails';
import type { OutputNodes, StageCircuit } from './task';
import type { Values } from './unit';

/** What a rail carries as the stage runs. */
export interface RailFigure {
  readonly at: string;
  readonly volts: number;
  readonly ripple: number;
  readonly amperes: number;
  /** What its divider holds it at, what the plate says, in volt. */
  readonly divider?: { readonly volts: number; readonly refs: readonly string[] };
  readonly plate?: number;
  readonly isOwnSupply: boolean;
  /** What it should carry, where a linear regulator makes an output of the plate from it. */
  readonly expected?: number;
  /** What holds it: the control; its turns; or nothing, as the control has reached its end. */
  readonly isHeld: boolean;
}

/** What a part is put under, and the heat it makes. */
export interface PartFigure {
  readonly ref: string;
  readonly watts: number;
}

/** An answer in which parts have the references of the board: of a double diode both halves are one part. */
export function onBoard(answer: Answer, refOf: ReadonlyMap<string, string>): Answer {
  const named = (ref: string) => refOf.get(ref) ?? ref;
  return {
    ...answer,
    stresses: answer.stresses.map((stress) => ({ ...stress, ref: named(stress.ref) })),
    intervals: answer.intervals.map((one) => ({ ...one, conducts: [...new Set(one.conducts.map(named))] })),
    waves: { ...answer.waves, waves: answer.waves.waves.map((wave) => ({ ...wave, label: named(wave.label) })) },
  };
}

/** The parts that make a stage. */
export const refsOf = ({ switches, rectifiers, magnetics }: FoundStage): readonly string[] =>
  [...switches, ...rectifiers, ...magnetics].map(({ ref }) => ref);

/** Parts on rails of the unit's own whose volts hang on turns that nobody measured. @param outputs that nothing holds */
export function guessedAt(
  stage: FoundStage,
  outputs: readonly OutputRail[],
  { model: { board, rails } }: Recognition,
  values: Values,
): readonly string[] {
  const refs = refsOf(stage);
  const isTypical = values
    .used()
    .some(({ ref, name, source }) => name === 'turnsRatio' && source === 'typical' && refs.includes(ref));
  const own = new Set(outputs.flatMap(({ isOwnSupply, rails: all }) => (isOwnSupply ? all : [])));
  if (!isTypical) return [];
  return board.parts
    .filter((part) => part.kind === 'capacitor' && Object.keys(part.pins).some((pin) => own.has(rails.at(part, pin))))
    .map(({ ref }) => ref);
}

/** What each rail of a stage carries. @param main the output that the control holds */
export function railFigures(
  { outputs }: StageCircuit,
  study: Study,
  main: OutputRail | undefined,
): readonly RailFigure[] {
  const found = measured(
    periodOf(study.operation),
    outputs.flatMap(({ plus, minus }) => {
      const signal = { kind: 'volts', plus: nodeOf(plus), minus: nodeOf(minus) } as const;
      return [{ op: 'avg', signal } as const, { op: 'pp', signal } as const];
    }),
  );
  return outputs.map(({ output, amperes }: OutputNodes, index): RailFigure => {
    const volts = found[2 * index] ?? Number.NaN;
    return {
      at: output.at,
      volts: output.isNegative ? -volts : volts,
      ripple: found[2 * index + 1] ?? Number.NaN,
      amperes: (amperes * volts) / output.volts,
      ...(output.divided ? { divider: output.divided } : {}),

      ...(output.plate ? { plate: output.isNegative ? -output.plate.volts : output.plate.volts } : {}),
      isOwnSupply: output.isOwnSupply,
      ...(output.feedsRegulator ? { expected: output.isNegative ? -output.volts : output.volts } : {}),
      isHeld: output === main && study.operation.held === 'output',
    };
  });
}

/** Heat of each part of the board, the hottest first, watt. */
export function heatIn({ circuit, refOf }: StageCircuit, study: Study): readonly PartFigure[] {
  const parts = circuit.parts({});
  const elements = parts.flatMap((part) =>
    refOf.has(part.ref) ? lossy(part).map((element) => ({ part, element })) : [],
  );
  const watts = measured(
    periodOf(study.operation),
    elements.map(({ element }) => ({ op: 'avg', signal: { kind: 'watts', element } })),
  );
  const sum = new Map<string, number>();
  elements.forEach(({ part }, index) => {
    const ref = refOf.get(part.ref) ?? part.ref;
    const own = watts[index] ?? 0;
    if (Number.isFinite(own)) sum.set(ref, (sum.get(ref) ?? 0) + own);
  });
  return [...sum].map(([ref, own]) => ({ ref, watts: own })).toSorted((a, b) => b.watts - a.watts);
}

/** The elements of a part that make heat. */
function lossy({ ref, model }: PowerPart): readonly string[] {
  switch (model.kind) {
    case 'resistor':
    case 'link':
      return [elementOf(ref)];
    case 'diode':
      return [elementOf(ref), ...(model.zener === undefined ? [] : [elementOf(ref, '.z')])];
    case 'mosfet':
      return [elementOf(ref), ...(model.farads > 0 ? [elementOf(ref, '.damping')] : [])];
    case 'capacitor':
      return model.ohms > 0 ? [elementOf(ref, '.esr')] : [];
    case 'choke':
      return model.ohms > 0 ? [elementOf(ref, '.dcr')] : [];
    case 'transformer':
      return model.windings.flatMap(({ ohms }, index) => (ohms > 0 ? [elementOf(ref, `.r${index + 1}`)] : []));
    case 'bridge':
      return [1, 2, 3, 4].map((leg) => elementOf(ref, `.${leg}`));
    default:
      return [];
  }
}
