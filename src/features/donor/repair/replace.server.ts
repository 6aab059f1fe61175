import { VOLTS } from '../../../core/derating';
import { isRatingName, kindRule, safetyClassOf } from '../../../core/part';
import { filterText, lotTitle, type Demand } from '../../../core/stock';
import {
  combinations,
  factsOf,
  judgeSwap,
  together,
  toBuy,
  type Combination,
  type Companion,
  type Judgement,
  type PlaceFacts,
} from '../../../core/substitute';
import { ROLES } from '../../../core/diagnose';
import { formatQuantity } from '../../../core/quantity';
import type { UnitStress } from '../../../core/sense';
import { listBuilds } from '../../../db/repositories/builds';
import { candidateLots } from '../../../db/repositories/lotSearch';
import { findPart, searchPartsOnBoards, type PartRecord } from '../../../db/repositories/parts';
import type { Ratings } from '../../../db/repositories/ratings';
import { routes } from '../../../routes';
import {
  donorStress,
  partRoles,
  placeStress,
  tracedBoard,
  tracedReading,
  type PlaceStress,
} from '../../../services/board';
import type { Dossier } from '../../../services/dossier';
import { donorOdds } from '../../../services/matching';

/** What may take the place of a part, and how well. */
export interface Candidate {
  readonly title: string;
  /** Where it is: a lot with its bin, or a part on a board. */
  readonly where: string;
  readonly href: string;
  /** The lot it is taken from; none while it is still on a board. */
  readonly lot?: string;
  readonly judgement: Judgement;
}

/** Two parts that together may take the place. */
export interface Pair extends Pick<Combination, 'way' | 'drawbacks'> {
  readonly titles: readonly string[];
  readonly why: string;
}

export interface ReplaceView {
  readonly ref: string;
  readonly title: string;
  readonly place: string;
  /** It was replaced already: the part that sits there is another. */
  readonly isReplaced: boolean;
  readonly pairs: readonly Pair[];
  readonly candidates: readonly Candidate[];
  /** Those that must not take it. */
  readonly refused: readonly Candidate[];
  /** Unopened units that likely hold one that stands as much. */
  readonly likely: readonly { readonly code: string; readonly title: string; readonly message: string }[];
  /** Builds that it may be written down for, with the need that it makes. */
  readonly builds: readonly { readonly title: string; readonly href: string }[];
  readonly also: readonly Companion[];
  readonly buy: string;
}

const MOST = 300;
const SHOWN = 12;
/** Lots that are tried in pairs. */
const PAIRED = 60;
/** Unopened units that are named. */
const LIKELY = 3;
/** Builds that a need may be written down for. */
const BUILDS = 6;

/** That a part stands the volts of another; nothing where those are not known. */
function asMuch({ part, ratings }: PartRecord): readonly Demand[] {
  const rating = VOLTS[part.kind];
  const own = rating !== undefined && isRatingName(rating) ? ratings[rating] : undefined;
  return rating !== undefined && isRatingName(rating) && own
    ? [{ rating, comparison: 'at-least', value: own.value }]
    : [];
}

/** What a part asks of the drawers, with what its place puts on it: in the words of a need. */
function needOf(record: PartRecord, { voltage, current, ripple, frequency }: PlaceStress): string {
  const { part, ratings } = record;
  const word = kindRule(part.kind).words[0] ?? part.kind;
  const main = (['capacitance', 'resistance', 'inductance'] as const).find((rating) => ratings[rating]);
  const value = main && ratings[main]?.value;
  const duty = {
    ...(voltage === undefined ? {} : { voltage }),
    ...(current === undefined ? {} : { current }),
    ...(ripple === undefined ? {} : { ripple }),
    ...(frequency === undefined ? {} : { frequency }),
  };
  return filterText({
    kind: { says: word, words: part.subtype ?? word, kinds: [part.kind] },
    demands: [
      ...(main && value !== undefined ? [{ rating: main, comparison: 'about' as const, value, within: 0.2 }] : []),
      ...asMuch(record),
    ],
    ...(Object.keys(duty).length > 0 ? { duty } : {}),
    words: [],
  });
}

/** How a lot of the drawers would do in the place of a part; undefined where there is no such part or lot. */
export async function judgeLotFor(dossier: Dossier, ref: string, lotCode: string): Promise<Judgement | undefined> {
  const view = await replaceView(dossier, ref);
  return [...(view?.candidates ?? []), ...(view?.refused ?? [])].find(({ lot }) => lot === lotCode)?.judgement;
}

