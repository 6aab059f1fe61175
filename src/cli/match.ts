import { z } from 'zod';
import { isKindName, RATINGS, type KindName, type RatingName } from '../core/part';
import { allAtOnce } from '../core/steps';
import {
  asNeedQuestion,
  combineLots,
  compareMatches,
  matchLot,
  questionInWords,
  questionProblemText,
  readDuty,
  readQuestion,
  type CombineLot,
  type LotMatch,
  type StockFilter,
} from '../core/stock';
import { readStock } from '../formats/stock';
import { UnusableInput, type CommandLine } from './arguments';
import { contentOf } from './board';

const positive = z.number().positive();
const dutySchema = z.object({
  voltage: positive.optional(),
  acVoltage: positive.optional(),
  current: positive.optional(),
  ripple: positive.optional(),
  pulse: positive.optional(),
  frequency: positive.optional(),
  temperature: z.number().optional(),
  power: positive.optional(),
  gate: z.number().optional(),
  isolated: z.boolean().optional(),
});
/** A need: in words, or by its kind with values, ratings at least, a case and its duty. */
const needSchema = dutySchema.extend({
  need: z.string().optional(),
  filter: z.string().optional(),
  kind: z.string().optional(),
  technology: z.string().optional(),
  subtype: z.string().optional(),
  package: z.string().optional(),
  quantity: z.number().int().positive().default(1),
  value: z.record(z.string(), positive).default({}),
  ratings: z.record(z.string(), positive).default({}),
  duty: z.union([dutySchema, z.string()]).optional(),
  stress: dutySchema.optional(),
});

/** A need that stands within another object, as `{"need": {…}}`, counts as that object. */
function unwrapped(json: unknown): unknown {
  const need = z.object({ need: z.record(z.string(), z.unknown()) }).safeParse(json);
  return need.success ? { ...(json as object), ...need.data.need, need: undefined } : json;
}

/** How near a value comes to what is asked, as a share either way; common practice, no source. */
const NEAR: Partial<Record<RatingName, number>> = { resistance: 0.05, capacitance: 0.2, inductance: 0.2 };

function filterOf(need: z.infer<typeof needSchema>, where: string): StockFilter {
  const words = need.need ?? need.filter;
  // What it is put under may stand beside its kind, or be told in words.
  const beside = dutySchema.parse(need);
  const inWords = typeof need.duty === 'string' ? readDuty(need.duty) : undefined;
  const duty = {
    ...beside,
    ...need.stress,
    ...(typeof need.duty === 'object' ? need.duty : {}),
    ...(inWords && 'duty' in inWords ? inWords.duty : {}),
  };
  const given = Object.fromEntries(Object.entries(duty).filter(([, value]) => value !== undefined));
  const withDuty = Object.keys(given).length > 0 ? { duty: given } : {};
  if (words !== undefined) {
    const read = readQuestion(asNeedQuestion(words));
    if (!read.ok) throw new UnusableInput(`${where}: ${questionProblemText(read.problem)}`);
    return { ...read.filter, ...withDuty };
  }
  const { kind } = need;
  if (kind === undefined) throw new UnusableInput(`${where}: a kind of part is expected, or a need in words.`);
  if (!isKindName(kind)) throw new UnusableInput(`${where}, kind: “${kind}” is no kind of part.`);
  const rating = (name: string): RatingName => {
    if (!Object.hasOwn(RATINGS, name)) throw new UnusableInput(`${where}: “${name}” is no rating.`);
    return name as RatingName;
  };
  const variant = need.technology ?? need.subtype;
  return {
    kind: { says: kind, words: kind, kinds: [kind satisfies KindName], ...(variant ? { variants: [variant] } : {}) },
    demands: [
      ...Object.entries(need.value).map(([name, value]) => ({
        rating: rating(name),
        comparison: 'about' as const,
        value,
        within: NEAR[rating(name)] ?? 0.05,
      })),
      ...Object.entries(need.ratings).map(([name, value]) => ({
        rating: rating(name),
        comparison: RATINGS[rating(name)].better === 'lower' ? ('at-most' as const) : ('at-least' as const),
        value,
      })),
    ],
    ...(need.package ? { packages: [need.package] } : {}),
    ...withDuty,
    words: [],
  };
}

