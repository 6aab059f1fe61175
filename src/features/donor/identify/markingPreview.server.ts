import 'server-only';
import type { z } from 'zod';
import { decodeMarking, tellApart } from '../../../core/marking';
import { kindRule, type KindName } from '../../../core/part';
import { nextFitting, senseCheck } from '../../../core/sense';

import { findDonor } from '../../../db/repositories/donors';
import { findType, isNumbered } from '../../../db/repositories/types';
import type { markingQuestion } from './schema';
import { donorStress } from '../../../services/board';
import { ratingSummary } from '../shared/words';
import type { AppContext } from '../../../db/context';
import type { Queryable } from '../../../db/client';
import { openDossier } from '../../../services/dossier';

/** What a marking may mean, for showing while it is typed. */
export interface MarkingPreview {
  readonly marking: string;
  readonly decodings: readonly { readonly kind: string; readonly why: string; readonly percent: string }[];
  /** What would tell the best two apart. */
  readonly tell: string | null;
  /** Why the best reading does not fit its place. */
  readonly misfit: string | null;
  /** The next reading that would. */
  readonly instead: string | null;
  /** What the shop knows of the number already. */
  readonly known: string | null;
}

const SHOWN = 3;

/** Reads a marking that is still being typed, for its place on a donor. */
export async function markingPreview(
  app: AppContext,
  code: string,
  { marking, kind, package: case_, block }: z.output<typeof markingQuestion>,
): Promise<MarkingPreview | null> {
  const { read } = app.db;
  const donor = await findDonor(read, code);
  if (!donor || marking.trim() === '') return null;
  const stated = kind === '' ? undefined : kind;
  const decodings = decodeMarking(marking, {
    kind: stated,
    package: case_ || undefined,
    place: block || undefined,
  });
  const [best] = decodings;
  const unit = await donorStress(openDossier(read, donor, app.now()));
  const place = { block: block || null };
  const misfit =
    best &&
    senseCheck({ ...place, kind: best.kind, ratings: best.ratings, technology: best.facts?.technology }, unit)[0];
  const instead = misfit?.severity === 'wrong' ? nextFitting(decodings, place, unit) : undefined;
  return {
    marking,
    decodings: decodings.slice(0, SHOWN).map(({ kind: as, why, confidence, readAs }) => ({
      kind: kindRule(as).label,
      why: readAs ? `${why} (reading ${readAs})` : why,
      percent: `${Math.round(confidence * 100)} %`,
    })),
    tell: tellApart(decodings) ?? null,
    misfit: misfit?.message ?? null,
    instead: instead?.why ?? null,
    known: await knownAs(read, stated ?? best?.kind, marking),
  };
}

async function knownAs(db: Queryable, kind: KindName | undefined, marking: string): Promise<string | null> {
  if (!kind || !isNumbered(kind)) return null;
  const found = await findType(db, kind, marking.trim().toUpperCase());
  if (!found) return null;
  const summary = ratingSummary(kind, found.ratings).map(({ text }) => text);
  return [found.type.name, ...summary].join(' ');
}
