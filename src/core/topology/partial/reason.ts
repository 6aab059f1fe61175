import type { Reason } from './score';

/** A fact in words, with the parts it was seen at: “Switch to winding to store: Q1, T1.” */
export function sayReason({ fact, parts }: Pick<Reason, 'fact' | 'parts'>): string {
  const text = `${fact.slice(0, 1).toUpperCase()}${fact.slice(1)}`;
  return parts.length > 0 ? `${text}: ${parts.map(({ ref }) => ref).join(', ')}.` : `${text}.`;
}