const VERDICT = { fits: 'good', limit: 'limits', unknown: 'limits', no: 'no' } as const;
const round = (value: number) => Number(value.toPrecision(3));

/** From 0 to 1: what fits stands above what fits with limits; of those that fit the tightest, so that strong parts are kept. */
function scoreOf({ verdict, distance, margin = 1 }: LotMatch): number {
  if (verdict === 'no') return 0;
  const base = verdict === 'fits' ? 1 : verdict === 'limit' ? 0.6 : 0.4;
  const spare = Math.log(Math.max(1, margin));
  return round(base * Math.exp(-0.15 * spare - 0.1 * Math.min(distance, 10)) * (margin < 1 ? 0.8 : 1));
}

const told = (match: LotMatch) => ({
  verdict: VERDICT[match.verdict],
  score: scoreOf(match),
  checks: match.checks.map(({ name, rating, outcome, margin, text }) => ({
    name: name ?? rating ?? 'use',
    ok: outcome === 'fits',
    ...(margin === undefined || !Number.isFinite(margin) ? {} : { margin: round(margin - 1) }),
    message: text,
  })),
});

/** Lots of a stock list that meet a need, the best first, each checked by name; and what several come to together. */
export function match(line: CommandLine, note: (text: string) => void) {
  const [path, stock, ...more] = line.words;
  if (path === undefined || stock === undefined || more.length > 0)
    throw new UnusableInput('match: a need and a stock list are expected.');
  const { name, content } = contentOf({ words: [path], options: {} }, 'match');
  let json: unknown;
  try {
    json = JSON.parse(content);
  } catch {
    throw new UnusableInput(`${name}: JSON is expected.`);
  }
  const read = needSchema.safeParse(unwrapped(json));
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new UnusableInput(`${name}, ${issue?.path.join('.') || 'its top'}: ${issue?.message ?? 'unusable'}.`);
  }
  const filter = filterOf(read.data, name);
  const list = contentOf({ words: [stock], options: {} }, 'match');
  const { read: lines, refused } = allAtOnce(readStock(list.content, { bin: 'LIST', keepsCodes: true }));
  for (const { line: at, why } of refused) note(`${list.name}, line ${at}: ${why}`);
  const lots = lines.map(({ line: at, entry }): CombineLot => ({
    code: entry.code || `line ${at}`,
    free: entry.pieces,
    facts: {
      kind: entry.kind,
      subtype: entry.subtype || null,
      technology: entry.technology || null,
      package: entry.package || null,
      grade: entry.grade === '' ? null : entry.grade,
      ratings: entry.ratings,
      limits: entry.limits,
    },
  }));
  const matches = lots
    .filter(({ free, facts }) => free > 0 && (filter.kind?.kinds.includes(facts.kind) ?? true))
    .map(({ code, facts, free }) => ({ lot: code, found: matchLot(filter, facts), pieces: free, grade: facts.grade }))
    .toSorted((a, b) => compareMatches({ ...a.found, ...a }, { ...b.found, ...b }));
  const isMet = matches.some(({ found, pieces }) => found.verdict === 'fits' && pieces >= read.data.quantity);
  return {
    means: questionInWords(filter),
    matches: matches.map(({ lot, found, pieces }) => ({ lot, pieces, ...told(found) })),
    combinations: combineLots(filter, lots).map(({ way, of, sum, drawbacks, match: found }) => ({
      way,
      lots: of.map(({ code, count }) => ({ lot: code, count })),
      sum,
      drawbacks,
      ...told(found),
    })),
    missing: isMet ? [] : [questionInWords(filter)],
  };
}
