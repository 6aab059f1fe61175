import { PRACTICE } from '../../evidence';
import type { MarkingRule } from '../decoding';

/** What a number's letters tell of a chip whose data stand in a datasheet only. */
interface Prefix {
  /** Matches the whole number. */
  readonly pattern: RegExp;
  readonly kind: 'ic' | 'optocoupler' | 'shunt-reference' | 'regulator';
  readonly is: string;
}

const BEHIND = '[A-Z]{0,4}\\d{0,2}[A-Z]{0,2}(?:-\\d{1,3}[A-Z]{0,2})?';
const of = (stems: string, digits: string, kind: Prefix['kind'], is: string): Prefix => ({
  pattern: new RegExp(`^(?:${stems})-?${digits}${BEHIND}$`),
  kind,
  is,
});

/** Letters of makers' series with what they are. Source: datasheets of several makers, from memory. */
const PREFIXES: readonly Prefix[] = [
  of(
    'PC',
    '(?:1[01]\\d|12[0-9]|3[56]\\d|4\\d\\dH?|5\\d\\d|6\\d\\d|7\\d\\d|8[0-9]\\d|8[0-9]{3})',
    'optocoupler',
    'optocoupler',
  ),
  of(
    'LTV|EL|CT|FOD|KB|BPC|ISP|OR|TCET|TCLT|SFH|CNY|CNX|IL|ILD|ILQ|IS|QTC|KPC|ACPL|HCPL|HCNW|HCNR|MCT|H11[A-Z]|MCA|MCD',
    '\\d{1,4}',
    'optocoupler',
    'optocoupler',
  ),
  of('TLP|PS2|PS9|PS8', '\\d{3,4}', 'optocoupler', 'optocoupler'),
  of('MOC', '\\d{4}', 'optocoupler', 'optocoupler, of these many with a triac'),
  of('K10|K31|K21|K41', '\\d{2}', 'optocoupler', 'optocoupler'),
  of('ON', '\\d{4}', 'optocoupler', 'optocoupler'),
  of(
    '(?:TL|TLV|TLVH|LM|LMV|AZ|AS|KA|KIA|TS|UA|APL|SC|AP|UTC|ZR|ATL|G|HA17|CJ|NCP|SPX|RT|WS|BL)',
    '43[12]',
    'shunt-reference',
    'shunt reference',
  ),
  of('STR-?[A-Z]{0,2}|STRW|STR', '\\d{3,5}', 'ic', 'switcher or hybrid regulator'),
  of(
    'TDA|TEA|TCA|TBA|SAA|L65|L66|L49|VIPER|VIPER?GAN|TNY|TOP|LNK|INN|TFS|HFS|PLC|SC',
    '\\d{1,5}',
    'ic',
    'chip of a supply',
  ),
  of(
    'NCP|NCL|FAN|FSQ|FSL|FSB|FSCQ|FSFR|FSEZ|FSD[A-Z]{0,2}|KA|ICE|ICL|IR[SD]?|IRS|UC|UCC|UCD|TPS|TPA|LT|LTC|LM|LMC|MC|MP|AP|APW|RT|RTQ|RY',
    '\\d{2,5}',
    'ic',
    'chip',
  ),
  of(
    'FA|SSC|OB|LD|SG|CR|GR|CM|ML|AT|ATX|WT|PS|TSM|TSH|SEM|DM|DH|DL|DK|PN|SM|SD|SP|THX|RM|CSC|BM|BP|SY|JW|ME|HT|AZ|AS|XL|SC|EUP|RU|UT|BIT|G|MAX|PF|PFS|AIC|CD|HEF|HCF|TC|MIC|IXD[DNI]|EL|ISL|HIP|ACT|AO|AOZ|BD|BA|AN|UPC|UPD|M5|MB|NJM|RC|CA|SE|NE|HA|LF|TL|OP|AD|ADP|PIC|STM|ATMEGA|ATTINY',
    '\\d{2,5}',
    'ic',
    'chip',
  ),
  of('ICE\\d[A-Z]{1,3}', '\\d{2,5}', 'ic', 'controller or switcher'),
  of('PQ', '\\d{0,3}[A-Z]{1,2}\\d{1,3}', 'regulator', 'low-drop regulator'),
  {
    pattern:
      /^(?:PIC\d{2}|ATTINY|ATMEGA|AT24|STM\d{2}|24[CL]|93[CL]|25[QLX]|74[A-Z]{1,4}|CD4|HEF4|HCF4|MC14|ISO|ADUM|SI8|EFM|PCF|N76E|GD32)[A-Z0-9]{2,12}$/,
    kind: 'ic',
    is: 'logic, memory, isolator or microcontroller',
  },
  {
    pattern: /^(?:4558|4580|5532|4560|2904|2903|358|393|339|324)[A-Z]{0,2}$/,
    kind: 'ic',
    is: 'amplifier or comparator',
  },
  { pattern: /^(?:5[MLHQ]|1[MLH])\d{4}[A-Z]{0,3}$/, kind: 'ic', is: 'switcher' },
  { pattern: /^(?:DMG?|DP|DPA|FS)\d{3,5}[A-Z]{1,3}$/, kind: 'ic', is: 'switcher' },
];

/** A prefix tells the kind and no data; short ones are shared by other kinds, so that a pattern that reads data goes before. */
const SHORT = /^[A-Z]{2}\d/;

/** Rules for chips by the letters before their number. */
export const CHIP_PREFIX_RULES: readonly MarkingRule[] = [
  {
    name: 'chip-prefix',
    pattern: /^[A-Z0-9-]{4,16}$/,
    yields: 'the kind by a maker’s letters; data stand in the datasheet',
    prior: 0.75,
    alone: 0.48,
    source: PRACTICE,
    example: 'PC844',
    read([text]) {
      const found = PREFIXES.find(({ pattern }) => pattern.test(text));
      return (
        found && {
          kind: found.kind,
          ratings: {},
          why: `${text}: ${found.is} by its letters; the number carries no data, look it up`,
          share: found.kind === 'ic' && SHORT.test(text) ? 0.6 : 1,
        }
      );
    },
  },
];
