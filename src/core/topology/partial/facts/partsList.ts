import { practice } from '../../../evidence';
import type { Board, BoardPart } from '../../../board';
import { chipByMarking } from '../../../chips';
import type { SwitchElement } from '../../model/elements';
import { isLamp, isPolarised } from '../../model/parts';

/** What the parts list and the nameplate say before any join is known: counts, and whether there is any. */
export interface PartsList {
  readonly parts: number;
  readonly resistors: number;
  /** Transistors that are likelier a power switch than not, and those that may be one. */
  readonly powerSwitches: number;
  readonly weakSwitches: number;
  readonly smallBipolars: number;
  /** Whether there are likely power switches, and all are bipolar. */
  readonly hasBipolarPower: boolean;
  readonly pChannels: number;
  readonly switchers: number;
  readonly controllers: number;
  readonly unknownChips: number;
  readonly drivers: number;
  readonly optocouplers: number;
  readonly transformers: number;
  readonly chokes: number;
  /** Chokes large enough to smooth an output, or of unknown inductance. */
  readonly largeChokes: number;
  readonly dualDiodes: number;
  readonly resonantFilms: number;
  readonly blockingFilms: number;
  readonly couplingCeramics: number;
  readonly hasInputFilm: boolean;
  readonly hasHalfStores: boolean;
  readonly hasPfcStore: boolean;
  /** Whether stores are logged, all with their voltage, and none of them stands the rectified mains. */
  readonly lacksMainsStore: boolean;
  readonly hasLamp: boolean;
  readonly thyristors: number;
  readonly hasTriac: boolean;
  /** What the families of the chips are usually found in. */
  readonly chipsFor: ReadonlySet<string>;
  readonly watts: number;
  readonly outputs: number;
  readonly negativeOutputs: number;
  readonly outputVolts: number;
  readonly inputVolts: number;
}

/** A bead or a second filter stage is below this; a choke that smooths an output above. */
export const SMOOTHING_CHOKE_ABOVE = practice(5.5e-6);
/** Film and ceramic capacitors by their place. */
const RESONANT = practice({ from: 5e-9, to: 1.5e-7, volts: 600 });
const BLOCKING = practice({ from: 4e-7, volts: { from: 60, to: 400 } });
const INPUT_FILM = practice({ from: 2.2e-7, volts: 400 });
const COUPLING_AT_LEAST = practice(9e-7);
/** Two stores in series on rectified mains, and the store behind a front end. */
const HALF_STORE = practice({ from: 160, to: 250, farads: 3e-5 });
const PFC_STORE = practice({ volts: 420, farads: 2e-5 });

const farads = ({ value }: BoardPart) => value?.capacitance ?? 0;
const volts = ({ value }: BoardPart) => value?.voltage ?? 0;

/** Counts over the fitted parts. `primary` says how likely a transistor is a power switch. */
export function partsListOf(
  board: Board,
  switches: readonly SwitchElement[],
  primary: (element: SwitchElement) => number,
): PartsList {
  const parts = board.parts.filter(({ fitted }) => fitted !== false);
  const count = (wanted: (part: BoardPart) => boolean) => parts.filter(wanted).length;
  const chips = (subtype: string) => count((part) => part.kind === 'ic' && (part.subtype ?? 'unknown') === subtype);
  const isPlain = (part: BoardPart) =>
    part.kind === 'capacitor' &&
    (part.subtype === 'film' || part.subtype === 'ceramic' || part.subtype === undefined) &&
    !isPolarised(part);
  const isFilm = (part: BoardPart) => part.kind === 'capacitor' && part.subtype === 'film';
  const outputs = board.nameplate?.outputs ?? [];
  const transistors = switches.filter(({ part }) => part.kind !== 'scr');
  const likely = transistors.map(primary);
  const power = transistors.filter((_, index) => (likely[index] ?? 0) >= 0.5);
  return {
    parts: parts.length,
    resistors: count(({ kind }) => kind === 'resistor'),
    powerSwitches: power.length,
    weakSwitches: likely.filter((share) => share < 0.5 && share > 0.1).length,
    hasBipolarPower: power.length > 0 && power.every(({ part: { kind } }) => kind === 'npn' || kind === 'pnp'),
    smallBipolars: count(({ kind }) => kind === 'npn'),
    pChannels: count(({ kind }) => kind === 'pmos'),
    switchers: chips('switcher'),
    controllers: chips('controller'),
    unknownChips: chips('unknown'),
    drivers: chips('gate-driver'),
    optocouplers: count(({ kind }) => kind === 'optocoupler'),
    transformers: count(({ kind }) => kind === 'transformer'),
    chokes: count(({ kind }) => kind === 'inductor'),
    largeChokes: count(({ kind, value }) => kind === 'inductor' && (value?.inductance ?? 1e-4) > SMOOTHING_CHOKE_ABOVE),
    dualDiodes: count(({ kind }) => kind === 'dual-diode'),
    resonantFilms: count(
      (part) =>
        isPlain(part) && farads(part) >= RESONANT.from && farads(part) <= RESONANT.to && volts(part) >= RESONANT.volts,
    ),
    blockingFilms: count(
      (part) =>
        isFilm(part) &&
        farads(part) >= BLOCKING.from &&
        volts(part) >= BLOCKING.volts.from &&
        volts(part) <= BLOCKING.volts.to,
    ),
    couplingCeramics: count(
      (part) =>
        part.kind === 'capacitor' &&
        !isPolarised(part) &&
        !['x', 'y', 'film'].includes(part.subtype ?? '') &&
        farads(part) >= COUPLING_AT_LEAST,
    ),
    hasInputFilm: parts.some(
      (part) => isFilm(part) && farads(part) >= INPUT_FILM.from && volts(part) >= INPUT_FILM.volts,
    ),
    hasHalfStores:
      count(
        (part) =>
          isPolarised(part) &&
          volts(part) >= HALF_STORE.from &&
          volts(part) <= HALF_STORE.to &&
          farads(part) >= HALF_STORE.farads,
      ) >= 2,
    hasPfcStore: parts.some(
      (part) => isPolarised(part) && volts(part) >= PFC_STORE.volts && farads(part) >= PFC_STORE.farads,
    ),
    lacksMainsStore:
      parts.some(isPolarised) &&
      parts.filter(isPolarised).every((part) => volts(part) > 0 && volts(part) < HALF_STORE.from),
    hasLamp: parts.some(isLamp),
    thyristors: count(({ kind }) => kind === 'scr'),
    hasTriac: parts.some(({ kind }) => kind === 'triac'),
    chipsFor: new Set(
      parts.flatMap((part) => (part.kind === 'ic' ? (chipByMarking(part.marking)?.topologies ?? []) : [])),
    ),
    watts: outputs.reduce((sum, { v, i }) => sum + Math.abs(v * (i ?? 0)), 0),
    outputs: outputs.length,
    negativeOutputs: outputs.filter(({ v }) => v < 0).length,
    outputVolts: Math.max(0, ...outputs.map(({ v }) => Math.abs(v))),
    inputVolts: board.nameplate?.input?.vMax ?? 0,
  };
}
