/** Spreadsheets run cells that begin so as formulas. Source: OWASP, CSV injection, from memory. */
const FORMULA = /^[=+\-@\t\r]/;

/** A text that no spreadsheet takes for a formula; the mark is taken off again on reading. */
export function neutralised(text: string): string {
  return FORMULA.test(text) ? `'${text}` : text;
}

/** A cell without the mark that kept a spreadsheet from running it. */
export function plainCell(text: string): string {
  return /^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text;
}
