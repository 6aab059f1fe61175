import { practice } from '../evidence';
import type { BoardPart } from '../board';
import { stackedRails } from '../findings';
import { isPolarised, reachOf, TRANSISTOR_TERMINALS, type FoundStage, type Model, type Recognition } from '../topology';
import type { PowerCircuit, PowerPart, Trace } from '../whatif';
import { cutOf } from './cut';
import { driveOf, familyOf, frequencyOf, gateSets, limitOf, type Way } from './drive';
import { powerPartsOf, type Nodes, type Surroundings } from './parts';
import type { OutputRail, StageRails } from './rails';
import { TYPICAL } from './typical';
import type { TracedUnit, Values } from './unit';
import { coupledChokes, woundAs, type Coil } from './wound';

/** What a stage is run with. */
export interface StageTask {
  readonly unit: TracedUnit;
  readonly recognition: Recognition;
  readonly stage: FoundStage;
  readonly way: Way;
  readonly rails: StageRails;
  /** Volts of its source. */
  readonly volts: number;
  /** Amperes taken from each output, in their order. */
  readonly amperes: readonly number[];
  readonly values: Values;
  /** The output that the control holds. */
  readonly main: number;
}

/** An output of a stage as nodes of its circuit. */
export interface OutputNodes {
  readonly output: OutputRail;
  readonly plus: string;
  readonly minus: string;
  readonly load: string;
  readonly amperes: number;
}

/** A stage as a circuit that runs. */
export interface StageCircuit {
  readonly circuit: PowerCircuit;
  readonly outputs: readonly OutputNodes[];
  /** The reference of the board for each part of the circuit that has one. */
  readonly refOf: ReadonlyMap<string, string>;
}

/** The part that stands for the source, and what begins the name of a load. */
export const SOURCE = 'SOURCE';
const LOAD = 'LOAD';

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
    const [plus, minus] = output.isNegative ? [nodeOfNet(down), nodeOfNet(up)] : [nodeOfNet(up), nodeOfNet(down)];
    const load = `${LOAD}${index + 1}`;
    built.push({
      ref: load,
      drawn: { kind: 'connector', role: 'output', pins: { '+': plus, '-': minus } },
      model: { kind: 'load', ohms: output.volts / taken },
      limits: {},
    });
    return [{ output, plus, minus, load, amperes: taken }];
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

/** What lies in series between the switches, the primary and the source. */
interface Series {
  readonly parts: readonly BoardPart[];
  readonly rails: readonly number[];
  /** Rails on the way from a switch to its winding. */
  readonly swinging: readonly number[];
  /** Windings of other transformers that the current passes through, such as those of a current transformer. */
  readonly links: readonly { readonly ref: string; readonly ends: readonly [number, number] }[];
}

