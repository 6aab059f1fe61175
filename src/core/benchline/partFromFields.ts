import {
  damageFromWord,
  fitmentFromWord,
  kindFromReference,
  packageFromWord,
  type BlockName,
  type KindName,
} from '../part';
import { isJudged, readPart } from './part/readPart';
import { markingAsTyped } from './part/said';
import { written } from './spoken';
import { tokensOf } from './tokens';
import type { BenchContext, BenchProblem, BenchRecord } from './record';

/** A part as a form describes it: each field has its own meaning, only the values are words. Blank fields say nothing. */
export interface PartFields {
  /** Upper case; empty for a part that stands on no board. */
  readonly ref: string;
  /** How many alike, with references that follow one another. */
  readonly count: number;
  /** Like the part above it. */
  readonly same: boolean;
  readonly kind: KindName | '';
  readonly package: string;
  /** Ratings, subtype and the like, in the words of the bench line: `82u 400V 105C`. */
  readonly values: string;
  readonly block: BlockName | '';
  /** A word for damage, or for how it is fitted. */
  readonly condition: string;
  readonly marking: string;
}

type PartRecord = Extract<BenchRecord, { kind: 'part' }>;

/** What the fields of a form say of a part, or which of them cannot be used. */
export function partFromFields(
  fields: PartFields,
  context: BenchContext,
):
  | { readonly ok: true; readonly record: PartRecord }
  | { readonly ok: false; readonly problem: BenchProblem; readonly field: 'kind' | 'package' | 'values' } {
  const { ref, same, block, condition, marking } = fields;
  const fail = (field: 'kind' | 'package' | 'values', problem: BenchProblem) => ({
    ok: false as const,
    problem,
    field,
  });
  const above = same ? context.parts.filter((part) => part.ref !== ref).at(-1) : undefined;
  if (same && !above) return fail('kind', { kind: 'nothing-to-copy', word: 'same' });
  const known = context.parts.find((part) => part.ref === ref)?.kind;
  const partKind = fields.kind || known || above?.kind || kindFromReference(ref);
  if (!partKind) return fail('kind', { kind: 'kind-unknown', ref });
  const case_ = fields.package === '' ? undefined : packageFromWord(fields.package);
  if (fields.package !== '' && !case_)
    return fail('package', { kind: 'value-unreadable', word: fields.package, expected: 'a case such as TO-220' });
  const words = written(tokensOf(fields.values));
  const isMeasured = words.some(({ text }) => text.toLowerCase() === 'measured');
  const read = readPart(words, { ref, kind: partKind, context });
  if ('problem' in read) return fail('values', read.problem);
  const [stray] = read.unplaced;
  if (stray) return fail('values', { kind: 'word-unknown', word: stray.text, ref });
  const { said } = read;
  const ratings = isMeasured
    ? said.ratings.map((rating) => ({ ...rating, source: 'measured' as const }))
    : said.ratings;
  const judged = isMeasured ? ratings.find((rating) => isJudged(partKind, rating)) : undefined;
  if (judged) return fail('values', { kind: 'measure-instead', ref, rating: judged.name });
  const damage = condition === '' ? undefined : damageFromWord(condition);
  const fitment = condition === '' ? undefined : fitmentFromWord(condition);
  const facts = { ...said, ratings };
  const others = followers(ref, fields.count);
  return {
    ok: true,
    record: {
      kind: 'part',
      ref,
      partKind,
      ...facts,
      damage: [...facts.damage, ...(damage ? [damage] : [])],
      fitments: [...facts.fitments, ...(fitment ? [fitment] : [])],
      ...(case_ ? { package: case_ } : {}),
      ...(block === '' ? {} : { block }),
      ...(marking === '' ? {} : { marking: markingAsTyped(marking) }),
      ...(others.length > 0 ? { others } : {}),
      ...(above ? { like: above.ref } : {}),
    },
  };
}

/** The references behind one: `C12` and `C13` behind `C11` for three alike. */
function followers(ref: string, count: number): string[] {
  const [, letters = '', number = ''] = /^([A-Z]+)(\d+)$/.exec(ref) ?? [];
  return number === ''
    ? []
    : Array.from({ length: count - 1 }, (_, index) => `${letters}${Number(number) + index + 1}`);
}
