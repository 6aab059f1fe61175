import { judgeNameplate, parseNameplate } from '../../../core/nameplate';
import { formatDuration, formatQuantity } from '../../../core/quantity';
import {
  bleedThrough,
  CAPACITANCE_UPPER,
  dischargeWarningText,
  FARTHEST_EXTRAPOLATION,
  fitDischarge,
  hazardBand,
  mayHold,
  METER_LIMIT,
  REBOUND_SHARE,
  SOLDER_LIMIT,
  storedEnergy,
  storeState,
  suggestBleed,
  TOUCH_LIMIT_DC,
  type DischargeFit,
  type StoreState,
} from '../../../core/safety';
import { bench } from '../../../db/bench';
import type { Donor } from '../../../db/repositories/donors';
import { listStores, type StoreReadingRow, type StoreWithReadings } from '../../../db/repositories/stores';
import { agoOf, clockOf } from './words';

const volts = (value: number) => formatQuantity(value, 'volt');
const ROLE = { bulk: 'bulk', filter: 'filter', other: 'store' } as const;

export interface StoreCard {
  readonly name: string;
  readonly role: string;
  readonly size: string;
  readonly selected: boolean;
  readonly dead: boolean;
  readonly href: string;
  readonly facts: readonly { label: string; value: string }[];
}

export interface DischargeChart {
  /** Seconds and volts as read. */
  readonly points: readonly { time: number; volts: number }[];
  /** The fit and its 95 % band, when one holds. */
  readonly curve: readonly { time: number; volts: number; low: number; high: number }[];
  readonly limit: number;
  readonly crossing: { readonly time: number; readonly says: string } | null;
}

export interface SafetyView {
  readonly cards: readonly StoreCard[];
  readonly selected: {
    readonly name: string;
    readonly heading: string;
    readonly last: { readonly number: string; readonly says: string } | null;
    readonly readings: readonly { time: string; reading: string; offFit: string }[];
    readonly chart: DischargeChart | null;
  } | null;
  readonly claim: { readonly text: string; readonly stop: boolean };
  readonly hazard: { readonly weight: 'danger' | 'check' | 'note' | 'ok'; readonly text: string } | null;
  readonly says: readonly string[];
  readonly next: string;
  readonly tool: { readonly says: string; readonly start: number; readonly capacitance: number } | null;
}

/** The stores of a donor, the discharge of one of them, and whether it can hurt now. */
export async function safetyView(donor: Donor, wanted: string | undefined): Promise<SafetyView> {
  const { db, now } = bench();
  const stores = await listStores(db.read, donor.id);
  const plate = parseNameplate(donor.nameplate);
  const judged = judgeNameplate(plate);
  const known = stores.map((entry) => assess(entry, { ...judged, input: plate.input?.kind }));
  const open = known.filter(({ state }) => state.kind !== 'measured-dead');
  const chosen = known.find(({ entry }) => entry.store.name === wanted?.toUpperCase()) ?? open[0] ?? known[0];
  const cards = known.map((store) => card(store, donor.code, store === chosen, now()));
  if (!chosen) return NOTHING_LISTED;
  return {
    cards,
    selected: {
      name: chosen.entry.store.name,
      heading: `Readings on ${chosen.entry.store.name}${chosen.entry.store.bleedOhm === null ? '' : `, bled by ${formatQuantity(chosen.entry.store.bleedOhm, 'ohm')}`}`,
      last: lastReading(chosen.run, now()),
      readings: readingRows(chosen),
      chart: chartOf(chosen),
    },
    claim: claimOf(chosen),
    hazard: hazardOf(chosen),
    says: fitSays(chosen),
    next: nextStep(chosen, open),
    tool: toolOf(chosen),
  };
}

const NOTHING_LISTED: SafetyView = {
  cards: [],
  selected: null,
  claim: { text: 'Assume that it can. No store is listed yet', stop: true },
  hazard: null,
  says: [],
  next: 'List every capacitor that can hold charge, the mains reservoir first. Then unplug it, wait, and read each one.',
  tool: null,
};

interface Assessed {
  readonly entry: StoreWithReadings;
  readonly state: StoreState;
  readonly hold: { readonly volts: number; readonly why: string };
  readonly run: readonly StoreReadingRow[];
  readonly fit: DischargeFit;
  /** Volts to reckon with now: the last reading's upper bound, else what it may hold. */
  readonly present: number;
  readonly largest: number;
}

function assess(
  entry: StoreWithReadings,
  plate: {
    highestBulkVoltage?: number | undefined;
    ratedPower?: number | undefined;
    input?: 'ac' | 'dc' | undefined;
  },
): Assessed {
  const { store, readings } = entry;
  const state = storeState(
    readings.map(({ voltageV, resolutionV, takenMs }) => ({
      voltage: voltageV,
      resolution: resolutionV,
      takenAt: takenMs,
    })),
  );
  const hold = mayHold({ ...plate, role: store.role, ratedVoltage: store.ratedV ?? undefined });
  const run = readings.filter((reading) => reading.run === readings.at(-1)?.run);
  const fit = fitDischarge(
    run.map(({ elapsedS, voltageV, resolutionV }) => ({ time: elapsedS, voltage: voltageV, resolution: resolutionV })),
  );
  return {
    entry,
    state,
    hold,
    run,
    fit,
    present: state.kind === 'never-measured' ? hold.volts : state.upper,
    largest: store.capacitanceF * CAPACITANCE_UPPER,
  };
}

