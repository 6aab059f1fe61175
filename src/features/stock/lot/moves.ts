import { mergeLimits } from '../../../core/measure';
import { RATINGS } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { apartInValue } from '../../../core/stock';
import type { Bench } from '../../../db/context';
import { findBin, lotsInBin } from '../../../db/repositories/bins';
import { freshCode } from '../../../db/repositories/codes';
import { isConstraintFailure, recordEdit, type Edit } from '../../../db/repositories/journal';
import { findLot, findLots, type LotRow } from '../../../db/repositories/lotSearch';
import { ensureBin, ratingRowsOf, worsenRatings } from '../../../db/repositories/lots';
import type { NewRating } from '../../../db/repositories/ratings';
import type { FormOutcome } from '../../../ui/form/outcome';
import { gone } from './commands';

/** A refusal inside an edit: nothing is stored, and the message stands beside its field. */
class Refused extends Error {
  constructor(
    message: string,
    readonly field?: string,
  ) {
    super(message);
  }
}

/** One change of stock as a step of the journal, to be taken back whole. */
export async function change(bench: Bench, work: (edit: Edit) => Promise<string>, goto?: string): Promise<FormOutcome> {
  try {
    const { journalId, says } = await recordEdit(bench, { donorId: '', station: 'harvest' }, work);
    return { ok: true, says, undo: journalId, ...(goto ? { goto } : {}) };
  } catch (error) {
    if (error instanceof Refused)
      return { ok: false, problems: [{ message: error.message, ...(error.field ? { field: error.field } : {}) }] };
    if (isConstraintFailure(error))
      return {
        ok: false,
        problems: [{ message: 'Someone took or set aside pieces in the meantime. Look at the lot anew.' }],
      };
    throw error;
  }
}

/** Moves a lot to another bin, which is made when it is new. */
export async function moveToBin(bench: Bench, of: { code: string; bin: string }): Promise<FormOutcome> {
  const found = await findLot(bench.db.read, of.code);
  if (!found) return gone(of.code);
  if (found.bin === of.bin)
    return { ok: false, problems: [{ field: 'bin', message: `${of.code} is in ${of.bin} already.` }] };
  return change(bench, async (edit) => {
    const binId = await ensureBin(edit.tx, bench, of.bin);
    await edit.update('lots', found.lot.id, { binId });
    const note = `${found.bin} to ${of.bin}`;
    await edit.ledger({ lotId: found.lot.id, onHandDelta: 0, reservedDelta: 0, reason: 'moved', note });
    return `${of.code} moved from ${found.bin} to ${of.bin}.`;
  });
}

/** Parts some free pieces off into a lot of their own, in the same or another bin. */
export async function splitLot(
  bench: Bench,
  of: { code: string; quantity: number; bin: string },
): Promise<FormOutcome> {
  const found = await findLot(bench.db.read, of.code);
  if (!found) return gone(of.code);
  const { lot } = found;
  const free = lot.onHand - lot.reserved;
  if (of.quantity > free || of.quantity >= lot.onHand)
    return {
      ok: false,
      problems: [
        {
          field: 'quantity',
          message: `${of.quantity} cannot be parted off: ${free} of ${lot.onHand} are free, and one at least stays.`,
        },
      ],
    };
  return change(bench, async (edit) => {
    const code = await freshCode(edit.tx, bench, 'lot');
    const { id, onHand: _onHand, reserved: _reserved, code: _code, deletedMs: _deleted, ...facts } = lot;
    const binId = await ensureBin(edit.tx, bench, of.bin);
    const lotId = await edit.insert('lots', { ...facts, code, binId });
    for (const { id: _id, lotId: _lot, ...rating } of await ratingRowsOf(edit.tx, id))
      await edit.insert('lotRatings', { ...rating, lotId });
    await edit.ledger({
      lotId: id,
      onHandDelta: -of.quantity,
      reservedDelta: 0,
      reason: 'split',
      note: `into ${code}`,
    });
    await edit.ledger({ lotId, onHandDelta: of.quantity, reservedDelta: 0, reason: 'split', note: `from ${of.code}` });
    return `${of.quantity} of ${of.code} are lot ${code} in ${of.bin} now.`;
  });
}

/**
 * Puts another lot of like parts into this one. The worse of two ratings governs, and the limits of both hold; pieces
 * that are set aside must be given back first.
 */
