import { kindRule, type KindName } from '../../part';
import { decided, decodingsAs, kindFromMarking, type DecidedKind } from './kindOf';
import { type kindsOfReference } from '../references';
import type { ContextPart } from '../record';
import { type Question, type Sorted, markingAsTyped } from './said';
import { firstOf } from './valueCodes';

/** Words behind which a kind is that of something else. */
export const OF_OTHERS =
  /^(?:the|for|für|fuer|pour|vom|zum|across|near|next|under|beside|behind|of|by|above|below|over|from|to|than)$/i;

/** Letters that suggest one kind this clearly settle it when nothing else does. */
const BY_LETTER = 0.6;

export function decideKind({
  given,
  stated,
  known,
  number,
  sorted,
  ref,
  letters,
}: {
  given: KindName | undefined;
  stated: DecidedKind | undefined;
  known: ContextPart | undefined;
  number: string;
  sorted: Sorted;
  ref: string;
  letters: ReturnType<typeof kindsOfReference>;
}): DecidedKind | Question {
  const case_ = sorted.said.package;
  const read = (kind: KindName): DecidedKind => {
    const decoding = number === '' ? undefined : decodingsAs(number, kind, case_)[0];
    return decoding && decoding.confidence >= 0.3 ? decided(decoding) : { kind };
  };
  const kind = given ?? stated?.kind;
  // Four diodes that make a bridge are diodes.
  if (kind === 'bridge' && given === undefined && number !== '' && letters[0]?.[0] === 'diode') {
    const [single] = decodingsAs(number, 'diode', case_);
    if (single && single.confidence > (decodingsAs(number, 'bridge', case_)[0]?.confidence ?? 0))
      return decided(single);
  }
  if (kind)
    return { ...read(kind), kind, ...(stated?.kind === kind && stated.subtype ? { subtype: stated.subtype } : {}) };
  if (sorted.classes.length > 0 || sorted.poly) return { kind: 'capacitor' };
  if (known) return { ...read(known.kind), kind: known.kind };
  const [main] = letters;
  if (!main) return { problem: { kind: 'kind-unknown', ref } };
  if (number !== '') {
    const found = firstOf(variantsOf(number, sorted).map((text) => kindFromMarking(text, ref, case_)));
    if (found === 'tied' || (!found && main[1] < BY_LETTER))
      return {
        problem: {
          kind: 'unclear',
          word: number,
          question: `${ref}: what kind of part is it? “${number}” does not tell.`,
          maybe: letters
            .slice(0, 3)
            .map(([name]) => `${ref.toLowerCase()} ${kindRule(name).words[0] ?? name} ${number}`),
        },
        kept: { ...sorted.said, marking: markingAsTyped(number) },
      };
    if (found) return found;
  }
  if (main[1] >= BY_LETTER || letters.length === 1) return { kind: main[0] };
  return {
    problem: {
      kind: 'unclear',
      word: ref,
      question: `${ref}: what kind of part is it?`,
      maybe: letters.slice(0, 3).map(([name]) => `${ref.toLowerCase()} ${kindRule(name).words[0] ?? name}`),
    },
    kept: { ...sorted.said },
  };
}

/** A number and what may be it with less behind: `817 C 423`, `817C423`, `817 C`, `817C`, `817`. */
function variantsOf(number: string, { codes }: Sorted): string[] {
  const words = number.split(' ');
  const shorter = words
    .map((_, index) => words.slice(0, words.length - index))
    .flatMap((some) => [some.join(' '), some.join('')]);
  return [...new Set([...shorter, ...codes.map(({ text }) => text)])];
}
