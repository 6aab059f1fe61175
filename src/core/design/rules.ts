import { practice } from '../evidence';

/** How a design is judged; common practice, no source. */
export const RULES = practice({
  frequencies: [20e3, 30e3, 50e3, 65e3, 80e3, 100e3, 130e3, 160e3, 200e3, 250e3, 300e3],
  rectifierMean: 0.7,
  fetRms: 0.5,
  /** A choke saturates above its peak by so much; without a saturation current its own current counts. */
  saturation: 0.85,
  /** Rise of the choke’s current over its mean: more makes ripple, less makes a choke that is larger than it need be. */
  swing: { least: 0.08, most: 0.8, usual: 0.35 },
  /** On-time of the switch as a share: beyond it losses eat the output, under it pulses are skipped. */
  duty: { least: 0.03, most: 0.88 },
  /** Cans side by side at most. */
  beside: 3,
  /** Watts that a can turns into heat for good where its ripple current is not known. */
  canHeat: 0.25,
  ambient: 40,
  /** Drops that are reckoned with while parts are chosen. */
  drops: { rectifier: 0.55, fast: 1, switch: 0.1 },
  recovery: { schottky: 0, fast: 40e-9 },
  dcrUnknown: 0.05,
  /** Of a flyback: what comes out of what goes in, the clamp over what the output reflects, its leakage where the coupling is not known, volts of turns that make sense. */
  transformer: { efficiency: 0.88, clamp: 1.5, leakage: 0.02 },
  /** The capacitor that the power goes through: ripple of its volts at most, as a share; its ohms and amperes where they are not known; what a ceramic keeps under DC. */
  link: { swing: 0.15, ohms: 0.02, amperes: 3, ceramic: 0.5 },
  /** Before its ring is seen: henries of the loop, switch and rectifier together over the switch alone, the capacitor over what rings; and what values do in its place, over what is wanted. */
  ring: { henries: 30e-9, both: 2, factor: 3.5, across: { least: 0.7, most: 1.5 }, clamp: { least: 0.5, most: 20 } },
  /** What counts against a design besides its loss in per cent: a part more, a limit, a sink, a core to wind, a part that must be bought, a switch without a snubber. */
  costs: { part: 0.15, limit: 3, sink: 1, wind: 4, buy: 25, bare: 3 },
  /** What a wish weighs: small a millijoule that its choke holds and a can more; quiet the rise of the current of its choke, and a current that the input or the output takes in pulses. */
  wishes: { millijoule: 6, can: 1.5, swing: 12, pulses: 3 },
  /** Around a controller: ohms its timing resistor is near, of the lower divider by its digits, volts at the sense pin and room to the peak. */
  timing: { ohms: 10e3 },
  divider: 100,
  sense: { volts: 0.9, room: 1.1 },
  /** Designs that are told. */
  told: 5,
});
