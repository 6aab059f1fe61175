import type { BoardFact } from '../../core/donor';
import { and, eq, isNull } from 'drizzle-orm';
import type { Queryable } from '../client';
import { boardFacts } from '../schema';
import type { Edit } from './journal';

/** What the meter said of a donor's board, in the order it was said. */
export async function listBoardFacts(db: Queryable, donorId: string): Promise<BoardFact[]> {
  return db
    .select()
    .from(boardFacts)
    .where(and(eq(boardFacts.donorId, donorId), isNull(boardFacts.deletedMs)))
    .orderBy(boardFacts.id);
}

/** One fact of a donor's board that still stands. */
export async function findBoardFact(db: Queryable, donorId: string, id: string): Promise<BoardFact | undefined> {
  const rows = await db
    .select()
    .from(boardFacts)
    .where(and(eq(boardFacts.donorId, donorId), eq(boardFacts.id, id), isNull(boardFacts.deletedMs)));
  return rows[0];
}

/** What a person has fixed a part as, if anything. */
export async function fixedOn(db: Queryable, donorId: string, ref: string): Promise<BoardFact | undefined> {
  const facts = await listBoardFacts(db, donorId);
  return facts.find(({ relation, a }) => relation === 'fixed' && a === ref);
}

/** Writes down what the meter said between two pins, or that a net was swept to its end. */
export async function addBoardFact(
  edit: Edit,
  fact: {
    relation: BoardFact['relation'];
    a: string;
    b?: string;
    ohms?: number | undefined;
    drop?: number | undefined;
  },
): Promise<void> {
  await edit.insert('boardFacts', {
    donorId: edit.donorId,
    relation: fact.relation,
    a: fact.a,
    b: fact.b ?? '',
    ohms: fact.ohms ?? null,
    dropV: fact.drop ?? null,
    createdMs: edit.app.now(),
  });
}
