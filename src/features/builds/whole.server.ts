import 'server-only';
import { z } from 'zod';
import {
  MOUNTING_NAMES,
  PLUG_NAMES,
  fanWays,
  matchLoad,
  stacksFor,
  type Load,
  type Module,
  type ModuleMatch,
  type ModuleVerdict,
  type Stack,
} from '../../core/module';
import { formatQuantity, parseQuantity, problemText, type Unit } from '../../core/quantity';
import { judgeSoak, type SoakRow } from '../../core/soak';
import { lotTitle } from '../../core/stock';
import { UNIT_KINDS, type UnitKindName } from '../../core/unit';
import type { AppContext } from '../../db/context';
import { donorTitle, wholeDonors } from '../../db/repositories/donors';
import { candidateLots } from '../../db/repositories/lotSearch';
import { plateOf } from '../../db/repositories/plate';
import { measuredRipples } from '../../db/repositories/powerUp';
import { latestSoaks } from '../../db/repositories/soaks';
import { routes } from '../../routes';

const wholeQuery = z.object({
  volts: z.string().max(40).default(''),
  amps: z.string().max(40).default(''),
  isolated: z.string().max(5).default(''),
  ripple: z.string().max(40).default(''),
  plug: z
    .enum(['', ...PLUG_NAMES])
    .catch('')
    .default(''),
  mounting: z
    .enum(['', ...MOUNTING_NAMES])
    .catch('')
    .default(''),
  quiet: z.string().max(5).default(''),
  fan: z.string().max(40).default(''),
});
export type WholeQuery = z.output<typeof wholeQuery>;

/** Donors and lots looked through, and matches shown. */
const DONORS = 500;
const LOTS = 100;
const SHOWN = 8;
/** Supplies shown that nearly do it. */
const NEAR = 3;

interface Row {
  readonly key: string;
  readonly code: string;
  readonly href: string;
  readonly title: string;
  readonly gives: string;
  readonly verdict: ModuleVerdict;
  readonly checks: readonly { readonly text: string; readonly isBad: boolean }[];
}

export interface WholeView {
  readonly query: WholeQuery;
  readonly problem: string | undefined;
  readonly asked: string | undefined;
  readonly rows: readonly Row[];
  readonly stacks: readonly {
    readonly key: string;
    readonly way: string;
    readonly of: readonly { readonly code: string; readonly href: string; readonly count: number }[];
    readonly verdict: ModuleVerdict;
    readonly checks: readonly { readonly text: string; readonly isBad: boolean }[];
    readonly wants: readonly string[];
  }[];
  readonly fans: readonly {
    readonly key: string;
    readonly title: string;
    readonly href: string;
    readonly level: ModuleVerdict;
    readonly message: string;
  }[];
}

/** Kinds whose outputs often stand on the mains: they feed nothing but their own appliance. Common practice, no source. */
const NOT_FLOATING: ReadonlySet<UnitKindName> = new Set([
  'appliance-board',
  'power-controller',
  'pulse-unit',
  'lamp-driver',
]);

interface Known extends Module {
  readonly href: string;
}

/** Every output of what lies here in one piece: donors that nothing was taken out of, and subassemblies of the drawers. */
async function modulesOf({ db }: Pick<AppContext, 'db'>): Promise<readonly Known[]> {
  const [donors, soaks, ripples, lots] = await Promise.all([
    wholeDonors(db.read, DONORS),
    latestSoaks(db.read),
    measuredRipples(db.read),
    candidateLots(
      db.read,
      { kind: { says: 'subassembly', words: 'assembly', kinds: ['assembly'] }, demands: [], words: [] },
      LOTS,
    ),
  ]);
  const fromDonors = donors
    .filter(({ kind }) => !NOT_FLOATING.has(kind))
    .flatMap((donor): readonly Known[] => {
      const plate = plateOf(donor);
      const rows = soaks.get(donor.id) ?? [];
      const { plug, cooling, mounting } = donor.fittings;
      const ripple = ripples.get(donor.id) ?? donor.fittings.ripple;
      return plate.outputs
        .filter(({ v, ac, standby }) => v > 0 && !ac && !standby)
        .map((output): Known => {
          const held = heldOf(rows, output.v);
          const current = output.i ?? (output.p === undefined ? undefined : output.p / output.v);
          return {
            code: donor.code,
            title: donorTitle(donor) || UNIT_KINDS[donor.kind].label,
            href: routes.donor(donor.code),
            volts: output.v,
            ...(output.vMax === undefined ? {} : { voltsMost: output.vMax }),
            ...(current === undefined ? {} : { current }),
            ...(plate.safetyClass ? { protection: plate.safetyClass } : {}),
            ...(held === undefined ? {} : { held }),
            ...(ripple === undefined ? {} : { ripple }),
            ...(plug && { plug }),
            ...(cooling && { cooling }),
            ...(mounting && { mounting }),
            ...(output.alternative ? { isChoice: true } : {}),
            pieces: 1,
          };
        });
    });
  const fromLots = lots.flatMap(({ lot, ratings }): readonly Known[] => {
    const volts = ratings.vout?.value;
    const free = lot.onHand - lot.reserved;
    const { trimmedTo, ...fittings } = lot.fittings;
    return volts === undefined || free < 1 || lot.grade === 'reject'
      ? []
      : [
          {
            code: lot.code,
            title: lotTitle({ ...lot, ratings }),
            href: routes.lot(lot.code),
            volts,
            ...(ratings.iout ? { current: ratings.iout.value } : {}),
            ...(lot.grade === 'A' ? { held: true } : {}),
            ...(trimmedTo === undefined ? {} : { voltsMost: trimmedTo }),
            ...fittings,
            pieces: free,
          },
        ];
  });
  return [...fromDonors, ...fromLots];
}

