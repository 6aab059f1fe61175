/** What a nameplate says of one input. Volts, amperes, watts (or volt-amperes), hertz. */
export interface NameplateInput {
  readonly kind: 'ac' | 'dc';
  readonly vMin: number;
  readonly vMax: number;
  readonly current?: number;
  readonly power?: number;
  readonly frequencies?: readonly number[];
  /** Three-phase supply, printed `3~`. */
  readonly phases?: 3;
}

/** One printed output. Volts are signed; `i` or `p` may be missing on a worn plate. */
export interface NameplateOutput {
  readonly v: number;
  /** Upper end when a range is printed, as on LED drivers and adjustable supplies. */
  readonly vMax?: number;
  readonly i?: number;
  readonly p?: number;
  /** The output is one choice among several (“5 V 3 A or 9 V 2 A”), not there at the same time. */
  readonly alternative?: true;
  /** The rail that runs while the rest is off. */
  readonly standby?: true;
  /** An alternating output, as of an iron transformer. */
  readonly ac?: true;
  /** The socket it comes out of, when the plate names several. Choices of one socket exclude each other. */
  readonly port?: string;
}

/** International efficiency mark, the Roman numeral in a circle. */
export type EfficiencyLevel = 'IV' | 'V' | 'VI';

/** Protection against shock by IEC 61140: I by the earth wire, II by double insulation, III by low voltage. */
export type SafetyClass = 'I' | 'II' | 'III';

/** A power that several outputs share. */
export interface SharedLimit {
  readonly volts: readonly number[];
  readonly power: number;
}

export interface Nameplate {
  readonly inputs: readonly NameplateInput[];
  readonly outputs: readonly NameplateOutput[];
  /** A printed total in watts. */
  readonly totalPower?: number;
  readonly sharedLimits?: readonly SharedLimit[];
  readonly efficiencyLevel?: EfficiencyLevel;
  readonly safetyClass?: SafetyClass;
  /** Printed as a source of limited power (LPS, or class 2 in North America). */
  readonly limitedPower?: true;
  /** Date codes that stand behind a word such as DATE or D/C. */
  readonly dateCodes?: readonly string[];
  /** Amperes of the fuse that is printed. */
  readonly fuse?: number;
  /** What it gives at which mains, where that is printed as a condition: `800W at 100-127V`. Watts, volts. */
  readonly conditions?: readonly { readonly power: number; readonly vMin: number; readonly vMax: number }[];
  /** Characters that were read as digits, since nothing else fits: as it stands, and as it was read. */
  readonly mended?: readonly { readonly from: string; readonly to: string }[];
  /** What no rule had a use for, in the order it stands. */
  readonly unread?: string;
}

/**
 * The supply as one range: the alternating inputs together where there are any, else the direct
 * ones. The current is that of the lowest voltage, where it is greatest.
 */
export function supplyOf({ inputs }: Pick<Nameplate, 'inputs'>): NameplateInput | undefined {
  const kind = inputs.some((input) => input.kind === 'ac') ? 'ac' : 'dc';
  const own = inputs.filter((input) => input.kind === kind).sort((a, b) => a.vMin - b.vMin);
  const [lowest] = own;
  return lowest && { ...lowest, vMax: Math.max(...own.map(({ vMax }) => vMax)) };
}
