import type { BoardPart } from '../../../board';
import type { BoardFacts } from './boardFacts';
import { commandOf } from './near';
import type { FactSheet } from './sheet';

/** What commands the switches of a transformer: a chip, its own winding or another, a small transistor. */
export function commandFacts(
  board: BoardFacts,
  anchor: BoardPart,
  switches: ReadonlySet<BoardPart>,
  sheet: FactSheet,
): void {
  for (const part of switches) {
    if (part.kind === 'ic') {
      sheet.raise('chip commands', 1, part);
      continue;
    }
    const element = board.model.elements.switches.find((one) => one.part === part);
    if (!element) continue;
    const { chip, isSelf, isOther, small } = commandOf(board, element.gate, anchor, [element.hi, element.lo]);
    if (chip) sheet.raise('chip commands', 1, chip, part);
    else if (isSelf) sheet.raise('own winding commands', 1, part);
    else if (small) sheet.raise('small transistor commands', 1, small, part);
    if (isOther && !isSelf) sheet.raise('other winding commands', 1, part);
  }
}
