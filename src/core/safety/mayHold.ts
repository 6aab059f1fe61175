import { practice } from '../evidence';
/** What a store does in the circuit. */
export const STORE_ROLES = {
  bulk: { label: 'mains reservoir', short: 'bulk' },
  filter: { label: 'X or Y filter', short: 'filter' },
  output: { label: 'output bank', short: 'output' },
  boosted: { label: 'boosted or pulse store', short: 'pulse store' },
  battery: { label: 'battery', short: 'battery' },
  other: { label: 'other', short: 'store' },
} as const;
export type StoreRole = keyof typeof STORE_ROLES;
export const STORE_ROLE_NAMES = Object.keys(STORE_ROLES) as StoreRole[];

/** Where the voltage of a store comes from, as a person may choose it. */
export const HOLD_SOURCES = {
  auto: 'by what it is',
  'rectified-mains': 'rectified mains',
  'corrected-rail': 'corrected rail, about 400 V',
  doubler: 'half of a mains doubler',
  charger: 'the unit’s own output',
  user: 'a figure of my own',
} as const;
export type HoldSource = keyof typeof HOLD_SOURCES;
export const HOLD_SOURCE_NAMES = Object.keys(HOLD_SOURCES) as HoldSource[];

/** A rectified-mains reservoir is rated at least this. */
const BULK_RATED_FROM = practice(160);
/** Rail behind active power-factor correction, volts, and the power from which to expect it. */
const CORRECTED_RAIL = practice({ volts: 400, fromWatts: 75 } as const);
/** Rectified 264 V mains, for a unit whose plate could not be read. */
const WORST_MAINS = practice(375);

/** The role that a store's name and rating suggest: `CX1` filters, a 400 V can is the bulk. */
export function storeRole({ name, ratedVoltage }: { name: string; ratedVoltage?: number | undefined }): StoreRole {
  if (/^C[XY]/i.test(name)) return 'filter';
  if (/^VBUS$|BULK/i.test(name)) return 'bulk';
  if (/^BAT|^BT\d/i.test(name)) return 'battery';
  return ratedVoltage !== undefined && ratedVoltage >= BULK_RATED_FROM ? 'bulk' : 'other';
}

/** A rating so many times what the unit can bring to a store was chosen for more: a doubler, a boost, an inverter, a flash. */
const CHOSEN_FOR_MORE = practice(1.6);
/** Capacitors above this are mostly marked in alternating volts, as those of ovens are. */
const MARKED_IN_AC_FROM = practice(1000);

/** What a store may hold; no volts where nothing bounds it. */
export interface Hold {
  readonly volts?: number;
  readonly why: string;
}

/**
 * The highest voltage a store may hold before anyone measured it, with the reason. Stores on the
 * mains side hold the peak of the plate's highest input, or the rail of a power-factor corrector
 * where the power suggests one; others hold at most what they are rated for. A rating far above what
 * the unit's input brings, and any store of a unit fed with direct voltage, may be stepped up: it counts
 * with its rating, or as unknown. An alternating rating counts with its peak. A person may name the
 * source, or a figure of their own.
 * @param of volts and watts; what is unknown is left out and taken on the safe side
 */
export function mayHold(of: {
  role: StoreRole;
  source?: HoldSource | undefined;
  userVoltage?: number | undefined;
  ratedVoltage?: number | undefined;
  /** The rating is printed in alternating volts. */
  ratedInAc?: boolean | undefined;
  highestBulkVoltage?: number | undefined;
  highestOutput?: number | undefined;
  ratedPower?: number | undefined;
  input?: 'ac' | 'dc' | undefined;
}): Hold {
  const rating = ratingOf(of);
  const mains = of.highestBulkVoltage ?? Math.max(WORST_MAINS, rating?.volts ?? 0);
  const mainsWhy =
    of.highestBulkVoltage === undefined
      ? 'plate not read, so the worst mains or its rating'
      : of.input === 'dc'
        ? 'the plate’s highest input'
        : 'peak of the plate’s highest input plus 10 %';
  switch (of.source ?? 'auto') {
    case 'user':
      if (of.userVoltage !== undefined) return { volts: of.userVoltage, why: 'your figure' };
      break;
    case 'rectified-mains':
      return { volts: mains, why: mainsWhy };
    case 'corrected-rail':
      return { volts: Math.max(CORRECTED_RAIL.volts, mains), why: 'the rail behind a power-factor corrector' };
    case 'doubler':
      return { volts: mains / 2, why: 'half of the doubled mains, at the highest input' };
    case 'charger':
      if (of.highestOutput !== undefined) return { volts: of.highestOutput, why: 'the plate’s highest output' };
      break;
    case 'auto':
      break;
  }
  if (of.role === 'boosted') return rating ?? { why: 'a pulse store of unknown rating: nothing bounds it' };
  if (of.role === 'output' || of.role === 'battery') {
    if (rating) return rating;
    if (of.highestOutput !== undefined) return { volts: of.highestOutput, why: 'the plate’s highest output' };
  }
  if (of.role !== 'bulk' && of.role !== 'filter')
    return rating ?? { volts: WORST_MAINS, why: 'nothing is known of it, so as on the mains side' };
  const corrected = of.role === 'bulk' && of.input !== 'dc' && (of.ratedPower ?? 0) >= CORRECTED_RAIL.fromWatts;
  const expected: Hold & { readonly volts: number } =
    of.highestBulkVoltage !== undefined && corrected && CORRECTED_RAIL.volts > of.highestBulkVoltage
      ? { volts: CORRECTED_RAIL.volts, why: 'a corrected rail is likely at this power' }
      : { volts: mains, why: mainsWhy };
  // A filter stands at the terminals, and is rated for far more than it holds.
  if (of.role === 'filter') return expected;
  if (of.input === 'dc' && !rating)
    return { why: 'a unit fed with direct voltage may step it up, and its rating is not known' };
  if (rating && rating.volts > expected.volts && (of.input === 'dc' || rating.volts > CHOSEN_FOR_MORE * expected.volts))
    return { volts: rating.volts, why: `${rating.why}, as the input alone does not ask for so much` };
  return expected;
}

/** The highest voltage a rating allows, with the reason. */
function ratingOf({
  role,
  ratedVoltage,
  ratedInAc,
}: {
  role: StoreRole;
  ratedVoltage?: number | undefined;
  ratedInAc?: boolean | undefined;
}): { readonly volts: number; readonly why: string } | undefined {
  if (ratedVoltage === undefined) return undefined;
  if (ratedInAc) return { volts: ratedVoltage * Math.SQRT2, why: 'the peak of its rated alternating voltage' };
  if (role !== 'filter' && ratedVoltage > MARKED_IN_AC_FROM)
    return { volts: ratedVoltage * Math.SQRT2, why: 'the peak of its rated voltage, if that is alternating' };
  return { volts: ratedVoltage, why: 'its rated voltage' };
}