function seriesOf({ recognition: { model }, stage, rails: ends }: StageTask, swinging: ReadonlySet<number>): Series {
  const { elements, held, nets } = model;
  const wound = stage.magnetics.filter(({ kind }) => kind === 'transformer');
  const windings = elements.windings.filter(({ part }) => wound.includes(part));
  const parts = new Set<BoardPart>();
  const rails = new Set<number>();
  const also = new Set<number>();
  const links = new Map<string, Series['links'][number]>();
  // A part may lead on from a rail in several ways; the one that arrives counts.
  const pass = (here: number, through: readonly BoardPart[], goal: number): boolean => {
    const [part, ...left] = through;
    if (!part) return here === goal;
    for (const one of [...elements.capacitors, ...elements.inductive]) {
      if (one.part !== part || (one.a !== here && one.b !== here)) continue;
      const far = one.a === here ? one.b : one.a;
      if (!pass(far, left, goal)) continue;
      rails.add(far);
      if (!('winding' in one) || part.kind !== 'transformer') parts.add(part);
      else
        links.set(`${part.ref} ${one.winding}`, {
          ref: part.ref,
          ends: [nets.of(`${part.ref}.${one.aPin}`), nets.of(`${part.ref}.${one.bPin}`)],
        });
      return true;
    }
    return false;
  };
  // A winding that power merely passes through lies within one rail.
  for (const part of model.board.parts)
    if (part.kind === 'transformer' && !wound.includes(part))
      (part.windings ?? []).forEach((pins, index) => {
        const [first = '', last = ''] = [pins[0], pins.at(-1)];
        if (model.rails.at(part, first) === model.rails.at(part, last))
          links.set(`${part.ref} ${index}`, {
            ref: part.ref,
            ends: [nets.of(`${part.ref}.${first}`), nets.of(`${part.ref}.${last}`)],
          });
      });
  for (const start of swinging) {
    if (windings.some(({ rails: own }) => own.includes(start))) continue;
    const reach = reachOf(start, elements, held).find(
      ({ rail, through }) =>
        through.every((part) => !wound.includes(part)) && windings.some(({ rails: own }) => own.includes(rail)),
    );
    if (!reach) continue;
    also.add(reach.rail);
    pass(start, reach.through, reach.rail);
  }
  const reached = new Set([...swinging, ...also]);
  for (const winding of windings.filter(({ rails: own }) => own.some((rail) => reached.has(rail))))
    for (const rail of winding.rails) {
      if (reached.has(rail) || held.isHeld(rail)) continue;
      const reach = reachOf(rail, elements, held, { without: winding.part }).filter(
        (one) => one.through.length > 0 && (held.isHeld(one.rail) || reached.has(one.rail)),
      );
      for (const one of reach.filter(({ through }) => through.length === reach[0]?.through.length))
        pass(rail, one.through, one.rail);
    }
  rails.delete(ends.plus);
  rails.delete(ends.minus);
  return { parts: [...parts], rails: [...rails], swinging: [...also], links: [...links.values()] };
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

/** Nets between which the switch inside a chip lies, and the rail it swings. */
function chipEnds(
  part: BoardPart,
  { recognition: { model }, stage, way, rails: ends }: StageTask,
): { readonly hi: number; readonly lo: number; readonly swing: number } | undefined {
  const { rails, nets } = model;
  const pinOn = (rail: number) => Object.keys(part.pins).find((pin) => rails.at(part, pin) === rail);
  const netAt = (rail: number) => nets.of(`${part.ref}.${pinOn(rail) ?? ''}`);
  const worked = new Set(
    [...stage.magnetics, ...stage.rectifiers].flatMap((one) => Object.keys(one.pins).map((pin) => rails.at(one, pin))),
  );
  const swing = Object.keys(part.pins)
    .map((pin) => rails.at(part, pin))
    .find((rail) => worked.has(rail) && !model.held.isHeld(rail) && rail !== ends.plus && rail !== ends.minus);
  if (swing === undefined) return undefined;
  const isHighSide =
    way.ratio !== 'boost' && !way.isTransformer && stage.topology !== 'sepic' && stage.topology !== 'cuk';
  const other = isHighSide ? ends.plus : ends.minus;
  if (pinOn(other) === undefined) return undefined;
  return isHighSide ? { hi: netAt(other), lo: netAt(swing), swing } : { hi: netAt(swing), lo: netAt(other), swing };
}

/** What a stage of this kind is designed to, where its parts do not tell. */
interface Design {
  readonly duty: number;
  /** Inductance of its choke, henry. */
  readonly choke: number;
  /** Of the primary of its transformer, and its leakage. */
  readonly primary: number;
  readonly leakage: number;
  readonly primaryVolts: { readonly choke: number; readonly reservoir: number };
  readonly hertz: number;
}

function designOf(
  { way, volts, amperes, recognition: { model }, stage, values, unit }: StageTask,
  held: OutputRail,
  watts: number,
  hertz: number,
  swinging: ReadonlySet<number>,
): Design {
  const drop = TYPICAL.drop.schottky;
  const out = held.volts + drop;
  const across = volts * way.share;
  const isMains = unit.board.nameplate?.input?.kind !== 'dc';
  const wound = stage.magnetics.find(({ kind }) => kind === 'transformer');
  const ratio = wound && values.find(wound, 'turnsRatio');
  const reflected = ratio === undefined ? (isMains ? TYPICAL.reflected : volts) : ratio * out;
  const share = way.conducts === 'both' ? TYPICAL.duty.both : TYPICAL.duty.single;
  const duty = !way.isTransformer
    ? { buck: out / volts, boost: Math.max(0.02, 1 - volts / out), both: out / (out + volts) }[way.ratio]
    : way.conducts === 'off'
      ? reflected / (reflected + volts)
      : way.conducts === 'both'
        ? share / 2
        : share;
  const taken = Math.max(...amperes, 1e-3);
  const input = watts / TYPICAL.efficiency / volts;
  const choke =
    way.ratio === 'buck'
      ? (out * (1 - Math.min(0.95, way.isTransformer ? share : duty))) / (hertz * TYPICAL.ripple * taken)
      : (volts * duty) / (hertz * TYPICAL.ripple * Math.max(input, 1e-3));
  const resonant = way.turned === 'frequency' ? resonantFarads(stage, model, values, swinging) : undefined;
  const series = resonant === undefined ? undefined : 1 / ((2 * Math.PI * hertz) ** 2 * resonant);
  const primary =
    way.conducts === 'off' && way.isTransformer
      ? (volts * duty) ** 2 / (2 * (watts / TYPICAL.efficiency) * hertz)
      : series !== undefined
        ? TYPICAL.resonantRatio * series
        : way.isTransformer
          ? (across * share) / (hertz * TYPICAL.magnetising * (input / Math.max(0.05, share)))
          : choke;
  const hasChoke = stage.magnetics.some(({ kind }) => kind === 'inductor');
  return {
    duty,
    choke,
    primary,
    leakage:
      series !== undefined
        ? hasChoke
          ? 0.02 * series
          : series
        : primary * TYPICAL.leakage * (way.conducts === 'off' ? 1 : 0.1),
    primaryVolts:
      way.conducts === 'off'
        ? { choke: reflected, reservoir: reflected }
        : { choke: across * share, reservoir: across },
    hertz,
  };
}

/** The capacitor of a resonant stage: not polarised, from the primary or its choke on to a switch, the source or its return. */
function resonantFarads(
  stage: FoundStage,
  { elements, held }: Model,
  values: Values,
  swinging: ReadonlySet<number>,
): number | undefined {
  const primary = elements.inductive.filter(
    ({ part, a, b }) => stage.magnetics.includes(part) && (swinging.has(a) || swinging.has(b)),
  );
  const open = new Set(primary.flatMap(({ a, b }) => [a, b]).filter((rail) => !held.isHeld(rail)));
  const farads = elements.capacitors
    .filter(({ a, b, polarised }) => !polarised && a !== b && (open.has(a) || open.has(b)))
    .flatMap(({ part }) => values.find(part, 'capacitance') ?? [])
    .filter((value) => value > RESONANT_AT_LEAST);
  return farads.length === 0 ? undefined : Math.max(...farads);
}

/** What is smaller is a snubber, farad. */
const RESONANT_AT_LEAST = practice(2e-9);

/** A transformer as windings with turns, as far as anything hangs on them. */
function transformerOf(
  part: BoardPart,
  { way, stage, rails: ends, volts, main, recognition: { model }, values, unit }: StageTask,
  around: Surroundings,
  design: Design,
  swinging: ReadonlySet<number>,
): readonly PowerPart[] {
  const ratio = values.find(part, 'turnsRatio');
  const coupled = elementsSwing(part, model, swinging) ? undefined : coupledChokes(part, model, ends.outputs);
  if (coupled) {
    const lead = ends.outputs[main]?.volts ?? coupled.volts;
    const own = values.take(part, 'inductance', () => ({
      value: design.choke * (coupled.volts / lead) ** 2,
      why: 'for a ripple of 30 % of its current',
    }));
    return [
      woundPart(part, around, {
        pieces: coupled.pieces,
        henries: own,
        leakage: 0.02 * own,
        ohmsOf: () => around.lossOhms.output,
      }),
    ];
  }
  const { pieces, main: mainTurns } = woundAs(part, model, {
    swinging,
    high: new Set(
      model.elements.switches
        .filter(({ part, hi }) => stage.switches.includes(part) && hi === ends.plus)
        .map(({ lo }) => lo),
    ),
    outputs: ends.outputs,
    conducts: way.conducts,
    primaryVolts: design.primaryVolts,
    source: { plus: ends.plus, minus: ends.minus, volts },
    ...(ratio === undefined ? {} : { ratio }),
    drop: stage.rectifiers.every(({ kind }) => kind in TRANSISTOR_TERMINALS) ? 0.05 : TYPICAL.drop.schottky,
  });
  if (pieces.length === 0) return [];
  const henries = values.take(part, 'inductance', () => ({
    value: design.primary,
    why:
      way.conducts === 'off'
        ? 'at the boundary of discontinuous conduction at full load'
        : 'for a magnetising current of a tenth',
  }));
  const leakage = values.take(part, 'shorted', () => ({
    value: design.leakage,
    why: 'as transformers of this kind have',
  }));
  if (ratio === undefined && mainTurns !== undefined)
    values.note({
      ref: part.ref,
      name: 'turnsRatio',
      label: 'turns ratio',
      value: 1 / mainTurns,
      unit: 'ratio',
      source: 'typical',
      why: 'chosen so that the output of the plate comes about at a usual duty',
    });
  const current = around.watts / TYPICAL.efficiency / volts;
  const ohmsOf = (a: string, b: string, turns: number) => {
    const key = [`${part.ref}.${a}`, `${part.ref}.${b}`].toSorted((x, y) => x.localeCompare(y)).join(' ');
    const known = unit.windingOhms?.[key];
    const typical = ((TYPICAL.copper * around.watts) / Math.max(1e-9, current ** 2)) * turns ** 2 * 0.2;
    // A meter with two leads reads its own leads with what is below an ohm.
    return known !== undefined && known > 0.5 ? Math.min(known, 20 * typical) : typical;
  };
  return [woundPart(part, around, { pieces, henries, leakage: Math.min(leakage, 0.5 * henries), ohmsOf })];
}

const elementsSwing = (part: BoardPart, { elements }: Model, swinging: ReadonlySet<number>) =>
  elements.windings.some((winding) => winding.part === part && winding.rails.some((rail) => swinging.has(rail)));

/** A transformer with its windings; turned round, all but its first are. */
export function woundPart(
  part: BoardPart,
  { nodes, values }: Surroundings,
  of: {
    readonly pieces: readonly Coil[];
    readonly henries: number;
    readonly leakage: number;
    readonly ohmsOf: (a: string, b: string, turns: number) => number;
  },
): PowerPart {
  const names = [...new Set(of.pieces.flatMap(({ pins }) => pins))];
  return {
    ref: part.ref,
    drawn: { kind: 'transformer', pins: Object.fromEntries(names.map((pin) => [pin, nodes.at(part, pin)])) },
    model: {
      kind: 'transformer',
      henries: of.henries,
      leakage: of.leakage,
      windings: of.pieces.map(({ pins: [dot, end], turns }) => ({
        pins: [dot, end] as const,
        turns,
        ohms: of.ohmsOf(dot, end, turns),
      })),
    },
    limits: { amperes: values.find(part, 'saturation') ?? Infinity },
  };
}
