import type { Board, BoardPart } from '../board';
import type { PowerCircuit, Values } from './powerCircuit';

/** What keeps room beside a symbol for the figure that stands there while the circuit runs. */
export const FIGURE_ROOM = '00.0 A peak';

/** Kinds whose symbol has no figure of its own. */
const SILENT: ReadonlySet<string> = new Set(['ic', 'connector', 'bridge']);

/** A circuit as a board, for drawing it. */
export function boardOf(circuit: PowerCircuit, values: Values): Board {
  const parts = circuit.parts(values).map(({ ref, drawn }): BoardPart => ({
    ref,
    ...drawn,
    ...(SILENT.has(drawn.kind) ? {} : { marking: FIGURE_ROOM }),
  }));
  const isMains = parts.some(({ role }) => role === 'mains-inlet');
  return { title: circuit.name, nameplate: { input: { kind: isMains ? 'ac' : 'dc' } }, parts, complete: true };
}
