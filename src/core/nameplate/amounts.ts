type PlateUnit = 'V' | 'A' | 'W' | 'Hz';

/** Numbers of one unit as they stand on a plate, in SI units, with the place they take. */
export interface Amount {
  /** One number, the two ends of a range (`100-240V`), or a list to choose from (`5/9/12V`). */
  readonly values: readonly number[];
  readonly joined?: 'range' | 'list';
  /** What a slash parts: `100-120/200-240V` are two ranges, one of which is chosen. */
  readonly choices?: readonly (readonly number[])[];
  readonly unit: PlateUnit;
  /** `~` or AC, `=` or DC, right at the number. */
  readonly mark?: 'ac' | 'dc';
  /** Printed as ± : one rail of each sign. */
  readonly both?: true;
  readonly signed?: true;
  /** The letters SB, STB or “standby” stand behind it. */
  readonly standby?: true;
  readonly at: number;
  readonly end: number;
}

/** One number of a chain such as `5V/3A`, with what stands between it and the next. */
interface Link {
  readonly digits: string;
  readonly unit?: string;
  readonly mark?: 'ac' | 'dc';
  readonly standby?: true;
  readonly separator?: string;
  readonly at: number;
  readonly end: number;
}

/** A number may stand glued behind AC or DC, and behind the unit of the number before: `DC5V`, `12V1.5A`. */
const START =
  /(?:(?<![\d.\p{L}]|\d,)|(?<=(?<![\p{L}\d])[AD]C)|(?<=\d\s?(?:V|v|A|a|W|w|Hz|HZ|VDC|VAC|Vdc|Vac|mA|MA)))(?:(±|\+\/-)\s*|([+-])\s*)?(?=\d|(?<=^|\s)[.,]\d)/gu;
const NUMBER = /(?:\d+(?:[.,]\d+)?|[.,]\d+)/y;
/** A unit ends its word, but for the words that are glued to one. */
const UNIT =
  /\s*(mA|kW|kHz|mW|VA(?!C)|Hz|Amps?|A|Watts?|W|Volts?|V)(?=(?:ac|dc|rms|max|min|peak|pk|sb|stby?|standby|each|total|out|pps|qc|pd)?(?![a-z]))/iy;
const TAIL =
  /(?:\s*(~(?!\s*\d+\s*V)|=+|\(?(?:ac|dc)\)?(?![a-z])))?(?:\s*-?\(?(SB|STBY?|standby)\b\)?)?(?:[1-9](?=[\s:,=¦]))?/iy;
/** A dash after a unit joins only when it stands tight or between two spaces: `+5V -12V` are two rails. */
const SEPARATOR = /\s*(\/|~|…|\.{2,3}|÷|\bto\b|\bbis\b)\s*(?=\d)|(?<!\s)(-)(?=\d)|\s(-)\s(?=\d)/iy;

/**
 * The amounts of a text, left to right. Numbers of one unit joined by a dash are a range, by slashes
 * a list; a comma is a decimal point, except before the three digits of `1,000mA`.
 */
export function amounts(text: string): Amount[] {
  const found: Amount[] = [];
  START.lastIndex = 0;
  for (let start = START.exec(text); start; start = START.exec(text)) {
    const [sign, both, plusOrMinus] = start;
    const chain = readChain(text, start.index + sign.length);
    const runs = chain ? splitRuns(chain) : [];
    runs.forEach((run, index) => {
      const first = index === 0;
      const amount = toAmount(run, first ? start.index : (run[0]?.at ?? 0), first && plusOrMinus === '-');
      if (amount)
        found.push({
          ...amount,
          ...(first && both ? { both: true as const } : {}),
          ...(first && sign ? { signed: true as const } : {}),
        });
    });
    START.lastIndex = Math.max(start.index + sign.length + 1, chain?.at(-1)?.end ?? 0);
  }
  return found;
}

function at(pattern: RegExp, text: string, index: number): RegExpExecArray | null {
  pattern.lastIndex = index;
  return pattern.exec(text);
}

