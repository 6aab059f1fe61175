/** The first of a sorted list that is not before what is wanted, so that 20,000 cost no more than 20. */
export function firstFrom(list: readonly string[], wanted: string): string | undefined {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((list[middle] ?? '') < wanted) low = middle + 1;
    else high = middle;
  }
  return list[low];
}
