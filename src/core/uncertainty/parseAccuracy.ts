import type { Accuracy } from './meterAccuracy';

/**
 * Reads an accuracy as a meter's sheet prints it: `0.5 % + 2`, `0.8% + 3 digits`, and a fixed part in the unit of the
 * quantity behind a second plus: `10 % + 0 + 0.05`.
 * @returns undefined when it is none
 */
export function parseAccuracy(text: string): Accuracy | undefined {
  const match =
    /^\s*(?:±\s*)?(\d+(?:[.,]\d+)?)\s*%\s*(?:\+\s*(\d+)\s*(?:digits?|counts?|dgt)?\s*)?(?:\+\s*(\d*[.,]?\d+)\s*)?$/i.exec(
      text,
    );
  if (!match?.[1]) return undefined;
  const number = (part: string | undefined) => Number((part ?? '0').replace(',', '.'));
  const floor = number(match[3]);
  return { share: number(match[1]) / 100, digits: number(match[2]), ...(floor > 0 ? { floor } : {}) };
}

/** An accuracy as a person would type it. */
export function accuracyText({ share, digits, floor }: Accuracy): string {
  const per = `${Number((100 * share).toPrecision(6))} %`;
  return floor ? `${per} + ${digits} + ${floor}` : `${per} + ${digits}`;
}
