/** Where on the board a part sits, in the order the power takes. */
export const BLOCKS = {
  input: { label: 'input', words: ['input', 'mains', 'bulk'] },
  pfc: { label: 'PFC', words: ['pfc'] },
  switch: { label: 'switch', words: ['switch', 'primary'] },
  secondary: { label: 'secondary', words: ['secondary'] },
  standby: { label: 'standby', words: ['standby'] },
  control: { label: 'control', words: ['control'] },
} as const satisfies Readonly<Record<string, { label: string; words: readonly string[] }>>;

export type BlockName = keyof typeof BLOCKS;
export const BLOCK_NAMES = Object.keys(BLOCKS) as BlockName[];

/** What a part is there for, as far as a person can tell from where it sits. */
export const DUTIES = {
  clamp: 'clamp across the primary',
  snubber: 'snubber',
  sense: 'current sense',
  gate: 'gate resistor',
  'start-up': 'start-up',
  bleeder: 'bleeder',
  divider: 'divider',
} as const;

export type DutyName = keyof typeof DUTIES;
export const DUTY_NAMES = Object.keys(DUTIES) as DutyName[];

/** How a part came to be there, other than fitted and left alone. */
export const FITMENTS = {
  unpopulated: 'an empty footprint',
  reworked: 'soldered again',
  'hand-added': 'added by hand',
  replaced: 'replaced by another',
} as const;

export type FitmentName = keyof typeof FITMENTS;
export const FITMENT_NAMES = Object.keys(FITMENTS) as FitmentName[];

/** The block that a typed word means. */
export function blockFromWord(word: string): BlockName | undefined {
  const wanted = word.toLowerCase();
  return BLOCK_NAMES.find((name) => (BLOCKS[name].words as readonly string[]).includes(wanted));
}

/** The duty that a typed word means. */
export function dutyFromWord(word: string): DutyName | undefined {
  const wanted = word.toLowerCase();
  return wanted === 'startup' ? 'start-up' : DUTY_NAMES.find((name) => name === wanted);
}

/** The fitment that a typed word means. */
export function fitmentFromWord(word: string): FitmentName | undefined {
  const wanted = word.toLowerCase();
  return wanted === 'empty' ? 'unpopulated' : FITMENT_NAMES.find((name) => name === wanted);
}
