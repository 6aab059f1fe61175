import { isRatingName, kindRule, RATINGS, type RatingName } from '../../core/part';
import { formatQuantity, parseQuantity, problemText } from '../../core/quantity';
import type { Bench } from '../../db/context';
import {
  carriersOf,
  datasheetsOf,
  findType,
  recordTypeRatings,
  strikeTypeRating,
  typeById,
  typeHistory,
} from '../../db/repositories/types';
import { datasheetProblemText, storeDatasheet } from '../../server/files';
import type { FormOutcome } from '../../ui/form/outcome';
import type { TypeForm, TypeRatingForm } from './schema';
import { edit, problem, TAKEN } from './typeStep';

const GONE = 'That type is not there any more.';

/** Writes a type down that no part has taught yet. */
export async function addType(bench: Bench, form: TypeForm): Promise<FormOutcome> {
  if (await findType(bench.db.read, form.kind, form.name)) return problem(TAKEN, 'name');
  const id = bench.newKey();
  return edit(
    bench,
    async (open) => {
      await open.insert('types', { ...rowOf(form), createdMs: bench.now() }, id);
      return `${form.name} is known now.`;
    },
    `/types/${id}`,
  );
}

const rowOf = ({ kind, name, technology, package: case_, note }: TypeForm) => ({
  kind,
  name,
  technology: technology || null,
  package: case_ || null,
  note,
});

/** Puts a type's number, kind, case, technology or note right. */
export async function amendType(bench: Bench, id: string, form: TypeForm): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  if (!known) return problem(GONE);
  const other = await findType(bench.db.read, form.kind, form.name);
  if (other && other.type.id !== id) return problem(TAKEN, 'name');
  return edit(bench, async (open) => {
    await open.update('types', id, rowOf(form));
    return `${form.name} is put right.`;
  });
}

/** Records a rating with its source and the page of the datasheet where it stands. */
export async function rateType(bench: Bench, id: string, form: TypeRatingForm): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  if (!known) return problem(GONE);
  const { kind, name: number } = known.type;
  const name = form.rating;
  if (!isRatingName(name) || !kindRule(kind).ratings.includes(name))
    return problem(`A ${kindRule(kind).label} has no rating “${name}”.`, 'rating');
  const { unit, label } = RATINGS[name];
  const parsed = parseQuantity(form.value, unit);
  if (!parsed.ok) return problem(problemText(parsed.problem), 'value');
  const { value } = parsed.quantity;
  const present = known.ratings[name];
  return edit(bench, async (open) => {
    const recorded = await recordTypeRatings(open, id, [{ name, value, source: form.source, page: form.page }]);
    const says = `${number}: ${label} ${formatQuantity(value, unit)}, ${form.source}`;
    if (recorded.length > 0) return `${says}.`;
    return present?.value === value
      ? `${says} stands already.`
      : `${says} is weaker than ${present?.source}; it was not kept.`;
  });
}

/** Strikes a rating of a type; it stays in the history. */
export async function unrateType(bench: Bench, id: string, name: string): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  if (!known || !isRatingName(name)) return problem(GONE);
  return edit(bench, async (open) => {
    await strikeTypeRating(open, id, name);
    return `${RATINGS[name].label} of ${known.type.name} is struck; it stays in the history.`;
  });
}

/** Adds another marking of a type. */
export async function addAlias(bench: Bench, id: string, name: string): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  if (!known) return problem(GONE);
  const owner = await findType(bench.db.read, known.type.kind, name);
  if (owner) {
    const whose = owner.type.id === id ? 'stands here already' : `belongs to ${owner.type.name}; merge the two instead`;
    return problem(`“${name}” ${whose}.`, 'name');
  }
  return edit(bench, async (open) => {
    await open.insert('typeAliases', { typeId: id, kind: known.type.kind, name, createdMs: bench.now() });
    return `${known.type.name} is also marked ${name}.`;
  });
}

/**
 * Takes another type of the same kind into this one: stronger ratings win and the others stay as
 * history, its number and markings become markings of this one, and its parts and lots move over.
 */