export async function joinLots(bench: Bench, of: { code: string; from: string }): Promise<FormOutcome> {
  const [into] = await findLots(bench.db.read, [of.code]);
  const [from] = await findLots(bench.db.read, [of.from]);
  if (!into) return gone(of.code);
  if (!from || from.lot.onHand === 0)
    return { ok: false, problems: [{ field: 'from', message: `There is no lot ${of.from} with pieces in it.` }] };
  const why = whyNotAlike(into, from);
  if (why) return { ok: false, problems: [{ field: 'from', message: why }] };
  return change(bench, async (edit) => {
    await worsenRatings(edit, into.lot.id, await ratingsOf(edit, from.lot.id));
    const limits = mergeLimits([...into.lot.limits, ...from.lot.limits]);
    await edit.update('lots', into.lot.id, { limits });
    const pieces = from.lot.onHand;
    await edit.ledger({
      lotId: from.lot.id,
      onHandDelta: -pieces,
      reservedDelta: 0,
      reason: 'joined',
      note: `into ${of.code}`,
    });
    await edit.ledger({
      lotId: into.lot.id,
      onHandDelta: pieces,
      reservedDelta: 0,
      reason: 'joined',
      note: `from ${of.from}`,
    });
    return `${pieces} of ${of.from} went into ${of.code}, bin ${into.bin}.`;
  });
}

async function ratingsOf(edit: Edit, lotId: string): Promise<NewRating[]> {
  return (await ratingRowsOf(edit.tx, lotId)).map(({ valueSi, ...rating }) => ({ ...rating, value: valueSi }));
}

function whyNotAlike(a: LotRow, b: LotRow): string | undefined {
  if (a.lot.id === b.lot.id) return 'A lot is not joined with itself.';
  for (const field of ['kind', 'marking', 'package', 'grade'] as const)
    if (a.lot[field] !== b.lot[field])
      return `${b.lot.code} is not alike: ${field} is ${b.lot[field] ?? 'not known'}, here it is ${a.lot[field] ?? 'not known'}.`;
  const apart = apartInValue({ kind: a.lot.kind, ratings: a.ratings }, b);
  if (apart) {
    const show = ({ ratings }: LotRow) => {
      const value = ratings[apart]?.value;
      return value === undefined ? 'not known' : formatQuantity(value, RATINGS[apart].unit);
    };
    return `${b.lot.code} is not alike: its ${RATINGS[apart].label} is ${show(b)}, here it is ${show(a)}.`;
  }
  if (b.lot.reserved > 0) return `${b.lot.reserved} of ${b.lot.code} are set aside for a build; give them back first.`;
  return undefined;
}

/**
 * Counts a bin: each lot gets a line in the ledger, with the difference where there is one. Fewer than are set aside
 * cannot be booked; those must be given back first.
 */
export async function countBin(
  bench: Bench,
  of: { bin: string; counts: Readonly<Record<string, number>> },
): Promise<FormOutcome> {
  const bin = await findBin(bench.db.read, of.bin);
  if (!bin) return { ok: false, problems: [{ message: `There is no bin ${of.bin}.` }] };
  return change(bench, async (edit) => {
    const codes = (await lotsInBin(edit.tx, bin.id)).filter((code) => of.counts[code] !== undefined);
    if (codes.length === 0) throw new Refused('Nothing was counted: type what you find beside a lot.');
    let off = 0;
    for (const { lot } of await findLots(edit.tx, codes)) {
      const counted = of.counts[lot.code] ?? lot.onHand;
      if (counted < lot.reserved)
        throw new Refused(
          `${lot.code}: ${counted} counted, but ${lot.reserved} are set aside for a build. Give them back first.`,
          `count:${lot.code}`,
        );
      const onHandDelta = counted - lot.onHand;
      if (onHandDelta !== 0) off += 1;
      await edit.ledger({
        lotId: lot.id,
        onHandDelta,
        reservedDelta: 0,
        reason: 'counted',
        note: `stocktake of ${of.bin}`,
      });
    }
    return `${codes.length} ${codes.length === 1 ? 'lot' : 'lots'} counted in ${of.bin}, ${off === 0 ? 'all as booked' : `${off} put right`}.`;
  });
}

/** Says how many pieces fit into a bin; nothing when nobody knows. */
export async function sizeBin(bench: Bench, of: { bin: string; capacity: number | undefined }): Promise<FormOutcome> {
  const bin = await findBin(bench.db.read, of.bin);
  if (!bin) return { ok: false, problems: [{ message: `There is no bin ${of.bin}.` }] };
  return change(bench, async (edit) => {
    await edit.update('bins', bin.id, { capacity: of.capacity ?? null });
    return of.capacity === undefined ? `${of.bin} has no limit.` : `${of.capacity} pieces fit into ${of.bin}.`;
  });
}

/** Keeps a question asked of stock under a name. */
export function saveFilter(bench: Bench, of: { name: string; filter: string }): Promise<FormOutcome> {
  return change(bench, async (edit) => {
    await edit.insert('savedFilters', { ...of, createdMs: bench.now() });
    return `“${of.name}” is kept: ${of.filter}.`;
  });
}

/** Strikes a kept question. */
export function dropFilter(bench: Bench, id: string): Promise<FormOutcome> {
  return change(bench, async (edit) => {
    await edit.remove('savedFilters', id);
    return 'The kept question is struck.';
  });
}
