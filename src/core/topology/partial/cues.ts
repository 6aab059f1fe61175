import type { Inventory } from './inventory';

/** What a clue of the parts list does to the log-odds of topologies, in nats. Common practice, no source; tuned on composed boards. */
export interface Cue {
  readonly says: string;
  readonly when: (inventory: Inventory) => boolean;
  readonly weigh: Readonly<Record<string, number>>;
}

const CHOKE_FORMS = ['forward', 'two-switch-forward', 'half-bridge', 'full-bridge'] as const;
const TWO_SWITCH = [
  'two-switch-flyback',
  'two-switch-forward',
  'half-bridge',
  'llc-half-bridge',
  'active-clamp-flyback',
  'push-pull',
] as const;
const all = (ids: readonly string[], weight: number) => Object.fromEntries(ids.map((id) => [id, weight]));

export const TRANSFORMER_CUES: readonly Cue[] = [
  {
    says: 'mains input',
    when: ({ isMains }) => isMains,
    weigh: {
      flyback: 1.6,
      'rcc-flyback': 0,
      'active-clamp-flyback': -1,
      'two-switch-flyback': -1,
      forward: -1.6,
      'two-switch-forward': -0.2,
      'half-bridge': 0,
      'llc-half-bridge': 0.2,
      'full-bridge': -3,
      'push-pull': -4,
      'line-transformer': 0,
    },
  },
  {
    says: 'DC input',
    when: ({ isMains }) => !isMains,
    weigh: {
      flyback: 0.6,
      'rcc-flyback': -2.5,
      'active-clamp-flyback': -2.5,
      'two-switch-flyback': -3,
      forward: 0.7,
      'two-switch-forward': -2,
      'half-bridge': -0.3,
      'llc-half-bridge': -3,
      'full-bridge': 0.2,
      'push-pull': 0.4,
      'line-transformer': -9,
    },
  },
  {
    says: 'no chip on the board',
    when: ({ chips }) => chips === 0,
    weigh: {
      'rcc-flyback': 3.5,
      'line-transformer': 3.5,
      ...all([...TWO_SWITCH, 'flyback', 'forward', 'full-bridge'], -2.5),
      'half-bridge': -1,
    },
  },
  {
    says: 'a chip on the board',
    when: ({ chips }) => chips > 0,
    weigh: { 'rcc-flyback': -1.6, 'line-transformer': -3 },
  },
  {
    says: 'no choke beside the transformer',
    when: ({ chokes, transformers }) => chokes === 0 && transformers < 2,
    weigh: all(CHOKE_FORMS, -3),
  },
  {
    says: 'a choke large enough for an output',
    when: ({ largeChokes }) => largeChokes > 0,
    weigh: all(CHOKE_FORMS, 0.8),
  },
  {
    says: 'one FET or none',
    when: ({ fets, powerBipolars }) => fets <= 1 && powerBipolars < 2,
    weigh: { ...all(TWO_SWITCH, -3), 'full-bridge': -6 },
  },
  { says: 'several FETs', when: ({ fets }) => fets >= 2, weigh: { ...all(TWO_SWITCH, 0.5), 'rcc-flyback': -0.6 } },
  { says: 'fewer than four FETs', when: ({ fets }) => fets < 4, weigh: { 'full-bridge': -5 } },
  { says: 'four FETs or more', when: ({ fets }) => fets >= 4, weigh: { 'full-bridge': 1.5, 'llc-half-bridge': 0.3 } },
  { says: 'two power bipolars', when: ({ powerBipolars }) => powerBipolars >= 2, weigh: { 'half-bridge': 3 } },
  {
    says: 'a film capacitor for resonance',
    when: ({ resonantFilms }) => resonantFilms > 0,
    weigh: { 'llc-half-bridge': 2.5 },
  },
  {
    says: 'no film capacitor for resonance',
    when: ({ resonantFilms }) => resonantFilms === 0,
    weigh: { 'llc-half-bridge': -2 },
  },
  { says: 'a film capacitor that blocks', when: ({ blockingFilms }) => blockingFilms > 0, weigh: { 'half-bridge': 2 } },
  {
    says: 'no film capacitor that blocks',
    when: ({ blockingFilms, isMains }) => blockingFilms === 0 && isMains,
    weigh: { 'half-bridge': -1.5 },
  },
  {
    says: 'stores of half the rectified mains',
    when: ({ halfStores }) => halfStores >= 2,
    weigh: { 'half-bridge': 2, 'two-switch-forward': 0.5 },
  },
  {
    says: 'a tapped winding',
    when: ({ tapped }) => tapped > 0,
    weigh: {
      'half-bridge': 1.2,
      'llc-half-bridge': 1,
      'full-bridge': 1.2,
      'push-pull': 1.6,
      flyback: -0.8,
      forward: -0.8,
      'active-clamp-flyback': -1,
      'two-switch-flyback': -1,
      'rcc-flyback': -1,
    },
  },
  {
    says: 'no tapped winding',
    when: ({ tapped }) => tapped === 0,
    weigh: { 'push-pull': -3, 'half-bridge': -1.2, 'llc-half-bridge': -1, 'full-bridge': -1 },
  },
  {
    says: 'two tapped windings',
    when: ({ tapped, isMains, transformers }) => tapped > 0 && !isMains && transformers === 1,
    weigh: { 'push-pull': 0.6 },
  },
  {
    says: 'a half-bridge driver',
    when: ({ drivers }) => drivers > 0,
    weigh: {
      'llc-half-bridge': 1,
      'half-bridge': 0.8,
      'full-bridge': 1,
      'active-clamp-flyback': 1,
      flyback: -1,
      forward: -1,
    },
  },
  { says: 'two drivers', when: ({ drivers }) => drivers > 1, weigh: { 'full-bridge': 2 } },
  { says: 'a chip with its switch inside', when: ({ switcherChips }) => switcherChips > 0, weigh: { flyback: 1 } },
  {
    says: 'more than one transformer',
    when: ({ transformers }) => transformers > 1,
    weigh: { 'two-switch-forward': 1.2, 'two-switch-flyback': 1.2, 'half-bridge': 0.4 },
  },
  {
    says: 'a single transformer',
    when: ({ transformers }) => transformers === 1,
    weigh: { 'two-switch-forward': -1.5, 'two-switch-flyback': -1.5 },
  },
  {
    says: 'a store behind a power factor front end',
    when: ({ frontEndStores }) => frontEndStores > 0,
    weigh: { 'llc-half-bridge': 0.8, 'rcc-flyback': -1 },
  },
];

