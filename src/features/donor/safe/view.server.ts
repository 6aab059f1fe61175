import 'server-only';
import { formatDuration, formatQuantity, formatShorthand, type Unit } from '../../../core/quantity';
import {
  storedEnergy,
  storesFromParts,
  STORE_ROLES,
  type UnitHistory,
  type UnitCaution,
  type RecordedReading,
  type Store,
} from '../../../core/safety';
import { readQuestion } from '../../../core/stock';

import type { Queryable } from '../../../db/client';
import { candidateLots } from '../../../db/repositories/lotSearch';
import { donorCautions } from '../../../services/board';
import { type Dossier, toPartFacts, unitRecord } from '../../../services/dossier';
import { assess, reliableTime, type Assessed } from './assess';
import { claimOf, filterBleedText, fitText, hazardOf, meterText, nextStep, stringText, toolText } from './present';
import { agoOf, clockOf } from '../../../ui/value/moments';
import { routes } from '../../../routes';

const volts = (value: number) => formatQuantity(value, 'volt');

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
  readonly crossing: { readonly time: number; readonly message: string } | null;
}

/** A resistor of the drawers that could serve as a tool. */
export interface StockedResistor {
  readonly lot: string;
  readonly resistance: number;
  readonly power: number;
  readonly message: string;
}

/** The fields of a store. */
export type StoreTexts = Readonly<
  Record<'name' | 'role' | 'capacitance' | 'ratedVoltage' | 'bleed' | 'holdSource' | 'holdVoltage', string>
>;

export interface SafetyView {
  readonly cards: readonly StoreCard[];
  readonly selected: {
    readonly name: string;
    readonly heading: string;
    /** Where a stand-in meter must put its leads. */
    readonly point: string;
    readonly last: { readonly number: string; readonly message: string } | null;
    readonly readings: readonly { id: string; time: string; reading: string; offFit: string }[];
    /** The clock of the run that goes on: what it showed at a moment, in milliseconds since 1970. */
    readonly clock: { readonly elapsed: number; readonly at: number } | null;
    readonly chart: DischargeChart | null;
    /** The store as it would be typed, for correcting it. */
    readonly typed: StoreTexts;
  } | null;
  readonly claim: { readonly text: string; readonly stop: boolean };
  readonly hazard: {
    readonly weight: 'danger' | 'check' | 'note' | 'ok';
    readonly text: string;
    readonly rule?: string;
  } | null;
  /** What the meter must stand, and whether it was shown to work. */
  readonly meter: readonly { readonly weight: 'danger' | 'check'; readonly text: string }[];
  readonly message: readonly string[];
  readonly string: readonly string[];
  readonly next: string;
  readonly tool: {
    readonly message: string;
    readonly store: string;
    /** Ohms of the tool that is on it now. */
    readonly on: number | null;
    /** Volts it begins at; none where nobody knows. */
    readonly start: number | null;
    readonly capacitance: number;
    readonly touchLimit: number;
    readonly stocked: readonly StockedResistor[];
  } | null;
  /** Capacitors of the parts log that are not listed yet. */
  readonly offers: readonly { readonly ref: string; readonly message: string }[];
  readonly power: { readonly on: boolean; readonly message: string };
  /** When the meter was last checked on a known source. */
  readonly meterCheck: string | null;
  readonly cautions: readonly UnitCaution[];
}

