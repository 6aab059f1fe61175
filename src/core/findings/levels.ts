import { practice } from '../evidence';
import type { BoardPart } from '../board';
import type { Recognition } from '../topology';
import { railDuties } from './duties';
import { outputGroups } from './outputGroups';
import { sameSign, stackedRails } from './railGroups';

/** A part's word on which of two rails is the higher one. */
export interface Vote {
  readonly high: number;
  readonly low: number;
  readonly weight: number;
  readonly part: BoardPart;
}

/** How sure a part's word is: chips and connectors name their rails, a cap can be turned. */
const WEIGHT = practice({ named: 2, switch: 2, bridge: 2, rectifier: 1.5, capacitor: 1, clue: 1 } as const);

export interface Levels {
  /**
   * How strongly the board says that the first rail is higher than the second, without some parts: above zero for,
   * below zero against, 0 when nothing speaks.
   */
  compare(high: number, low: number, without?: readonly BoardPart[]): number;
}

const POSITIVE = /^(?:\+.*|v\+|vcc|vdd|vbus|in\+|out\+|b\+|p\+|vin|led\+)$/i;
const NEGATIVE = /^(?:-|0v|gnd|v-|vss|in-|out-|b-|p-|com|com-)$/i;

/** Lets every part on the board's rails vote on which rail is higher: no single one is believed against the others. */
export function levelsOf(recognition: Recognition): Levels {
  const { model, stages } = recognition;
  const { board, rails, elements, held } = model;
  const votes: Vote[] = [];
  const vote = (part: BoardPart, high: number, low: number, weight: number) => {
    if (high >= 0 && low >= 0 && high !== low) votes.push({ part, high, low, weight });
  };
  for (const { part, a, b, polarised } of elements.capacitors)
    if (polarised && '+' in part.pins) vote(part, a, b, WEIGHT.capacitor);
  for (const part of board.parts) voteOfPart(part);
  for (const stage of stages) {
    voteOfSwitches(stage.sources, stage.switches);
    if (stage.topology !== 'capacitor-discharge') continue;
    for (const { part, lo } of elements.switches)
      if (stage.switches.includes(part)) for (const store of stage.sources) vote(part, store, lo, WEIGHT.switch);
  }
  for (const { element, high, low, cathode } of railDuties(recognition)) {
    const isBeside = elements.switches.some(
      ({ part, hi, lo }) => part !== element.part && hi === element.to && lo === element.from,
    );
    if (isBeside && !element.isBody) continue;
    const weight = element.isBody ? WEIGHT.clue : WEIGHT.rectifier;
    if (element.to === cathode) vote(element.part, high, low, weight);
    else vote(element.part, low, high, weight);
  }
  for (const { rails: own, ground, volts, connector } of outputGroups(recognition))
    if (volts !== undefined && connector)
      for (const rail of own)
        if (volts < 0) vote(connector, ground, rail, WEIGHT.clue);
        else vote(connector, rail, ground, WEIGHT.clue);
  const lines = elements.rectifiers.filter(({ isBody }) => !isBody);
  const isAlternating = (rail: number) =>
    held.mains.has(rail) || held.lineSecondary.has(rail) || held.dropped.has(rail);
  for (const up of lines)
    for (const down of lines) {
      if (!isAlternating(up.from) || held.mains.has(up.to) || up.from !== down.to || !held.isHeld(down.from)) continue;
      if (up.part !== down.part || up.part.kind === 'bridge')
        vote(up.part, up.to, down.from, up.part.kind === 'bridge' ? WEIGHT.bridge / 2 : WEIGHT.rectifier / 2);
    }
  for (const { from, to, part } of lines)
    if (isAlternating(from) && held.isHeld(to) && !isAlternating(to))
      for (const ground of held.mains) if (held.isHeld(ground)) vote(part, to, ground, WEIGHT.rectifier);

  function voteOfPart(part: BoardPart): void {
    const at = (pin: string) => rails.at(part, pin);
    switch (part.kind) {
      case 'connector': {
        if (part.role !== 'output' && part.role !== 'dc-input') return;
        const pins = Object.keys(part.pins);
        for (const high of pins.filter((pin) => POSITIVE.test(pin)))
          for (const low of pins.filter((pin) => NEGATIVE.test(pin))) vote(part, at(high), at(low), WEIGHT.named);
        return;
      }
      case 'ic': {
        const named = Object.entries(part.pinNames ?? {});
        for (const [high, name] of named)
          if (/^(?:vcc|vdd|vin|in|bp)$/i.test(name))
            for (const [low, other] of named)
              if (/^(?:gnd|com|vss|s)$/i.test(other)) vote(part, at(high), at(low), WEIGHT.named);
        return;
      }
      case 'regulator':
        if (/78/.test(part.marking ?? '')) {
          vote(part, at('IN'), at('GND'), WEIGHT.named);
          vote(part, at('OUT'), at('GND'), WEIGHT.named);
        } else if (/79/.test(part.marking ?? '')) {
          vote(part, at('GND'), at('IN'), WEIGHT.named);
          vote(part, at('GND'), at('OUT'), WEIGHT.named);
        }
        return;
      case 'shunt-reference':
        for (const supply of suppliesOf(at('R'), at('A'), part)) vote(part, supply, at('A'), WEIGHT.clue);
        return;
      case 'optocoupler':
        if (held.isHeld(at('C')) && held.isHeld(at('E'))) vote(part, at('C'), at('E'), WEIGHT.clue);
        return;
      case 'diode': {
        const [anode, cathode] = [at('A'), at('K')];
        if (part.subtype === 'zener' || part.subtype === 'tvs') {
          if (held.isHeld(anode) && held.isHeld(cathode)) vote(part, cathode, anode, WEIGHT.clue);
          return;
        }
        if (held.isHeld(cathode) && !held.isHeld(anode))
          for (const supply of resistorsFrom(anode, part))
            if (held.isHeld(supply)) vote(part, supply, cathode, WEIGHT.clue / 2);
        return;
      }
      case 'npn':
      case 'pnp': {
        const [high, low] = part.kind === 'npn' ? ['C', 'E'] : ['E', 'C'];
        if (held.isHeld(at(high ?? '')) && held.isHeld(at(low ?? '')))
          vote(part, at(high ?? ''), at(low ?? ''), WEIGHT.clue);
        return;
      }
      default:
    }
  }
  function resistorsFrom(rail: number, without: BoardPart): readonly number[] {
    return rails.on(rail).flatMap(({ part }) =>
      part.kind === 'resistor' && part !== without
        ? Object.keys(part.pins)
            .map((pin) => rails.at(part, pin))
            .filter((other) => other !== rail)
        : [],
    );
  }
  function suppliesOf(rail: number, ground: number, part: BoardPart): readonly number[] {
    return resistorsFrom(rail, part).filter((other) => other !== ground && held.isHeld(other));
  }
  function voteOfSwitches(sources: readonly number[], switches: readonly BoardPart[]): void {
    for (const { part, hi, lo } of elements.switches) {
      if (!switches.includes(part)) continue;
      for (const rail of sources) {
        if (lo === rail) for (const other of sources) vote(part, other, lo, WEIGHT.switch / switches.length);
        if (hi === rail) for (const other of sources) vote(part, hi, other, WEIGHT.switch / switches.length);
      }
    }
  }

  return solve(votes, recognition);
}

