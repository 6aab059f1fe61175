import 'server-only';
import type { Donor } from '../../core/donor';
import { readCode } from '../../core/ident';
import { judgeNameplate, supplyOf } from '../../core/nameplate';
import { formatShorthand } from '../../core/quantity';
import { sumById, workOut, type KeptSum, type Mark, type PlateValue, type Sum } from '../../core/sums';
import type { AppContext } from '../../db/context';
import { findBuild } from '../../db/repositories/builds';
import { donorTitle, findDonor } from '../../db/repositories/donors';
import { listKeptSums, type SumOwner } from '../../db/repositories/keptSums';
import { findLot } from '../../db/repositories/lotSearch';
import { findPart } from '../../db/repositories/parts';
import { plateOf } from '../../db/repositories/plate';
import type { Ratings } from '../../db/repositories/ratings';
import { readSettings } from '../../db/repositories/settings';
import type { Queryable } from '../../db/client';
import { routes } from '../../routes';

/** What a sum was opened from: a donor or a part of it, a lot, a build. */
export interface SumOrigin {
  /** As it stands in the address: a code, and behind a stroke the reference of a part. */
  readonly from: string;
  readonly code: string;
  readonly ref: string;
  readonly title: string;
  readonly href: string;
  /** Results can be kept with it. */
  readonly owner?: SumOwner;
  readonly ratings: Ratings;
  readonly plate: Partial<Record<PlateValue, number | string>>;
}

/** Finds what a sum was opened from. @param from `CODE`, or `CODE/REF` */
export async function originOf(db: Queryable, from: string): Promise<SumOrigin | undefined> {
  const [written = '', reference = ''] = from.split('/');
  const found = readCode(written);
  if (!found) return undefined;
  const { code, owner } = found;
  const ref = reference.toUpperCase();
  if (owner === 'donor') {
    const donor = await findDonor(db, code);
    if (!donor) return undefined;
    const part = ref === '' ? undefined : await findPart(db, donor.id, ref);
    if (ref !== '' && !part) return undefined;
    const title = donorTitle(donor);
    return {
      from: part ? `${code}/${ref}` : code,
      code,
      ref,
      title: part ? `${ref} of ${title}` : title,
      href: part ? routes.station(code, 'test', { part: ref }) : routes.donor(code),
      owner: { donorId: donor.id },
      ratings: part?.ratings ?? {},
      plate: part ? {} : plateValues(donor),
    };
  }
  if (owner === 'build') {
    const build = await findBuild(db, code);
    return (
      build && {
        from: code,
        code,
        ref: '',
        title: build.build.title,
        href: routes.build(code),
        owner: { buildId: build.build.id },
        ratings: {},
        plate: {},
      }
    );
  }
  const lot = await findLot(db, code);
  return (
    lot && {
      from: code,
      code,
      ref: '',
      title: lot.lot.marking || code,
      href: routes.lot(code),
      ratings: lot.ratings,
      plate: {},
    }
  );
}

/** What a nameplate gives to sums; values in SI base units. */
function plateValues(donor: Donor): SumOrigin['plate'] {
  const plate = plateOf(donor);
  const supply = supplyOf(plate);
  const [output] = plate.outputs;
  const watts = judgeNameplate(plate).ratedPower;
  return {
    ...(donor.nameplate === '' ? {} : { text: donor.nameplate }),
    ...(watts === undefined ? {} : { watts }),
    // The fields that take these are of the mains.
    ...(supply?.kind === 'ac' ? { lowest: supply.vMin, highest: supply.vMax } : {}),
    ...(output ? { volts: Math.abs(output.v) } : {}),
    ...(output?.i === undefined ? {} : { amperes: output.i }),
  };
}

/** What a sum takes from the ratings of a part or from a nameplate, by field, as it would be typed. */
export function filledFrom(
  sum: Sum,
  { ratings, plate }: Pick<SumOrigin, 'ratings' | 'plate'>,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    sum.fields.flatMap(({ id, from, plate: wanted, unit }) => {
      const value = (from && ratings[from]?.value) ?? (wanted && plate[wanted]);
      if (typeof value === 'string') return [[id, value.replace(/\s+/g, ' ')]];
      return value !== undefined && unit ? [[id, formatShorthand(value, unit)]] : [];
    }),
  );
}

/** A kept sum, worked out anew with what its part is now known to be. */
export interface KeptSumView {
  readonly id: string;
  readonly title: string;
  readonly ref: string;
  readonly answer: string;
  readonly mark?: Mark;
  /** What it came to when it was kept, where that was something else. */
  readonly was?: string;
  readonly href: string;
}

/** The sums kept with a donor or a build. */
export async function keptSumViews(app: AppContext, owner: SumOwner, code: string): Promise<KeptSumView[]> {
  const db = app.db.read;
  const [kept, { touchLimit }] = await Promise.all([listKeptSums(db, owner), readSettings(db)]);
  // Several sums may be of one part: it is read once.
  const origins = new Map<string, Promise<SumOrigin | undefined>>();
  const originFor = (ref: string) => {
    const from = ref === '' ? code : `${code}/${ref}`;
    const known = origins.get(from) ?? originOf(db, from);
    origins.set(from, known);
    return known;
  };
  return Promise.all(kept.map(async (one) => keptSumView(one, { code, touchLimit, origin: await originFor(one.ref) })));
}

function keptSumView(
  { id, ref, sum: name, typed, follows, answer }: KeptSum,
  { code, touchLimit, origin }: { code: string; touchLimit: number; origin: SumOrigin | undefined },
): KeptSumView {
  const sum = sumById(name);
  const from = ref === '' ? code : `${code}/${ref}`;
  if (!sum) return { id, title: name, ref, answer, href: routes.sums() };
  const filled = origin ? filledFrom(sum, origin) : {};
  const now = {
    ...typed,
    ...Object.fromEntries(follows.flatMap((field) => (filled[field] === undefined ? [] : [[field, filled[field]]]))),
  };
  const { worked } = workOut(sum, now, { touch: touchLimit });
  return {
    id,
    title: sum.title,
    ref,
    answer: worked?.answer ?? 'It cannot be worked out any more',
    ...(worked?.mark ? { mark: worked.mark } : {}),
    ...(worked?.answer === answer ? {} : { was: answer }),
    href: routes.sum(sum.id, { ...now, from }),
  };
}
