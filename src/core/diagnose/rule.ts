import { practice } from '../evidence';
import { CAUSES, type Cause, type CauseName } from './causes';

/** How much each kind of evidence weighs. */
export const RULE = practice({
  /** A complaint that a cause does not make, and a circuit that it is not in. */
  otherSymptom: 0.004,
  otherCircuit: 0.03,
  /** A bad reading at a guilty part, against one elsewhere; and a bad one that another cause must explain. */
  bad: 22,
  unexplained: 0.45,
  /** A mains selector that was found set wrong. */
  setWrong: 200,
  /** A bad one that a cause takes along, and one that it kills where such a part was killed before. */
  inWake: 6,
  killed: 12,
  /** A good reading leaves so much of a cause whose check it was. */
  leaves: 0.04,
  /** What one line says of a cause once more: so much of its logarithm counts. */
  saidAgain: 0.7,
  /** Volts at a controller that are too high or too low, for what tells them to it. */
  toldWrong: 4,
  /** How sure a bad part is one of a cause for good ones not to clear it. */
  foundAt: 0.5,
  /** “None of these”, against the commonest cause. */
  none: 0.15,
  /** What is told of one fault is not told independently: so much of the logarithm of all the evidence counts. */
  tempered: 0.9,
  /** What a good part shows badly by mistake. */
  mistaken: 0.03,
  /** A reading that was told without its test counts so much. */
  untested: 0.5,
  /** A place where nothing was seen counts so much of a good one. */
  nothing: 0.3,
  /** How sure it is that no part is there: where that was said, where nothing was measured, and where it was only looked at. */
  missing: 0.98,
  absent: 0.75,
  unlooked: 0.65,
  /** Further references of a role are worth so much less. */
  further: 0.75,
  /** A rail that is over, or halved, counts so much for what makes such a rail. */
  railHigh: { others: 0.25, makes: 12 },
  halved: { from: 0.3, to: 0.7, rectifier: 3, cans: 0.5, selector: 25 },
  /** From so many amperes at so few volts a diode wastes too much: the rectifiers are FETs. */
  syncFrom: { amps: 7, volts: 20, watts: 90, anyAmps: 40, sync: 3.5, diode: 0.45 },
  /** One rail gone while another is right: what lies behind its own winding, against all that feeds both. */
  oneGone: {
    under: 0.3,
    others: 0.3,
    behind: {
      'output-rectifier-open': 6,
      'output-capacitors-dry': 1.2,
      'solder-joint-cracked': 2,
      'cable-broken': 1.5,
      'regulator-shorted': 1,
      'output-rectifier-shorted': 0.7,
      'led-string-open': 1,
    } as Partial<Record<CauseName, number>>,
  },
  /** One rail low while another is right. */
  oneLow: {
    others: 0.4,
    behind: {
      'output-capacitors-dry': 2,
      'output-rectifier-open': 1.5,
      'overloaded-outside': 1,
      'solder-joint-cracked': 1,
      'cable-broken': 1,
    } as Partial<Record<CauseName, number>>,
  },
  /** A rail over, under and far under what it should be, as a share of it; and between these it is right. */
  rail: { high: 1.15, low: 0.93, gone: 0.05, rightFrom: 0.95, rightTo: 1.06 },
  /** What a right standby supply leaves of what feeds it; and how a right rail speaks for what lies behind it. */
  standbyRight: 0.12,
  outside: 5,
  cable: 2,
  /** A rail that is there, as a share of its volts, and what it leaves of what would keep the unit from starting. */
  alive: { from: 0.3, leaves: 0.15 },
  /** A standby supply that is the only converter, dead or too high: as a share of what leaves a unit so. */
  onlyConverter: 0.3,
  /** A step-up converter whose output is its input, less a diode. */
  unboosted: {
    from: 0.9,
    tells: {
      'controller-dead': 5,
      'gate-drive-fault': 3,
      'sense-resistor-open': 2,
      'output-capacitors-dry': 0.2,
      'overloaded-outside': 0.3,
      'cable-broken': 0.3,
    } as Partial<Record<CauseName, number>>,
  },
  /** One rail too high while another is right: what this leaves of a lost hold of them. */
  held: 0.08,
  /** A standby rail that sags: its own cans, against all else. */
  standbyLow: { cans: 5, others: 0.6 },
  /** Rails that sag together: how far, how alike, and what that says. */
  together: { low: 0.95, gone: 0.5, alike: 0.06, bulk: 4, cans: 0.6 },
});

export const causeOf = (name: CauseName): Cause => CAUSES[name];

/** Makes a cause so many times likelier, with the reason. */
export type Weigh = (name: CauseName, factor: number, reason: string) => void;
