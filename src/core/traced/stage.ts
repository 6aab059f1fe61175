import { practice } from '../evidence';
import type { BoardPart } from '../board';
import { stackedRails } from '../findings';
import { isPolarised } from '../topology';
import type { PowerCircuit, PowerPart, Trace } from '../whatif';
import { chipEnds } from './chipSwitch';
import { cutOf } from './cut';
import { designOf } from './design';
import { driveOf, familyOf, frequencyOf, gateSets, limitOf } from './drive';
import { powerPartsOf, type Nodes, type Surroundings } from './parts';
import type { OutputRail } from './rails';
import { seriesOf } from './series';
import { loadOf, SOURCE, type OutputNodes, type StageCircuit, type StageTask } from './task';
import { transformerOf } from './transformer';
import { TYPICAL } from './typical';

/** A divider makes an output so much likelier to be the one that is held. */
const DIVIDED = practice(1.5);

/** Outputs in the order in which they are likely to be the one that is held: by a divider, else the one that takes most. */
export function likeliestHeld(outputs: readonly OutputRail[], amperes: readonly number[]): readonly number[] {
  const rank = (index: number) => {
    const { divided, isOwnSupply, volts } = outputs[index]!;
    return (divided ? DIVIDED : 1) * (isOwnSupply ? 1e-3 : 1) * volts * (amperes[index] ?? 0);
  };
  return outputs.map((_, index) => index).toSorted((a, b) => rank(b) - rank(a));
}

