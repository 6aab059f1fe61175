import { isRatingName, kindRule, RATINGS, type RatingName } from '../../core/part';
import { formatQuantity, parseQuantity } from '../../core/quantity';
import type { AppContext } from '../../db/context';
import type { Edit } from '../../db/repositories/journal';
import {
  carriersOf,
  datasheetById,
  datasheetsOf,
  findType,
  recordTypeRatings,
  removeTypeRating,
  typeById,
  type TypeRecord,
} from '../../db/repositories/types';
import type { BlobStore } from '../../server/blobs';
import { storeDatasheet } from '../../services/attachments';
import { routes } from '../../routes';
import { ON_TYPES, refusal, refuse, refused, run, type Outcome } from '../../services/command';
import type { TypeForm, TypeRatingForm } from './schema';

async function knownType(edit: Edit, id: string): Promise<TypeRecord> {
  return (await typeById(edit.tx, id)) ?? refuse('type-gone', {});
}

/** Writes a type down that no part has taught yet. */
export function addType(app: AppContext, form: TypeForm): Promise<Outcome<{ id: string }>> {
  return run(app, ON_TYPES, async (edit) => {
    if (await findType(edit.tx, form.kind, form.name)) return refuse('type-name-taken', {}, 'name');
    const id = await edit.insert('types', { ...rowOf(form), createdMs: app.now() });
    return { message: `${form.name} is known now.`, value: { id }, goto: routes.type(id) };
  });
}

const rowOf = ({ kind, name, technology, package: case_, note }: TypeForm) => ({
  kind,
  name,
  technology: technology || null,
  package: case_ || null,
  note,
});

/** Puts a type's number, kind, case, technology or note right. */
export function amendType(app: AppContext, id: string, form: TypeForm): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    await knownType(edit, id);
    const other = await findType(edit.tx, form.kind, form.name);
    if (other && other.type.id !== id) return refuse('type-name-taken', {}, 'name');
    await edit.update('types', id, rowOf(form));
    return `${form.name} is put right.`;
  });
}

/** Records a rating with its source and the page of the datasheet where it stands. */
export function rateType(app: AppContext, id: string, form: TypeRatingForm): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, id);
    const { kind, name: number } = known.type;
    const name = form.rating;
    if (!isRatingName(name) || !kindRule(kind).ratings.includes(name))
      return refuse('rating-foreign', { kind: kindRule(kind).label, rating: name }, 'rating');
    const { unit, label } = RATINGS[name];
    const parsed = parseQuantity(form.value, unit);
    if (!parsed.ok) return refuse('quantity-unreadable', { problem: parsed.problem }, 'value');
    const { value } = parsed.quantity;
    const present = known.ratings[name];
    const recorded = await recordTypeRatings(edit, id, [{ name, value, source: form.source, page: form.page }]);
    const message = `${number}: ${label} ${formatQuantity(value, unit)}, ${form.source}`;
    if (recorded.length > 0) return `${message}.`;
    return present?.value === value
      ? `${message} stands already.`
      : `${message} is weaker than ${present?.source}; it was not kept.`;
  });
}

/** Deletes a rating of a type; it stays in the history. */
export function unrateType(app: AppContext, id: string, name: string): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, id);
    if (!isRatingName(name)) return refuse('type-gone', {});
    await removeTypeRating(edit, id, name);
    return `${RATINGS[name].label} of ${known.type.name} is deleted; it stays in the history.`;
  });
}

/** Adds another marking of a type. */
export function addAlias(app: AppContext, id: string, name: string): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, id);
    const owner = await findType(edit.tx, known.type.kind, name);
    if (owner?.type.id === id) return refuse('alias-here', { name }, 'name');
    if (owner) return refuse('alias-elsewhere', { name, owner: owner.type.name }, 'name');
    await edit.insert('typeAliases', { typeId: id, kind: known.type.kind, name, createdMs: app.now() });
    return `${known.type.name} is also marked ${name}.`;
  });
}

/**
 * Takes another type of the same kind into this one: stronger ratings win and the others stay as
 * history, its number and markings become markings of this one, and its parts and lots move over.
 */
