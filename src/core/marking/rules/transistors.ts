import { PRACTICE, practice } from '../../evidence';
import type { Draft, MarkingContext, MarkingRule } from '../decoding';

/** Types whose number looks like current-N-voltage and is not: optocouplers, JEDEC numbers, germanium diodes. */
const NOT_CURRENT_VOLTAGE = /^(?:4N(?:2[5-9]|3[0-8])|6N13[5-9]|[123]N\d{3,4}|1N34)[A-Z]?$/;
/** Stems of bridges, diodes, Darlingtons, switchers and triggers whose numbers look like it and say another thing. */
const OTHER_STEMS =
  /^(?:TS\d|HFA|IRG|TIP|TIC|VIP|RUR|RHR|FFP|KB[A-Z]|GB[A-Z]|MUR|BY|STT|SBR|STPS|TNY|LNK|TOP|CNY|LTV|PC|EL|SFH|KBPC|[0-9]?P$)/;
/** A single case that claims more than this is misread. */
const LARGEST_CURRENT = practice(120);
const LARGEST_PRODUCT = 75 * 750;
const LARGE_CASES = ['TO-247', 'TO-3P'];
const SURE_IGBT_STEM = /^(?:STG[A-Z]|HGT[A-Z]{0,2}|FG[AHL]|FGPF|FGP|SG[HWPF]|IXG[HRTPQX]|IK[WPBQ]|IH[WYB]|AOK|RJ[HP])$/;
const IGBT_STEM = /^(?:[A-Z]?HGT|HGT[GPD]|FGA|FGH|FGL|G|SG[HWP]|IXG|STG|IKW|IHW|IKP|AOK)/;

const mayBeLarge = ({ package: case_ }: MarkingContext) => case_ === undefined || LARGE_CASES.includes(case_);

function fet(text: string, channel: 'nmos' | 'pmos', id: number, vds: number, share: number): Draft {
  const message = `${id} A, ${channel === 'nmos' ? 'N' : 'P'} channel, ${vds} V`;
  return { kind: channel, ratings: { id, vds }, why: `${text}: ${message}`, share };
}

function igbt(text: string, ic: number, vces: number, share: number, why = ''): Draft {
  return { kind: 'igbt', ratings: { ic, vces }, why: `${text}: IGBT, ${ic} A, ${vces} V${why}`, share };
}

/** Letters that a digit wears to. */
const WORN_DIGIT: Readonly<Record<string, string>> = { I: '1', L: '1', Z: '2', S: '5', G: '6', B: '8' };

function readCurrentVoltage(
  [text, stem = '', amperes = '', letter, inner = '', digits = '', tail = '']: readonly string[],
  context: MarkingContext,
): Draft[] | undefined {
  // A leading zero counts no amperes: such numbers begin with the on resistance.
  if (
    NOT_CURRENT_VOLTAGE.test(text ?? '') ||
    OTHER_STEMS.test(text ?? '') ||
    (letter === 'P' && inner !== '') ||
    amperes.startsWith('0') ||
    /^(?:[OIQ]|D[\dIO])/.test(tail)
  )
    return undefined;
  if (/^(?:IP[A-Z]|BS[CZGPO])$/.test(stem) && amperes.length === 3) return undefined;
  const current = Number(amperes);
  // A zero in front makes three digits volts as written: NP82N055.
  const literal = ((digits === '55' || digits === '75') && current >= 20) || /^0\d\d$/.test(digits);
  const volts = literal ? Number(digits) : Number(digits) * 10;
  if (current < 1 || current > LARGEST_CURRENT || volts < 20 || volts > 1700 || current * volts > LARGEST_PRODUCT)
    return undefined;
  const core = `${amperes}${letter}${inner}${digits}`;
  const channel = letter === 'N' ? 'nmos' : 'pmos';
  const lettered = (stem.length > 3 ? 0.85 : 1) * (tail.length > 2 ? 0.85 : 1) * (stem || tail || inner ? 0.95 : 1);
  const usual = volts <= 250 || volts % 50 === 0 ? 1 : 0.8;
  const share = lettered * usual * (letter === 'P' && volts > 300 ? (/^(?:FQ|IXT|FDP|SSP)/.test(stem) ? 0.6 : 0.2) : 1);
  if (channel === 'nmos' && SURE_IGBT_STEM.test(stem) && volts >= 300) return [igbt(core, current, volts, share)];
  if (channel === 'pmos' || current < 15 || volts < 600 || !mayBeLarge(context))
    return [fet(core, channel, current, volts, share)];
  if (IGBT_STEM.test(stem))
    return [igbt(core, current, volts, share * 0.85), fet(core, channel, current, volts, share * 0.12)];
  return [
    fet(core, channel, current, volts, share * 0.5),
    igbt(core, current, volts, share * 0.5, '; so large a part in this case may be one'),
  ];
}

