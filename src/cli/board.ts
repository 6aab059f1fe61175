import { readFileSync } from 'node:fs';
import { fromNetCsv, fromSpice, toNetCsv, toSpice, type Board } from '../core/board';
import { findingsOf } from '../core/findings';
import { drawSchematic, schematicSvg } from '../core/schematic';
import { analyse, nextProbes } from '../core/topology';
import { readBoard, writeBoard } from '../formats/board';
import { UnusableInput, type CommandLine } from './arguments';

type Note = (text: string) => void;

/** Content of the file a command names; `-` reads standard input. */
export function contentOf(
  { words }: CommandLine,
  command: string,
): { readonly name: string; readonly content: string } {
  const [path, ...more] = words;
  if (path === undefined || more.length > 0)
    throw new UnusableInput(`${command}: one file is expected, or - for standard input.`);
  const name = path === '-' ? 'standard input' : path;
  try {
    return { name, content: readFileSync(path === '-' ? 0 : path, 'utf8') };
  } catch (error) {
    throw new UnusableInput(`${command}: ${name} cannot be read (${(error as Error).message}).`);
  }
}

export function boardFrom(content: string, name: string, note: Note): Board {
  const file = readBoard(content);
  if (!file.ok) throw new UnusableInput(`${name}, ${file.where}: ${file.expected}.`);
  for (const text of file.notes) note(`${name}: ${text}`);
  return file.board;
}

/** What circuit a board is, and what is wrong with it. */
export function analyseFile(line: CommandLine, note: Note) {
  const { name, content } = contentOf(line, 'analyse');
  const { recognition, ...analysis } = analyse(boardFrom(content, name, note));
  return { ...analysis, findings: findingsOf(recognition) };
}

/** The pin pairs most worth probing next. */
export function probeFile(line: CommandLine, note: Note) {
  const count = Number(line.options.count ?? 5);
  if (!Number.isInteger(count) || count < 1)
    throw new UnusableInput(`probe --count: “${line.options.count}” is no whole number above 0.`);
  const { name, content } = contentOf(line, 'probe');
  return nextProbes(boardFrom(content, name, note), count);
}

/** The schematic of a board, as an SVG document. */
export function schematicFile(line: CommandLine, note: Note): string {
  const { name, content } = contentOf(line, 'schematic');
  return schematicSvg(drawSchematic(analyse(boardFrom(content, name, note))).schematic);
}

const WRITERS = {
  board: (board: Board) => ({ result: writeBoard(board), lost: [] as readonly string[] }),
  spice: toSpice,
  csv: toNetCsv,
} as const;

/** A board in another notation, as text; what is lost goes to standard error. */
export function convertFile(line: CommandLine, note: Note): string {
  const target = line.options.to ?? '';
  if (!Object.hasOwn(WRITERS, target))
    throw new UnusableInput(`convert --to: “${target}” is no target; board, spice or csv is expected.`);
  const { name, content } = contentOf(line, 'convert');
  const board = readAny(content, name, note);
  const { result, lost } = WRITERS[target as keyof typeof WRITERS](board);
  if (lost.length > 0) note(`${name}: lost in ${target}: ${lost.join('; ')}.`);
  return result;
}

function readAny(content: string, name: string, note: Note): Board {
  const start = content.trimStart();
  if (start.startsWith('{')) return boardFrom(content, name, note);
  const read = /^ref\s*,/i.test(start) ? fromNetCsv(content) : fromSpice(content);
  if ('line' in read) throw new UnusableInput(`${name}, line ${read.line}: ${read.expected}.`);
  if (read.lost.length > 0) note(`${name}: not part of a board: ${read.lost.join('; ')}.`);
  if (read.result.parts.length === 0)
    throw new UnusableInput(`${name}: no part was found; a board file, a SPICE netlist or a CSV net list is expected.`);
  return read.result;
}
