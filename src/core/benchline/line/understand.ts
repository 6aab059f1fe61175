import { changesOf } from '../changes';
import { describeRecord } from '../describeRecord';
import { decodingsAs } from '../part/kindOf';
import type { BenchContext, BenchRecord, ContextPart, Understanding } from '../record';
import { inTheirWords } from '../ownWords';
import { written } from '../spoken';
import { tokensOf } from '../tokens';
import { type Outcome, CLEARLY } from './outcome';
import { partByPart, statementsOf, withTheirParts } from './statements';
import { readWhole } from './wholeLine';
import { placeOf, maybeMeant } from './maybeMeant';
import { readMounting } from './readMounting';
import { readStatement } from './readStatement';

/**
 * Reads one bench line as a person types it: parts, ranges and copies, values, measurements, readings of stores, stores,
 * what the meter says between pins, notes, questions and claims; several with commas or semicolons. It records nothing;
 * it says what it understood, what it corrected and could not place, or what must be asked. What may mean two things is
 * asked, never guessed.
 */
export function understand(line: string, context: BenchContext): Understanding {
  const trimmed = line.trim();
  const whole = readWhole(trimmed, context);
  const outcomes = whole ? [whole] : readStatements(line, context);
  const failed = outcomes.find((outcome) => 'problem' in outcome);
  if (failed && 'problem' in failed) {
    const at = placeOf(line, failed.problem);
    return {
      ok: false,
      problem: failed.problem,
      ...(at ? { at } : {}),
      maybe: maybeMeant(trimmed, failed.problem),
      kept: outcomes.flatMap((outcome) => ('problem' in outcome ? (outcome.kept ?? []) : outcome.records)),
    };
  }
  const read = outcomes.flatMap((outcome) => ('problem' in outcome ? [] : [outcome]));
  const records = read.flatMap((outcome) => [...outcome.records, ...remarkOf(line, outcome)]);
  return {
    ok: true,
    records,
    message: records.map(describeRecord).join('; '),
    corrected: read.flatMap(({ corrected = [] }) => corrected),
    unplaced: read.flatMap(({ unplaced = [] }) => unplaced.map(({ text }) => text)),
    decodes: records.flatMap(decodesTo),
    changes: changesOf(records, context),
  };
}

function decodesTo(record: BenchRecord): string[] {
  if (record.kind !== 'part' || !record.marking) return [];
  const [best] = decodingsAs(record.marking, record.partKind, record.package);
  return best && best.confidence >= CLEARLY ? [best.why] : [];
}

/** What could not be placed is kept as a note on the part, as it was typed. */
function remarkOf(
  line: string,
  { unplaced = [], about }: Extract<Outcome, { records: readonly BenchRecord[] }>,
): BenchRecord[] {
  const [first] = unplaced;
  const last = unplaced.at(-1);
  if (!first || !last || about === undefined) return [];
  const text = line.slice(first.start, last.end).replace(/[,;]\s*$/, '');
  return text === '' ? [] : [{ kind: 'note', text, question: false, ref: about }];
}

/** The statements of a line in their order; one may speak of parts that an earlier one logs. */
function readStatements(line: string, context: BenchContext): Outcome[] {
  const outcomes: Outcome[] = [];
  let known = context;
  // What a heat sink carries is one list, whatever parts its references.
  const carried = readMounting(tokensOf(line, 0), context);
  if (carried?.rest.length === 0 && carried.records.every((record) => areLogged(record, context)))
    return [{ records: carried.records }];
  const statements = statementsOf(line).flatMap(({ text, offset }) =>
    partByPart(written(inTheirWords(tokensOf(text, offset), context.ownWords))),
  );
  for (const tokens of withTheirParts(statements)) {
    const outcome = readStatement(tokens, known);
    outcomes.push(outcome);
    if ('records' in outcome) known = { ...known, parts: [...known.parts, ...logged(outcome.records, known)] };
  }
  return outcomes;
}

const areLogged = (record: BenchRecord, { parts }: BenchContext): boolean =>
  record.kind !== 'mount' || record.refs.every((ref) => parts.some((part) => part.ref === ref));

/** Parts that records log, as later statements may speak of them. */
export function logged(records: readonly BenchRecord[], { parts }: BenchContext): ContextPart[] {
  return records.flatMap((record) =>
    record.kind !== 'part'
      ? []
      : [record.ref, ...(record.others ?? [])]
          .filter((ref) => !parts.some((part) => part.ref === ref))
          .map((ref) => ({
            ref,
            kind: record.partKind,
            ...(record.subtype ? { subtype: record.subtype } : {}),
            ...(record.package ? { package: record.package } : {}),
            ...(record.marking ? { marking: record.marking } : {}),
            ratings: Object.fromEntries(record.ratings.map(({ name, value }) => [name, value])),
          })),
  );
}
