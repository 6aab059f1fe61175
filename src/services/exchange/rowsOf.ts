import Papa from 'papaparse';

/** A list as rows of cells: CSV by whatever parts its cells, or what a spreadsheet puts on the clipboard. */
export function rowsOf(text: string): readonly (readonly string[])[] {
  const bare = text.replace(/^\uFEFF/, '').trim();
  return bare === '' ? [] : Papa.parse<string[]>(bare, { skipEmptyLines: false }).data;
}

/** Whether a list is JSON, which says by itself what is what. */
export const isJson = (text: string): boolean => /^[\uFEFF\s]*[{[]/.test(text);

/** The headings of a list: its first row of more than one cell. */
export function headingsOf(text: string): readonly string[] {
  if (isJson(text)) return [];
  const start = text.slice(0, 20_000);
  return rowsOf(start).find((cells) => cells.filter((cell) => cell.trim() !== '').length > 1) ?? [];
}
