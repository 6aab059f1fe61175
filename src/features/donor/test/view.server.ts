import 'server-only';
import type { Dossier } from '../../../services/dossier';
import type { TableColumn, TableRow } from '../../../ui/list/rows';
import { isTestable, partHead, partsTable, refOf, type PartHead } from '../shared/partsTable.server';
import { partTest, type PartTestView } from './present';

/** One part at the Test station; none of its test when its kind has no test. */
export interface TestedPartView extends PartHead {
  readonly test: PartTestView | null;
}

export interface TestView {
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  readonly selected: TestedPartView | null;
  readonly testable: number;
  readonly tested: number;
  /** References of parts worth measuring next. */
  readonly untested: readonly string[];
}

/** The parts that have a bench test, how far they are tested, and one of them in full. */
export async function testView(dossier: Dossier, wanted: string | undefined): Promise<TestView> {
  const { columns, rows, fitted, chosen, context } = await partsTable(dossier, { station: 'test', wanted });
  const testable = fitted.filter(isTestable);
  return {
    columns,
    rows,
    selected: chosen ? { ...partHead(chosen), test: partTest(chosen.record, context) } : null,
    testable: testable.length,
    tested: testable.filter(({ judgement }) => judgement).length,
    untested: testable.filter(({ record, judgement }) => !judgement && record.part.state === 'on-board').map(refOf),
  };
}
