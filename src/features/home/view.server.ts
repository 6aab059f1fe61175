import 'server-only';
import type { AppContext } from '../../db/context';
import { stockTotals } from '../../db/repositories/lotSearch';
import { openIssues } from '../../db/repositories/notes';
import { routes } from '../../routes';
import { donorLines, type DonorLine } from '../../services/dossier';
import { agoOf } from '../../ui/value/moments';

/** How many donors the bench shows; the rest are under Donors. */
const ON_THE_BENCH = 8;
/** Open questions and claims shown. */
const ISSUES = 8;

/** Everything the bench shows at once. */
export async function benchView(app: AppContext) {
  const [donors, issues, { lots, bins }] = await Promise.all([
    donorLines(app, { query: '', page: 0, size: ON_THE_BENCH, inWork: true }),
    openIssueLines(app),
    stockTotals(app.db.read),
  ]);
  return {
    donors,
    issues,
    subtitle: `${counted(donors.total, 'unit')}, ${counted(lots, 'lot')} in ${counted(bins, 'bin')}`,
    sample: donors.lines.find((line) => line.isSample)?.code ?? null,
    path: shortPath(donors.lines.filter((line) => !line.isSample)),
    // What is plugged in comes before what may still be charged.
    live: [...donors.lines]
      .sort((a, b) => Number(b.isPowered) - Number(a.isPowered))
      .flatMap(({ code, live }) => live.map((store) => ({ code, ...store }))),
  };
}

/** The first things to do with a first unit, each ticked once it was done; nothing when all were. */
function shortPath(own: readonly DonorLine[]): readonly PathStep[] | null {
  if (own.some(({ begun }) => begun.label && begun.stores && begun.parts && begun.beeps)) return null;
  const [unit] = own;
  const done = unit?.begun ?? { label: false, stores: false, parts: false, beeps: false };
  const at = (station: 'intake' | 'make-safe' | 'identify' | 'trace') =>
    unit ? routes.station(unit.code, station) : routes.newDonor();
  return [
    { label: 'Type what the label says', isDone: done.label, href: at('intake') },
    { label: 'List what stores charge, and read it dead', isDone: done.stores, href: at('make-safe') },
    { label: 'Log the parts you see', isDone: done.parts, href: at('identify') },
    { label: 'Find two pins that beep', isDone: done.beeps, href: at('trace') },
  ];
}

export interface PathStep {
  readonly label: string;
  readonly isDone: boolean;
  readonly href: string;
}

export type BenchView = Awaited<ReturnType<typeof benchView>>;

const counted = (count: number, word: string) => `${count} ${count === 1 ? word : `${word}s`}`;

/** What wants attention across donors: questions and claims that are open. */
async function openIssueLines({ db, now }: AppContext) {
  const moment = now();
  return (await openIssues(db.read, ISSUES, moment)).map(
    ({ id, text, ref, claim, status, createdMs, dueMs, donorCode }) => ({
      id,
      text: ref ? `${ref}: ${text}` : text,
      sign: dueMs !== null && dueMs < moment ? 'overdue' : claim ? status : 'asked',
      donorCode,
      href: ref ? routes.station(donorCode, 'identify', { part: ref }) : routes.station(donorCode, 'record'),
      since: agoOf(createdMs, moment),
    }),
  );
}
