import type { LedgerReason, Lot } from '../../core/stock';
import { and, asc, desc, eq, gt, inArray, isNotNull, isNull, lt, notInArray, sql } from 'drizzle-orm';
import type { Grade, Limit } from '../../core/measure';
import { RATINGS } from '../../core/part';
import type { AppContext } from '../context';
import type { Queryable } from '../client';
import { bins, builds, lotRatings, lots, needs, stockLedger } from '../schema';
import { asCounted } from './bins';
import { freshCode } from './codes';
import type { Edit } from './journal';
import { ratingRow, type NewRating } from './ratings';

/** A lot that comes from no donor, counted in by hand. Returns its code. */
export async function countIn(
  edit: Edit,
  of: Pick<
    HarvestedPiece,
    'kind' | 'subtype' | 'marking' | 'package' | 'grade' | 'gradeReason' | 'limits' | 'bin' | 'ratings'
  > & { pieces: number },
): Promise<string> {
  const { tx, app } = edit;
  const { bin, ratings, pieces, ...facts } = of;
  const [code, now] = [await freshCode(tx, app, 'lot'), app.now()];
  const binId = await ensureBin(tx, app, bin);
  const lotId = await edit.insert('lots', { code, binId, ...facts, createdMs: now });
  for (const rating of ratings) await edit.insert('lotRatings', { lotId, ...ratingRow(rating, now) });
  await edit.ledger({ lotId, onHandDelta: pieces, reservedDelta: 0, reason: 'counted', note: 'by hand' });
  return code;
}

export interface LedgerLine {
  readonly id: string;
  readonly atMs: number;
  readonly onHandDelta: number;
  readonly reservedDelta: number;
  readonly reason: LedgerReason;
  readonly note: string;
  readonly build: { readonly code: string; readonly title: string } | null;
}

/** What happened to a lot, oldest first. */
export async function lotLedger(db: Queryable, lotId: string): Promise<LedgerLine[]> {
  const rows = await db
    .select({ line: stockLedger, code: builds.code, title: builds.title })
    .from(stockLedger)
    .leftJoin(needs, eq(needs.id, stockLedger.needId))
    .leftJoin(builds, eq(builds.id, needs.buildId))
    .where(eq(stockLedger.lotId, lotId))
    .orderBy(asc(stockLedger.id));
  return rows.map(({ line, code, title }) => ({
    id: line.id,
    atMs: line.atMs,
    onHandDelta: line.onHandDelta,
    reservedDelta: line.reservedDelta,
    reason: line.reason,
    note: line.note,
    build: code === null || title === null ? null : { code, title },
  }));
}

/** The bin with a code, made when it is new. Codes are upper case. */
export async function ensureBin(tx: Queryable, app: AppContext, code: string): Promise<string> {
  const [row] = await tx.select({ id: bins.id }).from(bins).where(eq(bins.code, code));
  if (row) return row.id;
  const id = app.newKey();
  await tx.insert(bins).values({ id, code, createdMs: app.now() });
  return id;
}

/** A harvested piece as it goes into a drawer. */
export interface HarvestedPiece {
  readonly partId: string;
  readonly ref: string;
  readonly kind: Lot['kind'];
  readonly subtype: string | null;
  readonly technology: string | null;
  readonly marking: string;
  readonly package: string | null;
  readonly typeId: string | null;
  readonly grade: Grade | null;
  readonly gradeReason: string;
  readonly limits: readonly Limit[];
  readonly bin: string;
  /** Ratings with the present one of each name last; earlier ones become its history. */
  readonly ratings: readonly NewRating[];
}

/**
 * Puts a piece into stock: it joins the lot of like parts of the same grade and limits from the same donor in
 * the same bin, if there is one with the same marking and case, or begins a lot. In a lot that it joins the worse rating
 * governs.
 * @returns the lot's code
 */
