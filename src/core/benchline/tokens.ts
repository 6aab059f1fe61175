/** A word of a line with where it stands. */
export interface Token {
  readonly text: string;
  /** Counted in the line from 0; the end is behind the last character. */
  readonly start: number;
  readonly end: number;
  /** A comma, a colon or a bracket parts it from what follows. */
  readonly parted: boolean;
  /** It stood in brackets by itself, as a pin may: `T1 (6)`. */
  readonly bracketed?: true;
}

const OPENING = /^[([{"“„«'‘]+/;
const CLOSING = /[)\]}"”»’]+$/;

/** Cuts a line into words; brackets and quotation marks fall away, commas and colons are kept as partings. */
export function tokensOf(line: string, offset = 0): Token[] {
  const tokens: Token[] = [];
  for (const match of line.matchAll(/\S+/g)) {
    let text = match[0];
    let start = match.index + offset;
    if (/^[/|&]$/.test(text) || /^[([{)\]},]+$/.test(text)) {
      partLast(tokens);
      continue;
    }
    const opened = OPENING.exec(text)?.[0].length ?? 0;
    if (opened > 0) partLast(tokens);
    text = text.slice(opened);
    start += opened;
    let parted = false;
    for (;;) {
      const before = text;
      text = text.replace(/[,:;]+$/, '');
      if (text !== before) parted = true;
      const closed = text.replace(CLOSING, '');
      if (closed !== text && closed !== '') {
        parted = true;
        text = closed;
      }
      text = text.replace(/(?<=\p{L}{2})[.!?]+$/u, '').replace(/(?<=\d)\.$/, '');
      if (text === before) break;
    }
    if (text === '') {
      partLast(tokens);
      continue;
    }
    const bracketed = opened > 0 && parted && /^[([{]/.test(match[0]);
    tokens.push({ text, start, end: start + text.length, parted, ...(bracketed ? { bracketed: true as const } : {}) });
  }
  return tokens;
}

function partLast(tokens: Token[]): void {
  const last = tokens.at(-1);
  if (last) tokens[tokens.length - 1] = { ...last, parted: true };
}

/** Several tokens as one, with another text. */
export function merged(tokens: readonly Token[], text: string): Token {
  const [first] = tokens;
  const last = tokens.at(-1);
  return { text, start: first?.start ?? 0, end: last?.end ?? 0, parted: last?.parted ?? false };
}

/** One token cut in several, in their order; what is between them is left out. */
export function cut(token: Token, texts: readonly string[]): Token[] {
  let from = 0;
  return texts.map((text, index) => {
    const at = token.text.indexOf(text, from);
    from = at + text.length;
    const start = token.start + at;
    return { text, start, end: start + text.length, parted: index === texts.length - 1 && token.parted };
  });
}