/**
 * The signs of the rails against their common rail that leave the least weight of parts in the wrong. A part is wrong
 * once, however many of its votes fail: a turned bridge is one error, not two turned capacitors. Signs are found by
 * flipping single rails and pairs of rails until nothing improves.
 */
function solve(votes: readonly Vote[], recognition: Recognition): Levels {
  const of = sameSign(recognition);
  const merged = mergeVotes(votes.map((entry) => ({ ...entry, high: of(entry.high), low: of(entry.low) })));
  const ground = groundsOf(merged);
  const rails = [...new Set(merged.flatMap(({ high, low }) => [high, low]))].filter((rail) => !ground.has(rail));
  const touching = new Map<number, readonly PartVotes[]>();
  const byPart = groupByPart(merged);
  for (const rail of rails)
    touching.set(
      rail,
      byPart.filter(({ votes: own }) => own.some(({ high, low }) => high === rail || low === rail)),
    );
  const sign = new Map<number, number>(rails.map((rail) => [rail, 1]));
  const level = (rail: number) => sign.get(rail) ?? 0;
  const isWrong = ({ votes: own }: PartVotes) => own.some(({ high, low }) => level(high) < level(low));
  const costOf = (changed: readonly number[], without: readonly BoardPart[]) => {
    const seen = new Set(changed.flatMap((rail) => touching.get(rail) ?? []));
    let cost = 0;
    for (const entry of seen) if (!without.includes(entry.part) && isWrong(entry)) cost += entry.weight;
    for (const rail of changed) if (level(rail) < 0) cost += NEGATIVE_RAIL;
    return cost;
  };
  /** What it costs to flip some rails. */
  const flipCost = (changed: readonly number[], without: readonly BoardPart[]) => {
    const before = costOf(changed, without);
    for (const rail of changed) sign.set(rail, -level(rail));
    const after = costOf(changed, without);
    for (const rail of changed) sign.set(rail, -level(rail));
    return after - before;
  };
  for (let improved = true; improved;) {
    improved = false;
    for (const first of rails)
      for (const second of rails) {
        const changed = first === second ? [first] : [first, second];
        if (flipCost(changed, []) < -1e-9) {
          for (const rail of changed) sign.set(rail, -level(rail));
          improved = true;
        }
      }
  }
  const stacked = stackedRails(recognition).map(({ middle, ends }) => ({ middle: of(middle), ends: ends.map(of) }));
  const margin = (rail: number, without: readonly BoardPart[]) => {
    const partners = new Set(
      (touching.get(rail) ?? []).flatMap(({ votes: own }) => own.flatMap(({ high, low }) => [high, low])),
    );
    let least = flipCost([rail], without);
    for (const partner of partners)
      if (partner !== rail && !ground.has(partner)) least = Math.min(least, flipCost([rail, partner], without));
    return least * Math.sign(level(rail));
  };
  const compare = (high: number, low: number, without: readonly BoardPart[]): number => {
    for (const { middle, ends } of stacked) {
      const end = middle === low ? high : middle === high ? low : -1;
      const other = ends.find((rail) => rail !== end);
      if (!ends.includes(end) || other === undefined) continue;
      return middle === low ? compare(high, other, without) : compare(other, low, without);
    }
    if (ground.has(low) && ground.has(high)) return 0;
    if (ground.has(low)) return margin(high, without);
    if (ground.has(high)) return -margin(low, without);
    if (level(high) === level(low)) return 0;
    return (
      Math.sign(level(high) - level(low)) * Math.min(Math.abs(margin(high, without)), Math.abs(margin(low, without)))
    );
  };
  return { compare: (high, low, without = []) => compare(of(high), of(low), without) };
}

