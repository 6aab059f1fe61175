import { practice } from '../evidence';

/** How supplies on the mains are usually made, where a board or a plate does not say it; common practice, no source. */
export const MAINS_SUPPLY = practice({
  efficiency: 0.87,
  /** Volts behind a power factor stage. */
  bus: 390,
  /** Hertz of a flyback. */
  flyback: 65e3,
  /** Volts that a flyback reflects to a switch of so many volts, the strongest first. */
  reflected: [
    { from: 800, volts: 130 },
    { from: 0, volts: 100 },
  ],
  /** Watts drawn for each volt-ampere, without and with such a stage. */
  lineFactor: { plain: 0.6, corrected: 0.98 },
});

/** Volts that a flyback reflects to its switch. @param rated volts that the switch stands */
export const reflectedTo = (rated: number): number =>
  MAINS_SUPPLY.reflected.find(({ from }) => rated >= from)?.volts ?? 100;
