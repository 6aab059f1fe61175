import {
  benchProblemText,
  joinedPairs,
  logged,
  windingPairs,
  understand,
  type BenchContext,
  type BenchRecord,
} from '../core/benchline';
import { boardOf, type LoggedPart, type ProbedFact } from '../core/donor';
import { parseNameplate } from '../core/nameplate';
import { analyse } from '../core/topology';
import { boardAs } from '../formats/anyBoard';
import { UnusableInput, type CommandLine } from './arguments';
import { contentOf } from './board';

const EVERY = 10;

/** A unit while its lines come in. */
interface Told {
  readonly context: BenchContext;
  readonly parts: readonly LoggedPart[];
  readonly facts: readonly ProbedFact[];
  readonly label: string;
}

/** Reads a file of bench lines as they were typed on one unit, and tells what the engine makes of the board meanwhile. */
export function session(command: CommandLine): unknown {
  const every = Number(command.options.every ?? EVERY);
  if (!Number.isInteger(every) || every < 1)
    throw new UnusableInput(`session --every: “${command.options.every}” is no whole number above 0.`);
  const { content } = contentOf(command, 'session');
  const lines = content
    .split('\n')
    .flatMap((text, index) => (text.trim() === '' ? [] : [{ text: text.trim(), line: index + 1 }]));
  let told: Told = { context: { parts: [], stores: [] }, parts: [], facts: [], label: '' };
  let taken = 0;
  const refused: { line: number; text: string; problem: string }[] = [];
  const after: { line: number; hypotheses: unknown; likeliest: unknown }[] = [];
  for (const [index, { text, line }] of lines.entries()) {
    const next = hear(told, text);
    if (typeof next === 'string') refused.push({ line, text, problem: next });
    else {
      told = next;
      taken += 1;
    }
    if ((index + 1) % every === 0 || index === lines.length - 1) {
      const { hypotheses, likeliest } = analyse(boardFrom(told));
      after.push({ line: index + 1, hypotheses, likeliest });
    }
  }
  return { lines: lines.length, taken, refused, after, board: JSON.parse(boardAs('board', boardFrom(told)).result) };
}

const boardFrom = ({ label, parts, facts }: Told) => boardOf({ plate: parseNameplate(label), parts, facts });

function hear(told: Told, text: string): Told | string {
  if (text.startsWith('@')) {
    const label = /^@label\s+(.*)$/i.exec(text)?.[1];
    return label === undefined ? `“${text}”: @label and the text of the nameplate is expected.` : { ...told, label };
  }
  const read = understand(text, told.context);
  if (!read.ok) return benchProblemText(read.problem);
  return read.records.reduce(withRecord, told);
}

function withRecord(told: Told, record: BenchRecord): Told {
  switch (record.kind) {
    case 'part': {
      const fresh = logged([record], told.context);
      const parts = [record.ref, ...(record.others ?? [])].map((ref): LoggedPart => {
        const model = told.parts.find(({ part }) => part.ref === (record.like ?? ref));
        return {
          part: {
            ref,
            kind: record.partKind,
            subtype: record.subtype ?? model?.part.subtype ?? null,
            package: record.package ?? model?.part.package ?? null,
            marking: record.marking ?? model?.part.marking ?? null,
            fitments: [...record.fitments],
          },
          ratings: {
            ...model?.ratings,
            ...Object.fromEntries(record.ratings.map(({ name, value }) => [name, { value }])),
          },
        };
      });
      const refs = parts.map(({ part }) => part.ref);
      const changed = told.context.parts.map((part) =>
        refs.includes(part.ref) ? { ...part, kind: record.partKind } : part,
      );
      return {
        ...told,
        context: { ...told.context, parts: [...changed, ...fresh] },
        parts: [...told.parts.filter(({ part }) => !refs.includes(part.ref)), ...parts],
        facts: [
          ...told.facts,
          ...windingPairs(record).map(([a, b]) => ({ relation: 'through' as const, a, b, ohms: null, dropV: null })),
        ],
      };
    }
    case 'value':
      return {
        ...told,
        parts: told.parts.map((entry) =>
          entry.part.ref === record.ref
            ? {
                ...entry,
                ratings: {
                  ...entry.ratings,
                  ...Object.fromEntries(record.ratings.map(({ name, value }) => [name, { value }])),
                },
              }
            : entry,
        ),
      };
    case 'store':
      return { ...told, context: { ...told.context, stores: [...told.context.stores, record.name] } };
    case 'join':
      return {
        ...told,
        facts: [
          ...told.facts,
          ...joinedPairs(record).map(([a, b]) => ({
            relation: record.relation,
            a,
            b,
            ohms: record.ohms ?? null,
            dropV: record.drop ?? null,
          })),
        ],
      };
    case 'sweep':
      return { ...told, facts: [...told.facts, { relation: 'swept', a: record.pin, b: '', ohms: null, dropV: null }] };
    default:
      return told;
  }
}
