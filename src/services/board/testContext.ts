import type { Board } from '../../core/board';
import { readingInPlace } from '../../core/incircuit';
import type { ChipTest, MeterAccuracies, TestField } from '../../core/measure';
import { chipReadings, type PartRecord } from '../../db/repositories/parts';
import { oncePerDossier } from '../dossier';
import { tracedBoard } from './tracedBoard';

/** What the judgement of a donor's parts rests on besides their readings. */
export interface TestContext {
  readonly board: Board;
  /** Accuracies of the shop's meters by name. */
  readonly meters: ReadonlyMap<string, MeterAccuracies>;
  /** Fingerprints of whole chips on other donors, by marking. */
  readonly known: ReadonlyMap<string, ChipTest['known']>;
}

/** The context of a donor's tests. */
export const testContext = oncePerDossier(async (dossier): Promise<TestContext> => {
  const [{ facts }, { meters }, chips] = await Promise.all([
    dossier.overview(),
    dossier.settings(),
    chipReadings(dossier.db, dossier.donor.id),
  ]);
  const known = new Map<string, ChipTest['known']>();
  for (const { marking, ...chip } of chips) known.set(marking, [...(known.get(marking) ?? []), chip]);
  return {
    board: await tracedBoard(dossier, facts.declaredDone.includes('trace')),
    meters: new Map(meters.map(({ name, accuracies }) => [name, accuracies])),
    known,
  };
});

/** Whether the board adds nothing to a field of a part, so that a reading in circuit is as good as one without it. */
export function isClearInPlace(board: Board, ref: string, field: TestField | undefined): boolean {
  if (!field?.pins || (field.unit !== 'ohm' && field.unit !== 'volt')) return false;
  const [plus, minus] = field.pins;
  const found = readingInPlace(board, { ref, plus, minus, mode: field.meter === 'diode' ? 'diode' : 'ohm' });
  return found.kind === 'known' && found.clear;
}

/** Fingerprints to hold a chip against. */
export function fingerprintsOf(context: TestContext, { part }: PartRecord): ChipTest['known'] {
  return part.marking ? (context.known.get(part.marking) ?? []) : [];
}
