/**
 * Remembers the latest results by a key, so that what hangs on the key alone is not worked out again.
 * @param most results kept; the one that was not asked for longest goes first
 * @returns a function that gives the result of a key, and makes it when it is not known
 */
export function recentOf<T>(most: number): (key: string, make: () => T) => T {
  const known = new Map<string, T>();
  return (key, make) => {
    const result = known.has(key) ? (known.get(key) as T) : make();
    known.delete(key);
    known.set(key, result);
    const [oldest] = known.keys();
    if (known.size > most && oldest !== undefined) known.delete(oldest);
    return result;
  };
}