/** The stores of a donor, the discharge of one of them, and whether it can hurt now. */
export async function safetyView(dossier: Dossier, wanted: string | undefined): Promise<SafetyView> {
  const { db, donor, now: moment } = dossier;
  const [unit, { touchLimit }, history] = await Promise.all([
    unitRecord(dossier),
    dossier.settings(),
    dossier.history(),
  ]);
  const known = unit.stores.map((entry) => assess(entry, { voltages: unit.voltages, touchLimit, history }));
  const open = known.filter(({ state }) => state.kind !== 'measured-dead');
  const chosen =
    known.find(({ entry }) => entry.store.name === wanted?.toUpperCase()) ??
    lastRead(known, moment) ??
    open[0] ??
    known[0];
  const shared = {
    cards: known.map((store) => card(store, donor.code, store === chosen, moment)),
    offers: storesFromParts(
      unit.parts.map(toPartFacts),
      unit.stores.map(({ store }) => store.name),
    ).map(({ ref, role, capacitance, ratedVoltage }) => ({
      ref,
      message: `${STORE_ROLES[role].label}, ${capacitance === 0 ? 'size not known' : formatQuantity(capacitance, 'farad')}${ratedVoltage === undefined ? '' : ` ${volts(ratedVoltage)}`}`,
    })),
    power: powerText(history),
    meterCheck: history.meterCheckedAt === undefined ? null : clockOf(history.meterCheckedAt),
    cautions: await donorCautions(dossier, unit),
  };
  if (!chosen) return { ...NOTHING_LISTED, ...shared };
  const { store } = chosen.entry;
  const bleeds = chosen.state.kind !== 'measured-dead' && store.role !== 'battery' && store.capacitanceF > 0;
  return {
    ...shared,
    selected: {
      name: store.name,
      heading: `Readings on ${store.name}${store.bleedOhm === null ? '' : `, bled by ${formatQuantity(store.bleedOhm, 'ohm')}`}`,
      point: [donor.model, store.name].filter((word) => word !== '').join(' '),
      last: lastReading(chosen.run, moment),
      readings: readingRows(chosen),
      clock: clockOfRun(chosen, moment),
      chart: chartOf(chosen),
      typed: textsOf(store),
    },
    claim: claimOf(chosen),
    hazard: hazardOf(chosen),
    meter: meterText(chosen),
    message: [...fitText(chosen), ...filterBleedText(chosen)],
    string: stringText(chosen),
    next: nextStep(chosen, open, moment),
    tool: bleeds
      ? {
          message: toolText(chosen),
          store: store.name,
          on: store.toolOhm,
          start: chosen.present ?? null,
          capacitance: chosen.largest,
          touchLimit,
          stocked: await stockedResistors(db),
        }
      : null,
  };
}

function textsOf(store: Store): StoreTexts {
  const size = store.bank || typed(store.capacitanceF, 'farad');
  return {
    name: store.name,
    role: store.role,
    capacitance: store.capacitanceF > 0 ? size : store.role === 'battery' ? '' : '?',
    ratedVoltage: `${typed(store.ratedV, 'volt')}${store.ratedAc ? 'AC' : ''}`,
    bleed: typed(store.bleedOhm, 'ohm'),
    holdSource: store.holdSource,
    holdVoltage: typed(store.holdV, 'volt'),
  };
}

/** The store under the leads: a page that changes to another one in mid-run would mislead. */
function lastRead(known: readonly Assessed[], now: number): Assessed | undefined {
  const at = ({ run }: Assessed) => run.at(-1)?.takenMs ?? 0;
  const [latest] = [...known].sort((a, b) => at(b) - at(a));
  return latest && now - at(latest) < UNDER_THE_LEADS_MS ? latest : undefined;
}

/** So long after a reading the leads are taken to be where they were. */
const UNDER_THE_LEADS_MS = 2 * 60_000;

const NOTHING_LISTED: Omit<SafetyView, 'cards' | 'offers' | 'power' | 'meterCheck' | 'cautions'> = {
  selected: null,
  claim: { text: 'Assume that it can. No store is listed yet', stop: true },
  hazard: null,
  meter: [],
  message: [],
  string: [],
  next: 'List every capacitor that can hold charge, the mains reservoir first. Then unplug it, wait, and read each one.',
  tool: null,
};

function powerText({ appliedAt, removedAt }: UnitHistory): SafetyView['power'] {
  if (appliedAt === undefined) return { on: false, message: 'It was not plugged in here, by the record.' };
  const on = removedAt === undefined || removedAt < appliedAt;
  return on
    ? { on, message: `It is plugged in since ${clockOf(appliedAt)}.` }
    : { on, message: `Power was on from ${clockOf(appliedAt)}, off at ${clockOf(removedAt ?? appliedAt)}.` };
}

