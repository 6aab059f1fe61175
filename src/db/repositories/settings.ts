import { eq } from 'drizzle-orm';
import { FACTORS, USUAL_WEIGHTS, type Weights } from '../../core/advice';
import { MAINS_CHOICES } from '../../core/bringup';
import { countSlips, type Correction, type OwnWord, type Slip } from '../../core/benchline';
import type { MeterAccuracies } from '../../core/measure';
import { TOUCH_LIMIT_CHOICES, TOUCH_LIMIT_DC } from '../../core/safety';
import type { AppContext } from '../context';
import type { Queryable } from '../client';
import { settings } from '../schema';

const SLIPS = 'slips';

/** A meter of the shop, with what its sheet says of its accuracy. */
export interface ShopMeter {
  readonly name: string;
  readonly accuracies: MeterAccuracies;
}

/** What holds for the whole shop. */
export interface ShopSettings {
  /** Volts DC under which a store counts as touchable. */
  readonly touchLimit: number;
  /** Volts of the mains at the bench. */
  readonly mains: number;
  readonly weights: Weights;
  /** Host and port of the meter, `host:port`; empty for none. */
  readonly meterAddress: string;
  readonly meters: readonly ShopMeter[];
  /** Words that the shop has for what the bench line knows. */
  readonly ownWords: readonly OwnWord[];
}

/** The settings, each as shipped where nobody changed it or where what is stored makes no sense. */
export async function readSettings(db: Queryable): Promise<ShopSettings> {
  const stored = new Map((await db.select().from(settings)).map(({ name, value }) => [name, value]));
  const limit = stored.get('touchLimit');
  const mains = stored.get('mains');
  const weights = stored.get('weights') as Partial<Record<string, unknown>> | undefined;
  const address = stored.get('meterAddress');
  return {
    touchLimit: TOUCH_LIMIT_CHOICES.find((choice) => choice === limit) ?? TOUCH_LIMIT_DC.volts,
    mains: MAINS_CHOICES.find((choice) => choice === mains) ?? MAINS_CHOICES[0],
    weights: Object.fromEntries(
      FACTORS.map((factor) => {
        const own = weights?.[factor];
        return [factor, typeof own === 'number' && own >= 0 && own <= 5 ? own : USUAL_WEIGHTS[factor]];
      }),
    ) as Weights,
    meterAddress: typeof address === 'string' ? address : (process.env.ZORVEK_METER ?? ''),
    meters: metersFrom(stored.get('meters')),
    ownWords: ownWordsFrom(stored.get('ownWords')),
  };
}

function metersFrom(stored: unknown): ShopMeter[] {
  if (!Array.isArray(stored)) return [];
  return stored.filter(
    (entry): entry is ShopMeter =>
      typeof entry === 'object' &&
      entry !== null &&
      typeof (entry as ShopMeter).name === 'string' &&
      typeof (entry as ShopMeter).accuracies === 'object',
  );
}

const text = (value: unknown, name: string): string | undefined => {
  const found = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[name] : undefined;
  return typeof found === 'string' ? found : undefined;
};

function ownWordsFrom(stored: unknown): OwnWord[] {
  if (!Array.isArray(stored)) return [];
  return stored.flatMap((entry) => {
    const [word, means] = [text(entry, 'word'), text(entry, 'means')];
    return word !== undefined && means !== undefined ? [{ word, means }] : [];
  });
}

/** Slips of the line that were mended, as often as they were made. They are no step that could be undone. */
export async function readSlips(db: Queryable): Promise<Slip[]> {
  const stored = await readSetting(db, SLIPS);
  if (!Array.isArray(stored)) return [];
  return stored.flatMap((entry: unknown) => {
    const [typed, read] = [text(entry, 'typed'), text(entry, 'read')];
    const count = Number((entry as { count?: unknown } | null)?.count);
    return typed !== undefined && read !== undefined && count > 0 ? [{ typed, read, count }] : [];
  });
}

/** Counts the slips of one more line. */
export function keepSlips(app: AppContext, corrected: readonly Correction[]): Promise<unknown> {
  return app.db.write(async (tx) => writeSetting(tx, SLIPS, countSlips(await readSlips(tx), corrected)));
}

const COLUMNS = 'listColumns';
/** Lists of so many sorts are remembered, the latest. */
const MOST_LISTS = 60;

/** What a person said of a list: what its columns are, and where pieces lie of which it says nothing. */
export interface SaidOfList {
  readonly roles: readonly (string | null)[];
  readonly bin: string;
}

/** What was said last of a list of some sort with these headings. It is no step that could be undone. */
export async function saidOfList(
  db: Queryable,
  sort: string,
  headings: readonly string[],
): Promise<SaidOfList | undefined> {
  return (await listsSaid(db)).find(({ key }) => key === keyOfList(sort, headings))?.said;
}

/** Keeps what was said of a list for the next one with the same headings. */
export function keepSaidOfList(
  app: AppContext,
  sort: string,
  headings: readonly string[],
  said: SaidOfList,
): Promise<unknown> {
  const key = keyOfList(sort, headings);
  return app.db.write(async (tx) => {
    const others = (await listsSaid(tx)).filter((one) => one.key !== key);
    return writeSetting(tx, COLUMNS, [...others, { key, said }].slice(-MOST_LISTS));
  });
}

const keyOfList = (sort: string, headings: readonly string[]) =>
  [sort, ...headings.map((heading) => heading.trim().toLowerCase())].join('|').slice(0, 500);

async function listsSaid(db: Queryable): Promise<{ key: string; said: SaidOfList }[]> {
  const stored = await readSetting(db, COLUMNS);
  if (!Array.isArray(stored)) return [];
  return stored.flatMap((entry: unknown) => {
    const key = text(entry, 'key');
    const said = (entry as { said?: unknown } | null)?.said;
    const roles = (said as { roles?: unknown } | null | undefined)?.roles;
    if (key === undefined || !Array.isArray(roles)) return [];
    const known = roles.map((role): string | null => (typeof role === 'string' ? role : null));
    return [{ key, said: { roles: known, bin: text(said, 'bin') ?? '' } }];
  });
}

/** What is stored of one setting; undefined when it is as shipped. */
export async function readSetting(db: Queryable, name: string): Promise<unknown> {
  const [row] = await db.select().from(settings).where(eq(settings.name, name));
  return row?.value;
}

/**
 * Stores a setting, or with undefined puts it back to what is shipped.
 * @returns what was stored before
 */
export async function writeSetting(tx: Queryable, name: string, value: unknown): Promise<unknown> {
  const before = await readSetting(tx, name);
  if (value === undefined) await tx.delete(settings).where(eq(settings.name, name));
  else await tx.insert(settings).values({ name, value }).onConflictDoUpdate({ target: settings.name, set: { value } });
  return before;
}
