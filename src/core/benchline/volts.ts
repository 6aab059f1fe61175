import { parseQuantity } from '../quantity';

/** A voltage written with its unit, so that it cannot be taken for something else. */
export function volts(word: string): { value: number } | undefined {
  if (!/v(?:dc|olts?)?$/i.test(word)) return undefined;
  const parsed = parseQuantity(word, 'volt');
  return parsed.ok ? parsed.quantity : undefined;
}

/** Words that leave no doubt that a voltage is what a part is made for, and none that was read off it. */
export const SAYS_RATED = /^(?:rated|rating|decoded|datasheet|typical|guessed)$/i;
