import { z } from 'zod';
import { allAtOnce } from '../core/steps';
import { factsOf, judgeSwap, together, toBuy, type PartFacts, type PlaceFacts, type Swap } from '../core/substitute';
import { readStock } from '../formats/stock';
import { UnusableInput, type CommandLine } from './arguments';
import { boardFrom, contentOf } from './board';

const partSchema = z.object({
  kind: z.string(),
  ref: z.string().optional(),
  marking: z.string().optional(),
  package: z.string().optional(),
  technology: z.string().optional(),
  ratings: z.record(z.string(), z.union([z.number(), z.string(), z.boolean()])).default({}),
  grade: z.string().optional(),
  limits: z.string().optional(),
});
const placeSchema = z
  .object({
    duty: z.string().optional(),
    topology: z.string().optional(),
    stress: z.record(z.string(), z.number()).optional(),
    mains: z.number().optional(),
    barrier: z.boolean().optional(),
    gateDrive: z
      .object({ voltage: z.number().optional(), current: z.number().optional(), resistance: z.number().optional() })
      .optional(),
    heatsink: z.string().optional(),
    room: z.object({ height: z.number().optional(), diameter: z.number().optional() }).optional(),
    vcc: z.number().optional(),
    startUp: z.string().optional(),
    dutyNeeded: z.number().optional(),
    snubber: z.boolean().optional(),
    load: z.string().optional(),
    gatePolarity: z.string().optional(),
    mode: z.string().optional(),
    bypassDiode: z.boolean().optional(),
    pairedWith: z.string().optional(),
    note: z.string().optional(),
  })
  .default({});
const caseSchema = z.object({ failed: partSchema, place: placeSchema, candidate: partSchema });
const needSchema = z.object({ failed: partSchema, place: placeSchema, board: z.unknown().optional() });

/** What was left out is missing, not undefined. */
const given = <T extends object>(of: T) =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined)) as unknown;
const factsFrom = (part: z.infer<typeof partSchema>) => given(part) as PartFacts;
const placeFrom = (place: z.infer<typeof placeSchema>) => given(place) as PlaceFacts;

function parsed<T>(text: string, where: string, schema: z.ZodType<T>): T {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new UnusableInput(`${where}: JSON is expected.`);
  }
  const read = schema.safeParse(json);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new UnusableInput(`${where}, ${issue?.path.join('.') || 'its top'}: ${issue?.message ?? 'unusable'}.`);
}

const answered = (swap: Swap) => {
  const { verdict, checks, why } = judgeSwap(swap);
  return {
    verdict,
    checks: checks.map(({ name, level, margin, message }) => ({
      name,
      ok: level === 'ok' || level === 'note',
      ...(margin === undefined ? {} : { margin: Number(margin.toPrecision(3)) }),
      message,
    })),
    why,
  };
};

const ORDER = { good: 0, limits: 1, no: 2 } as const;

/** What takes a part’s place: of a stock list, the best first; or verdicts on a file of pairs, an answer a line. */
export function substitute(line: CommandLine, note: (text: string) => void) {
  const { file } = line.options;
  if (file !== undefined) {
    const { name, content } = contentOf({ words: [file], options: {} }, 'substitute --file');
    return content
      .split('\n')
      .map((text, index) => ({ text, where: `${name}, line ${index + 1}` }))
      .filter(({ text }) => text.trim() !== '')
      .map(({ text, where }) => {
        const { failed, place, candidate } = parsed(text, where, caseSchema);
        return answered({ failed: factsFrom(failed), place: placeFrom(place), candidate: factsFrom(candidate) });
      });
  }
  const [path, stock, ...more] = line.words;
  if (path === undefined || stock === undefined || more.length > 0)
    throw new UnusableInput('substitute: a part and a stock list are expected, or --file with pairs.');
  const { name, content } = contentOf({ words: [path], options: {} }, 'substitute');
  const need = parsed(content, name, needSchema);
  const [failed, place] = [factsFrom(need.failed), placeFrom(need.place)];
  const list = contentOf({ words: [stock], options: {} }, 'substitute');
  const { read, refused } = allAtOnce(readStock(list.content, { bin: 'LIST', keepsCodes: true }));
  for (const { line: at, why } of refused) note(`${list.name}, line ${at}: ${why}`);
  const { ref } = need.failed;
  const traced =
    need.board === undefined || ref === undefined
      ? undefined
      : { board: boardFrom(JSON.stringify(need.board), `${name}, board`, note), ref };
  return {
    candidates: read
      .filter(({ entry }) => entry.kind === failed.kind && entry.pieces > 0)
      .map(({ line: at, entry }) => {
        const ratings = Object.fromEntries(
          Object.entries(entry.ratings).flatMap(([rating, one]) => (one ? [[rating, one.value]] : [])),
        );
        const candidate = factsOf({ ...entry, limits: '', ratings });
        return { lot: entry.code || `line ${at}`, ...answered({ failed, place, candidate }) };
      })
      .toSorted((a, b) => ORDER[a.verdict] - ORDER[b.verdict]),
    also: together({ kind: failed.kind, ...(place.duty ? { duty: place.duty } : {}) }, traced).flatMap(
      ({ refs, what }) => (refs.length > 0 ? refs : [what]),
    ),
    buy: toBuy(failed, place),
  };
}
