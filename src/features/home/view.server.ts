import 'server-only';
import { attention, donorLines } from '../../services/dossier/donorLines';
import { stockHead } from '../stock/find/view.server';

/** How many donors the bench shows; the rest are under Donors. */
const ON_THE_BENCH = 8;

/** Everything the bench shows at once. */
export async function loadBench() {
  const [donors, questions, stock] = await Promise.all([
    donorLines({ query: '', page: 0, size: ON_THE_BENCH }),
    attention(),
    stockHead(),
  ]);
  return {
    donors,
    questions,
    message: `${donors.total} ${donors.total === 1 ? 'unit' : 'units'}, ${stock}`,
    live: donors.lines.flatMap(({ code, live }) => live.map((store) => ({ code, ...store }))),
  };
}

export type BenchView = Awaited<ReturnType<typeof loadBench>>;