function readChain(text: string, from: number): Link[] | undefined {
  const links: Link[] = [];
  let place = from;
  for (;;) {
    const number = at(NUMBER, text, place);
    if (!number) break;
    const linkAt = place;
    place += number[0].length;
    const unit = at(UNIT, text, place);
    let mark: Link['mark'];
    let standby = false;
    if (unit) {
      place += unit[0].length;
      const tail = at(TAIL, text, place);
      if (tail) {
        place += tail[0].length;
        mark = tail[1] === undefined ? undefined : /ac|~/i.test(tail[1]) ? 'ac' : 'dc';
        standby = tail[2] !== undefined;
      }
    }
    const separator = at(SEPARATOR, text, place);
    links.push({
      digits: number[0],
      at: linkAt,
      end: place,
      ...(unit ? { unit: unit[1] ?? '' } : {}),
      ...(mark ? { mark } : {}),
      ...(standby ? { standby: true as const } : {}),
      ...(separator ? { separator: (separator[1] ?? '-').toLowerCase() } : {}),
    });
    if (!separator) break;
    place += separator[0].length;
  }
  // Numbers behind the last unit belong to no amount.
  const last = links.findLastIndex(({ unit }) => unit !== undefined);
  return last < 0 ? undefined : links.slice(0, last + 1);
}

/** A number without a unit takes that of the next; where the unit changes, the chain is cut. */
function splitRuns(chain: readonly Link[]): Link[][] {
  const runs: Link[][] = [[]];
  chain.forEach((link, index) => {
    runs.at(-1)?.push(link);
    const next = chain.slice(index + 1).find(({ unit }) => unit !== undefined)?.unit;
    const turned = chain.slice(index + 1).find(({ mark }) => mark !== undefined)?.mark;
    const isOtherKind = link.mark !== undefined && turned !== undefined && link.mark !== turned;
    if (link.unit !== undefined && next !== undefined && (isOtherKind || unitOf(link.unit).unit !== unitOf(next).unit))
      runs.push([]);
  });
  return runs.filter((run) => run.length > 0);
}

function toAmount(run: readonly Link[], begins: number, negative: boolean): Amount | undefined {
  const last = run.at(-1);
  if (!last?.unit) return undefined;
  const { unit, factor } = unitOf(last.unit);
  const values = run.map(({ digits, unit: own }) => {
    const scale = own ? unitOf(own).factor : factor;
    return Number((scale * decimal(digits, own ?? last.unit ?? '')).toPrecision(12));
  });
  if (negative && unit === 'V') values[0] = -(values[0] ?? 0);
  const listed = run.slice(0, -1).some(({ separator }) => separator === '/');
  const choices: number[][] = [[]];
  values.forEach((value, index) => {
    choices.at(-1)?.push(value);
    if (run[index]?.separator === '/' && index < values.length - 1) choices.push([]);
  });
  const mark = run.map((link) => link.mark).find((found) => found !== undefined);
  const cutByWave = last.separator === '~' && unit === 'V' ? 'ac' : undefined;
  return {
    values,
    unit,
    at: begins,
    end: last.end,
    ...(choices.length > 1 ? { choices } : {}),
    ...(values.length > 1 ? { joined: listed ? ('list' as const) : ('range' as const) } : {}),
    ...((mark ?? cutByWave) ? { mark: mark ?? cutByWave ?? 'ac' } : {}),
    ...(last.standby ? { standby: true as const } : {}),
  };
}

function unitOf(printed: string): { unit: PlateUnit; factor: number } {
  const lower = printed.toLowerCase();
  const factor = lower.startsWith('m') ? 1e-3 : lower.startsWith('k') ? 1e3 : 1;
  if (lower.endsWith('hz')) return { unit: 'Hz', factor };
  if (lower === 'va' || lower.includes('w')) return { unit: 'W', factor };
  return { unit: lower.startsWith('v') ? 'V' : 'A', factor };
}

/** A decimal written with a point or a comma. */
function decimal(digits: string, unit: string): number {
  const thousands = /^\d{1,3},\d{3}$/.test(digits) && unit.toLowerCase() === 'ma';
  return Number(digits.replace(',', thousands ? '' : '.'));
}
