/** A count with its word: `1 part`, `3 parts`, `1 entry`, `2 entries`. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
