import 'server-only';
import { kindRule } from '../../core/part';
import { lotTitle, type LotCombination, type LotMatch } from '../../core/stock';
import type { AppContext } from '../../db/context';
import { findBuild, listBuilds, stepsOfBuild, type BuildWithNeeds } from '../../db/repositories/builds';
import { routes } from '../../routes';
import { dayOf } from '../../ui/value/moments';
import { keptDesign } from './keptDesign.server';
import { ask, combinationsFor, donorOdds, lotsForNeed, partsOnBoards, type LotForNeed } from '../../services/matching';

/** Matches shown for one need, and parts on boards. */
const SHOWN = 8;
const ON_BOARDS = 5;
/** Needs that a build is told to lack by name. */
const TOLD = 4;
const LIKELY = 3;
/** Steps of a build that are told. */
const STEPS = 40;

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
export async function buildLines(app: AppContext, limit: number): Promise<BuildLine[]> {
  return Promise.all((await listBuilds(app.db.read, limit)).map((build) => buildLine(app, build)));
}

async function buildLine({ db }: AppContext, { build, needs }: BuildWithNeeds): Promise<BuildLine> {
  const lacking = needs.filter(({ need, filled }) => filled < need.quantity);
  const line = { code: build.code, title: build.title, hint: '', hintHref: null };
  if (needs.length === 0) return { ...line, message: 'no needs written down', ready: false };
  const spoiled = needs.find(({ allocations }) => allocations.some(({ scrap }) => scrap !== null));
  if (spoiled) {
    const codes = spoiled.allocations.filter(({ scrap }) => scrap !== null).map(({ lotCode }) => lotCode);
    return {
      ...line,
      message: `what is set aside for ${spoiled.need.role} is scrap: ${codes.join(', ')}`,
      ready: false,
    };
  }
  const used = needs.every(({ need, allocations }) => sum(allocations.map((entry) => entry.used)) >= need.quantity);
  if (lacking.length === 0) return { ...line, message: used ? 'built' : 'all set aside, ready to build', ready: true };
  const [first] = lacking;
  const told = lacking.slice(0, TOLD).map(({ need, filled }) => `${need.quantity - filled} ${need.role}`);
  const message = `lacks ${told.join(', ')}${lacking.length > TOLD ? ` and ${lacking.length - TOLD} more` : ''}`;
  const parsed = first && (await ask(db.read, first.need.filter));
  if (!parsed?.ok) return { ...line, message, ready: false };
  const [best] = await lotsForNeed(db.read, parsed.filter);
  if (best) {
    const { row, match } = best;
    const hint = `${row.lot.code} in ${row.bin} ${HINT[match.verdict]}`;
    return { ...line, message, hint, hintHref: routes.build(build.code), ready: false };
  }
  const [seen] = await partsOnBoards(db.read, parsed.filter, 1);
  const hint = seen ? `${seen.donorCode} holds ${seen.part.ref}` : 'nothing in sight';
  return { ...line, message, hint, hintHref: seen ? hrefOf(seen) : null, ready: false };
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

function matchView({ row: { lot, bin, ratings }, match, free }: LotForNeed): MatchView {
  return {
    lot: lot.code,
    marking: lotTitle({ ...lot, ratings }),
    bin,
    grade: lot.grade,
    free,
    verdict: match.verdict,
    word: match.verdict === 'limit' && lot.grade === 'C' ? 'undemanding use' : WORD[match.verdict],
    margin: marginText(match.margin),
    checks: match.checks.map(({ text }) => text),
  };
}

/** What tells a combination from the others of a need. */
export const togetherKey = ({ way, of }: LotCombination): string =>
  `${way} ${of.map(({ code, count }) => `${count}×${code}`).join('+')}`;

/** Lots that meet a need together, as the page shows them. */
const combinationView = (one: LotCombination) => ({ key: togetherKey(one), ...shownOf(one) });

const shownOf = ({ way, of, sum, drawbacks, match }: LotCombination) => ({
  lots: of,
  way: way === 'parallel' ? 'side by side' : 'in series',
  sum,
  drawbacks,
  margin: marginText(match.margin),
  checks: match.checks.map(({ text }) => text),
});

const marginText = (margin: number | undefined) =>
  margin === undefined || !Number.isFinite(margin) ? '' : `${margin.toFixed(margin < 10 ? 1 : 0)}×`;

const hrefOf = ({ donorCode, part }: { donorCode: string; part: { ref: string } }) =>
  routes.station(donorCode, 'harvest', { part: part.ref });

/** One build in full: each need with what is set aside, what would fit, and what sits on a board. */
export async function buildView(app: AppContext, code: string) {
  const { read } = app.db;
  const found = await findBuild(read, code.toUpperCase());
  if (!found) return undefined;
  const { build } = found;
  const oddsOf = donorOdds(read);
  const needs = await Promise.all(
    found.needs.map(async ({ need, allocations, filled }) => {
      const parsed = await ask(read, need.filter);
      const open = need.quantity - filled;
      const asked = parsed.ok && open > 0 ? parsed.filter : undefined;
      const [matches, onBoards] = asked
        ? await Promise.all([lotsForNeed(read, asked, { now: app.now() }), partsOnBoards(read, asked, ON_BOARDS)])
        : [[], []];
      const free = matches.reduce((sum, one) => sum + (one.match.verdict === 'fits' ? one.free : 0), 0);
      const isShort = asked !== undefined && free < open;
      const [together, likely] = isShort
        ? await Promise.all([combinationsFor(read, asked), oddsOf(asked, LIKELY)])
        : [[], []];
      return {
        id: need.id,
        role: need.role,
        filter: need.filter,
        message: parsed.ok ? parsed.means : need.filter,
        quantity: need.quantity,
        open,
        allocations: allocations.map(({ lotCode, marking, reserved, used, scrap }) => ({
          lot: lotCode,
          marking,
          reserved,
          used,
          scrap,
        })),
        matches: matches.slice(0, SHOWN).map(matchView),
        together: together.map(combinationView),
        likely: likely.map(({ code: donor, title, opened, held, odds }) => ({
          donor,
          title,
          message: `${held} of ${opened} opened like it held one: ${odds.toFixed(1)} likely`,
        })),
        onBoards: onBoards.map((seen) => ({
          donor: seen.donorCode,
          ref: seen.part.ref,
          message: seen.part.marking ?? kindRule(seen.part.kind).label,
          href: hrefOf(seen),
        })),
      };
    }),
  );
  return {
    code: build.code,
    title: build.title,
    note: build.note,
    needs,
    line: await buildLine(app, found),
    design: build.design ? await keptDesign(app, build.design) : undefined,
    steps: (await stepsOfBuild(read, build.id, STEPS)).map(({ atMs, ...step }) => ({ ...step, day: dayOf(atMs) })),
  };
}

export type BuildView = NonNullable<Awaited<ReturnType<typeof buildView>>>;
export type NeedView = BuildView['needs'][number];

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
