import { isPrefix, isReference } from '../references';
import type { Token } from '../tokens';
import { meaningsOf } from '../vocabulary';

/** `r1 1k2 r2 4k7`: references of one kind with one word or two behind each are statements of their own. */
export function partByPart(tokens: readonly Token[]): (readonly Token[])[] {
  const letters = (token: Token | undefined) =>
    isReference(token?.text ?? '') ? /^[a-z]+/i.exec(token?.text ?? '')?.[0].toUpperCase() : undefined;
  const own = letters(tokens[0]);
  if (own === undefined || !isPrefix(own)) return [tokens];
  const starts = tokens.flatMap((token, index) => (letters(token) === own ? [index] : []));
  const groups = starts.map((start, index) => tokens.slice(start, starts[index + 1] ?? tokens.length));
  const isList =
    starts.length > 1 &&
    groups.every((group) => group.length > 1 && group.length <= MOST_OF_EACH) &&
    groups.every((group) => group.slice(1).every(({ text }) => /\d/.test(text)));
  return isList ? groups : [tokens];
}

const MOST_OF_EACH = 4;

/** References and their pins, and what joins them, and nothing else. */
const isOnlyNames = (text: string) =>
  text
    .split(/[\s,&]+/)
    .filter((word) => word !== '')
    .every(
      (word) =>
        /^(?:and|und|et|to|\.\.+|[-–+])$/i.test(word) ||
        isPrefix(/^([a-z]{1,4})\d{1,4}[a-z]?(?:\.[a-z0-9]+|\.?[+-]|(?:\.\.|-).+)?$/i.exec(word)?.[1] ?? ''),
    );

/** `T3.15A` is the print of a fuse, not a pin of T3. */
const FUSE_PRINT = /^\s*[ftm]\d+[.,]\d+a/i;

const beginsWithName = (text: string) =>
  !FUSE_PRINT.test(text) && isPrefix(/^\s*([a-z]{1,4})\d{1,4}[a-z]?(?:[.\s,+-]|$)/i.exec(text)?.[1] ?? '');

/** “minus to t1 pin 4” behind a comma: another pin of the part that was spoken of. */
const CONTINUES_WITH_PIN =
  /^\s*(?:plus|minus|anode|cathode|drain|gate|source|base|collector|emitter|(?:pin|leg)\s+\d{1,2})\s+(?:to|goes|beeps|is|on|with|[-–=])/i;

/** Gives a statement that begins with a pin the part that the one before it speaks of. */
export function withTheirParts(statements: readonly (readonly Token[])[]): (readonly Token[])[] {
  let part: Token | undefined;
  return statements.map((tokens) => {
    const [first] = tokens;
    if (!first) return tokens;
    if (isReference(first.text)) {
      part = first;
      return tokens;
    }
    const line = tokens.map(({ text }) => text).join(' ');
    return part && CONTINUES_WITH_PIN.test(line)
      ? [{ ...part, start: first.start, end: first.start, parted: false }, ...tokens]
      : tokens;
  });
}

/** Semicolons part statements; so do commas, and “and”, before a reference when something was said before them. */
export function statementsOf(line: string): { text: string; offset: number }[] {
  const found: { text: string; offset: number }[] = [];
  let from = 0;
  for (const match of line.matchAll(/;|,(?=\s|[a-z])|\s(?:and|und|et)\s|$/gi)) {
    const at = match.index;
    const before = line.slice(from, at);
    const after = line.slice(at + match[0].length);
    const isEnd = at === line.length;
    const isWord = /\w/.test(match[0]);
    const parts =
      isEnd ||
      match[0] === ';' ||
      (!isOnlyNames(before) &&
        (beginsWithName(after) || (beginsWithName(before) && CONTINUES_WITH_PIN.test(after))) &&
        (!isWord || (/\s[.\d]/.test(before) && !SPEAKS_OF_PINS.test(before))) &&
        !isSentenceOfPins(before));
    if (!parts) continue;
    if (before.trim() !== '') found.push({ text: before, offset: from });
    from = at + match[0].length;
  }
  return found.length === 0 ? [{ text: line, offset: 0 }] : found;
}

/** Words by which a statement is about pins: then “and” goes on with it. */
const SPEAKS_OF_PINS =
  /\b(?:pins?|legs?|plus|minus|drain|gate|source|anode|cathode|base|collector|emitter|beeps?|joined|connected)\b|[a-z]\d+(?:\.\w|[+-](?:\s|$))/i;

/** “J2 minus, BR1 minus …”: a pin in words before a comma does not end what is said. */
const isSentenceOfPins = (text: string) =>
  /^\s*[a-z]{1,4}\d{1,4}\s+[a-z+-]+\s*$/i.test(text) &&
  !/\d\s*$/.test(text) &&
  !meaningsOf(text.trim().split(/\s+/).slice(1).join(' ')).some(({ as }) => as !== 'filler');
