import { eq } from 'drizzle-orm';
import type { AppContext } from '../context';
import type { Queryable } from '../client';
import { builds, donors, lots } from '../schema';

/** A code for a label that no other donor, lot or build has. */
export async function freshCode(tx: Queryable, app: AppContext, owner: 'lot' | 'donor' | 'build'): Promise<string> {
  const table = { lot: lots, donor: donors, build: builds }[owner];
  for (;;) {
    const code = app.newCode(owner);
    const [taken] = await tx.select({ id: table.id }).from(table).where(eq(table.code, code));
    if (!taken) return code;
  }
}
