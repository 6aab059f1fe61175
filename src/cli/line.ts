import { readFileSync } from 'node:fs';
import { z } from 'zod';
import {
  benchProblemText,
  logged,
  understand,
  type BenchContext,
  type BenchRecord,
  type ContextPart,
  type Understanding,
} from '../core/benchline';
import { isKindName, RATINGS, type RatingName } from '../core/part';
import { UnusableInput, type CommandLine } from './arguments';

const linesFile = z.object({
  line: z.string('a text under “line” is expected'),
  context: z
    .array(
      z.object({
        ref: z.string(),
        kind: z.string(),
        subtype: z.string().optional(),
        package: z.string().optional(),
        marking: z.string().optional(),
        ratings: z.record(z.string(), z.number()).optional(),
        last: z.boolean().optional(),
      }),
    )
    .default([]),
});

/** What a bench line means, or what each line of a file does. */
export function line({ words, options }: CommandLine): unknown {
  if (options.file !== undefined) return linesOf(options.file, 'line').map(answerCase);
  const text = words.join(' ');
  if (text.trim() === '')
    throw new UnusableInput('line: the line is empty; a text such as “q1 nmos to-220” is expected.');
  return shownUnderstanding(understand(text, contextFrom(options.logged ?? '')));
}

/** Lines of a file that holds one JSON object each, with their numbers. */
export function linesOf(
  path: string,
  command: string,
): { readonly number: number; readonly value: unknown; readonly path: string }[] {
  let content: string;
  try {
    content = readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    throw new UnusableInput(`${command} --file: ${path} cannot be read (${(error as Error).message}).`);
  }
  return content.split('\n').flatMap((text, index) => {
    if (text.trim() === '') return [];
    try {
      return [{ number: index + 1, value: JSON.parse(text) as unknown, path }];
    } catch {
      throw new UnusableInput(`${path}, line ${index + 1}: a JSON object is expected.`);
    }
  });
}

function answerCase({ number, value, path }: ReturnType<typeof linesOf>[number]): unknown {
  const parsed = linesFile.safeParse(value);
  if (!parsed.success)
    throw new UnusableInput(
      `${path}, line ${number}: ${parsed.error.issues[0]?.message ?? 'a line with its context is expected'}.`,
    );
  const { line: text, context } = parsed.data;
  const sorted = [...context].sort((a, b) => Number(a.last ?? false) - Number(b.last ?? false));
  const parts = sorted.flatMap(({ ref, kind, subtype, package: case_, marking, ratings }): ContextPart[] => {
    if (!isKindName(kind)) return [];
    return [
      {
        ref: ref.toUpperCase(),
        kind,
        ...(subtype === undefined ? {} : { subtype }),
        ...(case_ === undefined ? {} : { package: case_ }),
        ...(marking === undefined ? {} : { marking }),
        ...(ratings === undefined ? {} : { ratings: ownRatings(ratings) }),
      },
    ];
  });
  return shownUnderstanding(understand(text, { parts, stores: [] }));
}

/** Ratings by names that are known; others are left aside. */
function ownRatings(ratings: Readonly<Record<string, number>>): NonNullable<ContextPart['ratings']> {
  return Object.fromEntries(Object.entries(ratings).filter(([name]) => Object.hasOwn(RATINGS, name)));
}

/** `q1 nmos; t1 transformer`: what is logged already, in the bench line's own words. */
function contextFrom(text: string): BenchContext {
  let context: BenchContext = { parts: [], stores: [] };
  for (const one of text.split(';').filter((piece) => piece.trim() !== '')) {
    const read = understand(one, context);
    if (!read.ok) throw new UnusableInput(`line --logged: “${one.trim()}”: ${benchProblemText(read.problem)}`);
    context = { ...context, parts: [...context.parts, ...logged(read.records, context)] };
  }
  return context;
}

/** An answer of the bench line as the command line prints it. */
export function shownUnderstanding(understood: Understanding): unknown {
  if (understood.ok) {
    const { records, message, corrected, unplaced } = understood;
    return {
      ok: true,
      records: records.flatMap(shownRecord),
      says: message,
      ...(corrected.length > 0 ? { corrected } : {}),
      ...(unplaced.length > 0 ? { unplaced } : {}),
    };
  }
  const { problem, at, maybe, kept } = understood;
  return {
    ok: false,
    problem: benchProblemText(problem),
    ...(at ? { at: [at.start, at.end] } : {}),
    maybe,
    records: kept.flatMap(shownRecord),
  };
}

