import type { TestName } from '../part';
import { formatQuantity } from '../quantity';
import { CAPACITANCE_LIMITS, ESR_LIMITS, HELD_SHARE, LEAKAGE_HOPELESS } from './judgeCapacitor';
import { ALIKE as CHIPS_ALIKE, ENOUGH_PINS } from './judgeChip';
import { ALIKE as WINDINGS_ALIKE, RINGS, TOLERANCE } from './judgeChoke';
import { FORWARD_SHORTED, HALVES, LEAKAGE as DIODE_LEAKAGE, REVERSE_GOOD } from './judgeDiode';
import { CONTACT, FAN, HEATING, RELAY } from './judgeMechanical';
import { BLOCKING, BODY_DIODE, GATE, ON, THRESHOLD } from './judgeMosfet';
import { DARK, INSULATION, LED } from './judgeOptocoupler';
import { FUSE_WHOLE, THERMISTOR, VARISTOR } from './judgeProtection';
import { REFERENCE_WITHIN, REGULATOR_WITHIN } from './judgeReference';
import { DEFAULT_TOLERANCE, TRIMMER_TOLERANCE } from './judgeResistor';
import { BLOCKING as LATCH_BLOCKING, SCR_GATE, TRIAC_GATE } from './judgeThyristor';
import { COLLAPSED, INSULATION as WOUND_INSULATION, LEAKAGE as STRAY } from './judgeTransformer';
import { JUNCTION, LEAST_GAIN, SATURATION } from './judgeTransistor';

const q = formatQuantity;
const per = (share: number) => `${Math.round(100 * share)} %`;

/** By what a part of each test is kept, limited or scrapped, in words; the figures are those that its judgement uses. */
export const TEST_RULES: Readonly<Record<TestName, string>> = {
  capacitor: `Of its value ${per(CAPACITANCE_LIMITS.B.low)} is B and ${per(CAPACITANCE_LIMITS.C.low)} C; of the ESR expected ${ESR_LIMITS.B} times is B, ${ESR_LIMITS.C} times C, more is scrap. Leaking ${LEAKAGE_HOPELESS} times its limit it is not worth forming. A mains reservoir holds ${per(HELD_SHARE)} of its volts in a leakage test, or it is B at best.`,
  mosfet: `Its diode reads ${BODY_DIODE.low} to ${BODY_DIODE.high} V, under ${BODY_DIODE.shorted} V it is shorted; its gate insulates ${q(GATE.good, 'ohm')}, under ${q(GATE.punched, 'ohm')} it is punched; blocked it reads ${q(BLOCKING.good, 'ohm')}. The threshold is ${THRESHOLD.low} to ${THRESHOLD.high} V. On, up to its largest resistance is A, ${ON.B} times B, ${ON.C} times C.`,
  diode: `Under ${FORWARD_SHORTED} V forward it is shorted; otherwise it drops what its technology does. Backwards it blocks ${q(REVERSE_GOOD, 'ohm')}, less where a Schottky or a low zener leaks by nature; at its volts it leaks ${q(DIODE_LEAKAGE.silicon, 'ampere')} at most, a Schottky ${q(DIODE_LEAKAGE.schottky, 'ampere')}.`,
  'dual-diode': `Each half as a diode; the halves are alike within ${q(HALVES.alike, 'volt')}, apart by ${q(HALVES.apart, 'volt')} one of them is going.`,
  bridge: 'Each of the four diodes as a diode.',
  resistor: `Within its tolerance, ${per(DEFAULT_TOLERANCE)} where none is marked, with the doubt of the meter and less the leads.`,
  trimmer: `Its track within ${per(TRIMMER_TOLERANCE)}; its wiper without jumps.`,
  transistor: `Junctions of ${JUNCTION.low} to ${JUNCTION.high} V; under ${JUNCTION.shorted} V one is shorted. A gain of at least ${LEAST_GAIN.small} for small types, ${LEAST_GAIN.power} for power, ${LEAST_GAIN.highVoltage} for high voltage.`,
  igbt: `Gate and blocking as of a MOSFET; on at half its current it drops ${SATURATION.low} to ${SATURATION.high} V, from ${SATURATION.bad} V it is scrap.`,
  triac: `Blocks ${q(LATCH_BLOCKING.good, 'ohm')}; gate to MT1 ${TRIAC_GATE.low} to ${TRIAC_GATE.high} Ω; latches with both polarities, or it does not serve the mains.`,
  thyristor: `Blocks ${q(LATCH_BLOCKING.good, 'ohm')}; gate to cathode ${SCR_GATE.low} to ${SCR_GATE.high} V; latches, and lets go.`,
  optocoupler: `Its LED drops ${LED.low} to ${LED.high} V, dark it blocks ${q(DARK, 'ohm')}, across it insulates ${q(INSULATION, 'ohm')} at 500 V or never serves the mains; its transfer ratio is that of its rank.`,
  'shunt-reference': `Regulates within ${per(REFERENCE_WITHIN.A)} for A, ${per(REFERENCE_WITHIN.B)} for B.`,
  regulator: `Regulates within ${per(REGULATOR_WITHIN.A)} for A, ${per(REGULATOR_WITHIN.B)} for B.`,
  chip: `Pin by pin against ground like a whole one of its number: within ${q(CHIPS_ALIKE.near, 'volt')} alike, from ${q(CHIPS_ALIKE.far, 'volt')} a fault; fewer than ${ENOUGH_PINS} pins tell nothing.`,
  fuse: `Under ${FUSE_WHOLE.ohms} Ω it is whole, and still never reused: replaced new, of the same rating, speed and breaking capacity.`,
  varistor: `Cold over ${q(VARISTOR.insulation, 'ohm')}; its volts at 1 mA within ${per(VARISTOR.moved)} of the print.`,
  thermistor: `Within ${per(THERMISTOR.within)} of its value at 25 °C.`,
  choke: `Within ${per(TOLERANCE)}; it rings ${RINGS.good} periods or more, under ${RINGS.shorted} a turn is shorted.`,
  'common-mode-choke': `Its windings are alike within ${per(WINDINGS_ALIKE.A)} for A, ${per(WINDINGS_ALIKE.B)} for B.`,
  transformer: `Insulates ${q(WOUND_INSULATION, 'ohm')} at 500 V between its sides; its leakage is ${per(STRAY.plain)} of the primary or less, ${per(STRAY.made)} to ${per(STRAY.madeTo)} where it was made to leak; under ${per(COLLAPSED)} of the inductance that its core and turns give, a turn is shorted or the core broken.`,
  relay: `Pulls in by ${per(RELAY.pullIn)} of its volts, lets go above ${per(RELAY.dropOut)}; its closed contact reads under ${q(CONTACT.good, 'ohm')}, from ${q(CONTACT.worn, 'ohm')} it is worn out.`,
  fan: `Starts from ${per(FAN.starts)} of its volts, by ${per(FAN.late)} at the latest; takes no more than ${FAN.current} times its current.`,
  'heat-sink': `Heated until it is steady for ${HEATING.steady / 60} minutes, and by at least ${HEATING.rise} K.`,
};