/** Rules for field-effect transistors and IGBTs. */
export const TRANSISTOR_RULES: readonly MarkingRule[] = [
  {
    name: 'current-N-voltage',
    pattern: /^([A-Z]{0,5})(\d{1,3})([NP])([A-Z]{0,2})(\d{2,3})([A-Z]{0,4}\d?[A-Z]{0,2})$/,
    yields: 'amperes, N or P for the channel, volts: two digits by ten, 55 and 75 as written from 20 A',
    prior: 0.88,
    source: PRACTICE,
    example: '12N65',
    read(match, context) {
      const [text, stem = '', amperes = ''] = match;
      const asRead = readCurrentVoltage(match, context);
      // A lone letter that wears from a digit may belong to the amperes: I2N65, S5N55.
      const digit = WORN_DIGIT[stem];
      const [, , , ...rest] = match;
      const whole = digit === undefined || amperes.length > 1 ? undefined : digit + amperes;
      if (whole === undefined || !asRead) return asRead;
      const asDigit = readCurrentVoltage([text, '', whole, ...rest], context) ?? [];
      const halve = (draft: Draft): Draft => ({ ...draft, share: (draft.share ?? 1) / 2 });
      return [
        ...asRead.map(halve),
        ...asDigit.map((draft) => ({ ...halve(draft), why: `${draft.why}; if ${stem} is a worn ${digit}` })),
      ];
    },
  },
  {
    name: 'voltage-R-resistance',
    pattern: /^[A-Z]{0,4}(\d{2})R(?:(\d{3})|(\d{2})|(\d)K(\d))[A-Z]{0,3}\d?$/,
    yields: 'volts by ten, R, on resistance in milliohms; K as the ohm point',
    prior: 0.92,
    alone: 0.88,
    source: PRACTICE,
    example: '60R190',
    read([text, tens, three, two, ohms, tenths]) {
      const vds = Number(tens) * 10;
      if (vds < 400 || vds > 1000) return undefined;
      const rdsOn = ohms ? Number(`${ohms}.${tenths}`) : Number(three ?? two) / 1000;
      if (rdsOn === 0) return undefined;
      const share = (two ? 0.5 : 1) * (vds % 50 === 0 ? 1 : 0.6);
      return { kind: 'nmos', ratings: { vds, rdsOn }, why: `${text}: ${vds} V, ${rdsOn} Ω on`, share };
    },
  },
  {
    name: 'resistance-N-voltage',
    pattern: /^(?:IP[A-Z]|BS[CZGPO])(\d{3})([NP])(\d{2,3})[A-Z]{0,2}\d?[A-Z]?$/,
    yields: 'on resistance in tenths of a milliohm, N or P, volts by ten',
    prior: 0.92,
    source: PRACTICE,
    example: 'IPP075N15N3',
    read([text, tenths, letter, tens]) {
      const vds = Number(tens) * 10;
      const rdsOn = Number((Number(tenths) / 1e4).toPrecision(6));
      if (vds < 20 || vds > 300 || rdsOn === 0) return undefined;
      const kind = letter === 'N' ? 'nmos' : 'pmos';
      return { kind, ratings: { vds, rdsOn }, why: `${text}: ${vds} V, ${rdsOn * 1000} mΩ on` };
    },
  },
  {
    name: 'current-A-voltage',
    pattern: /^(?:T?K|TJ)(\d{1,3})([AEJPQNSVX])(\d{2})[A-Z]?\d?$/,
    yields: 'amperes, a letter for the case, volts by ten; T may be left off the case',
    prior: 0.9,
    alone: 0.85,
    source: PRACTICE,
    example: 'TK20A60U',
    read([text, amperes, , tens]) {
      const [id, vds] = [Number(amperes), Number(tens) * 10];
      if (id < 1 || id > LARGEST_CURRENT || vds < 30 || vds > 1000) return undefined;
      return fet(text, text.startsWith('TJ') ? 'pmos' : 'nmos', id, vds, 1);
    },
  },
  {
    name: 'R-volts-amperes',
    pattern: /^R([5-9])0(\d{2})[A-Z]{2,3}[A-Z]?$/,
    yields: 'R, hundreds of volts, amperes, letters',
    prior: 0.85,
    source: PRACTICE,
    example: 'R6020ENX',
    read: ([text, hundreds, amperes]) =>
      Number(amperes) === 0 ? undefined : fet(text, 'nmos', Number(amperes), Number(hundreds) * 100, 1),
  },
  {
    name: 'bipolar-13000',
    pattern:
      /^(?:MJE|FJP|FJPF|FJE|FJD|PHE|PHD|BU|ST|STD|KSE|KSH|KSD|TS|SBW|HLB|3DD|UTC|APT|CS|D|E|WBR|BL|SB|MJD)?(?:MJE)?(1300[1-9])[A-Z]{0,3}(?:-?\d[A-Z]?)?$/,
    yields: '13001 to 13009: NPN switching transistors of 400 V, the current by the last digit',
    prior: 0.9,
    alone: 0.85,
    source: 'multi-source datasheets, from memory',
    example: 'FJP13009',
    read([text, number = '']) {
      const ic = { 13001: 0.2, 13002: 0.8, 13003: 1.5, 13005: 4, 13007: 8, 13009: 12 }[number];
      return {
        kind: 'npn',
        ratings: { vceo: 400, ...(ic === undefined ? {} : { ic }) },
        why: `${text}: NPN, 400 V${ic === undefined ? '' : `, ${ic} A`}, of the 13000 class`,
        share: /^\d/.test(text) ? 0.6 : 1,
      };
    },
  },
  {
    name: 'volts-H-amperes',
    pattern: /^(NCE|CRSS|CRST|HYG)(\d{2,3})H(\d{2,3})[A-Z]{0,2}$/,
    yields: 'volts, H, amperes; two digits by ten',
    prior: 0.88,
    source: PRACTICE,
    example: 'NCE80H12',
    read([text, , volts, amperes = '']) {
      const id = Number(amperes) * (amperes.length === 2 ? 10 : 1);
      return fet(text, 'nmos', id, Number(volts), id <= 400 ? 1 : 0.3);
    },
  },
  {
    name: 'HY-amperes-volts',
    pattern: /^HY(\d{2})(\d{2})[A-Z]{0,2}\d?$/,
    yields: 'tens of amperes of a rank, then volts by ten',
    prior: 0.85,
    source: PRACTICE,
    example: 'HY3008P',
    read([text, , tens]) {
      const vds = Number(tens) * 10;
      if (vds < 30 || vds > 200) return undefined;
      return { kind: 'nmos', ratings: { vds }, why: `${text}: N channel, ${vds} V; the first digits rank the current` };
    },
  },
  {
    name: 'IRF-hundreds',
    pattern: /^IRF(?:[SI]|PS|IB)?([5678])([1-5])0[A-Z]{0,3}$/,
    yields: 'a digit for the volts: 5 100, 6 200, 7 400, 8 500',
    prior: 0.9,
    source: 'multi-source datasheets, from memory',
    example: 'IRFS630',
    read([text, hundreds = '']) {
      const vds = { 5: 100, 6: 200, 7: 400, 8: 500 }[hundreds] ?? 0;
      return { kind: 'nmos', ratings: { vds }, why: `${text}: N channel, ${vds} V by its first digit` };
    },
  },
  {
    name: 'IRF-case-hundreds',
    pattern: /^IRF([PRU])(9?)([01234])([1-6])[04][A-Z]{0,3}$/,
    yields: 'a letter for the case, 9 for P channel, a digit for the volts: 0 60, 1 100, 2 200, 3 400, 4 500',
    prior: 0.88,
    source: 'multi-source datasheets, from memory',
    example: 'IRFP350',
    read([text, , channel, hundreds = '']) {
      const vds = { 0: 55, 1: 100, 2: 200, 3: 400, 4: 500 }[hundreds] ?? 0;
      const kind = channel === '9' ? 'pmos' : 'nmos';
      return { kind, ratings: { vds }, why: `${text}: ${kind === 'pmos' ? 'P' : 'N'} channel, ${vds} V by its digit` };
    },
  },
  {
    name: 'IRF-letters',
    pattern: /^IRF(?:I|S|U|R|P|PS|IP|IB)?([BPU]?)([CEFG])([1-6])[0-9][A-Z]{0,3}$/,
    yields: 'a letter for the volts: C 600, E 800, F 900, G 1000',
    prior: 0.9,
    source: 'multi-source datasheets, from memory',
    example: 'IRFBC42',
    read([text, , letter = '']) {
      const vds = { C: 600, E: 800, F: 900, G: 1000 }[letter] ?? 0;
      return { kind: 'nmos', ratings: { vds }, why: `${text}: N channel, ${vds} V by its letter` };
    },
  },
  {
    name: 'igbt-IRG',
    pattern: /^(?:IR)?G(?:4|7|P|P4|S|SL|B|PS)?([BP]?)([CH])(\d{2})([A-Z]{0,3}\d?[A-Z]?)$/,
    yields: 'C for 600 V, H for 1200 V, and a size',
    prior: 0.85,
    alone: 0.75,
    source: 'multi-source datasheets, from memory',
    example: 'IRG4PC50UD',
    read: ([text, , letter]) =>
      /^(?:IRG|G4)/.test(text)
        ? {
            kind: 'igbt',
            ratings: { vces: letter === 'C' ? 600 : 1200 },
            why: `${text}: IGBT, ${letter === 'C' ? 600 : 1200} V by its letter`,
          }
        : undefined,
  },
  {
    name: 'igbt-GN',
    pattern:
      /^(?:G|SG[HWP]|FGA|FGH|FGL|FGPF|HGTG|HGTP|STGW|STGP|STGF|IXGH|IXSH)(\d{1,3})N(60|65|90|100|120|135|150)[A-Z]{0,4}\d?[A-Z]{0,2}$/,
    yields: 'amperes, N, volts by ten, behind the letters of an IGBT',
    prior: 0.93,
    alone: 0.9,
    source: PRACTICE,
    example: 'G60N100',
    read: ([text, amperes, tens]) => igbt(text, Number(amperes), Number(tens) * 10, 1),
  },
  {
    name: 'igbt-RJ',
    pattern: /^RJ[HP](30|60|63|65|1C)[A-Z]\d[A-Z]{0,3}$/,
    yields: 'volts by ten on an IGBT',
    prior: 0.85,
    source: PRACTICE,
    example: 'RJH60F5',
    read([text, tens = '']) {
      const vces = tens === '1C' ? 1200 : Number(tens) * 10;
      return { kind: 'igbt', ratings: { vces }, why: `${text}: IGBT, ${vces} V` };
    },
  },
  {
    name: 'igbt-current-T-voltage',
    pattern: /^[A-Z]{0,3}?[KHW](\d{2})[TRN](60|65|90|100|110|120|135|160)\d?[A-Z]{0,2}\d?$/,
    yields: 'amperes, a letter, volts by ten, on an IGBT',
    prior: 0.88,
    source: PRACTICE,
    example: 'H20R1203',
    read: ([text, amperes, volts]) => igbt(text, Number(amperes), Number(volts) * 10, text.includes('N') ? 0.25 : 1),
  },
  {
    name: 'igbt-letter-voltage',
    pattern: /^GT(\d{1,2})([FGJMNQT])\d{3}[A-Z]?$/,
    yields: 'amperes and a letter for the volts, on an IGBT',
    prior: 0.9,
    source: PRACTICE,
    example: 'GT35J321',
    read([text, amperes, letter = '']) {
      const volts = { F: 300, G: 400, J: 600, M: 900, N: 1000, Q: 1200, T: 1500 }[letter];
      return volts === undefined ? undefined : igbt(text, Number(amperes), volts, 1);
    },
  },
];

