import { practice } from '../evidence';
import type { UnitKindName } from '../unit';

/** What holds a case together, and how people part it. */
export const SEAMS = practice({
  screws: { label: 'screws', tip: 'Look under labels, feet and grilles before you pull.' },
  snaps: {
    label: 'snaps',
    tip: 'Find the first one with a thin card; the others follow. Brittle plastic snaps off: warm it.',
  },
  glue: { label: 'glue', tip: 'A hot knife or a few knocks along the seam; keep the blade out of the case.' },
  weld: {
    label: 'ultrasonic weld',
    tip: 'Squeeze the seam in a vice, corner by corner, before you cut; wear eye protection.',
  },
  potted: {
    label: 'potted',
    tip: 'Soft potting peels, hard potting rarely pays. No heat: the fumes are not for lungs.',
  },
  rivets: {
    label: 'rivets',
    tip: 'Drill the heads with a bit one size larger; catch the swarf before it meets the board.',
  },
  clips: { label: 'metal clips', tip: 'Lever from the middle, glove on the other hand: clips fly and edges cut.' },
  solder: { label: 'soldered can', tip: 'A wide tip and wick along the joints; the can is mains earth or a shield.' },
} as const);
export type SeamName = keyof typeof SEAMS;
export const SEAM_NAMES = Object.keys(SEAMS) as SeamName[];

/** What usually holds a unit of each kind together, before anything is known of this one. */
export const USUAL_SEAMS: Readonly<Record<UnitKindName, readonly SeamName[]>> = practice({
  'plug-top': ['weld', 'snaps'],
  'desk-brick': ['weld', 'snaps', 'glue'],
  'usb-charger': ['weld', 'snaps'],
  internal: ['screws', 'rivets'],
  'open-frame': ['screws'],
  'dc-module': ['potted', 'clips'],
  'lamp-driver': ['snaps', 'screws', 'potted'],
  'power-controller': ['screws', 'snaps'],
  'battery-charger': ['screws', 'snaps'],
  'pulse-unit': ['screws', 'snaps'],
  'appliance-board': ['screws', 'snaps'],
  other: ['screws', 'snaps', 'weld'],
});

export const METHODS = [
  'screwdriver',
  'card or spudger',
  'hot knife',
  'vice squeeze',
  'hammer along the seam',
  'saw or rotary tool',
  'drill',
  'heat gun',
  'soldering iron',
  'pliers',
] as const;
export type MethodName = (typeof METHODS)[number];

export const DAMAGES = { none: 'none', cosmetic: 'scratched', cracked: 'cracked', destroyed: 'destroyed' } as const;
export type DamageName = keyof typeof DAMAGES;
export const DAMAGE_NAMES = Object.keys(DAMAGES) as DamageName[];

/** One step of an opening. */
export interface OpeningStep {
  readonly seam: SeamName;
  readonly method: MethodName | '';
  readonly damage: DamageName;
}

/** What makes two units alike when it comes to opening them. */
export interface UnitLikeness {
  readonly kind: string;
  readonly maker: string;
  readonly model: string;
  /** Cubic metres. */
  readonly volume?: number;
  readonly year?: number;
  readonly seams: readonly SeamName[];
}

/** How much each likeness counts; they add up to 1. */
const COUNTS = practice({ kind: 0.3, maker: 0.25, seam: 0.2, size: 0.15, year: 0.1 } as const);

/**
 * How alike two units are for opening, 0 to 1, with the reasons. What is unknown of either counts for
 * nothing. The same maker and model is as alike as it gets.
 */
export function likeness(unit: UnitLikeness, other: UnitLikeness): { score: number; why: string[] } {
  const why: string[] = [];
  const same = (a: string, b: string) => a !== '' && a.trim().toLowerCase() === b.trim().toLowerCase();
  if (same(unit.maker, other.maker) && same(unit.model, other.model)) return { score: 1, why: ['the same model'] };
  let score = 0;
  const count = (factor: keyof typeof COUNTS, share: number, message: string) => {
    if (share <= 0) return;
    score += COUNTS[factor] * share;
    if (share > 0.6) why.push(message);
  };
  count('kind', unit.kind === other.kind ? 1 : 0, 'the same kind');
  count('maker', same(unit.maker, other.maker) ? 1 : 0, 'the same maker');
  const shared = unit.seams.filter((seam) => other.seams.includes(seam));
  count(
    'seam',
    unit.seams.length === 0 ? 0 : shared.length / unit.seams.length,
    shared.map((seam) => SEAMS[seam].label).join(' and '),
  );
  if (unit.volume && other.volume)
    count('size', Math.max(0, 1 - Math.abs(Math.log2(unit.volume / other.volume)) / 2), 'much the same size');
  if (unit.year && other.year) count('year', Math.max(0, 1 - Math.abs(unit.year - other.year) / 10), 'the same years');
  return { score, why };
}

/** How often a seam came apart whole by a method. */
export interface SeamRecord {
  readonly seam: SeamName;
  readonly method: MethodName | '';
  readonly tries: number;
  readonly whole: number;
}

/** Across all openings: per seam and method, how often it came apart without damage worth the name; most tried first. */
export function seamRecords(steps: readonly OpeningStep[]): SeamRecord[] {
  const records = new Map<string, SeamRecord>();
  for (const { seam, method, damage } of steps) {
    const key = `${seam}/${method}`;
    const before = records.get(key) ?? { seam, method, tries: 0, whole: 0 };
    const whole = damage === 'none' || damage === 'cosmetic' ? 1 : 0;
    records.set(key, { ...before, tries: before.tries + 1, whole: before.whole + whole });
  }
  return [...records.values()].sort((a, b) => b.tries - a.tries || b.whole / b.tries - a.whole / a.tries);
}
