import { practice } from '../evidence';
import { packageRule, type BlockName } from '../part';
import { CHIP_FAMILIES } from './catalogue';
import type { ChipFamily, ChipRole } from './chip';
import { PIN_FUNCTIONS, type PinFunction } from './pinFunctions';

/** What is known of a chip whose marking says nothing. */
export interface UnknownChip {
  readonly package?: string | undefined;
  readonly block?: BlockName | undefined;
  /** What pins seem to be, by what they touch. */
  readonly pins: Readonly<Record<number, PinFunction>>;
}

/** A family that an unknown chip may belong to. */
export interface FamilyGuess {
  readonly family: ChipFamily;
  /** 0 to 1; never high, since pins are no proof of identity. */
  readonly score: number;
  readonly reasons: readonly string[];
}

/** Roles that sit in a block. */
const ROLES_IN: Readonly<Record<BlockName, readonly ChipRole[]>> = practice({
  input: ['x-discharge'],
  pfc: ['pfc', 'combo'],
  switch: ['current-mode', 'quasi-resonant', 'switcher', 'llc', 'gate-driver', 'combo'],
  secondary: ['reference', 'sync-rectifier', 'op-amp', 'supervisor', 'dc-dc', 'linear', 'comparator'],
  standby: ['switcher', 'current-mode'],
  control: ['current-mode', 'voltage-mode', 'quasi-resonant', 'llc', 'combo', 'op-amp', 'comparator', 'supervisor'],
});
/** A family that is wrong here is out, whatever else agrees. */
const DECISIVE: readonly PinFunction[] = practice(['supply', 'ground', 'gate', 'drain']);
/** Without the marking nothing is believed more than this. */
const CEILING = practice(0.6);
const WELL_COVERED = 5;
const LEAST_SHOWN = 0.05;

/**
 * Families that an unknown chip may belong to, by its case, where it sits and what its pins seem to
 * do. The share of stated pins that agree is the score; a family whose supply, ground, gate or drain
 * lies elsewhere is excluded. Method: common practice, no source.
 */
export function guessFamilies(chip: UnknownChip, most = 5): FamilyGuess[] {
  const legs = chip.package === undefined ? undefined : packageRule(chip.package)?.legs;
  const stated = Object.entries(chip.pins).map(([number, does]) => ({ number: Number(number), does }));
  return CHIP_FAMILIES.flatMap((family): FamilyGuess[] => {
    if (family.kind !== 'ic' || family.pins.length === 0) return [];
    // A case whose pins lie otherwise, or are not remembered, agrees with nothing.
    if (chip.package !== undefined && family.otherCases?.[chip.package]) return [];
    const inCase = chip.package !== undefined && family.packages.includes(chip.package);
    if (legs !== undefined && legs !== family.legs) return [];
    if (Math.max(0, ...stated.map(({ number }) => number)) > family.legs) return [];
    const agreed = agreement(family, stated);
    if (agreed === undefined) return [];
    const inPlace = chip.block !== undefined && ROLES_IN[chip.block].includes(family.role);
    const reasons = [
      ...(inCase ? [`comes in ${chip.package}`] : legs === undefined ? [] : [`has ${legs} legs`]),
      ...(inPlace ? [`such a chip sits in the ${chip.block} block`] : []),
      ...(agreed.length > 0 ? [`pins agree: ${agreed.join(', ')}`] : []),
    ];
    if (reasons.length === 0 || (stated.length > 0 && agreed.length === 0)) return [];
    const byPins = stated.length === 0 ? 0.02 : (agreed.length / Math.max(WELL_COVERED, stated.length)) * 0.9;
    const score = Math.min(CEILING, byPins + (inCase ? 0.06 : 0) + (inPlace ? 0.12 : 0));
    return score < LEAST_SHOWN ? [] : [{ family, score, reasons }];
  })
    .sort((a, b) => b.score - a.score)
    .slice(0, most);
}

/** The stated pins that agree, in words; nothing when one that decides does not. */
function agreement(family: ChipFamily, stated: readonly { number: number; does: PinFunction }[]): string[] | undefined {
  const agreed: string[] = [];
  for (const { number, does } of stated) {
    const own = family.pins.find((pin) => pin.number === number);
    if (own?.does === does) agreed.push(`${number} ${PIN_FUNCTIONS[does].label}`);
    else if (DECISIVE.includes(does) || (own && DECISIVE.includes(own.does))) return undefined;
  }
  return agreed;
}
