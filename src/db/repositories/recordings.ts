import { and, eq, isNull } from 'drizzle-orm';
import type { Recording } from '../../core/waveform';
import type { Queryable } from '../client';
import { parts, recordings } from '../schema';

/** What was kept of recordings of a donor's parts, in order, each with the part's reference. */
export async function listRecordings(
  db: Queryable,
  donorId: string,
): Promise<readonly (Recording & { readonly ref: string })[]> {
  const rows = await db
    .select({ recording: recordings, ref: parts.ref })
    .from(recordings)
    .innerJoin(parts, and(eq(parts.id, recordings.partId), isNull(parts.deletedMs)))
    .where(and(eq(parts.donorId, donorId), isNull(recordings.deletedMs)))
    .orderBy(recordings.takenMs, recordings.id);
  return rows.map(({ recording, ref }) => ({ ...recording, ref }));
}