function card({ entry, state, hold, run, largest }: Assessed, code: string, selected: boolean, now: number): StoreCard {
  const { store } = entry;
  const last = run.at(-1);
  const dead = state.kind === 'measured-dead';
  const energy = hold.volts === undefined ? undefined : storedEnergy({ capacitance: largest, voltage: hold.volts });
  return {
    name: store.name,
    role: STORE_ROLES[store.role].short,
    size: [
      ...(store.bank === '' ? [] : [store.bank]),
      ...(store.capacitanceF > 0
        ? [formatQuantity(store.capacitanceF, 'farad')]
        : store.role === 'battery'
          ? []
          : ['size not known']),
      ...(store.ratedV === null ? [] : [`${volts(store.ratedV)}${store.ratedAc ? ' AC' : ''}`]),
    ].join(', '),
    selected,
    dead,
    href: routes.station(code, 'make-safe', { store: store.name }),
    facts: [
      { label: 'may hold', value: hold.volts === undefined ? 'not known' : volts(hold.volts) },
      {
        label: 'energy up to',
        value:
          store.role === 'battery'
            ? 'a battery’s'
            : store.capacitanceF === 0 || energy === undefined
              ? 'not known'
              : formatQuantity(energy, 'joule', { digits: 2 }),
      },
      { label: 'bleed path', value: store.bleedOhm === null ? 'none known' : formatQuantity(store.bleedOhm, 'ohm') },
      {
        label: dead ? 'measured dead' : state.kind === 'below-touch' ? 'below the touch limit' : 'last reading',
        value: !last
          ? 'never read'
          : state.kind === 'powered-since'
            ? 'before power'
            : `${volts(last.voltageV)}, ${dead ? clockOf(last.takenMs) : agoOf(last.takenMs, now)}`,
      },
    ],
  };
}

function lastReading(run: readonly RecordedReading[], now: number) {
  const last = run.at(-1);
  if (!last) return null;
  const printed = formatQuantity(last.voltageV, 'volt', { resolution: last.resolutionV });
  return { number: printed, message: `${clockOf(last.takenMs)}, ${agoOf(last.takenMs, now)}` };
}

function readingRows({ run, fit }: Assessed) {
  return run.map(({ id, elapsedS, voltageV, resolutionV, toolOhm }, index) => {
    const holds = fit.voltageAt !== undefined && elapsedS >= (fit.holdsFrom ?? 0);
    const off = holds ? (fit.residuals[index] ?? 0) : undefined;
    return {
      id,
      time: `${Number(elapsedS.toFixed(1))} s`,
      reading: `${formatQuantity(voltageV, 'volt', { resolution: resolutionV })}${toolOhm === null ? '' : ', tool on'}`,
      offFit: off === undefined ? '' : `${off < 0 ? '−' : '+'}${Math.abs(off).toFixed(1)} V`,
    };
  });
}

/** A run whose last reading is younger than this still goes on by the clock. */
const CLOCK_RUNS_MS = 15 * 60_000;

/** What the stopwatch of the run showed at its last reading, while the run goes on. */
function clockOfRun({ run, state }: Assessed, now: number) {
  const last = run.at(-1);
  if (!last || state.kind !== 'live' || now - last.takenMs > CLOCK_RUNS_MS) return null;
  return { elapsed: last.elapsedS, at: last.takenMs };
}

/** Steps along the curve that is drawn. */
const CURVE_STEPS = 40;

function chartOf({ run, fit, touchLimit }: Assessed): DischargeChart | null {
  if (run.length < 2) return null;
  const points = run.map(({ elapsedS, voltageV }) => ({ time: elapsedS, volts: voltageV }));
  const { voltageAt } = fit;
  const crossing = reliableTime(fit, touchLimit);
  const begin = fit.holdsFrom ?? 0;
  const end = Math.max(points.at(-1)?.time ?? 0, (crossing?.latest ?? 0) * 1.25);
  return {
    points,
    curve: voltageAt
      ? Array.from({ length: CURVE_STEPS + 1 }, (_, step) => {
          const time = begin + ((end - begin) * step) / CURVE_STEPS;
          const { fit: center, low, high } = voltageAt(time);
          return { time, volts: center, low, high };
        })
      : [],
    limit: touchLimit,
    crossing: crossing && crossing.time > 0 ? { time: crossing.time, message: formatDuration(crossing.time) } : null,
  };
}

/** Resistors in the drawers whose value and power are known, the strongest first. */
async function stockedResistors(db: Queryable): Promise<StockedResistor[]> {
  const parsed = readQuestion('resistor');
  const rows = parsed.ok ? await candidateLots(db, parsed.filter, 200) : [];
  return rows
    .flatMap(({ lot, bin, ratings }) => {
      const { resistance, power } = ratings;
      if (!resistance || !power || lot.onHand <= lot.reserved) return [];
      return [
        {
          lot: lot.code,
          resistance: resistance.value,
          power: power.value,
          message: `${formatQuantity(resistance.value, 'ohm')} ${formatQuantity(power.value, 'watt')}, bin ${bin}`,
        },
      ];
    })
    .sort((a, b) => b.power - a.power)
    .slice(0, 12);
}

/** A value as it would be typed; empty for none. */
const typed = (value: number | null, unit: Unit) => (value === null ? '' : formatShorthand(value, unit));
