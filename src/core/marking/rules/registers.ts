import type { KindName } from '../../part';
import type { Draft, MarkingRule } from '../decoding';

/** First letter of a Pro Electron number: the material. Source: Pro Electron numbering, from memory. */
export const PRO_ELECTRON_MATERIAL: Readonly<Record<string, string>> = {
  A: 'germanium',
  B: 'silicon',
  C: 'gallium arsenide',
  R: 'compound material',
};

interface RegisterEntry {
  readonly message: string;
  readonly kinds: readonly KindName[];
}

/** Second letter of a Pro Electron number: the use. Source: Pro Electron numbering, from memory. */
export const PRO_ELECTRON_USE: Readonly<Record<string, RegisterEntry>> = {
  A: { message: 'small-signal diode', kinds: ['diode'] },
  B: { message: 'varicap diode', kinds: ['diode'] },
  C: { message: 'small-signal audio transistor', kinds: ['npn', 'pnp'] },
  D: { message: 'audio power transistor', kinds: ['npn', 'pnp'] },
  E: { message: 'tunnel diode', kinds: ['diode'] },
  F: { message: 'small high-frequency transistor', kinds: ['npn', 'pnp'] },
  L: { message: 'high-frequency power transistor', kinds: ['npn'] },
  N: { message: 'optocoupler', kinds: ['optocoupler'] },
  P: { message: 'photo diode or transistor', kinds: ['diode'] },
  Q: { message: 'light-emitting diode', kinds: ['diode'] },
  R: { message: 'small thyristor', kinds: ['scr'] },
  S: { message: 'small switching transistor', kinds: ['npn', 'nmos'] },
  T: { message: 'power thyristor or triac', kinds: ['triac', 'scr'] },
  U: { message: 'power switching transistor', kinds: ['npn', 'nmos'] },
  X: { message: 'varactor diode', kinds: ['diode'] },
  Y: { message: 'rectifier diode', kinds: ['diode'] },
  Z: { message: 'zener diode', kinds: ['diode'] },
};

/** JEDEC prefixes by the count of junctions. Source: JEDEC numbering, from memory. */
export const JEDEC_PREFIX: Readonly<Record<string, RegisterEntry>> = {
  '1N': { message: 'diode', kinds: ['diode'] },
  '2N': { message: 'transistor or thyristor', kinds: ['npn', 'pnp', 'nmos'] },
  '3N': { message: 'dual-gate field-effect transistor', kinds: ['nmos'] },
  '4N': { message: 'optocoupler', kinds: ['optocoupler'] },
};

/** JIS letters behind the 2S. Source: JIS numbering, from memory. */
export const JIS_LETTER: Readonly<Record<string, RegisterEntry>> = {
  A: { message: 'PNP, high frequency', kinds: ['pnp'] },
  B: { message: 'PNP, audio', kinds: ['pnp'] },
  C: { message: 'NPN, high frequency', kinds: ['npn'] },
  D: { message: 'NPN, audio', kinds: ['npn'] },
  J: { message: 'P-channel field-effect transistor', kinds: ['pmos'] },
  K: { message: 'N-channel field-effect transistor', kinds: ['nmos'] },
  M: { message: 'triac', kinds: ['triac'] },
};

const drafts = (text: string, entry: RegisterEntry | undefined, share: number): Draft[] =>
  (entry?.kinds ?? []).map((kind) => ({
    kind,
    ratings: {},
    why: `${text}: ${entry?.message}; the number carries no data, look it up`,
    share: share / (entry?.kinds.length ?? 1),
  }));

const JIS_CASES = ['TO-220', 'TO-220FP', 'TO-92', 'TO-126', 'TO-247', 'TO-3P', 'DPAK'];