/** A can from so many volts on stands at the mains. */
const BULK_FROM = 160;

const valuesOf = (ratings: Ratings) =>
  Object.fromEntries(Object.entries(ratings).flatMap(([name, one]) => (one ? [[name, one.value] as const] : [])));

/** What a part is there for, by the words that the traced board or a person has for it. */
const DUTY_BY_ROLE: Readonly<Record<string, string>> = {
  [ROLES.mainSwitch.label]: 'main-switch',
  [ROLES.pfcSwitch.label]: 'pfc-switch',
  [ROLES.pfcDiode.label]: 'pfc-diode',
  [ROLES.standbySwitch.label]: 'standby-switch',
  [ROLES.outputRectifier.label]: 'output-rectifier',
  [ROLES.syncFet.label]: 'sync-rectifier',
  [ROLES.bulk.label]: 'bulk',
};

/** What a part is there for, as far as the board, its kind, its ratings and what a person said of it tell; and what it is put under. */
function placeOf(
  { part, ratings }: PartRecord,
  { input, topology: main }: UnitStress,
  { stage, isStaged }: { readonly stage: string | undefined; readonly isStaged: boolean },
  role: string | undefined,
  stress: PlaceStress,
): PlaceFacts {
  const duty = (): string | undefined => {
    const traced = role === undefined ? undefined : DUTY_BY_ROLE[role];
    if (traced) return traced;
    if (part.duty === 'sense') return 'sense-resistor';
    if (part.duty === 'snubber' || part.duty === 'clamp') return 'snubber-capacitor';
    if (part.kind === 'nmos' || part.kind === 'igbt')
      return part.block === 'standby' ? 'standby-switch' : 'main-switch';
    if (part.kind === 'dual-diode' || (part.kind === 'diode' && part.block === 'secondary')) return 'output-rectifier';
    if (part.kind === 'bridge') return 'mains-bridge';
    if (part.kind === 'ic') return 'controller';
    if (part.kind !== 'capacitor' || safetyClassOf(part.subtype)) return undefined;
    if (part.subtype !== 'electrolytic' && part.subtype !== 'polymer') return undefined;
    return (ratings.voltage?.value ?? 0) >= BULK_FROM ? 'bulk' : 'output-capacitor';
  };
  // A part that is in none of the stages that are known is not put into the main one.
  const topology = stage ?? (isStaged ? undefined : main);
  const its = duty();
  return {
    ...(its ? { duty: its } : {}),
    ...(topology ? { topology } : {}),
    ...(input?.kind === 'ac' ? { mains: input.volts } : {}),
    ...(Object.keys(stress).length > 0 ? { stress: { ...stress } } : {}),
  };
}

const STRESS_WORDS = { voltage: 'volt', current: 'ampere', ripple: 'ampere', frequency: 'hertz' } as const;
const stressWords = (stress: PlaceStress): string => {
  const told = (Object.keys(STRESS_WORDS) as (keyof PlaceStress)[]).flatMap((name) =>
    stress[name] === undefined ? [] : [`${name} ${formatQuantity(stress[name], STRESS_WORDS[name])}`],
  );
  return told.length === 0 ? '' : `under ${told.join(', ')} as its board runs`;
};