/** A rail below its common one is rarer than one above. */
const NEGATIVE_RAIL = practice(0.3);

interface PartVotes {
  readonly part: BoardPart;
  readonly weight: number;
  readonly votes: readonly Vote[];
}

/** One vote of a part for each pair of rails, its strongest. */
function mergeVotes(votes: readonly Vote[]): readonly Vote[] {
  const best = new Map<string, Vote>();
  for (const entry of votes) {
    const key = `${entry.part.ref} ${entry.high} ${entry.low}`;
    if ((best.get(key)?.weight ?? 0) < entry.weight) best.set(key, entry);
  }
  return [...best.values()];
}

function groupByPart(votes: readonly Vote[]): readonly PartVotes[] {
  const groups = new Map<BoardPart, Vote[]>();
  for (const entry of votes) groups.set(entry.part, [...(groups.get(entry.part) ?? []), entry]);
  return [...groups].map(([part, own]) => ({ part, votes: own, weight: Math.max(...own.map(({ weight }) => weight)) }));
}

/** The common rail of every set of rails that votes connect: the one most votes are about. */
function groundsOf(votes: readonly Vote[]): ReadonlySet<number> {
  const neighbours = new Map<number, Set<number>>();
  const counts = new Map<number, number>();
  for (const { high, low } of votes)
    for (const [rail, other] of [
      [high, low],
      [low, high],
    ] as const) {
      neighbours.set(rail, (neighbours.get(rail) ?? new Set()).add(other));
      counts.set(rail, (counts.get(rail) ?? 0) + (rail === low ? 1.01 : 1));
    }
  const grounds = new Set<number>();
  const seen = new Set<number>();
  for (const start of neighbours.keys()) {
    if (seen.has(start)) continue;
    const island = new Set([start]);
    for (const rail of island) for (const other of neighbours.get(rail) ?? []) island.add(other);
    for (const rail of island) seen.add(rail);
    grounds.add([...island].reduce((best, rail) => ((counts.get(rail) ?? 0) > (counts.get(best) ?? 0) ? rail : best)));
  }
  return grounds;
}
