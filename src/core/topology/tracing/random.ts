/** A repeatable stream of random numbers (mulberry32). */
export class Random {
  private state: number;
  constructor(seed: number) {
    this.state = seed >>> 0;
  }
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let mixed = this.state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  }
  chance(share: number): boolean {
    return this.next() < share;
  }
  of<T>(items: readonly [T, ...T[]]): T {
    return items[Math.floor(this.next() * items.length)] ?? items[0];
  }
  shuffled<T>(items: readonly T[]): T[] {
    const list = [...items];
    for (let at = list.length - 1; at > 0; at -= 1) {
      const other = Math.floor(this.next() * (at + 1));
      [list[at], list[other]] = [list[other] as T, list[at] as T];
    }
    return list;
  }
}
