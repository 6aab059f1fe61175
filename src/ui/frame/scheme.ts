export const SCHEMES = ['auto', 'light', 'dark'] as const;
export type Scheme = (typeof SCHEMES)[number];

/** The theme that a cookie asks for. */
export function schemeOf(value: string | undefined): Scheme {
  return SCHEMES.find((scheme) => scheme === value) ?? 'auto';
}
