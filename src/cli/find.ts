import { z } from 'zod';
import type { Evidenced } from '../core/evidence';
import { decodeMarking } from '../core/marking';
import { isKindName, KIND_NAMES, packageFromWord, ratingFromUnit, type KindName, type RatingName } from '../core/part';
import { answerQuestion, type LotFacts, type StockItem } from '../core/stock';
import { UnusableInput, type CommandLine } from './arguments';
import { contentOf } from './board';

const fileSchema = z.object({
  lots: z.array(
    z.object({
      lot: z.string(),
      kind: z.string(),
      subtype: z.string().nullish(),
      marking: z.string().nullish(),
      package: z.string().nullish(),
      grade: z.enum(['A', 'B', 'C']).nullish(),
      pieces: z.number().int().nonnegative(),
      bin: z.string().nullish(),
      ratings: z.record(z.string(), z.union([z.number(), z.string()])),
    }),
  ),
});
type LotEntry = z.infer<typeof fileSchema>['lots'][number];
const questionsSchema = z.array(z.object({ q: z.string() }));

/** What the names of ratings in such a file are called here; those of volts, amperes and ohms depend on the kind. */
const NAMES: Readonly<Record<string, RatingName>> = {
  capacitance: 'capacitance',
  inductance: 'inductance',
  power: 'power',
  temperature: 'temperature',
  tolerance: 'tolerance',
  esr: 'esr',
  diameter: 'diameter',
  height: 'height',
  pitch: 'pitch',
  size: 'size',
  length: 'length',
  pins: 'pins',
  forward: 'vf',
  onResistance: 'rdsOn',
  reverseRecovery: 'recovery',
  thermalResistance: 'thermal',
  primaryVoltage: 'primary',
  acVoltage: 'acVoltage',
};

function ratingOf(name: string, kind: KindName, subtype: string | null): RatingName | undefined {
  if (name === 'voltage') {
    if (subtype === 'zener' || subtype === 'tvs') return 'vz';
    return ratingFromUnit(kind, 'volt');
  }
  if (name === 'current') return ratingFromUnit(kind, 'ampere');
  if (name === 'resistance') return kind === 'thermistor' ? 'r25' : 'resistance';
  return NAMES[name];
}

const MILLIMETRES = /(\d+(?:\.\d+)?) ?mm$/;

function stockItem(entry: LotEntry, warn: (text: string) => void): StockItem | undefined {
  const kind = entry.kind === 'heatsink' ? 'heat-sink' : entry.kind;
  if (!isKindName(kind)) {
    warn(`find: lot ${entry.lot}: “${entry.kind}” is no part kind (one of ${KIND_NAMES.join(', ')}); it is left out.`);
    return undefined;
  }
  const ratings: Partial<Record<RatingName, Evidenced>> = {};
  const tags: string[] = [];
  let subtype = entry.subtype ?? null;
  let technology: string | null = null;
  for (const [name, value] of Object.entries(entry.ratings)) {
    if (typeof value === 'number') {
      const rating = ratingOf(name, kind, subtype);
      if (rating) ratings[rating] = { value, source: 'datasheet' };
    } else if (name === 'class') subtype = value.toLowerCase();
    else if (name === 'technology') technology = value;
    else tags.push(value.toLowerCase());
  }
  const pitch = kind === 'capacitor' ? MILLIMETRES.exec(entry.package ?? '')?.[1] : undefined;
  if (pitch !== undefined) ratings.pitch = { value: Number(pitch) / 1000, source: 'datasheet' };
  return {
    code: entry.lot,
    kind,
    subtype,
    technology,
    marking: entry.marking ?? '',
    package: entry.package ? (packageFromWord(entry.package) ?? entry.package) : null,
    grade: entry.grade ?? null,
    pieces: entry.pieces,
    bin: entry.bin ?? '',
    ratings,
    tags,
  };
}

/** What the marking alone tells of a type. */
function typeOf(marking: string): Pick<LotFacts, 'kind' | 'ratings'> | undefined {
  const [best] = decodeMarking(marking.toUpperCase(), {});
  if (!best) return undefined;
  const ratings = Object.fromEntries(
    Object.entries(best.ratings).map(([name, value]) => [name, { value, source: 'decoded' as const }]),
  );
  return { kind: best.kind, ratings };
}

function parsed<T>(schema: z.ZodType<T>, path: string, what: string): T {
  const { name, content } = contentOf({ words: [path], options: {} }, 'find');
  let value: unknown;
  try {
    value = JSON.parse(content);
  } catch {
    throw new UnusableInput(`find: ${name} is not JSON.`);
  }
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  throw new UnusableInput(
    `find: ${name}, ${issue?.path.join('.') || 'at the top'}: ${what} is expected (${issue?.message ?? ''}).`,
  );
}

/** The answer to a question over the lots of a file, or to each question of another file. */
export function find({ words, options }: CommandLine, warn: (text: string) => void) {
  const [question, path, ...more] = options.file === undefined ? words : ['', ...words];
  if (question === undefined || path === undefined || more.length > 0)
    throw new UnusableInput('find: a question and a file of lots are expected, such as find "nmos 600V" LOTS.json.');
  const lots = parsed(fileSchema, path, 'a list of lots under “lots”').lots.flatMap(
    (entry) => stockItem(entry, warn) ?? [],
  );
  const answer = (text: string) => {
    const told = answerQuestion(text, lots, typeOf);
    if (!told.ok) return told;
    const codes = (items: readonly StockItem[]) => items.map(({ code }) => code);
    return { ok: true, means: told.means.replaceAll('\u00a0', ' '), lots: codes(told.lots), near: codes(told.near) };
  };
  return options.file === undefined
    ? answer(question)
    : parsed(questionsSchema, options.file, 'a list of questions with “q”').map(({ q }) => answer(q));
}
