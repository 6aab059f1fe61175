import { decodeMarking, type Decoding } from '../core/marking';
import { isKindName, KIND_NAMES, packageFromWord, PACKAGES } from '../core/part';
import { z } from 'zod';
import { UnusableInput, type CommandLine } from './arguments';
import { linesOf } from './line';

/** A reading as the command line prints it: facts stand among the ratings. */
export function shown({ kind, confidence, rule, ratings, facts, why, readAs, apart }: Decoding) {
  return {
    kind,
    confidence,
    rule,
    ratings: { ...ratings, ...facts },
    why,
    ...(readAs === undefined ? {} : { readAs }),
    ...(apart === undefined ? {} : { apart }),
  };
}

/**
 * The ranked readings of a marking, best first. An empty marking or an unknown kind cannot be used;
 * an unknown case is named and left out.
 */
export function decode({ words, options }: CommandLine, warn: (text: string) => void) {
  const marking = words.join(' ').trim();
  if (marking === '') throw new UnusableInput('decode: the marking is empty; a text such as 12N65 is expected.');
  const { kind, package: typed } = options;
  if (kind !== undefined && !isKindName(kind))
    throw new UnusableInput(`decode --kind: “${kind}” is no part kind; one of ${KIND_NAMES.join(', ')} is expected.`);
  const case_ = typed === undefined ? undefined : packageFromWord(typed);
  if (typed !== undefined && case_ === undefined)
    warn(`decode --package: “${typed}” is not known (${PACKAGES.length} are, such as TO-220) and is left out.`);
  return { readings: decodeMarking(marking, { kind, package: case_ }).map(shown) };
}

const markingCase = z.object({
  marking: z.string('a text under “marking” is expected'),
  kind: z.string().nullish(),
  package: z.string().nullish(),
});

/** The readings of each marking of a file, one JSON object a line. */
export const decodeFile = (path: string, warn: (text: string) => void) =>
  linesOf(path, 'decode').map((entry) => decodeCase(entry, warn));

function decodeCase({ number, value, path }: ReturnType<typeof linesOf>[number], warn: (text: string) => void) {
  const parsed = markingCase.safeParse(value);
  if (!parsed.success)
    throw new UnusableInput(`${path}, line ${number}: ${parsed.error.issues[0]?.message ?? 'a marking is expected'}.`);
  const { marking, kind, package: case_ } = parsed.data;
  return decode(
    { words: [marking], options: { ...(kind ? { kind } : {}), ...(case_ ? { package: case_ } : {}) } },
    warn,
  );
}
