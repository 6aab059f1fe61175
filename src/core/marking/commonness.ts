import { E24 } from './preferredValues';
import type { Draft } from './decoding';

/** Weights by value; anything else gets `other`. */
interface Weights {
  readonly by: Readonly<Record<number, number>>;
  readonly other: number;
}

const weights = (by: Readonly<Record<number, number>>, other: number): Weights => ({ by, other });
/** The first row of values is met most, each further row half as often. */
const rows = (other: number, ...lists: readonly (readonly number[])[]): Weights =>
  weights(Object.fromEntries(lists.flatMap((list, row) => list.map((value) => [value, 0.5 ** row]))), other);

const TOLERANCE = weights({ 0.05: 1, 0.1: 1, 0.2: 1, 0.01: 0.6, 0.02: 0.3, 0.8: 0.5 }, 0.1);
const CAPACITOR_VOLTS = rows(
  0.1,
  [16, 25, 35, 50, 100, 250, 275, 400, 450, 630, 1000],
  [6.3, 10, 63, 160, 200, 300, 310, 2000],
  [4, 80, 305, 315, 350, 440, 500, 3000],
);
const FET_VOLTS = rows(
  0.03,
  [600, 650],
  [60, 100, 500, 200, 55, 800, 900],
  [30, 400, 40, 75, 250, 700, 1200, 150],
  [300, 1000, 20],
  [550, 950, 850],
);
const FET_AMPERES = rows(
  0.15,
  [2, 4, 5, 7, 8, 10, 12, 20, 50],
  [1, 3, 6, 9, 11, 13, 15, 16, 18, 25, 30, 40, 60, 75, 80],
  [22, 24, 28, 33, 35, 36, 47, 55, 90, 100, 110, 120],
);
const FET_OHMS = rows(
  0.1,
  [0.099, 0.125, 0.19, 0.28, 0.38, 0.6, 0.95, 1.4],
  [
    0.16, 0.165, 0.18, 0.199, 0.21, 0.25, 0.29, 0.3, 0.36, 0.385, 0.45, 0.52, 0.65, 0.75, 0.8, 0.9, 1, 1.2, 2, 2.4, 2.8,
    3.3,
  ],
);
const DIODE_VOLTS = rows(
  0.05,
  [1000, 600],
  [100, 40, 45, 60, 400, 200],
  [800, 150, 50, 30, 20, 1200],
  [80, 120, 300, 35, 250],
);
const DIODE_AMPERES = rows(0.15, [1, 2, 3, 4, 8, 10, 15, 16, 20, 30], [0.15, 0.2, 0.5, 1.5, 5, 6, 7.5, 12, 25, 40, 60]);
const BRIDGE_AMPERES = rows(0.1, [4, 6, 8, 10, 15], [0.5, 1, 1.5, 2, 25], [3, 20, 35, 50]);
const ZENER_VOLTS = rows(
  0.05,
  [5.1, 12, 15, 18, 24],
  [3.3, 3.9, 4.7, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1, 10, 13, 16, 20, 22, 27, 30, 33, 200],
  [3, 3.6, 4.3, 11, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 100, 180, 400],
);
const STAND_OFF = rows(
  0.1,
  [5, 12, 15, 24, 58],
  [6, 13, 18, 20, 26, 30, 33, 36, 40, 48, 51, 54, 70, 75, 100, 400, 440],
);
const THYRISTOR_VOLTS = weights({ 600: 1, 800: 0.7, 400: 0.5, 500: 0.4 }, 0.1);
const THYRISTOR_AMPERES = rows(0.15, [4, 8, 12, 16], [0.6, 0.8, 1, 6, 10, 20, 24, 25, 40, 41]);
const VARISTOR_VOLTS = rows(0.15, [470, 390, 560, 430], [270, 220, 240, 620, 820, 330, 510], [200, 680, 1000]);
const VARISTOR_DISC = rows(0.2, [0.007, 0.01, 0.014], [0.005, 0.02]);
const THERMISTOR_OHMS = rows(0.1, [5, 10, 2.5, 3, 8], [1.5, 16, 20, 22, 33, 47]);
const THERMISTOR_DISC = rows(0.1, [0.009, 0.011, 0.015], [0.007, 0.013, 0.02]);
const FUSE_AMPERES = rows(0.1, [1, 2, 3.15, 4, 5, 6.3], [0.5, 0.63, 1.25, 1.6, 2.5, 8, 10, 15]);
const FUSE_VOLTS = weights({ 250: 1, 125: 0.3, 300: 0.2, 350: 0.1 }, 0.03);
const REGULATED = rows(0.2, [5, 12], [-5, -12, 3.3, 1.25, 15, 9]);

