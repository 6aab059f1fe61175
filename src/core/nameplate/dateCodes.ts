import { practice } from '../evidence';
/** One way to read a date code. `week` counts ISO weeks from 1. */
export interface DateReading {
  readonly year: number;
  readonly week?: number;
  readonly month?: number;
  readonly pattern: 'YYWW' | 'YWW' | 'IEC 60062' | 'written';
  /** 0 to 1; four digits are part numbers too, three leave the decade open. */
  readonly confidence: number;
}

export interface AgeJudgement {
  /** The unit cannot be older than this: the newest code that can be right. */
  readonly newest?: DateReading;
  readonly from?: string;
  readonly readings: readonly {
    readonly code: string;
    readonly place: string;
    readonly readings: readonly DateReading[];
  }[];
  readonly unreadable: readonly string[];
}

/** Year letters of the 20-year cycle. Source: IEC 60062 (from memory). */
const YEAR_LETTERS = 'ABCDEFHJKLMNPRSTUVWX';
const MONTHS = '123456789OND';
/** Switch-mode supplies for the home begin about here; an older reading is a part number. */
const OLDEST = practice(1975);

const MONTH_NAMES = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
/** Dates as they are written out: `wk12 2019`, `2019-W12`, `03/2019`, `Mar 2019`. */
const WRITTEN: readonly {
  readonly pattern: string;
  readonly read: (match: readonly string[]) => Pick<DateReading, 'year' | 'week' | 'month'>;
}[] = [
  {
    pattern: String.raw`(?:wk|week|kw|w)\.?\s*(\d{1,2})[\s/.,-]*(?:of\s*)?((?:19|20)\d\d)`,
    read: ([, week, year]) => ({ year: Number(year), week: Number(week) }),
  },
  {
    pattern: String.raw`(?:wk|week|kw)\.?\s*(\d{1,2})\s*/\s*(\d\d)(?!\d)`,
    read: ([, week, year]) => ({ year: 2000 + Number(year), week: Number(week) }),
  },
  {
    pattern: String.raw`((?:19|20)\d\d)(?:-?w|[\s/.,-]*(?:wk|week))\.?\s?(\d{1,2})`,
    read: ([, year, week]) => ({ year: Number(year), week: Number(week) }),
  },
  {
    pattern: String.raw`(${MONTH_NAMES.join('|')})[a-z]*\.?\s*((?:19|20)\d\d)`,
    read: ([, month, year]) => ({ year: Number(year), month: MONTH_NAMES.indexOf((month ?? '').toLowerCase()) + 1 }),
  },
  {
    pattern: String.raw`(0?[1-9]|1[0-2])[/.]((?:19|20)\d\d)`,
    read: ([, month, year]) => ({ year: Number(year), month: Number(month) }),
  },
  {
    pattern: String.raw`((?:19|20)\d\d)[-/.](0[1-9]|1[0-2])`,
    read: ([, year, month]) => ({ year: Number(year), month: Number(month) }),
  },
];
/** A date that is written out, anywhere in a text; behind a number, and before a unit, it is an amount. */
export const WRITTEN_DATE = new RegExp(
  String.raw`(?<![\d.,]\s?)\b(?:${WRITTEN.map(({ pattern }) => pattern).join('|')})(?![\d/.]|\s?[VAW]\b)`,
  'gi',
);
const WRITTEN_CONFIDENCE = practice(0.95);

/** A date that is written out, when the text is one. */
function readWritten(text: string): DateReading | undefined {
  for (const { pattern, read } of WRITTEN) {
    const match = new RegExp(`^${pattern}$`, 'i').exec(text);
    if (match) return { ...read(match), pattern: 'written', confidence: WRITTEN_CONFIDENCE };
  }
  return undefined;
}

/**
 * The ways to read a date code, likeliest first: YYWW, YWW with either decade, and the two-character
 * code of IEC 60062. A date in the future or a week above 53 is none.
 * @param today the present day as year and ISO week
 */
