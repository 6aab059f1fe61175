import { ratingFromWord } from '../../part';
import { QUANTITY_WORDS } from './words';

/** Whether a word names a rating or a quantity. */
export const isName = (word: string): boolean =>
  word.toLowerCase() in QUANTITY_WORDS || ratingFromWord(word) !== undefined;
