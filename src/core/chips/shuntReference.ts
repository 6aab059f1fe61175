/** What shunt references hold their input at, in volts, by their numbers. Datasheets of several makers, from memory. */
const LOW_VOLTAGE = /^(?:TLVH?43[12]|LMV43[12]|(?:TS|AZ|AP|SC)432|SC431L|APL431L|APL1431)/;
const USUAL = 2.495;

/** Volts at which a shunt reference regulates its input: 2.495 V of the 431 family, 1.24 V of its low-voltage kin. */
export function shuntReferenceVolts(marking: string | undefined): number {
  return LOW_VOLTAGE.test((marking ?? '').toUpperCase().replace(/[^A-Z0-9]/g, '')) ? 1.24 : USUAL;
}
