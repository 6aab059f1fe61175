/** Cases as printed in the trade; the first spelling is the one shown. */
export const PACKAGES: readonly {
  readonly name: string;
  readonly spellings: readonly string[];
  readonly legs: number;
}[] = [
  { name: 'TO-220', spellings: ['to220', 'to-220'], legs: 3 },
  { name: 'TO-220FP', spellings: ['to220fp', 'to-220fp', 'to220f', 'to-220f'], legs: 3 },
  { name: 'TO-247', spellings: ['to247', 'to-247'], legs: 3 },
  { name: 'TO-3P', spellings: ['to3p', 'to-3p'], legs: 3 },
  { name: 'TO-92', spellings: ['to92', 'to-92'], legs: 3 },
  { name: 'TO-126', spellings: ['to126', 'to-126'], legs: 3 },
  { name: 'DPAK', spellings: ['dpak', 'to252', 'to-252'], legs: 3 },
  { name: 'D2PAK', spellings: ['d2pak', 'to263', 'to-263'], legs: 3 },
  { name: 'SOT-23', spellings: ['sot23', 'sot-23'], legs: 3 },
  { name: 'SOT-23-6', spellings: ['sot23-6', 'sot-23-6'], legs: 6 },
  { name: 'SOT-223', spellings: ['sot223', 'sot-223'], legs: 4 },
  { name: 'SO-8', spellings: ['so8', 'so-8', 'soic8', 'sop8', 'sop-8'], legs: 8 },
  { name: 'DIP-4', spellings: ['dip4', 'dip-4'], legs: 4 },
  { name: 'DIP-8', spellings: ['dip8', 'dip-8'], legs: 8 },
  { name: 'DIP-16', spellings: ['dip16', 'dip-16'], legs: 16 },
  { name: 'DO-41', spellings: ['do41', 'do-41'], legs: 2 },
  { name: 'DO-201', spellings: ['do201', 'do-201', 'do27', 'do-27'], legs: 2 },
  { name: 'SMA', spellings: ['sma'], legs: 2 },
  { name: 'SMB', spellings: ['smb'], legs: 2 },
  { name: 'SMC', spellings: ['smc'], legs: 2 },
  { name: 'radial', spellings: ['radial'], legs: 2 },
  { name: 'axial', spellings: ['axial'], legs: 2 },
  { name: 'snap-in', spellings: ['snap-in', 'snapin'], legs: 2 },
  { name: 'SMD can', spellings: ['smd-can', 'smdcan'], legs: 2 },
  { name: '0402', spellings: ['0402'], legs: 2 },
  { name: '0603', spellings: ['0603'], legs: 2 },
  { name: '0805', spellings: ['0805'], legs: 2 },
  { name: '1206', spellings: ['1206'], legs: 2 },
  { name: 'GBU', spellings: ['gbu'], legs: 4 },
  { name: 'KBP', spellings: ['kbp'], legs: 4 },
  { name: 'DB', spellings: ['db'], legs: 4 },
];

/** The usual name of a case as a person typed it. */
export function packageFromWord(word: string): string | undefined {
  const wanted = word.toLowerCase();
  return PACKAGES.find(({ spellings }) => spellings.includes(wanted))?.name;
}
