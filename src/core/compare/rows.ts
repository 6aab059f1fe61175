import { practice } from '../evidence';
import { formatQuantity, type Unit } from '../quantity';
import type { RolePart, Subject } from './subject';

/** How far units differ at a place. */
export type Change = 'changed' | 'slightly' | 'same' | 'unknown';

/** One place of two to five units, side by side. */
export interface CompareRow {
  readonly label: string;
  /** What stands there, by unit; empty where nothing is known. */
  readonly cells: readonly { readonly text: string; readonly watts?: number; readonly why?: string }[];
  readonly change: Change;
  /** What the difference is, from the first to the last. */
  readonly says: string;
}

/** When a difference is told, and a lack; common practice, no source. */
export const RULES = practice({
  /** Watts of every 100 from which a difference counts, and from which it is small. */
  changed: 0.5,
  slightly: 0.1,
  /** Parts logged from which a role that is not there is missing. */
  logged: 12,
});

/** A figure with its unit; empty where it is not known. */
export const q = (value: number | undefined, unit: Unit, digits = 3) =>
  value === undefined ? '' : formatQuantity(value, unit, { digits });

/** Litres of a unit. */
export const litres = ({ size }: Subject) => size && size.length * size.width * size.height * 1e3;

/** What a part is, in a few words. */
function partText(part: RolePart | undefined): string {
  if (!part) return '';
  const { ratings } = part;
  const of = (name: string, unit: Unit) => (ratings[name] === undefined ? '' : q(ratings[name], unit));
  const words = /mos|igbt/u.test(part.kind)
    ? [of('vds', 'volt'), of('rdsOn', 'ohm')]
    : /diode/u.test(part.kind)
      ? [/schottky/iu.test(part.subtype) ? 'Schottky' : part.subtype, of('vrrm', 'volt')]
      : /capacitor/u.test(part.kind)
        ? [of('capacitance', 'farad'), of('voltage', 'volt')]
        : /thermistor|varistor|resistor/u.test(part.kind)
          ? [of('r25', 'ohm') || of('resistance', 'ohm'), of('vn', 'volt')]
          : /fuse/u.test(part.kind)
            ? [part.subtype, of('current', 'ampere')]
            : [part.package];
  return words.filter((word) => word !== '').join(', ') || part.marking || 'there';
}

/** What parts of one role are: the first, and how many. */
export const textOf = (parts: readonly RolePart[] | undefined): string => {
  if (!parts || parts.length === 0) return '';
  const [one] = parts;
  return parts.length > 1 ? `${parts.length} × ${partText(one)}` : partText(one);
};

/** A place that is told in words alone. */
export function plainRow(label: string, texts: readonly string[], says = ''): CompareRow {
  const known = texts.filter((text) => text !== '');
  const change: Change = known.length < texts.length ? 'unknown' : new Set(known).size > 1 ? 'slightly' : 'same';
  return {
    label,
    cells: texts.map((text) => ({ text })),
    change,
    says: says || (change === 'same' ? 'the same' : change === 'unknown' ? 'not known of all' : ''),
  };
}
