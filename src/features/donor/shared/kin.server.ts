import 'server-only';
import { OUTCOMES, type Donor } from '../../../core/donor';
import type { Queryable } from '../../../db/client';
import { donorTitle } from '../../../db/repositories/donors';
import { familyOf, toldBy } from '../../../db/repositories/families';

/** A unit of the same family, with what it tells and what failed in it. */
export interface KinView {
  readonly code: string;
  readonly title: string;
  readonly kinship: 'same model' | 'variant';
  readonly outcome: string;
  readonly told: readonly string[];
  readonly failed: readonly string[];
}

/** Other units of its model and its variants, with what they tell it. */
export async function kinView(
  db: Queryable,
  donor: Pick<Donor, 'maker' | 'model'> & { readonly id?: string },
): Promise<readonly KinView[]> {
  const kin = await familyOf(db, donor);
  const { told, failed } = await toldBy(
    db,
    kin.map((one) => one.donor.id),
  );
  return kin.map(({ donor: other, kinship }) => ({
    code: other.code,
    title: donorTitle(other),
    kinship: kinship === 'same' ? 'same model' : 'variant',
    outcome: other.outcome === '' ? '' : OUTCOMES[other.outcome].label,
    told: told.filter(({ donorId }) => donorId === other.id).map(({ text }) => text),
    failed: [
      ...failed
        .filter(({ donorId }) => donorId === other.id)
        .map(({ ref, text }) => [ref, text].filter((word) => word !== '').join(': ')),
      ...(other.symptom === '' ? [] : [other.symptom]),
    ],
  }));
}
