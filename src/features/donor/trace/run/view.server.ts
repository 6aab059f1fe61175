import 'server-only';
import { z } from 'zod';
import type { TracedUnit } from '../../../../core/traced';
import { tracedBoard, tracedValues } from '../../../../services/board';
import type { Dossier } from '../../../../services/dossier';

/** Volts in an address; anything else is as if nothing stood there. */
const voltsSchema = z.coerce.number().min(1).max(500);

/** What a unit's run rests on, and the volts at its input that the address asks for. */
export async function runView(
  dossier: Dossier,
  { isDone, volts }: { readonly isDone: boolean; readonly volts: string | undefined },
): Promise<{ readonly unit: TracedUnit; readonly volts: number | undefined }> {
  const [board, values] = await Promise.all([tracedBoard(dossier, isDone), tracedValues(dossier)]);
  const read = voltsSchema.safeParse(volts);
  return { unit: { board, ...values }, volts: volts && read.success ? read.data : undefined };
}