function card({ entry, state, hold, run, largest }: Assessed, code: string, selected: boolean, now: number): StoreCard {
  const { store } = entry;
  const last = run.at(-1);
  return {
    name: store.name,
    role: ROLE[store.role],
    size: [
      formatQuantity(store.capacitanceF, 'farad'),
      ...(store.ratedV === null ? [] : [formatQuantity(store.ratedV, 'volt')]),
    ].join(', '),
    selected,
    dead: state.kind === 'measured-dead',
    href: `/donors/${code}/make-safe?store=${store.name}`,
    facts: [
      { label: 'may hold', value: volts(hold.volts) },
      {
        label: 'energy up to',
        value: formatQuantity(storedEnergy({ capacitance: largest, voltage: hold.volts }), 'joule', { digits: 2 }),
      },
      { label: 'bleed path', value: store.bleedOhm === null ? 'none known' : formatQuantity(store.bleedOhm, 'ohm') },
      {
        label: state.kind === 'measured-dead' ? 'measured dead' : 'last reading',
        value: !last
          ? 'never read'
          : state.kind === 'measured-dead'
            ? `${volts(last.voltageV)}, ${clockOf(last.takenMs)}`
            : `${volts(last.voltageV)}, ${agoOf(last.takenMs, now)}`,
      },
    ],
  };
}

function lastReading(run: readonly StoreReadingRow[], now: number) {
  const last = run.at(-1);
  if (!last) return null;
  const printed = formatQuantity(last.voltageV, 'volt', { resolution: last.resolutionV });
  return { number: printed, says: `${clockOf(last.takenMs)}, ${agoOf(last.takenMs, now)}` };
}

function readingRows({ run, fit }: Assessed) {
  return run.map(({ elapsedS, voltageV, resolutionV }, index) => {
    const off = fit.model === 'exponential' ? (fit.residuals[index] ?? 0) : undefined;
    return {
      time: `${Number(elapsedS.toFixed(1))} s`,
      reading: formatQuantity(voltageV, 'volt', { resolution: resolutionV }),
      offFit: off === undefined ? '' : `${off < 0 ? '−' : '+'}${Math.abs(off).toFixed(1)} V`,
    };
  });
}

/** Steps along the curve that is drawn. */
const CURVE_STEPS = 40;

function chartOf({ run, fit }: Assessed): DischargeChart | null {
  if (run.length < 2) return null;
  const points = run.map(({ elapsedS, voltageV }) => ({ time: elapsedS, volts: voltageV }));
  const { voltageAt } = fit;
  const crossing = reliableTime(fit, TOUCH_LIMIT_DC.volts);
  const end = Math.max(points.at(-1)?.time ?? 0, (crossing?.latest ?? 0) * 1.25);
  return {
    points,
    curve: voltageAt
      ? Array.from({ length: CURVE_STEPS + 1 }, (_, step) => {
          const time = (end * step) / CURVE_STEPS;
          const { fit: center, low, high } = voltageAt(time);
          return { time, volts: center, low, high };
        })
      : [],
    limit: TOUCH_LIMIT_DC.volts,
    crossing: crossing && crossing.time > 0 ? { time: crossing.time, says: formatDuration(crossing.time) } : null,
  };
}

/** The time to a voltage, unless it lies so far off that it would be a guess. */
function reliableTime(fit: DischargeFit, limit: number) {
  const found = fit.timeTo?.(limit);
  return found && found.spans <= FARTHEST_EXTRAPOLATION ? found : null;
}

function claimOf({ entry, state, hold, run, fit }: Assessed): SafetyView['claim'] {
  const { name } = entry.store;
  if (state.kind === 'never-measured')
    return { text: `Assume yes. ${name} was never read and may hold ${volts(hold.volts)}`, stop: true };
  const last = volts(run.at(-1)?.voltageV ?? state.last.voltage);
  if (state.kind === 'live') {
    const crossing = reliableTime(fit, TOUCH_LIMIT_DC.volts);
    const when = crossing ? `, under ${volts(TOUCH_LIMIT_DC.volts)} at about ${formatDuration(crossing.time)}` : '';
    return { text: `Yes. ${name} had ${last} at the last reading${when}`, stop: true };
  }
  return state.reboundChecked
    ? { text: `${name} is measured dead: ${last}, and it did not recover`, stop: false }
    : { text: `${name} is measured dead: ${last} at the last reading`, stop: false };
}

