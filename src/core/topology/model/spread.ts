/** Grows a set of rails along links, either way, onto rails that may be entered, until nothing is added. */
export function spreadAlong(
  found: Set<number>,
  links: readonly (readonly [number, number])[],
  mayEnter: (rail: number) => boolean,
): void {
  for (let grown = true; grown;) {
    grown = false;
    for (const [a, b] of links)
      for (const [near, far] of [
        [a, b],
        [b, a],
      ] as const)
        if (found.has(near) && !found.has(far) && mayEnter(far)) {
          found.add(far);
          grown = true;
        }
  }
}
