import type { KindName } from '../../part';
import { decodingsAs } from './kindOf';
import { kindsOfReference } from '../references';
import { merged, type Token } from '../tokens';
import { mended } from '../mend';
import { meaningsOf } from '../vocabulary';

/** Kinds whose values are read word by word, so that no number is made of several. */
const SPELLED_OUT: ReadonlySet<KindName> = new Set([
  'resistor',
  'capacitor',
  'inductor',
  'potentiometer',
  'common-mode-choke',
  'connector',
  'relay',
  'lamp',
  'switch',
  'transformer',
]);

/** A number in parts is taken as one when it reads at least this well. */
const READS_AS_ONE = 0.3;

/** Volts, or amperes of up to three digits: what a part is rated for, and no beginning of its number. */
const RATED = /^(?:\d+(?:[.,]\d+)?k?V|\d{1,3}(?:[.,]\d+)?A)$/iu;

/** A number that was typed in parts: `MBR 20100 CT`, `P6KE 200A`, `BZX 55 C 12`, `LM2596S -5.0 P+`. */
export function codeRun(
  all: readonly Token[],
  index: number,
  ref: string,
  kind: KindName | undefined,
): { token: Token; length: number } | undefined {
  const letters = kindsOfReference(ref);
  const kinds = kind ? [kind] : letters.map(([name]) => name);
  if (kinds.length === 0 || SPELLED_OUT.has(kinds[0] ?? 'wire')) return undefined;
  const [first] = all.slice(index);
  if (
    !first ||
    RATED.test(first.text) ||
    /^(?:like|as|same|an?)$/i.test(first.text) ||
    meaningsOf(first.text).some(({ as }) => as === 'package') ||
    !/^[a-z0-9?]{1,12}$/i.test(first.text) ||
    (!/\d/.test(first.text) &&
      (meaningsOf(first.text).length > 0 || first.text.length > 5 || mended(first.text) !== undefined))
  )
    return undefined;
  let length = 1;
  while (length < MOST_PIECES && !all[index + length - 1]?.parted) {
    const piece = all[index + length]?.text ?? '';
    const isPiece =
      /^[-+]?[a-z0-9.+?]{1,8}$/i.test(piece) &&
      (/\d/.test(piece) || /^[A-Z]{1,2}\+?$/i.test(piece)) &&
      !meaningsOf(piece).some(
        ({ as }) => as === 'package' || as === 'damage' || as === 'kind' || (as === 'filler' && piece.length > 1),
      );
    if (!isPiece) break;
    length += 1;
  }
  for (; length > 1; length -= 1) {
    const pieces = all.slice(index, index + length);
    const text = pieces.map((piece) => piece.text).join(' ');
    if (!/\d/.test(text)) continue;
    const reads = Math.max(0, ...kinds.map((name) => decodingsAs(text, name)[0]?.confidence ?? 0));
    if (reads >= READS_AS_ONE) return { token: merged(pieces, text), length };
  }
  return undefined;
}

const MOST_PIECES = 4;
