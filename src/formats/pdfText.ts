/** What the fonts that every PDF reader has cannot show, in letters they have. */
const LETTERS: Readonly<Record<string, string>> = {
  Ω: 'ohm',
  '−': '-',
  '–': '-',
  '’': "'",
  '“': '"',
  '”': '"',
  '…': '...',
  '\u00a0': ' ',
  '×': 'x',
  '≥': '>=',
  '∥': '||',
  Ć: 'C',
};

/** A text in the letters of Windows-1252, which the standard fonts of a PDF have. */
export function printable(text: string): string {
  return [...text]
    .map((letter) => LETTERS[letter] ?? (/[\x20-\x7e\u00a1-\u00ff]/.test(letter) ? letter : '?'))
    .join('');
}