export async function mergeType(bench: Bench, id: string, otherName: string): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  if (!known) return problem(GONE);
  const { kind, name } = known.type;
  const other = await findType(bench.db.read, kind, otherName);
  if (!other) return problem(`There is no ${kindRule(kind).label} called ${otherName}.`, 'name');
  if (other.type.id === id) return problem('A type cannot be merged into itself.', 'name');
  return edit(bench, async (open) => {
    const ratings = Object.entries(other.ratings).map(([rating, value]) => ({ name: rating as RatingName, ...value }));
    await recordTypeRatings(open, id, ratings);
    for (const alias of other.aliases) await open.update('typeAliases', alias.id, { typeId: id });
    const carriers = await carriersOf(open.tx, other.type.id);
    for (const part of carriers.parts) await open.update('parts', part.id, { typeId: id });
    for (const lot of carriers.lots) await open.update('lots', lot.id, { typeId: id });
    for (const sheet of await datasheetsOf(open.tx, other.type.id))
      await open.update('datasheets', sheet.id, { typeId: id });
    await open.remove('types', other.type.id);
    await open.insert('typeAliases', { typeId: id, kind, name: other.type.name, createdMs: bench.now() });
    const moved = carriers.parts.length + carriers.lots.length;
    return `${other.type.name} is a marking of ${name} now; ${moved} ${moved === 1 ? 'part or lot' : 'parts and lots'} moved over.`;
  });
}

/** Makes one of a type's markings a type of its own, with the same ratings and the parts so marked. */
export async function splitType(bench: Bench, id: string, aliasId: string): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  const alias = known?.aliases.find((one) => one.id === aliasId);
  if (!known || !alias) return problem(GONE);
  const { kind, technology, package: case_ } = known.type;
  const newId = bench.newKey();
  return edit(
    bench,
    async (open) => {
      await open.remove('typeAliases', aliasId);
      await open.insert('types', { kind, name: alias.name, technology, package: case_, createdMs: bench.now() }, newId);
      const ratings = Object.entries(known.ratings).map(([name, value]) => ({ name: name as RatingName, ...value }));
      await recordTypeRatings(open, newId, ratings);
      const carriers = await carriersOf(open.tx, id);
      const isSo = ({ marking }: { marking: string | null }) => marking === alias.name;
      for (const part of carriers.parts.filter(isSo)) await open.update('parts', part.id, { typeId: newId });
      for (const lot of carriers.lots.filter(isSo)) await open.update('lots', lot.id, { typeId: newId });
      return `${alias.name} is a type of its own now, with what was known of ${known.type.name}.`;
    },
    `/types/${newId}`,
  );
}

/** Forgets a type that nothing rests on. */
export async function forgetType(bench: Bench, id: string): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, id);
  if (!known) return problem(GONE);
  const { parts, lots } = await carriersOf(bench.db.read, id);
  const count = parts.length + lots.length;
  if (count > 0)
    return problem(
      `${count} ${count === 1 ? 'part or lot rests' : 'parts and lots rest'} on ${known.type.name}; merge it into another type instead.`,
    );
  return edit(
    bench,
    async (open) => {
      await open.remove('types', id);
      return `${known.type.name} is forgotten.`;
    },
    '/types',
  );
}

/** Attaches a datasheet to a type. */
export async function attachDatasheet(
  bench: Bench,
  folder: string,
  of: { id: string; name: string; bytes: Uint8Array },
): Promise<FormOutcome> {
  const known = await typeById(bench.db.read, of.id);
  if (!known) return problem(GONE);
  const stored = await storeDatasheet(folder, of.bytes);
  if (!stored.ok) return problem(datasheetProblemText(of.name, stored.problem));
  const present = await datasheetsOf(bench.db.read, of.id);
  if (present.some(({ hash }) => hash === stored.hash)) return problem(`${of.name} is attached already.`);
  return edit(bench, async (open) => {
    await open.insert('datasheets', {
      typeId: of.id,
      hash: stored.hash,
      fileName: of.name,
      bytes: of.bytes.length,
      createdMs: bench.now(),
    });
    return `${of.name} is attached to ${known.type.name}.`;
  });
}

/** Takes a datasheet off a type; the file stays beside the database. */
export function detachDatasheet(bench: Bench, sheetId: string): Promise<FormOutcome> {
  return edit(bench, async (open) => {
    await open.remove('datasheets', sheetId);
    return 'The datasheet is taken off.';
  });
}

/** Superseded ratings of a type, for its page. */
export async function supersededRatings(bench: Bench, id: string) {
  return (await typeHistory(bench.db.read, id)).filter(({ superseded }) => superseded);
}
