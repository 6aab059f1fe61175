/** Cases that hold the same kinds of part. */
export type PackageGroup =
  | 'tab'
  | 'small'
  | 'chip'
  | 'diode'
  | 'axial'
  | 'dip-4'
  | 'dip'
  | 'so'
  | 'radial'
  | 'bridge'
  | 'power-chip';

export interface Package {
  /** The spelling that is shown. */
  readonly name: string;
  /** Lower case. */
  readonly spellings: readonly string[];
  readonly legs: number;
  readonly group: PackageGroup;
}

const row = (name: string, legs: number, group: PackageGroup, spellings = ''): Package => {
  const lower = name.toLowerCase();
  return {
    name,
    legs,
    group,
    spellings: [...new Set([lower, lower.replaceAll('-', '').replaceAll(' ', ''), ...spellings.split(' ')])].filter(
      (word) => word !== '' && !word.includes(' '),
    ),
  };
};

/** Cases as printed in the trade; the first spelling is the one shown. */
export const PACKAGES: readonly Package[] = [
  row('TO-220', 3, 'tab'),
  row('TO-220FP', 3, 'tab', 'to220f to-220f'),
  row('TO-247', 3, 'tab'),
  row('TO-3P', 3, 'tab', 'to3pn'),
  row('TO-3', 3, 'tab'),
  row('DPAK', 3, 'tab', 'to252 to-252'),
  row('D2PAK', 3, 'tab', 'to263 to-263'),
  row('IPAK', 3, 'tab', 'to251 to-251'),
  row('TO-126', 3, 'tab'),
  row('TO-220-5', 5, 'power-chip'),
  row('TO-263-5', 5, 'power-chip'),
  row('TO-220F-4L', 4, 'power-chip'),
  row('TO-220F-5L', 5, 'power-chip'),
  row('TO-220F-6L', 6, 'power-chip'),
  row('SIP-9', 9, 'power-chip'),
  row('TO-92', 3, 'small'),
  row('SOT-23', 3, 'small'),
  row('SOT-89', 3, 'small'),
  row('SOT-223', 4, 'small'),
  row('SOT-323', 3, 'small'),
  row('SOT-23-5', 5, 'so'),
  row('SOT-23-6', 6, 'so'),
  row('SO-8', 8, 'so', 'soic8 soic-8 sop8 sop-8'),
  row('SO-14', 14, 'so', 'soic14 soic-14 sop14 sop-14'),
  row('SO-16', 16, 'so', 'soic16 soic-16 sop16 sop-16'),
  row('SOP-4', 4, 'dip-4'),
  row('DIP-4', 4, 'dip-4'),
  row('DIP-6', 6, 'dip'),
  row('DIP-7', 8, 'dip'),
  row('DIP-8', 8, 'dip'),
  row('DIP-14', 14, 'dip'),
  row('DIP-16', 16, 'dip'),
  row('DIP-20', 20, 'dip'),
  row('DO-35', 2, 'diode'),
  row('DO-41', 2, 'axial'),
  row('DO-15', 2, 'axial'),
  row('DO-201', 2, 'diode', 'do27 do-27'),
  row('SMA', 2, 'diode'),
  row('SMB', 2, 'diode'),
  row('SMC', 2, 'diode'),
  row('SOD-123', 2, 'diode'),
  row('SOD-323', 2, 'diode'),
  row('MELF', 2, 'axial', 'minimelf'),
  row('radial', 2, 'radial'),
  row('axial', 2, 'axial'),
  row('snap-in', 2, 'radial'),
  row('box', 2, 'radial'),
  row('disc', 2, 'radial'),
  row('SMD can', 2, 'radial', 'smd-can'),
  row('0402', 2, 'chip'),
  row('0603', 2, 'chip'),
  row('0805', 2, 'chip'),
  row('1206', 2, 'chip'),
  row('1210', 2, 'chip'),
  row('1812', 2, 'chip'),
  row('2010', 2, 'chip'),
  row('2512', 2, 'chip'),
  row('GBU', 4, 'bridge'),
  row('KBU', 4, 'bridge'),
  row('GBJ', 4, 'bridge'),
  row('GBL', 4, 'bridge'),
  row('KBL', 4, 'bridge'),
  row('KBP', 4, 'bridge'),
  row('DB', 4, 'bridge'),
  row('MBS', 4, 'bridge'),
];

const BY_SPELLING = new Map(PACKAGES.flatMap((entry) => entry.spellings.map((spelling) => [spelling, entry] as const)));
const BY_NAME = new Map(PACKAGES.map((entry) => [entry.name, entry]));

/** The usual name of a case as a person typed it. */
export function packageFromWord(word: string): string | undefined {
  return BY_SPELLING.get(word.toLowerCase())?.name;
}

/** A case by its usual name. */
export function packageRule(name: string): Package | undefined {
  return BY_NAME.get(name);
}
