/** What a code on a label may stand for. */
export type CodeOwner = 'donor' | 'lot' | 'build';

/** Letters and digits that are not mistaken for each other on a worn label or when said aloud. */
export const CODE_ALPHABET = 'CDFGHJKMNPQRTVWXYZ23456789';
const LETTERS = 18;
const WEIGHTS = [1, 3, 5, 7, 9] as const;
const OWNER_OFFSET: Readonly<Record<CodeOwner, number>> = { donor: 0, lot: 9, build: 17 };

/**
 * A six-character code such as `K7F-2QM`: five random characters and one check character that also
 * tells a donor from a lot from a build. One wrong character is always noticed, since every weight
 * is coprime with the alphabet's 26; most swaps of neighbours are.
 * @param random one number in [0, 1) for each of the five characters
 */
export function makeCode(owner: CodeOwner, random: readonly number[]): string {
  const indices = WEIGHTS.map((_, place) => {
    const choices = place === 0 ? LETTERS : CODE_ALPHABET.length;
    return Math.min(choices - 1, Math.floor((random[place] ?? 0) * choices));
  });
  const body = [...indices, checkIndex(owner, indices)].map((index) => CODE_ALPHABET[index]).join('');
  return `${body.slice(0, 3)}-${body.slice(3)}`;
}

/**
 * Reads a code as typed: any case, with or without the dash.
 * @returns whose code it is, or undefined when a character is wrong or missing
 * @example readCode('k7f2qm') // { owner: 'donor', code: 'K7F-2QM' } when the check character fits
 */
export function readCode(text: string): { owner: CodeOwner; code: string } | undefined {
  const body = text.toUpperCase().replace(/[\s-]/g, '');
  const indices = [...body].map((character) => CODE_ALPHABET.indexOf(character));
  if (indices.length !== 6 || indices.includes(-1) || (indices[0] ?? LETTERS) >= LETTERS) return undefined;
  const check = indices[5];
  const owner = (Object.keys(OWNER_OFFSET) as CodeOwner[]).find(
    (candidate) => checkIndex(candidate, indices.slice(0, 5)) === check,
  );
  return owner && { owner, code: `${body.slice(0, 3)}-${body.slice(3)}` };
}

function checkIndex(owner: CodeOwner, indices: readonly number[]): number {
  const sum = indices.reduce((total, index, place) => total + index * (WEIGHTS[place] ?? 1), 0);
  return (sum + OWNER_OFFSET[owner]) % CODE_ALPHABET.length;
}
