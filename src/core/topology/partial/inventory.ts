import type { Board, BoardPart } from '../../board';
import { isLamp } from '../model/parts';

/** What the parts list alone says, before any probe. */
export interface Inventory {
  readonly isMains: boolean;
  readonly fets: number;
  readonly powerBipolars: number;
  readonly chips: number;
  readonly switcherChips: number;
  readonly drivers: number;
  readonly optocouplers: number;
  readonly transformers: number;
  readonly chokes: number;
  readonly largeChokes: number;
  readonly duals: number;
  readonly rectifiers: number;
  readonly tapped: number;
  readonly resonantFilms: number;
  readonly blockingFilms: number;
  readonly highStores: number;
  readonly halfStores: number;
  readonly frontEndStores: number;
  readonly lamps: number;
  readonly triacs: number;
  readonly thyristors: number;
  readonly outputs: number;
  readonly negativeOutputs: number;
  readonly vOut: number;
  readonly vIn: number;
  readonly ceramicsCoupling: number;
}

export function inventoryOf({ parts, nameplate }: Board): Inventory {
  const count = (wanted: (part: BoardPart) => boolean) => parts.filter(wanted).length;
  const farads = ({ value }: BoardPart) => value?.capacitance ?? 0;
  const volts = ({ value }: BoardPart) => value?.voltage ?? 0;
  const isFilm = ({ kind, subtype }: BoardPart) =>
    kind === 'capacitor' && (subtype === 'film' || subtype === 'ceramic');
  const isStore = (part: BoardPart) => part.kind === 'capacitor' && '+' in part.pins && farads(part) >= 3e-6;
  const henries = ({ value }: BoardPart) => value?.inductance;
  return {
    isMains: parts.some(({ role }) => role === 'mains-inlet'),
    fets: count(({ kind }) => kind === 'nmos' || kind === 'igbt'),
    powerBipolars: count(({ kind, marking }) => kind === 'npn' && /1300|13\d{3}|BU|MJE/.test(marking ?? '')),
    chips: count(({ kind, subtype }) => kind === 'ic' && subtype !== 'sync-rectifier' && subtype !== 'microcontroller'),
    switcherChips: count(({ kind, subtype }) => kind === 'ic' && subtype === 'switcher'),
    drivers: count(({ kind, subtype }) => kind === 'ic' && subtype === 'gate-driver'),
    optocouplers: count(({ kind }) => kind === 'optocoupler'),
    transformers: count(({ kind, pins }) => kind === 'transformer' && Object.keys(pins).length >= 4),
    chokes: count(({ kind }) => kind === 'inductor'),
    largeChokes: count((part) => part.kind === 'inductor' && (henries(part) ?? 1e-5) > 5.5e-6),
    duals: count(({ kind }) => kind === 'dual-diode'),
    rectifiers: count(({ kind, subtype }) => kind === 'dual-diode' || (kind === 'diode' && subtype === 'schottky')),
    tapped: count(
      ({ kind, windings }) => kind === 'transformer' && (windings ?? []).some((winding) => winding.length > 2),
    ),
    resonantFilms: count(
      (part) => isFilm(part) && farads(part) >= 5e-9 && farads(part) <= 1.2e-7 && volts(part) >= 630,
    ),
    blockingFilms: count(
      (part) =>
        isFilm(part) && farads(part) >= 4e-7 && volts(part) >= 100 && volts(part) <= 400 && part.subtype === 'film',
    ),
    highStores: count((part) => isStore(part) && volts(part) >= 300),
    halfStores: count((part) => isStore(part) && volts(part) >= 160 && volts(part) <= 250),
    frontEndStores: count((part) => isStore(part) && volts(part) >= 420),
    lamps: count(isLamp),
    triacs: count(({ kind }) => kind === 'triac'),
    thyristors: count(({ kind }) => kind === 'scr'),
    outputs: nameplate?.outputs?.length ?? 0,
    negativeOutputs: (nameplate?.outputs ?? []).filter(({ v }) => v < 0).length,
    vOut: Math.max(0, ...(nameplate?.outputs ?? []).map(({ v }) => Math.abs(v))),
    vIn: nameplate?.input?.vMax ?? 0,
    ceramicsCoupling: count((part) => part.kind === 'capacitor' && !('+' in part.pins) && farads(part) >= 1e-6),
  };
}
