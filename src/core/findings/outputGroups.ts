import { practice } from '../evidence';
import type { BoardPart } from '../board';
import { shuntReferenceVolts } from '../chips';
import { TRANSISTOR_TERMINALS, type Recognition } from '../topology';

/** Rails of one output: the connector's, and those behind filter chokes and disconnect switches. */
export interface OutputGroup {
  /** The connector it leaves by. */
  readonly connector: BoardPart | undefined;
  readonly rails: readonly number[];
  readonly ground: number;
  /** Signed, volt; `undefined` while the nameplate cannot be told apart. */
  readonly volts: number | undefined;
  readonly why: string;
}

/** Capacitors run at up to this share of their rating. */
const USUAL_SHARE = practice(0.7);

/** A step-up behind the main stage mostly feeds a backlight, which the nameplate leaves out. */
const BACKLIGHT = practice(1.5);

type Group = Omit<OutputGroup, 'volts' | 'why'>;

/**
 * Output rails with the nameplate voltage that fits each best: by feedback dividers, regulators, the side of the
 * capacitors and their ratings. With fewer rails than voltages on the plate, the only rail takes the highest.
 */
export function outputGroups(recognition: Recognition): readonly OutputGroup[] {
  const groups = groupsOf(recognition);
  const plate = recognition.model.board.nameplate?.outputs ?? [];
  if (plate.length === 0)
    return groups.map((group) => ({ ...group, volts: undefined, why: 'the nameplate says nothing' }));
  const [only] = groups;
  if (groups.length === 1 && only) {
    const volts = plate.reduce((most, { v }) => (Math.abs(v) > Math.abs(most) ? v : most), 0);
    return [{ ...only, volts, why: `the nameplate says ${volts} V` }];
  }
  const best = assign(
    groups,
    plate.map(({ v }) => v),
    recognition,
  );
  return groups.map((group, index) => {
    const volts = best[index];
    return {
      ...group,
      volts,
      why: volts === undefined ? 'no output of the nameplate is left for it' : `the nameplate says ${volts} V`,
    };
  });
}

function groupsOf({ model, barrier }: Recognition): readonly Group[] {
  const { board, rails, elements, held } = model;
  const pins = board.parts
    .filter(({ role }) => role === 'output')
    .flatMap((part) => Object.keys(part.pins).map((pin) => rails.at(part, pin)));
  const starts = [...new Set(pins)].filter((rail) => held.isHeld(rail));
  const weight = (rail: number) =>
    elements.capacitors.filter(({ a, b, polarised }) => polarised && (a === rail || b === rail)).length * 3 +
    rails.on(rail).length * 0.1;
  const islandOf = (rail: number) => {
    const [pin] = rails.on(rail);
    return pin ? barrier.islands.of(model.nets.of(`${pin.part.ref}.${pin.pin}`)) : -1;
  };
  const grounds = new Map<number, number>();
  for (let rail = 0; rail < rails.count; rail += 1) {
    if (!held.isHeld(rail)) continue;
    const island = islandOf(rail);
    const best = grounds.get(island);
    if (best === undefined || weight(rail) > weight(best)) grounds.set(island, rail);
  }
  const links: (readonly [number, number])[] = elements.inductive
    .filter(({ part }) => part.kind === 'inductor')
    .map(({ a, b }) => [a, b] as const);
  for (const part of board.parts) {
    if (part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= 10)
      links.push([rails.at(part, '1'), rails.at(part, '2')]);
    const terminals = part.kind === 'nmos' || part.kind === 'pmos' ? TRANSISTOR_TERMINALS[part.kind] : undefined;
    if (terminals) links.push([rails.at(part, terminals.hi), rails.at(part, terminals.lo)]);
  }
  const taken = new Set<number>();
  const groups: Group[] = [];
  for (const start of starts) {
    const ground = grounds.get(islandOf(start)) ?? -1;
    if (taken.has(start) || start === ground || ground < 0) continue;
    const group = new Set([start]);
    for (const rail of group)
      for (const [a, b] of links)
        for (const [near, far] of [
          [a, b],
          [b, a],
        ] as const)
          if (near === rail && far !== ground && held.isHeld(far)) group.add(far);
    for (const rail of group) taken.add(rail);
    const isPower = elements.capacitors.some(
      ({ part, a, b, polarised }) =>
        (polarised || (part.value?.capacitance ?? 0) >= 0.9e-6) &&
        [...group].some((rail) => (a === rail && b === ground) || (b === rail && a === ground)),
    );
    if (isPower)
      groups.push({
        rails: [...group],
        ground,
        connector: rails.on(start).find(({ part }) => part.kind === 'connector' && part.role === 'output')?.part,
      });
  }
  return groups;
}

