import { practice } from '../evidence';
/** A ferrite core as a set of two halves; lengths in metres, areas in m², the inductance factor in henry per turn². */
export interface Core {
  readonly name: string;
  readonly alias?: string;
  /** Largest width, height of one half, thickness. */
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  /** Effective area and path length. */
  readonly area: number;
  readonly path: number;
  /** Effective volume as printed, m³. */
  readonly volume: number;
  /** Ungapped, material of permeability about 2200, ± 25 %. */
  readonly inductanceFactor: number;
  /** Winding area of its bobbin and mean length of a turn; where the tables give them. */
  readonly window: number | undefined;
  readonly turnLength: number | undefined;
  /** Watts as a flyback at 65 to 100 kHz. Common practice, no source. */
  readonly flybackWatts: readonly [number, number] | undefined;
}

type Row = readonly [
  name: string,
  alias: string,
  mm: readonly [number, number, number],
  areaMm2: number,
  pathMm: number,
  volumeMm3: number,
  nanohenry: number,
  windowMm2: number | null,
  turnMm: number | null,
  watts: readonly [number, number] | null,
];

/**
 * Cores met in discarded supplies. Dimensions in the series of IEC 63093 (part 4 RM, 6 ETD, 7 EER, 8 E, 13 PQ,
 * 14 EFD); effective values from makers' tables; all from memory, inductance factors ± 25 %.
 */
const ROWS: readonly Row[] = [
  ['E13/7/4', 'EF12.6', [12.7, 6.4, 3.6], 12.4, 29.7, 368, 800, 12, 24, [2, 3]],
  ['E16/8/5', 'EF16', [16, 8.1, 4.6], 20.1, 37.6, 754, 1000, 22, 34, [5, 10]],
  ['EE16', 'narrow', [16, 7.2, 4.8], 19.2, 35, 670, 1140, 20, 33, [5, 10]],
  ['EE19', '', [19, 8, 4.85], 23, 39.4, 900, 1250, 30, 38, [8, 15]],
  ['E20/10/6', 'EF20', [20.2, 10, 5.7], 32.1, 46.3, 1490, 1350, 34, 41, [12, 20]],
  ['E25/13/7', 'EF25', [25, 12.7, 7.3], 52, 57.5, 2990, 1850, 56, 50, [25, 40]],
  ['E30/15/7', '', [30, 15, 7.1], 60, 67, 4000, 1800, 90, 56, [40, 60]],
  ['E32/16/9', 'EF32', [32, 16.2, 9.2], 83, 74, 6140, 2200, 97, 60, [50, 80]],
  ['EE33', 'EI33', [33, 14, 12.7], 118, 67, 7900, 3900, null, null, [60, 100]],
  ['E42/21/15', '', [42, 21, 15], 178, 97, 17300, 3900, 178, 87, null],
  ['E42/21/20', '', [42, 21, 20], 234, 97, 22700, 5200, 178, 100, null],
  ['E55/28/21', '', [55, 27.6, 21], 354, 124, 43900, 5900, 250, 116, null],
  ['E65/32/27', '', [65, 32.6, 27], 535, 147, 78650, 7200, 394, 150, null],
  ['ETD29/16/10', '', [29.8, 15.8, 9.5], 76, 70.4, 5350, 2200, 97, 53, [50, 80]],
  ['ETD34/17/11', '', [34.2, 17.2, 10.9], 97.1, 78.6, 7630, 2600, 122, 60, [80, 120]],
  ['ETD39/20/13', '', [39.1, 19.7, 12.5], 125, 92.2, 11500, 2700, 178, 69, [120, 180]],
  ['ETD44/22/15', '', [44, 22.3, 14.9], 173, 103, 17800, 3500, 210, 78, [180, 300]],
  ['ETD49/25/16', '', [48.7, 24.7, 16.4], 211, 114, 24000, 3800, 269, 85, [300, 500]],
  ['EFD15/8/5', '', [15, 7.5, 4.65], 15, 34, 510, 780, 15, 26, [3, 6]],
  ['EFD20/10/7', '', [20, 10, 6.65], 31, 47, 1460, 1200, 27, 36, [8, 15]],
  ['EFD25/13/9', '', [25, 12.5, 9.1], 58, 57, 3300, 2000, 41, 48, [20, 35]],
  ['EFD30/15/9', '', [30, 15, 9.1], 69, 68, 4700, 2050, 52, 53, [30, 50]],
  ['PQ20/20', '', [20.5, 10.1, 14], 62, 45.7, 2830, 2900, 36, 44, [30, 60]],
  ['PQ26/25', '', [26.5, 12.4, 19], 118, 55.5, 6530, 4500, 48, 56, [80, 120]],
  ['PQ32/30', '', [32, 15.2, 22], 161, 74.6, 12000, 4700, 100, 66, [150, 250]],
  ['RM8', 'no hole', [19.7, 8.2, 19.7], 64, 38, 2430, 3300, 30, 42, [20, 40]],
  ['RM10', 'no hole', [24.7, 9.3, 24.7], 98, 44, 4310, 4200, 42, 52, [40, 80]],
  ['EER28', '', [28.5, 14, 11.4], 82.1, 64, 5250, 2870, null, null, [40, 70]],
  ['EER28L', '', [28.5, 16.9, 11.4], 81.4, 75.5, 6150, 2520, null, null, [60, 90]],
  ['EER35', '', [35, 20.7, 11.3], 107, 90.8, 9720, 2770, null, null, [100, 200]],
];

