import type { Wave } from './wave';

/** Recordings made by formula, to try the analysis on; they say so. */
export const MADE_WAVES = {
  ramp: { label: 'a choke that saturates, 12 V across 100 µH', channel: 'current, made by formula', unit: 'A' },
  ring: { label: 'a ring of 600 µH with 10 nF, Q of 20', channel: 'volts, made by formula', unit: 'V' },
  discharge: { label: 'a discharge of 150 µF through 2.2 kΩ', channel: 'volts, made by formula', unit: 'V' },
  step: { label: 'a step of 2 A into 680 µF with 38 mΩ', channel: 'volts, made by formula', unit: 'V' },
  ripple: { label: 'ripple of 2 A in 470 µF with 45 mΩ', channel: 'volts on the rail, made by formula', unit: 'V' },
  chopping: { label: 'a dimmer at 70° on 50 Hz', channel: 'volts, made by formula', unit: 'V' },
} as const;
export type MadeWave = keyof typeof MADE_WAVES;

/** Closed forms by time in seconds, with the span they fill. */
const FORMS: Readonly<Record<MadeWave, { readonly span: number; readonly of: (t: number) => number }>> = {
  ramp: { span: 60e-6, of: rampCurrent },
  ring: {
    span: 600e-6,
    of: (t) =>
      t < 20e-6
        ? 10
        : 10 * Math.exp((-Math.PI * 64974 * (t - 20e-6)) / 20) * Math.cos(2 * Math.PI * 64974 * (t - 20e-6)),
  },
  discharge: { span: 1.6, of: (t) => (t < 0.05 ? 325 : 325 * Math.exp(-(t - 0.05) / 0.33)) },
  step: { span: 200e-6, of: (t) => (t < 60e-6 ? 19 : 19 - 2 * 0.038 - (2 * (t - 60e-6)) / 680e-6) },
  ripple: { span: 100e-6, of: (t) => rippleAt(t).volts },
  chopping: {
    span: 60e-3,
    of: (t) => {
      const phase = (t * 100) % 1;
      return phase < 70 / 180 ? 0 : 325 * Math.sin(2 * Math.PI * 50 * t);
    },
  },
};

/** 100 µH that lose half of themselves above 5 A, at 12 V from 5 µs to 55 µs. */
function rampCurrent(t: number): number {
  const x = Math.min(Math.max(t - 5e-6, 0), 50e-6) * 12;
  const knee = 100e-6 * 5;
  const current = x <= knee ? x / 100e-6 : 5 + (x - knee) / 50e-6;
  return t > 55e-6 ? Math.max(0, 7 * (1 - (t - 55e-6) / 5e-6)) : current;
}

/** Forms of a second channel. */
const SECOND: Partial<
  Record<MadeWave, { readonly channel: string; readonly unit: string; of: (t: number) => number }>
> = { ripple: { channel: 'current in the capacitor, made by formula', unit: 'A', of: (t) => rippleAt(t).amperes } };

/** A choke's triangle of 2 A at 65 kHz that rises for 35 % of the period, in 470 µF with 45 mΩ; the rail's mean left out. */
function rippleAt(t: number): { volts: number; amperes: number } {
  const [period, swing, duty] = [1 / 65e3, 2, 0.35];
  const x = (t / period) % 1;
  const isRising = x < duty;
  const [share, length] = isRising ? [x / duty, duty] : [(x - duty) / (1 - duty), 1 - duty];
  const amperes = swing * (isRising ? share - 0.5 : 0.5 - share);
  // ∫ of a straight flank that passes zero in its middle.
  const charge = (((isRising ? -1 : 1) * swing * length * period) / 2) * (share - share ** 2);
  return { amperes, volts: 0.045 * amperes + charge / 470e-6 };
}

/**
 * A recording by formula with noise and the steps of an eight-bit oscilloscope.
 * @param gaussian draws from the standard normal distribution; @param noise as a share of the full scale
 */
export function makeWave(name: MadeWave, of: { points: number; noise: number; gaussian: () => number }): Wave {
  const { span, of: form } = FORMS[name];
  const time = Float64Array.from({ length: of.points }, (_, index) => (index * span) / of.points);
  const digitised = (exact: (t: number) => number) => {
    const clean = time.map(exact);
    const full = clean.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
    const step = (2 * full) / 256;
    return clean.map((value) => Math.round((value + of.noise * full * of.gaussian()) / step) * step);
  };
  const { channel, unit } = MADE_WAVES[name];
  const second = SECOND[name];
  return {
    time,
    channels: [
      { name: channel, unit, values: digitised(form) },
      ...(second ? [{ name: second.channel, unit: second.unit, values: digitised(second.of) }] : []),
    ],
  };
}
