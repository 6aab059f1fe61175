/** A name as part of an address: small letters and digits with dashes between. @example slugOf('a fuse’s rating') // 'a-fuse-s-rating' */
export const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/gu, '-')
    .replaceAll(/^-|-$/gu, '');
