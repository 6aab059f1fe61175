import { PRACTICE, practice } from '../../evidence';
import { DATASHEETS, type Draft, type MarkingContext, type MarkingRule } from '../decoding';
import { DIODE_FAMILIES, LETTERED_FAMILIES, VOLTAGE_LETTERS, type DiodeTechnology } from '../types/diodeTypes';

type DiodeKind = 'diode' | 'dual-diode';

const NAMES: Readonly<Record<string, string>> = { schottky: 'Schottky', fast: 'ultrafast', rectifier: 'rectifier' };

function diode(
  text: string,
  of: { ifav: number; vrrm: number; technology: DiodeTechnology | 'silicon carbide'; kind?: DiodeKind; share?: number },
): Draft {
  const { ifav, vrrm, technology, kind = 'diode', share = 1 } = of;
  const both = kind === 'dual-diode' ? ', both legs together' : '';
  return {
    kind,
    ratings: { ifav, vrrm },
    facts: { technology },
    why: `${text}: ${ifav} A, ${vrrm} V ${NAMES[technology] ?? technology}${both}`,
    share,
  };
}

const kindOf = (dual: boolean, { kind }: MarkingContext): DiodeKind =>
  dual || kind === 'dual-diode' ? 'dual-diode' : 'diode';

/** `2045` 20 A 45 V, `20100` 20 A 100 V, `745` 7.5 A 45 V, `1060` 10 A 60 V, `3100` 3 A 100 V. Common practice, no source. */
function splitCurrentVoltage(digits: string): { current: number; voltage: number } | undefined {
  if (digits.length === 2) return { current: Number(digits[0]), voltage: Number(digits[1]) * 10 };
  if (digits.length === 3)
    return { current: digits.startsWith('7') ? 7.5 : Number(digits[0]), voltage: Number(digits.slice(1)) };
  // One ampere digit and three of volts, where two and two would leave volts that no part has.
  if (digits.length === 4 && /^[1-9](?:100|150|200)$/.test(digits))
    return { current: Number(digits[0]), voltage: Number(digits.slice(1)) };
  return digits.length <= 5 ? { current: Number(digits.slice(0, 2)), voltage: Number(digits.slice(2)) } : undefined;
}

/** Silicon Schottky rectifiers hold no more; above, it is silicon carbide. */
const HIGHEST_SCHOTTKY = practice(250);
const SCHOTTKY_VOLTS = [15, 20, 25, 30, 35, 40, 45, 50, 60, 80, 90, 100, 120, 150, 200, 250];
const TAB_PACKAGES = ['TO-220', 'TO-220FP', 'TO-247', 'TO-3P', 'D2PAK', 'DPAK'];

function schottky(text: string, digits: string, dual: boolean, context: MarkingContext, share = 1): Draft | undefined {
  const amounts = splitCurrentVoltage(digits);
  if (!amounts || amounts.current < 1 || amounts.voltage > HIGHEST_SCHOTTKY || amounts.voltage < 10) return undefined;
  return diode(text, {
    ifav: amounts.current,
    vrrm: amounts.voltage,
    technology: 'schottky',
    kind: kindOf(dual, context),
    share: share * (SCHOTTKY_VOLTS.includes(amounts.voltage) ? 1 : 0.5),
  });
}