const TRIAC_AMPERES: Readonly<Record<string, number>> = { 131: 1, 134: 4, 136: 4, 137: 8, 138: 12, 139: 16 };
const SCR_AMPERES: Readonly<Record<string, number>> = { 145: 25, 148: 4, 149: 4, 150: 4, 151: 12, 152: 20 };
const VOLT_LETTERS: Readonly<Record<string, number>> = { B: 200, D: 400, E: 500, M: 600, S: 700, N: 800 };

function thyristor(kind: 'triac' | 'scr', text: string, itRms: number, vdrm: number, share = 1, more = ''): Draft {
  const name = kind === 'triac' ? 'triac' : 'thyristor';
  return { kind, ratings: { itRms, vdrm }, why: `${text}: ${name}, ${itRms} A, ${vdrm} V${more}`, share };
}

/** Rules for triacs and thyristors. */
export const THYRISTOR_RULES: readonly MarkingRule[] = [
  {
    name: 'triac-BT-volts',
    pattern: /^BT(1\d{2})[A-Z]?[-]?(400|500|600|650|700|800|1000)([A-Z]{0,2}\d?)$/,
    yields: 'a type number for the amperes, then volts; the letter grades the gate',
    prior: 0.95,
    source: 'Pro Electron numbering and datasheets, from memory',
    example: 'BT136-600',
    read([text, number = '', volts]) {
      const triac = TRIAC_AMPERES[number];
      const scr = SCR_AMPERES[number];
      if (triac !== undefined) return thyristor('triac', text, triac, Number(volts));
      return scr === undefined ? undefined : thyristor('scr', text, scr, Number(volts));
    },
  },
  {
    name: 'triac-BTA',
    pattern: /^BT([AB])(\d{2})[-]?([4-9]|10|12)00([A-Z]{1,2})?$/,
    yields: 'amperes, then volts; A has an isolated tab, B has not',
    prior: 0.95,
    source: PRACTICE,
    example: 'BTA16-600',
    read: ([text, tab, amperes, hundreds]) =>
      thyristor(
        'triac',
        text,
        Number(amperes),
        Number(hundreds) * 100,
        1,
        tab === 'A' ? ', isolated tab' : ', live tab',
      ),
  },
  {
    name: 'triac-T-number',
    pattern: /^T(\d{1,2})(05|10|35|50)[-]?(\d)00([A-Z]{0,2})$/,
    yields: 'amperes, gate current in milliamperes, hundreds of volts',
    prior: 0.85,
    source: PRACTICE,
    example: 'T405-600',
    read: ([text, amperes, , hundreds]) => thyristor('triac', text, Number(amperes), Number(hundreds) * 100),
  },
  {
    name: 'triac-Q-number',
    pattern: /^[QL]([2468])0(\d{2})[A-Z]{0,2}\d?$/,
    yields: 'hundreds of volts, then amperes',
    prior: 0.85,
    source: PRACTICE,
    example: 'Q4015L5',
    read: ([text, hundreds, amperes]) => thyristor('triac', text, Number(amperes), Number(hundreds) * 100),
  },
  {
    name: 'thyristor-TIC',
    pattern: /^TIC(106|116|126|206|216|226|236|246)([BDEMSN])$/,
    yields: 'a type number for kind and amperes, a letter for the volts',
    prior: 0.93,
    source: 'multi-source datasheets, from memory',
    example: 'TIC226D',
    read([text, number = '', letter = '']) {
      const amperes = { 106: 5, 116: 8, 126: 12, 206: 4, 216: 6, 226: 8, 236: 12, 246: 16 }[number];
      const volts = VOLT_LETTERS[letter];
      if (amperes === undefined || volts === undefined) return undefined;
      return thyristor(number.startsWith('1') ? 'scr' : 'triac', text, amperes, volts);
    },
  },
  {
    name: 'scr-TYN',
    pattern: /^TYN([468]|10|12)(\d{2})[A-Z]*$/,
    yields: 'hundreds of volts, then amperes',
    prior: 0.93,
    source: PRACTICE,
    example: 'TYN612',
    read: ([text, hundreds, amperes]) => thyristor('scr', text, Number(amperes), Number(hundreds) * 100),
  },
  {
    name: 'scr-S-number',
    pattern: /^S([468])0(\d{2})[LRDVN]{1,2}\d?$/,
    yields: 'hundreds of volts, then amperes, a letter for the case',
    prior: 0.85,
    source: PRACTICE,
    example: 'S6025L',
    read: ([text, hundreds, amperes]) => thyristor('scr', text, Number(amperes), Number(hundreds) * 100),
  },
  {
    name: 'scr-P-M',
    pattern: /^([2358])P([4-6])M[A-Z]?$/,
    yields: 'amperes, P, hundreds of volts, M',
    prior: 0.85,
    source: 'multi-source datasheets, from memory',
    example: '2P4M',
    read: ([text, amperes, hundreds]) => thyristor('scr', text, Number(amperes), Number(hundreds) * 100),
  },
  {
    name: 'thyristor-letter-tenths',
    pattern: /^([XPZ])(\d{2})(\d{2})([BDMNS])[A-Z]?(?:\s.*)?$/,
    yields: 'X or P for a thyristor, Z for a triac, tenths of amperes, a letter for the volts',
    prior: 0.9,
    source: 'multi-source datasheets, from memory',
    example: 'X0405MF',
    read([text, letter, tenths, , volts = '']) {
      const kind = letter === 'Z' ? 'triac' : 'scr';
      const vdrm = VOLT_LETTERS[volts];
      const itRms = Number(tenths) === 1 ? (kind === 'triac' ? 1 : 0.8) : Number(tenths);
      return vdrm === undefined ? undefined : thyristor(kind, text, itRms, vdrm);
    },
  },
  {
    name: 'triac-MAC',
    pattern: /^MAC(\d{1,2})([DMN])G?$/,
    yields: 'amperes and a letter for the volts',
    prior: 0.88,
    source: 'multi-source datasheets, from memory',
    example: 'MAC12N',
    read: ([text, amperes, letter = '']) => thyristor('triac', text, Number(amperes), VOLT_LETTERS[letter] ?? 600),
  },
  {
    name: 'scr-C106',
    pattern: /^C106([BDEMSN])\d?$/,
    yields: 'a letter for the volts on a 4 A thyristor',
    prior: 0.9,
    source: 'multi-source datasheets, from memory',
    example: 'C106D',
    read: ([text, letter = '']) => thyristor('scr', text, 4, VOLT_LETTERS[letter] ?? 0),
  },
];
