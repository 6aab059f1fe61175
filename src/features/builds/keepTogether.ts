import { balancing } from '../../core/combine';
import { E24, nearestOf } from '../../core/marking';
import { filterText, readQuestion, type LotCombination, type StockFilter } from '../../core/stock';
import type { AppContext } from '../../db/context';
import { findBuild } from '../../db/repositories/builds';
import { findLot, type LotRow } from '../../db/repositories/lotSearch';
import { refusal, refuse, run, type Outcome } from '../../services/command';
import { ask, combinationsFor } from '../../services/matching';
import { togetherKey } from './view.server';

const WAYS = { parallel: 'side by side', series: 'in series' } as const;
/** Of the ohms that would just do, so much is taken: more balance costs only heat. */
const BALANCE = 0.8;

/** Parts that meet a need together take its place in the build, set aside as far as there are whole sets of them. */
export async function keepTogether(
  app: AppContext,
  of: { readonly code: string; readonly needId: string; readonly key: string },
): Promise<Outcome> {
  const found = await offered(app, of);
  return run(app, { scope: 'builds', onConflict: refusal('stock-changed', {}) }, async (edit) => {
    const build = await findBuild(edit.tx, of.code);
    const entry = build?.needs.find(({ need }) => need.id === of.needId);
    if (!build || !entry) return refuse('need-gone', {});
    if (!found) return refuse('stock-changed', {});
    const { need, filled } = entry;
    const lots: { readonly row: LotRow; readonly count: number }[] = [];
    for (const { code, count } of found.combination.of) {
      const row = await findLot(edit.tx, code);
      if (!row) return refuse('lot-gone', { code });
      lots.push({ row, count });
    }
    const sets = Math.min(
      need.quantity - filled,
      ...lots.map(({ row: { lot }, count }) => Math.floor((lot.onHand - lot.reserved) / count)),
    );
    if (sets < 1) return refuse('stock-changed', {});
    if (need.quantity > sets) await edit.update('needs', need.id, { quantity: need.quantity - sets });
    else await edit.remove('needs', need.id);
    const way = WAYS[found.combination.way];
    const insert = (role: string, filter: string, quantity: number) =>
      edit.insert('needs', { buildId: build.build.id, role, filter, quantity, createdMs: app.now() });
    for (const { row, count } of lots) {
      const quantity = sets * count;
      const role = `${need.role}, ${lots.length > 1 ? `one of ${lots.length}` : count} ${way}`;
      const needId = await insert(role, filterOf(row, found.filter), quantity);
      await edit.ledger({
        lotId: row.lot.id,
        needId,
        note: '',
        onHandDelta: 0,
        reservedDelta: quantity,
        reason: 'reserved',
      });
    }
    const [first] = lots;
    const ohms = first && found.combination.way === 'series' ? balanceOf(first, found.filter) : undefined;
    if (first && ohms !== undefined)
      await insert(
        `${need.role}, across each can`,
        // At worst all of what a can is rated for stands on its resistor.
        `resistor ${ohms} duty ${first.row.ratings.voltage?.value ?? 0}V`,
        sets * first.count,
      );
    return `${need.role}: ${found.combination.sum}, set aside${ohms === undefined ? '' : '; a resistor across each is still to be found'}.`;
  });
}

async function offered(
  { db }: AppContext,
  of: { readonly code: string; readonly needId: string; readonly key: string },
): Promise<{ readonly combination: LotCombination; readonly filter: StockFilter } | undefined> {
  const build = await findBuild(db.read, of.code);
  const entry = build?.needs.find(({ need }) => need.id === of.needId);
  const asked = entry && (await ask(db.read, entry.need.filter));
  if (!asked?.ok) return undefined;
  const all = await combinationsFor(db.read, asked.filter);
  const combination = all.find((one) => togetherKey(one) === of.key);
  return combination && { combination, filter: asked.filter };
}

/** What a lot of a combination is asked as, by its own value. */
function filterOf({ lot, ratings }: LotRow, { kind }: StockFilter): string {
  const [name] = (['capacitance', 'resistance', 'inductance', 'rdsOn', 'ifav', 'vn'] as const).filter(
    (rating) => ratings[rating],
  );
  const value = name && ratings[name]?.value;
  const text = filterText({
    ...(kind ? { kind } : {}),
    demands: name && value !== undefined ? [{ rating: name, comparison: 'about', value, within: 0.1 }] : [],
    words: [],
  });
  return readQuestion(text).ok ? text : `${kind?.words ?? lot.kind}`;
}

/** Ohms across each can of a string, of the usual series, as they are typed. */
function balanceOf(
  { row: { lot, ratings }, count }: { readonly row: LotRow; readonly count: number },
  { duty }: StockFilter,
): string | undefined {
  const [volts, farads] = [ratings.voltage?.value, ratings.capacitance?.value];
  if (
    lot.kind !== 'capacitor' ||
    (lot.subtype ?? lot.technology) !== 'electrolytic' ||
    volts === undefined ||
    farads === undefined
  )
    return undefined;
  const string = duty?.voltage ?? BALANCE * count * volts;
  const ohms = nearestOf(BALANCE * balancing({ each: volts, count, string, farads }), E24);
  return ohms >= 1e6 ? `${ohms / 1e6}M` : `${ohms / 1e3}k`;
}
