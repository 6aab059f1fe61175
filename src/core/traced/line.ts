import type { BoardPart } from '../board';
import type { FoundStage, Recognition } from '../topology';
import type { PowerCircuit, PowerPart } from '../whatif';
import { cutOf } from './cut';
import { powerPartsOf, type Surroundings } from './parts';
import type { OutputRail } from './rails';
import { loadOf, SOURCE, type OutputNodes, type StageCircuit } from './task';
import { measuredOhms, woundPart } from './transformer';
import { TYPICAL } from './typical';
import type { TracedUnit, Values } from './unit';
import { woundAs } from './wound';

/** Stages that take their power from the mains itself, at its own frequency. */
export const LINE_STAGES: ReadonlySet<string> = new Set(['line-transformer', 'capacitive-dropper']);

/** What a stage on the mains is run with. */
export interface LineTask {
  readonly unit: TracedUnit;
  readonly recognition: Recognition;
  readonly stage: FoundStage;
  readonly outputs: readonly OutputRail[];
  /** Of the mains, effective. */
  readonly volts: number;
  readonly amperes: readonly number[];
  readonly values: Values;
  /** Corrects turns that nobody measured, by what the first output came to with those that were chosen. */
  readonly correction?: number;
}

/** Builds the circuit of a stage on the mains; what is missing is told by name. */
export function lineCircuitOf(task: LineTask): StageCircuit | { readonly missing: string } {
  const { unit, recognition, stage, outputs, volts, amperes, values } = task;
  const { board, nets, rails, held } = recognition.model;
  const inlet = board.parts.find(({ role }) => role === 'mains-inlet');
  const [live, neutral] = inlet ? mainsPins(inlet).map((pin) => nets.of(`${inlet.ref}.${pin}`)) : [];
  if (live === undefined || neutral === undefined) return { missing: 'where the mains comes in' };
  const [first] = outputs;
  if (!first) return { missing: 'which output it has' };
  const isIsolated = stage.topology === 'line-transformer';
  const watts = outputs.reduce((sum, one, index) => sum + one.volts * (amperes[index] ?? 0), 0);
  const within = new Set<number>([...held.mains, ...held.dropped, ...held.lineSecondary]);
  for (const { rails: own, ground } of outputs) for (const rail of [...own, ground]) within.add(rail);
  const core = new Set<BoardPart>([...stage.rectifiers, ...stage.magnetics]);
  for (const part of core) for (const pin of Object.keys(part.pins)) within.add(rails.at(part, pin));
  const netOn = (rail: number, wanted: '+' | '-') => {
    const pins = rails.on(rail);
    const store = pins.find(({ part, pin }) => part.kind === 'capacitor' && pin === wanted);
    const found = store ?? pins.find(({ part }) => core.has(part)) ?? pins[0];
    return found ? nets.of(`${found.part.ref}.${found.pin}`) : -1;
  };
  const places = outputs.map((output) => ({
    output,
    up: netOn(output.rail, output.isNegative ? '-' : '+'),
    down: netOn(output.ground, output.isNegative ? '+' : '-'),
  }));
  const terminals = new Set([live, neutral, ...places.flatMap(({ up, down }) => [up, down])]);
  const { parts } = cutOf(recognition.model, { core: [...core], rails: within, terminals, withX: !isIsolated });
  // The mains hangs on the rectifier where nothing isolates it; else both sides are held at one point each.
  const grounds = new Map(places.map(({ down }) => [down, isIsolated ? 's0' : '0'] as const));
  if (isIsolated) grounds.set(neutral, '0');
  const nodeOf = (net: number) => grounds.get(net) ?? (net < 0 ? 'nowhere' : `n${net}`);
  const known = new Map(
    places.flatMap(({ output }) => [
      ...output.rails.map((rail) => [rail, output.isNegative ? -output.volts : output.volts] as const),
      [output.ground, 0] as const,
    ]),
  );
  const around: Surroundings = {
    unit,
    model: recognition.model,
    nodes: { at: (part, pin) => nodeOf(nets.of(`${part.ref}.${pin}`)) },
    values,
    watts,
    lossOhms: {
      source: TYPICAL.partLoss * (volts ** 2 / Math.max(watts, 0.1)),
      output: TYPICAL.partLoss * (first.volts ** 2 / Math.max(watts, 0.1)),
    },
    switches: new Set(),
    rectifiers: new Set(stage.rectifiers),
    startOf: (part) => {
      const [a, b] = Object.keys(part.pins).map((pin) => known.get(rails.at(part, pin)));
      return a === undefined || b === undefined ? undefined : a - b;
    },
    typicalHenries: () => ({ value: TYPICAL.filterHenries, why: 'as filter chokes have' }),
    chipSwitch: () => undefined,
  };
  const refOf = new Map<string, string>();
  const built: PowerPart[] = [];
  for (const part of parts)
    for (const one of part.kind === 'transformer'
      ? lineTransformer(part, task, around, watts)
      : powerPartsOf(part, around)) {
      refOf.set(one.ref, part.ref);
      built.push(one);
    }
  built.push({
    ref: SOURCE,
    drawn: { kind: 'connector', role: 'mains-inlet', pins: { L: nodeOf(live), N: nodeOf(neutral) } },
    model: { kind: 'mains', rms: volts, hertz: TYPICAL.lineHertz, ohms: TYPICAL.mainsOhms },
    limits: {},
  });
  const loads = places.flatMap(({ output, up, down }, index): readonly OutputNodes[] => {
    const taken = amperes[index] ?? 0;
    if (taken <= 0) return [];
    const load = loadOf(output, { up: nodeOf(up), down: nodeOf(down), amperes: taken, index });
    built.push(load.part);
    return [load.nodes];
  });
  const [main] = loads;
  if (!main) return { missing: `what is taken from ${first.at}` };
  const rectifiers = built
    .filter(({ ref }) => stage.rectifiers.some((one) => one.ref === refOf.get(ref)))
    .map(({ ref }) => ref);
  const [rectifier] = built.filter(({ ref, model }) => rectifiers.includes(ref) && model.kind === 'diode');
  const circuit: PowerCircuit = {
    id: 'as-traced',
    name: board.title ?? 'as traced',
    message: '',
    knobs: [],
    parts: () => built,
    drive: { kind: 'free', period: () => 1 / TYPICAL.lineHertz },
    output: [main.plus, main.minus],
    roles: { switches: [], rectifiers, outputCapacitors: [], load: main.load },
    traces: [
      { label: 'output', unit: 'V', of: 'output' },
      { label: 'mains', unit: 'A', of: { amperes: SOURCE } },
      ...(rectifier ? [{ label: rectifier.ref, unit: 'A', of: { amperes: rectifier.ref } } as const] : []),
      { label: 'output ripple', unit: 'V', of: 'ripple' },
    ],
  };
  return { circuit, outputs: loads, refOf };
}

