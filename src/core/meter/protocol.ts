/** What a bench meter can be asked for. */
export const METER_QUANTITIES = {
  volt: { query: 'MEAS:VOLT:DC?', unit: 'volt', label: 'volts DC' },
  ohm: { query: 'MEAS:RES?', unit: 'ohm', label: 'resistance' },
  continuity: { query: 'MEAS:CONT?', unit: 'ohm', label: 'continuity' },
  diode: { query: 'MEAS:DIOD?', unit: 'volt', label: 'diode mode' },
  farad: { query: 'MEAS:CAP?', unit: 'farad', label: 'capacitance' },
} as const;
export type MeterQuantity = keyof typeof METER_QUANTITIES;
export const METER_QUANTITY_NAMES = Object.keys(METER_QUANTITIES) as MeterQuantity[];

/** A reading in SI units; over range there is no value. */
export interface MeterReading {
  readonly quantity: MeterQuantity;
  readonly value: number | null;
  /** Weight of the last digit. */
  readonly resolution: number;
  /** The meter printed millivolts: a range that hides what a charged capacitor holds. */
  readonly inMillivolts?: true;
}

export interface MeterIdentity {
  readonly maker: string;
  readonly model: string;
  readonly serial: string;
  /** It is the stand-in that ships, which needs to be told where the leads are. */
  readonly simulated: boolean;
}

/** Why no reading came. */
export type MeterFailure =
  | { readonly kind: 'not-set' }
  | { readonly kind: 'refused'; readonly address: string }
  | { readonly kind: 'no-answer'; readonly seconds: number }
  | { readonly kind: 'disconnected' }
  | { readonly kind: 'garbage'; readonly text: string }
  | { readonly kind: 'alternating'; readonly text: string }
  | { readonly kind: 'wrong-unit'; readonly shows: string; readonly wanted: string }
  | { readonly kind: 'no-stream' }
  /** The stand-in was asked about a unit that is not of the demo. */
  | { readonly kind: 'no-leads' };

/** What a failure means and what to do about it. */
export function meterFailureText(failure: MeterFailure): string {
  switch (failure.kind) {
    case 'not-set':
      return 'No meter is set. Name its address in Settings, or connect one by USB.';
    case 'refused':
      return `Nothing answers at ${failure.address}. Is the meter on, and the address right?`;
    case 'no-answer':
      return `The meter did not answer within ${failure.seconds} s. Type the reading, and look at its cable and mode.`;
    case 'disconnected':
      return 'The meter has gone: the connection broke. What was recorded is kept; type further readings, or connect it again.';
    case 'garbage':
      return `The meter sent “${failure.text}”, which is no reading. Type the reading instead.`;
    case 'alternating':
      return `The meter shows “${failure.text}”, an alternating voltage. An AC range hides the direct voltage of a charged capacitor: turn it to DC.`;
    case 'wrong-unit':
      return `The meter shows ${failure.shows}; this field wants ${failure.wanted}. Turn its dial.`;
    case 'no-leads':
      return 'The simulated meter has no leads on this: it stands in for a meter on the made-up units only. Type what your own meter shows, or name your meter in Settings.';
    case 'no-stream':
      return 'The USB meter has sent nothing yet. Is its data link switched on?';
  }
}

/** Why a reading in millivolts is no reading of a store. */
export const millivoltsText = (reading: string) =>
  `“${reading}” is a reading in a millivolt range, which hides what a charged capacitor holds. Turn the meter to a range of volts DC and read again; if it went to millivolts by itself, type the reading in volts, like 0.02V.`;

/** What the stand-in answers when its leads are on nothing that it knows. */
export const NO_LEADS = 'NO LEADS';

/** The four fields of an identification (IEEE 488.2), or nothing when the text is none. */
export function parseIdentity(text: string): MeterIdentity | undefined {
  const [maker = '', model = '', serial = ''] = text.split(',').map((field) => field.trim());
  if (maker === '' || model === '') return undefined;
  return { maker, model, serial, simulated: /simulated/i.test(text) };
}

/** From here up a number stands for over range: 9.9E37 by IEEE 488.2 and SCPI practice. */
const OVER_RANGE = 9e36;

/**
 * An answer to a query: a plain or exponential number, or a word for over range. The resolution is
 * the weight of the last printed digit.
 */
export function parseAnswer(quantity: MeterQuantity, text: string): MeterReading | MeterFailure {
  const clean = text.trim();
  if (clean === NO_LEADS) return { kind: 'no-leads' };
  if (/^[+-]?(?:ol|ovld|overload|inf)$/i.test(clean)) return { quantity, value: null, resolution: 0 };
  const number = /^([+-]?)(\d+)(?:\.(\d*))?(?:e([+-]?\d{1,2}))?$/i.exec(clean);
  if (!number) return { kind: 'garbage', text: shown(clean) };
  const value = Number(clean);
  if (Math.abs(value) >= OVER_RANGE) return { quantity, value: null, resolution: 0 };
  const decimals = (number[3] ?? '').length;
  const exponent = Number(number[4] ?? 0);
  return { quantity, value, resolution: Number((10 ** (exponent - decimals)).toPrecision(6)) };
}

/** A stray answer, short and printable enough to show. */
function shown(text: string): string {
  const printable = [...text].map((sign) => (/[\x20-\x7e]/.test(sign) ? sign : '·')).join('');
  return printable.length > 24 ? `${printable.slice(0, 24)}…` : printable || 'an empty line';
}
