import 'server-only';
import { kindRule, RATINGS } from '../../core/part';
import { formatQuantity } from '../../core/quantity';
import { compareMatches, matchLot, parseFilter, type LotMatch, type StockFilter, lotTitle } from '../../core/stock';
import { appContext } from '../../db/context';
import { findBuild, listBuilds, type BuildWithNeeds } from '../../db/repositories/builds';
import { candidateLots } from '../../db/repositories/lotSearch';
import { searchPartsOnBoards } from '../../db/repositories/parts';

/** Lots looked at for one need; a shop with more of a kind narrows the need down. */
const CANDIDATES = 400;
/** Matches shown for one need. */
const SHOWN = 8;

/** A line for the list of builds: what it lacks, and which unopened board has it. */
export interface BuildLine {
  readonly code: string;
  readonly title: string;
  readonly message: string;
  readonly hint: string;
  readonly hintHref: string | null;
  readonly ready: boolean;
}

/** Builds, newest first, each with what it waits for. */
export async function buildLines(limit: number): Promise<BuildLine[]> {
  return Promise.all((await listBuilds(appContext().db.read, limit)).map(buildLine));
}

async function buildLine({ build, needs }: BuildWithNeeds): Promise<BuildLine> {
  const lacking = needs.filter(({ need, filled }) => filled < need.quantity);
  const line = { code: build.code, title: build.title, hint: '', hintHref: null };
  if (needs.length === 0) return { ...line, message: 'no needs written down', ready: false };
  const used = needs.every(({ need, allocations }) => sum(allocations.map((entry) => entry.used)) >= need.quantity);
  if (lacking.length === 0) return { ...line, message: used ? 'built' : 'all set aside, ready to build', ready: true };
  const [first] = lacking;
  const message = `lacks ${lacking.map(({ need, filled }) => `${need.quantity - filled} ${need.role}`).join(', ')}`;
  const parsed = first && parseFilter(first.need.filter);
  if (!parsed?.ok) return { ...line, message, ready: false };
  const matches = await matchesFor(parsed.filter);
  const [best] = matches;
  if (best)
    return {
      ...line,
      message,
      hint: `${best.lot} in ${best.bin} ${HINT[best.verdict]}`,
      hintHref: `/builds/${build.code}`,
      ready: false,
    };
  const [seen] = await seenOnBoards(parsed.filter);
  return seen
    ? { ...line, message, hint: `${seen.donor} holds ${seen.ref}`, hintHref: seen.href, ready: false }
    : { ...line, message, hint: 'nothing in sight', ready: false };
}

export interface MatchView {
  readonly lot: string;
  readonly marking: string;
  readonly bin: string;
  readonly grade: string | null;
  readonly free: number;
  readonly verdict: LotMatch['verdict'];
  readonly word: string;
  readonly margin: string;
  readonly checks: readonly string[];
}

const WORD: Readonly<Record<LotMatch['verdict'], string>> = {
  fits: 'fits',
  limit: 'with a limit',
  unknown: 'not known',
  no: 'no',
};

const HINT: Readonly<Record<LotMatch['verdict'], string>> = {
  fits: 'fits',
  limit: 'fits with a limit',
  unknown: 'may fit: not all of it is known',
  no: '',
};

/** Lots with free pieces that a need could take, best first. */
async function matchesFor(filter: StockFilter): Promise<MatchView[]> {
  const rows = await candidateLots(appContext().db.read, filter, CANDIDATES);
  return rows
    .map((row) => ({ row, match: matchLot(filter, { ...row.lot, ratings: row.ratings }) }))
    .filter(({ row, match }) => match.verdict !== 'no' && row.lot.onHand > row.lot.reserved)
    .sort((a, b) => compareMatches(a.match, b.match))
    .slice(0, SHOWN)
    .map(({ row: { lot, bin, ratings }, match }) => ({
      lot: lot.code,
      marking: lotTitle({ ...lot, ratings }),
      bin,
      grade: lot.grade,
      free: lot.onHand - lot.reserved,
      verdict: match.verdict,
      word: match.verdict === 'limit' && lot.grade === 'C' ? 'undemanding use' : WORD[match.verdict],
      margin: match.margin === undefined ? '' : `${match.margin.toFixed(match.margin < 10 ? 1 : 0)}×`,
      checks: match.checks.map(({ text }) => text),
    }));
}

async function seenOnBoards(filter: StockFilter) {
  return (await searchPartsOnBoards(appContext().db.read, filter, 5)).map(({ part, donorCode }) => ({
    donor: donorCode,
    ref: part.ref,
    message: part.marking ?? kindRule(part.kind).label,
    href: `/donors/${donorCode}/harvest?part=${part.ref}`,
  }));
}

/** One build in full: each need with what is set aside, what would fit, and what sits on a board. */
export async function buildView(code: string) {
  const found = await findBuild(appContext().db.read, code.toUpperCase());
  if (!found) return undefined;
  const { build } = found;
  const needs = await Promise.all(
    found.needs.map(async ({ need, allocations, filled }) => {
      const parsed = parseFilter(need.filter);
      const open = need.quantity - filled;
      return {
        id: need.id,
        role: need.role,
        filter: need.filter,
        message: parsed.ok ? inWords(parsed.filter) : need.filter,
        quantity: need.quantity,
        open,
        allocations: allocations.map(({ lotCode, marking, reserved, used }) => ({
          lot: lotCode,
          marking,
          reserved,
          used,
        })),
        matches: parsed.ok && open > 0 ? await matchesFor(parsed.filter) : [],
        onBoards: parsed.ok && open > 0 ? await seenOnBoards(parsed.filter) : [],
      };
    }),
  );
  const line = await buildLine(found);
  return { code: build.code, title: build.title, note: build.note, needs, line };
}

export type BuildView = NonNullable<Awaited<ReturnType<typeof buildView>>>;
export type NeedView = BuildView['needs'][number];

const COMPARED = {
  'at-least': 'at least',
  'at-most': 'at most',
  above: 'above',
  below: 'below',
  equal: '',
  near: 'about',
  between: 'from',
} as const;

/** A filter in words: `N-FET, drain to source at least 600 V`. */
function inWords({ kind, demands, package: case_, words }: StockFilter): string {
  return [
    kind ? kindRule(kind).label : 'any part',
    ...words,
    ...demands.map(({ rating, comparison, value, upper }) =>
      [
        RATINGS[rating].label,
        COMPARED[comparison],
        formatQuantity(value, RATINGS[rating].unit),
        upper === undefined ? '' : `to ${formatQuantity(upper, RATINGS[rating].unit)}`,
      ]
        .filter((word) => word !== '')
        .join(' '),
    ),
    ...(case_ ? [`in ${case_}`] : []),
  ].join(', ');
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
