/**
 * Resistor colour code. Source: IEC 60062 (from memory). Gold and silver are no digits; grey as a
 * tolerance is 0.01 % in the present edition and 0.05 % in older tables.
 */
export const COLOURS: Readonly<
  Record<
    string,
    { readonly digit?: number; readonly multiplier: number; readonly tolerance?: number; readonly tempco?: number }
  >
> = {
  black: { digit: 0, multiplier: 1, tempco: 250e-6 },
  brown: { digit: 1, multiplier: 10, tolerance: 0.01, tempco: 100e-6 },
  red: { digit: 2, multiplier: 100, tolerance: 0.02, tempco: 50e-6 },
  orange: { digit: 3, multiplier: 1e3, tolerance: 0.0005, tempco: 15e-6 },
  yellow: { digit: 4, multiplier: 1e4, tolerance: 0.0002, tempco: 25e-6 },
  green: { digit: 5, multiplier: 1e5, tolerance: 0.005, tempco: 20e-6 },
  blue: { digit: 6, multiplier: 1e6, tolerance: 0.0025, tempco: 10e-6 },
  violet: { digit: 7, multiplier: 1e7, tolerance: 0.001, tempco: 5e-6 },
  grey: { digit: 8, multiplier: 1e8, tolerance: 0.0001, tempco: 1e-6 },
  white: { digit: 9, multiplier: 1e9 },
  gold: { multiplier: 0.1, tolerance: 0.05 },
  silver: { multiplier: 0.01, tolerance: 0.1 },
  pink: { multiplier: 0.001 },
};

/** Other spellings of the colours. */
export const COLOUR_SPELLINGS: Readonly<Record<string, string>> = { gray: 'grey', purple: 'violet' };
