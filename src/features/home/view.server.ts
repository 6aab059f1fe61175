import 'server-only';
import type { AppContext } from '../../db/context';
import { stockTotals } from '../../db/repositories/lotSearch';
import { openIssues } from '../../db/repositories/notes';
import { routes } from '../../routes';
import { donorLines } from '../../services/dossier';
import { agoOf } from '../../ui/value/moments';

/** How many donors the bench shows; the rest are under Donors. */
const ON_THE_BENCH = 8;
/** Open questions and claims shown. */
const ISSUES = 8;

/** Everything the bench shows at once. */
export async function benchView(app: AppContext) {
  const [donors, issues, { lots, bins }] = await Promise.all([
    donorLines(app, { query: '', page: 0, size: ON_THE_BENCH }),
    openIssueLines(app),
    stockTotals(app.db.read),
  ]);
  return {
    donors,
    issues,
    subtitle: `${counted(donors.total, 'unit')}, ${counted(lots, 'lot')} in ${counted(bins, 'bin')}`,
    // What is plugged in comes before what may still be charged.
    live: [...donors.lines]
      .sort((a, b) => Number(b.isPowered) - Number(a.isPowered))
      .flatMap(({ code, live }) => live.map((store) => ({ code, ...store }))),
  };
}

export type BenchView = Awaited<ReturnType<typeof benchView>>;

const counted = (count: number, word: string) => `${count} ${count === 1 ? word : `${word}s`}`;

/** What wants attention across donors: questions and claims that are open. */
async function openIssueLines({ db, now }: AppContext) {
  const moment = now();
  return (await openIssues(db.read, ISSUES)).map(({ id, text, ref, claim, status, createdMs, donorCode }) => ({
    id,
    text: ref ? `${ref}: ${text}` : text,
    sign: claim ? status : 'asked',
    donorCode,
    href: ref ? routes.station(donorCode, 'identify', { part: ref }) : routes.station(donorCode, 'record'),
    since: agoOf(createdMs, moment),
  }));
}
