import {
  CAPACITANCE_UPPER,
  FARTHEST_EXTRAPOLATION,
  fitDischarge,
  linkVoltages,
  storeState,
  type BankLink,
  type DischargeFit,
  type Hold,
  type UnitHistory,
  type StoreState,
  type RecordedReading,
} from '../../../core/safety';
import type { StoreWithReadings } from '../../../db/repositories/stores';
import { holdOf, linksOf, type VoltageFacts } from '../../../services/dossier';

/** A store with all that its readings and its size come to. */
export interface Assessed {
  readonly entry: StoreWithReadings;
  readonly state: StoreState;
  readonly hold: Hold;
  /** The readings of the latest discharge. */
  readonly run: readonly RecordedReading[];
  readonly fit: DischargeFit;
  /** Volts to reckon with now: the last reading's upper bound, else what it may hold; none where nothing bounds it. */
  readonly present: number | undefined;
  /** The highest voltage read since power last went, or what to reckon with now if that is more. */
  readonly highest: number | undefined;
  /** Farads at the upper end of the tolerance; 0 where they are not known. */
  readonly largest: number;
  /** Links of a series string; empty for a single capacitor. */
  readonly links: readonly BankLink[];
  readonly touchLimit: number;
}

/** Works out one store. */
export function assess(
  entry: StoreWithReadings,
  of: { voltages: VoltageFacts; touchLimit: number; history: UnitHistory },
): Assessed {
  const { store, readings } = entry;
  const { touchLimit, history } = of;
  const state = storeState(
    readings.map(({ voltageV, resolutionV, takenMs, toolOhm }) => ({
      voltage: voltageV,
      resolution: resolutionV,
      takenAt: takenMs,
      toolOn: toolOhm !== null,
    })),
    { touchLimit, history },
  );
  const hold = holdOf(store, of.voltages);
  const run = readings.filter((reading) => reading.run === readings.at(-1)?.run);
  const fit = fitDischarge(
    run.map(({ elapsedS, voltageV, resolutionV }) => ({ time: elapsedS, voltage: voltageV, resolution: resolutionV })),
  );
  const counting = readings.filter(({ takenMs }) => takenMs >= (history.appliedAt ?? -Infinity));
  const measured = state.kind === 'live' || state.kind === 'below-touch' || state.kind === 'measured-dead';
  const present = measured ? state.upper : hold.volts;
  return {
    entry,
    state,
    hold,
    run,
    fit,
    present,
    highest:
      present === undefined ? undefined : Math.max(present, ...counting.map(({ voltageV }) => Math.abs(voltageV))),
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
  if (links.length < 2 || hold.volts === undefined) return [];
  return linkVoltages(links, hold.volts).map((share, index) => ({
    ...share,
    capacitance: links[index]?.capacitance ?? 0,
    overRated: share.worst > (links[index]?.ratedVoltage ?? Infinity),
  }));
}
