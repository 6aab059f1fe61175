const DAY = 24 * 3600 * 1000;
const SPANS: Readonly<Record<string, number>> = { day: 1, week: 7, month: 30 };

/** The end of a day by the calendar of the place, milliseconds since 1970; nothing where there is no such day. */
function endOf(year: number, month: number, day: number): number | undefined {
  const date = new Date(year, month - 1, day, 23, 59, 59);
  return date.getMonth() === month - 1 && date.getDate() === day ? date.getTime() : undefined;
}

/**
 * The day by which an answer is expected: `2027-01-15`, `15.1.2027`, `tomorrow`, `in 3 days`, `2 weeks`.
 * @returns the end of that day, milliseconds since 1970; nothing where the text names none
 */
export function readDue(text: string, now: number): number | undefined {
  const plain = text.trim().toLowerCase();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/u.exec(plain);
  if (iso) return endOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const written = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/u.exec(plain);
  if (written) return endOf(Number(written[3]), Number(written[2]), Number(written[1]));
  const later = (days: number) => {
    const day = new Date(now + days * DAY);
    return endOf(day.getFullYear(), day.getMonth() + 1, day.getDate());
  };
  if (plain === 'today') return later(0);
  if (plain === 'tomorrow') return later(1);
  const span = /^(?:in\s+|next\s+)?(\d{1,3}|an?|one)?\s*(day|week|month)s?$/u.exec(plain);
  if (!span) return undefined;
  const count = span[1] === undefined || !/\d/u.test(span[1]) ? 1 : Number(span[1]);
  return later(count * (SPANS[span[2] ?? 'day'] ?? 1));
}
