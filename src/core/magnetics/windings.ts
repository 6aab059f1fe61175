import { practice } from '../evidence';
/** A reading between two pins of a transformer; Infinity is OL. */
export interface OhmReading {
  readonly a: string;
  readonly b: string;
  readonly ohms: number;
}

export interface FoundWinding {
  /** In order along the wire; a tapped winding has three pins or more. */
  readonly pins: readonly string[];
  /** End to end, as far as it was read. */
  readonly ohms: number | undefined;
  /** Ohms between neighbours, where they were read. */
  readonly sections: readonly (number | undefined)[];
}

export type WindingGuess = 'primary' | 'output' | 'auxiliary';

export interface WindingFinding {
  readonly windings: readonly (FoundWinding & { readonly guess: WindingGuess })[];
  /** Pins that join no other. */
  readonly lonely: readonly string[];
  /** Pairs that would still tell something, the most telling first. */
  readonly ask: readonly (readonly [string, string])[];
  /** What does not add up. */
  readonly problems: readonly string[];
}

/** From here up two pins are not one winding. */
const CONDUCTS_BELOW = practice(5e3);
/** How far the sections of a tapped winding may be from their sum: the meter's share and its last digits, ohms. */
const ADDS_UP = { share: 0.1, ohms: 0.3 } as const;

/**
 * Which pins belong together, from a table of ohm readings: pins that conduct are one winding; within one the two
 * with the most ohms between them are its ends and the others are taps, in the order of their ohms from an end. The
 * most ohms are taken for the primary, the fewest for an output: many turns of thin wire against few of thick.
 * Common practice, no source; inductance and the side of the slot settle it.
 */
export function findWindings(readings: readonly OhmReading[]): WindingFinding {
  const pins = [...new Set(readings.flatMap(({ a, b }) => [a, b]))].sort(byNumber);
  const between = new Map(
    readings.flatMap(({ a, b, ohms }) => [[`${a}|${b}`, ohms] as const, [`${b}|${a}`, ohms] as const]),
  );
  const read = (a: string, b: string) => between.get(`${a}|${b}`);
  const conducts = (a: string, b: string) => (read(a, b) ?? Infinity) < CONDUCTS_BELOW;
  const groups = groupsOf(pins, conducts);
  const found = groups.filter((group) => group.length > 1).map((group) => windingOf(group, read));
  const guesses = guess(found);
  const lonely = groups.filter((group) => group.length === 1).flat();
  return {
    windings: found.map((winding, index) => ({ ...winding, guess: guesses[index] ?? 'auxiliary' })),
    lonely,
    ask: pairsToAsk(groups, read),
    problems: [...openInside(groups, read), ...found.flatMap((winding) => sumProblem(winding))],
  };
}

const byNumber = (a: string, b: string) => a.localeCompare(b, 'en', { numeric: true });

function groupsOf(pins: readonly string[], conducts: (a: string, b: string) => boolean): string[][] {
  const groups: string[][] = [];
  for (const pin of pins) {
    const joined = groups.filter((group) => group.some((other) => conducts(pin, other)));
    const rest = groups.filter((group) => !joined.includes(group));
    groups.length = 0;
    groups.push(...rest, [...joined.flat(), pin].sort(byNumber));
  }
  return groups.sort((a, b) => byNumber(a[0] ?? '', b[0] ?? ''));
}

function windingOf(group: readonly string[], read: (a: string, b: string) => number | undefined): FoundWinding {
  const pairs = group.flatMap((a, index) => group.slice(index + 1).map((b) => ({ a, b, ohms: read(a, b) ?? -1 })));
  const ends = pairs.reduce(
    (most, pair) => (pair.ohms > most.ohms ? pair : most),
    pairs[0] ?? { a: '', b: '', ohms: -1 },
  );
  const fromEnd = (pin: string) => {
    if (pin === ends.a) return 0;
    const here = read(ends.a, pin);
    if (here !== undefined) return here;
    const other = read(ends.b, pin);
    return other === undefined ? ends.ohms / 2 : ends.ohms - other;
  };
  const pins = [...group].sort((a, b) => (a === ends.b ? 1 : b === ends.b ? -1 : fromEnd(a) - fromEnd(b)));
  return {
    pins,
    ohms: ends.ohms < 0 ? undefined : ends.ohms,
    sections: pins.slice(1).map((pin, index) => read(pins[index] ?? '', pin)),
  };
}

function guess(windings: readonly FoundWinding[]): WindingGuess[] {
  const ohms = windings.map((winding) => winding.ohms ?? 0);
  const [most, least] = [Math.max(...ohms), Math.min(...ohms)];
  return ohms.map((value) => (value === most ? 'primary' : value === least ? 'output' : 'auxiliary'));
}

/** One pair between any two groups tells whether they are one; the larger groups first. */
function pairsToAsk(groups: readonly string[][], read: (a: string, b: string) => number | undefined) {
  const asked: { pair: readonly [string, string]; weight: number }[] = [];
  for (const [index, one] of groups.entries())
    for (const other of groups.slice(index + 1)) {
      const isKnown = one.some((a) => other.some((b) => read(a, b) !== undefined));
      if (!isKnown) asked.push({ pair: [one[0] ?? '', other[0] ?? ''], weight: one.length + other.length });
    }
  for (const group of groups.filter(({ length }) => length > 2))
    for (const [index, a] of group.entries())
      for (const b of group.slice(index + 1)) if (read(a, b) === undefined) asked.push({ pair: [a, b], weight: 1 });
  return asked.sort((a, b) => b.weight - a.weight).map(({ pair }) => pair);
}

function openInside(groups: readonly string[][], read: (a: string, b: string) => number | undefined): string[] {
  return groups.flatMap((group) =>
    group.flatMap((a, index) =>
      group
        .slice(index + 1)
        .filter((b) => read(a, b) === Infinity)
        .map((b) => `${a} and ${b} read OL, but each conducts to a pin that both share: read them again.`),
    ),
  );
}

function sumProblem({ pins, ohms, sections }: FoundWinding): string[] {
  if (pins.length < 3 || ohms === undefined || sections.some((section) => section === undefined)) return [];
  const sum = sections.reduce<number>((total, section) => total + (section ?? 0), 0);
  if (Math.abs(sum - ohms) <= ADDS_UP.share * ohms + ADDS_UP.ohms) return [];
  return [
    `The sections of ${pins.join('-')} add up to ${sum.toPrecision(3)} Ω, end to end it reads ${ohms.toPrecision(3)} Ω.`,
  ];
}
