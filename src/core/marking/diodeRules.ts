import { BRIDGE_LETTERS, DIODE_FAMILIES, DIODE_TYPES } from './diodeTables';
import type { MarkingRule, Reading } from './reading';

const diode = (
  ifav: number,
  vrrm: number,
  technology: string,
  rule: string,
  confidence: number,
  why: string,
  kind: 'diode' | 'dual-diode' = 'diode',
): Reading => ({
  kind,
  confidence,
  rule,
  ratings: { ifav, vrrm },
  facts: { technology },
  why,
});

/** Families with a list of voltages: 1N4007, UF4004, FR107, 1N5822. */
export const diodeFamilies: MarkingRule = (marking) =>
  DIODE_FAMILIES.flatMap((family) => {
    const place = family.pattern.exec(marking)?.[1];
    const vrrm = place === undefined ? undefined : family.volts[Number(place) - family.first];
    return vrrm === undefined
      ? []
      : [
          diode(
            family.current,
            vrrm,
            family.technology,
            'diode-family',
            marking.startsWith('M') ? 0.5 : 0.9,
            `${marking}: ${family.current} A, ${vrrm} V, ${family.technology}`,
          ),
        ];
  });

/** Numbers that name one diode: 1N4148. */
export const diodeTypes: MarkingRule = (marking) =>
  DIODE_TYPES.filter(({ pattern }) => pattern.test(marking)).map(({ volts, current, technology }) =>
    diode(current, volts, technology, 'diode-type', 0.9, `${marking}: ${current} A, ${volts} V, ${technology}`),
  );

/** Schottky and ultrafast numbers with a prefix: MBR20100, SB560, SS34, MUR1560. */
export const prefixedRectifier: MarkingRule = (marking, { kind }) => {
  const ultrafast = /^MUR(\d{1,2}?)(100|120|\d{2})[A-Z]*$/.exec(marking);
  if (ultrafast?.[1] && ultrafast[2]) {
    const current = Number(ultrafast[1]);
    const vrrm = Number(ultrafast[2]) * 10;
    const dual = marking.endsWith('CT') || kind === 'dual-diode';
    const why = `${marking}: ${current} A, ${vrrm} V ultrafast${dual ? ', both legs together' : ''}`;
    return [diode(current, vrrm, 'fast', 'prefixed-rectifier', 0.9, why, dual ? 'dual-diode' : 'diode')];
  }
  const small = /^S[SRK](\d)(\d{1,2})$/.exec(marking);
  if (small?.[1] && small[2]) {
    const vrrm = Number(small[2]) * 10;
    return [
      diode(
        Number(small[1]),
        vrrm,
        'schottky',
        'prefixed-rectifier',
        0.9,
        `${marking}: ${small[1]} A, ${vrrm} V Schottky`,
      ),
    ];
  }
  const short = /^S[BR](\d)(\d{2})$/.exec(marking);
  if (short?.[1] && short[2]) {
    const vrrm = Number(short[2]) === 10 ? 100 : Number(short[2]);
    return [
      diode(
        Number(short[1]),
        vrrm,
        'schottky',
        'prefixed-rectifier',
        0.9,
        `${marking}: ${short[1]} A, ${vrrm} V Schottky`,
      ),
    ];
  }
  const split = /^(?:MBRF?|SBL|SB|STPS|SBR)(\d+)[A-Z]*$/.exec(marking)?.[1];
  const amounts = split && splitCurrentVoltage(split);
  if (!amounts) return [];
  const dual = /CT|C$/.test(marking) || kind === 'dual-diode';
  const why = `${marking}: ${amounts.current} A, ${amounts.voltage} V Schottky${dual ? ', both legs together' : ''}`;
  return [
    diode(amounts.current, amounts.voltage, 'schottky', 'prefixed-rectifier', 0.9, why, dual ? 'dual-diode' : 'diode'),
  ];
};

/** `2045` 20 A 45 V, `20100` 20 A 100 V, `745` 7.5 A 45 V, `1060` 10 A 60 V. Common practice, no source. */
function splitCurrentVoltage(digits: string): { current: number; voltage: number } | undefined {
  if (digits.length === 3)
    return { current: digits.startsWith('7') ? 7.5 : Number(digits[0]), voltage: Number(digits.slice(1)) };
  if (digits.length === 4) return { current: Number(digits.slice(0, 2)), voltage: Number(digits.slice(2)) };
  if (digits.length === 5) return { current: Number(digits.slice(0, 2)), voltage: Number(digits.slice(2)) };
  return undefined;
}

