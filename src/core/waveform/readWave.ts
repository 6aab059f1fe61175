import { practice } from '../evidence';
import type { Channel, Wave } from './wave';

/** Why a file gives no recording. */
export type WaveProblem =
  | { readonly kind: 'empty' }
  | { readonly kind: 'no-numbers'; readonly rows: number }
  | { readonly kind: 'no-time' }
  | { readonly kind: 'too-few'; readonly points: number }
  | { readonly kind: 'too-many'; readonly most: number }
  | { readonly kind: 'time-goes-back'; readonly row: number };

const PROBLEM_TEXT: { readonly [K in WaveProblem['kind']]: (of: Extract<WaveProblem, { kind: K }>) => string } = {
  empty: () => 'The file is empty; a CSV of an oscilloscope is expected.',
  'no-numbers': ({ rows }) => `None of the first ${rows} rows holds numbers; columns of time and volts are expected.`,
  'no-time': () =>
    'There is one column and no sample interval; a column of time, or a line such as “Sample Interval, 4e-9”, is expected.',
  'too-few': ({ points }) => `The file has ${points} points; 8 at least are expected.`,
  'too-many': ({ most }) => `The file has more than ${most} points; export a shorter stretch.`,
  'time-goes-back': ({ row }) => `Time goes back at row ${row}; a recording in order is expected.`,
};

/** What to tell a person about a file that gives no recording. */
export function waveProblemText(problem: WaveProblem): string {
  return (PROBLEM_TEXT[problem.kind] as (of: WaveProblem) => string)(problem);
}

export const MOST_POINTS = 2_000_000;
const FEWEST_POINTS = 8;
/** Heads of oscilloscope files are rarely longer. */
const LONGEST_HEAD = practice(200);
const MOST_CHANNELS = 2;

/** Settings of the head that tell the seconds between samples. */
const INTERVAL = /sample\s*(?:interval|period)|increment|\bdt\b|time\s*per\s*sample/i;
const RATE = /sample\s*rate|sampling\s*rate/i;

/** Prefixes and units as oscilloscopes print them. */
const SCALES: Readonly<Record<string, number>> = {
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  µ: 1e-6,
  μ: 1e-6,
  m: 1e-3,
  k: 1e3,
  M: 1e6,
};

/**
 * Takes a recording in row by row as a table is read: finds the head, the column of time and up to two channels, their
 * units and the sample interval; numbers with a decimal comma are read too.
 */
export class WaveReader {
  private head: string[][] = [];
  private columns: Growing[] = [];
  private timeColumn: number | undefined;
  private names: string[] = [];
  private units: string[] = [];
  private rows = 0;
  private problem: WaveProblem | undefined;

  /** Takes the next rows in. @returns false when nothing more is wanted, since the file cannot be read */
  push(rows: readonly (readonly string[])[]): boolean {
    for (const row of rows) {
      if (this.problem) return false;
      this.rows += 1;
      if (this.columns.length === 0) this.begin(row);
      else this.take(row);
    }
    return this.problem === undefined;
  }

  /** The recording, or why there is none. */
  end(): { readonly ok: true; readonly wave: Wave } | { readonly ok: false; readonly problem: WaveProblem } {
    if (this.problem) return { ok: false, problem: this.problem };
    if (this.rows === 0) return { ok: false, problem: { kind: 'empty' } };
    const [first] = this.columns;
    if (!first) return { ok: false, problem: { kind: 'no-numbers', rows: Math.min(this.rows, LONGEST_HEAD) } };
    if (first.length < FEWEST_POINTS) return { ok: false, problem: { kind: 'too-few', points: first.length } };
    const time = this.timeOf(first.length);
    if ('kind' in time) return { ok: false, problem: time };
    const channels = this.columns.flatMap((column, index): Channel[] =>
      index === this.timeColumn
        ? []
        : [
            {
              name: this.names[index] || `channel ${index}`,
              unit: baseUnit(this.units[index] ?? ''),
              values: scaled(column.values(), this.units[index] ?? ''),
            },
          ],
    );
    return { ok: true, wave: { time, channels: channels.slice(0, MOST_CHANNELS) } };
  }

