import { and, eq, isNull, like } from 'drizzle-orm';
import type { Mark } from '../../core/bringup';
import { parseQuantity } from '../../core/quantity';
import type { Queryable } from '../client';
import { powerUpMarks } from '../schema';

/** How the steps of a donor's first power-ups were answered, in that order. */
export async function listPowerUpMarks(db: Queryable, donorId: string): Promise<Mark[]> {
  return db
    .select()
    .from(powerUpMarks)
    .where(and(eq(powerUpMarks.donorId, donorId), isNull(powerUpMarks.deletedMs)))
    .orderBy(powerUpMarks.id);
}

/** Ripple as it was read at the latest first power-up of each donor, volts; of several rails the worst. */
export async function measuredRipples(db: Queryable): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select()
    .from(powerUpMarks)
    .where(and(like(powerUpMarks.step, 'ripple:%'), isNull(powerUpMarks.deletedMs)))
    .orderBy(powerUpMarks.id);
  const found = new Map<string, { run: number; volts: number }>();
  for (const { donorId, run, text } of rows) {
    const read = parseQuantity(text, 'volt');
    if (!read.ok) continue;
    const earlier = found.get(donorId);
    const volts = earlier?.run === run ? Math.max(earlier.volts, read.quantity.value) : read.quantity.value;
    found.set(donorId, { run, volts });
  }
  return new Map([...found].map(([donorId, { volts }]) => [donorId, volts]));
}