export async function stockPiece(
  edit: Edit,
  piece: HarvestedPiece,
  {
    pieces = 1,
    reason = 'harvested',
    note = `${piece.ref} taken from the board`,
  }: { pieces?: number; reason?: LedgerReason; note?: string } = {},
): Promise<string> {
  const { tx, app, donorId } = edit;
  const binId = await ensureBin(tx, app, piece.bin);
  const like = piece.marking === '' ? undefined : await likeLot(tx, donorId, binId, piece);
  const entry = { onHandDelta: pieces, reservedDelta: 0, reason, note };
  if (like) {
    await worsenRatings(edit, like.id, piece.ratings);
    await edit.ledger({ lotId: like.id, ...entry });
    return like.code;
  }
  const { ref: _ref, bin: _bin, ratings, ...facts } = piece;
  const code = await freshCode(tx, app, 'lot');
  const lotId = await edit.insert('lots', { code, binId, donorId, ...facts, createdMs: app.now() });
  for (const [index, rating] of ratings.entries()) {
    const superseded = ratings.slice(index + 1).some(({ name }) => name === rating.name);
    const now = app.now();
    await edit.insert('lotRatings', { lotId, ...ratingRow(rating, now), supersededMs: superseded ? now : null });
  }
  await edit.ledger({ lotId, ...entry });
  return code;
}

/**
 * Brings a lot's ratings down to what is true of all its pieces when others join them: of each the worse, the better going
 * into the history; what is known of only some is not known of the lot.
 * @param theirs ratings of what joins, the present one of each name last
 */
export async function worsenRatings(edit: Edit, lotId: string, theirs: readonly NewRating[]): Promise<void> {
  const now = edit.app.now();
  for (const row of await ratingRowsOf(edit.tx, lotId)) {
    const other = theirs.findLast(({ name }) => name === row.name);
    const { better } = RATINGS[row.name];
    const isWorse =
      other && (better === 'higher' ? other.value < row.valueSi : better === 'lower' && other.value > row.valueSi);
    if (other && !isWorse) continue;
    await edit.update('lotRatings', row.id, { supersededMs: now });
    if (other) await edit.insert('lotRatings', { lotId, ...ratingRow(other, now) });
  }
}

/**
 * The lot in which a part of a donor lies, by the newest line of the ledger that laid it in; a subassembly may hold it as a
 * whole. A lot that was emptied into another is followed there.
 */
export async function lotOfPart(
  db: Queryable,
  donorId: string,
  part: { readonly id: string; readonly ref: string },
): Promise<(LotInBin & { readonly isWhole: boolean }) | undefined> {
  const ofDonor = and(eq(lots.donorId, donorId), isNull(lots.deletedMs));
  const takenBack = db.select({ id: stockLedger.undoesId }).from(stockLedger).where(isNotNull(stockLedger.undoesId));
  const [laid] = await db
    .select({ lot: lots, bin: bins.code })
    .from(stockLedger)
    .innerJoin(lots, eq(lots.id, stockLedger.lotId))
    .innerJoin(bins, eq(bins.id, lots.binId))
    .where(
      and(
        ofDonor,
        gt(stockLedger.onHandDelta, 0),
        inArray(stockLedger.reason, ['harvested', 'split']),
        sql`substr(${stockLedger.note}, 1, ${part.ref.length + 1}) = ${`${part.ref} `}`,
        notInArray(stockLedger.id, takenBack),
      ),
    )
    .orderBy(desc(stockLedger.id))
    .limit(1);
  if (laid) return { ...(await followed(db, laid)), isWhole: false };
  const wholes = await db
    .select({ lot: lots, bin: bins.code })
    .from(lots)
    .innerJoin(bins, eq(bins.id, lots.binId))
    .where(and(ofDonor, sql`${lots.gradeReason} like 'It holds %'`))
    .orderBy(desc(lots.id));
  const whole = wholes.find(({ lot }) => heldIn(lot.gradeReason).includes(part.ref));
  return whole && { ...whole, isWhole: true };
}

interface LotInBin {
  readonly lot: Lot;
  readonly bin: string;
}

/** Lots that went one into the next are followed so far. */
const STEPS_FOLLOWED = 20;

