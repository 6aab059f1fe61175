import { fromSpice, toSpice, type Board } from '../core/board';
import { fromNetCsv, toNetCsv } from './netCsv';
import { readBoard, writeBoard, type BoardFile } from './board';

/** Notations a board is written in. */
export const BOARD_TARGETS = {
  board: { extension: 'json', message: 'board file' },
  spice: { extension: 'cir', message: 'SPICE netlist' },
  csv: { extension: 'csv', message: 'net list as CSV' },
} as const;
export type BoardTarget = keyof typeof BOARD_TARGETS;

/** A board as text in one of the notations, with what that notation cannot hold. */
export function boardAs(
  target: BoardTarget,
  board: Board,
): { readonly result: string; readonly lost: readonly string[] } {
  if (target === 'spice') return toSpice(board);
  if (target === 'csv') return toNetCsv(board);
  return { result: writeBoard(board), lost: [] };
}

/** Reads a board file, a SPICE netlist or a CSV net list, whichever it is. */
export function readAnyBoard(content: string): BoardFile {
  const start = content.trimStart();
  if (start.startsWith('{')) return readBoard(content);
  const read = /^ref\s*,/i.test(start) ? fromNetCsv(content) : fromSpice(content);
  if ('line' in read) return { ok: false, where: `line ${read.line}`, expected: read.expected };
  if (read.result.parts.length === 0)
    return {
      ok: false,
      where: 'the file',
      expected: 'no part was found; a board file, a SPICE netlist or a CSV net list is expected',
    };
  return {
    ok: true,
    board: read.result,
    notes: read.lost.length > 0 ? [`not part of a board: ${read.lost.join('; ')}.`] : [],
  };
}
