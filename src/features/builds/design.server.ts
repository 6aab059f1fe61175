import 'server-only';
import { setImmediate } from 'node:timers/promises';
import { z } from 'zod';
import {
  isWish,
  learnMains,
  MAINS,
  searchDesigns,
  type Design,
  type DesignLot,
  type DesignSpec,
  type MainsDesign,
} from '../../core/design';
import { kindRule, type KindName } from '../../core/part';
import { parseQuantity, problemText, type Unit } from '../../core/quantity';
import { stepByStep } from '../../core/steps';
import { lotTitle } from '../../core/stock';
import type { AppContext } from '../../db/context';
import { candidateLots } from '../../db/repositories/lotSearch';

/** What is typed into the sheet of a design, as it stands in its address. */
export const designQuery = z.object({
  from: z.string().max(40).default(''),
  to: z.string().max(40).default(''),
  out: z.string().max(40).default(''),
  amps: z.string().max(40).default(''),
  ripple: z.string().max(40).default(''),
  ambient: z.string().max(40).default(''),
  wish: z.string().max(10).default(''),
  isolated: z.string().max(5).default(''),
  /** The design that is looked at. */
  pick: z.string().max(80).default(''),
});
export type DesignQuery = z.output<typeof designQuery>;

/** Lots of a kind that are weighed. */
const MOST = 400;
const KINDS: readonly KindName[] = ['transformer', 'nmos', 'diode', 'dual-diode', 'inductor', 'capacitor', 'ic'];

export type FoundDesigns =
  | { readonly kind: 'empty' }
  | { readonly kind: 'problem'; readonly text: string }
  /** Volts of the mains at the input: shown to learn from. */
  | { readonly kind: 'mains'; readonly spec: DesignSpec; readonly design: MainsDesign }
  | {
      readonly kind: 'designs';
      readonly spec: DesignSpec;
      readonly designs: readonly Design[];
      readonly searched: number;
      readonly stock: readonly DesignLot[];
      readonly lots: ReadonlyMap<string, { readonly title: string; readonly bin: string }>;
    };

/** The spec that a query asks for, or what of it cannot be read. */
export function specOf(query: DesignQuery): DesignSpec | { readonly text: string } | undefined {
  const { pick: _, isolated: __, wish, ...asked } = query;
  if (Object.values(asked).every((text) => text.trim() === '')) return undefined;
  const isMains = query.from.trim().toLowerCase() === 'mains';
  const read = (label: string, text: string, unit: Unit): number | string => {
    if (text.trim() === '')
      return `${label}: nothing is typed; a value such as ${unit === 'volt' ? '12V' : '1A'} is expected.`;
    const plain = text.trim().replace(/^[-−]/u, '');
    // `230VAC` is as good as `230V`.
    const parsed = parseQuantity(unit === 'volt' ? plain.replace(/\s*ac$/iu, '') : plain, unit);
    if (!parsed.ok) return `${label}: ${problemText(parsed.problem)}`;
    return /^[-−]/u.test(text.trim()) ? -parsed.quantity.value : parsed.quantity.value;
  };
  const from = isMains ? MAINS.low : read('Input from', query.from, 'volt');
  const to = isMains ? MAINS.high : query.to.trim() === '' ? from : read('Input to', query.to, 'volt');
  const out = read('Output', query.out, 'volt');
  const amps = read('Current', query.amps, 'ampere');
  const ripple = query.ripple.trim() === '' ? undefined : read('Ripple', query.ripple, 'volt');
  const ambient = query.ambient.trim() === '' ? undefined : read('Air around it', query.ambient, 'celsius');
  for (const value of [from, to, out, amps, ripple, ambient]) if (typeof value === 'string') return { text: value };
  return {
    inputLow: from as number,
    inputHigh: to as number,
    output: out as number,
    current: amps as number,
    ...(ripple === undefined ? {} : { ripple: ripple as number }),
    ...(ambient === undefined ? {} : { ambient: ambient as number }),
    ...(isWish(wish) ? { wish } : {}),
    ...(query.isolated === '' ? {} : { isolated: true }),
  };
}

/** Designs of what a query asks for, out of the lots that have a piece free. */
export async function findDesigns({ db }: Pick<AppContext, 'db'>, query: DesignQuery): Promise<FoundDesigns> {
  const spec = specOf(query);
  if (!spec) return { kind: 'empty' };
  if ('text' in spec) return { kind: 'problem', text: spec.text };
  if (spec.inputHigh >= MAINS.low) {
    const design = learnMains({ low: spec.inputLow, high: spec.inputHigh, output: spec.output, current: spec.current });
    return 'wrong' in design ? { kind: 'problem', text: design.wrong } : { kind: 'mains', spec, design };
  }
  const rows = (
    await Promise.all(
      KINDS.map((kind) =>
        candidateLots(
          db.read,
          { kind: { says: kindRule(kind).label, words: kindRule(kind).label, kinds: [kind] }, demands: [], words: [] },
          MOST,
        ),
      ),
    )
  )
    .flat()
    .filter(({ lot }) => lot.onHand > lot.reserved && lot.grade !== 'reject');
  const lots = rows.map(({ lot, ratings }): DesignLot => {
    // A lot that may only be used to a share of a rating counts with that.
    const share = (name: string) =>
      lot.limits.reduce((least, limit) => (limit.kind === 'derated' && limit.rating === name ? limit.share : least), 1);
    const technology = lot.technology ?? lot.subtype;
    return {
      code: lot.code,
      kind: lot.kind,
      pieces: lot.onHand - lot.reserved,
      ratings: Object.fromEntries(
        Object.entries(ratings).flatMap(([name, one]) => (one ? [[name, one.value * share(name)]] : [])),
      ),
      ...(technology ? { technology } : {}),
      ...(lot.package ? { package: lot.package } : {}),
      ...(lot.marking ? { marking: lot.marking } : {}),
    };
  });
  const result = await stepByStep(searchDesigns(spec, lots), () => setImmediate());
  if ('wrong' in result) return { kind: 'problem', text: result.wrong };
  return {
    kind: 'designs',
    spec,
    ...result,
    stock: lots,
    lots: new Map(
      rows.map(({ lot, bin, ratings }) => [
        lot.code,
        { title: lotTitle({ kind: lot.kind, marking: lot.marking, ratings }), bin },
      ]),
    ),
  };
}

/** What tells a design from the others of one query. */
export const designId = ({ topology, parts }: Design): string =>
  `${topology} ${parts.choke?.lot.code ?? 'to buy'}${parts.choke?.lot.winding ? ' wound' : ''}`;
