import { describePlate } from '../../../core/nameplate';
import { DAMAGES, SEAMS, type RecordedOpeningStep } from '../../../core/opening';
import { formatQuantity } from '../../../core/quantity';
import { SYMPTOMS, UNIT_KINDS } from '../../../core/unit';
import type { Dossier } from '../../../services/dossier';

/** How putting a unit together again went, in words. */
export const REASSEMBLED = {
  works: 'Put together again, and it works',
  closed: 'Put together again',
  loose: 'Put together, with something loose or left over',
  'not-possible': 'It cannot be put together again',
} as const;

/** A step of taking a case apart in a line. */
export const stepWords = ({ seam, count, drive, place, method, minutes, damage, kept }: RecordedOpeningStep): string =>
  [
    SEAMS[seam].label,
    [count === null ? '' : `${count} x`, drive].filter((word) => word !== '').join(' '),
    place,
    method,
    minutes === null ? '' : `${Number(minutes.toFixed(1))} min`,
    damage === 'none' ? '' : DAMAGES[damage],
    kept,
  ]
    .filter((word) => word !== '')
    .join(', ');

/** What is told of a unit as a whole; maker, model and label, and where it came from, only where they may be. */
export function unitRows(
  { donor, plate }: Dossier,
  of: { readonly year: number | undefined; readonly hidesMaker: boolean; readonly hidesOrigin: boolean },
): readonly (readonly [string, string])[] {
  const { lengthM, widthM, heightM, massKg } = donor;
  const size = [lengthM, widthM, heightM].every((side) => side !== null)
    ? [lengthM, widthM, heightM].map((side) => Math.round((side ?? 0) * 1000)).join(' × ')
    : '';
  const rows: readonly (readonly [string, string])[] = [
    ['kind', UNIT_KINDS[donor.kind].label],
    ...(of.hidesMaker
      ? []
      : ([
          ['maker', donor.maker],
          ['model', donor.model],
          ['label', donor.nameplate],
        ] as const)),
    ['reads', describePlate(plate)],
    ['made', of.year === undefined ? '' : String(of.year)],
    ['size', size === '' ? '' : `${size} mm`],
    ['weight', massKg === null ? '' : formatQuantity(massKg, 'kilogram')],
    ...(of.hidesOrigin ? [] : ([['came from', donor.origin]] as const)),
    [
      'complaint',
      [...new Set([donor.symptomKind === '' ? '' : SYMPTOMS[donor.symptomKind].label, donor.symptom])]
        .filter((word) => word !== '')
        .join(', '),
    ],
  ];
  return rows.filter(([, value]) => value !== '');
}