const TAB_PACKAGES = ['TO-220', 'TO-220FP', 'TO-247', 'TO-3P', 'D2PAK', 'DPAK'];

/** Plain digits on a tab package: current then volts; without a prefix the technology stays open. */
export const bareRectifierDigits: MarkingRule = (marking, { kind, package: case_ }) => {
  const isDiode = kind === 'diode' || kind === 'dual-diode';
  if (!/^\d{4,5}(?:CT)?$/.test(marking) || !(isDiode || (case_ !== undefined && TAB_PACKAGES.includes(case_))))
    return [];
  const amounts = splitCurrentVoltage(marking.replace('CT', ''));
  if (!amounts || amounts.voltage < 20) return [];
  const as: 'diode' | 'dual-diode' = marking.endsWith('CT') || kind === 'dual-diode' ? 'dual-diode' : 'diode';
  const fastVoltage = amounts.voltage * 10;
  const schottky = diode(
    amounts.current,
    amounts.voltage,
    'schottky',
    'bare-digits',
    0.5,
    `${amounts.current} A, ${amounts.voltage} V if Schottky: its forward drop is under 0.35 V`,
    as,
  );
  if (![20, 40, 60].includes(amounts.voltage)) return [{ ...schottky, confidence: 0.7 }];
  return [
    schottky,
    diode(
      amounts.current,
      fastVoltage,
      'fast',
      'bare-digits',
      0.45,
      `${amounts.current} A, ${fastVoltage} V if ultrafast: its forward drop is over 0.45 V`,
      as,
    ),
  ];
};

/** Bridges: `GBU4J`, `GBU806`, `KBP206`, `DB107`. Common practice, no source. */
export const bridges: MarkingRule = (marking) => {
  const bridge = (ifav: number, vrrm: number, confidence: number): Reading[] => [
    {
      kind: 'bridge',
      confidence,
      rule: 'bridge',
      ratings: { ifav, vrrm },
      why: `${marking}: bridge, ${ifav} A, ${vrrm} V`,
    },
  ];
  const family = /^DB10([1-7])S?$/.exec(marking)?.[1];
  if (family) return bridge(1, DIODE_FAMILIES[0]?.volts[Number(family) - 1] ?? 0, 0.85);
  const lettered = /^(?:GB[UJLP]|KB[UPLJ]|RS)(\d{1,2})([ABDGJKM])$/.exec(marking);
  if (lettered?.[1] && lettered[2]) return bridge(Number(lettered[1]), BRIDGE_LETTERS[lettered[2]] ?? 0, 0.85);
  const numbered = /^(?:GB[UJLP]|KB[UPLJ]C?|D[1235]SB)(\d{1,2})(005|01|02|04|06|08|10)$/.exec(marking);
  if (numbered?.[1] && numbered[2])
    return bridge(Number(numbered[1]), numbered[2] === '005' ? 50 : Number(numbered[2]) * 100, 0.85);
  return [];
};

/** Zeners that print their voltage: `BZX85C5V1`, `5V1`, `12V`. The letter is the tolerance. */
export const zeners: MarkingRule = (marking, { kind }) => {
  const match =
    /^(?:BZ[XVTY]\d{2}[-/]?)([BCD])?(\d{1,2})V(\d)?/.exec(marking) ??
    (kind === 'diode' ? /^([BCD])?(\d{1,2})V(\d)?$/.exec(marking) : null);
  if (!match?.[2]) return [];
  const vz = Number(`${match[2]}.${match[3] ?? '0'}`);
  const tolerance = { B: 0.02, C: 0.05, D: 0.1 }[match[1] ?? ''];
  return [
    {
      kind: 'diode',
      confidence: marking.startsWith('BZ') ? 0.9 : 0.6,
      rule: 'zener-voltage',
      ratings: { vz, ...(tolerance === undefined ? {} : { tolerance }) },
      facts: { technology: 'zener' },
      why: `${marking}: zener, ${vz} V`,
    },
  ];
};
