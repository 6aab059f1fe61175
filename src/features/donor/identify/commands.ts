import type { Part } from '../../../core/donor';
import { changesOf, partFromFields, subtypeFrom } from '../../../core/benchline';
import type { PinFunction } from '../../../core/chips';
import { type Decoding } from '../../../core/marking';
import {
  BLOCKS,
  DUTIES,
  FITMENTS,
  isRatingName,
  kindRule,
  RATINGS,
  SUBTYPES,
  type KindName,
  type RatingName,
} from '../../../core/part';
import { formatQuantity, parseQuantity } from '../../../core/quantity';
import type { AppContext } from '../../../db/context';
import { findDonor } from '../../../db/repositories/donors';
import type { Edit } from '../../../db/repositories/journal';
import { isNumbered, rememberType } from '../../../db/repositories/types';
import { recordPartRatings, type NewRating } from '../../../db/repositories/ratings';
import type { PartForm, PlaceForm, ValueForm } from './schema';
import { donorStress, lotFollows } from '../../../services/board';
import { refusal, refuse, refused, run, type Outcome } from '../../../services/command';
import { lineContext, openDossier } from '../../../services/dossier';
import { record } from '../shared/writeRecord';
import { clearDecoding, decodingId, decodingsAsOtherKind, decodingsOf } from './decodings';
import { deletePart } from './records';
import { knownPart } from '../shared/knownPart';

/** Logs a part, or several alike, from a form. */
export async function logPartForm(app: AppContext, code: string, form: PartForm): Promise<Outcome> {
  const donor = await findDonor(app.db.read, code);
  if (!donor) return refused(refusal('donor-gone', { code }));
  const context = await lineContext(openDossier(app.db.read, donor, app.now()));
  const read = partFromFields({ ...form, ref: form.ref.toUpperCase() }, context);
  if (!read.ok) return refused(refusal('line-unreadable', { problem: read.problem }, read.field));
  const changes = changesOf([read.record], context);
  if (changes.length > 0 && app.form?.answers.get(CHANGE) !== changes.join(' '))
    return refused({
      ...refusal('part-differs', { changes }),
      questions: [
        {
          name: `~answer.${CHANGE}`,
          label: `${read.record.ref} is logged already`,
          options: [{ value: changes.join(' '), label: 'it is that part: change it so' }],
        },
      ],
    });
  return record(app, { code, station: 'identify' }, [read.record]);
}

/** The answer of a person who means to change a part that is logged already. */
const CHANGE = 'change';

/** Says where a part sits, what it is there for and what is wrong with it: what was said before is replaced. */
export function placePart(app: AppContext, of: { code: string; ref: string }, form: PlaceForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'identify' }, async (edit, donor) => {
    const part = await knownPart(edit, of.ref);
    const { block, duty, subtype, damage, fitments, sink } = form;
    if (subtype !== '' && SUBTYPES[subtype] === undefined)
      return refuse('subtype-unknown', { word: subtype }, 'subtype');
    await edit.update('parts', part.id, {
      block: block || null,
      duty: duty || null,
      subtype: subtype || null,
      damage,
      fitments,
      mounting: withSink(part.mounting, sink),
    });
    // What others changed meanwhile may stand beside what was said here.
    const now = await knownPart(edit, of.ref);
    const said = [
      now.block ? `in the ${BLOCKS[now.block].label} block` : '',
      now.duty ? DUTIES[now.duty] : '',
      ...now.fitments.map((name) => FITMENTS[name]),
      ...now.damage,
      now.mounting.sink ? `on heat sink ${now.mounting.sink}` : '',
    ].filter((word) => word !== '');
    const followed = (await lotFollows(edit, donor, part.ref)) ?? '';
    return `${part.ref}: ${said.join(', ') || 'nothing special'}${followed}.`;
  });
}

function withSink({ sink: _sink, ...mounting }: Part['mounting'], sink: string): Part['mounting'] {
  return sink === '' ? mounting : { ...mounting, sink };
}

/** Keeps what the pins of a chip seem to be. */
export function hintPins(
  app: AppContext,
  of: { code: string; ref: string },
  hints: Record<number, PinFunction>,
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'identify' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    await edit.update('parts', part.id, { pinHints: hints });
    const count = Object.keys(hints).length;
    return `${part.ref}: ${count} ${count === 1 ? 'pin is' : 'pins are'} noted.`;
  });
}

