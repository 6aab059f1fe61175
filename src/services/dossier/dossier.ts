import type { RecordedOpeningStep } from '../../core/opening';
import type { Note } from '../../core/benchline';
import type { BoardFact, Donor } from '../../core/donor';
import type { Nameplate } from '../../core/nameplate';
import type { UnitHistory } from '../../core/safety';
import type { Queryable } from '../../db/client';
import { listBoardFacts } from '../../db/repositories/boardFacts';
import { donorOverview, type DonorOverview } from '../../db/repositories/donors';
import { listNotes } from '../../db/repositories/notes';
import { listOpeningSteps } from '../../db/repositories/openings';
import { listParts, type PartRecord } from '../../db/repositories/parts';
import { listPhotos, type PhotoWithPins } from '../../db/repositories/photos';
import { plateOf } from '../../db/repositories/plate';
import { unitHistory } from '../../db/repositories/power';
import { readSettings, type ShopSettings } from '../../db/repositories/settings';
import { listStores, type StoreWithReadings } from '../../db/repositories/stores';

/**
 * One donor with all that is kept of it. Each part of it is loaded when it is first asked for, and once: a request that
 * shows a donor opens one dossier and hands it to everything that looks at the donor.
 */
export interface Dossier {
  readonly db: Queryable;
  readonly donor: Donor;
  /** When it was opened, milliseconds since 1970. */
  readonly now: number;
  readonly plate: Nameplate;
  parts(): Promise<readonly PartRecord[]>;
  /** Stores of charge with their readings. */
  stores(): Promise<readonly StoreWithReadings[]>;
  /** Notes, questions and claims. */
  notes(): Promise<readonly Note[]>;
  openingSteps(): Promise<readonly RecordedOpeningStep[]>;
  /** What the meter said between pins, and what a person fixed. */
  boardFacts(): Promise<readonly BoardFact[]>;
  photos(): Promise<readonly PhotoWithPins[]>;
  /** When power was put to it and taken away, and when the meter was checked. */
  history(): Promise<UnitHistory>;
  settings(): Promise<ShopSettings>;
  /** What its station line shows, and what is not measured dead. */
  overview(): Promise<DonorOverview>;
}

/** Opens the dossier of a donor. What is written after something was asked for does not show in it: open another. */
export function openDossier(db: Queryable, donor: Donor, now: number): Dossier {
  const settings = once(() => readSettings(db));
  const history = once(() => unitHistory(db, donor.id));
  return {
    db,
    donor,
    now,
    plate: plateOf(donor),
    parts: once(() => listParts(db, donor.id)),
    stores: once(() => listStores(db, donor.id)),
    notes: once(() => listNotes(db, donor.id)),
    openingSteps: once(() => listOpeningSteps(db, donor.id)),
    boardFacts: once(() => listBoardFacts(db, donor.id)),
    photos: once(() => listPhotos(db, donor.id)),
    history,
    settings,
    overview: once(async () => {
      const [{ touchLimit }, past] = await Promise.all([settings(), history()]);
      return donorOverview(db, donor, { touchLimit, history: past });
    }),
  };
}

/** What is worked out of a dossier and asked for from several places of one request; it is worked out once. */
export function oncePerDossier<T>(load: (dossier: Dossier) => Promise<T>): (dossier: Dossier) => Promise<T> {
  const loaded = new WeakMap<Dossier, Promise<T>>();
  return (dossier) => {
    const known = loaded.get(dossier);
    if (known) return known;
    const fresh = load(dossier);
    loaded.set(dossier, fresh);
    return fresh;
  };
}

function once<T>(load: () => Promise<T>): () => Promise<T> {
  let loaded: Promise<T> | undefined;
  return () => (loaded ??= load());
}
