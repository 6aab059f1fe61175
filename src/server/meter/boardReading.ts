import type { MeterQuantity } from '../../core/meter';
import { SCENE_BOARDS, type SceneBoard } from './sceneBoards';

/** Leads, tips and a trace. Common practice, no source. */
const TRACE_OHMS = 0.12;
/** Forward drops of the junctions of a scene, by the letters of the reference. Invented, within what is usual. */
const DROPS: Readonly<Record<string, number>> = { BR: 0.52, ZD: 0.68, Q: 0.5, D: 0.54 };
const TEST_CURRENT_A = 1e-3;

/**
 * What the leads find between two pins of a demo board: `TB-1990 Q1.D T1.3`. Copper and windings conduct in both
 * ways, junctions in diode mode and in theirs.
 * @returns undefined when the point names no two pins of a board of the scene
 */
export function boardReading(point: string, quantity: MeterQuantity): number | undefined {
  const [a = '', b = '', ...model] = point.split(' ').toReversed();
  const board = SCENE_BOARDS.find((entry) => entry.model === model.toReversed().join(' '));
  if (!board || !a.includes('.') || !b.includes('.')) return undefined;
  if (quantity !== 'ohm' && quantity !== 'continuity' && quantity !== 'diode') return undefined;
  const ohms = ohmsBetween(board, b, a);
  if (quantity !== 'diode') return ohms;
  if (ohms < 1e3) return ohms * TEST_CURRENT_A;
  return dropBetween(board, b, a);
}

const netAt = ({ nets }: SceneBoard, pin: string): readonly string[] =>
  nets.map((net) => net.split(' ')).find((pins) => pins.includes(pin)) ?? [pin];

function ohmsBetween(board: SceneBoard, from: string, to: string): number {
  const reached = new Map<string, number>();
  let front = [...netAt(board, from)].map((pin) => ({ pin, ohms: TRACE_OHMS }));
  while (front.length > 0) {
    const next: typeof front = [];
    for (const { pin, ohms } of front) {
      if ((reached.get(pin) ?? Infinity) <= ohms) continue;
      reached.set(pin, ohms);
      for (const { pins, each } of windingsOf(board)) {
        const at = pins.indexOf(pin);
        if (at < 0) continue;
        for (const [other, end] of pins.entries())
          for (const there of netAt(board, end)) next.push({ pin: there, ohms: ohms + each * Math.abs(other - at) });
      }
      for (const there of netAt(board, pin)) next.push({ pin: there, ohms });
    }
    front = next;
  }
  return reached.get(to) ?? Infinity;
}

const windingsOf = ({ windings }: SceneBoard) =>
  windings.map((line) => {
    const words = line.split(' ');
    const pins = words.slice(0, -1);
    return { pins, each: Number(words.at(-1)) / Math.max(1, pins.length - 1) };
  });

/** Volts of a junction whose anode side is at the first lead; infinite where there is none. */
function dropBetween(board: SceneBoard, from: string, to: string): number {
  const [plus, minus] = [netAt(board, from), netAt(board, to)];
  const drops = plus.flatMap((pin) => {
    const [ref = '', name = ''] = pin.split('.');
    const ends = minus.filter((other) => other.startsWith(`${ref}.`)).map((other) => other.split('.')[1] ?? '');
    const conducts = ends.some(
      (end) =>
        (/^A\d?$/.test(name) && /^K\d?$/.test(end)) ||
        (name === 'S' && end === 'D') ||
        (name.startsWith('AC') && end === '+') ||
        (name === '-' && end.startsWith('AC')),
    );
    return conducts ? [DROPS[ref.replace(/\d.*$/, '')] ?? 0.6] : [];
  });
  return Math.min(Infinity, ...drops);
}
