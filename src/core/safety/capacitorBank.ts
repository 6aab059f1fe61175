import { practice } from '../evidence';
import { parseQuantity } from '../quantity';
import { seriesCapacitance } from './seriesString';

/** Capacitors in parallel, taken as one link of a series string. Farads, volts. */
export interface BankLink {
  readonly capacitance: number;
  readonly count: number;
  readonly ratedVoltage?: number;
}

/** One or several capacitors that make one store: links in series, each of capacitors in parallel. */
export interface CapacitorBank {
  readonly capacitance: number;
  readonly links: readonly BankLink[];
  /** What the string as a whole is rated for, when every link says so. */
  readonly ratedVoltage?: number;
}

export type BankProblem =
  | { readonly kind: 'blank' }
  | { readonly kind: 'no-capacitance'; readonly word: string }
  /** A farad and more, as only a supercapacitor has; the microfarads that were probably meant. */
  | { readonly kind: 'too-large'; readonly word: string; readonly likely: string }
  | { readonly kind: 'too-many'; readonly count: number };

/** Whether a voltage is written in alternating volts: `2100VAC`, `275 V~`. */
export const isAlternating = (text: string): boolean => /v\s*(?:ac|~)\s*$/i.test(text);

/** What is wrong with the text of a bank, for the person who typed it. */
export function bankProblemText(problem: BankProblem): string {
  switch (problem.kind) {
    case 'blank':
      return 'A capacitance above zero is expected, like 82u, or several: 2 x 470u series, 3 x 100u.';
    case 'no-capacitance':
      return `“${problem.word}” is not a capacitance above zero. Write it like 82u, 2 x 470u series or 470u + 330u.`;
    case 'too-large':
      return `“${problem.word}” is a farad or more, which only a supercapacitor of a few volts has. ${problem.likely} is likely: write it so, or name its voltage, like 10F 2.7V.`;
    case 'too-many':
      return `${problem.count} capacitors in one store are more than a board holds. At most 100 are expected.`;
  }
}

const MOST = 100;
/** Supercapacitors are rated up to this, modules of them included. */
const SUPERCAPACITOR_VOLTS = practice(60);

/**
 * Reads the capacitors of a store: `82u`, `3 x 100u` (in parallel), `2 x 470u 200V series`,
 * `470u + 330u` (in parallel), `470u 200V in series with 330u 250V`.
 */
export function parseBank(text: string): { ok: true; bank: CapacitorBank } | { ok: false; problem: BankProblem } {
  if (text.trim() === '') return { ok: false, problem: { kind: 'blank' } };
  const links: BankLink[] = [];
  for (const group of text.split(/\s+(?:in\s+)?series\s+with\s+/i)) {
    const inSeries = /\b(?:in\s+)?series\s*$/i.test(group.trim());
    const items: BankLink[] = [];
    for (const item of group
      .replace(/\b(?:in\s+)?(?:series|parallel)\s*$/i, '')
      .split(/\s*(?:\+|\|\||\bparallel\b)\s*/i)) {
      const read = readItem(item.trim());
      if ('kind' in read) return { ok: false, problem: read };
      items.push(read);
    }
    if (inSeries) links.push(...items.flatMap((item) => Array.from({ length: item.count }, () => single(item))));
    else links.push(inParallel(items));
  }
  const count = links.reduce((sum, link) => sum + link.count, 0);
  if (count > MOST) return { ok: false, problem: { kind: 'too-many', count } };
  const rated = links.map(({ ratedVoltage }) => ratedVoltage);
  return {
    ok: true,
    bank: {
      capacitance: seriesCapacitance(links),
      links,
      ...(rated.every((volts) => volts !== undefined)
        ? { ratedVoltage: rated.reduce((sum: number, volts) => sum + (volts ?? 0), 0) }
        : {}),
    },
  };
}

function readItem(text: string): BankLink | BankProblem {
  const counted = /^(\d{1,4})\s*[x×*]\s*/i.exec(text);
  const count = counted ? Number(counted[1]) : 1;
  const words = text.slice(counted?.[0].length ?? 0).split(/\s+/);
  const volts = words.find((word) => /\d[km]?V(?:dc|ac|~)?$/i.test(word));
  const size = words.filter((word) => word !== volts).join('');
  const parsed = parseQuantity(size, 'farad');
  if (!parsed.ok || parsed.quantity.value <= 0 || count === 0) return { kind: 'no-capacitance', word: text };
  if (count > MOST) return { kind: 'too-many', count };
  const rated = volts === undefined ? undefined : parseQuantity(volts, 'volt');
  const isSuper = rated?.ok === true && rated.quantity.value <= SUPERCAPACITOR_VOLTS && /F$/.test(size);
  // A bare number is microfarads to the person who typed it.
  if ((parsed.quantity.value >= 1 && !isSuper) || /^\d+(?:[.,]\d+)?$/.test(size))
    return { kind: 'too-large', word: text, likely: `${parsed.quantity.value}u` };
  return {
    capacitance: parsed.quantity.value * count,
    count,
    ...(rated?.ok ? { ratedVoltage: rated.quantity.value } : {}),
  };
}

function single({ capacitance, count, ...rest }: BankLink): BankLink {
  return { ...rest, capacitance: capacitance / count, count: 1 };
}

function inParallel(items: readonly BankLink[]): BankLink {
  const rated = items.map(({ ratedVoltage }) => ratedVoltage).filter((volts) => volts !== undefined);
  return {
    capacitance: items.reduce((sum, { capacitance }) => sum + capacitance, 0),
    count: items.reduce((sum, { count }) => sum + count, 0),
    ...(rated.length === items.length ? { ratedVoltage: Math.min(...rated) } : {}),
  };
}

/** Tolerance of a common electrolytic, each way. */
const TOLERANCE = practice(0.2);

/**
 * The voltage that each link of a string may see when the whole holds `volts`: by the printed
 * capacitances, and in the worst case when this link is 20 % small and the others 20 % large.
 */
export function linkVoltages(links: readonly BankLink[], volts: number): { nominal: number; worst: number }[] {
  const share = (own: number, all: readonly number[]) => volts / own / all.reduce((sum, c) => sum + 1 / c, 0);
  return links.map((link, index) => ({
    nominal: share(
      link.capacitance,
      links.map(({ capacitance }) => capacitance),
    ),
    worst: share(
      link.capacitance * (1 - TOLERANCE),
      links.map(({ capacitance }, other) => capacitance * (other === index ? 1 - TOLERANCE : 1 + TOLERANCE)),
    ),
  }));
}