function hazardOf({ present, largest, state }: Assessed): SafetyView['hazard'] {
  if (state.kind === 'measured-dead' && state.reboundChecked) return null;
  const energy = storedEnergy({ capacitance: largest, voltage: present });
  const band = hazardBand({ voltage: present, energy, capacitance: largest });
  const weight = band.severity === 'warn' ? 'check' : band.severity;
  return {
    weight,
    text: `${volts(present)} and ${formatQuantity(energy, 'joule', { digits: 2 })}: ${band.title}. ${band.instruction}`,
  };
}

function fitSays({ entry, run, fit }: Assessed): string[] {
  if (run.length === 0) return [];
  const says: string[] = [];
  const { tau, tauLow, tauHigh } = fit;
  if (tau !== undefined && tauLow !== undefined && tauHigh !== undefined) {
    const seconds = (value: number) => formatQuantity(value, 'second');
    says.push(`Time constant ${seconds(tau)}, between ${seconds(tauLow)} and ${seconds(tauHigh)} (95 %).`);
    const { bleedOhm, capacitanceF } = entry.store;
    if (bleedOhm !== null)
      says.push(
        `Through ${formatQuantity(bleedOhm, 'ohm')} that is ${formatQuantity(tau / bleedOhm, 'farad', { digits: 2 })}; ${formatQuantity(capacitanceF, 'farad')} is printed.`,
      );
    const crossing = reliableTime(fit, TOUCH_LIMIT_DC.volts);
    if (crossing && crossing.latest > (run.at(-1)?.elapsedS ?? 0))
      says.push(
        `Under ${volts(TOUCH_LIMIT_DC.volts)} by ${formatDuration(crossing.latest)} at the late bound. It says when to measure, not that it is safe.`,
      );
  }
  return [...says, ...fit.warnings.map(dischargeWarningText)];
}

function nextStep({ entry, state, run, fit }: Assessed, open: readonly Assessed[]): string {
  const { name } = entry.store;
  const lower = name.toLowerCase();
  if (state.kind === 'never-measured')
    return `Unplug it and wait. Then read ${name}, three times with the seconds, like ${lower} 212V @ 15s.`;
  if (state.kind === 'live') {
    const crossing = reliableTime(fit, TOUCH_LIMIT_DC.volts);
    const { initialPower, resistance, timeToSolder } = suggestBleed(toolCase(state.upper, entry.store.capacitanceF));
    const wait = crossing ? 'Wait, or put' : 'Put';
    return `${wait} a ${formatQuantity(resistance, 'ohm')} tool across ${name}: ${formatQuantity(initialPower, 'watt', { digits: 2 })} at first, under ${volts(SOLDER_LIMIT.volts)} in ${formatDuration(timeToSolder)}. Then read it again.`;
  }
  const others = open.filter((other) => other.entry.store.name !== name).map((other) => other.entry.store.name);
  if (others.length > 0) return `Go on with ${others.join(', ')}: not measured dead yet.`;
  if (!state.reboundChecked) {
    const back = run.length > 0 ? Math.max(...run.map(({ voltageV }) => Math.abs(voltageV))) : 0;
    const rebound =
      back > 60 ? ` It may recover by ${volts(back * REBOUND_SHARE.low)} to ${volts(back * REBOUND_SHARE.high)}.` : '';
    return `Bleed ${name} under ${volts(METER_LIMIT.volts)} and read it again after a minute.${rebound}`;
  }
  return 'Every listed store is measured dead. Open it, and look for stores that are not listed.';
}

function toolCase(start: number, capacitance: number) {
  return { start, capacitance: capacitance * CAPACITANCE_UPPER };
}

function toolOf({ entry, state, present, largest }: Assessed): SafetyView['tool'] {
  if (state.kind === 'measured-dead') return null;
  const of = { start: present, capacitance: largest };
  const plan = suggestBleed(of);
  const { bleedOhm } = entry.store;
  const power = (value: number) => formatQuantity(value, 'watt', { digits: 2 });
  const size = plan.wirewound === undefined ? 'no common wirewound takes the pulse' : `${plan.wirewound} W wirewound`;
  const tool = `${formatQuantity(plan.resistance, 'ohm')}, ${size}: starts at ${power(plan.initialPower)}, takes ${formatQuantity(plan.energy, 'joule', { digits: 2 })}; under ${volts(TOUCH_LIMIT_DC.volts)} in ${formatDuration(plan.timeToTouch)}, under ${volts(SOLDER_LIMIT.volts)} in ${formatDuration(plan.timeToSolder)}, under ${volts(METER_LIMIT.volts)} in ${formatDuration(plan.timeToMeter)}. Never short it.`;
  if (bleedOhm === null) return { ...of, says: tool };
  const alone = bleedThrough({ ...of, resistance: bleedOhm });
  const says = `${tool} The ${formatQuantity(bleedOhm, 'ohm')} on the board alone needs ${formatDuration(alone.timeToTouch)} and ${formatDuration(alone.timeToSolder)}, if it is not open.`;
  return { ...of, says };
}
