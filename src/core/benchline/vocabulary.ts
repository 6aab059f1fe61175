import {
  BLOCK_NAMES,
  BLOCKS,
  damageFromWord,
  DAMAGE_WORDS,
  DUTY_NAMES,
  FITMENT_NAMES,
  KIND_NAMES,
  kindRule,
  PACKAGES,
  SUBTYPES,
  type BlockName,
  type DamageWord,
  type DutyName,
  type FitmentName,
  type KindName,
} from '../part';

import {
  DAMAGE_SLANG,
  DUTY_SLANG,
  FILLER,
  FITMENT_SLANG,
  KIND_WORDS,
  MARKED,
  MEASURES,
  PACKAGE_SLANG,
  SPEEDS,
} from './tradeWords';

/** What a word, or a few words that belong together, may mean on the bench line. */
export type Meaning =
  | { readonly as: 'kind'; readonly kind: KindName; readonly subtype?: string }
  | { readonly as: 'poly' }
  | { readonly as: 'package'; readonly name: string }
  | { readonly as: 'damage'; readonly damage: DamageWord }
  | { readonly as: 'block'; readonly block: BlockName }
  | { readonly as: 'duty'; readonly duty: DutyName }
  | { readonly as: 'fitment'; readonly fitment: FitmentName }
  | { readonly as: 'speed'; readonly speed: 'slow' | 'fast' }
  /** Belongs to the sentence and says nothing of the part. */
  | { readonly as: 'filler' }
  /** The marking follows. */
  | { readonly as: 'marked' }
  /** A reading of a meter follows. */
  | { readonly as: 'measures' };

/** A phrase as it is looked up: small letters without blanks, hyphens, points and apostrophes. */
export function keyOf(phrase: string): string {
  return phrase.toLowerCase().replace(/[\s\-–_.'’]/g, '');
}

/** Most words of a phrase. */
export const LONGEST_PHRASE = 4;

const VOCABULARY = new Map<string, Meaning[]>();
const SPELLED = new Map<string, string>();
/** Phrases of the tables by their keys, and as they are spelled. */
export const MEANINGS: ReadonlyMap<string, readonly Meaning[]> = VOCABULARY;
export const SPELLINGS: ReadonlyMap<string, string> = SPELLED;
/** Phrases that may be typed in several words; `a UF` is not the word “auf”. */
const PHRASES = new Set<string>();

function learn(words: string | readonly string[], meaning: Meaning): void {
  for (const word of typeof words === 'string' ? words.split(',') : words) {
    const key = keyOf(word);
    if (key === '') continue;
    if (/[\s-]/.test(word.trim())) PHRASES.add(key);
    if (!SPELLED.has(key)) SPELLED.set(key, word.trim());
    const known = VOCABULARY.get(key) ?? [];
    VOCABULARY.set(key, known);
    if (!known.some((one) => JSON.stringify(one) === JSON.stringify(meaning))) known.push(meaning);
  }
}

for (const [kind, words, subtype] of KIND_WORDS) learn(words, { as: 'kind', kind, ...(subtype ? { subtype } : {}) });
for (const [word, kind] of Object.entries(SUBTYPES)) learn([word], { as: 'kind', kind, subtype: word });
for (const kind of KIND_NAMES) {
  learn([kind], { as: 'kind', kind });
  for (const word of kindRule(kind).words)
    learn([word], SUBTYPES[word] === kind ? { as: 'kind', kind, subtype: word } : { as: 'kind', kind });
}
learn('poly', { as: 'poly' });
for (const { name, spellings } of PACKAGES) learn([name, ...spellings], { as: 'package', name });
for (const [name, words] of PACKAGE_SLANG) learn(words, { as: 'package', name });
for (const word of DAMAGE_WORDS) learn([word], { as: 'damage', damage: word });
for (const [damage, words] of DAMAGE_SLANG) learn(words, { as: 'damage', damage: damageFromWord(damage) ?? damage });
for (const block of BLOCK_NAMES) learn(BLOCKS[block].words, { as: 'block', block });
for (const duty of DUTY_NAMES) learn([duty], { as: 'duty', duty });
for (const [duty, words] of DUTY_SLANG) learn(words, { as: 'duty', duty });
for (const fitment of FITMENT_NAMES) learn([fitment], { as: 'fitment', fitment });
for (const [fitment, words] of FITMENT_SLANG) learn(words, { as: 'fitment', fitment });
for (const [speed, words] of SPEEDS) learn(words, { as: 'speed', speed });
learn(MARKED, { as: 'marked' });
learn(MEASURES, { as: 'measures' });
learn(FILLER, { as: 'filler' });

/** What a phrase may mean, the likelier first; nothing when no table has it. */
export function meaningsOf(phrase: string): readonly Meaning[] {
  const key = keyOf(phrase);
  return phrase.includes(' ') && !PHRASES.has(key) ? [] : (VOCABULARY.get(key) ?? []);
}