/** Rules of the number registers: they tell the kind and leave the data to a datasheet. */
export const REGISTER_RULES: readonly MarkingRule[] = [
  {
    name: 'jedec-number',
    pattern: /^([1-4]N)(\d{2,4})[A-Z]{0,2}$/,
    yields: 'diode, transistor, dual-gate transistor or optocoupler',
    prior: 0.7,
    alone: 0.49,
    source: 'JEDEC numbering, from memory',
    example: '2N6688',
    read([text, prefix = '', digits = '']) {
      // Two digits are more often amperes and volts, but for the optocouplers 4N25 to 4N38.
      const few = digits.length < 3 && prefix !== '4N';
      return drafts(text, JEDEC_PREFIX[prefix], few ? 0.1 : 1);
    },
  },
  {
    name: 'pro-electron-number',
    pattern: /^(?:(A)([ACDFLSUYZ])([XYZ]?)|([BC])([A-FLNPQRSTUXYZ])([A-Z]?))(\d{2,4})[A-Z]{0,3}(?:-\d{2,4}[A-Z]?)?$/,
    yields: 'material and use by two letters',
    prior: 0.65,
    alone: 0.42,
    source: 'Pro Electron numbering, from memory',
    example: 'BUX98',
    read([text, old, oldUse, oldThird, new_, newUse, newThird, digits = '']) {
      const [material = '', use = '', third = ''] = old ? [old, oldUse, oldThird] : [new_, newUse, newThird];
      // The professional letter comes from the end of the alphabet, but for the SOT-23 and power series.
      if (digits.length === 2 && third === '') return undefined;
      if (third !== '' && digits.length > 3) return undefined;
      const entry = PRO_ELECTRON_USE[use];
      const stuff = PRO_ELECTRON_MATERIAL[material];
      return drafts(text, entry && { ...entry, message: `${stuff} ${entry.message}` }, 1);
    },
  },
  {
    name: 'bipolar-BD',
    pattern: /^BD(\d{3})[A-F]?(?:-\d{1,2})?$/,
    yields: 'odd numbers NPN, even ones PNP',
    prior: 0.75,
    source: 'Pro Electron numbering and datasheets, from memory',
    example: 'BD911',
    read: ([text, digits = '']) =>
      drafts(
        text,
        Number(digits) % 2 === 1 ? { message: 'NPN', kinds: ['npn'] } : { message: 'PNP', kinds: ['pnp'] },
        1,
      ),
  },
  {
    name: 'fet-P-letters',
    pattern: /^(?:FD[NCSDPB]\d{3,5}P|DMP\d{4}[A-Z]{0,4}|NDS9435A?|NDT\d{3}P|FDC\d{3,4}P)[A-Z]?$/,
    yields: 'a P-channel transistor by the P in its number',
    prior: 0.75,
    source: 'datasheets of several makers, from memory',
    example: 'FDN340P',
    read: ([text]) => drafts(text, { message: 'P-channel field-effect transistor', kinds: ['pmos'] }, 1),
  },
  {
    name: 'fet-FD-letters',
    pattern: /^(?:FD[NCSDPBM][A-Z]?|NDS|NDT)\d{3,5}(?:[A-OQ-Z]\d?)?$/,
    yields: 'a field-effect transistor by its letters; data stand in the datasheet',
    prior: 0.6,
    alone: 0.42,
    source: 'datasheets of several makers, from memory',
    example: 'FDC6333C',
    read: ([text]) =>
      drafts(
        text,
        { message: 'field-effect transistor, P without an N or P behind it too', kinds: ['nmos', 'pmos'] },
        1,
      ),
  },
  {
    name: 'bipolar-ZTX',
    pattern: /^(?:ZTX|FZT|FMMT)-?(\d)(\d{2})[A-Z]?$/,
    yields: 'hundreds 4, 6 and 8 NPN, 5, 7 and 9 PNP',
    prior: 0.75,
    source: 'datasheets, from memory',
    example: 'ZTX450',
    read([text, hundreds = '']) {
      const kind = '468'.includes(hundreds) ? 'npn' : '579'.includes(hundreds) ? 'pnp' : undefined;
      return kind && drafts(text, { message: kind.toUpperCase(), kinds: [kind] }, 1);
    },
  },
  {
    name: 'jis-like-K',
    pattern: /^K[TS]([ABCD])(\d{3,4})[A-Z]{0,3}$/,
    yields: 'A and B PNP, C and D NPN, as in JIS numbers',
    prior: 0.8,
    source: 'datasheets of several makers, from memory',
    example: 'KTC3198',
    read: ([text, letter = '']) => drafts(text, JIS_LETTER[letter], 1),
  },
  {
    name: 'lettered-diode',
    pattern: /^(?:R[UGMFHKN]|E[UGKMS]|A[UGKML])-?\d{1,2}[A-Z]{0,2}$/,
    yields: 'a rectifier by its letters; data stand in the datasheet',
    prior: 0.6,
    alone: 0.4,
    source: 'datasheets of several makers, from memory',
    example: 'RU4AM',
    read: ([text]) => drafts(text, { message: 'rectifier diode', kinds: ['diode'] }, 1),
  },
  {
    name: 'igbt-letters',
    pattern: /^(?:IRG[A-Z0-9]{2,8}|GP\d{4}[A-Z]{0,3}|RJ[HP]\d{2}[A-Z]\d[A-Z]{0,4})$/,
    yields: 'an IGBT by its letters; data stand in the datasheet',
    prior: 0.8,
    source: 'datasheets of several makers, from memory',
    example: 'GP4068D',
    read: ([text]) => drafts(text, { message: 'IGBT', kinds: ['igbt'] }, 1),
  },
  {
    name: 'fet-letters',
    pattern:
      /^(?:CE[PBDUMF]\d{2,4}[A-Z]?\d?|IRL?ML\d{4}[A-Z]{0,3}|IR[FL][A-Z]{0,3}\d{3,4}[A-Z]{0,3}|NTMFS\d{4}[A-Z]{0,3}|CSD\d{5}[A-Z0-9]{0,3}|DM[NG]\d{4}[A-Z]{0,4}|PSMN[A-Z0-9-]{4,12}|HUF\d{5}[A-Z0-9]{0,3}|MD[PFSDUI]\d{4}[A-Z]{0,2}|SIH[PFGAUD][A-Z0-9]{3,8}|AON\d{4}[A-Z]?|AO[TDWKB]F?\d{2,4}[A-Z]?)$/,
    yields: 'a field-effect transistor by its letters; data stand in the datasheet',
    prior: 0.6,
    alone: 0.42,
    source: 'datasheets of several makers, from memory',
    example: 'MDP1921',
    read: ([text]) => drafts(text, { message: 'field-effect transistor', kinds: ['nmos', 'pmos'] }, 1),
  },
  {
    name: 'jis-number',
    pattern: /^2S([ABCDJKM])-?(\d{2,4})[A-Z]{0,2}$/,
    yields: 'polarity or channel by the letter behind 2S',
    prior: 0.8,
    alone: 0.65,
    source: 'JIS numbering, from memory',
    example: '2SC4242',
    read: ([text, letter = '']) => drafts(text, JIS_LETTER[letter], 1),
  },
  {
    name: 'jis-number-without-2S',
    pattern: /^([ABCDJK])(\d{3,4})[A-Z]{0,2}$/,
    yields: 'the JIS letter with 2S left off the case',
    prior: 0.72,
    alone: 0.4,
    source: 'JIS numbering, from memory; leaving off 2S is common practice',
    example: 'C4242',
    read([text, letter = ''], { package: case_ }) {
      const share = (letter === 'J' ? 0.6 : 1) * (case_ !== undefined && JIS_CASES.includes(case_) ? 1.15 : 0.9);
      return drafts(`2S${text}`, JIS_LETTER[letter], share);
    },
  },
];
