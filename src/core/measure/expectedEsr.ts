import { practice } from '../evidence';
/**
 * Largest loss factor at 120 Hz, 20 °C by rated voltage; + 0.02 for every started 1000 µF above the
 * first. Typical radial-lead limits in the pattern of IEC 60384-4; common practice, no source.
 */
const LOSS_FACTOR: readonly (readonly [volts: number, tanDelta: number])[] = [
  [6.3, 0.22],
  [10, 0.19],
  [16, 0.16],
  [25, 0.14],
  [35, 0.12],
  [50, 0.1],
  [63, 0.09],
  [100, 0.08],
  [160, 0.15],
  [250, 0.15],
  [350, 0.2],
  [450, 0.2],
];

/** How the series of an electrolytic compares with general purpose. */
export const ESR_SERIES = practice({ general: 1, 'low-impedance': 0.45, polymer: 0.15 } as const);
export type EsrSeries = keyof typeof ESR_SERIES;

/** Largest loss factor of an electrolytic (farads, volts); the next higher listed voltage counts. */
export function largestLossFactor({ capacitance, voltage }: { capacitance: number; voltage: number }): number {
  const base = LOSS_FACTOR.find(([volts]) => voltage <= volts)?.[1] ?? 0.2;
  return base + 0.02 * Math.max(0, Math.ceil((capacitance * 1e6) / 1000 - 1e-9) - 1);
}

/**
 * Equivalent series resistance that belongs to a loss factor, in ohms: ESR = tan δ / (2π·f·C).
 * @example esrFromLossFactor({ lossFactor: 0.16, frequency: 120, capacitance: 1e-3 }) // 0.212 Ω
 */
export function esrFromLossFactor(of: { lossFactor: number; frequency: number; capacitance: number }): number {
  return of.lossFactor / (2 * Math.PI * of.frequency * of.capacitance);
}

/**
 * Expected ESR of a new electrolytic at 100 kHz, 20 °C, in ohms: a model, ±50 %, fitted to trade
 * tables: min(0.35·tan δ/(2π·120·C), 6 Ω·(C/µF)^−0.35), times the factor of the series. A datasheet
 * figure replaces it. Common practice, no source.
 */
export function expectedEsr(of: { capacitance: number; voltage: number; series?: EsrSeries }): number {
  const lossFactor = largestLossFactor(of);
  const general = Math.min(
    0.35 * esrFromLossFactor({ lossFactor, frequency: 120, capacitance: of.capacitance }),
    6 * (of.capacitance * 1e6) ** -0.35,
  );
  return general * ESR_SERIES[of.series ?? 'general'];
}

/** Above this the loss of the oxide no longer shows beside that of the electrolyte, hertz. */
const OXIDE_LOSS_UP_TO = practice(20e3);

/**
 * Largest ESR of a good electrolytic at a frequency, in ohms: what it has at 100 kHz, and the rest of its loss factor
 * at 120 Hz, which falls as the frequency rises. Model of a resistance and a constant loss angle; common practice, no
 * source.
 * @param esr at 100 kHz
 */
export function esrAt(of: { frequency: number; esr: number; capacitance: number; voltage: number }): number {
  if (of.frequency >= OXIDE_LOSS_UP_TO) return of.esr;
  const slow = esrFromLossFactor({ lossFactor: largestLossFactor(of), frequency: 120, capacitance: of.capacitance });
  return of.esr + Math.max(0, slow - of.esr) * (120 / of.frequency);
}

/** Below this rated voltage the simple rule of low-voltage parts holds. */
const HIGH_VOLTAGE = 160;

/**
 * Largest leakage of an electrolytic at its rated voltage and 20 °C, in amperes: 0.01·C·V or 3 µA after two minutes;
 * from 160 V 3·√(C·V) µA after five (C in µF). Pattern of IEC 60384-4 and of makers of snap-in cans, from memory.
 * @example largestLeakage({ capacitance: 1e-3, voltage: 16 }) // 160e-6
 */
export function largestLeakage({ capacitance, voltage }: { capacitance: number; voltage: number }): number {
  const product = capacitance * 1e6 * voltage;
  const microamperes = voltage >= HIGH_VOLTAGE ? 3 * Math.sqrt(product) : Math.max(0.01 * product, 3);
  return microamperes * 1e-6;
}