/** Lots of the drawers and parts on other boards that may take a part's place; undefined where the unit has no such part. */
export async function replaceView(dossier: Dossier, ref: string): Promise<ReplaceView | undefined> {
  const { db, donor } = dossier;
  const record = await findPart(db, donor.id, ref.toUpperCase());
  if (!record) return undefined;
  const { part } = record;
  const { label } = kindRule(part.kind);
  const filter = { kind: { says: label, words: label, kinds: [part.kind] }, demands: [], words: [] };
  const [stress, { stageOf }, roles, put, board, lots, onBoards, likely, builds] = await Promise.all([
    donorStress(dossier),
    tracedReading(dossier),
    partRoles(dossier),
    placeStress(dossier, part.ref),
    tracedBoard(dossier, false),
    candidateLots(db, filter, MOST),
    searchPartsOnBoards(db, filter, MOST),
    donorOdds(db)({ ...filter, demands: asMuch(record) }, LIKELY),
    listBuilds(db, BUILDS),
  ]);
  // A run that puts more on a part than it is rated for rests on a value that is off: it says so, and judges nobody.
  const rated = record.ratings.vds?.value ?? record.ratings.vrrm?.value ?? record.ratings.voltage?.value;
  const isOver = put.voltage !== undefined && rated !== undefined && put.voltage > rated;
  const { voltage: _, ...rest } = put;
  const trusted = isOver ? rest : put;
  const failed = factsOf({ ...part, ratings: valuesOf(record.ratings) });
  const place = placeOf(
    record,
    stress,
    { stage: stageOf.get(part.ref), isStaged: stageOf.size > 0 },
    roles.get(part.ref),
    trusted,
  );
  const judged = (of: Parameters<typeof factsOf>[0]) => judgeSwap({ failed, place, candidate: factsOf(of) });
  const free = lots.filter(({ lot }) => lot.onHand > lot.reserved);
  const inDrawers = free.map(({ lot, bin, ratings }) => ({
    title: lotTitle({ kind: lot.kind, marking: lot.marking, ratings }),
    where: `${lot.code}, bin ${bin}, ${lot.onHand - lot.reserved} free`,
    href: routes.lot(lot.code),
    lot: lot.code,
    facts: factsOf({
      ...lot,
      limits: lot.limits.length > 0 ? lot.gradeReason || 'it has limits' : '',
      ratings: valuesOf(ratings),
    }),
    free: lot.onHand - lot.reserved,
  }));
  const found: Candidate[] = [
    ...inDrawers.map(({ facts, free: _, ...one }) => ({
      ...one,
      judgement: judgeSwap({ failed, place, candidate: facts }),
    })),
    ...onBoards
      .filter(({ part: other }) => other.donorId !== donor.id && other.damage.length === 0)
      .map(({ part: other, donorCode, ratings }) => ({
        title: lotTitle({ kind: other.kind, marking: other.marking ?? '', ratings }),
        where: `${other.ref} of ${donorCode}, still on its board`,
        href: routes.station(donorCode, 'harvest'),
        judgement: judged({ ...other, ratings: valuesOf(ratings) }),
      })),
  ];
  const order = { good: 0, limits: 1, no: 2 } as const;
  const sorted = found.toSorted((a, b) => order[a.judgement.verdict] - order[b.judgement.verdict]);
  return {
    ref: part.ref,
    title: lotTitle({ kind: part.kind, marking: part.marking ?? '', ratings: record.ratings }),
    place: [
      place.duty?.replaceAll('-', ' '),
      place.topology && `in a ${place.topology.replaceAll('-', ' ')}`,
      place.mains && `on ${Math.round(place.mains)} V mains`,
      stressWords(trusted),
      isOver
        ? `more volts than it is rated for as its board runs (${formatQuantity(put.voltage ?? 0, 'volt')}): a value or the clamp is off, so they do not count`
        : '',
    ]
      .filter(Boolean)
      .join(', '),
    isReplaced: part.fitments.includes('replaced'),
    // Two in the place of one are thought of where no single one does.
    pairs: sorted.some(({ judgement }) => judgement.verdict === 'good')
      ? []
      : combinations({ failed, place }, inDrawers.slice(0, PAIRED)).map(({ way, of, judgement, drawbacks }) => ({
          way,
          drawbacks,
          why: judgement.why,
          titles: of.map((index) => {
            const one = inDrawers[index];
            return one ? `${one.title} of ${one.lot}` : '';
          }),
        })),
    candidates: sorted.filter(({ judgement }) => judgement.verdict !== 'no').slice(0, SHOWN),
    refused: sorted.filter(({ judgement }) => judgement.verdict === 'no').slice(0, SHOWN),
    likely: likely.map(({ code, title, held, opened, odds }) => ({
      code,
      title,
      message: `${held} of ${opened} opened like it held one: ${odds.toFixed(1)} likely`,
    })),
    builds: builds.map(({ build: { code, title } }) => ({
      title,
      href: routes.build(code, { role: `${part.ref} of ${donor.code}`, need: needOf(record, trusted) }),
    })),
    also: together({ kind: part.kind, ...(place.duty ? { duty: place.duty } : {}) }, { board, ref: part.ref }),
    buy: toBuy(failed, place).replace(part.kind, label),
  };
}