export function readDateCode(code: string, today: { year: number; week: number }): DateReading[] {
  const clean = code.trim().toUpperCase();
  const past = (year: number, week: number) => year < today.year || (year === today.year && week <= today.week);
  const written = readWritten(code.trim());
  if (written) {
    const week = written.week ?? Math.ceil((written.month ?? 1) * 4.3);
    return week >= 1 && week <= 53 && written.year >= OLDEST && past(written.year, week) ? [written] : [];
  }
  const readings: DateReading[] = [];
  const four = /^(\d\d)(\d\d)[A-Z]?$/.exec(clean);
  if (four) {
    const week = Number(four[2]);
    for (const century of [2000, 1900]) {
      const year = century + Number(four[1]);
      if (week >= 1 && week <= 53 && year >= OLDEST && past(year, week))
        readings.push({ year, week, pattern: 'YYWW', confidence: readings.length === 0 ? 0.7 : 0.1 });
    }
  }
  const three = /^(\d)(\d\d)$/.exec(clean);
  if (three) {
    const week = Number(three[2]);
    const decade = today.year - (today.year % 10);
    const years = [0, 10, 20].map((back) => decade - back + Number(three[1]));
    if (week >= 1 && week <= 53)
      for (const year of years.filter((candidate) => past(candidate, week) && candidate >= OLDEST).slice(0, 2))
        readings.push({ year, week, pattern: 'YWW', confidence: readings.length === 0 ? 0.45 : 0.35 });
  }
  const letters = new RegExp(`^([${YEAR_LETTERS}])([${MONTHS}])$`).exec(clean);
  if (letters) {
    const offset = YEAR_LETTERS.indexOf(letters[1] ?? '');
    const month = MONTHS.indexOf(letters[2] ?? '') + 1;
    for (const cycle of [2030, 2010, 1990]) {
      const year = cycle + offset;
      if (year >= OLDEST && past(year, Math.ceil(month * 4.3)))
        readings.push({ year, month, pattern: 'IEC 60062', confidence: readings.length === 0 ? 0.5 : 0.2 });
    }
  }
  return readings;
}

/** Two codes within this many weeks bear each other out. FORMULAS 2, date codes. */
const AGREES_WITHIN_WEEKS = 26;

/**
 * The age that date codes allow. The newest plausible code bounds it: nothing inside can be younger
 * than the whole. Where a code can be read as two decades, the reading near another code wins.
 */
export function judgeAge(
  codes: readonly { readonly code: string; readonly place: string }[],
  today: { year: number; week: number },
): AgeJudgement {
  const read = codes.map(({ code, place }) => ({ code, place, readings: readDateCode(code, today) }));
  const known = read.filter(({ readings }) => readings.length > 0);
  const settled = known.map(({ code, place, readings }) => {
    const others = known.filter((other) => other.code !== code || other.place !== place);
    const borne = readings.find((reading) =>
      others.some((other) =>
        other.readings.some((their) => Math.abs(weeks(their) - weeks(reading)) <= AGREES_WITHIN_WEEKS),
      ),
    );
    const best = borne ?? readings[0];
    return { code, place, best: best && { ...best, confidence: borne ? 0.9 : best.confidence } };
  });
  const newest = settled
    .filter((entry): entry is typeof entry & { best: DateReading } => entry.best !== undefined)
    .sort((a, b) => weeks(b.best) - weeks(a.best))[0];
  return {
    ...(newest ? { newest: newest.best, from: `${newest.place} ${newest.code}`.trim() } : {}),
    readings: known,
    unreadable: read
      .filter(({ readings }) => readings.length === 0)
      .map(({ code, place }) => `${place} ${code}`.trim()),
  };
}

function weeks({ year, week, month }: DateReading): number {
  return year * 52 + (week ?? Math.round(((month ?? 6) * 52) / 12));
}

/** A date as a person says it: `week 14 of 2023`. */
export function describeDate({ year, week, month }: DateReading): string {
  if (week !== undefined) return `week ${week} of ${year}`;
  return month === undefined ? String(year) : `month ${month} of ${year}`;
}

/** Year and ISO week of a moment in milliseconds. Method: ISO 8601, the week of the Thursday. */
export function isoWeek(moment: number): { year: number; week: number } {
  const day = new Date(moment);
  const thursday = new Date(Date.UTC(day.getUTCFullYear(), day.getUTCMonth(), day.getUTCDate()));
  thursday.setUTCDate(thursday.getUTCDate() + 4 - (thursday.getUTCDay() || 7));
  const year = thursday.getUTCFullYear();
  return { year, week: Math.ceil(((thursday.getTime() - Date.UTC(year, 0, 1)) / 86400000 + 1) / 7) };
}

/** Date codes as a person lists them, each with where it stands: `2314 lid, 1948 C3`. */
export function listDateCodes(text: string): { code: string; place: string }[] {
  return text
    .split(/[,;\n]/)
    .map((entry) => entry.trim())
    .filter((entry) => entry !== '')
    .map((entry) => {
      const written = new RegExp(`^(?:${WRITTEN.map(({ pattern }) => pattern).join('|')})`, 'i').exec(entry)?.[0];
      if (written) return { code: written, place: entry.slice(written.length).trim() };
      const [code = '', ...place] = entry.split(/\s+/);
      return { code, place: place.join(' ') };
    });
}