/** Names that outsiders know ratings by. */
const PLAIN_NAMES: Partial<Record<RatingName, string>> = { r25: 'resistance' };

function plainRatings(
  ratings: readonly { readonly name: RatingName; readonly value: number }[],
): Record<string, number> {
  const shown: Record<string, number> = {};
  for (const { name, value } of ratings) {
    const { unit } = RATINGS[name];
    const plain =
      PLAIN_NAMES[name] ?? (unit === 'volt' ? 'voltage' : unit === 'ampere' && name !== 'leakage' ? 'current' : name);
    shown[plain] ??= value;
    if (plain !== name) shown[name] = value;
  }
  return shown;
}

const MEASURED_NAMES: Readonly<Record<string, string>> = { body: 'forward', zener: 'voltage', output: 'voltage' };

function shownRecord(record: BenchRecord): unknown[] {
  switch (record.kind) {
    case 'part': {
      const {
        ref,
        others = [],
        subtype,
        marking,
        package: case_,
        damage,
        fitments,
        ratings,
        block,
        duty,
        like,
      } = record;
      // Of a part that is both, the class across the barrier is the stricter one.
      const safety = /^(?:x[1-3])?(?:y[1-4])?$/.test(subtype ?? '') ? subtype?.slice(-2) : undefined;
      const isRole = record.partKind === 'connector' && subtype !== undefined;
      const condition = [...damage, ...fitments];
      return [ref, ...others].map((one) => ({
        record: 'part',
        ref: one,
        kind: record.partKind,
        ...(subtype === undefined || isRole ? {} : { subtype: safety ? safety[0] : subtype }),
        ...(isRole ? { role: subtype } : {}),
        ...(safety ? { class: safety.toUpperCase() } : {}),
        ...(ratings.length > 0 ? { ratings: plainRatings(ratings) } : {}),
        ...(case_ ? { package: case_ } : {}),
        ...(marking ? { marking } : {}),
        ...(condition.length > 0 ? { condition: condition.length === 1 ? condition[0] : condition } : {}),
        ...(block ? { block } : {}),
        ...(duty ? { duty } : {}),
        ...(like ? { sameAs: like } : {}),
        ...(record.windings ? { windings: record.windings } : {}),
        ...(record.isAssumed ? { assumed: true } : {}),
      }));
    }
    case 'value':
      return [{ record: 'part', ref: record.ref, ratings: plainRatings(record.ratings) }];
    case 'measurement':
      return [
        {
          record: 'measurement',
          ref: record.ref,
          values: Object.fromEntries(
            Object.entries(record.values).map(([name, { value }]) => [
              MEASURED_NAMES[name] ?? name,
              Number.isFinite(value) ? value : 'OL',
            ]),
          ),
          ...(record.inCircuit ? { inCircuit: true } : {}),
        },
      ];
    case 'reading':
      return [
        {
          record: 'reading',
          store: record.store,
          volts: record.voltage.value,
          ...(record.elapsed === undefined ? {} : { seconds: record.elapsed }),
        },
      ];
    case 'store':
      return [
        {
          record: 'store',
          ref: record.name,
          capacitance: record.capacitance,
          ...(record.ratedVoltage === undefined ? {} : { voltage: record.ratedVoltage }),
          ...(record.bleed === undefined ? {} : { bleed: record.bleed }),
          ...(record.role ? { role: record.role } : {}),
        },
      ];
    case 'note':
      return [
        {
          record: record.question ? 'question' : 'note',
          text: record.ref ? `${record.ref} ${record.text}` : record.text,
          ...(record.ref ? { ref: record.ref } : {}),
        },
      ];
    case 'join':
      return [
        {
          record: 'join',
          pins: record.pins,
          relation: record.relation,
          ...(record.ohms === undefined ? {} : { ohms: record.ohms }),
          ...(record.drop === undefined ? {} : { volts: record.drop }),
        },
      ];
    default: {
      const { kind, ...rest } = record;
      return [{ record: kind, ...rest }];
    }
  }
}
