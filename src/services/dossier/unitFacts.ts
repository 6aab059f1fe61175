import { judgeNameplate, outputPower, supplyOf, type Nameplate, type NameplateJudgement } from '../../core/nameplate';
import { SEAMS } from '../../core/opening';
import {
  cautionsFor,
  mayHold,
  parseBank,
  type Hold,
  type CautionFacts,
  type UnitCaution,
  type Store,
} from '../../core/safety';
import { UNIT_KINDS } from '../../core/unit';
import type { PartRecord } from '../../db/repositories/parts';
import { ageOf } from '../../db/repositories/plate';
import type { StoreWithReadings } from '../../db/repositories/stores';
import type { Dossier } from './dossier';

/** What the plate of a donor says of the voltages inside it. */
export interface VoltageFacts {
  readonly judged: NameplateJudgement;
  readonly input: 'ac' | 'dc' | undefined;
  readonly highestOutput: number | undefined;
}

/** Everything about a unit that its cautions, its stores and the advice rest on. */
export interface UnitRecord {
  readonly parts: readonly PartRecord[];
  readonly stores: readonly StoreWithReadings[];
  readonly year: number | undefined;
  readonly voltages: VoltageFacts;
  readonly fedFromMains: boolean;
  readonly cautions: readonly UnitCaution[];
}

/** The voltages that a plate lets expect. */
export function voltagesOf(plate: Nameplate): VoltageFacts {
  const outputs = plate.outputs.filter((output) => outputPower(output) !== undefined || output.v !== 0);
  const highest = Math.max(...outputs.map(({ v, vMax }) => Math.abs(vMax ?? v)));
  return {
    judged: judgeNameplate(plate),
    input: supplyOf(plate)?.kind,
    highestOutput: Number.isFinite(highest) ? highest : undefined,
  };
}

/** The highest voltage a store may hold before it is read, with the reason. */
export function holdOf(store: Store, { judged, input, highestOutput }: VoltageFacts): Hold {
  return mayHold({
    ...judged,
    input,
    highestOutput,
    role: store.role,
    source: store.holdSource,
    userVoltage: store.holdV ?? undefined,
    ratedVoltage: store.ratedV ?? undefined,
    ratedInAc: store.ratedAc,
  });
}

/** Links of the series string that a store is made of: one when it stands alone. */
export function linksOf({ bank }: Pick<Store, 'bank'>) {
  const read = bank === '' ? undefined : parseBank(bank);
  return read?.ok ? read.bank.links : [];
}

/** Loads what is known of a unit, with the cautions that follow from it. */
export async function unitRecord(dossier: Dossier): Promise<UnitRecord> {
  const { donor, now } = dossier;
  const [parts, stores, steps, notes] = await Promise.all([
    dossier.parts(),
    dossier.stores(),
    dossier.openingSteps(),
    dossier.notes(),
  ]);
  const year = ageOf(
    donor,
    parts.map(({ part }) => part),
    now,
  ).newest?.year;
  const voltages = voltagesOf(dossier.plate);
  const facts: CautionFacts = {
    kind: donor.kind,
    description: `${donor.description} ${donor.symptom}`,
    fedFromMains: voltages.input === undefined ? UNIT_KINDS[donor.kind].fedBy === 'mains' : voltages.input === 'ac',
    stores: stores.map(({ store }) => {
      const { volts } = holdOf(store, voltages);
      return {
        role: store.role,
        ...(volts === undefined ? {} : { mayHold: volts }),
        links: Math.max(1, linksOf(store).length),
      };
    }),
    parts: parts.flatMap(({ part }) => [part.package ?? '', part.marking ?? '', part.subtype ?? '', part.kind]),
    opening: [
      ...steps.flatMap(({ seam, method, place, kept }) => [seam, SEAMS[seam].label, method, place, kept]),
      ...notes.flatMap(({ station, text }) => (station === 'open' ? [text] : [])),
    ],
    year,
  };
  return { parts, stores, year, voltages, fedFromMains: facts.fedFromMains, cautions: cautionsFor(facts) };
}