/** Where the pieces of a lot went that has none left, as far as they went into other lots. */
async function followed(db: Queryable, from: LotInBin): Promise<LotInBin> {
  let found = from;
  for (let step = 0; step < STEPS_FOLLOWED && found.lot.onHand === 0; step += 1) {
    const [last] = await db
      .select({ note: stockLedger.note })
      .from(stockLedger)
      .where(
        and(
          eq(stockLedger.lotId, found.lot.id),
          lt(stockLedger.onHandDelta, 0),
          inArray(stockLedger.reason, ['joined', 'split']),
        ),
      )
      .orderBy(desc(stockLedger.id))
      .limit(1);
    const code = /^into (\S+)$/.exec(last?.note ?? '')?.[1];
    const [next] = code
      ? await db
          .select({ lot: lots, bin: bins.code })
          .from(lots)
          .innerJoin(bins, eq(bins.id, lots.binId))
          .where(and(eq(lots.code, code), isNull(lots.deletedMs)))
      : [];
    if (!next) break;
    found = next;
  }
  return found;
}

/** What a subassembly holds, in the words of its lot: `It holds R1, C2.` */
export const holdsText = (refs: readonly string[]): string => (refs.length > 0 ? `It holds ${refs.join(', ')}. ` : '');
const heldIn = (text: string): readonly string[] => /^It holds ([^.]*)\./.exec(text)?.[1]?.split(', ') ?? [];

/** Makes the present ratings of a lot those of its only piece, which was measured anew. @param theirs the present one of each name last */
export async function setLotRatings(edit: Edit, lotId: string, theirs: readonly NewRating[]): Promise<void> {
  const now = edit.app.now();
  const present = await ratingRowsOf(edit.tx, lotId);
  for (const name of new Set(theirs.map((rating) => rating.name))) {
    const rating = theirs.findLast((one) => one.name === name);
    const before = present.find((row) => row.name === name);
    if (!rating || before?.valueSi === rating.value) continue;
    if (before) await edit.update('lotRatings', before.id, { supersededMs: now });
    await edit.insert('lotRatings', { lotId, ...ratingRow(rating, now) });
  }
}

async function likeLot(tx: Queryable, donorId: string, binId: string, piece: HarvestedPiece): Promise<Lot | undefined> {
  const rows = await tx
    .select()
    .from(lots)
    .where(
      and(
        eq(lots.donorId, donorId),
        eq(lots.binId, binId),
        eq(lots.kind, piece.kind),
        eq(lots.marking, piece.marking),
        piece.package === null ? isNull(lots.package) : eq(lots.package, piece.package),
        piece.grade === null ? isNull(lots.grade) : eq(lots.grade, piece.grade),
        isNull(lots.deletedMs),
      ),
    );
  const limits = JSON.stringify(piece.limits);
  return rows.find((lot) => JSON.stringify(lot.limits) === limits);
}

/** Codes of bins, for completion. */
export async function listBinCodes(db: Queryable): Promise<string[]> {
  const rows = await db.select({ code: bins.code }).from(bins).orderBy(bins.code).limit(500);
  return rows.map(({ code }) => code).toSorted(asCounted);
}

/** The present ratings of a lot. */
export async function ratingsOfLot(db: Queryable, lotId: string): Promise<NewRating[]> {
  return (await ratingRowsOf(db, lotId)).map(({ valueSi, ...rating }) => ({ ...rating, value: valueSi }));
}

/** Gives a lot the present ratings of the one it was split off, as they were recorded there. */
export async function copyRatings(edit: Edit, from: string, to: string): Promise<void> {
  for (const { id: _id, lotId: _lot, ...rating } of await ratingRowsOf(edit.tx, from))
    await edit.insert('lotRatings', { ...rating, lotId: to });
}

function ratingRowsOf(db: Queryable, lotId: string) {
  return db
    .select()
    .from(lotRatings)
    .where(and(eq(lotRatings.lotId, lotId), isNull(lotRatings.supersededMs)));
}
