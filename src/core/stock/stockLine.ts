import { BIN_CODE, readCode } from '../ident';

/** What a person tells the drawers to do in one line. */
export type StockCommand =
  | { readonly kind: 'move'; readonly code: string; readonly bin: string }
  | { readonly kind: 'take'; readonly code: string; readonly quantity: number; readonly note: string }
  | { readonly kind: 'split'; readonly code: string; readonly quantity: number; readonly bin: string };

/** The commands in words, for help. */
export const STOCK_COMMANDS: readonly { readonly line: string; readonly means: string }[] = [
  { line: 'move K7F-2QM to C2-5', means: 'a lot goes into another bin' },
  { line: 'take 2 of K7F-2QM for the lathe', means: 'pieces go out' },
  { line: 'split 3 of K7F-2QM into C2-6', means: 'pieces become a lot of their own' },
  { line: 'undo', means: 'the last change of stock is undone' },
];

const KINDS: Readonly<Record<string, StockCommand['kind']>> = {
  move: 'move',
  take: 'take',
  split: 'split',
  part: 'split',
};

/**
 * Reads a command such as `move K7F-2QM to C2-5`.
 * @returns undefined when the line is no command; `why` when it is one that cannot be read
 */
export function readStockCommand(text: string): StockCommand | { readonly why: string } | undefined {
  const [, verb = '', rest = ''] = /^\s*(move|take|split|part)\s+(.+)$/i.exec(text) ?? [];
  if (verb === '') return undefined;
  const kind = KINDS[verb.toLowerCase()] ?? 'move';
  const shape =
    kind === 'move'
      ? /^()(\S+)\s+(?:to\s+|into\s+)?(\S+)$/i
      : kind === 'take'
        ? /^(?:(\d+)\s+(?:of\s+)?)?(\S+)(?:\s+for\s+(.+))?$/i
        : /^(\d+)\s+(?:of\s+)?(\S+)\s+(?:to\s+|into\s+)?(\S+)$/i;
  const match = shape.exec(rest.trim());
  const example = STOCK_COMMANDS.find(({ line }) => line.startsWith(kind))?.line ?? '';
  if (!match) return { why: `Write it like “${example}”.` };
  const [, count = '', word = '', last = ''] = match;
  const code = readCode(word);
  if (code?.owner !== 'lot') return { why: `“${word}” is no lot’s code. Write it like “${example}”.` };
  const quantity = count === '' ? 1 : Number(count);
  if (quantity < 1) return { why: `“${count}” is no number of pieces; a whole number from 1 is expected.` };
  if (kind === 'take') return { kind, code: code.code, quantity, note: last.trim() };
  const bin = last.toUpperCase();
  if (!BIN_CODE.pattern.test(bin)) return { why: `“${last}” is no bin. ${BIN_CODE.expected}` };
  return kind === 'move' ? { kind, code: code.code, bin } : { kind, code: code.code, quantity, bin };
}

/** A command in words. */
export function stockCommandText(command: StockCommand): string {
  if (command.kind === 'move') return `move lot ${command.code} to ${command.bin}`;
  if (command.kind === 'split') return `split ${command.quantity} of ${command.code} off into ${command.bin}`;
  return `take ${command.quantity} out of ${command.code}${command.note ? ` for ${command.note}` : ''}`;
}
