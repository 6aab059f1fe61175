import {
  CAPACITANCE_UPPER,
  FARTHEST_EXTRAPOLATION,
  fitDischarge,
  linkVoltages,
  storeState,
  type BankLink,
  type DischargeFit,
  type PowerHistory,
  type StoreState,
  type RecordedReading,
} from '../../../core/safety';
import type { StoreWithReadings } from '../../../db/repositories/stores';
import { holdOf, linksOf, type VoltageFacts } from '../../../services/dossier';

/** A store with all that its readings and its size come to. */
export interface Assessed {
  readonly entry: StoreWithReadings;
  readonly state: StoreState;
  readonly hold: { readonly volts: number; readonly why: string };
  /** The readings of the latest discharge. */
  readonly run: readonly RecordedReading[];
  readonly fit: DischargeFit;
  /** Volts to reckon with now: the last reading's upper bound, else what it may hold. */
  readonly present: number;
  /** Farads at the upper end of the tolerance. */
  readonly largest: number;
  /** Links of a series string; empty for a single capacitor. */
  readonly links: readonly BankLink[];
  readonly touchLimit: number;
}

/** Works out one store. */
export function assess(
  entry: StoreWithReadings,
  of: { voltages: VoltageFacts; touchLimit: number; power: PowerHistory },
): Assessed {
  const { store, readings } = entry;
  const { touchLimit, power } = of;
  const state = storeState(
    readings.map(({ voltageV, resolutionV, takenMs }) => ({
      voltage: voltageV,
      resolution: resolutionV,
      takenAt: takenMs,
    })),
    { touchLimit, power },
  );
  const hold = holdOf(store, of.voltages);
  const run = readings.filter((reading) => reading.run === readings.at(-1)?.run);
  const fit = fitDischarge(
    run.map(({ elapsedS, voltageV, resolutionV }) => ({ time: elapsedS, voltage: voltageV, resolution: resolutionV })),
  );
  const measured = state.kind === 'live' || state.kind === 'below-touch' || state.kind === 'measured-dead';
  return {
    entry,
    state,
    hold,
    run,
    fit,
    present: measured ? state.upper : hold.volts,
    largest: store.capacitanceF * CAPACITANCE_UPPER,
    links: linksOf(store),
    touchLimit,
  };
}

/** The time to a voltage, unless it lies so far off that it would be a guess. */
export function reliableTime(fit: DischargeFit, limit: number) {
  const found = fit.timeTo?.(limit);
  return found && found.spans <= FARTHEST_EXTRAPOLATION ? found : null;
}

/** What each link of a string may see when the whole holds what it may, with links past their rating told. */
export function stringShares({ links, hold }: Assessed) {
  if (links.length < 2) return [];
  return linkVoltages(links, hold.volts).map((share, index) => ({
    ...share,
    capacitance: links[index]?.capacitance ?? 0,
    overRated: share.worst > (links[index]?.ratedVoltage ?? Infinity),
  }));
}