/** Voltages for the groups, in their order, at the least cost over all ways to hand the plate's voltages out. */
function assign(
  groups: readonly Group[],
  plate: readonly number[],
  recognition: Recognition,
): readonly (number | undefined)[] {
  let best: { cost: number; volts: readonly (number | undefined)[] } = { cost: Infinity, volts: [] };
  const left = [...plate];
  const volts: (number | undefined)[] = [];
  const spare = Math.max(0, groups.length - plate.length);
  const walk = (index: number, cost: number, unnamed: number) => {
    if (cost >= best.cost) return;
    const group = groups[index];
    if (!group) {
      const total = cost + dividerCost(groups, volts, recognition);
      if (total < best.cost) best = { cost: total, volts: [...volts] };
      return;
    }
    for (const [at, value] of left.entries()) {
      if (left.indexOf(value) !== at) continue;
      left.splice(at, 1);
      volts.push(value);
      walk(index + 1, cost + costOf(group, value, recognition), unnamed);
      volts.pop();
      left.splice(at, 0, value);
    }
    if (unnamed > 0) {
      volts.push(undefined);
      walk(index + 1, cost + 1, unnamed - 1);
      volts.pop();
    }
  };
  walk(0, 0, Math.max(spare, 0));
  return best.volts;
}

function costOf({ rails: own, ground }: Group, volts: number, { model, stages }: Recognition): number {
  const { elements, board, rails } = model;
  const across = elements.capacitors.filter(
    ({ a, b }) => (own.includes(a) && b === ground) || (own.includes(b) && a === ground),
  );
  let cost = stages.some(({ topology, outputs }) => topology === 'boost' && outputs.some((rail) => own.includes(rail)))
    ? BACKLIGHT
    : 0;
  const rated = across.filter(({ part, polarised }) => polarised && part.value?.voltage !== undefined);
  for (const { part } of rated) {
    const ratio = ((part.value?.voltage ?? 0) * USUAL_SHARE) / Math.abs(volts);
    cost += ((part.value?.voltage ?? 0) < Math.abs(volts) ? 2 : Math.abs(Math.log(ratio))) / rated.length;
  }
  const negative = across.filter(({ polarised, a }) => polarised && a === ground).length;
  const positive = across.filter(({ polarised, b }) => polarised && b === ground).length;
  if (negative !== positive && negative > positive !== volts < 0) cost += 4;
  for (const { part, from, to } of elements.rectifiers)
    if (part.kind !== 'nmos' && part.kind !== 'pmos' && own.some((rail) => rail === from || rail === to)) {
      const isPositive = own.includes(to);
      if (isPositive === volts < 0) cost += 1;
    }
  for (const part of board.parts) {
    if (part.kind === 'regulator' && own.includes(rails.at(part, 'OUT'))) {
      const [, marked] = /7[89]\D?(\d\d)/.exec((part.marking ?? '').replace(/-type$/, '')) ?? [];
      if (marked !== undefined) cost += Math.abs(Number(marked) - Math.abs(volts)) > 0.5 ? 3 : -1;
    }
    if (part.kind === 'connector' && part.role === 'output')
      for (const pin of Object.keys(part.pins)) {
        const [, sign = '', said] = /^([+-])(\d+(?:\.\d+)?)V?$/.exec(pin) ?? [];
        if (said !== undefined && own.includes(rails.at(part, pin)))
          cost += Number(`${sign}${said}`) === volts ? -3 : 3;
        if (/led/i.test(pin) && own.includes(rails.at(part, pin))) cost += 2;
      }
  }
  return cost;
}

/** How badly the feedback dividers disagree with the voltages: currents into each reference's input must cancel. */
function dividerCost(groups: readonly Group[], volts: readonly (number | undefined)[], { model }: Recognition): number {
  const { board, rails } = model;
  let cost = 0;
  for (const reference of board.parts.filter(({ kind }) => kind === 'shunt-reference')) {
    const held = shuntReferenceVolts(reference.marking);
    const input = rails.at(reference, 'R');
    const anode = rails.at(reference, 'A');
    let [inflow, outflow, isKnown] = [0, 0, false];
    for (const part of board.parts) {
      const resistance = part.kind === 'resistor' ? part.value?.resistance : undefined;
      if (resistance === undefined) continue;
      const far = farEnd(input, rails.at(part, '1'), rails.at(part, '2'));
      if (far === undefined) continue;
      if (far === anode) outflow += held / resistance;
      else {
        const index = groups.findIndex((group) => group.rails.includes(far));
        const value = volts[index];
        if (value !== undefined) {
          inflow += (value - held) / resistance;
          isKnown = true;
        }
      }
    }
    if (isKnown && outflow > 0) cost += inflow > 0 ? Math.min(2, 3 * Math.abs(Math.log(inflow / outflow))) : 2;
  }
  return cost;
}

const farEnd = (input: number, a: number, b: number): number | undefined =>
  a === input && b !== input ? b : b === input && a !== input ? a : undefined;
