import 'server-only';
import { kindRule, type TestName } from '../../../core/part';

import { findPart } from '../../../db/repositories/parts';
import type { Dossier } from '../../../services/dossier';

/** The part that a recording is of: what its test can keep of it. */
export interface WavePart {
  readonly ref: string;
  readonly message: string;
  readonly test: TestName | null;
}

/** The part named in an address, or nothing. */
export async function wavePart({ db, donor }: Dossier, ref: string): Promise<WavePart | null> {
  const found = ref === '' ? undefined : await findPart(db, donor.id, ref.toUpperCase());
  if (!found) return null;
  const rule = kindRule(found.part.kind);
  return {
    ref: found.part.ref,
    message: [rule.label, found.part.marking].filter(Boolean).join(' '),
    test: rule.test ?? null,
  };
}
