import { kindRule, safetyClassOf } from '../../../core/part';
import { lotTitle } from '../../../core/stock';
import {
  factsOf,
  judgeSwap,
  together,
  toBuy,
  type Companion,
  type Judgement,
  type PlaceFacts,
} from '../../../core/substitute';
import type { UnitStress } from '../../../core/sense';
import { candidateLots } from '../../../db/repositories/lotSearch';
import { findPart, searchPartsOnBoards, type PartRecord } from '../../../db/repositories/parts';
import type { Ratings } from '../../../db/repositories/ratings';
import { routes } from '../../../routes';
import { donorStress, tracedBoard } from '../../../services/board';
import type { Dossier } from '../../../services/dossier';

/** What may take the place of a part, and how well. */
export interface Candidate {
  readonly title: string;
  /** Where it is: a lot with its bin, or a part on a board. */
  readonly where: string;
  readonly href: string;
  readonly judgement: Judgement;
}

export interface ReplaceView {
  readonly ref: string;
  readonly title: string;
  readonly place: string;
  readonly candidates: readonly Candidate[];
  /** Those that must not take it. */
  readonly refused: readonly Candidate[];
  readonly also: readonly Companion[];
  readonly buy: string;
}

const MOST = 300;
const SHOWN = 12;
/** A can from so many volts on stands at the mains. */
const BULK_FROM = 160;

const valuesOf = (ratings: Ratings) =>
  Object.fromEntries(Object.entries(ratings).flatMap(([name, one]) => (one ? [[name, one.value] as const] : [])));

/** What a part is there for, as far as its kind, its ratings and what a person said of it tell. */
function placeOf({ part, ratings }: PartRecord, { input, topology }: UnitStress): PlaceFacts {
  const duty = (): string | undefined => {
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
  const its = duty();
  return {
    ...(its ? { duty: its } : {}),
    ...(topology ? { topology } : {}),
    ...(input?.kind === 'ac' ? { mains: input.volts } : {}),
  };
}

/** Lots of the drawers and parts on other boards that may take a part's place; undefined where the unit has no such part. */
export async function replaceView(dossier: Dossier, ref: string): Promise<ReplaceView | undefined> {
  const { db, donor } = dossier;
  const record = await findPart(db, donor.id, ref.toUpperCase());
  if (!record) return undefined;
  const { part } = record;
  const { label } = kindRule(part.kind);
  const filter = { kind: { says: label, words: label, kinds: [part.kind] }, demands: [], words: [] };
  const [stress, board, lots, onBoards] = await Promise.all([
    donorStress(dossier),
    tracedBoard(dossier, false),
    candidateLots(db, filter, MOST),
    searchPartsOnBoards(db, filter, MOST),
  ]);
  const failed = factsOf({ ...part, ratings: valuesOf(record.ratings) });
  const place = placeOf(record, stress);
  const judged = (of: Parameters<typeof factsOf>[0]) => judgeSwap({ failed, place, candidate: factsOf(of) });
  const found: Candidate[] = [
    ...lots
      .filter(({ lot }) => lot.onHand > lot.reserved)
      .map(({ lot, bin, ratings }) => ({
        title: lotTitle({ kind: lot.kind, marking: lot.marking, ratings }),
        where: `${lot.code}, bin ${bin}, ${lot.onHand - lot.reserved} free`,
        href: routes.lot(lot.code),
        judgement: judged({
          ...lot,
          limits: lot.limits.length > 0 ? lot.gradeReason || 'it has limits' : '',
          ratings: valuesOf(ratings),
        }),
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
    ]
      .filter(Boolean)
      .join(', '),
    candidates: sorted.filter(({ judgement }) => judgement.verdict !== 'no').slice(0, SHOWN),
    refused: sorted.filter(({ judgement }) => judgement.verdict === 'no').slice(0, SHOWN),
    also: together({ kind: part.kind, ...(place.duty ? { duty: place.duty } : {}) }, { board, ref: part.ref }),
    buy: toBuy(failed, place).replace(part.kind, label),
  };
}