/** Builds the circuit of a stage from what lies between its rails; what is missing is told by name. */
export function circuitOf(task: StageTask): StageCircuit | { readonly missing: string } {
  const { unit, recognition, stage, way, rails: ends, volts, amperes, values, main } = task;
  const { model } = recognition;
  const { nets, rails, elements } = model;
  const outputs = ends.outputs;
  const held = outputs[main];
  if (!held) return { missing: 'which output it has' };
  const watts = outputs.reduce((sum, one, index) => sum + one.volts * (amperes[index] ?? 0), 0);
  const own = new Set([...stage.switches, ...stage.rectifiers, ...stage.magnetics]);
  const switches = new Set(stage.switches);
  const swinging = new Set(
    [...elements.switches.filter(({ part }) => switches.has(part)).flatMap(({ hi, lo }) => [hi, lo])].filter(
      (rail) => rail !== ends.plus && rail !== ends.minus,
    ),
  );
  const chipSwitch = (part: BoardPart) => chipEnds(part, task);
  for (const part of stage.switches) {
    const inside = part.kind === 'ic' ? chipSwitch(part) : undefined;
    if (part.kind === 'ic' && !inside) return { missing: `which pins of ${part.ref} are its switch` };
    if (inside) swinging.add(inside.swing);
  }
  const series = seriesOf(task, swinging);
  for (const rail of series.swinging) swinging.add(rail);
  const within = new Set<number>([ends.plus, ends.minus, ...swinging]);
  for (const { rails: out, ground } of outputs) for (const rail of [...out, ground]) within.add(rail);
  for (const part of own)
    if (part.kind !== 'ic')
      for (const pin of Object.keys(part.pins)) if (pin !== 'G' && pin !== 'B') within.add(rails.at(part, pin));
  for (const rail of series.rails) within.add(rail);
  const core = new Set([...own, ...series.parts]);
  // Rectifiers of the unit's own supplies belong to it as well.
  for (const { part, from, to, isBody } of elements.rectifiers)
    if (!isBody && within.has(from) && within.has(to)) core.add(part);
  const terminalOf = (rail: number, wanted: '+' | '-', connector: boolean): number => {
    const pins = rails.on(rail);
    const store = pins.find(({ part, pin }) => isPolarised(part) && pin === wanted);
    const outlet = connector ? pins.find(({ part }) => part.kind === 'connector') : undefined;
    const found = outlet ?? store ?? pins.find(({ part }) => own.has(part)) ?? pins[0];
    return found ? nets.of(`${found.part.ref}.${found.pin}`) : -1;
  };
  const ground = terminalOf(ends.minus, '-', false);
  const feed = terminalOf(ends.plus, '+', false);
  const terminals = new Set<number>([ground, feed]);
  const places = outputs.map((output) => {
    const up = terminalOf(output.rail, output.isNegative ? '-' : '+', !output.isOwnSupply);
    const down =
      output.ground === ends.minus ? ground : terminalOf(output.ground, output.isNegative ? '+' : '-', false);
    terminals.add(up).add(down);
    return { output, up, down };
  });
  const { parts } = cutOf(model, {
    core: [...core],
    rails: within,
    terminals,
    links: series.links.map(({ ends: pair }) => pair),
  });
  const returns = new Map<number, string>([[ground, '0']]);
  for (const { down } of places) if (!returns.has(down)) returns.set(down, 's0');
  const nodeOfNet = (net: number) => returns.get(net) ?? (net < 0 ? 'nowhere' : `n${net}`);
  const nodes: Nodes = { at: (part, pin) => nodeOfNet(nets.of(`${part.ref}.${pin}`)) };
  const voltsAt = new Map<number, number>([
    [ends.minus, 0],
    [ends.plus, volts],
    ...stackedRails(recognition).flatMap(({ middle, ends: pair }) =>
      pair.includes(ends.plus) && pair.includes(ends.minus) ? [[middle, volts / 2] as const] : [],
    ),
    ...places.flatMap(({ output }) => [
      ...output.rails.map((rail) => [rail, output.isNegative ? -output.volts : output.volts] as const),
      ...(output.ground === ends.minus ? [] : [[output.ground, 0] as const]),
    ]),
  ]);
  const hertz = frequencyOf(stage, model, values, way);
  const design = designOf(task, held, watts, hertz, swinging);
  const around: Surroundings = {
    unit,
    model,
    nodes,
    values,
    watts,
    switches,
    rectifiers: new Set(stage.rectifiers),
    startOf: (part) => {
      const [a, b] = Object.keys(part.pins).map((pin) => voltsAt.get(rails.at(part, pin)));
      return a === undefined || b === undefined ? undefined : a - b;
    },
    lossOhms: {
      source: TYPICAL.partLoss * (volts ** 2 / Math.max(watts, 0.1)),
      output: TYPICAL.partLoss * (held.volts ** 2 / Math.max(watts, 0.1)),
    },
    typicalHenries: (part) =>
      stage.magnetics.includes(part)
        ? { value: design.choke, why: 'for a ripple of 30 % of its current' }
        : { value: TYPICAL.filterHenries, why: 'as filter chokes have' },
    chipSwitch: (part) => {
      const inside = chipSwitch(part);
      return inside && { hi: nodeOfNet(inside.hi), lo: nodeOfNet(inside.lo) };
    },
  };
  const least = (ohms: number) => Math.min(ohms, TYPICAL.leadLoss * (volts ** 2 / Math.max(watts, 1)));
  const refOf = new Map<string, string>();
  const built: PowerPart[] = [];
  const put = (part: BoardPart, list: readonly PowerPart[]) => {
    for (const one of list) {
      refOf.set(one.ref, part.ref);
      built.push(one);
    }
  };
  const live = (net: number) =>
    terminals.has(net) ||
    parts.some((part) => Object.keys(part.pins).some((pin) => nets.of(`${part.ref}.${pin}`) === net));
  for (const part of parts)
    put(
      part,
      part.kind === 'transformer' ? transformerOf(part, task, around, design, swinging) : powerPartsOf(part, around),
    );
  series.links.forEach(({ ref, ends: [a, b] }, index) =>
    built.push({
      ref: `${ref}_S${index + 1}`,
      drawn: { kind: 'inductor', pins: { 1: nodeOfNet(a), 2: nodeOfNet(b) } },
      model: { kind: 'link', ohms: least(TYPICAL.ohms.inductor) },
      limits: {},
    }),
  );
  const sets = gateSets(stage, way, model, ends);
  const isDriven = (ref: string) => built.some((one) => one.ref === ref);
  const [lead] = sets.first.filter(isDriven);
  if (lead === undefined) return { missing: 'what its switch is joined to' };
  const hasStore = parts.some(
    (part) =>
      part.kind === 'capacitor' &&
      Object.keys(part.pins).every((pin) => [ends.plus, ends.minus].includes(rails.at(part, pin))),
  );
  built.push({
    ref: SOURCE,
    drawn: { kind: 'connector', role: 'dc-input', pins: { '+': nodeOfNet(feed), '-': '0' } },
    model: { kind: 'supply', volts, ...(hasStore ? leadOf(volts, watts) : { ohms: 0, henries: 0 }) },
    limits: {},
  });
  const loads = places.flatMap(({ output, up, down }, index): readonly OutputNodes[] => {
    const taken = amperes[index] ?? 0;
    if (taken <= 0 || !live(up)) return [];
    const load = loadOf(output, { up: nodeOfNet(up), down: nodeOfNet(down), amperes: taken, index });
    built.push(load.part);
    return [load.nodes];
  });
  const first = loads.find(({ output }) => output === held);
  if (!first) return { missing: `what is taken from ${held.at}` };
  const choke = built.find(
    ({ model: { kind }, ref }) => kind === 'choke' && stage.magnetics.some((one) => one.ref === refOf.get(ref)),
  );
  const wound = built.find(({ model: { kind } }) => kind === 'transformer');
  const store = way.conducts === 'off' && way.isTransformer ? wound : (choke ?? wound);
  const rectifiers = built
    .filter(({ ref }) => stage.rectifiers.some((one) => one.ref === refOf.get(ref)))
    .map(({ ref }) => ref);
  const mostDuty =
    familyOf(stage)?.dutyLimit ?? (way.conducts === 'on' ? TYPICAL.mostDuty.forward : TYPICAL.mostDuty.single);
  const circuit: PowerCircuit = {
    id: 'as-traced',
    name: unit.board.title ?? 'as traced',
    message: '',
    holds: held.volts,
    knobs: [],
    parts: () => built,
    drive: driveOf({
      way,
      sets: { first: sets.first.filter(isDriven), second: sets.second.filter(isDriven) },
      hertz,
      duty: design.duty,
      most: mostDuty,
      amperes: limitOf(stage, model, values),
    }),
    output: [first.plus, first.minus],
    roles: {
      switches: stage.switches.map(({ ref }) => ref).filter(isDriven),
      rectifiers,
      ...(store ? { store: store.ref } : {}),
      outputCapacitors: [],
      load: first.load,
    },
    traces: tracesOf(lead, rectifiers[0]),
  };
  return { circuit, outputs: loads, refOf };
}

const tracesOf = (lead: string, rectifier: string | undefined): readonly Trace[] => [
  { label: `${lead}, drain`, unit: 'V', of: { volts: lead } },
  { label: lead, unit: 'A', of: { amperes: lead } },
  ...(rectifier === undefined ? [] : [{ label: rectifier, unit: 'A', of: { amperes: rectifier } } as const]),
  { label: 'output ripple', unit: 'V', of: 'ripple' },
];

/** The wires to a reservoir: of a low voltage they are shorter and thicker. */
const leadOf = (volts: number, watts: number) => {
  const ohms = Math.min(TYPICAL.lead.ohms, TYPICAL.leadLoss * (volts ** 2 / Math.max(watts, 1)));
  return { ohms, henries: Math.min(TYPICAL.lead.henries, ohms * TYPICAL.leadSeconds) };
};
