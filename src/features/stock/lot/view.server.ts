import 'server-only';
import { dayOf } from '../../../ui/value/moments';
import { limitText } from '../../../core/measure';
import { isUncertain, type Evidenced } from '../../../core/evidence';
import { kindRule, RATINGS, type RatingName } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { apartInValue, lotTitle } from '../../../core/stock';
import type { Queryable } from '../../../db/client';
import type { AppContext } from '../../../db/context';
import { findLot, likeLots, type LotRow } from '../../../db/repositories/lotSearch';
import { lotLedger } from '../../../db/repositories/lots';
import { needsMetBy, openNeeds } from '../../../services/matching';
import { REASON } from './ledgerWords';
import { lotPicture } from './lotPhoto';

/** Lots that could be joined with one: so many are looked at, and so many shown. */
const LIKE_LOOKED_AT = 200;
const LIKE_SHOWN = 12;

/** One lot in full: ratings with evidence, why its grade, who wants it, where it has been. */
export async function lotView({ db }: AppContext, code: string) {
  const row = await findLot(db.read, code.toUpperCase());
  if (!row) return undefined;
  const { lot, bin, donorCode, partRef, ratings } = row;
  const [ledger, wanted, like, picture] = await Promise.all([
    lotLedger(db.read, lot.id),
    wantedBy(db.read, row),
    likeLots(db.read, lot, LIKE_LOOKED_AT),
    lotPicture(db.read, row),
  ]);
  const doubtful = (Object.entries(ratings) as [RatingName, Evidenced][]).filter(
    ([name, rating]) => RATINGS[name].unit === 'volt' && RATINGS[name].better === 'higher' && isUncertain(rating),
  );
  return {
    code: lot.code,
    title: lotTitle({ ...lot, ratings }),
    kind: kindRule(lot.kind).label,
    subtitle: [kindRule(lot.kind).label, lot.subtype ?? lot.technology, lot.package].filter(Boolean).join(', '),
    grade: lot.grade,
    gradeReason: lot.gradeReason,
    onHand: lot.onHand,
    reserved: lot.reserved,
    bin,
    picture,
    donor: donorCode === null ? null : { code: donorCode, ref: partRef },
    ratingNames: Object.keys(ratings) as RatingName[],
    ratings: kindRule(lot.kind)
      .ratings.filter((name) => ratings[name])
      .map((name) => ({
        label: RATINGS[name].label,
        value: formatQuantity(ratings[name]?.value ?? 0, RATINGS[name].unit),
        evidence: ratings[name]?.source ?? '',
      })),
    /** Of what may be used whole. */
    fittings: lot.kind === 'assembly' ? lot.fittings : undefined,
    limits: lot.limits.map(limitText),
    uncertainties: doubtful.map(
      ([name, { value }]) =>
        `${RATINGS[name].label[0]?.toUpperCase()}${RATINGS[name].label.slice(1)} rests on the marking alone: use it up to ${formatQuantity(value / 2, RATINGS[name].unit)} until a datasheet is read.`,
    ),
    wanted,
    like: like
      .filter((other) => apartInValue({ kind: lot.kind, ratings }, other) === undefined)
      .slice(0, LIKE_SHOWN)
      .map((other) => ({ code: other.lot.code, bin: other.bin, pieces: other.lot.onHand })),
    ledger: ledger.map(({ id, atMs, onHandDelta, reservedDelta, reason, note, build }) => ({
      id,
      day: dayOf(atMs),
      message: [REASON[reason] ?? reason, build ? `for ${build.title}` : note].filter((part) => part !== '').join(': '),
      change: signed(onHandDelta !== 0 ? onHandDelta : reservedDelta),
      build: build?.code ?? null,
    })),
  };
}

export type LotView = NonNullable<Awaited<ReturnType<typeof lotView>>>;

function signed(value: number): string {
  if (value === 0) return '';
  return value < 0 ? `−${-value}` : `+${value}`;
}

/** Open needs of builds that this lot fills, with how well. */
async function wantedBy(db: Queryable, { lot, ratings }: LotRow) {
  return needsMetBy(await openNeeds(db), { ...lot, ratings }).map(({ open: { build, need }, match }) => ({
    build: build.code,
    title: build.title,
    role: need.role,
    verdict: match.verdict,
    margin: match.margin ?? null,
  }));
}
