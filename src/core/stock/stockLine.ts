import { BIN_CODE, readCode } from '../ident';

/** What a person tells the drawers to do in one line. */
export type StockOrder =
  | { readonly kind: 'move'; readonly code: string; readonly bin: string }
  | { readonly kind: 'take'; readonly code: string; readonly quantity: number; readonly note: string }
  | { readonly kind: 'part'; readonly code: string; readonly quantity: number; readonly bin: string };

/** The orders in words, for help. */
export const STOCK_ORDERS: readonly { readonly line: string; readonly means: string }[] = [
  { line: 'move K7F-2QM to C2-5', means: 'a lot goes into another bin' },
  { line: 'take 2 of K7F-2QM for the lathe', means: 'pieces go out' },
  { line: 'part 3 of K7F-2QM into C2-6', means: 'pieces become a lot of their own' },
  { line: 'undo', means: 'the last change of stock is taken back' },
];

/**
 * Reads an order such as `move K7F-2QM to C2-5`.
 * @returns undefined when the line is no order; `why` when it is one that cannot be read
 */
export function readStockOrder(text: string): StockOrder | { readonly why: string } | undefined {
  const [, verb = '', rest = ''] = /^\s*(move|take|part)\s+(.+)$/i.exec(text) ?? [];
  if (verb === '') return undefined;
  const kind = verb.toLowerCase() as StockOrder['kind'];
  const shape =
    kind === 'move'
      ? /^()(\S+)\s+(?:to\s+|into\s+)?(\S+)$/i
      : kind === 'take'
        ? /^(?:(\d+)\s+(?:of\s+)?)?(\S+)(?:\s+for\s+(.+))?$/i
        : /^(\d+)\s+(?:of\s+)?(\S+)\s+(?:to\s+|into\s+)?(\S+)$/i;
  const match = shape.exec(rest.trim());
  const example = STOCK_ORDERS.find(({ line }) => line.startsWith(kind))?.line ?? '';
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

/** An order in words. */
export function stockOrderText(order: StockOrder): string {
  if (order.kind === 'move') return `move lot ${order.code} to ${order.bin}`;
  if (order.kind === 'part') return `part ${order.quantity} of ${order.code} off into ${order.bin}`;
  return `take ${order.quantity} out of ${order.code}${order.note ? ` for ${order.note}` : ''}`;
}