export const CORES: readonly Core[] = ROWS.map(
  ([name, alias, [width, height, depth], area, path, volume, nanohenry, window, turn, watts]) => ({
    name,
    ...(alias ? { alias } : {}),
    width: width * 1e-3,
    height: height * 1e-3,
    depth: depth * 1e-3,
    area: area * 1e-6,
    path: path * 1e-3,
    volume: volume * 1e-9,
    inductanceFactor: nanohenry * 1e-9,
    window: window === null ? undefined : window * 1e-6,
    turnLength: turn === null ? undefined : turn * 1e-3,
    flybackWatts: watts ?? undefined,
  }),
);

/** How far a dimension may be off: the larger of a share and a length in metres. */
const TOLERANCE = practice({ share: 0.025, metres: 0.5e-3 } as const);

export interface CoreMatch {
  readonly core: Core;
  /** Summed relative errors of the dimensions that were given. */
  readonly error: number;
}

/** Outer dimensions in metres, as far as they can be reached with a calliper. */
export interface CoreDimensions {
  readonly width?: number | undefined;
  readonly height?: number | undefined;
  readonly depth?: number | undefined;
}

/** A core that is near to what was measured though not within the tolerance, with how far each dimension is off, in metres. */
export interface NearCore {
  readonly core: Core;
  /** Measured less the table's. */
  readonly off: readonly { readonly name: keyof CoreDimensions; readonly by: number }[];
}

/** The core nearest to dimensions that no core has within the tolerance; none without at least two dimensions. */
export function nearestCore(measured: CoreDimensions): NearCore | undefined {
  const given = dimensionsIn(measured);
  if (given.length < 2 || matchCore(measured).length > 0) return undefined;
  const errorOf = (core: Core) =>
    given.reduce((sum, { name, value }) => sum + Math.abs(Math.log(value / core[name])), 0);
  const [core] = CORES.toSorted((a, b) => errorOf(a) - errorOf(b));
  return core && { core, off: given.map(({ name, value }) => ({ name, by: value - core[name] })) };
}

function dimensionsIn(measured: CoreDimensions) {
  return (['width', 'height', 'depth'] as const).flatMap((name) => {
    const value = measured[name];
    return value === undefined || value <= 0 ? [] : [{ name, value }];
  });
}

/** Cores whose dimensions all lie within the tolerance, the nearest first; none without at least two dimensions. */
export function matchCore(measured: CoreDimensions): readonly CoreMatch[] {
  const given = dimensionsIn(measured);
  if (given.length < 2) return [];
  return CORES.flatMap((core): CoreMatch[] => {
    const within = given.every(
      ({ name, value }) => Math.abs(value - core[name]) <= Math.max(TOLERANCE.share * core[name], TOLERANCE.metres),
    );
    return within
      ? [{ core, error: given.reduce((sum, { name, value }) => sum + Math.abs(value / core[name] - 1), 0) }]
      : [];
  }).sort((a, b) => a.error - b.error);
}
