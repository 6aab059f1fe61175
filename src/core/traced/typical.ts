import { practice } from '../evidence';

/** What a part has where nobody measured it or read it off. */
export const TYPICAL = {
  /** ESR times capacitance of wet electrolytic capacitors, ohm farad, and the least ESR, ohm. */
  esrTimesFarads: practice(30e-6),
  leastEsr: practice(5e-3),
  /** Electrolytic capacitors of one stage store so much for each watt on rectified mains, farad. */
  bulkPerWatt: practice(1.5e-6),
  outputPerAmpere: practice(400e-6),
  /** Drops at rated current, volt. */
  drop: practice({ schottky: 0.45, fast: 0.9, rectifier: 0.9 } as const),
  diodeOhms: practice(0.02),
  /** Volt that a switch of more blocks, and its resistance below and above that, ohm. */
  highVolts: practice(300),
  onOhms: practice({ low: 0.02, high: 0.6 } as const),
  /** A transistor that is driven by its base, ohm. */
  saturatedOhms: practice(0.3),
  /** What a switch stores between drain and source below and above `highVolts`, farad. */
  switchFarads: practice({ low: 400e-12, high: 100e-12 } as const),
  damping: practice(20),
  /** What a junction stores, farad, and what damps it, ohm. */
  junction: practice({ farads: 150e-12, ohms: 50 } as const),
  /** What a part in the line of the supply has, ohm. */
  ohms: practice({ fuse: 0.05, thermistor: 0.5, 'common-mode-choke': 0.1, inductor: 0.02, switch: 0.01 } as const),
  /** Heat in the windings, as a share of the power. */
  copper: practice(0.005),
  /** Leakage of a transformer, as a share of its inductance. */
  leakage: practice(0.02),
  /** Magnetising current of a transformer that stores nothing, as a share of what it carries. */
  magnetising: practice(0.1),
  /** Ripple in a choke, as a share of its current. */
  ripple: practice(0.3),
  filterHenries: practice(4.7e-6),
  /** Current of a controller, ampere. */
  controllerAmperes: practice(8e-3),
  /** Duty of a converter in the middle of its input, and of both halves of one with two. */
  duty: practice({ single: 0.33, both: 0.66 } as const),
  /** What a flyback on rectified mains reflects to its primary, volt. */
  reflected: practice(100),
  /** Frequency of a hard-switched converter and of one that runs by itself, hertz. */
  frequency: practice({ clocked: 65e3, self: 50e3, resonant: 90e3 } as const),
  /** Largest duty where the controller says none. */
  mostDuty: practice({ flyback: 0.75, single: 0.9, forward: 0.5 } as const),
  /** Volts at the shunt that end a pulse. */
  senseVolts: practice(1),
  /** Share of the power that arrives. */
  efficiency: practice(0.87),
  /** Magnetising inductance over that of the resonance. */
  resonantRatio: practice(6),
  /** Resistance of the mains behind a socket, ohm. */
  mainsOhms: practice(0.4),
  /** Heat in the windings of a line transformer, its leakage and its magnetising current, as shares. */
  line: practice({ copper: 0.03, leakage: 0.01, magnetising: 0.1 } as const),
  lineHertz: practice(50),
  /** From the rectifier to a reservoir, ohm and henry. */
  lead: practice({ ohms: 0.2, henries: 2e-6 } as const),
  /** Heat in leads and in one switch, rectifier or choke, as a share of the power; it bounds the ohms above where volts are low. */
  leadLoss: practice(0.003),
  partLoss: practice(0.01),
  /** Inductance over resistance of a lead, second. */
  leadSeconds: practice(10e-6),
} as const;
