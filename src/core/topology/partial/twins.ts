import { practice } from '../../evidence';
import { SLOT_CLASSES, type SlotClass } from './classes';
import type { FactSheet } from './facts/sheet';

/**
 * Two readings that look alike as long as one join is not known: while all of some facts stand and none of those that
 * would settle it, the usual one is at most so many times as likely as the other, whatever is common.
 */
interface Twins {
  readonly usual: SlotClass;
  readonly rare: SlotClass;
  readonly while: readonly string[];
  readonly settledBy: readonly string[];
  readonly odds: number;
}

/**
 * Switch, diode and choke meet at one point in both; only where the input returns to tells a step-down converter (at the
 * diode) from an inverting one (at the far end of the choke). Two windings behind a switch with a rectifier are a flyback
 * or two coupled chokes; only a capacitor between them tells. Two switches that take turns at a choke step down or up, by
 * the side that is fed. How much commoner the first is: common practice, no source.
 */
const TWINS: readonly Twins[] = practice([
  {
    usual: 'buck',
    rare: 'inverting-buck-boost',
    while: ['buck cell, ground not known'],
    settledBy: [
      'buck cell',
      'inverting cell',
      'input return ruled out at the far end',
      'input return cannot be at the far end',
      'chip switches towards an output',
      'totem pole at choke',
      'only outputs above the ground of the input',
    ],
    odds: 7,
  },
  ...(['boost', 'boost-pfc'] as const).map((rare) => ({
    usual: 'buck' as const,
    rare,
    while: ['totem pole at choke', rare === 'boost' ? 'fed with direct voltage' : 'fed from the mains'],
    settledBy: [
      'buck cell',
      'boost cell',
      'totem pole at choke from the input',
      'totem pole under the output',
      'output below the input',
    ],
    odds: 6,
  })),
  ...(['sepic', 'cuk'] as const).map((rare) => ({
    usual: 'flyback' as const,
    rare,
    while: [
      'fed with direct voltage',
      'no optocoupler on the board',
      'two windings',
      'capacitor that may couple its windings',
    ],
    settledBy: [],
    odds: 14,
  })),
]);

const at = (name: SlotClass) => SLOT_CLASSES.indexOf(name);

/** Log-odds of the classes in which no reading leaves its twin behind before a join tells them apart. */
export function besideTwins(sheet: FactSheet, scores: readonly number[]): readonly number[] {
  return TWINS.filter(
    (twins) =>
      twins.while.every((fact) => sheet.grade(fact) > 0) && !twins.settledBy.some((fact) => sheet.grade(fact) > 0),
  ).reduce<readonly number[]>((now, { usual, rare, odds }) => {
    const least = (now[at(usual)] ?? 0) - Math.log(odds);
    return now.map((score, index) => (index === at(rare) ? Math.max(score, least) : score));
  }, scores);
}
