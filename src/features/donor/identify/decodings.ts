import type { Part } from '../../../core/donor';
import { decodeMarking, type Decoding } from '../../../core/marking';
import { recentOf } from '../../../core/recent';
import { senseCheck, type UnitStress } from '../../../core/sense';
import type { PartRecord } from '../../../db/repositories/parts';

/** A name for one reading of a marking, the same each time it is read. */
export function decodingId({ kind, rule, ratings, readAs = '' }: Decoding): string {
  return [kind, rule, ...Object.entries(ratings).flat(), readAs].join(' ');
}

/** Readings of markings that are remembered: those of a few boards, whose pages show them again and again. */
const decodings = recentOf<readonly Decoding[]>(1000);

/** The readings of a part's marking, best first, as the Identify station ranks them. */
export function decodingsOf(part: Pick<Part, 'kind' | 'package' | 'marking' | 'block'>): readonly Decoding[] {
  const { marking, kind } = part;
  if (!marking) return [];
  const of = { kind, package: part.package ?? undefined, place: part.block ?? undefined };
  return decodings(JSON.stringify([marking, of]), () => decodeMarking(marking, of));
}

/** Readings of a part's marking as another kind, when none of its own kind is likely. */
export function decodingsAsOtherKind(part: Pick<Part, 'kind' | 'package' | 'marking' | 'block'>): Decoding[] {
  if (!part.marking || (decodingsOf(part)[0]?.confidence ?? 0) > UNLIKELY) return [];
  return decodeMarking(part.marking, { package: part.package ?? undefined }).filter(
    ({ kind, confidence }) => kind !== part.kind && confidence > UNLIKELY,
  );
}

/** A best reading under this leaves the kind itself in doubt. */
const UNLIKELY = 0.3;

/** A best reading this sure, and this far ahead of the next, is taken without asking for each. */
const CLEAR = { confidence: 0.8, ahead: 3 };

/** The reading of a part's marking that is clear and fits where the part sits, if there is one. */
export function clearDecoding({ part, ratings }: PartRecord, unit: UnitStress): Decoding | undefined {
  if (Object.keys(ratings).length > 0 || part.typeId !== null) return undefined;
  const [best, next] = decodingsOf(part);
  if (!best || best.confidence < CLEAR.confidence) return undefined;
  if (next && next.confidence * CLEAR.ahead > best.confidence) return undefined;
  const { technology } = best.facts ?? {};
  const misfits = senseCheck({ ...part, kind: best.kind, ratings: best.ratings, technology }, unit);
  return misfits.length === 0 ? best : undefined;
}