/** Rules for rectifiers, single and dual. */
export const DIODE_RULES: readonly MarkingRule[] = [
  {
    name: 'diode-family',
    pattern: new RegExp(`^(${DIODE_FAMILIES.map(({ stem }) => stem).join('|')})(\\d)(?:[AGPS]|GP)?$`),
    yields: 'a place in the family’s list of volts',
    prior: 0.92,
    source: DATASHEETS,
    example: '1N4007',
    read([text, stem, place]) {
      const family = DIODE_FAMILIES.find((one) => one.stem === stem);
      const vrrm = family?.volts[Number(place) - family.first];
      return family && vrrm !== undefined
        ? diode(text, { ifav: family.current, vrrm, technology: family.technology })
        : undefined;
    },
  },
  {
    name: 'chip-rectifier',
    pattern: /^M([1-7])$/,
    yields: 'the 1N4001 list on a chip rectifier',
    prior: 0.7,
    alone: 0.4,
    source: PRACTICE,
    example: 'M7',
    read: ([text, place]) =>
      diode(text, { ifav: 1, vrrm: DIODE_FAMILIES[0]?.volts[Number(place) - 1] ?? 0, technology: 'rectifier' }),
  },
  {
    name: 'lettered-rectifier',
    pattern: new RegExp(`^(${LETTERED_FAMILIES.map(({ stem }) => stem).join('|')})(\\d{0,2})([ABCDEGHJKM])[BCF]?$`),
    yields: 'amperes and a letter for the volts',
    prior: 0.88,
    alone: 0.7,
    source: DATASHEETS,
    example: 'RS1M',
    read([text, stem = '', amperes, letter = '']) {
      const family = LETTERED_FAMILIES.find(
        (one) => one.stem === stem && (one.current === undefined) === (amperes !== ''),
      );
      const vrrm = VOLTAGE_LETTERS[letter];
      const ifav = family?.current ?? Number(amperes);
      if (!family || vrrm === undefined || ifav < 1 || ifav > 16) return undefined;
      return diode(text, { ifav, vrrm, technology: family.technology, share: stem === 'S' ? 0.8 : 1 });
    },
  },
  {
    name: 'ultrafast-number',
    pattern: /^(?:MUR|BYR|UR|SFF|UG|F)([1-9]\d?)(100|120|\d{2})(CT|C|PT|G|R|A|E|F)*$/,
    yields: 'amperes, then volts by ten; 100 and 120 are three digits',
    prior: 0.92,
    alone: 0.85,
    source: PRACTICE,
    example: 'MUR1560',
    read([text, , volts = ''], context) {
      const digits = /\d+/.exec(text)?.[0] ?? '';
      // MUR460 splits into 4 and 60, MUR1560 into 15 and 60, MUR1100 into 1 and 100.
      const wide = /(?:100|120)$/.test(digits) && digits.length >= 4;
      const tail = wide ? digits.slice(-3) : digits.slice(-2);
      const ifav = Number(digits.slice(0, -tail.length));
      const vrrm = Number(tail) * 10;
      if (volts === '' || ifav < 1 || vrrm < 50 || (!text.startsWith('MUR') && ![200, 400, 600].includes(vrrm)))
        return undefined;
      return diode(text, {
        ifav,
        vrrm,
        technology: 'fast',
        kind: kindOf(/C?T$|C$/.test(text), context),
        share: text.startsWith('MUR') ? 1 : 0.7,
      });
    },
  },
  {
    name: 'hyperfast-number',
    pattern: /^(?:RHR|RUR|ISL9R)[A-Z]{0,2}(\d{1,2})(60|80|90|100|120)[A-Z]*\d?$/,
    yields: 'amperes, then volts by ten',
    prior: 0.92,
    source: PRACTICE,
    example: 'RHRP1560',
    read: ([text, amperes, volts]) =>
      diode(text, { ifav: Number(amperes), vrrm: Number(volts) * 10, technology: 'fast' }),
  },
  {
    name: 'fast-hundreds',
    pattern: /^STTH([1-9]\d{0,2}?)[A-Z]?(\d{2})[A-Z]{0,3}$/,
    yields: 'amperes, then hundreds of volts',
    prior: 0.9,
    source: PRACTICE,
    example: 'STTH8L06',
    read([text, amperes, volts], context) {
      const vrrm = Number(volts) * 100;
      if (vrrm < 200 || vrrm > 1200) return undefined;
      return diode(text, {
        ifav: Number(amperes),
        vrrm,
        technology: 'fast',
        kind: kindOf(/C[TWG]*$/.test(text), context),
      });
    },
  },
  {
    name: 'current-C-volts',
    pattern: /^[FS]?(\d{1,2})C(20|40|60|45|100|150)C?[A-Z]?$/,
    yields: 'amperes, C, volts: by ten on ultrafast ones',
    prior: 0.8,
    alone: 0.6,
    source: PRACTICE,
    example: 'F16C20C',
    read([text, amperes, volts], context) {
      const schottkyVolts = Number(volts) >= 45;
      const fast = !text.startsWith('S') && !schottkyVolts;
      return diode(text, {
        ifav: Number(amperes),
        vrrm: Number(volts) * (fast ? 10 : 1),
        technology: fast ? 'fast' : 'schottky',
        kind: kindOf(true, context),
      });
    },
  },
  {
    name: 'small-schottky',
    pattern: /^(?:SS|SK|SX|DSK|SL)([1-9])(\d{1,2})[A-F]?$/,
    yields: 'amperes and tens of volts on a chip Schottky',
    prior: 0.9,
    alone: 0.82,
    source: PRACTICE,
    example: 'SS34',
    read([text, amperes, tens]) {
      const vrrm = tens === '10' || (tens ?? '').length === 1 ? Number(tens) * 10 : Number(tens) * 10;
      return vrrm < 20 || vrrm > 200 ? undefined : diode(text, { ifav: Number(amperes), vrrm, technology: 'schottky' });
    },
  },
  {
    name: 'schottky-number',
    pattern:
      /^(?:MBR[A-Z]{0,2}|P?BYR|SBL[A-Z]?|SBR|SB|SR[A-Z]?|STPS|SBT|SBG|VB?|B(?=\d{4})|S)(\d{2,5}|\d{1,2}[HLTVAU]\d{2,3})(CT|CP|CW|C|PT|PG|SG|FCT|FT|F|G|T|LCT|T3|L)*$/,
    yields: 'amperes, then volts as written',
    prior: 0.92,
    alone: 0.88,
    source: PRACTICE,
    example: 'MBR20100CT',
    read([text], context) {
      // A letter may part the two, as in MBR30H100 or STPS30L60.
      const stem = /^[A-Z]+/.exec(text)?.[0] ?? '';
      const parted = /^[A-Z]+(\d{1,2})[HLTVAU](\d{2,3})/.exec(text);
      const digits = parted ? `${parted[1]}${parted[2]}` : (/\d+/.exec(text)?.[0] ?? '');
      if ((stem === 'S' || stem === 'V' || stem === 'VB') && digits.length < 4) return undefined;
      const dual = /(?:CT|C|CP|CW|PT)G?$/.test(text);
      const share = stem.length >= 2 ? 1 : 0.6;
      // SR and SB with three digits say volts in full, SR3100 three amperes and a hundred volts.
      if (/^S[BR]$/.test(stem) && digits.length === 3) {
        const ends = Number(digits.slice(1));
        const vrrm = ends === 10 ? 100 : ends;
        return diode(text, { ifav: Number(digits[0]), vrrm, technology: 'schottky', kind: kindOf(dual, context) });
      }
      return schottky(text, digits, dual, context, share);
    },
  },
  {
    name: 'hyperfast-HFA',
    pattern: /^HFA(\d{2})[TP][AB](60|120)[A-Z]{0,2}$/,
    yields: 'amperes, letters for the case, volts by ten',
    prior: 0.93,
    source: DATASHEETS,
    example: 'HFA15PB60',
    read: ([text, amperes, tens], context) =>
      diode(text, {
        ifav: Number(amperes),
        vrrm: Number(tens) * 10,
        technology: 'fast',
        kind: kindOf(/C$/.test(text), context),
      }),
  },
  {
    name: 'fast-UP',
    pattern: /^(?:FFPF|FFP|FFA|FFH|FFAF|RURP|RURG)(\d{1,2})U?[PA]?(\d{2,3})(S|D|DN|DS)?[A-Z]*$/,
    yields: 'amperes, letters, volts by ten; D for two in one case',
    prior: 0.88,
    source: DATASHEETS,
    example: 'FFPF10UP60S',
    read([text, amperes, tens, tail = ''], context) {
      const vrrm = Number(tens) * 10;
      return vrrm < 100 || vrrm > 1500
        ? undefined
        : diode(text, { ifav: Number(amperes), vrrm, technology: 'fast', kind: kindOf(tail.startsWith('D'), context) });
    },
  },
  {
    name: 'fast-STTA',
    pattern: /^STT[AB](\d{1,2}?)(02|04|06|12)[A-Z]{0,3}$/,
    yields: 'amperes, then hundreds of volts',
    prior: 0.9,
    source: DATASHEETS,
    example: 'STTA806D',
    read: ([text, amperes, hundreds]) =>
      diode(text, { ifav: Number(amperes), vrrm: Number(hundreds) * 100, technology: 'fast' }),
  },
  {
    name: 'fast-STPR',
    pattern: /^(?:STPR|BYW|BYT)(\d{1,2})(20|40|30|60)(CT|CG|CW|C|D|PI|F)[A-Z]*$/,
    yields: 'amperes, volts by ten, C for two in one case',
    prior: 0.85,
    source: DATASHEETS,
    example: 'STPR1620CT',
    read: ([text, amperes, tens, tail = ''], context) =>
      diode(text, {
        ifav: Number(amperes),
        vrrm: Number(tens) * 10,
        technology: 'fast',
        kind: kindOf(tail.startsWith('C'), context),
      }),
  },
  {
    name: 'fast-SF-place',
    pattern: /^(SFA|SFAF|SFS|SF|MURF?|ERS|GUR)(\d{1,2})0([1-8])(C|CT|G|CG|CTG|A)?$/,
    yields: 'amperes, then a place in the list of volts',
    prior: 0.85,
    source: DATASHEETS,
    example: 'SFAF1604G',
    read([text, stem = '', amperes, place]) {
      if (!stem.startsWith('SF')) return undefined;
      const vrrm = [50, 100, 150, 200, 300, 400, 500, 600][Number(place) - 1] ?? 0;
      const dual = Number(amperes) >= 16;
      return diode(text, { ifav: Number(amperes), vrrm, technology: 'fast', kind: dual ? 'dual-diode' : 'diode' });
    },
  },
  {
    name: 'fast-FE-letter',
    pattern: /^(FES|FEP|GI|UG|UGF|SFF|BYQ|MUR|F[EF]PF|UGB)(\d{1,2})([ABCDFGHJ])(?:T|CT|P|PT|TG)$/,
    yields: 'amperes and a letter for the volts; P for two in one case',
    prior: 0.88,
    source: DATASHEETS,
    example: 'FEP16DT',
    read([text, stem = '', amperes, letter = ''], context) {
      const vrrm = { A: 50, B: 100, C: 150, D: 200, F: 300, G: 400, H: 500, J: 600 }[letter];
      const dual = stem === 'FEP' || /CT$/.test(text);
      return vrrm === undefined
        ? undefined
        : diode(text, { ifav: Number(amperes), vrrm, technology: 'fast', kind: kindOf(dual, context) });
    },
  },
  {
    name: 'volts-behind-dash',
    pattern: /^(BY[A-Z])(\d{1,2})[EFXDJPU]*-(\d{2,4})[A-Z]?$/,
    yields: 'a type number, then volts as written',
    prior: 0.9,
    source: 'Pro Electron numbering and datasheets, from memory',
    example: 'BYV42E-200',
    read([text, stem = '', number, volts]) {
      const vrrm = Number(volts);
      if (vrrm < 50 || vrrm > 1500) return undefined;
      // The thirties and forties hold two diodes in one case, the BYQ too.
      const dual =
        stem === 'BYQ' ||
        (/^BY[VR]$/.test(stem) && /^(?:32|34|42|44|72|74)$/.test(number ?? '')) ||
        (stem === 'BYW' && /^(?:51|99)$/.test(number ?? ''));
      const kind = dual ? 'dual-diode' : 'diode';
      const technology = stem === 'BYV' && vrrm <= 45 ? 'schottky' : 'fast';
      return { kind, ratings: { vrrm }, facts: { technology }, why: `${text}: ${NAMES[technology]}, ${vrrm} V` };
    },
  },
  {
    name: 'fast-DSE',
    pattern: /^DSE[CIPK]+(\d{1,3})-(02|03|04|06|08|10|12)[A-Z]{0,2}$/,
    yields: 'amperes, then hundreds of volts',
    prior: 0.92,
    source: DATASHEETS,
    example: 'DSEI12-06A',
    read: ([text, amperes, hundreds], context) =>
      diode(text, {
        ifav: Number(amperes),
        vrrm: Number(hundreds) * 100,
        technology: 'fast',
        kind: kindOf(/^DSE[CK]/.test(text), context),
      }),
  },
  {
    name: 'fast-F-U',
    pattern: /^(?:F|U|FMX|FMU)(\d{1,2})U?(20|30|40|60)(S|DN|DS|C|G|CT)?[A-Z]?$/,
    yields: 'amperes, U, volts by ten',
    prior: 0.85,
    alone: 0.7,
    source: DATASHEETS,
    example: 'F20U60DN',
    read: ([text, amperes, tens, tail = ''], context) =>
      diode(text, {
        ifav: Number(amperes),
        vrrm: Number(tens) * 10,
        technology: 'fast',
        kind: kindOf(/^D|C/.test(tail), context),
        share: /^F\d/.test(text) && !/U/.test(text) ? 0.3 : 1,
      }),
  },
  {
    name: 'esad-place',
    pattern: /^(?:ESA|ESAC|C)?(D83|D92|C92|C63|D39|D25|C25|C82|C39)M?-?(004|006|01|02|03|04|06)[A-Z]?$/,
    yields: 'a type number, then hundreds of volts; 004 is 40 V',
    prior: 0.88,
    source: DATASHEETS,
    example: 'D92-02',
    read([text, number, volts = '']) {
      const vrrm = volts.startsWith('00') ? Number(volts) * 10 : Number(volts) * 100;
      const technology = volts.startsWith('00') ? 'schottky' : 'fast';
      const ifav = number === 'D83' ? 30 : number === 'D92' ? 20 : undefined;
      return {
        kind: 'dual-diode',
        ratings: { vrrm, ...(ifav === undefined ? {} : { ifav }) },
        facts: { technology },
        why: `${text}: two ${NAMES[technology]} diodes, ${vrrm} V`,
      };
    },
  },
  {
    name: 'schottky-L-volts',
    pattern:
      /^(?:VS-)?(\d{1,3})(?:L|H|T|CTQ|CPQ|CWQ|TQ|BQ|MQ)(015|020|025|030|035|040|045|050|060|080|15|20|25|30|35|40|45|50|60|80|100|120|150|200)(CT|PT|CTS|CW|S|PBF)*$/,
    yields: 'amperes, letters, volts as written; C for two in one case',
    prior: 0.9,
    alone: 0.85,
    source: DATASHEETS,
    example: '30L60CT',
    read: ([text, amperes, volts], context) =>
      diode(text, {
        ifav: Number(amperes),
        vrrm: Number(volts),
        technology: 'schottky',
        kind: kindOf(/C/.test(text), context),
      }),
  },
  {
    name: 'schottky-B-chip',
    pattern: /^B(0?[1-9]|05|10)(20|30|40|50|60|80|100)(?:[ABC]|LA|LB|W|WS|CA|AF|Q|LW)?[A-Z]?$/,
    yields: 'amperes, volts as written, a letter for the chip case',
    prior: 0.9,
    source: DATASHEETS,
    example: 'B340A',
    read: ([text, amperes = '', volts]) =>
      diode(text, {
        ifav: amperes === '05' ? 0.5 : Number(amperes),
        vrrm: Number(volts),
        technology: 'schottky',
        // Without a letter behind it this is a JIS number as often.
        share: /\d$/.test(text) ? 0.5 : 1,
      }),
  },
  {
    name: 'silicon-carbide',
    pattern: /^(?:[A-Z]\dD|ID[HWDK]|STPSC|SCS2|FFS[PHM])(\d{1,2})[GSEH]?(060|065|120|170|60|65|06|A)[A-Z]{0,2}\d?$/,
    yields: 'amperes, then volts by ten, on silicon carbide',
    prior: 0.9,
    source: PRACTICE,
    example: 'C3D06060A',
    read: ([text, amperes, volts]) =>
      diode(text, {
        ifav: Number(amperes),
        vrrm: volts === 'A' ? 650 : volts === '06' ? 600 : Number(volts) * 10,
        technology: 'silicon carbide',
      }),
  },
  {
    name: 'bare-digits',
    pattern: /^(\d{3,5})(CT)?$/,
    yields: 'amperes, then volts; the technology stays open where both are made',
    prior: 0.9,
    alone: 0.8,
    source: PRACTICE,
    example: '2045CT',
    read([text, digits = '', dual], context) {
      const isDiode = context.kind === 'diode' || context.kind === 'dual-diode';
      const tab = context.package !== undefined && TAB_PACKAGES.includes(context.package);
      if (!(isDiode || tab || dual) || (digits.length === 3 && !isDiode && !dual)) return undefined;
      const amounts = splitCurrentVoltage(digits);
      if (!amounts || amounts.current < 1 || amounts.voltage < 20 || amounts.voltage > HIGHEST_SCHOTTKY)
        return undefined;
      const kind = kindOf(dual !== undefined, context);
      const open = [20, 40, 60].includes(amounts.voltage);
      const asSchottky = diode(text, {
        ifav: amounts.current,
        vrrm: amounts.voltage,
        technology: 'schottky',
        kind,
        share: open ? 0.53 : 0.8,
      });
      const known = SCHOTTKY_VOLTS.includes(amounts.voltage);
      if (!open) return known ? asSchottky : { ...asSchottky, share: 0.3 };
      return [
        {
          ...asSchottky,
          why: `${text}: ${amounts.current} A, ${amounts.voltage} V if Schottky: it drops under 0.35 V`,
        },
        {
          ...diode(text, { ifav: amounts.current, vrrm: amounts.voltage * 10, technology: 'fast', kind, share: 0.47 }),
          why: `${text}: ${amounts.current} A, ${amounts.voltage * 10} V if ultrafast: it drops over 0.45 V`,
        },
      ];
    },
  },
];
