import { parseQuantity } from '../quantity';
import type { OhmReading } from './windings';

export interface OhmLineProblem {
  readonly line: number;
  readonly text: string;
  readonly message: string;
}

/**
 * Reads a table of ohm readings, one to a line or parted by commas: `1-2 1.2`, `3 4 OL`, `5-6: 30m`. A line that cannot
 * be read is told by its number; the others count.
 */
export function parseOhms(text: string): { readings: readonly OhmReading[]; problems: readonly OhmLineProblem[] } {
  const readings: OhmReading[] = [];
  const problems: OhmLineProblem[] = [];
  for (const [index, raw] of text.split(/\n|[,;](?=\s*\S+\s*[-\s])/).entries()) {
    const line = raw.trim();
    if (line === '') continue;
    const match = /^([A-Za-z0-9+]{1,4})\s*(?:-|–|\s|to)\s*([A-Za-z0-9+]{1,4})\s*[:=\s]\s*(.+)$/.exec(line);
    const fail = (message: string) => problems.push({ line: index + 1, text: line, message });
    if (!match) {
      fail(`“${line}” is not two pins and a reading. Write it like 1-2 1.2 or 1-5 OL.`);
      continue;
    }
    const [, a = '', b = '', value = ''] = match;
    const parsed = parseQuantity(value, 'ohm');
    if (a === b) fail(`“${line}” names one pin twice.`);
    else if (/^(ol|open|inf|∞)$/i.test(value.trim())) readings.push({ a, b, ohms: Infinity });
    else if (parsed.ok) readings.push({ a, b, ohms: parsed.quantity.value });
    else fail(`“${value.trim()}” is not ohms. Write it like 1.2, 30m or OL.`);
  }
  return { readings, problems };
}
