/** Phrases that were written in a row with semicolons between them. */
export const phrasesOf = (row: string): readonly string[] =>
  row
    .split(';')
    .map((phrase) => phrase.trim().replaceAll(/\s+/gu, ' '))
    .filter((phrase) => phrase !== '');