/** Takes every clear reading of a board at once, in one step. What is doubtful or does not fit is left. */
export function acceptClearDecodings(app: AppContext, code: string): Promise<Outcome> {
  return run(app, { scope: 'donor', code, station: 'identify' }, async (edit, donor) => {
    const dossier = openDossier(edit.tx, donor, app.now());
    const unit = await donorStress(dossier);
    const taken: string[] = [];
    for (const record of await dossier.parts()) {
      const decoding = clearDecoding(record, unit);
      if (!decoding) continue;
      await takeDecoding(edit, record.part, decoding);
      taken.push(record.part.ref);
    }
    if (taken.length === 0) return refuse('no-clear-decoding', {});
    return `${taken.length} clear ${taken.length === 1 ? 'reading is' : 'readings are'} taken: ${taken.join(', ')}.`;
  });
}

/** Takes one reading of the marking as the part's: its ratings are recorded as decoded, with the rule. */
export function acceptDecoding(app: AppContext, of: { code: string; ref: string; decoding: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'identify' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    const decoding = [...decodingsOf(part), ...decodingsAsOtherKind(part)].find(
      (one) => decodingId(one) === of.decoding,
    );
    if (!decoding) return refuse('marking-changed', { ref: part.ref });
    await takeDecoding(edit, part, decoding);
    return `${part.ref} is read as ${decoding.why.replace(/\.$/, '')}.`;
  });
}

async function takeDecoding(edit: Edit, part: Part, decoding: Decoding): Promise<void> {
  const ratings = Object.entries(decoding.ratings).map(([name, value]): NewRating => ({
    name: name as RatingName,
    value,
    source: decoding.source,
    rule: decoding.rule,
    confidence: decoding.confidence,
  }));
  const technology = decoding.facts?.technology ?? part.technology;
  const name = decoding.readAs ?? decoding.number;
  const subtype = subtypeFrom(decoding) ?? part.subtype;
  const typeId = await remember(edit, { ...part, kind: decoding.kind, technology, marking: name }, ratings);
  await edit.update('parts', part.id, {
    kind: decoding.kind,
    subtype,
    technology,
    ...(typeId === undefined ? {} : { typeId }),
  });
  await recordPartRatings(edit, part.id, ratings);
}

/** Records a rating that the person typed, with where they have it from. */
export function typeRating(app: AppContext, of: { code: string; ref: string }, form: ValueForm): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'identify' }, async (edit) => {
    const part = await knownPart(edit, of.ref);
    const name = form.rating;
    if (!isRatingName(name) || !kindRule(part.kind).ratings.includes(name))
      return refuse('rating-foreign', { kind: kindRule(part.kind).label, rating: name }, 'rating');
    const { unit, label } = RATINGS[name];
    const parsed = parseQuantity(form.value, unit);
    if (!parsed.ok) return refuse('quantity-unreadable', { problem: parsed.problem }, 'value');
    const rating: NewRating = { name, value: parsed.quantity.value, source: form.source };
    const typeId = await remember(edit, part, [rating]);
    if (typeId !== undefined) await edit.update('parts', part.id, { typeId });
    const kept = await recordPartRatings(edit, part.id, [rating]);
    const message = `${part.ref}: ${label} ${formatQuantity(rating.value, unit)}, ${form.source}`;
    return kept.length > 0 ? `${message}; kept as history, since a stronger value stands.` : `${message}.`;
  });
}

/** Deletes a part from the log; it can be undone. */
export function removePart(app: AppContext, of: { code: string; ref: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'identify' }, async (edit) => {
    const part = await deletePart(edit, of.ref);
    return `${part.ref} was deleted from the log.`;
  });
}

async function remember(
  edit: Edit,
  part: { kind: KindName; marking: string | null; technology: string | null; package: string | null },
  ratings: readonly NewRating[],
): Promise<string | undefined> {
  if (!part.marking || !isNumbered(part.kind)) return undefined;
  const { kind, marking: name, technology, package: case_ } = part;
  return rememberType(edit, { kind, name, technology, package: case_, ratings });
}