/** Whether it held its volts in its latest run under load; nothing where it was not run, or not long enough. */
function heldOf(
  rows: readonly {
    elapsedS: number;
    outputV: number | null;
    inputW: number | null;
    loadA: number | null;
    caseC: number | null;
  }[],
  nominal: number,
): boolean | undefined {
  const soak = rows.map(({ elapsedS, outputV, inputW, loadA, caseC }): SoakRow => ({
    time: elapsedS,
    ...(outputV === null ? {} : { volts: outputV }),
    ...(inputW === null ? {} : { input: inputW }),
    ...(loadA === null ? {} : { load: loadA }),
    ...(caseC === null ? {} : { celsius: caseC }),
  }));
  const { outcome } = judgeSoak(soak, { nominal });
  return outcome === undefined ? undefined : outcome === 'held';
}

/** Whole supplies and stacks of them for what an address asks for. */
export async function wholeSheet(app: Pick<AppContext, 'db'>, typed: unknown): Promise<WholeView> {
  const read = wholeQuery.safeParse(typed);
  const query = read.success ? read.data : wholeQuery.parse({});
  const none = { query, problem: undefined, asked: undefined, rows: [], stacks: [], fans: [] };
  const number = (label: string, text: string, unit: Unit): number | string => {
    const parsed = parseQuantity(text.trim(), unit);
    return parsed.ok ? parsed.quantity.value : `${label}: ${problemText(parsed.problem)}`;
  };
  const modules = await modulesOf(app);
  const fan = query.fan.trim() === '' ? undefined : number('Fan', query.fan, 'volt');
  if (typeof fan === 'string') return { ...none, problem: fan };
  const fans = fan === undefined ? [] : fansOf(fan, modules);
  if (query.volts.trim() === '' && query.amps.trim() === '') return { ...none, fans };
  const [volts, current] = [number('Volts', query.volts, 'volt'), number('Current', query.amps, 'ampere')];
  for (const value of [volts, current]) if (typeof value === 'string') return { ...none, fans, problem: value };
  const ripple = query.ripple.trim() === '' ? undefined : number('Ripple', query.ripple, 'volt');
  if (typeof ripple === 'string') return { ...none, fans, problem: ripple };
  const load: Load = {
    volts: volts as number,
    current: current as number,
    isolated: query.isolated !== '',
    quiet: query.quiet !== '',
    ...(ripple === undefined ? {} : { ripple }),
    ...(query.plug && { plug: query.plug }),
    ...(query.mounting && { mounting: query.mounting }),
  };
  if (load.volts <= 0 || load.current <= 0)
    return { ...none, fans, problem: 'Volts and amperes above 0 are expected.' };
  const stacks = stacksFor(load, modules);
  const hrefOf = (code: string) => modules.find((one) => one.code === code)?.href ?? '';
  return {
    ...none,
    fans,
    asked: `${formatQuantity(load.volts, 'volt')} at ${formatQuantity(load.current, 'ampere')}${load.isolated ? ', isolated' : ''}`,
    rows: toldMatches(load, modules, stacks).map(({ module, verdict, checks }) => ({
      key: `${module.code} ${module.volts}`,
      code: module.code,
      href: hrefOf(module.code),
      title: module.title,
      gives: `${formatQuantity(module.volts, 'volt')}${module.current === undefined ? '' : `, ${formatQuantity(module.current, 'ampere')}`}`,
      verdict,
      checks: toldOf(checks),
    })),
    stacks: stacks.map((stack) => stackView(stack, hrefOf)),
  };
}

/** What does it; where nothing does, neither alone nor stacked, what has the volts and lacks one thing. */
function toldMatches(load: Load, modules: readonly Module[], stacks: readonly Stack[]): readonly ModuleMatch[] {
  const all = matchLoad(load, modules);
  const doing = all.filter(({ verdict }) => verdict !== 'no');
  if (doing.length > 0 || stacks.some(({ verdict }) => verdict !== 'no')) return doing.slice(0, SHOWN);
  const near = all.filter(({ checks }) => checks.filter(({ level }) => level === 'no').length === 1);
  return near
    .filter(({ checks }) => !checks.some(({ name, level }) => name === 'voltage' && level === 'no'))
    .slice(0, NEAR);
}

const toldOf = (checks: Stack['checks']) =>
  checks.map(({ level, message }) => ({ text: message, isBad: level !== 'good' }));

const stackView = ({ way, of, verdict, checks, wants }: Stack, hrefOf: (code: string) => string) => ({
  key: `${way} ${of.map(({ module, count }) => `${count}×${module.code} ${module.volts}`).join('+')}`,
  way: way === 'series' ? 'In series' : 'Side by side',
  of: of.map(({ module: { code }, count }) => ({ code, href: hrefOf(code), count })),
  verdict,
  checks: toldOf(checks),
  wants,
});

function fansOf(volts: number, modules: readonly Known[]): WholeView['fans'] {
  const codes = [...new Set(modules.map(({ code }) => code))];
  return codes
    .flatMap((code) => {
      const own = modules.filter((one) => one.code === code);
      const [way] = fanWays(
        { volts },
        own.map((one) => one.volts),
      );
      const [first] = own;
      return way && first && way.level !== 'no'
        ? [
            {
              key: `${code} ${way.from}`,
              title: `${code} ${first.title}, ${way.from}`,
              href: first.href,
              level: way.level,
              message: way.message,
              share: way.share,
            },
          ]
        : [];
    })
    .toSorted((a, b) => a.share - b.share)
    .slice(0, SHOWN);
}
