import type { KindName } from '../../part';
import { isPinWord, kindWithPins } from './pins';
import { isReference, leadingReferences } from '../references';
import type { Token } from '../tokens';
import { LINKS, PATHS } from './words';

export const REF_WITH_SIGN = /^([a-z]{1,4}\d{1,4})([+-])$/i;

export interface NamedPin {
  readonly ref: string;
  readonly word: string;
  readonly token: Token;
}

/** `c10..c12 all + to l2.2`: one pin of each of several parts. */
export function spreadPins(tokens: readonly Token[], index: number): { pins: NamedPin[]; used: number } | undefined {
  if (index !== 0) return undefined;
  const leading = leadingReferences(tokens);
  if (!leading || 'problem' in leading || leading.refs.length < 2) return undefined;
  const used = tokens.length - leading.rest.length;
  let at = used;
  while (/^(?:all|both|each|every|alle|tous)$/i.test(tokens[at]?.text ?? '')) at += 1;
  const word = tokens[at];
  if (!word || !isPinWord(word.text) || (at === used && /^\d+$/.test(word.text))) return undefined;
  if (at === used && /^[-–~]$/.test(word.text)) return undefined;
  return { pins: leading.refs.map((ref) => ({ ref, word: word.text, token: word })), used: at + 1 };
}

/** `Q1 drain`, `Q1 pin 1`, `T1 (6)`, `d5 middle leg`, `TR1 MT2`. */
export function pinBehind(
  tokens: readonly Token[],
  index: number,
  kindAt: (ref: string) => KindName | undefined,
  isJoin: boolean,
): { pin: NamedPin; used: number } | undefined {
  const token = tokens[index];
  if (!token || !isReference(token.text)) return undefined;
  const ref = token.text.toUpperCase();
  let used = 1;
  let next = tokens[index + used];
  const isPinSaid = /^(?:pin|leg|no|number|terminal|broche|anschluss)$/i.test(next?.text ?? '');
  const glued = /^pin(\d{1,2})$/i.exec(next?.text ?? '');
  if (glued?.[1]) return { pin: { ref, word: glued[1], token }, used: 2 };
  if (isPinSaid) {
    used += 1;
    next = tokens[index + used];
  }
  if (!next || /\s/.test(next.text)) return undefined;
  const kind = kindAt(ref);
  const isSign = /^[-–~+]$/.test(next.text);
  // A sign behind a reference is a pin in brackets, or where another link or the end follows it.
  const after = tokens[index + used + 1]?.text.toLowerCase();
  const isNamed =
    next.bracketed === true ||
    isPinSaid ||
    (isSign ? after === undefined || Object.hasOwn(LINKS, after) : isPinWord(next.text) && !/^\d+$/.test(next.text)) ||
    (isJoin &&
      /^\d{1,2}$/.test(next.text) &&
      (after === undefined || Object.hasOwn(LINKS, after) || PATHS.test(after)) &&
      (kind ?? kindWithPins(ref, [next.text])) !== undefined);
  if (!isNamed) return undefined;
  used += 1;
  if (/^(?:leg|pin|legs)$/i.test(tokens[index + used]?.text ?? '') && !isPinSaid) used += 1;
  return { pin: { ref, word: next.text, token }, used };
}

/** `gnd of u1`, `pin 4 of u2`, `drain of q1`. */
export function pinBefore(tokens: readonly Token[], index: number): { pin: NamedPin; used: number } | undefined {
  let at = index;
  if (/^(?:pin|leg)$/i.test(tokens[at]?.text ?? '')) at += 1;
  const word = tokens[at];
  if (!word || !isPinWord(word.text)) return undefined;
  if (/^(?:pin|leg)$/i.test(tokens[at + 1]?.text ?? '')) at += 1;
  if (!/^(?:of|from|on|von|de)$/i.test(tokens[at + 1]?.text ?? '')) return undefined;
  const ref = tokens[at + 2];
  if (!ref || !isReference(ref.text)) return undefined;
  return { pin: { ref: ref.text.toUpperCase(), word: word.text, token: word }, used: at + 3 - index };
}

/** `T1 pin 1 to pin 3`: the second is of the same part. */
export function pinAgain(
  tokens: readonly Token[],
  index: number,
  last: NamedPin | undefined,
): { pin: NamedPin; used: number } | undefined {
  const [pin, word] = [tokens[index], tokens[index + 1]];
  if (!last || !pin || !word || !/^(?:pin|leg)$/i.test(pin.text) || !isPinWord(word.text) || isPinWord(pin.text))
    return undefined;
  return { pin: { ref: last.ref, word: word.text, token: word }, used: 2 };
}
