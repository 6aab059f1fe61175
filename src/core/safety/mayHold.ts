/** What a store does in the circuit. */
export type StoreRole = 'bulk' | 'filter' | 'other';

/** A rectified-mains reservoir is rated at least this. Common practice, no source. */
const BULK_RATED_FROM = 160;
/** Rail behind active power-factor correction, volts, and the power from which to expect it. Common practice, no source. */
const CORRECTED_RAIL = { volts: 400, fromWatts: 75 } as const;
/** Rectified 264 V mains, for a unit whose plate could not be read. Common practice, no source. */
const WORST_MAINS = 375;

/** The role that a store's name and rating suggest: `CX1` filters, a 400 V can is the bulk. */
export function storeRole({ name, ratedVoltage }: { name: string; ratedVoltage?: number | undefined }): StoreRole {
  if (/^C[XY]/i.test(name)) return 'filter';
  if (/^VBUS$|BULK/i.test(name)) return 'bulk';
  return ratedVoltage !== undefined && ratedVoltage >= BULK_RATED_FROM ? 'bulk' : 'other';
}

/**
 * The highest voltage a store may hold before anyone measured it, with the reason. Stores on the
 * mains side hold the peak of the plate's highest input, or the rail of a power-factor corrector
 * where the power suggests one; others hold at most what they are rated for.
 * @param of volts and watts; what is unknown is left out and taken on the safe side
 */
export function mayHold(of: {
  role: StoreRole;
  ratedVoltage?: number | undefined;
  highestBulkVoltage?: number | undefined;
  ratedPower?: number | undefined;
  input?: 'ac' | 'dc' | undefined;
}): { volts: number; why: string } {
  if (of.role === 'other')
    return of.ratedVoltage === undefined
      ? { volts: WORST_MAINS, why: 'nothing is known of it, so as on the mains side' }
      : { volts: of.ratedVoltage, why: 'its rated voltage' };
  if (of.highestBulkVoltage === undefined)
    return {
      volts: Math.max(WORST_MAINS, of.ratedVoltage ?? 0),
      why: 'plate not read, so the worst mains or its rating',
    };
  const corrected = of.role === 'bulk' && of.input !== 'dc' && (of.ratedPower ?? 0) >= CORRECTED_RAIL.fromWatts;
  return corrected && CORRECTED_RAIL.volts > of.highestBulkVoltage
    ? { volts: CORRECTED_RAIL.volts, why: 'a corrected rail is likely at this power' }
    : { volts: of.highestBulkVoltage, why: 'peak of the plate’s highest input plus 10 %' };
}
