import 'server-only';
import { firstStep, unlogged, type FirstStep } from '../../../core/topology';
import { contradictions, fixedWords, type Board } from '../../../core/board';
import type { BoardFact } from '../../../core/donor';
import { formatQuantity } from '../../../core/quantity';

import { testContext, tracedBoard } from '../../../services/board';
import { measuredRows } from '../shared/measuredRows';
import { boardPhotos, type BoardPhoto } from '../photos/view.server';
import { clockOf } from '../../../ui/value/moments';
import type { Dossier } from '../../../services/dossier';

export interface FactView {
  readonly id: string;
  readonly when: string;
  readonly a: string;
  readonly b: string;
  readonly message: string;
}

export interface TraceView {
  readonly board: Board;
  /** What to begin with, while no probe tells more than another. */
  readonly step: FirstStep | undefined;
  /** What a supply cannot do without and nobody has logged yet. */
  readonly unlogged: readonly string[];
  readonly facts: readonly FactView[];
  /** Sets of facts that cannot all hold. */
  readonly conflicts: readonly (readonly FactView[])[];
  /** What a person has fixed. */
  readonly fixed: readonly FactView[];
  readonly photos: readonly BoardPhoto[];
  /** What was measured of parts, in words, by reference. */
  readonly measured: Readonly<Record<string, string>>;
}

/**
 * The board of a donor as it is known so far: its parts, and what the meter said. Once the station is declared done,
 * every join is taken to be in.
 */
export async function traceView(dossier: Dossier, isDone: boolean): Promise<TraceView> {
  const [board, facts, photos, measured] = await Promise.all([
    tracedBoard(dossier, isDone),
    dossier.boardFacts(),
    boardPhotos(dossier),
    measuredInWords(dossier),
  ]);
  const views = facts.map(viewOf);
  const conflicts = contradictions(board).map((set) =>
    set.flatMap(({ kind, pins }) => {
      const at = facts.findIndex(
        ({ relation, a, b }) =>
          relation === kind && ((a === pins[0] && b === pins[1]) || (a === pins[1] && b === pins[0])),
      );
      return views[at] ?? [];
    }),
  );
  const isFixed = (view: FactView) => facts.some(({ id, relation }) => id === view.id && relation === 'fixed');
  return {
    board,
    step: firstStep(board),
    unlogged: unlogged(board),
    facts: views.filter((view) => !isFixed(view)).toReversed(),
    conflicts,
    fixed: views.filter(isFixed),
    photos,
    measured,
  };
}

async function measuredInWords(dossier: Dossier): Promise<Readonly<Record<string, string>>> {
  const [parts, context] = await Promise.all([dossier.parts(), testContext(dossier)]);
  return Object.fromEntries(
    parts.flatMap((record) => {
      const words = measuredRows(record, context).map(({ label, value, evidence }) =>
        [label, value, evidence].filter(Boolean).join(' '),
      );
      return words.length > 0 ? [[record.part.ref, words.join(', ')]] : [];
    }),
  );
}

const WORDS: Readonly<Record<BoardFact['relation'], string>> = {
  joined: 'joined',
  separate: 'not joined',
  through: 'through',
  swept: 'nothing else on it',
  unsure: 'left open',
  fixed: 'taken for',
};

function viewOf({ id, relation, a, b, ohms, dropV, createdMs }: BoardFact): FactView {
  if (relation === 'fixed') return { id, when: clockOf(createdMs), a, b, message: `${WORDS.fixed} ${fixedWords(b)}` };
  const read = [
    ...(ohms === null ? [] : [formatQuantity(ohms, 'ohm')]),
    ...(dropV === null ? [] : [formatQuantity(dropV, 'volt')]),
  ];
  return { id, when: clockOf(createdMs), a, b, message: [WORDS[relation], ...read].join(' ') };
}
