import type { KindName, RatingName } from '../../part';

/** A code of a few characters on a part too small for its number. */
export interface ChipCode {
  readonly codes: readonly string[];
  /** The number it most often stands for. */
  readonly stands: string;
  readonly kind: KindName;
  readonly ratings: Partial<Record<RatingName, number>>;
  readonly technology?: string;
  /** Cases it is met in; SOT-23 unless given. */
  readonly cases?: readonly string[];
}

const code = (
  codes: string,
  stands: string,
  kind: KindName,
  ratings: ChipCode['ratings'],
  technology?: string,
): ChipCode => ({
  codes: codes.split(' '),
  stands,
  kind,
  ratings,
  ...(technology === undefined ? {} : { technology }),
});
const diodeCase = (entry: ChipCode): ChipCode => ({ ...entry, cases: ['SOD-123', 'SOD-323', 'SMA', 'SMB'] });

/**
 * Codes of small transistors, diodes and regulators. Source: datasheets of several makers, from memory. One code may
 * stand for other parts with another maker, so that none of them is sure.
 */
export const CHIP_CODES: readonly ChipCode[] = [
  code('1AM 1AW 1AP', 'MMBT3904', 'npn', { vceo: 40, ic: 0.2 }),
  code('2A 2AM', 'MMBT3906', 'pnp', { vceo: 40, ic: 0.2 }),
  code('1P 1PM', 'MMBT2222A', 'npn', { vceo: 40, ic: 0.6 }),
  code('2F 2FM', 'MMBT2907A', 'pnp', { vceo: 60, ic: 0.6 }),
  code('G1 G1M', 'MMBT5551', 'npn', { vceo: 160, ic: 0.6 }),
  code('2L 2LM', 'MMBT5401', 'pnp', { vceo: 150, ic: 0.6 }),
  code('1D 1DM', 'MMBTA42', 'npn', { vceo: 300, ic: 0.5 }),
  code('2D 2DM', 'MMBTA92', 'pnp', { vceo: 300, ic: 0.5 }),
  code('1E 1F 1G 1EW 1FW 1GW 1EP 1FP 1GP 1ER 1FR 1GR', 'BC847', 'npn', { vceo: 45, ic: 0.1 }),
  code('3E 3F 3G 3EW 3FW 3GW 3EP 3FP 3GP', 'BC857', 'pnp', { vceo: 45, ic: 0.1 }),
  code('6A 6B 6C 6AW 6BW 6CW', 'BC817', 'npn', { vceo: 45, ic: 0.5 }),
  code('5A 5B 5C 5AW 5BW 5CW', 'BC807', 'pnp', { vceo: 45, ic: 0.5 }),
  code('J3Y', 'S8050', 'npn', { vceo: 25, ic: 0.5 }),
  code('2TY', 'S8550', 'pnp', { vceo: 25, ic: 0.5 }),
  code('Y1', 'SS8050', 'npn', { vceo: 25, ic: 1.5 }),
  code('Y2', 'SS8550', 'pnp', { vceo: 25, ic: 1.5 }),
  code('J3', 'S9013', 'npn', { vceo: 25, ic: 0.5 }),
  code('2T1', 'S9012', 'pnp', { vceo: 20, ic: 0.5 }),
  code('J6', 'S9014', 'npn', { vceo: 45, ic: 0.1 }),
  code('M6', 'S9015', 'pnp', { vceo: 45, ic: 0.1 }),
  code('J8', 'S9018', 'npn', { vceo: 15, ic: 0.05 }),
  code('HF', '2SC1815', 'npn', { vceo: 50, ic: 0.15 }),
  code('BA', '2SA1015', 'pnp', { vceo: 50, ic: 0.15 }),
  code('CR', '2SC945', 'npn', { vceo: 50, ic: 0.1 }),
  code('CS', '2SA733', 'pnp', { vceo: 50, ic: 0.1 }),
  code('L6', '2SC1623', 'npn', { vceo: 50, ic: 0.1 }),
  code('702 7002 72 12W', '2N7002', 'nmos', { vds: 60, id: 0.115 }),
  code('72K K72 7K2', '2N7002K', 'nmos', { vds: 60, id: 0.115 }),
  code('SS J1', 'BSS138', 'nmos', { vds: 50, id: 0.2 }),
  code('SP B84', 'BSS84', 'pmos', { vds: 50, id: 0.13 }),
  code('A09T X0', 'AO3400', 'nmos', { vds: 30, id: 5.7 }),
  code('A19T X1', 'AO3401', 'pmos', { vds: 30, id: 4 }),
  code('A1SHB', 'SI2301', 'pmos', { vds: 20, id: 2.3 }),
  code('A2SHB', 'SI2302', 'nmos', { vds: 20, id: 2.8 }),
  code('A6T A6SHB', 'SI2306', 'nmos', { vds: 30, id: 3.5 }),
  code('A5SHB', 'SI2305', 'pmos', { vds: 8, id: 4.1 }),
  code('A4 A4W JJ', 'BAV70', 'dual-diode', { vrrm: 70, ifav: 0.2 }, 'signal'),
  code('A7 A7W JE', 'BAV99', 'dual-diode', { vrrm: 70, ifav: 0.2 }, 'signal'),
  code('A1 A1W JD', 'BAW56', 'dual-diode', { vrrm: 70, ifav: 0.2 }, 'signal'),
  code('A6 A6W', 'BAS16', 'diode', { vrrm: 75, ifav: 0.2 }, 'signal'),
  code('JS', 'BAS21', 'diode', { vrrm: 200, ifav: 0.2 }, 'signal'),
  code('KL1', 'BAT54', 'diode', { vrrm: 30, ifav: 0.2 }, 'schottky'),
  code('KL2 KL3 KL4', 'BAT54 pair', 'dual-diode', { vrrm: 30, ifav: 0.2 }, 'schottky'),
  diodeCase(code('T4 W1 5H', '1N4148W', 'diode', { vrrm: 75, ifav: 0.15 }, 'signal')),
  diodeCase(code('SL S4', '1N5819W', 'diode', { vrrm: 40, ifav: 1 }, 'schottky')),
  diodeCase(code('A7', '1N4007 class', 'diode', { vrrm: 1000, ifav: 1 }, 'rectifier')),
  code('662K 65Z5', 'XC6206, 3.3 V', 'regulator', { vout: 3.3, iout: 0.2 }),
  code('4A2D 33A', 'XC6206, 3.3 V', 'regulator', { vout: 3.3, iout: 0.2 }),
  code('EA1 TL43', 'TL431', 'shunt-reference', { vout: 2.495 }),
];
