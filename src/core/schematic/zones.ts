import type { BoardPart } from '../board';
import type { Analysis } from '../topology';
import type { Neighbours } from './nearness';

/** A part of the drawing that belongs together: the input, a stage, the outputs. */
export interface ZoneOf {
  readonly name: string;
  readonly isIsolated: boolean;
}

const INPUT_KINDS: ReadonlySet<string> = new Set([
  'fuse',
  'common-mode-choke',
  'varistor',
  'thermistor',
  'bridge',
  'spark-gap',
]);

/** The zone of every part, by its role; what has none goes where most of its neighbours are. */
export function zonesOf(
  analysis: Analysis,
  parts: readonly BoardPart[],
  neighbours: Neighbours,
  sides: Analysis['sides'],
): Map<string, ZoneOf> {
  const zones = new Map<string, ZoneOf>();
  const sideOf = (part: BoardPart) => Object.keys(part.pins).map((pin) => sides[`${part.ref}.${pin}`] ?? 'unknown');
  const isIsolated = (part: BoardPart) => sideOf(part).every((side) => side.startsWith('isolated'));
  const set = (ref: string, name: string, isolated: boolean) => {
    if (!zones.has(ref)) zones.set(ref, { name: isolated ? `${name} out` : name, isIsolated: isolated });
  };
  const byRef = new Map(parts.map((part) => [part.ref, part]));
  for (const part of parts) {
    if (part.kind === 'connector') {
      const isInlet = part.role === 'mains-inlet' || part.role === 'dc-input' || part.role === 'line-selector';
      if (isInlet) set(part.ref, 'input', false);
      else zones.set(part.ref, { name: 'outputs', isIsolated: isIsolated(part) });
    }
  }
  const isCrossing = (part: BoardPart) =>
    sideOf(part).some((side) => side.startsWith('isolated')) && sideOf(part).some((side) => side === 'mains');
  for (const part of parts)
    if ((part.kind === 'transformer' || part.kind === 'optocoupler') && isCrossing(part))
      set(part.ref, 'across', false);
  analysis.recognition.stages.forEach((stage, index) => {
    const name = `stage ${index + 1}`;
    for (const { ref } of [...stage.switches, ...stage.magnetics.slice(0, 1)])
      set(ref, name, isIsolated(byRef.get(ref) as BoardPart));
    for (const { ref } of [...stage.rectifiers, ...stage.magnetics.slice(1)])
      set(ref, name, isIsolated(byRef.get(ref) as BoardPart));
  });
  for (const ref of analysis.bulk) set(ref, 'input', false);
  for (const part of parts) {
    if (part.kind === 'optocoupler' || part.kind === 'relay') set(part.ref, 'link', false);
    if (part.kind === 'capacitor' && (part.subtype === 'x' || part.subtype === 'y'))
      set(part.ref, 'input', isIsolated(part));
    if (INPUT_KINDS.has(part.kind) && !isIsolated(part)) set(part.ref, 'input', false);
  }
  // What is left goes where its strongest neighbour went, nearest first.
  for (let grown = true; grown;) {
    grown = false;
    const next: [string, ZoneOf][] = [];
    for (const part of parts) {
      if (zones.has(part.ref)) continue;
      const pull = new Map<string, number>();
      for (const [other, weight] of neighbours.get(part.ref) ?? []) {
        const zone = zones.get(other);
        if (zone && zone.name !== 'across')
          pull.set(zone.name.replace(/ out$/, ''), (pull.get(zone.name.replace(/ out$/, '')) ?? 0) + weight);
      }
      const [best] = [...pull].toSorted((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
      if (best) next.push([part.ref, { name: best[0], isIsolated: isIsolated(part) }]);
    }
    for (const [ref, zone] of next) {
      set(ref, zone.name, zone.isIsolated);
      grown = true;
    }
  }
  for (const part of parts) set(part.ref, 'loose', isIsolated(part));
  return zones;
}

/** Zones from left to right, in the order in which power reaches them. */
export function zoneOrder(analysis: Analysis, zones: ReadonlyMap<string, ZoneOf>): readonly ZoneOf[] {
  const names = new Map<string, ZoneOf>();
  for (const zone of zones.values()) names.set(zone.name, zone);
  const stages = analysis.recognition.stages.map((_, index) => `stage ${index + 1}`);
  const order = [
    'input',
    ...stages,
    'link',
    'loose',
    'across',
    'input out',
    ...stages.map((name) => `${name} out`),
    'link out',
    'loose out',
    'outputs out',
    'outputs',
  ];
  return [...names.values()].toSorted((a, b) => order.indexOf(a.name) - order.indexOf(b.name));
}
