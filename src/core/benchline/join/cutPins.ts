import type { BenchContext } from '../record';
import type { Token } from '../tokens';
import { LINKS } from './words';

const PIN = /[a-z]{1,4}\d{1,4}[a-z]?\.(?:[a-z0-9_]{1,8}|[+~−-])/iy;

const SIGN = /(?:<->|->|→|[-–—=~×,]|x(?=[a-z]{1,4}\d))/iy;

/** `U1-6 to R7-1`: a pin behind a dash, where two such stand with a word between them. */
function dashed(tokens: readonly Token[]): readonly Token[] {
  const isDashed = (token: Token) => /^[a-z]{1,4}\d{1,4}-\d{1,2}$/i.test(token.text);
  const isSentence =
    tokens.filter(isDashed).length > 1 &&
    tokens.some(({ text }) => Object.hasOwn(LINKS, text.toLowerCase()) && LINKS[text.toLowerCase()] !== undefined);
  return isSentence
    ? tokens.map((token) => (isDashed(token) ? { ...token, text: token.text.replace('-', '.') } : token))
    : tokens;
}

/** Cuts words that hold several pins and signs without blanks: `c5.+-j2.+`, `q1.s=q2.d`, `xbr1.-`. */
export function parted(typed: readonly Token[], { parts }: BenchContext): Token[] {
  const tokens = dashed(typed);
  const isKnown = (ref: string) => parts.some((part) => part.ref === ref.toUpperCase());
  return tokens.flatMap((token) => {
    if (!/\.[a-z0-9+~−-]/i.test(token.text) || FUSE_PRINT.test(token.text)) return [token];
    const pieces: Token[] = [];
    let at = 0;
    while (at < token.text.length) {
      SIGN.lastIndex = at;
      PIN.lastIndex = at;
      const pin = PIN.exec(token.text);
      // “xbr1.-” keeps BR1 apart, unless there is a part XBR1.
      const crossed = /^x([a-z]{1,3}\d+)\./i.exec(pin?.[0] ?? '');
      const found =
        pin && !(crossed && !isKnown(`x${crossed[1]}`) && isKnown(crossed[1] ?? '')) ? pin : SIGN.exec(token.text);
      if (!found) return [token];
      const start = token.start + at;
      pieces.push({ text: found[0], start, end: start + found[0].length, parted: false });
      at += found[0].length;
    }
    const last = pieces.pop();
    return last ? [...pieces, { ...last, parted: token.parted }] : [token];
  });
}

/** `F1.6A` is the print of a fuse. */
const FUSE_PRINT = /^[fmt]\d+[.,]\d+a[hl]?(?:\d+v)?$/i;

export const isPin = (text: string) =>
  !FUSE_PRINT.test(text) && /^[a-z]{1,4}\d{1,4}[a-z]?\.(?:[a-z0-9_]{1,8}|[+~−-])$/i.test(text);
