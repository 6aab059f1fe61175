import Papa from 'papaparse';
import { isBoardKind, type Board, type BoardKind, type Converted, type NetlistProblem } from '../core/board';

const COLUMNS = ['ref', 'kind', 'pin', 'net'] as const;

/** A net list as CSV (RFC 4180): one row for each pin. */
export function toNetCsv(board: Board): Converted<string> {
  const rows = board.parts.flatMap(({ ref, kind, pins }) =>
    Object.entries(pins).map(([pin, net]) => [ref, kind, pin, net ?? '']),
  );
  return {
    result: `${Papa.unparse([[...COLUMNS], ...rows], { newline: '\n' })}\n`,
    lost: ['values, markings, windings and the nameplate'],
  };
}

/** Reads a net list as `toNetCsv` writes it; an empty net is a pin not traced. A problem names the row, from 1. */
export function fromNetCsv(text: string): Converted<Board> | NetlistProblem {
  const parts = new Map<string, { ref: string; kind: BoardKind; pins: Record<string, string | null> }>();
  const { data, errors } = Papa.parse<string[]>(text, { delimiter: ',' });
  const [error] = errors;
  if (error) return { line: (error.row ?? 0) + 1, expected: `a quote is not closed (${error.message})` };
  for (const [index, row] of data.entries()) {
    const cells = row.map((cell) => cell.trim());
    if (cells.every((cell) => cell === '')) continue;
    const [ref = '', kind = '', pin = '', net = ''] = cells;
    if (index === 0) {
      if (COLUMNS.some((column, at) => cells[at]?.toLowerCase() !== column))
        return { line: 1, expected: `the columns ${COLUMNS.join()} are expected` };
      continue;
    }
    if (!isBoardKind(kind)) return { line: index + 1, expected: `“${kind}” is no part kind, such as resistor` };
    if (ref === '' || pin === '') return { line: index + 1, expected: 'a reference and a pin are expected' };
    const part = parts.get(ref) ?? { ref, kind, pins: {} };
    part.pins[pin] = net === '' ? null : net;
    parts.set(ref, part);
  }
  return { result: { parts: [...parts.values()] }, lost: [] };
}
