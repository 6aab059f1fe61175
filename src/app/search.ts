/** The parameters behind the question mark of an address. */
export type Search = Promise<Readonly<Record<string, string | string[] | undefined>>>;

/** One parameter as text, the first when it is given twice, cut to a sane length. */
export function word(value: string | string[] | undefined): string {
  return ((Array.isArray(value) ? value[0] : value) ?? '').slice(0, 400);
}
