import { readFileSync } from 'node:fs';
import type { Board } from '../core/board';
import { findingsOf } from '../core/findings';
import { drawSchematic, geometryOf, schematicSvg } from '../core/schematic';
import { analyse, nextProbes } from '../core/topology';
import { BOARD_TARGETS, boardAs, readAnyBoard, type BoardTarget } from '../formats/anyBoard';
import { readBoard, type BoardFile } from '../formats/board';
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

export const boardFrom = (content: string, name: string, note: Note): Board => usable(readBoard(content), name, note);

function usable(file: BoardFile, name: string, note: Note): Board {
  if (!file.ok) throw new UnusableInput(`${name}, ${file.where}: ${file.expected}.`);
  for (const text of file.notes) note(`${name}: ${text}`);
  return file.board;
}

/** What circuit a board is, and what is wrong with it. */
export function analyseFile(line: CommandLine, note: Note) {
  const { name, content } = contentOf(line, 'analyse');
  const { recognition, stages, likeliest, hypotheses, bulk, isolation, sides, limits } = analyse(
    boardFrom(content, name, note),
  );
  return { stages, likeliest, hypotheses, bulk, isolation, sides, limits, findings: findingsOf(recognition) };
}

/** The pin pairs most worth probing next. */
export function probeFile(line: CommandLine, note: Note) {
  const count = Number(line.options.count ?? 5);
  if (!Number.isInteger(count) || count < 1)
    throw new UnusableInput(`probe --count: “${line.options.count}” is no whole number above 0.`);
  const { name, content } = contentOf(line, 'probe');
  return nextProbes(boardFrom(content, name, note), count);
}

/** The schematic of a board as an SVG document, or its geometry as JSON. */
export function schematicFile(line: CommandLine, note: Note): string {
  const { name, content } = contentOf(line, 'schematic');
  const analysis = analyse(boardFrom(content, name, note));
  const { schematic } = drawSchematic(analysis);
  return line.options.geometry === undefined
    ? schematicSvg(schematic)
    : `${JSON.stringify(geometryOf(schematic, analysis))}\n`;
}

/** A board in another notation, as text; what is lost goes to standard error. */
export function convertFile(line: CommandLine, note: Note): string {
  const target = line.options.to ?? '';
  if (!Object.hasOwn(BOARD_TARGETS, target))
    throw new UnusableInput(`convert --to: “${target}” is no target; board, spice or csv is expected.`);
  const { name, content } = contentOf(line, 'convert');
  const board = usable(readAnyBoard(content), name, note);
  const { result, lost } = boardAs(target as BoardTarget, board);
  if (lost.length > 0) note(`${name}: lost in ${target}: ${lost.join('; ')}.`);
  return result;
}
