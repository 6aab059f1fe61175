import { practice } from '../evidence';

/** Of its rated voltage a part is put under so much at most, for good: usual shares of handbooks, common practice, no source. */
export const USED_VOLTS = practice({
  mosfet: 0.8,
  igbt: 0.8,
  transistor: 0.8,
  schottky: 0.75,
  diode: 0.8,
  bridge: 0.7,
  can: 0.9,
  tantalum: 0.5,
  ceramic: 0.6,
  film: 0.8,
  triac: 0.7,
  resistor: 0.8,
  other: 0.9,
});

/** The rating that says what voltage a kind stands. */
export const VOLTS: Readonly<Record<string, string>> = {
  nmos: 'vds',
  pmos: 'vds',
  igbt: 'vces',
  npn: 'vceo',
  pnp: 'vceo',
  diode: 'vrrm',
  'dual-diode': 'vrrm',
  bridge: 'vrrm',
  capacitor: 'voltage',
  triac: 'vdrm',
  scr: 'vdrm',
  thyristor: 'vdrm',
  relay: 'voltage',
  connector: 'voltage',
};

/** The share of its rated voltage that a part is used at, by what it is. @param of.technology of capacitors and diodes */
export function shareUsed({ kind, technology = '' }: { readonly kind: string; readonly technology?: string }): number {
  const of = technology.toLowerCase();
  switch (kind) {
    case 'nmos':
    case 'pmos':
      return USED_VOLTS.mosfet;
    case 'igbt':
      return USED_VOLTS.igbt;
    case 'npn':
    case 'pnp':
      return USED_VOLTS.transistor;
    case 'diode':
    case 'dual-diode':
      return of === 'schottky' ? USED_VOLTS.schottky : USED_VOLTS.diode;
    case 'bridge':
      return USED_VOLTS.bridge;
    case 'triac':
    case 'scr':
    case 'thyristor':
      return USED_VOLTS.triac;
    case 'resistor':
      return USED_VOLTS.resistor;
    case 'capacitor':
      if (of === 'tantalum') return USED_VOLTS.tantalum;
      if (of === 'ceramic') return USED_VOLTS.ceramic;
      return of === 'electrolytic' || of === 'polymer' ? USED_VOLTS.can : USED_VOLTS.film;
    default:
      return USED_VOLTS.other;
  }
}
