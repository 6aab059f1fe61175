import { practice } from '../evidence';

/** Cases that go into the same holes, or onto the same lands, leg for leg. */
const SAME_HOLES = practice([
  ['to-220', 'to-220f', 'to-220fp', 'to-220ab', 'to-220 full pack', 'to-262', 'i2pak', 'to-126'],
  ['to-247', 'to-3p', 'to-3pf', 'to-3pn', 'to-218', 'to-264'],
  ['to-220-2', 'to-220ac', 'to-220f-2', 'to-220fp-2'],
  ['dpak', 'to-252'],
  ['d2pak', 'to-263'],
  ['ipak', 'to-251'],
  ['so-8', 'sop-8', 'soic-8'],
  ['dip-4', 'dil-4'],
  ['do-41', 'do-15', 'do-35'],
  ['do-201', 'do-201ad', 'do-27'],
  ['sma', 'do-214ac'],
  ['smb', 'do-214aa'],
  ['smc', 'do-214ab'],
  ['sot-23', 'to-236', 'sot-23-3'],
] as const);
/** Cases whose back is plastic. */
const PLASTIC_BACK = practice([
  'to-220f',
  'to-220fp',
  'to-220 full pack',
  'to-3pf',
  'to-220f-2',
  'to-220fp-2',
] as const);

const plain = (name: string) => name.trim().toLowerCase().replaceAll(/\s+/gu, ' ');

/** Whether two cases take the same holes; undefined where one is not known. */
export function takesHoles(one: string | undefined, other: string | undefined): boolean | undefined {
  if (!one || !other) return undefined;
  const [a, b] = [plain(one), plain(other)];
  if (a === b || a.replaceAll(/[- ]/gu, '') === b.replaceAll(/[- ]/gu, '')) return true;
  return SAME_HOLES.some((group) => {
    const names: readonly string[] = group;
    return names.includes(a) && names.includes(b);
  });
}

/** Spacing of two legs that a case names, metres: “radial 15 mm”. */
export function pitchOf(name: string | undefined): number | undefined {
  const found = /(?<digits>[\d.]+)\s*mm/u.exec(name ?? '')?.groups?.['digits'];
  return found === undefined ? undefined : Number(found) / 1000;
}

/** Whether the back of a case is insulated, as far as its name says. */
export const hasPlasticBack = (name: string | undefined): boolean | undefined =>
  name === undefined ? undefined : (PLASTIC_BACK as readonly string[]).includes(plain(name));
