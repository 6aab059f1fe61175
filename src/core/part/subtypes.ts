import type { KindName } from './kinds';
import { SAFETY_CLASSES } from './safetyClass';

/** Words that say more than the kind, with the kind they belong to; from the board format. */
export const SUBTYPES: Readonly<Record<string, KindName>> = {
  electrolytic: 'capacitor',
  polymer: 'capacitor',
  tantalum: 'capacitor',
  film: 'capacitor',
  ceramic: 'capacitor',
  ...Object.fromEntries(SAFETY_CLASSES.map((name) => [name, 'capacitor' as const])),
  rectifier: 'diode',
  fast: 'diode',
  schottky: 'diode',
  zener: 'diode',
  tvs: 'diode',
  led: 'diode',
  ntc: 'thermistor',
  ptc: 'thermistor',
  fusible: 'resistor',
  'common-cathode': 'dual-diode',
  'common-anode': 'dual-diode',
  'mains-inlet': 'connector',
  'dc-input': 'connector',
  output: 'connector',
  load: 'connector',
  'lamp-socket': 'connector',
  'line-selector': 'connector',
  'gate-driver': 'ic',
  'sync-rectifier': 'ic',
  switcher: 'ic',
  controller: 'ic',
  comparator: 'ic',
  opamp: 'ic',
  microcontroller: 'ic',
};

/** Visible damage a person can type as one word; each is enough to scrap an electrolytic. */
export const DAMAGE_WORDS = [
  'bulged',
  'leaking',
  'burnt',
  'cracked',
  'charred',
  'corroded',
  'lifted',
  'broken',
  'blown',
  'open',
  'shorted',
] as const;
export type DamageWord = (typeof DAMAGE_WORDS)[number];

const SAME_DAMAGE: Readonly<Record<string, DamageWord>> = { leaked: 'leaking', burned: 'burnt', bulging: 'bulged' };

/** The damage that a typed word means. */
export function damageFromWord(word: string): DamageWord | undefined {
  const wanted = word.toLowerCase();
  return SAME_DAMAGE[wanted] ?? DAMAGE_WORDS.find((name) => name === wanted);
}
