/** The end of a line: nothing is read across it. */
export const WALL = '¦';

/** Letters that worn or badly recognised print shows for digits. */
const AS_DIGIT: Readonly<Record<string, string>> = {
  O: '0',
  o: '0',
  Q: '0',
  l: '1',
  I: '1',
  '|': '1',
  S: '5',
  B: '8',
  Z: '2',
};
/** A run of digits and their lookalikes right before a unit; the letters before it belong to no word. */
const WORN =
  /(?<![\p{L}\d.,])((?:AC|DC)?)([\dOoQlI|SBZ][\dOoQlI|SBZ.,]*(?:\s?[-~/]\s?[\dOoQlI|SBZ][\dOoQlI|SBZ.,]*)*)(?=\s?(?:V(?:AC|DC|~|=)?|m?A|Hz|W|VA)(?![a-z]))/gu;
/** A frequency that lost its zeros: `5O/6O` before Hz. */
const MAINS_VOLTS = new Set([100, 110, 115, 120, 125, 127, 200, 208, 220, 230, 240, 250, 264, 277, 380, 400]);

/**
 * Reads letters that stand for digits right before a unit as those, where at least one digit stands beside them and the
 * number that comes out is one that plates carry; what was changed is given. Places stay.
 * @example mendDigits('1OO-24OV~').text // '100-240V~'
 */
export function mendDigits(text: string): { text: string; mended: { from: string; to: string }[] } {
  const mended: { from: string; to: string }[] = [];
  const read = text.replace(WORN, (whole, kind: string, run: string) => {
    const to = [...run].map((sign) => AS_DIGIT[sign] ?? sign).join('');
    if (to === run || !/\d/.test(run) || !isPlausible(run, to)) return whole;
    mended.push({ from: run, to });
    return kind + to;
  });
  return { text: read, mended };
}

/** Whether a mended run is a number of a plate: small letters for 0 and 1 may stand anywhere, others only where mains volts come out. */
function isPlausible(run: string, to: string): boolean {
  const numbers = to.split(/[-~/]/).map((part) => Number(part.replace(',', '.').trim()));
  if (numbers.some((value) => !Number.isFinite(value) || value > 1000)) return false;
  if (/[SBZQ]/.test(run)) return numbers.every((value) => MAINS_VOLTS.has(value) || value === 50 || value === 60);
  // A lone O or I before a digit is a name as often: it must stand behind or between digits, or make a decimal.
  return /\d[.,]?[OolI|]|[lI|][.,]\d|[lI|]\d/.test(run);
}

const SIDES =
  /^(\s*)(\S*(?:INPUT|EINGANG|ENTR[ÉE]E|PRIMARY)\S*)(\s{2,}|\s*\|\s*)(\S*(?:OUTPUT|AUSGANG|SORTIE|SECONDARY)\S*)\s*$/i;

/**
 * Text of two columns, an input beside an output, as one column below the other: when a line holds both words and nothing
 * else, what stands under the second belongs to it.
 */
export function inColumns(text: string): string {
  const lines = text.split(WALL);
  const head = lines.findIndex((line) => SIDES.test(line));
  if (head < 0) return text;
  const [, before = '', left = '', gap = '', right = ''] = SIDES.exec(lines[head] ?? '') ?? [];
  const at = before.length + left.length + gap.length;
  const rows = lines.slice(head + 1).map((line) => cutAt(line, at));
  return [...lines.slice(0, head), left, ...rows.map(([one]) => one), right, ...rows.map(([, other]) => other)].join(
    WALL,
  );
}

/** A line at its gap nearest to a place; all of it on the left where it has none. */
function cutAt(line: string, at: number): readonly [string, string] {
  const gaps = [...line.matchAll(/\s{2,}|\s*\|\s*/g)].filter(({ index }) => index > 0);
  const [nearest] = gaps.toSorted(
    (a, b) => Math.abs(a.index + a[0].length - at) - Math.abs(b.index + b[0].length - at),
  );
  if (nearest) return [line.slice(0, nearest.index), line.slice(nearest.index + nearest[0].length)];
  return /^\s{4,}/.test(line) ? ['', line] : [line, ''];
}