  private begin(row: readonly string[]): void {
    const numbers = row.map(readNumber);
    const filled = row.filter((cell) => cell.trim() !== '').length;
    const count = numbers.filter((value) => !Number.isNaN(value)).length;
    // A line of the head may carry one number beside words; a line of data carries nothing else.
    if (count === 0 || count < filled) {
      if (row.some((cell) => cell.trim() !== '')) this.head.push([...row]);
      if (this.head.length > LONGEST_HEAD) this.problem = { kind: 'no-numbers', rows: LONGEST_HEAD };
      return;
    }
    const width = numbers.length;
    const headings = this.head.filter((cells) => !INTERVAL.test(cells[0] ?? '') && !RATE.test(cells[0] ?? ''));
    const rowsAlike = headings.filter(
      (cells) => cells.filter((cell) => cell.trim() !== '').length >= Math.min(width, 2),
    );
    const last = rowsAlike.at(-1) ?? [];
    const isUnits = last.every((cell) => cell.trim() === '' || UNIT.test(bare(cell)));
    const names = isUnits ? (rowsAlike.at(-2) ?? []) : last;
    this.names = names.map((cell) => cell.replace(/\s*[([].*$/, '').trim());
    this.units = Array.from({ length: width }, (_, index) =>
      isUnits ? (last[index] ?? '') : unitIn(names[index] ?? ''),
    ).map(bare);
    const kept = numbers.map((value) => !Number.isNaN(value));
    const named = this.names.findIndex((name, index) => kept[index] === true && /^(?:time|t|x|second|sec)/i.test(name));
    const timed = this.units.findIndex((unit, index) => kept[index] === true && /^[pnuµμm]?s(?:ec.*)?$/i.test(unit));
    const found = named >= 0 ? named : timed >= 0 ? timed : width > 1 && this.interval() === undefined ? 0 : undefined;
    this.timeColumn = found;
    this.columns = numbers.map(() => new Growing());
    this.take(row);
  }

  private take(row: readonly string[]): void {
    const numbers = this.columns.map((_, index) => readNumber(row[index] ?? ''));
    // A short last line, or a remark behind the data, ends the recording without spoiling it.
    if (numbers.some(Number.isNaN)) return;
    const [first] = this.columns;
    if (first && first.length >= MOST_POINTS) {
      this.problem = { kind: 'too-many', most: MOST_POINTS };
      return;
    }
    const at = this.timeColumn;
    if (at !== undefined) {
      const before = this.columns[at]?.last;
      if (before !== undefined && (numbers[at] ?? 0) < before) {
        this.problem = { kind: 'time-goes-back', row: this.rows };
        return;
      }
    }
    this.columns.forEach((column, index) => column.push(numbers[index] ?? 0));
  }

  private timeOf(length: number): Float64Array | WaveProblem {
    if (this.timeColumn !== undefined) {
      const column = this.columns[this.timeColumn];
      return scaled(column?.values() ?? new Float64Array(), this.units[this.timeColumn] ?? '');
    }
    const interval = this.interval();
    if (interval === undefined) return { kind: 'no-time' };
    return Float64Array.from({ length }, (_, index) => index * interval);
  }

  /** Seconds between samples, when the head says so. */
  private interval(): number | undefined {
    for (const cells of this.head) {
      if (!INTERVAL.test(cells[0] ?? '')) continue;
      const value = cells
        .slice(1)
        .map(readNumber)
        .find((number) => number > 0);
      if (value !== undefined) return value;
    }
    const rate = this.head.find((cells) => RATE.test(cells[0] ?? ''));
    const hertz = rate
      ?.slice(1)
      .map(readNumber)
      .find((number) => number > 0);
    return hertz === undefined ? undefined : 1 / hertz;
  }
}

/** A number as a file prints it, with a decimal point or comma; not a number for anything else. */
function readNumber(cell: string): number {
  const text = cell.trim();
  if (text === '') return NaN;
  const plain = text.includes(',') && !text.includes('.') ? text.replace(',', '.') : text;
  return /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i.test(plain) ? Number(plain) : NaN;
}

const unitIn = (name: string): string => /[([]\s*([^)\]]*?)\s*[)\]]/.exec(name)?.[1] ?? '';

const bare = (unit: string): string => unit.replace(/[()[\]]/g, '').trim();

const UNIT = /^([pnuµμmkM]?)(s|sec|seconds?|v|volts?|a|amps?|amperes?|hz)$/i;

function scaled(values: Float64Array, unit: string): Float64Array {
  const prefix = UNIT.exec(unit)?.[1] ?? '';
  const scale = SCALES[prefix] ?? 1;
  return scale === 1 ? values : values.map((value) => value * scale);
}

function baseUnit(unit: string): string {
  const name = UNIT.exec(unit)?.[2]?.toLowerCase() ?? '';
  if (name.startsWith('v')) return 'V';
  if (name.startsWith('a')) return 'A';
  return '';
}

/** Numbers that grow without being copied each time. */
class Growing {
  private buffer = new Float64Array(1024);
  length = 0;
  get last(): number | undefined {
    return this.length === 0 ? undefined : this.buffer[this.length - 1];
  }
  push(value: number): void {
    if (this.length === this.buffer.length) {
      const larger = new Float64Array(this.buffer.length * 2);
      larger.set(this.buffer);
      this.buffer = larger;
    }
    this.buffer[this.length] = value;
    this.length += 1;
  }
  values(): Float64Array {
    return this.buffer.slice(0, this.length);
  }
}