/** Live and neutral of an inlet, whatever its pins are called. */
function mainsPins({ pins }: BoardPart): readonly string[] {
  const names = Object.keys(pins).filter((pin) => !/^(?:E|PE|EARTH|FG|G|GND)$/i.test(pin));
  return 'L' in pins && 'N' in pins ? ['L', 'N'] : names.slice(0, 2);
}

/** A transformer across the mains: turns for the volts of its outputs, or as its label says. */
function lineTransformer(
  part: BoardPart,
  { recognition: { model }, outputs, volts, values, unit, correction = 1 }: LineTask,
  around: Surroundings,
  watts: number,
): readonly PowerPart[] {
  const [primary, secondary] = [values.find(part, 'primary'), values.find(part, 'acVoltage')];
  const said = primary && secondary ? primary / secondary : undefined;
  const ratio = values.find(part, 'turnsRatio') ?? said;
  const { copper, leakage, magnetising } = TYPICAL.line;
  const { pieces, main } = woundAs(part, model, {
    swinging: model.held.mains,
    high: new Set(),
    outputs,
    conducts: 'both',
    // The peak of the mains charges a reservoir, less what the windings and the ripple take.
    primaryVolts: { choke: volts * Math.SQRT2, reservoir: (volts * Math.SQRT2 * (1 - copper)) / correction },
    source: { plus: -1, minus: -1, volts },
    ...(ratio === undefined ? {} : { ratio }),
    drop: TYPICAL.drop.rectifier,
  });
  if (pieces.length === 0) return [];
  if (ratio === undefined && main !== undefined)
    values.note({
      ref: part.ref,
      name: 'turnsRatio',
      label: 'turns ratio',
      value: 1 / main,
      unit: 'ratio',
      source: 'typical',
      why: 'chosen so that what its capacitors are rated for comes about',
    });
  const ohms = (volts * volts) / Math.max(watts, 0.5);
  const henries = values.take(part, 'inductance', () => ({
    value: ohms / (2 * Math.PI * TYPICAL.lineHertz * magnetising),
    why: 'for a magnetising current of a tenth',
  }));
  const ohmsOf = (a: string, b: string, turns: number) => {
    return measuredOhms(unit, part, a, b) ?? 0.5 * copper * ohms * turns ** 2;
  };
  return [
    woundPart(part, around, { pieces, henries, leakage: (leakage * ohms) / (2 * Math.PI * TYPICAL.lineHertz), ohmsOf }),
  ];
}