export const CHOKE_CUES: readonly Cue[] = [
  {
    says: 'mains input',
    when: ({ isMains }) => isMains,
    weigh: { none: 1.6, buck: -0.6, boost: -1.6, 'boost-pfc': 0.4, 'inverting-buck-boost': -3, sepic: -4, cuk: -4 },
  },
  {
    says: 'a store behind a power factor front end',
    when: ({ frontEndStores }) => frontEndStores > 0,
    weigh: { 'boost-pfc': 1.2 },
  },
  { says: 'no store above 400 V', when: ({ frontEndStores }) => frontEndStores === 0, weigh: { 'boost-pfc': -3.5 } },
  { says: 'DC input', when: ({ isMains }) => !isMains, weigh: { 'boost-pfc': -9 } },
  {
    says: 'a transformer takes the power across',
    when: ({ transformers, isMains }) => transformers > 0 && !isMains,
    weigh: { none: 2, sepic: -1, cuk: -2, 'inverting-buck-boost': -2 },
  },
  { says: 'no transformer', when: ({ transformers }) => transformers === 0, weigh: { none: -0.8 } },
  {
    says: 'output above the input',
    when: ({ vOut, vIn, isMains }) => !isMains && vOut > vIn && vIn > 0,
    weigh: { boost: 2, buck: -2 },
  },
  {
    says: 'output below the input',
    when: ({ vOut, vIn, isMains }) => !isMains && vOut > 0 && vOut < vIn,
    weigh: { buck: 0.6, boost: -0.5 },
  },
  {
    says: 'a negative output',
    when: ({ negativeOutputs }) => negativeOutputs > 0,
    weigh: { cuk: 2, 'inverting-buck-boost': 2.2, buck: -1.5, boost: -2, sepic: -2 },
  },
  {
    says: 'no negative output',
    when: ({ negativeOutputs, outputs }) => negativeOutputs === 0 && outputs > 0,
    weigh: { cuk: -2.5, 'inverting-buck-boost': -2.5 },
  },
  {
    says: 'fewer than two chokes',
    when: ({ chokes, transformers }) => chokes + transformers < 2,
    weigh: { sepic: -4, cuk: -4 },
  },
  {
    says: 'two chokes',
    when: ({ chokes, transformers, isMains }) => chokes >= 2 && transformers === 0 && !isMains,
    weigh: { sepic: 0.8, cuk: 0.8 },
  },
];

/** Sum of what the cues that apply say on a topology. */
export const cueWeight = (cues: readonly Cue[], inventory: Inventory, topology: string): number =>
  cues.reduce((sum, { when, weigh }) => sum + (when(inventory) ? (weigh[topology] ?? 0) : 0), 0);
