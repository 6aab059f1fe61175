export type Query = Readonly<Record<string, string | number | undefined>>;

/** An address with what more is asked for; what is empty is left out. */
export function withQuery(path: string, query: Query): string {
  const asked = Object.entries(query)
    .filter(([, value]) => value !== undefined && value !== '')
    .map(([name, value]) => `${name}=${encodeURIComponent(value ?? '')}`);
  return asked.length > 0 ? `${path}${path.includes('?') ? '&' : '?'}${asked.join('&')}` : path;
}
