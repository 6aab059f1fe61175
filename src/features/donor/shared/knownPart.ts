import type { Part } from '../../../core/donor';
import type { Edit } from '../../../db/repositories/journal';
import { findPart } from '../../../db/repositories/parts';
import { refuse } from '../../../services/command';

/** A part of the donor that is edited, or a refusal beside a field. */
export async function knownPart(edit: Edit, reference: string, field?: string): Promise<Part> {
  const ref = reference.toUpperCase();
  const found = await findPart(edit.tx, edit.donorId, ref);
  return found?.part ?? refuse('part-not-logged', { ref }, field);
}