export function mergeType(app: AppContext, id: string, otherName: string): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, id);
    const { kind, name } = known.type;
    const other = await findType(edit.tx, kind, otherName);
    if (!other) return refuse('type-unknown', { kind: kindRule(kind).label, name: otherName }, 'name');
    if (other.type.id === id) return refuse('type-itself', {}, 'name');
    const ratings = Object.entries(other.ratings).map(([rating, value]) => ({ name: rating as RatingName, ...value }));
    await recordTypeRatings(edit, id, ratings);
    for (const alias of other.aliases) await edit.update('typeAliases', alias.id, { typeId: id });
    const carriers = await carriersOf(edit.tx, other.type.id);
    for (const part of carriers.parts) await edit.update('parts', part.id, { typeId: id });
    for (const lot of carriers.lots) await edit.update('lots', lot.id, { typeId: id });
    for (const sheet of await datasheetsOf(edit.tx, other.type.id))
      await edit.update('datasheets', sheet.id, { typeId: id });
    await edit.remove('types', other.type.id);
    await edit.insert('typeAliases', { typeId: id, kind, name: other.type.name, createdMs: app.now() });
    const moved = carriers.parts.length + carriers.lots.length;
    return `${other.type.name} is a marking of ${name} now; ${moved} ${moved === 1 ? 'part or lot' : 'parts and lots'} moved over.`;
  });
}

/** Makes one of a type's markings a type of its own, with the same ratings and the parts so marked. */
export function splitType(app: AppContext, id: string, aliasId: string): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, id);
    const alias = known.aliases.find((one) => one.id === aliasId);
    if (!alias) return refuse('type-gone', {});
    const { kind, technology, package: case_ } = known.type;
    await edit.remove('typeAliases', aliasId);
    const newId = await edit.insert('types', {
      kind,
      name: alias.name,
      technology,
      package: case_,
      createdMs: app.now(),
    });
    const ratings = Object.entries(known.ratings).map(([name, value]) => ({ name: name as RatingName, ...value }));
    await recordTypeRatings(edit, newId, ratings);
    const carriers = await carriersOf(edit.tx, id);
    const isSo = ({ marking }: { marking: string | null }) => marking === alias.name;
    for (const part of carriers.parts.filter(isSo)) await edit.update('parts', part.id, { typeId: newId });
    for (const lot of carriers.lots.filter(isSo)) await edit.update('lots', lot.id, { typeId: newId });
    return {
      message: `${alias.name} is a type of its own now, with what was known of ${known.type.name}.`,
      value: undefined,
      goto: routes.type(newId),
    };
  });
}

/** Deletes a type that nothing rests on. */
export function removeType(app: AppContext, id: string): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, id);
    const { parts, lots } = await carriersOf(edit.tx, id);
    const count = parts.length + lots.length;
    if (count > 0) return refuse('type-in-use', { name: known.type.name, count });
    await edit.remove('types', id);
    return { message: `${known.type.name} is deleted.`, value: undefined, goto: routes.types() };
  });
}

/** Attaches a datasheet to a type. */
export async function attachDatasheet(
  app: AppContext,
  store: BlobStore,
  of: { id: string; name: string; bytes: Uint8Array },
): Promise<Outcome> {
  if (!(await typeById(app.db.read, of.id))) return refused(refusal('type-gone', {}));
  const stored = await storeDatasheet(store, of.bytes);
  if (!stored.ok) return refused(refusal('datasheet-unusable', { name: of.name, problem: stored.problem }));
  return run(app, ON_TYPES, async (edit) => {
    const known = await knownType(edit, of.id);
    const present = await datasheetsOf(edit.tx, of.id);
    if (present.some(({ hash }) => hash === stored.hash)) return refuse('datasheet-known', { name: of.name });
    await edit.insert('datasheets', {
      typeId: of.id,
      hash: stored.hash,
      fileName: of.name,
      bytes: of.bytes.length,
      createdMs: app.now(),
    });
    return `${of.name} is attached to ${known.type.name}.`;
  });
}

/** Takes a datasheet off a type; the file stays beside the database. */
export function detachDatasheet(app: AppContext, sheetId: string): Promise<Outcome> {
  return run(app, ON_TYPES, async (edit) => {
    if (!(await datasheetById(edit.tx, sheetId))) return refuse('row-gone', {});
    await edit.remove('datasheets', sheetId);
    return 'The datasheet is taken off.';
  });
}