/**
 * How often a value is met against its neighbours, 0 to 1: it decides between the ways to fill
 * what was worn off, never between readings of clean text. Common practice, no source.
 */
export function commonness({ kind, ratings, facts }: Draft): number {
  const tolerance = weigh(ratings.tolerance, TOLERANCE);
  switch (kind) {
    case 'resistor': {
      const power = ratings.power === undefined ? 1 : 0.3;
      return (
        bySeries(ratings.resistance, [1, 0.75, 0.55, 0.25, 0.1]) * ohmsDecade(ratings.resistance) * tolerance * power
      );
    }
    case 'capacitor': {
      const rare = facts?.dielectric === 'tantalum' ? 0.5 : 1;
      const series = bySeries(ratings.capacitance, [1, 0.8, 0.35, 0.12, 0.02]);
      return series * faradsDecade(ratings.capacitance) * weigh(ratings.voltage, CAPACITOR_VOLTS) * tolerance * rare;
    }
    case 'inductor': {
      const value = ratings.inductance ?? 0;
      const usual = value >= 1e-7 && value <= 0.05 ? 1 : 0.1;
      return bySeries(value, [1, 0.9, 0.5, 0.1, 0.02]) * usual * tolerance;
    }
    case 'nmos':
    case 'pmos':
    case 'igbt':
      return (
        weigh(ratings.vds ?? ratings.vces, FET_VOLTS) *
        weigh(ratings.id ?? ratings.ic, FET_AMPERES) *
        (ratings.id === undefined ? weigh(ratings.rdsOn, FET_OHMS) : 1)
      );
    case 'bridge':
      return weigh(ratings.vrrm, DIODE_VOLTS) * weigh(ratings.ifav, BRIDGE_AMPERES);
    case 'diode':
    case 'dual-diode':
      return facts?.technology === 'tvs'
        ? weigh(ratings.vrrm, STAND_OFF) * weigh(ratings.vz, ZENER_VOLTS)
        : weigh(ratings.vrrm, DIODE_VOLTS) * weigh(ratings.ifav, DIODE_AMPERES) * weigh(ratings.vz, ZENER_VOLTS);
    case 'triac':
    case 'scr':
      return weigh(ratings.vdrm, THYRISTOR_VOLTS) * weigh(ratings.itRms, THYRISTOR_AMPERES);
    case 'varistor':
      return weigh(ratings.vn, VARISTOR_VOLTS) * weigh(ratings.diameter, VARISTOR_DISC) * tolerance;
    case 'thermistor':
      return weigh(ratings.r25, THERMISTOR_OHMS) * weigh(ratings.diameter, THERMISTOR_DISC);
    case 'fuse': {
      const glass =
        ratings.breaking === undefined ? 0.6 : ratings.breaking < 100 ? 1 : ratings.breaking < 1000 ? 0.2 : 0.6;
      return weigh(ratings.current, FUSE_AMPERES) * weigh(ratings.voltage, FUSE_VOLTS) * glass;
    }
    case 'regulator':
      return weigh(ratings.vout, REGULATED);
    default:
      return 0.5;
  }
}

function weigh(value: number | undefined, { by, other }: Weights): number {
  return value === undefined ? 1 : (by[value] ?? other);
}

/** Weight by the coarsest series that holds a value: E3, E6, E12, E24, none of them. */
function bySeries(value: number | undefined, by: readonly [number, number, number, number, number]): number {
  if (value === undefined) return 1;
  if (value <= 0) return 0.3;
  const leading = value / 10 ** (Math.floor(Math.log10(value) + 1e-9) - 1);
  const place = E24.findIndex((step) => Math.abs(step - leading) < 1e-4);
  if (place < 0) return by[4];
  if (place % 8 === 0) return by[0];
  if (place % 4 === 0) return by[1];
  return place % 2 === 0 ? by[2] : by[3];
}

function ohmsDecade(resistance = 0): number {
  if (resistance < 0.1) return 0.3;
  if (resistance < 1) return 0.6;
  return resistance <= 1e6 ? 1 : resistance <= 1e7 ? 0.4 : 0.1;
}

function faradsDecade(capacitance = 0): number {
  if (capacitance < 10e-12) return 0.15;
  if (capacitance < 100e-12) return 0.4;
  return capacitance <= 3.3e-3 ? 1 : 0.3;
}
