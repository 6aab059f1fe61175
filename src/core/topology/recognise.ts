import { barrierOf, type Barrier, type Board } from '../board';
import { bulkOf, type Bulk } from './bulk';
import { chainStages } from './match/chain';
import type { FoundStage } from './match/stage';
import { modelOf, type Model } from './model';

/** What is recognised on a board, before it is put into words. */
export interface Recognition {
  readonly model: Model;
  readonly stages: readonly FoundStage[];
  readonly rejected: readonly FoundStage[];
  readonly bulk: Bulk;
  readonly barrier: Barrier;
  readonly isCut: boolean;
}

export function recognise(board: Board): Recognition {
  const model = modelOf(board);
  const { stages, rejected, isCut } = chainStages(model);
  return { model, stages, rejected, bulk: bulkOf(model, stages), barrier: barrierOf(board, model.nets), isCut };
}
