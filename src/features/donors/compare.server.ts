import 'server-only';
import { z } from 'zod';
import { compare, type Comparison, type Subject } from '../../core/compare';
import type { AppContext } from '../../db/context';
import { donorTitle, findDonor, listDonors } from '../../db/repositories/donors';
import { familyOf } from '../../db/repositories/families';
import { openDossier } from '../../services/dossier';
import { subjectOf } from './subject.server';

/** Donors that stand side by side at most. */
export const MOST = 5;
/** Others offered to compare with. */
const OFFERED = 40;

const query = z.object({ of: z.union([z.string(), z.array(z.string())]).default('') });

export interface CompareView {
  readonly subjects: readonly Subject[];
  /** With two or more. */
  readonly comparison: Comparison | undefined;
  /** Codes of the address that no donor has. */
  readonly unknown: readonly string[];
  readonly others: readonly { readonly code: string; readonly title: string; readonly isKin: boolean }[];
}

/** Two to five donors side by side, as an address names them; with one, what it may be compared with. */
export async function compareView({ db, now }: Pick<AppContext, 'db' | 'now'>, typed: unknown): Promise<CompareView> {
  const read = query.safeParse(typed);
  const asked = read.success ? [read.data.of].flat().flatMap((text) => text.split(/[\s,]+/u)) : [];
  const codes = [...new Set(asked.map((code) => code.toUpperCase()).filter((code) => code !== ''))].slice(0, MOST);
  const found = await Promise.all(codes.map(async (code) => ({ code, donor: await findDonor(db.read, code) })));
  const donors = found.flatMap(({ donor }) => (donor ? [donor] : []));
  const [subjects, kin, { rows }] = await Promise.all([
    Promise.all(donors.map((donor) => subjectOf(openDossier(db.read, donor, now())))),
    donors[0] ? familyOf(db.read, donors[0]) : [],
    listDonors(db.read, { page: 0, size: OFFERED }),
  ]);
  const related = new Set(kin.map(({ donor }) => donor.code));
  return {
    subjects,
    comparison: subjects.length > 1 ? compare(subjects) : undefined,
    unknown: found.flatMap(({ code, donor }) => (donor ? [] : [code])),
    others: [
      ...kin.map(({ donor }) => donor),
      ...rows.map(({ donor }) => donor).filter(({ code }) => !related.has(code)),
    ]
      .filter(({ code }) => !donors.some((donor) => donor.code === code))
      .map((donor) => ({ code: donor.code, title: donorTitle(donor), isKin: related.has(donor.code) })),
  };
}
