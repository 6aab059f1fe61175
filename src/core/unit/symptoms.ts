/** What a symptom usually means. Common practice, no source. */
interface Symptom {
  readonly label: string;
  /** Where a person looks first. */
  readonly look: string;
  /** How well each way of going on suits, 0 to 1. */
  readonly suits: { readonly repair: number; readonly harvest: number; readonly study: number; readonly leave: number };
}

export const SYMPTOMS = {
  dead: {
    label: 'dead',
    look: 'Fuse, start-up resistor and the small capacitor at the controller first.',
    suits: { repair: 0.5, harvest: 0.7, study: 0.4, leave: 0 },
  },
  'fuse-blown': {
    label: 'fuse blown',
    look: 'A blown fuse has a reason: bridge, switch and varistor first. Never a bigger fuse.',
    suits: { repair: 0.35, harvest: 0.75, study: 0.4, leave: 0 },
  },
  'warm-intermittent': {
    label: 'intermittent when warm',
    look: 'Dried capacitors or a cracked joint; log its temperature while it runs.',
    suits: { repair: 0.9, harvest: 0.5, study: 0.4, leave: 0.1 },
  },
  'rail-high': {
    label: 'rail high',
    look: 'The feedback is open: optocoupler, reference, divider. Connect nothing to it.',
    suits: { repair: 0.45, harvest: 0.7, study: 0.5, leave: 0 },
  },
  'rail-low': {
    label: 'rail low',
    look: 'Output capacitors first: their series resistance, then their capacitance.',
    suits: { repair: 0.8, harvest: 0.5, study: 0.4, leave: 0 },
  },
  noisy: {
    label: 'noisy',
    look: 'Whine or ripple: output capacitors, a loose core, a missing load.',
    suits: { repair: 0.7, harvest: 0.5, study: 0.35, leave: 0.2 },
  },
  'burnt-smell': {
    label: 'burnt smell',
    look: 'Find what burnt before anything is powered; what stood beside it is suspect too.',
    suits: { repair: 0.15, harvest: 0.65, study: 0.5, leave: 0 },
  },
  works: {
    label: 'works',
    look: 'It works: whole, it is worth more than its parts, most of the time.',
    suits: { repair: 0, harvest: 0.2, study: 0.3, leave: 1 },
  },
  unknown: {
    label: 'unknown',
    look: 'Find out first: fuse, output, behaviour through a series lamp.',
    suits: { repair: 0.3, harvest: 0.4, study: 0.55, leave: 0.3 },
  },
} as const satisfies Readonly<Record<string, Symptom>>;

export type SymptomName = keyof typeof SYMPTOMS;
export const SYMPTOM_NAMES = Object.keys(SYMPTOMS) as SymptomName[];
