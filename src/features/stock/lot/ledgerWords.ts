/** The reasons of the ledger in words. */
export const REASON: Readonly<Record<string, string>> = {
  harvested: 'came in',
  counted: 'counted in',
  moved: 'moved',
  split: 'split',
  joined: 'joined',
  imported: 'brought in',
  reserved: 'reserved',
  released: 'given back',
  used: 'used',
  taken: 'taken out',
  undone: 'undone',
};
