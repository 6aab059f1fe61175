import { practice } from '../../../evidence';
import type { SwitchElement } from '../../model/elements';
import type { RailFacts } from './railFacts';

/**
 * What makes a transistor a power switch, in nats: its kind and marking, the side its ends lie on, and what is at its
 * gate. Sizes set by hand on reference boards.
 */
const SPEAKS = practice({
  igbt: 3,
  thyristor: -2,
  smallBipolar: { mains: -4, direct: -2 },
  largeBipolar: 3,
  pnp: -3,
  npn: { mains: -1, direct: -0.3 },
  highVoltage: 3,
  lowVoltage: -2.5,
  rectifierChipAtGate: -4,
  rectifierChipNearGate: -3,
  chipAtGate: 1.5,
  endOnInput: 2,
  endOnOutput: { mains: -3, direct: -0.7 },
});
/** Drain voltages of switches on rectified mains, and of what cannot stand there. */
const MAINS_SWITCH_VOLTS = practice({ from: 400, not: 200 });
/** Type numbers of small-signal and of power bipolars of several makers. From memory of handbooks. */
const SMALL_BIPOLAR = /C945|2222|3904|3906|S8050|S9014|BC\d|D882|C1815|BD1|2N|MMBT|1815|8050|2383/i;
const LARGE_BIPOLAR = /1300\d|13\d{3}|BU\d|MJE1|C3150|2SC/i;

/** How likely each transistor of a board is a power switch of a stage, from 0 to 1; kept once asked. */
export function primaryLikeness(
  rails: readonly RailFacts[],
  isMains: boolean,
  isDcFed: boolean,
): (element: SwitchElement) => number {
  const known = new Map<SwitchElement, number>();
  return (element) => {
    const before = known.get(element);
    if (before !== undefined) return before;
    const share = 1 / (1 + Math.exp(-(byPart(element, isMains, isDcFed) + byPlace(element, rails, isMains))));
    known.set(element, share);
    return share;
  };
}

function byPart({ part: { kind, marking = '' } }: SwitchElement, isMains: boolean, isDcFed: boolean): number {
  const fed = isDcFed ? 'direct' : 'mains';
  if (kind === 'igbt') return SPEAKS.igbt;
  if (kind === 'scr') return SPEAKS.thyristor;
  if (kind === 'npn' || kind === 'pnp') {
    if (SMALL_BIPOLAR.test(marking)) return SPEAKS.smallBipolar[fed];
    if (LARGE_BIPOLAR.test(marking)) return SPEAKS.largeBipolar;
    return kind === 'pnp' ? SPEAKS.pnp : SPEAKS.npn[fed];
  }
  const volts = drainVolts(marking);
  if (!isMains || volts === undefined || kind !== 'nmos') return 0;
  return volts >= MAINS_SWITCH_VOLTS.from
    ? SPEAKS.highVoltage
    : volts <= MAINS_SWITCH_VOLTS.not
      ? SPEAKS.lowVoltage
      : 0;
}

function byPlace({ hi, lo, gate }: SwitchElement, rails: readonly RailFacts[], isMains: boolean): number {
  let sum = 0;
  const isRectifying = (rail: number) => rails[rail]?.chips.some(({ part }) => part.subtype === 'sync-rectifier');
  const atGate = rails[gate];
  if (isRectifying(gate)) sum += SPEAKS.rectifierChipAtGate;
  else sum += SPEAKS.rectifierChipNearGate * (atGate?.resistors.filter(({ far }) => isRectifying(far)).length ?? 0);
  if (atGate?.chips.some(({ part: { subtype } }) => subtype === 'gate-driver' || subtype === 'controller'))
    sum += SPEAKS.chipAtGate;
  for (const rail of [hi, lo]) {
    const side = rails[rail]?.side ?? 0;
    if (side > 0) sum += SPEAKS.endOnInput;
    else if (side < 0) sum += SPEAKS.endOnOutput[isMains ? 'mains' : 'direct'];
  }
  return sum;
}

/** Drain voltage that a type number of the usual form gives: 10N60 is 600 V, 75N08 is 80 V. Common practice. */
function drainVolts(marking: string): number | undefined {
  const digits = /\d{1,3}[A-Z]{0,2}N[A-Z]{0,2}(\d{2,3})/.exec(marking)?.[1];
  if (digits === undefined) return undefined;
  const value = Number(digits);
  return digits.length === 3 && value >= 130 ? value : value * 10;
}
