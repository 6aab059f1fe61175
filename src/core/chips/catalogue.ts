import type { ChipFamily } from './chip';
import { CONTROLLERS } from './families/controllers';
import { DRIVERS } from './families/drivers';
import { POWER_FACTOR } from './families/powerFactor';
import { REGULATOR_CHIPS } from './families/regulators';
import { SIGNAL_CHIPS } from './families/signal';
import { SWITCHERS } from './families/switchers';

/** Every chip family that is remembered. Check the datasheet of the chip in hand before relying on a value. */
export const CHIP_FAMILIES: readonly ChipFamily[] = [
  ...CONTROLLERS,
  ...POWER_FACTOR,
  ...SWITCHERS,
  ...DRIVERS,
  ...SIGNAL_CHIPS,
  ...REGULATOR_CHIPS,
];

const BY_ID = new Map(CHIP_FAMILIES.map((family) => [family.id, family]));

/** The family with an id. */
export function chipFamily(id: string): ChipFamily | undefined {
  return BY_ID.get(id);
}

const BY_NAME = CHIP_FAMILIES.flatMap((family) => family.names.map((name) => ({ name, family }))).toSorted(
  (a, b) => b.name.length - a.name.length,
);

/** The family that a printed number belongs to, package and grade letters behind it left out. */
export function chipByMarking(marking: string | undefined): ChipFamily | undefined {
  const text = (marking ?? '').toUpperCase().replace(/[\s/]/g, '');
  const named = BY_NAME.find(
    ({ name }) => text.startsWith(name) && !(/\d$/.test(name) && /^\d/.test(text.slice(name.length))),
  );
  if (named) return named.family;
  const [, digits] = /^[A-Z]{1,4}(\d{3,5})(?!\d)/.exec(text) ?? [];
  return digits === undefined ? undefined : CHIP_FAMILIES.find(({ cores }) => cores.includes(digits));
}

/** The family of a regulator whose number follows a pattern, such as L7805CV. */
export function regulatorFamily(marking: string): ChipFamily | undefined {
  const [, number] =
    /^[A-Z]{0,4}(78|79|317|337|1117|2574|2575|2576|2596)/.exec(marking.replace(/\s/g, '').toUpperCase()) ?? [];
  const id = {
    78: '78xx',
    79: '79xx',
    317: 'LM317',
    337: 'LM337',
    1117: '1117 class',
    2574: 'LM2574',
    2575: 'LM2576',
    2576: 'LM2576',
    2596: 'LM2576',
  }[number ?? ''];
  return id === undefined ? undefined : BY_ID.get(id);
}
