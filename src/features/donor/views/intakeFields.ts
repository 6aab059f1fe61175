import type { Size } from '../../../core/nameplate';
import { formatQuantity, type Unit } from '../../../core/quantity';
import type { Donor } from '../../../db/repositories/donors';

/** What the fields of a donor's sheet begin with, as a person would type it, and the size in metres. */
export function intakeFields(donor: Donor) {
  const typed = (value: number | null, unit: Unit) =>
    value === null ? '' : formatQuantity(value, unit, { digits: 4 }).replace('\u00a0', '');
  const { description, maker, model, nameplate, origin, symptom } = donor;
  const size: Size = {
    ...(donor.lengthM === null ? {} : { length: donor.lengthM }),
    ...(donor.widthM === null ? {} : { width: donor.widthM }),
    ...(donor.heightM === null ? {} : { height: donor.heightM }),
    ...(donor.massKg === null ? {} : { mass: donor.massKg }),
  };
  return {
    size,
    defaults: {
      description,
      maker,
      model,
      nameplate,
      origin,
      symptom,
      length: typed(donor.lengthM, 'metre'),
      width: typed(donor.widthM, 'metre'),
      height: typed(donor.heightM, 'metre'),
      mass: typed(donor.massKg, 'kilogram'),
    },
  };
}
