import { netsOf } from './nets';
import type { Board } from './types';

/** A board whose nets have names, for notations that know nothing else: what was joined pin by pin becomes one net. */
export function withNetNames(board: Board): Board {
  const nets = netsOf(board);
  return {
    ...board,
    joined: [],
    parts: board.parts.map((part) => ({
      ...part,
      pins: Object.fromEntries(
        Object.entries(part.pins).map(([pin, name]) => {
          const net = nets.of(`${part.ref}.${pin}`);
          return [pin, name ?? ((nets.pins[net]?.length ?? 0) > 1 ? `N${net + 1}` : null)];
        }),
      ),
    })),
  };
}
